package app.latethistle.core.music;

import app.latethistle.core.time.Samples;
import java.util.List;

/**
 * A song made another length: which stretches of it are played one after the other. The opening and
 * the true ending are kept; between them whole bars are left out or come again.
 *
 * @param kept in the order they are played; the first begins with the song
 * @param joins where one stretch gives way to the next
 * @param length of the result, in samples; where the stretches are shorter, silence follows
 * @param cost of all joins
 */
public record SongPlan(List<Kept> kept, List<Join> joins, long length, double cost) {
  /** Samples over which one stretch fades into the next, before the downbeat of the next. */
  static final int FADE = Samples.RATE / 25;

  /** Samples over which an ending that is cut short fades. */
  private static final int END_FADE = Samples.RATE / 2;

  /** How far a stretch may be shifted to fall in with the one before, in samples: 10 ms. */
  private static final int SHIFT = Samples.RATE / 100;

  /**
   * A stretch of the song.
   *
   * @param firstBar its bars, counted from 1
   * @param start its first sample of the song
   * @param end the sample after its last
   */
  public record Kept(int firstBar, int lastBar, long start, long end) {
    long length() {
      return end - start;
    }
  }

  /**
   * A place where two stretches meet, on a downbeat.
   *
   * @param at in samples of the result
   * @param cost how audible it may be: 0 goes on as the song does, 1 is like two bars at random
   */
  public record Join(long at, double cost) {}

  public SongPlan {
    kept = List.copyOf(kept);
    joins = List.copyOf(joins);
  }

  /** What is known of the result. */
  public SongParts parts(SongParts song) {
    return SongParts.of(
        kept.stream().map(k -> new SongParts.Stretch(song, k.start, k.end)).toList(), length);
  }

  /**
   * The sound of the result. At a join both stretches are heard for 40 ms before the downbeat, with
   * gains whose squares add up to 1, and the later one is shifted by up to 10 ms to where the two
   * waveforms are most alike.
   *
   * @param stereo the song, left and right in turn at 48 kHz
   */
  public float[] apply(float[] stereo) {
    float[] out = new float[Math.toIntExact(length * 2)];
    long at = 0;
    long shift = 0;
    for (int k = 0; k < kept.size(); k++) {
      Kept part = kept.get(k);
      if (k > 0) {
        long before = kept.get(k - 1).end + shift;
        shift = bestShift(stereo, before, part.start);
      }
      long from = part.start + shift;
      int lead = k == 0 ? 0 : FADE;
      for (long i = -lead; i < part.length() && at + i < length; i++) {
        double gain = i >= 0 ? 1 : Math.sin(Math.PI / 2 * (i + lead + 0.5) / lead);
        for (int c = 0; c < 2; c++) {
          int to = (int) (2 * (at + i) + c);
          float old = i >= 0 ? 0 : out[to] * (float) Math.sqrt(1 - gain * gain);
          out[to] = old + (float) gain * sample(stereo, from + i, c);
        }
      }
      at += part.length();
    }
    if (at > length) {
      fadeOut(out);
    }
    return out;
  }

  private static void fadeOut(float[] out) {
    int frames = out.length / 2;
    int fade = Math.min(END_FADE, frames);
    for (int i = 0; i < fade; i++) {
      float gain = (float) Math.cos(Math.PI / 2 * (i + 0.5) / fade);
      out[2 * (frames - fade + i)] *= gain;
      out[2 * (frames - fade + i) + 1] *= gain;
    }
  }

  /**
   * The shift of a stretch that begins at {@code start} at which it is most like what it follows.
   */
  private static long bestShift(float[] stereo, long end, long start) {
    int reach = FADE;
    double best = Double.NEGATIVE_INFINITY;
    long shift = 0;
    for (int s = -SHIFT; s <= SHIFT; s += 4) {
      double dot = 0;
      double a = 1e-9;
      double b = 1e-9;
      for (int i = -reach; i < reach; i += 3) {
        float x = sample(stereo, end + i, 0) + sample(stereo, end + i, 1);
        float y = sample(stereo, start + s + i, 0) + sample(stereo, start + s + i, 1);
        dot += x * y;
        a += x * x;
        b += y * y;
      }
      double like = dot / Math.sqrt(a * b) - 0.02 * Math.abs(s) / SHIFT;
      if (like > best) {
        best = like;
        shift = s;
      }
    }
    return shift;
  }

  /** A sample of a song, silent before it begins and after it ends. */
  static float sample(float[] stereo, long frame, int channel) {
    long at = 2 * frame + channel;
    return at < 0 || at >= stereo.length ? 0 : stereo[(int) at];
  }
}
