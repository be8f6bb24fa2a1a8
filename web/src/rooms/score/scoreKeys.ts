import { nextShape } from "./shapes";
import type { Film } from "../../api/client";
import { type Act, type Key, type KeyGroup } from "../../parts/keys";
import { useRoom } from "../../store";
import type { Ruler } from "./layout";
import { MANNERS } from "./manner";
import {
  goTo,
  loopRound,
  nextProblem,
  otherBeat,
  otherWord,
  playCut,
  playTwoBars,
  sameColumn,
  select,
  selectLaid,
  setRange,
  shuttle,
} from "./playing";
import type { ScoreActions } from "./useScoreActions";

/** What the keys of the Score act on. */
interface Surface {
  film: Film;
  fps: number;
  rulers: readonly Ruler[];
  actions: ScoreActions;
}

const room = () => useRoom.getState();

/** An act on the selected shot, by its place; none if no shot is selected. */
const onShot =
  (act: (place: number) => unknown): Act =>
  () => {
    const { place } = room();
    if (place === null) return false;
    void act(place);
    return true;
  };

/** The keys of the Score, as the key sheet shows them and as they act. */
export function scoreKeys(surface: Surface): KeyGroup[] {
  if (surface.film.length === 0) return [];
  return [
    { name: "Watch", keys: watching(surface) },
    { name: "Choose", keys: choosing(surface) },
    { name: "The selected cut", keys: cutting(surface) },
    { name: "The selected shot", keys: onTheShot(surface) },
  ];
}

function watching({ film, fps, rulers, actions }: Surface): Key[] {
  const frames = (by: number) => () => {
    const { place, slipping, frame } = room();
    const shot = place === null ? undefined : film.shots[place];
    if (slipping && shot) actions.slipBy(shot.place, by);
    else goTo(film, frame + by);
  };
  const column = (by: 1 | -1) => () => goTo(film, sameColumn(rulers, room().frame, by));
  return [
    {
      shown: "Space",
      says: "play from here, stop",
      acts: {
        Space: () => {
          const { playing, set } = room();
          if (playing) set({ playing: false, speed: 1 });
          else set({ playing: true, until: null, speed: 1, loop: null });
        },
      },
    },
    {
      shown: "Shift+Space",
      says: "play this bar and the next",
      acts: { "Shift+Space": () => playTwoBars(film) },
    },
    {
      shown: "← →",
      says: "one frame (Shift: ten)",
      acts: {
        ArrowLeft: frames(-1),
        ArrowRight: frames(1),
        "Shift+ArrowLeft": frames(-10),
        "Shift+ArrowRight": frames(10),
      },
    },
    {
      shown: "↑ ↓",
      says: "same bar in the line above, below",
      acts: { ArrowUp: column(-1), ArrowDown: column(1) },
    },
    {
      shown: "B, Shift+B",
      says: "next, previous beat",
      acts: {
        B: () => goTo(film, otherBeat(film, room().frame, 1)),
        "Shift+B": () => goTo(film, otherBeat(film, room().frame, -1)),
      },
    },
    {
      shown: "W, Shift+W",
      says: "next, previous word",
      acts: {
        W: () => goTo(film, otherWord(film, room().frame, 1)),
        "Shift+W": () => goTo(film, otherWord(film, room().frame, -1)),
      },
    },
    {
      shown: "Home, End",
      says: "start, end of the film",
      acts: { Home: () => goTo(film, 0), End: () => goTo(film, film.length - 1) },
    },
    {
      shown: "H, G",
      says: "run forward, backward; again: twice as fast",
      acts: { H: () => shuttle(1), G: () => shuttle(-1) },
    },
    {
      shown: "V, Shift+V",
      says: "play into the cut, from the cut on",
      acts: { V: () => playCut(film, fps, false), "Shift+V": () => playCut(film, fps, true) },
    },
    {
      shown: "R",
      says: "round the cut, or the chosen stretch, again and again",
      acts: { R: () => loopRound(film, fps) },
    },
    {
      shown: "( )",
      says: "the stretch begins, ends at the playhead",
      acts: {
        "(": () => setRange(film, room().frame, room().range?.to ?? film.length),
        ")": () => setRange(film, room().range?.from ?? 0, room().frame),
      },
    },
    { shown: "Shift+drag", says: "on the music: choose a stretch" },
    {
      shown: "J",
      says: "set a marker at the playhead",
      acts: { J: () => room().set({ noting: "", playing: false }) },
    },
  ];
}

