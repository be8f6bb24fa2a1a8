import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import OutlinedInput from "@mui/material/OutlinedInput";
import Select from "@mui/material/Select";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState, type FormEvent } from "react";
import { stillUrl, api, type Film, type NewMaster, type Production } from "../../api/client";
import { useChange } from "../../api/queries";
import { Labelled } from "../../parts/Labelled";
import { ink } from "../../theme";
import { qualityName } from "./quality";
import { rateOf } from "./MasterRow";

const RATES = ["24", "24000/1001", "25", "30000/1001", "30"];

/** What to render. */
export function OrderForm({ production, film }: { production: Production; film: Film }) {
  const [name, setName] = useState(production.title);
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
  const short = Math.min(production.width, production.height);
  const submit = (e: FormEvent) => {
    e.preventDefault();
    order.mutate({ name, size, rate, quality });
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
            src={stillUrl(production.id, film.revision, Math.floor(film.length / 2))}
            alt="The middle of the film"
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
        <Labelled label="Size">
          <ToggleButtonGroup
            exclusive
            fullWidth
            aria-label="Size"
            value={size}
            onChange={(_, to: NewMaster["size"] | null) => to && setSize(to)}
          >
            <ToggleButton value="PRODUCTION">
              {production.width}×{production.height}
            </ToggleButton>
            {short !== 1080 && <ToggleButton value="HD_1080">1080p</ToggleButton>}
            {short !== 720 && <ToggleButton value="HD_720">720p</ToggleButton>}
          </ToggleButtonGroup>
        </Labelled>
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
            {(film.length / production.framesPerSecond).toFixed(1)} s, MP4, H.264 and AAC
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
