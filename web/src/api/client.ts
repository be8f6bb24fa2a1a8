import type { components } from "./generated/schema";

type Schemas = components["schemas"];
export type Production = Schemas["ProductionView"];
export type NewProduction = Schemas["NewProduction"];
export type Facts = Omit<Schemas["FactsView"], "verdict"> & {
  verdict: Schemas["MoveVerdict"] | null;
};
export type Take = Omit<Schemas["TakeView"], "facts"> & { facts: Facts | null };
export type Shot = Omit<Schemas["ShotView"], "takes"> & { takes: Take[] };
export type Material = Omit<Schemas["MaterialView"], "shots"> & { shots: Shot[] };
export type Song = Schemas["SongView"];
export type SongLength = Schemas["LengthView"];
export type Voice = Schemas["VoiceView"];
export type VoiceLine = Voice["lines"][number];
export type Reading = VoiceLine["readings"][number];
export type Peaks = Schemas["PeaksView"];
export type Film = Schemas["FilmView"];
export type Placed = Schemas["PlacedView"];
export type Run = Placed["run"];
export type ClipSound = Placed["sound"];
export type Overlay = Schemas["OverlayView"];
export type FilmSound = Schemas["SoundView"];
export type Marker = Schemas["MarkerView"];
export type Joint = Schemas["JointView"];
export type ProblemKind = Schemas["ProblemView"]["kind"];
export type Spoken = Schemas["SpokenView"];
export type HeardWord = Schemas["HeardWord"];
export type Proposal = Schemas["ProposalView"];
export type Version = Schemas["VersionView"];
export type Pace = Proposal["pace"];
export type Clock = Schemas["ClockView"];
export type Master = Schemas["MasterView"];
export type NewMaster = Schemas["NewMaster"];
export type Pulse = Schemas["Pulse"];
export type Fault = Take["faults"][number];
export type Story = Schemas["StoryView"];
export type StoryShot = Story["shots"][number];
export type Sheets = Story["sheets"];
export type SoundIdea = Story["sounds"][number];
export type Brief = Story["brief"];
export type Draft = Schemas["Draft"];
export type PromptOf = Schemas["PromptView"];
export type Service = Schemas["ServiceView"];
export type Profile = Service["profile"];
export type Asked = Schemas["RequestView"];
export type LedgerPage = Schemas["Page"];
export type Framing = Placed["framing"];

/** An answer that is no success; the message is the server's sentence for the person. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }

  /** Another window changed the film first. */
  get isConflict() {
    return this.status === 409;
  }
}

/** The token the server set as a cookie, to be sent back with every change. */
export function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "";
}

/** The sentence in a problem's body (RFC 9457), or one that says what is known. */
export function sentenceOf(status: number, body: string): string {
  try {
    const detail = (JSON.parse(body) as { detail?: string }).detail;
    if (detail) return detail;
  } catch {
    // Not JSON: say what is known.
  }
  if (status === 0) return "Late Thistle does not answer. Is ./start still running?";
  return `The server answered ${status} and gave no reason.`;
}

/** Sends a change; bytes go as they are, anything else as JSON. */
export async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const raw = body instanceof Blob;
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers:
        method === "GET"
          ? {}
          : {
              "Content-Type": raw ? "application/octet-stream" : "application/json",
              "X-XSRF-TOKEN": csrfToken(),
            },
      body: body === undefined ? null : raw ? body : JSON.stringify(body),
    });
  } catch {
    throw new ApiProblem(0, sentenceOf(0, ""));
  }
  const text = await response.text();
  if (!response.ok) throw new ApiProblem(response.status, sentenceOf(response.status, text));
  return (text === "" ? undefined : JSON.parse(text)) as T;
}

/** The address of everything of one production. */
export const under = (production: number) => `/api/productions/${production}`;

export const stillUrl = (production: number, revision: number, frame: number) =>
  `${under(production)}/preview/${revision}/frames/${Math.round(frame)}.jpg`;

export const filmUrl = (production: number, revision: number | string) =>
  `${under(production)}/preview/${revision}/film.m3u8`;

export const takeFrameUrl = (production: number, take: number, frame: number, height: number) =>
  `${under(production)}/takes/${take}/frames/${Math.max(0, Math.round(frame))}.jpg?height=${height}`;

export const stripUrl = (production: number, take: number) =>
  `${under(production)}/takes/${take}/strip.jpg`;
