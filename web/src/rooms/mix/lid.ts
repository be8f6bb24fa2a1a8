/** What the lid lowers by at a frame. */
export function gainAt(bends: readonly { at: number; decibels: number }[], frame: number): number {
  const after = bends.findIndex((b) => b.at > frame);
  const to = bends[after];
  const from = bends[after < 0 ? bends.length - 1 : after - 1];
  if (!from) return 0;
  if (!to) return from.decibels;
  const share = (frame - from.at) / (to.at - from.at);
  return from.decibels + share * (to.decibels - from.decibels);
}
