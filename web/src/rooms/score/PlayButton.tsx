import IconButton from "@mui/material/IconButton";
import Tooltip from "@mui/material/Tooltip";
import { useRoom } from "../../store";
import { ink } from "../../theme";

/** Plays the film from the playhead, or stops it. */
export function PlayButton({ size = 38 }: { size?: number }) {
  const playing = useRoom((s) => s.playing);
  const set = useRoom((s) => s.set);
  return (
    <Tooltip title={playing ? "Stop (Space)" : "Play from here (Space)"}>
      <IconButton
        aria-label={playing ? "Stop" : "Play"}
        onClick={() => set({ playing: !playing, until: null, loop: null, speed: 1 })}
        sx={{
          width: size,
          height: size,
          mx: 1,
          borderRadius: "50%",
          bgcolor: ink.ink,
          color: "#fff",
          "&:hover": { bgcolor: ink.thistleDeep },
        }}
      >
        <svg width={18} height={18} fill="currentColor" aria-hidden>
          {playing ? <path d="M4 3h4v12H4zM10 3h4v12h-4z" /> : <path d="M5 2l11 7l-11 7z" />}
        </svg>
      </IconButton>
    </Tooltip>
  );
}
