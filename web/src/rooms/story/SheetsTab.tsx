import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Select from "@mui/material/Select";
import type { ReactNode } from "react";
import { takeFrameUrl, type Sheets } from "../../api/client";
import { useMaterial } from "../../api/queries";
import { KeptText } from "../../parts/KeptText";
import { plural } from "../../parts/words";
import { ink } from "../../theme";
import type { StoryProps } from "./props";

const LOOK: [keyof Sheets["look"], string][] = [
  ["lens", "Lens"],
  ["film", "Film"],
  ["light", "Light"],
  ["grade", "Grade"],
  ["tone", "Tone"],
  ["shape", "Picture shape"],
];

/** People, places and the look, which go into every prompt. */
export function SheetsTab({ production, story, change }: StoryProps) {
  const sheets = story.sheets;
  const material = useMaterial(production.id).data;
  const set = (to: Partial<Sheets>) =>
    void change({ method: "PUT", path: "sheets", values: { sheets: { ...sheets, ...to } } });
  const named = new Set(sheets.people.map((p) => p.name.toLowerCase()));
  const missing = [...new Set(story.shots.flatMap((s) => s.who))].filter(
    (n) => !named.has(n.toLowerCase()),
  );
  const places = [...new Set(story.shots.map((s) => s.where).filter(Boolean))].filter(
    (n) => !sheets.places.some((p) => p.name.toLowerCase() === n.toLowerCase()),
  );
  const ready = (material?.shots ?? []).flatMap((s) =>
    s.takes.filter((t) => t.state === "READY").map((t) => ({ shot: s.label, take: t })),
  );
  const used = (name: string) =>
    story.shots.filter((s) => s.who.some((w) => w.toLowerCase() === name.toLowerCase())).length;
  return (
    <Box sx={{ height: "100%", overflow: "auto", px: 8, py: 4 }}>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", columnGap: 12 }}>
        <Box>
          <Head name="People">
            {missing.map((n) => (
              <Button
                key={n}
                onClick={() =>
                  set({
                    people: [...sheets.people, { name: n, looks: "", clothes: "", picture: "" }],
                  })
                }
              >
                Add {n}, who is in the shots
              </Button>
            ))}
            <Button
              onClick={() =>
                set({
                  people: [
                    ...sheets.people,
                    {
                      name: `Person ${sheets.people.length + 1}`,
                      looks: "",
                      clothes: "",
                      picture: "",
                    },
                  ],
                })
              }
            >
              Add a person
            </Button>
          </Head>
          {sheets.people.map((p, i) => {
            const put = (to: object) =>
              set({ people: sheets.people.map((q, j) => (j === i ? { ...q, ...to } : q)) });
            const shown = ready.find((r) => String(r.take.id) === p.picture)?.take;
            return (
              <Box
                key={i}
                component="section"
                aria-label={`Sheet of ${p.name}`}
                sx={{ display: "flex", gap: 4, py: 3, borderTop: `1px solid ${ink.rule}` }}
              >
                <Box sx={{ width: 128, flex: "none" }}>
                  <Box sx={{ height: 72, bgcolor: ink.well, mb: 1 }}>
                    {shown && (
                      <img
                        src={takeFrameUrl(production.id, shown.id, shown.frames * 0.4, 144)}
                        alt={p.name}
                        style={{ width: "100%", height: "100%", objectFit: "cover" }}
                      />
                    )}
                  </Box>
                  <Select
                    fullWidth
                    displayEmpty
                    value={shown ? p.picture : ""}
                    inputProps={{ "aria-label": `Picture of ${p.name}` }}
                    onChange={(e) => put({ picture: e.target.value })}
                  >
                    <MenuItem value="">no picture</MenuItem>
                    {ready.map((r) => (
                      <MenuItem key={r.take.id} value={String(r.take.id)}>
                        {r.shot}, take {r.take.number}
                      </MenuItem>
                    ))}
                  </Select>
                </Box>
                <Box sx={{ flex: 1, display: "grid", gap: 2 }}>
                  <KeptText label="Name" value={p.name} onChange={(name) => put({ name })} />
                  <KeptText label="Looks" value={p.looks} onChange={(looks) => put({ looks })} />
                  <KeptText
                    label="Clothes"
                    value={p.clothes}
                    onChange={(clothes) => put({ clothes })}
                  />
                  <Box sx={{ display: "flex", alignItems: "center", color: ink.ink2 }}>
                    <Box sx={{ flex: 1 }}>in {plural(used(p.name), "shot")}</Box>
                    <Button
                      onClick={() => set({ people: sheets.people.filter((_, j) => j !== i) })}
                    >
                      Remove
                    </Button>
                  </Box>
                </Box>
              </Box>
            );
          })}
        </Box>
        <Box>
          <Head name="Look of the whole film" />
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: "1fr 1fr",
              gap: 2,
              py: 3,
              borderTop: `1px solid ${ink.rule}`,
            }}
          >
            {LOOK.map(([key, label]) => (
              <KeptText
                key={key}
                label={label}
                value={sheets.look[key]}
                onChange={(to) => set({ look: { ...sheets.look, [key]: to } })}
              />
            ))}
          </Box>
          <KeptText
            label="Never show (with commas between)"
            value={sheets.exclusions.join(", ")}
            onChange={(to) =>
              set({
                exclusions: to
                  .split(",")
                  .map((x) => x.trim())
                  .filter(Boolean),
              })
            }
          />
          <Box sx={{ height: 20 }} />
          <Head name="Places">
            {places.slice(0, 2).map((n) => (
              <Button
                key={n}
                onClick={() => set({ places: [...sheets.places, { name: n, looks: "" }] })}
              >
                Add {n}
              </Button>
            ))}
            <Button
              onClick={() =>
                set({
                  places: [
                    ...sheets.places,
                    { name: `Place ${sheets.places.length + 1}`, looks: "" },
                  ],
                })
              }
            >
              Add a place
            </Button>
          </Head>
          {sheets.places.map((p, i) => {
            const put = (to: object) =>
              set({ places: sheets.places.map((q, j) => (j === i ? { ...q, ...to } : q)) });
            return (
              <Box
                key={i}
                sx={{
                  display: "grid",
                  gridTemplateColumns: "150px 1fr auto",
                  gap: 2,
                  py: 2,
                  borderTop: `1px solid ${ink.rule}`,
                  alignItems: "end",
                }}
              >
                <KeptText label="Place" value={p.name} onChange={(name) => put({ name })} />
                <KeptText label="Looks" value={p.looks} onChange={(looks) => put({ looks })} />
                <Button onClick={() => set({ places: sheets.places.filter((_, j) => j !== i) })}>
                  Remove
                </Button>
              </Box>
            );
          })}
        </Box>
      </Box>
    </Box>
  );
}

function Head({ name, children }: { name: string; children?: ReactNode }) {
  return (
    <Box sx={{ display: "flex", gap: 2, alignItems: "center", mb: 2, minHeight: 28 }}>
      <Box component="h2" sx={{ typography: "h2", m: 0, flex: 1 }}>
        {name}
      </Box>
      {children}
    </Box>
  );
}
