import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Component, type ReactNode } from "react";
import { fraunces, ink } from "../theme";

/** What a room shows when it cannot be shown, and the one thing to do about it. */
export function Trouble({
  title,
  says,
  act,
  onAct,
  panel = false,
}: {
  title: string;
  says: string;
  act: string;
  onAct: () => void;
  /** Whether it stands at the side of a room rather than in its place. */
  panel?: boolean;
}) {
  return (
    <Box role="alert" sx={panel ? { p: 4 } : { height: "100%", bgcolor: ink.sheet, p: 20 }}>
      <Box sx={{ maxWidth: 560 }}>
        <Box
          sx={
            panel
              ? { typography: "h2", mb: 1 }
              : { ...fraunces, fontSize: 26, lineHeight: "36px", mb: 2 }
          }
        >
          {title}
        </Box>
        <Box sx={{ fontSize: 15, lineHeight: "22px", color: ink.ink2, mb: 4 }}>{says}</Box>
        <Button variant="contained" color="primary" onClick={onAct}>
          {act}
        </Button>
      </Box>
    </Box>
  );
}

interface Props {
  /** The room is drawn afresh when this changes. */
  name: string;
  children: ReactNode;
}

/** Keeps a fault of one room from taking the others along. */
export class RoomBoundary extends Component<Props, { failed: string | null }> {
  override state = { failed: null };

  static getDerivedStateFromError(error: unknown) {
    return { failed: error instanceof Error ? error.message : String(error) };
  }

  override componentDidUpdate(before: Props) {
    if (before.name !== this.props.name && this.state.failed !== null) {
      this.setState({ failed: null });
    }
  }

  override render() {
    const { failed } = this.state;
    if (failed === null) return this.props.children;
    return (
      <Trouble
        title="This room could not be drawn."
        says={`Nothing is lost: all that was done is kept. Load the page again; if it stays, say what stands here: ${failed}`}
        act="Load the page again"
        onAct={() => window.location.reload()}
      />
    );
  }
}