function choosing({ film }: Surface): Key[] {
  const next = (by: 1 | -1) => () => {
    const { place } = room();
    select(film, place === null ? 0 : place + by);
  };
  return [
    {
      shown: "S",
      says: "select the shot at the playhead",
      acts: {
        S: () =>
          select(
            film,
            film.shots.findIndex((s) => room().frame < s.end),
          ),
      },
    },
    {
      shown: "Shift+S",
      says: "select what lies over the cut there, then the next",
      acts: { "Shift+S": () => selectLaid(film) },
    },
    {
      shown: "N, Shift+N",
      says: "select the next, previous shot",
      acts: { N: next(1), "Shift+N": next(-1) },
    },
    {
      shown: "X",
      says: "its other cut: in or out",
      acts: { X: () => room().set({ end: room().end === "in" ? "out" : "in" }) },
    },
    { shown: "Shift+click", says: "select all shots up to it" },
    {
      shown: "Ctrl+A",
      says: "select all shots",
      acts: { "Ctrl+A": () => room().set({ place: 0, also: film.shots.map((s) => s.place) }) },
    },
    {
      shown: "Esc",
      says: "select nothing",
      acts: {
        Escape: () => {
          const { loop, place, laid, set } = room();
          if (loop) set({ loop: null, playing: false });
          else if (place === null && laid === null) set({ range: null });
          else set({ place: null, also: [], laid: null, slipping: false });
        },
      },
    },
    { shown: "P", says: "next problem", acts: { P: () => nextProblem(film) } },
  ];
}

function cutting({ actions }: Surface): Key[] {
  return [
    {
      shown: "E",
      says: "what moving it does: trim, ripple, roll, slide",
      acts: {
        E: () => {
          const { manner, set } = room();
          set({ manner: MANNERS[(MANNERS.indexOf(manner) + 1) % MANNERS.length] ?? "trim" });
        },
      },
    },
    {
      shown: ", .",
      says: "to the previous, next beat, or word if it is tied to one",
      acts: { ",": () => actions.step(-1), ".": () => actions.step(1) },
    },
    {
      shown: "< >",
      says: "one frame earlier, later",
      acts: { "<": () => actions.nudge(-1), ">": () => actions.nudge(1) },
    },
    {
      shown: "1",
      says: "tie to the nearest downbeat",
      acts: { "1": () => actions.tie("downbeat") },
    },
    { shown: "2", says: "tie to the nearest beat", acts: { "2": () => actions.tie("beat") } },
    {
      shown: "3",
      says: "tie to the nearest end of a word",
      acts: { "3": () => actions.tie("word") },
    },
    { shown: "0", says: "set free where it is", acts: { "0": () => actions.tie("free") } },
    {
      shown: "D",
      says: "a dissolve, or a beat more of it",
      acts: { D: () => actions.longerTransition() },
    },
    {
      shown: "Y, Shift+Y",
      says: "the transition laid last; a plain cut",
      acts: { Y: () => actions.lastTransition(), "Shift+Y": () => actions.plainCut() },
    },
    {
      shown: "I",
      says: "its transition: kinds, length, manner",
      acts: {
        I: onShot(() => room().set({ card: room().card === "shot" ? "transition" : "shot" })),
      },
    },
    { shown: "Alt+drag", says: "drag it without tying it" },
  ];
}

