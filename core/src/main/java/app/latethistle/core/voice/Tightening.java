package app.latethistle.core.voice;

import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What is left out of a reading: stretches of rest, each closed with a short crossfade. A proposal
 * until someone takes it; the reading itself is never changed.
 *
 * @param cuts in order, not overlapping, in samples of the reading at 48 kHz
 */
public record Tightening(List<Stretch> cuts) {
  /** Nothing left out. */
  public static final Tightening NONE = new Tightening(List.of());

  /** What is kept of the rest before the first word and after the last, in seconds. */
  public static final double HEAD = 0.08;

  public static final double TAIL = 0.2;

  /** The length of a crossfade in samples: 10 ms. */
  static final int FADE = Samples.RATE / 100;

  /** No cut comes nearer to a word than this, in samples: 30 ms, more than a crossfade reaches. */
  private static final long CLEAR = Samples.RATE * 3 / 100;

  /** A cut shorter than this is not worth its seam, in samples: 30 ms. */
  private static final long LEAST = Samples.RATE * 3 / 100;

  /**
   * @throws IllegalArgumentException if cuts overlap or are out of order
   */
  public Tightening {
    cuts = List.copyOf(cuts);
    for (int i = 1; i < cuts.size(); i++) {
      if (cuts.get(i).start() < cuts.get(i - 1).end()) {
        throw new IllegalArgumentException(
            "Cut " + (i + 1) + " begins before the one before ends.");
      }
    }
  }

  /**
   * Proposes cuts that leave no rest longer than wanted, and little before the first word and after
   * the last. A word is never touched, even where it is so quiet that it counts as a rest.
   *
   * @param pauses the rests of the reading
   * @param words its words
   * @param longest the longest rest wanted between words, in seconds, 0.05 or more
   * @param length of the reading in samples at 48 kHz
   * @throws IllegalArgumentException if {@code longest} is too small
   */
  public static Tightening to(
      List<Stretch> pauses, List<SpokenWord> words, double longest, long length) {
    if (!(longest >= 0.05)) {
      throw new IllegalArgumentException(
          "A longest pause of " + longest + " s is too short; 0.05 s or more can be kept.");
    }
    List<Stretch> cuts = new ArrayList<>();
    for (Stretch pause : pauses) {
      boolean head = pause.start() < FADE;
      boolean tail = pause.end() > length - FADE;
      long keep = Samples.ofSeconds(head ? HEAD : tail ? TAIL : longest);
      if (pause.length() <= keep) {
        continue;
      }
      long from = head ? pause.start() : tail ? pause.start() + keep : pause.start() + keep / 2;
      long to = tail ? pause.end() : from + pause.length() - keep;
      cuts.addAll(clearOf(words, new Stretch(from, to)));
    }
    cuts.removeIf(cut -> cut.length() < LEAST);
    cuts.sort(Comparator.comparingLong(Stretch::start));
    return new Tightening(cuts);
  }

  /** The parts of a stretch that keep clear of every word. */
  private static List<Stretch> clearOf(List<SpokenWord> words, Stretch stretch) {
    List<Stretch> parts = new ArrayList<>();
    long from = stretch.start();
    for (SpokenWord word : words) {
      long before = word.start() - CLEAR;
      long after = word.end() + CLEAR;
      if (word.isHeard() && after > from && before < stretch.end()) {
        if (before > from) {
          parts.add(new Stretch(from, before));
        }
        from = Math.max(from, after);
      }
    }
    if (from < stretch.end()) {
      parts.add(new Stretch(from, stretch.end()));
    }
    return parts;
  }

  /** How many samples are left out. */
  public long saved() {
    return cuts.stream().mapToLong(Stretch::length).sum();
  }

  /** Where a sample of the reading comes to lie; one that is cut lies at the seam. */
  public long at(long sample) {
    long moved = 0;
    for (Stretch cut : cuts) {
      moved += Math.max(0, Math.min(sample, cut.end()) - cut.start());
    }
    return sample - moved;
  }

  /** The words of the tightened reading. */
  public List<SpokenWord> words(List<SpokenWord> words) {
    return words.stream()
        .map(w -> new SpokenWord(w.text(), at(w.start()), at(w.end()), w.confidence()))
        .toList();
  }

  /**
   * The tightened sound. At a seam the sound before fades out and the sound after fades in, each
   * over {@link #FADE} samples around it, with gains that add up to 1.
   *
   * @param samples the reading at 48 kHz, channels in turn
   */
  public float[] apply(float[] samples, int channels) {
    int frames = samples.length / channels;
    float[] out = new float[(int) at(frames) * channels];
    int to = 0;
    int from = 0;
    for (Stretch cut : cuts) {
      int seam = (int) Math.min(frames, cut.start());
      System.arraycopy(samples, from * channels, out, to * channels, (seam - from) * channels);
      to += seam - from;
      from = (int) Math.min(frames, cut.end());
    }
    System.arraycopy(samples, from * channels, out, to * channels, (frames - from) * channels);
    for (Stretch cut : cuts) {
      fade(samples, out, channels, cut);
    }
    return out;
  }

  private void fade(float[] samples, float[] out, int channels, Stretch cut) {
    int frames = samples.length / channels;
    int seam = (int) at(cut.start());
    for (int i = -FADE / 2; i < FADE / 2; i++) {
      long before = cut.start() + i;
      long after = cut.end() + i;
      int at = seam + i;
      if (at < 0 || at >= out.length / channels || before < 0) {
        continue;
      }
      float in = (i + FADE / 2 + 0.5f) / FADE;
      for (int c = 0; c < channels; c++) {
        float a = before < frames ? samples[(int) before * channels + c] : 0;
        float b = after < frames ? samples[(int) after * channels + c] : 0;
        out[at * channels + c] = a * (1 - in) + b * in;
      }
    }
  }
}
