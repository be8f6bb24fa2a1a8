package app.latethistle.core.music;

import app.latethistle.core.Refused;
import java.util.List;

/**
 * Two songs as one: from the start of a bar on, another song is heard, from the start of one of its
 * own bars to its end. Beat follows beat and bar follows bar, so that the film has one clock.
 *
 * @param first the song that begins
 * @param second the song that goes on
 * @param leaves the sample of the first song, at 48 kHz, where the bar begins that is not heard
 * @param enters the sample of the second song where its first bar that is heard begins
 * @param fade samples over which one gives way to the other before that: the last beat of the first
 */
public record TwoSongs(SongParts first, SongParts second, long leaves, long enters, long fade) {
  /** The most by which the second song is made louder or softer, in decibels: common practice. */
  private static final double MOST_GAIN = 12;

  /**
   * Joins two songs.
   *
   * @param bars how many bars of the first song are heard, from 1; what lies before its first bar
   *     is heard too
   * @param from the first bar of the second song that is heard, from 1
   * @throws Refused if a song has no such bar, or they do not count the same beats to a bar
   */
  public static TwoSongs of(SongParts first, SongParts second, int bars, int from) {
    BeatGrid a = first.heard().grid();
    BeatGrid b = second.heard().grid();
    if (a.beatsPerBar() != b.beatsPerBar()) {
      throw new Refused(
          "The first song counts "
              + a.beatsPerBar()
              + " beats to a bar and the second "
              + b.beatsPerBar()
              + ", so they have no bars in common. Put right how one is counted, or choose another"
              + " song.");
    }
    int last = a.lastBar() - 1;
    if (bars < 1 || bars > last) {
      throw new Refused(
          "The first song can be left after bar 1 to " + last + ", not after " + bars + ".");
    }
    if (from < 1 || from > b.lastBar()) {
      throw new Refused(
          "The second song can begin with bar 1 to " + b.lastBar() + ", not with " + from + ".");
    }
    int beat = a.firstDownbeat() + bars * a.beatsPerBar();
    long leaves = a.sampleOf(beat);
    long enters = b.sampleOf(b.firstDownbeat() + (from - 1) * b.beatsPerBar());
    return new TwoSongs(first, second, leaves, enters, leaves - a.sampleOf(beat - 1));
  }

  /**
   * The length of the result, in samples.
   *
   * @param secondEnd the length of the second song, in samples
   */
  public long length(long secondEnd) {
    return leaves + secondEnd - enters;
  }

  /**
   * What is known of the result.
   *
   * @param secondEnd the length of the second song, in samples
   */
  public SongParts parts(long secondEnd) {
    return SongParts.of(
        List.of(
            new SongParts.Stretch(first, 0, leaves),
            new SongParts.Stretch(second, enters, secondEnd)),
        length(secondEnd));
  }

  /**
   * By what the second song is multiplied so that it is as loud as the first: at most 12 dB, and
   * not beyond full scale.
   *
   * @param firstLoudness of the whole first song, in LUFS
   * @param secondLoudness of the whole second song
   * @param second its sound, left and right in turn
   */
  public static double gain(double firstLoudness, double secondLoudness, float[] second) {
    double decibels = Math.max(-MOST_GAIN, Math.min(MOST_GAIN, firstLoudness - secondLoudness));
    double gain = Math.pow(10, decibels / 20);
    float peak = 0;
    for (float sample : second) {
      peak = Math.max(peak, Math.abs(sample));
    }
    return gain > 1 ? Math.max(1, Math.min(gain, 1 / Math.max(peak, 1e-9))) : gain;
  }

  /**
   * The sound of the result. Over the last beat before the join both are heard, with gains whose
   * squares add up to 1, as is usual for sounds that have nothing to do with each other.
   *
   * @param a the first song, left and right in turn at 48 kHz
   * @param b the second song
   * @param gain by which the second song is multiplied
   */
  public float[] apply(float[] a, float[] b, double gain) {
    long length = length(b.length / 2);
    float[] out = new float[Math.toIntExact(2 * length)];
    long shift = enters - leaves;
    for (int i = 0; i < length; i++) {
      double turn = Math.PI / 2 * Math.max(0, Math.min(1, (i + 0.5 - (leaves - fade)) / fade));
      double goes = i < leaves ? Math.cos(turn) : 0;
      double comes = Math.sin(turn) * gain;
      for (int c = 0; c < 2; c++) {
        double sum = goes == 0 ? 0 : goes * SongPlan.sample(a, i, c);
        out[2 * i + c] =
            (float) (sum + (comes == 0 ? 0 : comes * SongPlan.sample(b, i + shift, c)));
      }
    }
    return out;
  }
}
