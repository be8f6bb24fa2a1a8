import { segmentsOf, type Segment } from "./playlist";

/** What an HLS playlist tells of a sound in parts: its head, which each part needs, and them. */
export function soundParts(playlist: string): { head: string; parts: Segment[] } {
  const head = /#EXT-X-MAP:.*URI="([^"]*)"/.exec(playlist)?.[1] ?? "";
  return { head, parts: segmentsOf(playlist) };
}

/** A decoded part of a film's sound. */
export interface Heard {
  start: number;
  sound: AudioBuffer;
}

/** So many parts are kept decoded: about half a minute. */
const KEPT = 8;

/** A film's sound, fetched and decoded part by part where it is wanted. */
export class SoundInParts {
  private list: Promise<ReturnType<typeof soundParts>> | null = null;
  private head: Promise<ArrayBuffer> | null = null;
  private readonly kept = new Map<number, Promise<Heard>>();

  /**
   * @param folder the address that the playlist and the parts are under, with its slash
   */
  constructor(
    private readonly folder: string,
    private readonly context: BaseAudioContext,
  ) {}

  /** The part that sounds at a second; null past the end. */
  async at(second: number): Promise<Heard | null> {
    this.list ??= unlessFailed(this.playlist(), () => (this.list = null));
    const { head, parts } = await this.list;
    const i = parts.findIndex((p) => second >= p.start && second < p.end);
    const part = parts[i];
    if (!part) return null;
    const kept =
      this.kept.get(i) ?? unlessFailed(this.decoded(head, part), () => this.kept.delete(i));
    // What was wanted last is forgotten last.
    this.kept.delete(i);
    this.kept.set(i, kept);
    const oldest = this.kept.keys().next().value;
    if (this.kept.size > KEPT && oldest !== undefined) this.kept.delete(oldest);
    return kept;
  }

  private async decoded(head: string, part: Segment): Promise<Heard> {
    this.head ??= unlessFailed(this.bytes(head), () => (this.head = null));
    const both = await Promise.all([this.head, this.bytes(part.file)]);
    const file = await new Blob(both).arrayBuffer();
    return { start: part.start, sound: await this.context.decodeAudioData(file) };
  }

  private async playlist() {
    return soundParts(await (await this.fetch("sound.m3u8")).text());
  }

  private async bytes(file: string): Promise<ArrayBuffer> {
    return (await this.fetch(file)).arrayBuffer();
  }

  private async fetch(name: string): Promise<Response> {
    const answer = await fetch(this.folder + name);
    if (!answer.ok) throw new Error(`${name}: ${answer.status}`);
    return answer;
  }
}

/** What is kept until it fails, so that it is fetched again when it is wanted again. */
function unlessFailed<T>(wanted: Promise<T>, forget: () => void): Promise<T> {
  wanted.catch(forget);
  return wanted;
}
