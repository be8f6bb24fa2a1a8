import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Link from "@mui/material/Link";
import { stillUrl, under, type Film, type Production } from "../../api/client";
import { useThumbnails } from "../../api/masters";
import { useRoom } from "../../store";
import { ink } from "../../theme";

interface Props {
  production: Production;
  film: Film;
  chosen: number | null;
  onChoose: (frame: number) => void;
}

function faces(count: number): string {
  return count === 0 ? "" : count === 1 ? ", a face" : `, ${count} faces`;
}

/** Pictures of the film that do as a thumbnail, each with how sharp and rich in contrast it is. */
export function ThumbnailChoice({ production, film, chosen, onChoose }: Props) {
  const found = useThumbnails(production.id, film.revision).data ?? [];
  const frame = useRoom((s) => s.frame);
  const own = chosen !== null && !found.some((c) => c.frame === chosen);
  const all = own
    ? [...found.slice(0, 4), { frame: chosen, sharpness: -1, contrast: 0, faces: 0, marked: false }]
    : found;
  return (
    <Box component="section" aria-label="Thumbnail">
      <Box sx={{ display: "flex", color: ink.ink2, mb: 0.5 }}>
        <Box sx={{ flex: 1 }}>Thumbnail and cover</Box>
        sharpness, contrast at 120 px
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(3, 1fr)", gap: 1.5 }}>
        {all.map((one) => (
          <ButtonBase
            key={one.frame}
            aria-pressed={one.frame === chosen}
            aria-label={`the picture of frame ${one.frame}`}
            onClick={() => onChoose(one.frame)}
            sx={{ display: "block", textAlign: "left", font: "inherit" }}
          >
            <img
              src={stillUrl(production.id, film.revision, one.frame)}
              alt=""
              style={{
                width: "100%",
                display: "block",
                outline: one.frame === chosen ? `2px solid ${ink.thistle}` : undefined,
                outlineOffset: 1,
              }}
            />
            <Box sx={{ color: one.marked ? ink.rust : ink.ink2 }}>
              {one.marked
                ? "a mark is seen"
                : one.sharpness < 0
                  ? "chosen"
                  : `${one.sharpness}, ${one.contrast.toFixed(1)}:1${faces(one.faces)}`}
            </Box>
          </ButtonBase>
        ))}
      </Box>
      <Box sx={{ display: "flex", gap: 3, pt: 1 }}>
        <Link component="button" type="button" onClick={() => onChoose(Math.floor(frame))}>
          The playhead’s picture
        </Link>
        {chosen !== null && (
          <Link
            href={`${under(production.id)}/film/thumbnail.jpg?frame=${chosen}`}
            download
            sx={{ fontWeight: 600 }}
          >
            Save as JPEG, 1280 wide
          </Link>
        )}
      </Box>
    </Box>
  );
}
