import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import { useEffect, useRef, useState } from "react";
import { under } from "../../api/client";
import { useServices } from "../../api/queries";
import { usePrompts } from "../../api/story";
import { NotYet } from "../../parts/NotYet";
import { useKeys } from "../../parts/keys";
import { useNotice } from "../../parts/notice";
import { fraunces, ink } from "../../theme";
import { AS_THEY_ARE, type StoryProps } from "./props";

/** The prompt of every shot for a service; copied one after the other with one key. */
export function PromptsTab({ production, story, change }: StoryProps) {
  const reading = useServices();
  const services = reading.data ?? [];
  const [name, setName] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const tell = useNotice((s) => s.tell);
  const service = services.find((s) => s.profile.name === name) ?? services[1] ?? services[0];
  const prompts = usePrompts(production.id, service?.profile.name, story.revision).data ?? [];
  const rows = useRef<HTMLDivElement>(null);

  const tick = (shot: number, on: boolean) =>
    change({
      method: "PUT",
      path: "given-out",
      values: {
        givenOut: on
          ? [...new Set([...story.givenOut, shot])]
          : story.givenOut.filter((x) => x !== shot),
      },
    });

  /** Lists a person as seen in a shot, with a sheet to be filled in where there is none. */
  const see = async (shot: number, name: string, sheet: boolean) => {
    if (!sheet) {
      const person = { name, looks: "", clothes: "", picture: "" };
      const people = [...story.sheets.people, person];
      await change({
        method: "PUT",
        path: "sheets",
        values: { sheets: { ...story.sheets, people } },
      });
      tell(`${name} has a sheet now; say in Sheets how ${name} looks.`);
    }
    const who = [...(story.shots.find((s) => s.id === shot)?.who ?? []), name];
    await change({
      method: "POST",
      path: "shots/change",
      values: { ids: [shot], fields: { ...AS_THEY_ARE, who } },
    });
  };

  const copy = async (index: number) => {
    const prompt = prompts[index];
    if (!prompt) return;
    try {
      await navigator.clipboard.writeText(prompt.text);
    } catch {
      tell("The browser did not let the prompt be copied; select its text instead.", "wrong");
      return;
    }
    await tick(prompt.shot, true);
    setAt(Math.min(index + 1, prompts.length - 1));
  };

  const go = (by: 1 | -1) => () => setAt((i) => Math.max(0, Math.min(prompts.length - 1, i + by)));
  useKeys([
    {
      name: "Prompts",
      keys: [
        {
          shown: "C",
          says: "copy the prompt, tick it, go to the next",
          acts: { C: () => void copy(at) },
        },
        {
          shown: "↑ ↓",
          says: "the prompt before, after",
          acts: { ArrowUp: go(-1), ArrowDown: go(1) },
        },
      ],
    },
  ]);

  useEffect(() => {
    rows.current?.querySelector(`[data-row="${at}"]`)?.scrollIntoView({ block: "nearest" });
  }, [at]);

  if (!service) return <NotYet panel what="The list of services" of={[reading]} />;
  const { profile } = service;
  const file = (kind: string) =>
    `${under(production.id)}/story/prompts.${kind}?service=${encodeURIComponent(profile.name)}`;
  const flagged = prompts.filter((p) => p.flags.length > 0).length;
  return (
    <Box sx={{ height: "100%", display: "flex", flexDirection: "column" }}>
      <Box sx={{ px: 4, py: 2, display: "flex", gap: 3, alignItems: "center" }}>
        <Box sx={{ color: ink.ink2 }}>for</Box>
        <Select
          value={profile.name}
          inputProps={{ "aria-label": "Service" }}
          onChange={(e) => setName(e.target.value)}
        >
          {services.map((s) => (
            <MenuItem key={s.id} value={s.profile.name}>
              {s.profile.name}
            </MenuItem>
          ))}
        </Select>
        <Box sx={{ color: ink.ink2 }}>
          {profile.kind === "STILL" ? "stills" : "clips"}, up to {profile.longestPrompt} characters,{" "}
          {profile.shapes.join(" ")}
          {profile.lengths.length > 0 &&
            `, ${profile.lengths.join(" or ")} s at ${profile.rate} fps`}
        </Box>
        <Box sx={{ flex: 1 }} />
        {flagged > 0 && <Box sx={{ color: ink.rust }}>{flagged} to look at</Box>}
        <Button component="a" href={file("txt")}>
          All as text
        </Button>
        <Button component="a" href={file("csv")}>
          All as CSV
        </Button>
      </Box>
      <Box
        ref={rows}
        sx={{ flex: 1, overflow: "auto", borderTop: `1px solid ${ink.rule}` }}
        data-testid="prompts"
      >
        {prompts.length === 0 && (
          <Box sx={{ p: 20, ...fraunces, fontSize: 22 }}>
            No shots yet, so there is nothing to ask for. Begin with the shots.
          </Box>
        )}
        {prompts.map((p, i) => (
          <Box
            key={p.shot}
            component="section"
            aria-label={`Prompt of shot ${p.number}`}
            data-row={i}
            onClick={() => setAt(i)}
            sx={{
              display: "flex",
              gap: 4,
              px: 4,
              py: 2,
              borderBottom: `1px solid ${ink.rule}`,
              boxShadow: i === at ? `inset 4px 0 0 ${ink.thistle}` : "none",
              bgcolor: i === at ? ink.thistleWash : "transparent",
            }}
          >
            <Box sx={{ ...fraunces, width: 46, fontSize: 21, lineHeight: "26px" }}>{p.number}</Box>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Box sx={{ fontSize: 14, lineHeight: "20px", userSelect: "text" }}>{p.text}</Box>
              {p.exclusion !== "" && (
                <Box sx={{ typography: "body2", color: ink.ink2 }}>not: {p.exclusion}</Box>
              )}
              {p.dropped.length > 0 && (
                <Box sx={{ typography: "body2", color: ink.ink2 }}>
                  too long, left out: {p.dropped.map((d) => `${d.name} (${d.text})`).join("; ")}
                </Box>
              )}
              {p.named.map(({ name, sheet }) => (
                <Box key={name} sx={{ typography: "body2", color: ink.rust }}>
                  {sheet
                    ? `${name} is named but not listed as seen, so the looks are missing.`
                    : `${name} is named and has no sheet, so the face will change from shot to shot.`}
                  <Button sx={{ ml: 2 }} onClick={() => void see(p.shot, name, sheet)}>
                    {sheet ? "Add to who is seen" : "Add a sheet"}
                  </Button>
                </Box>
              ))}
              {p.flags.map((f) => (
                <Box key={f} sx={{ typography: "body2", color: ink.rust }}>
                  {f}
                </Box>
              ))}
            </Box>
            <Box sx={{ width: 60, textAlign: "right", color: ink.ink2 }}>
              {p.text.length}
              <Box component="span" sx={{ color: ink.ink2 }}>
                {" "}
                of {profile.longestPrompt}
              </Box>
            </Box>
            <Box sx={{ width: 118, flex: "none" }}>
              <Button onClick={() => void copy(i)} fullWidth>
                {i === at ? "Copy, next: C" : "Copy"}
              </Button>
              <FormControlLabel
                label="given out"
                sx={{ m: 0, "& .MuiFormControlLabel-label": { fontSize: 12 } }}
                control={
                  <Checkbox
                    size="small"
                    sx={{ p: "3px" }}
                    checked={p.givenOut}
                    onChange={(e) => void tick(p.shot, e.target.checked)}
                  />
                }
              />
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
