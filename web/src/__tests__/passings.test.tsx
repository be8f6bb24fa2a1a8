// @vitest-environment jsdom
import { ThemeProvider } from "@mui/material/styles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Film, Joint, Passing, PassingKind, Take } from "../api/client";
import { keys } from "../api/queries";
import { TransitionPanel } from "../rooms/score/TransitionPanel";
import { bandOf } from "../rooms/score/band";
import { Ruler, partsFor, stavesOf } from "../rooms/score/layout";
import { PLAIN, aBeatMore, dissolve } from "../rooms/score/passings";
import type { ScoreActions } from "../rooms/score/useScoreActions";
import { useRoom } from "../store";
import { theme } from "../theme";
import { film } from "./film";
import { production, take } from "./server";

const kind = (name: Passing["kind"], parts: PassingKind["parts"] = []): PassingKind => ({
  kind: name,
  parts,
  usual: name === "CUT" ? PLAIN : { ...dissolve(film()), kind: name, softness: 10, angle: 180 },
});
const KINDS = [
  kind("CUT"),
  kind("DISSOLVE"),
  kind("WIPE", ["ANGLE", "SOFTNESS"]),
  kind("LUMA", ["PATTERN"]),
];

/** A film in which the cut into the second shot is a transition. */
function joined(how: Passing, endsShort = 0): Film {
  const made = film(12);
  const joints = made.joints.map((j, i): Joint => {
    const passing = { how, start: j.frame - 6, end: j.frame + 6, endsShort, startsShort: 0 };
    return i === 1 ? { ...j, passing } : j;
  });
  return { ...made, joints };
}

function panel(made: Film, also: number[] = [], takes: Take[] = []) {
  const setTransition = vi.fn();
  const onBorders = vi.fn();
  const mend = vi.fn();
  const actions = { setTransition, onBorders, mend } as unknown as ScoreActions;
  const client = new QueryClient();
  client.setQueryData(keys.transitions, KINDS);
  client.setQueryData(keys.material(production.id), { shots: [{ takes }] });
  useRoom.setState({ place: 1, also, end: "in" });
  const [, shot] = made.shots;
  if (!shot) throw new Error("no shot");
  render(
    <QueryClientProvider client={client}>
      <ThemeProvider theme={theme}>
        <TransitionPanel production={production} film={made} shot={shot} actions={actions} />
      </ThemeProvider>
    </QueryClientProvider>,
  );
  return { setTransition, onBorders, mend };
}

afterEach(cleanup);

describe("the transition of a cut", () => {
  it("is laid a beat long in its usual manner", () => {
    const { setTransition } = panel(film(12));
    expect(screen.getByLabelText("cut").getAttribute("aria-pressed")).toBe("true");
    fireEvent.click(screen.getByLabelText("wipe"));
    expect(setTransition).toHaveBeenCalledWith(
      [1],
      expect.objectContaining({ kind: "WIPE", amount: 4, unit: "QUARTER_BEATS", softness: 10 }),
    );
  });

  it("keeps its length when another kind is chosen, and takes another one", () => {
    const { setTransition } = panel(joined({ ...dissolve(film()), amount: 8 }));
    fireEvent.click(screen.getByLabelText("wipe"));
    expect(setTransition).toHaveBeenLastCalledWith(
      [1],
      expect.objectContaining({ kind: "WIPE", amount: 8 }),
    );
    fireEvent.click(screen.getByText("½"));
    expect(setTransition).toHaveBeenLastCalledWith([1], expect.objectContaining({ amount: 2 }));
    fireEvent.click(screen.getByText("after"));
    expect(setTransition).toHaveBeenLastCalledWith([1], expect.objectContaining({ lies: "START" }));
  });

  it("goes by a pattern or by a still among the takes", async () => {
    const still = take({ still: true, fileName: "curtain.png", media: "cd".repeat(32) });
    const how: Passing = { ...dissolve(film()), kind: "LUMA", pattern: "RINGS" };
    const { setTransition } = panel(joined(how), [], [still, take()]);
    fireEvent.mouseDown(screen.getByText("rings"));
    fireEvent.click(await screen.findByText("curtain.png"));
    expect(screen.queryByText("shot_010_take1.mp4")).toBeNull();
    expect(setTransition).toHaveBeenCalledWith(
      [1],
      expect.objectContaining({ kind: "LUMA", picture: "cd".repeat(32) }),
    );
    fireEvent.mouseDown(screen.getAllByText("rings")[0] as HTMLElement);
    fireEvent.click(await screen.findByText("clouds"));
    expect(setTransition).toHaveBeenLastCalledWith(
      [1],
      expect.objectContaining({ pattern: "CLOUDS", picture: null }),
    );
  });

  it("is laid on all cuts between the selected shots", () => {
    const { setTransition } = panel(film(12), [1, 2, 3]);
    fireEvent.click(screen.getByLabelText("dissolve"));
    expect(setTransition).toHaveBeenCalledWith(
      [2, 3],
      expect.objectContaining({ kind: "DISSOLVE" }),
    );
  });

  it("says frame by frame what a shot has to spare", () => {
    panel(joined(dissolve(film())));
    expect(screen.getByRole("img", { name: /frames to spare and needs 6/ })).toBeTruthy();
  });

  it("offers what can be done where a shot is short", () => {
    const made = joined(dissolve(film()), 2);
    const problems = [
      {
        kind: "ENDS_SHORT" as const,
        place: 0,
        frames: 2,
        text: "2 f short at its end",
        remedies: [{ kind: "HOLD" as const, name: "Hold its picture", cost: "for 2 f" }],
      },
    ];
    const { mend } = panel({ ...made, problems });
    fireEvent.click(screen.getByText("Hold its picture"));
    expect(mend).toHaveBeenCalledWith(0, "HOLD", "ENDS_SHORT");
  });

  it("goes on all section borders by a button", () => {
    const how = dissolve(film());
    const { onBorders } = panel(joined(how));
    fireEvent.click(screen.getByText("On all section borders"));
    expect(onBorders).toHaveBeenCalledWith(how);
  });
});

