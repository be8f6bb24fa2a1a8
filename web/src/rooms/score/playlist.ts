/** A part of what an HLS playlist plays, in seconds, and the file it is in. */
export interface Segment {
  start: number;
  end: number;
  file: string;
}

/** The segments of an HLS playlist, in order. */
export function segmentsOf(playlist: string): Segment[] {
  const segments: Segment[] = [];
  let start = 0;
  for (const [, length, file] of playlist.matchAll(/^#EXTINF:([\d.]+),.*\n(.+)$/gm)) {
    const end = start + Number(length);
    segments.push({ start, end, file: file ?? "" });
    start = end;
  }
  return segments;
}