function onTheShot({ film, actions }: Surface): Key[] {
  /** What takes a shot out; a shot over the cut that is selected goes first. */
  const out =
    (act: (place: number) => unknown): Act =>
    (e) => {
      const { laid } = room();
      if (laid === null) return onShot(act)(e);
      void actions.overlayOut(laid);
      return true;
    };
  const remove = out((place) =>
    room().also.length > 0 ? actions.takeOut(false) : actions.remove(place),
  );
  const leave = out(() => actions.takeOut(true));
  const copying =
    (act: () => unknown): Act =>
    () => {
      // Text that is marked on the page is copied as it is.
      if (room().place === null || document.getSelection()?.toString()) return false;
      void act();
      return true;
    };
  return [
    {
      shown: "M",
      says: "slip: then ← → move the material (Shift: ten)",
      acts: { M: onShot(() => room().set({ slipping: !room().slipping })) },
    },
    {
      shown: "T, Shift+T",
      says: "next, previous take",
      acts: {
        T: onShot((place) => actions.nextTake(film, place, 1)),
        "Shift+T": onShot((place) => actions.nextTake(film, place, -1)),
      },
    },
    {
      shown: "F",
      says: "next framing: fit, fill, soft",
      acts: { F: onShot((place) => actions.nextFraming(place)) },
    },
    {
      shown: "Shift+F",
      says: "its framing: first and last frame",
      acts: {
        "Shift+F": onShot(() =>
          room().set({ card: room().card === "picture" ? "shot" : "picture" }),
        ),
      },
    },
    {
      shown: "A, Shift+A",
      says: "its treatments; leave them out to compare",
      acts: {
        A: onShot(() => room().set({ card: room().card === "treatments" ? "shot" : "treatments" })),
        "Shift+A": onShot(() => actions.bypassTreatments()),
      },
    },
    {
      shown: "Q",
      says: "its focus, and how it looks in other shapes",
      acts: {
        Q: onShot(() => room().set({ card: room().card === "shapes" ? "shot" : "shapes" })),
      },
    },
    {
      shown: "Z",
      says: "watch the film in its next shape",
      acts: { Z: () => room().set({ shape: nextShape(film, room().shape) }) },
    },
    {
      shown: "Shift+O",
      says: "treat all that lies under a stretch, or from the playhead",
      acts: { "Shift+O": () => void actions.layTreatments() },
    },
    { shown: "L", says: "lock, unlock", acts: { L: onShot(() => actions.toggleLock()) } },
    { shown: "/", says: "split at the playhead", acts: { "/": () => actions.split() } },
    {
      shown: "[ ]",
      says: "change places with the one before, after",
      acts: {
        "[": onShot((place) => actions.move(place, place - 1)),
        "]": onShot((place) => actions.move(place, place + 1)),
      },
    },
    {
      shown: "{ }",
      says: "move earlier, later with the time it lasts",
      acts: {
        "{": onShot((place) => actions.carry(place, place - 1)),
        "}": onShot((place) => actions.carry(place, place + 1)),
      },
    },
    {
      shown: "Delete",
      says: "take it out; a neighbour takes its time",
      acts: { Delete: remove, Backspace: remove },
    },
    {
      shown: "U",
      says: "take it out; what follows moves up",
      acts: { U: onShot(() => actions.takeOut(false)) },
    },
    {
      shown: "Alt+Delete",
      says: "take it out and leave a gap",
      acts: { "Alt+Delete": leave, "Alt+Backspace": leave },
    },
    {
      shown: "O",
      says: "lay a copy over the cut, from the playhead",
      acts: {
        O: () => {
          const { place, frame } = room();
          actions.layOver(place === null ? null : (film.shots[place] ?? null), frame);
        },
      },
    },
    {
      shown: "Ctrl+C, X, V",
      says: "copy, cut out, paste (Shift: without speed)",
      acts: {
        "Ctrl+C": copying(() => actions.copy(film)),
        "Ctrl+X": copying(() => actions.cutOut(film)),
        "Ctrl+V": () => void actions.paste(false),
        "Ctrl+Shift+V": () => void actions.paste(true),
      },
    },
    {
      shown: "Ctrl+G",
      says: "group the selected shots (Shift: let go)",
      acts: {
        "Ctrl+G": () => actions.group(true),
        "Ctrl+Shift+G": () => actions.group(false),
      },
    },
  ];
}
