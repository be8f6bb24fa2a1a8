/** Names of files that were on their way into a production, kept so that a closed page tells. */
const KEY = "late-thistle-on-their-way";

type Kept = Record<string, string[]>;

function kept(): Kept {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? "{}") as Kept;
  } catch {
    return {};
  }
}

/** Notes which files are on their way into a production; none when all have arrived. */
export function noteOnTheirWay(production: number, names: readonly string[]) {
  const others = Object.entries(kept()).filter(([id]) => id !== String(production));
  const now: [string, string[]][] = names.length > 0 ? [[String(production), [...names]]] : [];
  localStorage.setItem(KEY, JSON.stringify(Object.fromEntries([...others, ...now])));
}

/** The files that were on their way when the page was closed, and forgets them. */
export function takeUnarrived(production: number): string[] {
  const names = kept()[production] ?? [];
  noteOnTheirWay(production, []);
  return names;
}
