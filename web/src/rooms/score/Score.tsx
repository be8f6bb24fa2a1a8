import Box from "@mui/material/Box";
import type { MouseEvent } from "react";
import type { Film, Material, Production } from "../../api/client";
import { useFilm, useMaterial } from "../../api/queries";
import { NotYet } from "../../parts/NotYet";
import { useRoomProduction } from "../../parts/useRoomProduction";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { FilmCard } from "./FilmCard";
import { Foot } from "./Foot";
import { MarkerNote } from "./MarkerNote";
import { Monitor } from "./Monitor";
import { NotCutYet } from "./NotCutYet";
import { OverlayCard } from "./OverlayCard";
import { ShotCard } from "./ShotCard";
import { Staves } from "./Staves";
import { LayerFrames } from "./LayerFrames";
import { laidPicture } from "./lies";
import { TakeFrames } from "./TakeFrames";
import { Transport } from "./Transport";
import { barsOf, usualBarsPerLine } from "./layout";
import { widestSheet } from "./useRulers";
import { useScoreActions, type ScoreActions } from "./useScoreActions";

/** The surface the film is cut on. */
export function Score() {
  const production = useRoomProduction();
  const reading = useFilm(production.id);
  const film = reading.data;
  if (!film) return <NotYet what="The film" of={[reading]} />;
  if (film.shots.length === 0) return <NotCutYet production={production} film={film} />;
  return <Cut production={production} film={film} />;
}

function Cut({ production, film }: { production: Production; film: Film }) {
  const material = useMaterial(production.id).data;
  const actions = useScoreActions(production.id, material);
  return (
    <Box
      sx={{ height: "100%", display: "flex", flexDirection: "column" }}
      // A button pressed with the mouse gives the keys back to the score.
      onClick={(e: MouseEvent) => {
        const button = (e.target as HTMLElement).closest("button");
        if (e.detail > 0 && button) button.blur();
      }}
    >
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        <Staves production={production} film={film} actions={actions} />
        <Side production={production} film={film} material={material} actions={actions} />
      </Box>
      <Foot production={production} film={film} />
      <MarkerNote film={film} actions={actions} />
    </Box>
  );
}

interface SideProps {
  production: Production;
  film: Film;
  material: Material | undefined;
  actions: ScoreActions;
}

/** The picture at the playhead, and what is known of what is selected. */
function Side({ production, film, material, actions }: SideProps) {
  const wish = useRoom((s) => s.barsPerLine);
  const bars = wish ?? usualBarsPerLine(barsOf(film, production.framesPerSecond).bars.length);
  const framed = useRoom((s) =>
    s.card === "picture" && s.wholeTake && s.place !== null ? film.shots[s.place] : undefined,
  );
  const laid = useRoom((s) => laidPicture(film, s.laid));
  return (
    <Box
      component="aside"
      sx={{
        // What the staves do not need goes to the monitor.
        width: `clamp(376px, 100vw - ${Math.round(widestSheet(bars))}px, 960px)`,
        flex: "none",
        borderLeft: `1px solid ${ink.rule2}`,
        bgcolor: ink.paper,
        display: "flex",
        flexDirection: "column",
      }}
    >
      <Monitor production={production} film={film}>
        {framed && (
          <TakeFrames key={framed.id} production={production} shot={framed} actions={actions} />
        )}
        {laid && (
          <LayerFrames
            key={laid.shot.id}
            production={production}
            film={film}
            overlay={laid}
            actions={actions}
          />
        )}
      </Monitor>
      <Transport production={production} film={film} />
      <Box sx={{ flex: 1, minHeight: 0, overflow: "auto" }}>
        <Card production={production} film={film} material={material} actions={actions} />
      </Box>
    </Box>
  );
}

/** The card of the selected shot, or of the film. */
function Card({ production, film, material, actions }: SideProps) {
  const place = useRoom((s) => s.place);
  const laid = useRoom((s) => film.overlays.find((o) => o.shot.id === s.laid));
  const shot = place === null ? undefined : film.shots[place];
  if (shot) {
    return (
      <ShotCard
        production={production}
        film={film}
        shot={shot}
        material={material}
        actions={actions}
      />
    );
  }
  if (laid)
    return <OverlayCard production={production} film={film} overlay={laid} actions={actions} />;
  return <FilmCard production={production} film={film} actions={actions} />;
}
