import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answerTo, api, type Profile, type Service } from "../../api/client";
import { KeptText } from "../../parts/KeptText";
import { NumberField } from "../../parts/NumberField";
import { useNotice } from "../../parts/notice";
import { ink } from "../../theme";

const NEW: Profile = {
  name: "",
  kind: "CLIP",
  inputs: ["EXCLUSION", "SEED", "PICTURE", "MOVE"],
  longestPrompt: 500,
  shapes: ["16:9", "9:16"],
  lengths: [5],
  rate: 24,
  height: 720,
  credits: 1,
  allowance: 100,
  period: "DAY",
  atOnce: 1,
  waitSeconds: 5,
  marks: "UNSAID",
};

const INPUTS: [Profile["inputs"][number], string][] = [
  ["EXCLUSION", "what not to show"],
  ["SEED", "a seed"],
  ["PICTURE", "a picture to start from"],
  ["STRENGTH", "strength of motion"],
  ["MOVE", "a camera move"],
];

/** A service's profile, to be changed or added. */
export function ServiceForm({ service, onDone }: { service: Service | null; onDone: () => void }) {
  const [profile, setProfile] = useState<Profile>(service?.profile ?? NEW);
  const [failsEvery, setFailsEvery] = useState(service?.failsEvery ?? 0);
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const set = (to: Partial<Profile>) => setProfile({ ...profile, ...to });
  const kept = { profile, failsEvery };
  const settled = {
    onSuccess: onDone,
    onError: (error: Error) => tell(error.message, "wrong"),
    onSettled: () => void client.invalidateQueries(),
  };
  const save = useMutation({
    mutationFn: () =>
      service
        ? answerTo(
            api.PUT("/api/services/{id}", { params: { path: { id: service.id } }, body: kept }),
          )
        : answerTo(api.POST("/api/services", { body: kept })),
    ...settled,
  });
  const remove = useMutation({
    mutationFn: () =>
      answerTo(api.DELETE("/api/services/{id}", { params: { path: { id: service?.id ?? 0 } } })),
    ...settled,
  });
  const list = (text: string) =>
    text
      .split(/[,;\s]+/)
      .map((x) => x.trim())
      .filter(Boolean);
  const number = (
    key: "longestPrompt" | "rate" | "height" | "credits" | "allowance" | "atOnce" | "waitSeconds",
    label: string,
    unit: string,
    digits = 0,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      digits={digits}
      value={profile[key]}
      onChange={(to) => set({ [key]: digits === 0 ? Math.round(to) : to })}
    />
  );
  return (
    <Box
      sx={{ px: 4, py: 3, display: "grid", gap: 3 }}
      component="section"
      aria-label="Service profile"
    >
      <KeptText label="Name" value={profile.name} onChange={(name) => set({ name })} />
      <ToggleButtonGroup
        exclusive
        value={profile.kind}
        aria-label="It makes"
        onChange={(_, to: Profile["kind"] | null) => to && set({ kind: to })}
      >
        <ToggleButton value="STILL">stills</ToggleButton>
        <ToggleButton value="CLIP">clips</ToggleButton>
      </ToggleButtonGroup>
      <Box>
        <Box sx={{ color: ink.ink2 }}>It takes a prompt, and</Box>
        {INPUTS.map(([input, name]) => (
          <FormControlLabel
            key={input}
            label={name}
            sx={{ display: "flex", m: 0, "& .MuiFormControlLabel-label": { fontSize: 13 } }}
            control={
              <Checkbox
                size="small"
                sx={{ p: "2px", mr: 1 }}
                checked={profile.inputs.includes(input)}
                onChange={(e) =>
                  set({
                    inputs: profile.inputs
                      .filter((other) => other !== input)
                      .concat(e.target.checked ? input : []),
                  })
                }
              />
            }
          />
        ))}
      </Box>
      {number("longestPrompt", "longest prompt", "characters")}
      <KeptText
        label="Picture shapes"
        value={profile.shapes.join(", ")}
        onChange={(to) => set({ shapes: list(to) })}
      />
      {profile.kind === "CLIP" && (
        <>
          <KeptText
            label="Lengths, s"
            value={profile.lengths.join(", ")}
            onChange={(to) => set({ lengths: list(to).map(Number).filter(Number.isFinite) })}
          />
          {number("rate", "pictures a second", "fps")}
        </>
      )}
      {number("height", "shorter side", "pixels")}
      {number(
        "credits",
        profile.kind === "CLIP" ? "price of a second" : "price of a picture",
        "credits",
        1,
      )}
      <Box sx={{ display: "flex", gap: 2 }}>
        {number("allowance", "allowance", "credits a")}
        <ToggleButtonGroup
          exclusive
          value={profile.period}
          aria-label="Allowance for"
          onChange={(_, to: Profile["period"] | null) => to && set({ period: to })}
        >
          <ToggleButton value="DAY">day</ToggleButton>
          <ToggleButton value="MONTH">month</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      {number("atOnce", "works on", "at once")}
      {number("waitSeconds", "usual wait", "s")}
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Box sx={{ color: ink.ink2 }}>Its mark</Box>
        <ToggleButtonGroup
          exclusive
          value={profile.marks}
          aria-label="What its terms say of hiding its mark"
          onChange={(_, to: Profile["marks"] | null) => to && set({ marks: to })}
        >
          <ToggleButton value="UNSAID">terms not looked at</ToggleButton>
          <ToggleButton value="MAY_GO">may go</ToggleButton>
          <ToggleButton value="MUST_STAY">must stay</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <NumberField
        label="the stand-in fails every"
        unit={failsEvery === 0 ? "requests (never)" : "requests"}
        digits={0}
        value={failsEvery}
        onChange={(to) => setFailsEvery(Math.round(to))}
      />
      <Box sx={{ display: "flex", gap: 2 }}>
        <Button variant="contained" color="primary" onClick={() => save.mutate()}>
          {service ? "Keep the changes" : "Add the service"}
        </Button>
        <Button onClick={onDone}>Leave it</Button>
        <Box sx={{ flex: 1 }} />
        {service && <Button onClick={() => remove.mutate()}>Remove</Button>}
      </Box>
    </Box>
  );
}
