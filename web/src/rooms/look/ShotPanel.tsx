import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { gradeUrl, looksUrl, type Look, type LookShot } from "../../api/client";
import { fraunces } from "../../theme";
import { CurvePanel } from "./CurvePanel";
import { FinishPanel } from "./FinishPanel";
import { FiveSliders } from "./FiveSliders";
import { GreyToggle } from "./GreyToggle";
import { LightWithin } from "./LightWithin";
import { ListPanel } from "./ListPanel";
import { RangePanel } from "./RangePanel";
import { TonesPanel } from "./TonesPanel";
import { isCurved, isListed, isToned } from "./corrections";
import { grey, greyButton } from "./grey";
import { hasKey, type Key } from "./key";
import type { Stretch } from "./stretch";
import { triedOn, type LookActions } from "./useLookActions";

export type Side = "numbers" | "tones" | "curves" | "ranges" | "list" | "finish";

interface Props {
  production: number;
  look: Look;
  shown: LookShot;
  last: LookShot | undefined;
  /** What the shown one is to look like. */
  chosenKey: Key | null;
  far: readonly LookShot[];
  selected: readonly string[];
  actions: LookActions;
  side: Side;
  /** Which of the shot's ranges is shown. */
  range: number;
  picking: boolean;
  /** From the first of the selected shots to the last; null if none is of the cut. */
  stretch: Stretch | null;
  /** Whether the finish of that is shown, not the film's. */
  overShots: boolean;
  onOverShots: (over: boolean) => void;
  onSide: (side: Side) => void;
  onRange: (at: number) => void;
  onPick: () => void;
  onChoose: (item: string) => void;
}

/** What is done to the colour of the shot that is shown, and to the film's. */
export function ShotPanel(props: Props) {
  const { production, look, shown, selected, actions, side, stretch } = props;
  const overShots = props.overShots && stretch !== null;
  const { trial } = actions;
  const now = triedOn(trial, shown);
  const tried = (item: string) =>
    trial?.of === "finish" && trial.item === item ? trial.treatments : null;
  const finish = tried("") ?? look.finish;
  const { tones } = now;
  const dot = (on: boolean) => (on ? " \u2022" : "");
  return (
    <>
      <Box sx={{ my: 1 }}>
        <GreyToggle
          label="What is shown"
          value={side}
          options={[
            { value: "numbers", name: "Numbers" },
            { value: "tones", name: `Tones${dot(isToned(tones))}` },
            { value: "curves", name: `Curves${dot(isCurved(tones.curves))}` },
            { value: "ranges", name: `Ranges${dot(now.ranges.length > 0)}` },
            { value: "list", name: `List${dot(isListed(now.cdl))}` },
            { value: "finish", name: `Finish${dot(look.finish.length > 0)}` },
          ]}
          onChange={props.onSide}
        />
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, overflow: "auto" }}>
        {side === "finish" ? (
          <>
            {stretch && (
              <Box sx={{ mb: 1 }}>
                <GreyToggle
                  label="What the finish lies over"
                  value={overShots ? "shots" : "film"}
                  options={[
                    { value: "film", name: "The film" },
                    {
                      value: "shots",
                      name: `${name(props)}${dot(stretch.treatments.length > 0)}`,
                    },
                  ]}
                  onChange={(to) => props.onOverShots(to === "shots")}
                />
              </Box>
            )}
            <FinishPanel
              key={overShots ? "shots" : "film"}
              production={production}
              revision={look.revision}
              frame={shown.frame}
              treatments={overShots ? (tried(stretch.item ?? "-") ?? stretch.treatments) : finish}
              item={(overShots ? stretch.item : null) ?? ""}
              over={overShots ? name(props) : null}
              clipped={overShots ? 0 : look.clipped}
              onMove={(to) => {
                if (!overShots) actions.tryFinish("", to);
                else if (stretch.item !== null) actions.tryFinish(stretch.item, to);
              }}
              onSet={(to) => (overShots ? actions.finishStretch(stretch, to) : actions.finish(to))}
              onTable={(file) =>
                overShots ? actions.tableOver(stretch, file) : actions.bringIn([""], file)
              }
            />
          </>
        ) : (
          <>
            <Box
              component="h3"
              sx={{ ...fraunces, m: 0, mb: 1, fontSize: 17, lineHeight: "24px", fontWeight: 460 }}
            >
              {shown.label} {shown.title}
            </Box>
            {side === "numbers" && (
              <FiveSliders
                five={now.basics}
                onMove={(basics) => actions.tryCorrection({ ...now, basics })}
                onSet={(basics) => actions.correct({ ...now, basics })}
              />
            )}
            {side === "tones" && (
              <TonesPanel
                tones={tones}
                onMove={(to) => actions.tryCorrection({ ...now, tones: to })}
                onSet={(to) => actions.correct({ ...now, tones: to })}
              />
            )}
            {side === "curves" && (
              <CurvePanel
                curves={tones.curves}
                onMove={(curves) => actions.tryCorrection({ ...now, tones: { ...tones, curves } })}
                onSet={(curves) => actions.correct({ ...now, tones: { ...tones, curves } })}
              />
            )}
            {side === "ranges" && (
              <RangePanel
                ranges={now.ranges}
                open={props.range}
                picking={props.picking}
                onOpen={props.onRange}
                onPick={props.onPick}
                onMask={(at, kind) => {
                  props.onRange(at);
                  actions.maskRange(at, kind);
                }}
                onMove={(ranges) => actions.tryCorrection({ ...now, ranges })}
                onSet={(ranges) => actions.correct({ ...now, ranges })}
              />
            )}
            {side === "list" && (
              <ListPanel
                list={now.cdl}
                files={{
                  cdl: gradeUrl(production, shown.item, "cdl"),
                  cube: gradeUrl(production, shown.item, "cube"),
                  all: looksUrl(production),
                }}
                onSet={(cdl) => actions.correct({ ...now, cdl })}
                onBringIn={(file) => actions.bringIn(selected, file)}
              />
            )}
            <ShotActs {...props} />
            {side === "numbers" && (
              <LightWithin
                key={shown.item}
                production={production}
                revision={look.revision}
                shown={shown}
                onLevel={(strength) => actions.level(selected, strength)}
              />
            )}
            {hasKey(look) && shown.layer === 0 && <FromKey {...props} />}
          </>
        )}
      </Box>
    </>
  );
}

