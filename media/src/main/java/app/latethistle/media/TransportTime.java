package app.latethistle.media;

import app.latethistle.core.Refused;

/**
 * Moves an MPEG transport stream (ITU-T H.222.0) in time: a piece that was encoded from 0 on is
 * played wherever in the film it lies, without being encoded again.
 */
public final class TransportTime {
  /** Ticks a second of its clock. */
  public static final int TICKS = 90_000;

  private static final int PACKET = 188;
  private static final long WRAP = 1L << 33;

  private TransportTime() {}

  /**
   * Moves all times in a stream, in place.
   *
   * @param stream whole packets
   * @param ticks later by so many
   * @throws IllegalArgumentException if it is no transport stream
   */
  public static void shift(byte[] stream, long ticks) {
    for (int at = 0; at + PACKET <= stream.length; at += PACKET) {
      if (stream[at] != 0x47) {
        throw new Refused("No transport packet begins at byte " + at + ".");
      }
      boolean unitStarts = (stream[at + 1] & 0x40) != 0;
      int control = (stream[at + 3] >> 4) & 3;
      int payload = at + 4;
      if ((control & 2) != 0) {
        int length = stream[at + 4] & 0xff;
        boolean clock = length > 0 && (stream[at + 5] & 0x10) != 0;
        if (clock) {
          shiftClock(stream, at + 6, ticks);
        }
        payload += 1 + length;
      }
      if (unitStarts && (control & 1) != 0 && isPacketStart(stream, payload)) {
        int flags = (stream[payload + 7] >> 6) & 3;
        if ((flags & 2) != 0) {
          shiftStamp(stream, payload + 9, ticks);
        }
        if (flags == 3) {
          shiftStamp(stream, payload + 14, ticks);
        }
      }
    }
  }

  /** Whether a packetized elementary stream of pictures or sound starts there. */
  private static boolean isPacketStart(byte[] s, int at) {
    return at + 19 <= s.length
        && s[at] == 0
        && s[at + 1] == 0
        && s[at + 2] == 1
        && (s[at + 3] & 0xff) >= 0xc0;
  }

  /** 33 bits of base; six reserved and nine of extension stay. */
  private static void shiftClock(byte[] s, int at, long ticks) {
    long base =
        (s[at] & 0xffL) << 25
            | (s[at + 1] & 0xffL) << 17
            | (s[at + 2] & 0xffL) << 9
            | (s[at + 3] & 0xffL) << 1
            | (s[at + 4] & 0x80L) >> 7;
    base = Math.floorMod(base + ticks, WRAP);
    s[at] = (byte) (base >> 25);
    s[at + 1] = (byte) (base >> 17);
    s[at + 2] = (byte) (base >> 9);
    s[at + 3] = (byte) (base >> 1);
    s[at + 4] = (byte) ((s[at + 4] & 0x7f) | ((base & 1) << 7));
  }

  /** 33 bits in groups of 3, 15 and 15, each followed by a marker bit. */
  private static void shiftStamp(byte[] s, int at, long ticks) {
    long stamp =
        (s[at] & 0x0eL) << 29
            | (s[at + 1] & 0xffL) << 22
            | (s[at + 2] & 0xfeL) << 14
            | (s[at + 3] & 0xffL) << 7
            | (s[at + 4] & 0xfeL) >> 1;
    stamp = Math.floorMod(stamp + ticks, WRAP);
    s[at] = (byte) ((s[at] & 0xf1) | ((stamp >> 29) & 0x0e));
    s[at + 1] = (byte) (stamp >> 22);
    s[at + 2] = (byte) ((stamp >> 14) | 1);
    s[at + 3] = (byte) (stamp >> 7);
    s[at + 4] = (byte) ((stamp << 1) | 1);
  }
}
