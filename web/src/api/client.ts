import createClient, { type Middleware } from "openapi-fetch";
import type { components, paths } from "./generated/schema";

type Schemas = components["schemas"];
export type Production = Schemas["ProductionView"];
export type NewProduction = Schemas["NewProduction"];
export type Facts = Schemas["FactsView"];
export type Take = Schemas["TakeView"];
export type Shot = Schemas["ShotView"];
export type Material = Schemas["MaterialView"];
export type Song = Schemas["SongView"];
export type SongWish = Schemas["SongWish"];
export type Correction = Schemas["CorrectionAsked"];
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
export type Problem = Schemas["ProblemView"];
export type ProblemKind = Problem["kind"];
export type Remedy = Problem["remedies"][number]["kind"];
/** A camera's move over a take. */
export type CameraPath = NonNullable<Placed["path"]>;
export type PathPoint = CameraPath["points"][number];
/** A transition where it lies in the film. */
export type PassingPlace = Schemas["PassingView"];
/** A transition as it is set. */
export type Passing = Schemas["Passing"];
export type PassingKind = Schemas["KindView"];
/** What has to be seen of a shot in every shape. */
export type Focus = NonNullable<Placed["focus"]>;
/** A backing colour that is taken out of a picture. */
export type Matte = Placed["matte"];
export type BackingKey = Matte["keys"][number];
export type Mask = Matte["masks"][number];
export type Lie = Overlay["lie"];
export type LiePoint = Lie["points"][number];
export type Mixing = Overlay["mixing"];
/** A shape the film can leave in. */
export type OtherShape = Schemas["OtherShape"];
/** A treatment of a picture as it is set. */
export type ColourCorrection = Schemas["Correction"];
export type Basics = Schemas["Basics"];
export type Tones = Schemas["Tones"];
export type Curves = Schemas["Curves"];
export type Curve = Schemas["Curve"];
export type ColourRange = Schemas["ColourRange"];
export type ColourList = Schemas["Cdl"];
export type Finish = Schemas["FinishView"];
export type Beyond = Schemas["Beyond"];
export type Look = Schemas["LookView"];
export type Light = Schemas["Light"];
export type LookShot = Schemas["LookShot"];
export type KeyStill = Schemas["KeyStill"];
export type Mix = Schemas["MixView"];
export type LaidSound = Schemas["Laid"];
export type SteppingAside = Schemas["SteppingAside"];
export type SoundManner = Schemas["Manner"];
export type HeardMix = Schemas["HeardMix"];
export type ShelfSound = Schemas["ShelfSound"];
export type WantedSound = Schemas["Wanted"];
export type BusFader = Schemas["Fader"];
export type Tie = Schemas["TieView"];
export type Words = Schemas["WordsView"];
export type Title = Schemas["TitleView"];
export type Followed = Schemas["FollowedView"];
export type TitleChange = Schemas["TitleChange"];
export type TitleSight = Schemas["TitleSight"];
export type Caption = Schemas["CaptionView"];
export type WordChoices = Schemas["WordChoices"];
export type SafeArea = Schemas["SafeArea"];
export type Zone = Schemas["Zone"];
export type OwnFace = Schemas["BroughtFace"];
export type Lettering = Schemas["Lettering"];
export type TitleMovement = Schemas["Movement"];
export type Treatment = Schemas["TreatmentView"];
export type TreatmentKind = Schemas["TreatmentKindView"];
export type Moment = Schemas["Moment"];
/** An end of a word of the narration, as a tie names it. */
export type WordEdge = Schemas["WordEdge"];
export type LimitsOf = Schemas["LimitsView"];
export type Spoken = Schemas["SpokenView"];
export type HeardWord = Schemas["HeardWord"];
export type Proposal = Schemas["ProposalView"];
export type Version = Schemas["VersionView"];
export type Pace = Proposal["pace"];
export type Clock = Schemas["ClockView"];
export type Master = Schemas["MasterView"];
export type NewMaster = Schemas["NewMaster"];
export type Output = Schemas["OutputView"];
export type OutputSaid = Schemas["OutputSaid"];
export type Encoding = OutputSaid["encoding"];
export type Finding = Schemas["FindingView"];
export type Sheet = Schemas["SheetView"];
export type SheetForm = Schemas["SheetForm"];
export type Receipt = Schemas["Receipt"];
export type Pulse = Schemas["Pulse"];
export type Fault = Take["faults"][number];
export type Story = Schemas["StoryView"];
export type StoryShot = Story["shots"][number];
export type ShotFields = Schemas["Fields"];
export type Sheets = Story["sheets"];
export type Lexicon = Story["lexicon"];
export type SoundIdea = Story["sounds"][number];
export type Brief = Story["brief"];
export type Draft = Schemas["Draft"];
export type PromptOf = Schemas["PromptView"];
export type Service = Schemas["ServiceView"];
export type Profile = Service["profile"];
export type Asked = Schemas["RequestView"];
export type LedgerPage = Schemas["Page"];
export type Framing = Placed["framing"];
export type Estimate = Schemas["Estimate"];
export type AskedFor = Schemas["NewRequests"];
/** How many requests were sent, and what of the others there is to say. */
export type SentRequests = Schemas["Asked"];
export type Arrived = Schemas["Arrived"];
export type Unpacked = Schemas["UnpackedView"];
export type History = Schemas["HistoryView"];
export type Piece = Schemas["Piece"];

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
export function sentenceOf(status: number, problem: unknown): string {
  const detail = (problem as { detail?: unknown } | null | undefined)?.detail;
  if (typeof detail === "string" && detail !== "") return detail;
  if (status === 0) return "Late Thistle does not answer. Is ./start still running?";
  return `The server answered ${status} and gave no reason.`;
}