/** The selected shots, as they are called. */
function name({ look, selected }: Props): string {
  const labels = look.shots.filter((s) => selected.includes(s.item)).map((s) => s.label);
  const last = labels.at(-1);
  return labels.length > 1 ? `${labels[0]} to ${last}` : `${last}`;
}

function ShotActs({ look, shown, last, selected, actions }: Props) {
  const count = selected.length > 1 ? ` ${selected.length}` : "";
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mt: 2 }}>
      <Button sx={greyButton} title="0" onClick={() => actions.uncorrect(selected)}>
        As {count ? `they${count}` : "it"} came
      </Button>
      {last && (
        <Button sx={greyButton} title="C" onClick={() => actions.correctAs(selected, last.item)}>
          As the shot before
        </Button>
      )}
      <Button sx={greyButton} title="Y" onClick={actions.copy}>
        Copy
      </Button>
      {actions.copied && actions.copied !== shown && (
        <Button
          sx={greyButton}
          title="V"
          onClick={() => actions.copied && actions.correctAs(selected, actions.copied.item)}
        >
          As {actions.copied.label}, copied
          {count ? `, to${count}` : ""}
        </Button>
      )}
      {hasKey(look) && shown.layer === 0 && (
        <Button
          sx={greyButton}
          title="M"
          disabled={actions.working}
          onClick={() => actions.match(selected)}
        >
          Match {count ? `these${count}` : "this shot"}
        </Button>
      )}
      {shown.layer === 0 && shown.keyOf === "NONE" && (
        <Button sx={greyButton} title="E" onClick={() => actions.makeKey(false)}>
          Make it the key{shown.group ? " of its group" : ""}
        </Button>
      )}
      {shown.layer === 0 && shown.group && shown.keyOf !== "FILM" && (
        <Button sx={greyButton} onClick={() => actions.makeKey(true)}>
          Key of the film
        </Button>
      )}
    </Box>
  );
}

const MEASURED = "The others are measured from it.";

function FromKey({ shown, chosenKey, far, onChoose }: Props) {
  return (
    <Box sx={{ mt: 3, pt: 2, borderTop: `1px solid ${grey.rule}`, fontSize: 14 }}>
      {chosenKey && (
        <Box sx={{ fontWeight: 600 }}>
          {chosenKey.name.charAt(0).toUpperCase() + chosenKey.name.slice(1)}
          {chosenKey.title && `, ${chosenKey.title}`}
        </Box>
      )}
      <Box sx={{ color: grey.text2 }}>{chosenKey ? away(shown) : MEASURED}</Box>
      {far.length > 0 && (
        <Box sx={{ mt: 2, display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2 }}>
          Furthest now:
          {far.slice(0, 3).map((s) => (
            <Button key={s.item} sx={greyButton} onClick={() => onChoose(s.item)}>
              {s.label}, {s.now?.whole.toFixed(1)}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}

function away(shown: LookShot): string {
  if (shown.keyOf === "GROUP") {
    return "Its group is measured from this shot, and led towards that.";
  }
  if (!shown.before || !shown.now) return MEASURED;
  return `${shown.label} came ${shown.before.whole.toFixed(1)} away from it and is ${shown.now.whole.toFixed(1)} away now (CIEDE2000).`;
}
