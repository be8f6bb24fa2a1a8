import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import MenuItem from "@mui/material/MenuItem";
import OutlinedInput from "@mui/material/OutlinedInput";
import Select from "@mui/material/Select";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answerTo, api, type NewProduction as Asked } from "../../api/client";
import { keys } from "../../api/queries";
import { takeStyle, useStyles } from "../../api/styles";
import { Labelled } from "../../parts/Labelled";
import { ink } from "../../theme";
import { readAnew } from "../../api/readAnew";

const SHAPES = [
  { name: "16:9, 1920×1080", width: 1920, height: 1080 },
  { name: "9:16, 1080×1920", width: 1080, height: 1920 },
  { name: "1:1, 1080×1080", width: 1080, height: 1080 },
  { name: "4:5, 1080×1350", width: 1080, height: 1350 },
  { name: "16:9, 1280×720", width: 1280, height: 720 },
];
const RATES = [
  { name: "24 fps", rate: "24" },
  { name: "23.976 fps", rate: "24000/1001" },
  { name: "25 fps", rate: "25" },
  { name: "29.97 fps", rate: "30000/1001" },
  { name: "30 fps", rate: "30" },
];

const NO_STYLE = 0;

/** Asks for what a production needs before its first clip. */
export function NewProduction({ onClose }: { onClose: () => void }) {
  const [title, setTitle] = useState("");
  const [shape, setShape] = useState(0);
  const [rate, setRate] = useState("24");
  const [length, setLength] = useState("60");
  const [style, setStyle] = useState(NO_STYLE);
  const [problem, setProblem] = useState("");
  const styles = useStyles().data ?? [];
  const go = useNavigate();
  const client = useQueryClient();

  const make = async (event: SubmitEvent) => {
    event.preventDefault();
    const room = (event.submitter as HTMLButtonElement | null)?.value ?? "story";
    const { width, height } = SHAPES[shape] ?? { width: 1920, height: 1080 };
    const asked: Asked = { title, width, height, rate, targetSeconds: Number(length) };
    try {
      const made = await answerTo(api.POST("/api/productions", { body: asked }));
      if (style !== NO_STYLE) await answerTo(takeStyle(made.id, style, 0));
      await readAnew(client, keys.shelf);
      void go(`/productions/${made.id}/${room}`);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    }
  };

  return (
    <Dialog open onClose={onClose}>
      <Box
        component="form"
        onSubmit={(e) => void make(e.nativeEvent as SubmitEvent)}
        sx={{ width: 420 }}
      >
        <DialogTitle sx={{ typography: "h1" }}>A new production</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 3 }}>
          <Labelled label="Title">
            <OutlinedInput
              autoFocus
              fullWidth
              value={title}
              inputProps={{ "aria-label": "Title", maxLength: 200 }}
              onChange={(e) => setTitle(e.target.value)}
            />
          </Labelled>
          <Labelled label="Picture">
            <Select
              fullWidth
              value={shape}
              inputProps={{ "aria-label": "Picture" }}
              onChange={(e) => setShape(Number(e.target.value))}
            >
              {SHAPES.map((s, i) => (
                <MenuItem key={s.name} value={i}>
                  {s.name}
                </MenuItem>
              ))}
            </Select>
          </Labelled>
          <Labelled label="Rate">
            <Select
              fullWidth
              value={rate}
              inputProps={{ "aria-label": "Rate" }}
              onChange={(e) => setRate(e.target.value)}
            >
              {RATES.map((r) => (
                <MenuItem key={r.rate} value={r.rate}>
                  {r.name}
                </MenuItem>
              ))}
            </Select>
          </Labelled>
          <Labelled label="Wanted length, seconds">
            <OutlinedInput
              fullWidth
              value={length}
              inputProps={{ "aria-label": "Wanted length, seconds", inputMode: "decimal" }}
              onChange={(e) => setLength(e.target.value)}
            />
          </Labelled>
          {styles.length > 0 && (
            <Labelled label="Style of the channel">
              <Select
                fullWidth
                value={style}
                inputProps={{ "aria-label": "Style of the channel" }}
                onChange={(e) => setStyle(Number(e.target.value))}
              >
                <MenuItem value={NO_STYLE}>none</MenuItem>
                {styles.map((s) => (
                  <MenuItem key={s.id} value={s.id}>
                    {s.name}
                  </MenuItem>
                ))}
              </Select>
            </Labelled>
          )}
          {problem && <Box sx={{ color: ink.rust }}>{problem}</Box>}
        </DialogContent>
        <DialogActions sx={{ p: 4 }}>
          <Button onClick={onClose}>Not now</Button>
          <Button type="submit" value="takes">
            Begin with clips
          </Button>
          <Button type="submit" value="story" variant="contained" color="primary">
            Begin with the story
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
