/** A stretch of bytes, both ends among them. */
export interface Bytes {
  from: number;
  to: number;
}

/** A part of what an HLS playlist plays, in seconds, and where it is: in a file, or some bytes of it. */
export interface Segment {
  start: number;
  end: number;
  file: string;
  bytes: Bytes | null;
}

/** The bytes that "size@at" names in a playlist. */
export const bytesOf = (size: string | undefined, at: string | undefined): Bytes => ({
  from: Number(at),
  to: Number(at) + Number(size) - 1,
});

/** The segments of an HLS playlist, in order. */
export function segmentsOf(playlist: string): Segment[] {
  const segments: Segment[] = [];
  let start = 0;
  for (const [, length, size, at, file] of playlist.matchAll(
    /^#EXTINF:([\d.]+),.*\n(?:#EXT-X-BYTERANGE:(\d+)@(\d+)\n)?(.+)$/gm,
  )) {
    const end = start + Number(length);
    segments.push({ start, end, file: file ?? "", bytes: size ? bytesOf(size, at) : null });
    start = end;
  }
  return segments;
}