const PERSON = "late-thistle-person";

/** A mark of this browser, so that undo tells whose a step was; made once. */
function person(): string {
  const kept = localStorage.getItem(PERSON);
  if (kept !== null) return kept;
  const made = crypto.randomUUID();
  localStorage.setItem(PERSON, made);
  return made;
}

const withToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET") request.headers.set("X-XSRF-TOKEN", csrfToken());
    request.headers.set("X-Person", person());
    return request;
  },
};

/** The server's API; paths, values and answers are typed by its schema. */
export const api = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: (request) => fetch(request),
});
api.use(withToken);

/** Bytes as a body, which goes as it is. */
export const raw = (bytes: Blob) => ({
  body: bytes as never,
  bodySerializer: () => bytes,
  headers: { "Content-Type": "application/octet-stream" },
});

/** An answer as it comes, good or not. */
export interface Fetched<Answer = unknown> {
  data?: Answer;
  error?: unknown;
  response: Response;
}

/**
 * What the server answers.
 *
 * @throws ApiProblem with its sentence if it refuses, or does not answer
 */
export async function answerTo<A extends Fetched>(
  asked: Promise<A>,
): Promise<Exclude<A["data"], undefined>> {
  let got: A;
  try {
    got = await asked;
  } catch {
    throw new ApiProblem(0, sentenceOf(0, null));
  }
  if (!got.response.ok) {
    throw new ApiProblem(got.response.status, sentenceOf(got.response.status, got.error));
  }
  return got.data as Exclude<A["data"], undefined>;
}

/** The address of everything of one production. */
export const under = (production: number) => `/api/productions/${production}`;

/** A revision, or a version, of the film in a shape such as "9:16"; null is its own. */
export const inShape = (revision: number | string, shape: string | null) =>
  shape === null ? `${revision}` : `${revision}@${shape.replace(":", "x")}`;

export const stillUrl = (production: number, revision: number | string, frame: number) =>
  `${under(production)}/preview/${revision}/frames/${Math.round(frame)}.jpg`;

/** A frame of the film as its takes came. */
export const uncorrectedUrl = (production: number, revision: number, frame: number) =>
  `${under(production)}/preview/${revision}/frames/${Math.round(frame)}/uncorrected.jpg`;

/** A still that shots can be made to look like. */
export const keyStillUrl = (production: number, picture: string) =>
  `${under(production)}/film/look/stills/${picture}.png`;

/** Sends a file as the body of a request, and answers what is told of it. */
export async function sendFile(url: string, file: File): Promise<unknown> {
  const answer = await fetch(url, {
    method: "POST",
    body: file,
    headers: { "X-XSRF-TOKEN": csrfToken() },
  });
  const told: unknown = await answer.json().catch(() => null);
  if (!answer.ok) throw new Error(sentenceOf(answer.status, told));
  return told;
}

