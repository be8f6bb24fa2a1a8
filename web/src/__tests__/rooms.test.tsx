// @vitest-environment jsdom
import { ThemeProvider } from "@mui/material/styles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Film, Master, Material, Output, Take } from "../api/client";
import type { FilmEdit } from "../api/filmEdits";
import { useFilmEdit } from "../api/useFilmEdit";
import { MeetingDialog } from "../parts/meeting";
import { NoticeLine } from "../parts/notice";
import { OutputRow } from "../rooms/master/OutputRow";
import { FilmCard } from "../rooms/score/FilmCard";
import { Foot } from "../rooms/score/Foot";
import { ShotCard } from "../rooms/score/ShotCard";
import { StaveView } from "../rooms/score/StaveView";
import { Ruler, partsFor, stavesOf } from "../rooms/score/layout";
import type { ScoreActions } from "../rooms/score/useScoreActions";
import { act, renderHook } from "@testing-library/react";
import { ShotRow } from "../rooms/takes/ShotRow";
import { useRoom } from "../store";
import { theme } from "../theme";
import { film } from "./film";
import { output } from "./output";
import { production, take } from "./server";

const material = (takes: Take[]): Material => ({
  shots: [
    {
      id: 100,
      label: "010",
      scene: "",
      number: "10",
      title: "Shot 1",
      pick: 200,
      storyShot: 1,
      held: false,
      asked: "PUSH_IN",
      wantedSeconds: 3,
      who: [],
      takes,
    },
  ],
  missing: [],
  doubled: [],
  refusals: [],
});

let answers: { status: number; body: unknown }[] = [];
let asked: { method: string; path: string; body: unknown }[] = [];

