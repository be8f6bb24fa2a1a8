import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import MenuItem from "@mui/material/MenuItem";
import OutlinedInput from "@mui/material/OutlinedInput";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState, type FormEvent } from "react";
import {
  inShape,
  stillUrl,
  api,
  type Film,
  type NewMaster,
  type Production,
} from "../../api/client";
import { useChange } from "../../api/queries";
import { Labelled } from "../../parts/Labelled";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { sidesOf, watched } from "../score/shapes";
import { qualityName } from "./quality";
import { rateOf } from "./MasterRow";

const RATES = ["24", "24000/1001", "25", "30000/1001", "30"];

/** What to render. */
export function OrderForm({ production, film }: { production: Production; film: Film }) {
  const [name, setName] = useState(production.title);
  const [shape, setShape] = useState<string | null>(null);
  const [other, setOther] = useState("");
  const range = useRoom((s) => s.range);
  const [part, setPart] = useState(false);
  const [size, setSize] = useState<NewMaster["size"]>("PRODUCTION");
  const [rate, setRate] = useState(production.rate);
  const [quality, setQuality] = useState<NewMaster["quality"]>("STANDARD");
  const order = useChange<NewMaster>(production.id, (body) =>
    api.POST("/api/productions/{productionId}/masters", {
      params: { path: { productionId: production.id } },
      body,
    }),
  );
  const rates = RATES.includes(production.rate) ? RATES : [production.rate, ...RATES];
  const own = film.shapes[0]?.name;
  const { width, height } = watched(film, production, shape);
  const short = Math.min(width, height);
  const frames = part && range ? range.to - range.from : film.length;
  const middle = part && range ? (range.from + range.to) / 2 : film.length / 2;
  const submit = (e: FormEvent) => {
    e.preventDefault();
    order.mutate({
      name,
      size,
      shape,
      rate,
      quality,
      from: part && range ? range.from : null,
      to: part && range ? range.to : null,
    });
  };
  return (
    <Box
      component="form"
      onSubmit={submit}
      sx={{
        width: 376,
        flex: "none",
        borderLeft: `1px solid ${ink.rule2}`,
        bgcolor: ink.paper,
        overflow: "auto",
      }}
    >
      <Box sx={{ bgcolor: ink.well, p: 3, height: 222, display: "grid", placeItems: "center" }}>
        {film.length > 0 && (
          <img
            src={stillUrl(production.id, inShape(film.revision, shape), Math.floor(middle))}
            alt="The middle of what is rendered"
            style={{ height: 198, maxWidth: "100%", objectFit: "contain" }}
          />
        )}
      </Box>
      <Box sx={{ p: 4, display: "grid", gap: 3 }}>
        <Box component="h1" sx={{ typography: "h1", m: 0 }}>
          A new master
        </Box>
        <Labelled label="Name">
          <OutlinedInput
            fullWidth
            value={name}
            inputProps={{ "aria-label": "Name", maxLength: 120 }}
            onChange={(e) => setName(e.target.value)}
          />
        </Labelled>
        <Labelled label="Shape">
          <ToggleButtonGroup
            exclusive
            fullWidth
            aria-label="Shape"
            value={shape ?? own}
            onChange={(_, to: string | null) => {
              if (!to) return;
              setShape(to === own ? null : to);
              setOther("");
            }}
          >
            {film.shapes.map((s) => (
              <ToggleButton key={s.name} value={s.name}>
                {s.name}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <OutlinedInput
            fullWidth
            placeholder="or another, such as 2:1"
            value={other}
            inputProps={{ "aria-label": "Another shape", maxLength: 9 }}
            onChange={(e) => {
              setOther(e.target.value);
              const sides = sidesOf(e.target.value);
              if (sides) setShape(`${sides.across}:${sides.down}`);
            }}
            sx={{ mt: 1 }}
          />
        </Labelled>
        <Labelled label="Size">
          <ToggleButtonGroup
            exclusive
            fullWidth
            aria-label="Size"
            value={size}
            onChange={(_, to: NewMaster["size"] | null) => to && setSize(to)}
          >
            <ToggleButton value="PRODUCTION">
              {width}×{height}
            </ToggleButton>
            {short !== 1080 && <ToggleButton value="HD_1080">1080p</ToggleButton>}
            {short !== 720 && <ToggleButton value="HD_720">720p</ToggleButton>}
          </ToggleButtonGroup>
        </Labelled>
        {range && (
          <Labelled label="Part">
            <ToggleButtonGroup
              exclusive
              fullWidth
              aria-label="Part"
              value={part ? "part" : "whole"}
              onChange={(_, to: string | null) => to && setPart(to === "part")}
            >
              <ToggleButton value="whole">the whole film</ToggleButton>
              <ToggleButton value="part" title="Chosen in Score with ( and )">
                the chosen {((range.to - range.from) / production.framesPerSecond).toFixed(1)} s
              </ToggleButton>
            </ToggleButtonGroup>
          </Labelled>
        )}
        <Labelled label="Rate">
          <Select
            fullWidth
            value={rate}
            inputProps={{ "aria-label": "Rate" }}
            onChange={(e) => setRate(e.target.value)}
          >
            {rates.map((r) => (
              <MenuItem key={r} value={r}>
                {Number(rateOf(r).toFixed(3))} fps
                {r === production.rate ? ", as the production" : ""}
              </MenuItem>
            ))}
          </Select>
        </Labelled>
        <Labelled label="Quality">
          <ToggleButtonGroup
            exclusive
            fullWidth
            aria-label="Quality"
            value={quality}
            onChange={(_, to: NewMaster["quality"] | null) => to && setQuality(to)}
          >
            {(["SMALL", "STANDARD", "HIGH"] as const).map((q) => (
              <ToggleButton key={q} value={q}>
                {qualityName[q]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Labelled>
        {film.problems.length > 0 && (
          <Box sx={{ color: ink.rust }}>
            {film.problems.length} to look at in Score: {film.problems[0]?.text}
          </Box>
        )}
        <Box>
          <Button type="submit" variant="contained" color="primary" sx={{ px: 6 }}>
            Render
          </Button>
          <Box component="span" sx={{ ml: 3, color: ink.ink2 }}>
            {(frames / production.framesPerSecond).toFixed(1)} s, MP4, H.264 and AAC
          </Box>
        </Box>
        <Box sx={{ color: ink.ink2 }}>
          <Link href={`/api/productions/${production.id}/film.json`} download>
            The film as a document
          </Link>
          , which <Box component="code">./thistle render</Box> draws in a terminal
        </Box>
      </Box>
    </Box>
  );
}
