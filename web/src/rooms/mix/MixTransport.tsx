import Box from "@mui/material/Box";
import type { Film, Production } from "../../api/client";
import { PressButton } from "../../parts/PressButton";
import { switchMono, useMono } from "../../parts/mono";
import { barBeat, timecode } from "../../parts/time";
import { useRoom } from "../../store";
import { face, ink } from "../../theme";
import { PlacePicker } from "../follow/PlacePicker";
import type { Follow } from "../follow/useFollow";
import { Monitor } from "../score/Monitor";
import { PlayButton } from "../score/PlayButton";
import { useScrubSound } from "../score/useScrubSound";

/** The picture, small, with where it is and the button that plays. */
export function MixTransport({
  production,
  film,
  follow,
}: {
  production: Production;
  film: Film;
  follow: Follow;
}) {
  const frame = useRoom((s) => s.frame);
  const mono = useMono((s) => s.on);
  useScrubSound(production, film);
  return (
    <Box sx={{ display: "flex", flex: "none", borderBottom: `1px solid ${ink.rule2}` }}>
      <Box sx={{ width: 258, flex: "none" }}>
        <Monitor production={production} film={film}>
          {follow.picking !== null && <PlacePicker onPick={follow.pick} onGiveUp={follow.giveUp} />}
        </Monitor>
      </Box>
      <Box sx={{ flex: 1, px: 2, py: 3, minWidth: 0 }}>
        <Box sx={{ fontFamily: face.mono, fontSize: 18 }} data-testid="timecode">
          {timecode(frame, production.framesPerSecond)}
        </Box>
        <Box sx={{ fontSize: 12, color: ink.ink2, mb: 1 }}>min:sec:frame</Box>
        <Box sx={{ fontFamily: face.mono, fontSize: 18 }}>{barBeat(film.clock, frame)}</Box>
        <Box sx={{ fontSize: 12, color: ink.ink2, mb: 1 }}>bar.beat</Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
          <PlayButton size={34} />
          <PressButton
            on={mono}
            title="Both sides as one, as a small loudspeaker plays them (M)"
            onPress={switchMono}
          >
            mono
          </PressButton>
        </Box>
      </Box>
    </Box>
  );
}