beforeEach(() => {
  answers = [];
  asked = [];
  vi.spyOn(HTMLCanvasElement.prototype, "getContext").mockReturnValue(null);
  vi.stubGlobal(
    "fetch",
    vi.fn(async (request: Request) => {
      const text = await request.text();
      const body: unknown = text === "" ? null : JSON.parse(text);
      asked.push({ method: request.method, path: new URL(request.url).pathname, body });
      const next = answers.shift() ?? { status: 200, body: film() };
      return new Response(JSON.stringify(next.body), { status: next.status });
    }),
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  useRoom.setState({ frame: 0, place: null, end: "in", slipping: false, playing: false });
});

function inside(children: ReactNode, client = new QueryClient()) {
  return (
    <QueryClientProvider client={client}>
      <ThemeProvider theme={theme}>
        <MemoryRouter>{children}</MemoryRouter>
      </ThemeProvider>
    </QueryClientProvider>
  );
}

const noActions = () =>
  new Proxy({} as Record<string, ReturnType<typeof vi.fn>>, {
    get: (kept, name: string) => (kept[name] ??= vi.fn()),
  }) as unknown as ScoreActions & Record<string, ReturnType<typeof vi.fn>>;

describe("a stave", () => {
  const drawn = (made: Film, line: number, selected: number | null = null) => {
    const staves = stavesOf(made, 24, 8);
    const stave = staves[line];
    if (!stave) throw new Error("no stave");
    const { container } = render(
      <StaveView
        production={production}
        film={made}
        outline={null}
        ruler={new Ruler(stave, 96)}
        parts={partsFor(680 / staves.length)}
        top={0}
        width={904}
        isLast={line === staves.length - 1}
        selected={selected}
        also={[]}
        laid={null}
        selectedEnd="in"
        aim={null}
      />,
    );
    return container;
  };

  it("draws a dot for a downbeat, a ring for a beat and a cup for a free cut", () => {
    const made = film();
    const joints = made.joints.map((j, i) => {
      if (i === 2) return { ...j, downbeat: false };
      return i === 3 ? { ...j, tie: "FREE" as const, beat: -1 } : j;
    });
    const stave = drawn({ ...made, joints }, 0);
    const heads = (kind: string) => {
      const d = stave.querySelector(`[data-head="${kind}"]`)?.getAttribute("d") ?? "";
      return [...d.matchAll(/M([\d.]+) /g)].map((m) => Number(m[1]));
    };
    // Bars are 96 px wide and there is a cut every two; a ring is 3.9 px, a cup 4.2 to either side.
    expect(heads("downbeat")).toEqual([121.2 + 192 - 4.5]);
    expect(heads("beat")).toEqual([121.2 + 384 - 3.9]);
    expect(heads("free")).toEqual([121.2 + 576 - 4.2]);
  });

  it("says how far a cut is off its beat, and how short a shot is", () => {
    const made = film();
    const joints = made.joints.map((j, i) =>
      i === 1 ? { ...j, offset: -3, frame: j.frame - 3 } : j,
    );
    const problems = [
      { kind: "OUT_OF_MATERIAL" as const, place: 1, frames: 4, text: "4 f short", remedies: [] },
    ];
    const svg = drawn({ ...made, joints, problems }, 0);
    expect(svg.textContent).toContain("−3 f");
    expect(svg.textContent).toContain("4 f short");
  });

  it("repeats a shot that crosses a line end, with its number marked", () => {
    const made = film();
    // Shot 5 runs from frame 396 to 492 but bar 9 begins at 396, so move its cut one bar on.
    const joints = made.joints.map((j, i) => (i === 4 ? { ...j, frame: 444 } : j));
    const shots = made.shots.map((s) =>
      s.place === 3 ? { ...s, end: 444 } : s.place === 4 ? { ...s, start: 444 } : s,
    );
    const svg = drawn({ ...made, joints, shots }, 1);
    expect(svg.textContent).toContain("…040");
    expect(svg.querySelector('[fill="url(#catch-up)"]')).not.toBeNull();
  });

  it("frames the selected shot and fades the end", () => {
    const made = film();
    expect(drawn(made, 0, 1).querySelectorAll('rect[stroke="#7A4A92"]')).toHaveLength(1);
    cleanup();
    const last = drawn(made, 2);
    expect(last.querySelector('path[fill="#000"]')).not.toBeNull();
  });
});

describe("the foot", () => {
  it("counts cuts and steps through problems", () => {
    const problems = [
      {
        kind: "OUT_OF_MATERIAL" as const,
        place: 2,
        frames: 4,
        text: "Shot 030 is 4 f short",
        remedies: [],
      },
      {
        kind: "TAKE_MISSING" as const,
        place: 5,
        frames: 0,
        text: "Shot 060 has lost its take",
        remedies: [],
      },
    ];
    render(inside(<Foot production={production} film={film(12, { problems })} />));
    expect(screen.getByTestId("on-beat").textContent).toBe("Cuts on a beat 11 of 11");
    const next = screen.getByRole("button");
    fireEvent.click(next);
    expect(useRoom.getState().place).toBe(2);
    fireEvent.click(next);
    expect(useRoom.getState().place).toBe(5);
    fireEvent.click(next);
    expect(useRoom.getState().place).toBe(2);
  });
});

describe("the shot's card", () => {
  const card = (made: Film, takes: Take[], actions = noActions()) => {
    const shot = made.shots[1];
    if (!shot) throw new Error("no shot");
    const its = { ...shot, shotId: 100, takeId: 200 };
    render(
      inside(
        <ShotCard
          production={production}
          film={made}
          shot={its}
          material={material(takes)}
          actions={actions}
        />,
      ),
    );
    return actions;
  };

  it("says where the cuts are and moves the one that is pressed", () => {
    const actions = card(film(), [take()]);
    expect(screen.getByText("downbeat of bar 3")).toBeTruthy();
    expect(screen.getByText("downbeat of bar 5")).toBeTruthy();
    fireEvent.click(screen.getByLabelText("out cut to the beat after"));
    expect(actions["step"]).toHaveBeenCalledWith(1, 2, "end");
    fireEvent.click(screen.getByLabelText("in cut to the beat before"));
    expect(actions["step"]).toHaveBeenCalledWith(-1, 1, "start");
  });

  it("offers what can be done about too little material, with its cost", () => {
    const problems = [
      {
        kind: "OUT_OF_MATERIAL" as const,
        place: 1,
        frames: 6,
        text: "6 f short",
        remedies: [
          { kind: "SLIP" as const, name: "Slip it", cost: "shows 6 f sooner in the take" },
          { kind: "SLOW" as const, name: "Slow to 77 %", cost: "moves 23 % slower" },
        ],
      },
    ];
    const actions = card(film(12, { problems }), [take({ frames: 100 })]);
    expect(screen.getByText("shows 6 f sooner in the take")).toBeTruthy();
    fireEvent.click(screen.getByText("Slow to 77 %"));
    expect(actions["mend"]).toHaveBeenCalledWith(1, "SLOW", "OUT_OF_MATERIAL");
  });

  it("shows the takes and chooses one", () => {
    const actions = card(film(), [take(), take({ id: 201, number: 2 })]);
    expect(screen.getByLabelText("Take 1").getAttribute("aria-pressed")).toBe("true");
    fireEvent.click(screen.getByLabelText("Take 2"));
    expect(actions["chooseTake"]).toHaveBeenCalledWith(1, 201);
    fireEvent.click(screen.getByText("soft"));
    expect(actions["setFraming"]).toHaveBeenCalledWith(1, "SOFT");
  });

  it("brings shots back from the film's card", () => {
    const actions = noActions();
    const outside = [{ shotId: 150, label: "150", title: "Door", pick: 9 }];
    render(
      inside(<FilmCard production={production} film={film(12, { outside })} actions={actions} />),
    );
    fireEvent.click(screen.getByText("Bring back"));
    expect(actions["bringBack"]).toHaveBeenCalledWith(150);
  });
});

describe("a row of takes", () => {
  beforeEach(() => vi.stubGlobal("matchMedia", () => ({ matches: false })));

  const row = (its: Take[], onPick = vi.fn()) => {
    const shot = material(its).shots[0];
    if (!shot) throw new Error("no shot");
    render(
      inside(
        <ShotRow
          shot={shot}
          production={production}
          chosen={null}
          compared={[]}
          dense={false}
          room={856}
          playAll={false}
          short={undefined}
          onChoose={vi.fn()}
          onPick={onPick}
        />,
      ),
    );
    return onPick;
  };

  it("says what will be done to odd clips", () => {
    row([
      take(),
      take({ id: 2, number: 2, width: 1080, height: 1080, framing: "FIT", loss: 0.44 }),
      take({ id: 3, number: 3, width: 1920, height: 1200, loss: 0.1, rate: "30", otherRate: true }),
    ]);
    expect(screen.getByText("1080×1080, fit")).toBeTruthy();
    expect(screen.getByText("1920×1200, fill −10 %, 30 to 24 by time")).toBeTruthy();
  });

  it("says what is wrong with a take, and what is asked", () => {
    row([take({ faults: ["FACE"], rejected: true, note: "blinks" })]);
    expect(screen.getByText("face; blinks")).toBeTruthy();
    expect(screen.getByLabelText("Take 1, the pick, put aside")).toBeTruthy();
    expect(screen.getByText("push in, 3.0 s")).toBeTruthy();
  });

  it("picks with Enter and shows progress and refusals", () => {
    const onPick = row([
      take(),
      take({ id: 2, number: 2, state: "PREPARING", framesDone: 65 }),
      take({ id: 3, number: 3, state: "REFUSED", reason: "The file is cut short." }),
    ]);
    fireEvent.keyDown(screen.getByLabelText("Take 2"), { key: "Enter" });
    expect(onPick.mock.calls[0]?.[0]).toMatchObject({ id: 2 });
    expect(screen.getByText("preparing 50 %")).toBeTruthy();
    expect(screen.getByText("The file is cut short.")).toBeTruthy();
    expect(screen.getByLabelText("Take 1, the pick")).toBeTruthy();
  });
});

describe("an output", () => {
  const master = (over: Partial<Master>): Master => ({
    id: 9,
    name: "Night Post",
    output: 4,
    encoding: "MP4",
    width: 1280,
    height: 720,
    rate: "24000/1001",
    quality: "HIGH",
    frames: 1409,
    framesDone: 0,
    framesWritten: 0,
    state: "WAITING",
    message: null,
    bytes: null,
    secondsLeft: null,
    createdAt: "2026-01-01T00:00:00Z",
    ...over,
  });
  const made = (of: Partial<Master>, over: Partial<Output> = {}) =>
    output({ master: master(of), ...over });
  const shown = (one: Output, waits = false) => {
    const onCancel = vi.fn();
    const onFirst = vi.fn();
    const onMeasure = vi.fn();
    const onRender = vi.fn();
    render(
      inside(
        <OutputRow
          production={production}
          film={film(12)}
          output={one}
          chosen={false}
          onChoose={vi.fn()}
          onTick={vi.fn()}
          onRender={onRender}
          onCancel={onCancel}
          onFirst={onFirst}
          onMeasure={onMeasure}
          measuring={false}
          waits={waits}
        />,
      ),
    );
    return { onCancel, onFirst, onMeasure, onRender };
  };

  it("says how far a drawn film is written into its file, and then that it is checked", () => {
    shown(made({ state: "CHECKING", encoding: "WEBM_AV1", framesDone: 1409, framesWritten: 352 }));
    expect(screen.getByText("drawn; writing, 25 %")).toBeTruthy();
    expect(screen.getByRole("progressbar").getAttribute("aria-valuenow")).toBe("25");
    cleanup();
    shown(made({ state: "CHECKING", framesDone: 1409, framesWritten: 1409 }));
    expect(screen.getByText("writing and checking")).toBeTruthy();
  });

  it("tells how far it is and can be stopped", () => {
    const { onCancel } = shown(made({ state: "RENDERING", framesDone: 300, secondsLeft: 95 }));
    expect(screen.getByText("300 of 1409 frames, 1 min 35 s")).toBeTruthy();
    expect(screen.queryByText(/Download/)).toBeNull();
    fireEvent.click(screen.getByText("Stop"));
    expect(onCancel).toHaveBeenCalledWith(9);
  });

  it("is measured by a few seconds where nothing tells its size", () => {
    const { onMeasure } = shown(output());
    fireEvent.click(screen.getByText("Size?"));
    expect(onMeasure).toHaveBeenCalledTimes(1);
    cleanup();
    shown(output({ bytes: 12_300_000 }));
    expect(screen.getByText("≈ 12.3 MB")).toBeTruthy();
    cleanup();
    shown(output({ measurable: false }));
    expect(screen.queryByText("Size?")).toBeNull();
  });

  it("can go before others that wait", () => {
    const { onFirst } = shown(made({ state: "WAITING" }), true);
    fireEvent.click(screen.getByText("First"));
    expect(onFirst).toHaveBeenCalledWith(9);
    cleanup();
    shown(made({ state: "WAITING" }));
    expect(screen.queryByText("First")).toBeNull();
  });

  it("gives its file when it is checked, and says what a check found", () => {
    shown(made({ state: "DONE", bytes: 31_000_000, message: "1409 frames" }));
    expect(screen.getByText("Checked")).toBeTruthy();
    expect(screen.getByText(/1409 frames/)).toBeTruthy();
    expect(screen.getByText("Download").getAttribute("href")).toBe(
      "/api/productions/3/masters/9/file",
    );
    cleanup();
    shown(made({ state: "DOUBTFUL", bytes: 31_000_000, message: "black for 1.0 s" }));
    expect(screen.getByText("Look at this")).toBeTruthy();
    expect(screen.getByText(/black for 1.0 s/)).toBeTruthy();
  });

  it("offers to be made again when the film has changed, and not when it cannot be made", () => {
    const { onRender } = shown(made({ state: "DONE", bytes: 9 }, { stale: true }));
    expect(screen.queryByText("Download")).toBeNull();
    fireEvent.click(screen.getByText("Render again"));
    expect(onRender).toHaveBeenCalled();
    cleanup();
    shown(output({ fault: "It would end before it begins." }));
    expect(screen.getByText("It would end before it begins.")).toBeTruthy();
    expect(screen.queryByText("Render it")).toBeNull();
  });
});

describe("edits of the film", () => {
  const hook = () => {
    const client = new QueryClient();
    client.setQueryData(["production", 3, "film"], film());
    const { result } = renderHook(() => useFilmEdit(3), {
      wrapper: ({ children }) =>
        inside(
          <>
            {children}
            <NoticeLine />
            <MeetingDialog />
          </>,
          client,
        ),
    });
    return { edit: result.current, client };
  };

  it("carry the revision of the answer before, and see the film it left", async () => {
    answers = [
      { status: 200, body: film(12, { revision: 8, songStart: 1 }) },
      { status: 200, body: film(12, { revision: 9, songStart: 2 }) },
    ];
    const { edit } = hook();
    const later: FilmEdit = {
      name: "set-song",
      values: (f: Film) => ({ startSeconds: f.songStart + 1, fade: 0 }),
    };
    await act(async () => {
      await Promise.all([edit(later), edit(later)]);
    });
    expect(asked.map((a) => a.body)).toEqual([
      { startSeconds: 1, fade: 0, revision: 7 },
      { startSeconds: 2, fade: 0, revision: 8 },
    ]);
  });

  it("are not sent when there is nothing to do", async () => {
    const { edit } = hook();
    await act(() => edit({ name: "remove", values: () => null }));
    expect(asked).toHaveLength(0);
  });

  it("are told when another window was first", async () => {
    answers = [
      { status: 409, body: { detail: "stale" } },
      { status: 200, body: film(12, { revision: 11 }) },
    ];
    const { edit } = hook();
    await act(async () => {
      await expect(edit({ name: "remove", values: { place: 0 } })).rejects.toThrow("stale");
    });
    expect(await screen.findByText(/stale/)).toBeTruthy();
    await act(async () => {
      fireEvent.click(screen.getByText("Make my change on it"));
      await Promise.resolve();
    });
    expect(asked.map((a) => a.body)).toHaveLength(2);
    expect(screen.queryByText(/stale/)).toBeNull();
  });
});
