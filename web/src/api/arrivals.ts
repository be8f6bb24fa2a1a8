import { create } from "zustand";
import { noteOnTheirWay, takeUnarrived } from "./unarrived";
import { under, type Arrived } from "./client";
import { sendWithProgress } from "./sendWithProgress";

/** A file on its way in. */
export interface Arrival {
  key: number;
  production: number;
  name: string;
  bytes: number;
  sent: number;
  state: "waiting" | "sending" | "arrived" | "known" | "refused";
  reason: string;
}

interface Arrivals {
  files: Arrival[];
  /** Names of files that did not arrive before the page was closed. */
  lost: string[];
  /** Looks for such files of a production, once it is opened. */
  look: (production: number) => void;
  /** Sends files to a production, two at a time, in the order given; under a shot if one is said. */
  bring: (production: number, files: readonly File[], shot?: number) => void;
  clear: () => void;
}

const AT_ONCE = 2;
let nextKey = 1;
let sending = 0;
const waiting: { key: number; file: File; production: number; shot: number | undefined }[] = [];

export const useArrivals = create<Arrivals>((set) => {
  const change = (key: number, to: Partial<Arrival>) =>
    set((s) => ({ files: s.files.map((f) => (f.key === key ? { ...f, ...to } : f)) }));

  /** Keeps which files are on their way, and has the browser ask before the page is closed. */
  const note = (production: number) => {
    const { files } = useArrivals.getState();
    const open = files.filter((f) => f.production === production && !isOver(f));
    noteOnTheirWay(
      production,
      open.map((f) => f.name),
    );
    window.onbeforeunload = files.every(isOver) ? null : (e) => e.preventDefault();
  };

  const pump = () => {
    while (sending < AT_ONCE) {
      const next = waiting.shift();
      if (!next) return;
      sending++;
      const done = (to: Partial<Arrival>) => {
        change(next.key, to);
        note(next.production);
        sending--;
        pump();
      };
      const name = next.file.webkitRelativePath || next.file.name;
      const toShot = next.shot === undefined ? "" : `&shot=${next.shot}`;
      const path = `${under(next.production)}/files?name=${encodeURIComponent(name)}${toShot}`;
      change(next.key, { state: "sending" });
      sendWithProgress<Arrived>(path, next.file, (sent) => change(next.key, { sent })).then(
        ({ became, says }) =>
          done({
            sent: next.file.size,
            state: became === "KNOWN" ? "known" : "arrived",
            reason: says,
          }),
        (error: Error) => done({ state: "refused", reason: error.message }),
      );
    }
  };

  return {
    files: [],
    lost: [],
    look: (production) => {
      const open = useArrivals.getState().files.some((f) => !isOver(f));
      if (!open) set({ lost: takeUnarrived(production) });
    },
    bring: (production, files, shot) => {
      const added = files.map((file) => {
        const key = nextKey++;
        waiting.push({ key, file, production, shot });
        return {
          key,
          production,
          name: file.name,
          bytes: file.size,
          sent: 0,
          state: "waiting" as const,
          reason: "",
        };
      });
      set((s) => ({ files: [...s.files.filter((f) => !isOver(f)), ...added], lost: [] }));
      note(production);
      pump();
    },
    clear: () => set((s) => ({ files: s.files.filter((f) => !isOver(f)), lost: [] })),
  };
});

export const isOver = (file: Arrival) => file.state !== "waiting" && file.state !== "sending";

/** Files of a drop, folders opened; hidden files such as a system's notes are left out. */
export async function filesOf(data: DataTransfer): Promise<File[]> {
  const entries = [...data.items].map((item) => item.webkitGetAsEntry()).filter((e) => e !== null);
  const files = (await Promise.all(entries.map(opened))).flat();
  return inOrder(files);
}

async function opened(entry: FileSystemEntry): Promise<File[]> {
  if (entry.name.startsWith(".")) return [];
  if (entry.isFile) {
    return new Promise((resolve, reject) =>
      (entry as FileSystemFileEntry).file((file) => resolve([file]), reject),
    );
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  const inside: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    );
    if (some.length === 0) break;
    inside.push(...some);
  }
  return (await Promise.all(inside.map(opened))).flat();
}

const collator = new Intl.Collator("en", { numeric: true });

/** Files by name, 2 before 10. */
export const inOrder = (files: readonly File[]) =>
  files
    .filter((f) => !f.name.startsWith("."))
    .sort((a, b) =>
      collator.compare(a.webkitRelativePath || a.name, b.webkitRelativePath || b.name),
    );
