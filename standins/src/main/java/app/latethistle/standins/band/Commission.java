package app.latethistle.standins.band;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;

/**
 * A piece the band makes up for someone who asks: an opening, a build, a full part, a lull where
 * there is room, and an end that rings out. The same wish and seed give the same samples.
 *
 * @param style a few words; "waltz" is counted in threes, "drum" gives more of them
 * @param mood of its chords
 * @param bpm 50 to 180
 * @param seconds about how long, 20 to 600
 * @param voice whether somebody hums
 */
public record Commission(
    String style, Mood mood, double bpm, double seconds, boolean voice, long seed) {

  /** What the chords are like. */
  public enum Mood {
    DARK,
    WARM,
    BRIGHT
  }

  private static final String[] FIRST = {"Paper", "Slow", "Low", "Copper", "Winter", "Salt", "Far"};
  private static final String[] SECOND = {
    "Lanterns", "Water", "Wires", "Orchard", "Ferry", "Signals", "Ladders"
  };

  /**
   * @throws IllegalArgumentException if a value is out of range
   */
  public Commission {
    if (!(bpm >= 50 && bpm <= 180)) {
      throw new Refused("The band does not play " + bpm + " beats a minute; ask for 50 to 180.");
    }
    if (!(seconds >= 20 && seconds <= 600)) {
      throw new Refused("The band does not play for " + seconds + " s; ask for 20 to 600.");
    }
  }

  /** What the piece is called. */
  public String title() {
    SplittableRandom random = new SplittableRandom(seed);
    return FIRST[random.nextInt(FIRST.length)] + " " + SECOND[random.nextInt(SECOND.length)];
  }

  /** All of it, left and right in turn at 48 kHz. */
  public float[] play() {
    return new Player(this).play();
  }

  /** Where somebody hums, in seconds of the piece, in order. */
  public List<Hummed> hummed() {
    return new Player(this).hummed();
  }

  /** A stretch of the piece in which somebody hums, in seconds. */
  public record Hummed(double from, double to) {}

  /** Four chords, each a root and its notes, as MIDI numbers. */
  private int[][] chords() {
    return switch (mood) {
      case DARK ->
          new int[][] {{38, 62, 65, 69}, {34, 62, 65, 70}, {43, 62, 67, 70}, {33, 61, 64, 69}};
      case WARM ->
          new int[][] {{41, 60, 65, 69}, {36, 60, 64, 67}, {38, 62, 65, 69}, {34, 58, 62, 65}};
      case BRIGHT ->
          new int[][] {{43, 62, 67, 71}, {38, 62, 66, 69}, {40, 59, 64, 67}, {36, 60, 64, 67}};
    };
  }

  private int beatsPerBar() {
    return style.toLowerCase(Locale.ROOT).contains("waltz") ? 3 : 4;
  }

  /** One performance. */
  private static final class Player {
    private final Commission wish;
    private final int perBar;
    private final double beat;
    private final int bars;
    private final boolean drums;
    private final int[] order;
    private final int[] tune;
    private final Mixdown mix;

    Player(Commission wish) {
      this.wish = wish;
      perBar = wish.beatsPerBar();
      beat = 60 / wish.bpm();
      bars = Math.max(8, (int) Math.round((wish.seconds() - 3) / (perBar * beat) / 4) * 4);
      SplittableRandom random = new SplittableRandom(wish.seed());
      drums = wish.style().toLowerCase(Locale.ROOT).contains("drum") || random.nextBoolean();
      order = random.nextBoolean() ? new int[] {0, 1, 2, 3} : new int[] {0, 2, 1, 3};
      tune = new int[4 * perBar];
      for (int i = 0; i < tune.length; i++) {
        tune[i] = i > 0 && random.nextInt(4) == 0 ? -1 : random.nextInt(3);
      }
      mix = new Mixdown(bars * perBar * beat + 3);
    }

    float[] play() {
      for (int bar = 0; bar < bars; bar++) {
        bar(bar);
      }
      return mix.finish(0.84);
    }

    private boolean isLull(int bar) {
      double part = (double) bar / bars;
      return bars >= 24 && part >= 0.55 && part < 0.65;
    }

    private boolean isHummed(int bar) {
      return wish.voice() && !isLull(bar) && bar >= 4 && bar < bars - 1;
    }

    List<Hummed> hummed() {
      List<Hummed> stretches = new ArrayList<>();
      int from = -1;
      for (int bar = 0; bar <= bars; bar++) {
        if (isHummed(bar) && from < 0) {
          from = bar;
        } else if (!isHummed(bar) && from >= 0) {
          stretches.add(new Hummed(at(from, 0), at(bar, 0)));
          from = -1;
        }
      }
      return stretches;
    }

    private double at(int bar, double place) {
      return (bar * perBar + place) * beat;
    }

    private void bar(int bar) {
      int[] chord = wish.chords()[order[bar % 4]];
      double part = (double) bar / bars;
      boolean last = bar == bars - 1;
      boolean lull = isLull(bar);
      boolean full = part >= 0.4 && !lull && part < 0.92;
      double length = (last ? perBar * beat + 2.5 : perBar * beat) - 0.03;
      double swell = full ? 1 : lull ? 0.5 : 0.55 + 0.6 * part;
      for (int i = 1; i < chord.length; i++) {
        double pan = (i - 2) * 0.4;
        mix.add(
            at(bar, 0),
            length,
            0.08 * swell,
            pan,
            0.5,
            Instruments.bellows(chord[i], length, full ? 0.6 : 0.2));
      }
      mix.add(at(bar, 0), length, 0.45 * swell, 0, 0.1, Instruments.bass(chord[0], length));
      if (bar % 8 == 0 || last) {
        mix.add(at(bar, 0), 4, full ? 0.5 : 0.3, 0, 0.5, Instruments.boom());
      }
      if (last) {
        mix.add(at(bar, 0), 5, 0.3, 0.1, 0.9, Instruments.bell(chord[1] + 24));
        return;
      }
      for (int i = 0; i < perBar; i++) {
        beatOf(bar, i, chord, full, lull);
      }
    }

    private void beatOf(int bar, int i, int[] chord, boolean full, boolean lull) {
      int step = tune[(bar * perBar + i) % tune.length];
      double accent = i == 0 ? 1 : 0.7;
      if (step >= 0) {
        mix.add(
            at(bar, i),
            1.3,
            0.24 * accent,
            i % 2 == 0 ? -0.4 : 0.4,
            0.5,
            Instruments.pluck(chord[1 + step] + 12));
      }
      if (isHummed(bar) && i % 2 == 0) {
        int note = chord[1 + Math.max(0, step)];
        mix.add(at(bar, i), 1.8 * beat, 0.16, 0, 0.5, Instruments.hum(note, 1.8 * beat));
      }
      if ((bar < 4 && !drums) || lull) {
        return;
      }
      if (i % 2 == 0) {
        mix.add(at(bar, i), 0.5, (full ? 0.6 : 0.4) * accent, 0, 0.08, Instruments.kick());
      }
      if (full && i % 2 == 1) {
        mix.add(at(bar, i), 0.3, 0.4, 0.1, 0.3, Instruments.snare(bar * 7L + i, 15));
      }
      if (full || drums) {
        for (int half = 0; half < 2; half++) {
          double level = half == 0 ? 0.15 : 0.09;
          mix.add(
              at(bar, i + half * 0.5), 0.12, level, 0.3, 0.1, Instruments.hat(bar * 31L + i, 55));
        }
      }
    }
  }
}