/** Brings in a still that shots can be made to look like. */
export const bringInStill = (production: number, file: File) =>
  sendFile(
    `${under(production)}/film/look/stills?name=${encodeURIComponent(file.name)}`,
    file,
  ) as Promise<KeyStill>;

/** A frame of the film as it would be with a shot corrected otherwise. */
export function correctedUrl(
  production: number,
  revision: number,
  frame: number,
  item: string,
  correction: ColourCorrection,
) {
  const query = new URLSearchParams({ item, correction: JSON.stringify(correction) });
  return `${under(production)}/preview/${revision}/frames/${Math.round(frame)}/corrected.jpg?${query}`;
}

/**
 * A frame of the film as it would be with another finish.
 *
 * @param item the stretch it lies over; "" for the whole film
 */
export function finishedUrl(
  production: number,
  revision: number,
  frame: number,
  item: string,
  treatments: readonly Treatment[],
  small = false,
) {
  const query = new URLSearchParams({
    item,
    treatments: JSON.stringify(treatments),
    small: `${small}`,
  });
  return `${under(production)}/preview/${revision}/frames/${Math.round(frame)}/finished.jpg?${query}`;
}

/** A frame of the film as it would be with a title otherwise. */
export function titledUrl(
  production: number,
  revision: number | string,
  frame: number,
  change: Partial<TitleChange>,
) {
  const query = new URLSearchParams({ change: JSON.stringify(change) });
  return `${under(production)}/preview/${revision}/frames/${Math.round(frame)}/titled.jpg?${query}`;
}

/** A frame of the film with a title of a design on it, small. */
export function designUrl(
  production: number,
  revision: number,
  frame: number,
  design: string,
  text: string,
) {
  const query = new URLSearchParams({ design, text });
  return `${under(production)}/preview/${revision}/frames/${Math.round(frame)}/design.jpg?${query}`;
}

/** Captions as a file, or as a table to translate in. */
export function captionsUrl(
  production: number,
  form: "srt" | "vtt" | "ttml" | "csv",
  language: string,
  shape: string | null,
) {
  const query = new URLSearchParams({ language, ...(shape === null ? {} : { shape }) });
  return `${under(production)}/film/captions.${form}?${query}`;
}

/** What a scope shows of a frame of the film. */
export const scopeUrl = (
  production: number,
  revision: number,
  frame: number,
  scope: "waveform" | "parade" | "vectors" | "histogram",
) => `${under(production)}/preview/${revision}/frames/${Math.round(frame)}/${scope}.png`;

/** A shot's correction as a file. */
export const gradeUrl = (production: number, item: string, kind: "cube" | "cdl") =>
  `${under(production)}/film/shots/${encodeURIComponent(item)}/grade.${kind}`;

/** The film's look: a table of each corrected shot and one of the finish. */
export const looksUrl = (production: number) => `${under(production)}/film/looks.zip`;

/** A finish as a file. */
export const finishFileUrl = (id: number) => `/api/finishes/${id}.json`;

/** A joint's transition as a strip of small pictures. */
export function passingUrl(production: number, revision: number, joint: number, how: Passing) {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(how)) {
    if (value !== null) query.set(name, String(value));
  }
  return `${under(production)}/preview/${revision}/joints/${joint}/transition.jpg?${query}`;
}

/** A frame of the film with one more treatment of an item, small; "" is the whole film. */
export function treatmentUrl(
  production: number,
  revision: number,
  frame: number,
  item: string,
  kind: Treatment["kind"],
) {
  const query = new URLSearchParams({ item, kind });
  return `${under(production)}/preview/${revision}/frames/${Math.round(frame)}/treatment.jpg?${query}`;
}

export const filmUrl = (production: number, revision: number | string) =>
  `${under(production)}/preview/${revision}/film.m3u8`;

export const takeFrameUrl = (production: number, take: number, frame: number, height: number) =>
  `${under(production)}/takes/${take}/frames/${Math.max(0, Math.round(frame))}.jpg?height=${height}`;

export const readingUrl = (production: number, reading: number) =>
  `${under(production)}/voice/readings/${reading}/sound.wav`;

export const stripUrl = (production: number, take: number) =>
  `${under(production)}/takes/${take}/strip.jpg`;
