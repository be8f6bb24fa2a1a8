import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import { useState } from "react";
import { NumberField } from "../../parts/NumberField";
import { plural } from "../../parts/words";
import { fraunces, ink } from "../../theme";
import { moveName, seconds, type StoryProps } from "./props";
import { ShotForm } from "./ShotForm";

/** The shots in order; one or several at once are changed at the right. */
export function ShotsTab(props: StoryProps) {
  const { story, change } = props;
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const [count, setCount] = useState(0);
  const [dragged, setDragged] = useState<number | null>(null);
  const [over, setOver] = useState<number | null>(null);
  const present = chosen.filter((id) => story.shots.some((s) => s.id === id));
  const only = present.length === 1 ? story.shots.find((s) => s.id === present[0]) : undefined;
  const choose = (id: number, more: boolean, range: boolean) => {
    const last = present.at(-1);
    if (range && last !== undefined) {
      const ids = story.shots.map((s) => s.id);
      const [a, b] = [ids.indexOf(last), ids.indexOf(id)];
      setChosen(ids.slice(Math.min(a, b), Math.max(a, b) + 1));
    } else if (more) {
      setChosen(present.includes(id) ? present.filter((x) => x !== id) : [...present, id]);
    } else {
      setChosen([id]);
    }
  };

  const add = async (after: number) => {
    const now = await change({ method: "POST", path: "shots/add", values: { id: after } });
    const before = new Set(story.shots.map((s) => s.id));
    const added = now.shots.find((s) => !before.has(s.id));
    if (added) setChosen([added.id]);
  };

  return (
    <Box sx={{ height: "100%", display: "flex" }}>
      <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
        <Box sx={{ px: 4, py: 2, display: "flex", gap: 3, alignItems: "center" }}>
          <Button
            variant={story.shots.length === 0 ? "contained" : "outlined"}
            color={story.shots.length === 0 ? "primary" : "inherit"}
            onClick={() =>
              void change({ method: "POST", path: "shots/propose", values: { count } })
            }
          >
            {story.shots.length === 0 ? "Propose shots from the script" : "Propose anew"}
          </Button>
          <NumberField
            label="wanted"
            unit={count === 0 ? "as many shots as the script gives" : "shots"}
            digits={0}
            value={count}
            zero="all"
            onChange={(to) => setCount(Math.max(0, Math.min(400, Math.round(to))))}
          />
          <Box sx={{ flex: 1 }} />
          <Button onClick={() => void add(0)}>Add at the start</Button>
        </Box>
        <Box
          sx={{ flex: 1, overflow: "auto", borderTop: `1px solid ${ink.rule}` }}
          data-testid="story-shots"
        >
          {story.shots.length === 0 && (
            <Box sx={{ p: 20, maxWidth: 560, ...fraunces, fontSize: 22, lineHeight: "30px" }}>
              No shots yet. They can be proposed from the script, or added one by one.
            </Box>
          )}
          {story.shots.map((s) => {
            const on = present.includes(s.id);
            const line = story.lines[s.line - 1];
            return (
              <Box
                key={s.id}
                component="section"
                aria-label={`Shot ${s.number}`}
                draggable
                onDragStart={() => setDragged(s.id)}
                onDragEnd={() => {
                  setDragged(null);
                  setOver(null);
                }}
                onDragOver={(e) => {
                  if (dragged !== null) {
                    e.preventDefault();
                    setOver(s.id);
                  }
                }}
                onDrop={() => {
                  if (dragged !== null && dragged !== s.id)
                    void change({
                      method: "POST",
                      path: "shots/move",
                      values: { id: dragged, after: s.id },
                    });
                }}
                onClick={(e) => choose(s.id, e.ctrlKey || e.metaKey, e.shiftKey)}
                sx={{
                  display: "flex",
                  gap: 3,
                  px: 4,
                  py: "6px",
                  cursor: "default",
                  borderBottom: `1px solid ${over === s.id ? ink.thistle : ink.rule}`,
                  bgcolor: on ? ink.thistleWash : "transparent",
                  "&:hover": { bgcolor: on ? ink.thistleWash : ink.paper },
                }}
              >
                <Checkbox
                  size="small"
                  checked={on}
                  onClick={(e) => e.stopPropagation()}
                  onChange={() => choose(s.id, true, false)}
                  slotProps={{ input: { "aria-label": `Choose shot ${s.number}` } }}
                  sx={{ p: 0, height: 20 }}
                />
                <Box sx={{ ...fraunces, width: 44, fontSize: 17, lineHeight: "20px" }}>
                  {s.number}
                </Box>
                <Box sx={{ flex: 1, minWidth: 0 }}>
                  <Box sx={{ fontWeight: 600, color: s.seen ? ink.ink : ink.ink3 }}>
                    {s.seen || "say what is seen"}
                  </Box>
                  <Box sx={{ typography: "body2", color: ink.ink2 }}>
                    {[s.where, s.who.join(", "), s.mood, s.lettering && `“${s.lettering}”`]
                      .filter(Boolean)
                      .join(" · ")}
                  </Box>
                </Box>
                <Box sx={{ width: 215, flex: "none", typography: "body2", color: ink.ink2 }}>
                  {line ? (
                    <Box sx={{ color: ink.thistleDeep }}>
                      {line.number}. {line.text}
                    </Box>
                  ) : (
                    "no voice"
                  )}
                </Box>
                <Box sx={{ width: 74, flex: "none" }}>{moveName(s.move)}</Box>
                <Box sx={{ width: 46, flex: "none", textAlign: "right" }}>{seconds(s.seconds)}</Box>
              </Box>
            );
          })}
        </Box>
      </Box>
      <Box
        sx={{
          width: 376,
          flex: "none",
          borderLeft: `1px solid ${ink.rule2}`,
          bgcolor: ink.paper,
          overflow: "auto",
        }}
      >
        {present.length === 0 ? (
          <Box sx={{ p: 4, color: ink.ink2 }}>
            Choose a shot to write down what is seen, who, where, and what the camera does. Ctrl and
            Shift choose several, which are then changed together. Drag a shot to reorder it.
          </Box>
        ) : (
          <>
            <Box sx={{ px: 4, pt: 3, display: "flex", gap: 2, flexWrap: "wrap" }}>
              <Box component="h2" sx={{ typography: "h2", m: 0, width: "100%" }}>
                {only ? `Shot ${only.number}` : `${plural(present.length, "shot")} at once`}
              </Box>
              {only && (
                <>
                  <Button onClick={() => void add(only.id)}>Add after</Button>
                  <Button
                    onClick={() =>
                      void change({ method: "POST", path: "shots/split", values: { id: only.id } })
                    }
                  >
                    Split
                  </Button>
                  {story.shots.at(-1)?.id !== only.id && (
                    <Button
                      onClick={() =>
                        void change({ method: "POST", path: "shots/join", values: { id: only.id } })
                      }
                    >
                      Join with next
                    </Button>
                  )}
                </>
              )}
              <Button
                onClick={() => {
                  void change({
                    method: "POST",
                    path: "shots/remove",
                    values: { ids: [...present] },
                  });
                  setChosen([]);
                }}
              >
                Remove
              </Button>
            </Box>
            <ShotForm key={present.join()} {...props} ids={present} />
          </>
        )}
      </Box>
    </Box>
  );
}
