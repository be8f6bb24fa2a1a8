import { useEffect, useRef } from "react";
import { create } from "zustand";
import { isTyping } from "./isTyping";

/** What a key does; false if it does nothing now, so that the browser has it. */
export type Act = (e: KeyboardEvent) => boolean | void;

/** A row of the key sheet: keys as they are shown, what they do, and their acts by name. */
export interface Key {
  shown: string;
  says: string;
  /** By the keys' names, see {@link nameOf}; none for what is done with the mouse. */
  acts?: Record<string, Act>;
}

export interface KeyGroup {
  name: string;
  keys: readonly Key[];
}

/** The rows of going back and forth between changes. */
export const stepKeys = (undo: Act, redo: Act): Key[] => [
  { shown: "Ctrl+Z", says: "undo", acts: { "Ctrl+Z": undo } },
  { shown: "Ctrl+Shift+Z", says: "redo", acts: { "Ctrl+Shift+Z": redo } },
];

/** A key as tables name it: "B", "Shift+B", "Ctrl+Shift+Z", "ArrowLeft", "Space", "(". */
export function nameOf(e: KeyboardEvent): string {
  const sign = e.key.length === 1 && e.key !== " ";
  // A sign other than a letter tells by itself whether Shift was held for it.
  const shift = e.shiftKey && (!sign || /\p{L}/u.test(e.key));
  const key = e.key === " " ? "Space" : sign ? e.key.toUpperCase() : e.key;
  const ctrl = e.ctrlKey || e.metaKey ? "Ctrl+" : "";
  return `${ctrl}${e.altKey ? "Alt+" : ""}${shift ? "Shift+" : ""}${key}`;
}

/** Whether a key is a single sign, such as speech input or a slip of the hand may type. */
const isSign = (name: string) => !/^(Ctrl|Alt)\+/.test(name) && /^(Shift\+)?.$/su.test(name);

/** The act of a key, by a table. */
export function actOf(groups: readonly KeyGroup[], name: string): Act | undefined {
  for (const group of groups) {
    for (const key of group.keys) {
      const act = key.acts?.[name];
      if (act) return act;
    }
  }
  return undefined;
}

/** Does something as a letter that was held is let go. */
export function useRelease(letter: string, act: () => void) {
  const now = useRef(act);
  useEffect(() => {
    now.current = act;
  });
  useEffect(() => {
    const release = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === letter && !isTyping(e)) now.current();
    };
    window.addEventListener("keyup", release);
    return () => window.removeEventListener("keyup", release);
  }, [letter]);
}

interface Keys {
  /** The tables of what is on the page now. */
  tables: readonly (readonly KeyGroup[])[];
  /** Whether the sheet is open. */
  open: boolean;
  show: (open: boolean) => void;
  /** Whether single letters, digits and marks do anything. */
  letters: boolean;
  setLetters: (on: boolean) => void;
}

const KEPT = "late-thistle-single-keys";

export const useKeySheet = create<Keys>((set) => ({
  tables: [],
  open: false,
  show: (open) => set({ open }),
  letters: localStorage.getItem(KEPT) !== "off",
  setLetters: (letters) => {
    localStorage.setItem(KEPT, letters ? "on" : "off");
    set({ letters });
  },
}));

/**
 * Lets keys act while the caller is on the page, and puts them on the key sheet. Keys in fields,
 * dialogs and menus are left alone, and Space and Enter on a control.
 */
export function useKeys(groups: readonly KeyGroup[]) {
  const now = useRef(groups);
  useEffect(() => {
    now.current = groups;
  });
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (isTyping(e) || e.defaultPrevented) return;
      const name = nameOf(e);
      if (!useKeySheet.getState().letters && isSign(name)) return;
      const control = (e.target as HTMLElement).closest?.(
        "button, a, [role=slider], [role=combobox]",
      );
      if (control && (name === "Space" || name === "Enter")) return;
      const act = actOf(now.current, name);
      if (act && act(e) !== false) e.preventDefault();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
  useEffect(() => {
    const { tables } = useKeySheet.getState();
    useKeySheet.setState({ tables: [...tables, groups] });
    return () => {
      const left = useKeySheet.getState().tables.filter((t) => t !== groups);
      useKeySheet.setState({ tables: left });
    };
    // The sheet names the keys of the room, which stay the same while it is open.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
}
