import Alert from "@mui/material/Alert";
import Snackbar from "@mui/material/Snackbar";
import { create } from "zustand";

type Tone = "said" | "wrong";

interface Notice {
  text: string;
  tone: Tone;
  count: number;
  tell: (text: string, tone?: Tone) => void;
  dismiss: () => void;
}

/** The one line in which the application tells what just happened. */
export const useNotice = create<Notice>((set) => ({
  text: "",
  tone: "said",
  count: 0,
  tell: (text, tone = "said") => set((s) => ({ text, tone, count: s.count + 1 })),
  dismiss: () => set({ text: "" }),
}));

export function NoticeLine() {
  const { text, tone, count, dismiss } = useNotice();
  return (
    <Snackbar
      key={count}
      open={text !== ""}
      autoHideDuration={tone === "wrong" ? 10000 : 5000}
      onClose={(_, why) => {
        if (why !== "clickaway") dismiss();
      }}
      anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      sx={{ mb: 4 }}
    >
      <Alert
        severity={tone === "wrong" ? "error" : "info"}
        icon={false}
        onClose={dismiss}
        sx={{ maxWidth: 560 }}
      >
        {text}
      </Alert>
    </Snackbar>
  );
}