describe("a beat more", () => {
  it("adds a beat, or two where the length was counted otherwise", () => {
    const made = film();
    expect(aBeatMore(dissolve(made), made).amount).toBe(8);
    const frames: Passing = { ...dissolve(made), unit: "FRAMES", amount: 7 };
    expect(aBeatMore(frames, made)).toMatchObject({ unit: "QUARTER_BEATS", amount: 8 });
  });
});

describe("two shots that dissolve", () => {
  const cells = (made: Film) => {
    const [stave] = stavesOf(made, 24, 8);
    if (!stave) throw new Error("no stave");
    const shots = made.shots.slice(0, 2);
    return bandOf(shots, () => false, new Ruler(stave, 96), partsFor(227), production, made).cells;
  };

  it("are drawn over one another along a slant", () => {
    const plain = cells(film(12));
    const wedges = cells(joined(dissolve(film())));
    expect(plain.every((c) => c.slant === null)).toBe(true);
    expect(wedges.at(-1)?.slant).not.toBeNull();
    expect(wedges.at(-1)?.x).toBeLessThan(plain.at(-1)?.x ?? 0);
    const wipe = cells(joined({ ...dissolve(film()), kind: "WIPE" }));
    expect(wipe.map((c) => c.x)).toEqual(plain.map((c) => c.x));
  });

  it("are drawn on both staves where one ends on their cut", () => {
    const made = joined(dissolve(film()));
    const cut = made.joints[1]?.frame ?? 0;
    const staves = stavesOf(made, 24, 2);
    const at = staves.findIndex((s) => s.end === cut);
    const on = (i: number) => {
      const stave = staves[i];
      if (!stave) throw new Error("no stave");
      const shots = made.shots.filter((s) => s.start < stave.end && s.end > stave.before);
      const ruler = new Ruler(stave, 96);
      return { ruler, ...bandOf(shots, () => false, ruler, partsFor(227), production, made) };
    };
    const upper = on(at);
    const comes = upper.cells.at(-1);
    expect(comes?.src).toContain(`/takes/${made.shots[1]?.takeId}/`);
    expect(comes?.slant?.from).toBe(upper.ruler.x(cut - 6));
    expect(comes?.slant?.to).toBeGreaterThan(upper.ruler.right);
    const lower = on(at + 1);
    expect(lower.cells[0]?.src).toContain(`/takes/${made.shots[0]?.takeId}/`);
    expect(lower.cells.find((c) => c.slant)?.slant).toEqual({
      from: lower.ruler.x(cut - 6),
      to: lower.ruler.x(cut + 6),
    });
  });
});
