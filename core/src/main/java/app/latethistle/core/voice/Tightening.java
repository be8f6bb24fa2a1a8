package app.latethistle.core.voice;

import app.latethistle.core.Refused;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is left out of a reading: stretches of rest, each closed with a short crossfade. A proposal
 * until someone takes it; the reading itself is never changed.
 *
 * @param cuts in order, not overlapping, in samples of the reading at 48 kHz
 */
public record Tightening(List<SampleRange> cuts) {
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
        throw new Refused("Cut " + (i + 1) + " begins before the one before ends.");
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
      List<SampleRange> pauses, List<SpokenWord> words, double longest, long length) {
    if (!(longest >= 0.05)) {
      throw new Refused(
          "A longest pause of " + longest + " s is too short; 0.05 s or more can be kept.");
    }
    List<SampleRange> cuts = new ArrayList<>();
    for (SampleRange pause : pauses) {
      boolean head = pause.start() < FADE;
      boolean tail = pause.end() > length - FADE;
      long keep = Samples.ofSeconds(head ? HEAD : tail ? TAIL : longest);
      if (pause.length() <= keep) {
        continue;
      }
      long from = head ? pause.start() : tail ? pause.start() + keep : pause.start() + keep / 2;
      long to = tail ? pause.end() : from + pause.length() - keep;
      cuts.addAll(clearOf(words, new SampleRange(from, to)));
    }
    cuts.removeIf(cut -> cut.length() < LEAST);
    cuts.sort(Comparator.comparingLong(SampleRange::start));
    return new Tightening(cuts);
  }

  /** The parts of a stretch that keep clear of every word. */
  private static List<SampleRange> clearOf(List<SpokenWord> words, SampleRange stretch) {
    List<SampleRange> parts = new ArrayList<>();
    long from = stretch.start();
    for (SpokenWord word : words) {
      long before = word.start() - CLEAR;
      long after = word.end() + CLEAR;
      if (word.isHeard() && after > from && before < stretch.end()) {
        if (before > from) {
          parts.add(new SampleRange(from, before));
        }
        from = Math.max(from, after);
      }
    }
    if (from < stretch.end()) {
      parts.add(new SampleRange(from, stretch.end()));
    }
    return parts;
  }

  /** How many samples are left out. */
  public long saved() {
    return cuts.stream().mapToLong(SampleRange::length).sum();
  }

  /** Where a sample of the reading comes to lie; one that is cut lies at the seam. */
  public long at(long sample) {
    long moved = 0;
    for (SampleRange cut : cuts) {
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
   * The tightened sound, whole.
   *
   * @param samples the reading at 48 kHz, channels in turn
   */
  public float[] apply(float[] samples, int channels) {
    long length = samples.length / channels;
    float[] out = new float[(int) at(length) * channels];
    try {
      read(
          (from, target, frames) -> {
            for (int i = 0; i < frames; i++) {
              long at = from + i;
              for (int c = 0; c < channels; c++) {
                boolean there = at >= 0 && at < length;
                target[i * channels + c] = there ? samples[(int) at * channels + c] : 0;
              }
            }
          },
          length,
          channels,
          0,
          out,
          out.length / channels);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out;
  }

  /**
   * A reading that gives its samples from anywhere on; zeros before its first and past its last.
   */
  @FunctionalInterface
  public interface Reading {
    /** Writes so many samples of each channel, in turn, from a sample on. */
    void read(long from, float[] target, int frames) throws IOException;
  }

  /**
   * Some of the tightened sound. At a seam the sound before fades out and the sound after fades in,
   * each over {@link #FADE} samples around it, with gains that add up to 1.
   *
   * @param reading at 48 kHz
   * @param length of the reading
   * @param from the tightened sound's sample that is wanted first
   * @param target takes what is wanted, channels in turn
   * @param frames how many are wanted of each channel
   */
  public void read(
      Reading reading, long length, int channels, long from, float[] target, int frames)
      throws IOException {
    Arrays.fill(target, 0, frames * channels, 0);
    long end = from + frames;
    long whole = at(length);
    long kept = 0;
    for (int i = 0; i <= cuts.size(); i++) {
      long until = i == cuts.size() ? length : Math.min(length, cuts.get(i).start());
      // Kept from sample 'kept' of the reading to 'until', which lies here in the tightened one:
      SampleRange here = new SampleRange(at(kept), Math.max(at(kept), at(until)));
      long shift = kept - here.start();
      Optional<SampleRange> wanted = here.intersect(new SampleRange(from, Math.max(from, end)));
      if (wanted.isPresent()) {
        copy(reading, wanted.get(), shift, from, channels, target);
      }
      kept = i == cuts.size() ? length : Math.min(length, cuts.get(i).end());
    }
    for (SampleRange cut : cuts) {
      long seam = at(cut.start());
      SampleRange faded = new SampleRange(seam - FADE / 2, seam + FADE / 2);
      if (faded.start() < end && faded.end() > from) {
        fade(reading, cut, seam, whole, from, channels, target, frames);
      }
    }
  }

  private static void copy(
      Reading reading, SampleRange wanted, long shift, long from, int channels, float[] target)
      throws IOException {
    int count = (int) wanted.length();
    float[] part = new float[count * channels];
    reading.read(wanted.start() + shift, part, count);
    System.arraycopy(part, 0, target, (int) (wanted.start() - from) * channels, part.length);
  }

  private static void fade(
      Reading reading,
      SampleRange cut,
      long seam,
      long whole,
      long from,
      int channels,
      float[] target,
      int frames)
      throws IOException {
    float[] before = new float[FADE * channels];
    float[] after = new float[FADE * channels];
    reading.read(cut.start() - FADE / 2, before, FADE);
    reading.read(cut.end() - FADE / 2, after, FADE);
    for (int i = 0; i < FADE; i++) {
      long at = seam + i - FADE / 2;
      boolean inside = at >= from && at < from + frames && at >= 0 && at < whole;
      if (!inside || cut.start() + i - FADE / 2 < 0) {
        continue;
      }
      float in = (i + 0.5f) / FADE;
      for (int c = 0; c < channels; c++) {
        target[(int) (at - from) * channels + c] =
            before[i * channels + c] * (1 - in) + after[i * channels + c] * in;
      }
    }
  }
}
