import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import {
  inShape,
  stillUrl,
  titledUrl,
  type Film,
  type OtherShape,
  type Production,
  type Title,
} from "../../api/client";
import { Still } from "../../parts/Still";
import { useRoom } from "../../store";
import type { Draft } from "./useTitleDrafts";

interface Props {
  production: Production;
  film: Film;
  /** The shape it is seen in. */
  shape: OtherShape;
  title: Title | undefined;
  /** What of the title is tried, and not kept yet. */
  draft: Draft | null;
}

/** The picture in another shape, beside the one that is worked on; pressed, they change places. */
export function Beside({ production, film, shape, title, draft }: Props) {
  const frame = useRoom((s) => s.frame);
  const set = useRoom((s) => s.set);
  const own = film.shapes[0]?.name === shape.name;
  const revision = inShape(film.revision, own ? null : shape.name);
  const at = Math.min(frame, Math.max(0, film.length - 1));
  return (
    // As high as the other: both grow by their shapes.
    <Box sx={{ py: 3, pr: 3, flex: `${shape.width / shape.height} 1 0`, minWidth: 0 }}>
      <ButtonBase
        onClick={() => set({ shape: own ? null : shape.name })}
        title={`Work on it in ${shape.name}`}
        aria-label={`In ${shape.name}`}
        sx={{ width: "100%", aspectRatio: `${shape.width} / ${shape.height}`, bgcolor: "#000" }}
      >
        <Still
          src={
            title && draft
              ? titledUrl(production.id, revision, at, { id: title.id, ...draft })
              : stillUrl(production.id, revision, at)
          }
          alt={`The film at frame ${at} in ${shape.name}`}
        />
      </ButtonBase>
    </Box>
  );
}

/** The shape that is seen beside the one that is worked on: an upright one beside a wide one. */
export function besideOf({ shapes }: Pick<Film, "shapes">, now: OtherShape) {
  const isWide = ({ width, height }: OtherShape) => width > height;
  return shapes.find((s) => s.name !== now.name && isWide(s) !== isWide(now));
}
