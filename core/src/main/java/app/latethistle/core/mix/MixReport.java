package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.signal.PeakMeter;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What is measured of a whole mix.
 *
 * @param integrated in LUFS (ITU-R BS.1770-4)
 * @param range in LU (EBU Tech 3342)
 * @param momentaryMax in LUFS
 * @param shortTermMax in LUFS
 * @param truePeak in dBTP, behind the limiter
 * @param monoLoss how much softer it is where both sides are one, in LU; 0 for a middle
 * @param momentary the loudness of 400 ms, each tenth of a second, in LUFS
 * @param shortTerm the same of 3 s
 * @param held moments that the limiter lowers, each with how far
 * @param voice how each line stands over the rest, in the order of the lines
 */
public record MixReport(
    double integrated,
    double range,
    double momentaryMax,
    double shortTermMax,
    double truePeak,
    double monoLoss,
    List<Double> momentary,
    List<Double> shortTerm,
    List<Held> held,
    List<Stand> voice) {

  /** Peaks nearer than this are one: half a second. */
  private static final long ONE = 24_000;

  /** Samples in which what speech and the rest have of its band is measured: 10 ms. */
  private static final int STEP = 480;

  /** A word that stands less over the rest is hard to hear (common practice, no source). */
  private static final double CLEAR = 3;

  /** Copies the lists. */
  public MixReport {
    momentary = List.copyOf(momentary);
    shortTerm = List.copyOf(shortTerm);
    held = List.copyOf(held);
    voice = List.copyOf(voice);
  }

  /** Decibels by which a moment is lowered so that it stays under the ceiling. */
  public record Held(long sample, double over) {}

  /**
   * A line that is heard, and its words.
   *
   * @param at samples of the film
   * @param words their samples
   */
  public record Line(String id, SampleRange at, List<SampleRange> words) {
    public Line {
      words = List.copyOf(words);
    }
  }

  /**
   * How a line stands.
   *
   * @param id of the line
   * @param over LU by which it stands over all else; infinity where nothing else is heard
   * @param loudness of it in LUFS
   * @param words decibels by which each word stands over all else where speech lies
   * @param hard the words that are hard to hear, by their places
   */
  public record Stand(
      String id, double over, double loudness, List<Double> words, List<Integer> hard) {
    public Stand {
      words = List.copyOf(words);
      hard = List.copyOf(hard);
    }
  }

  /** Mixes a whole and measures it. */
  public static MixReport of(Mix mix, SoundSource source, List<Line> lines) throws IOException {
    return of(mix, source, lines, (buses, gains, stereo, frames) -> {});
  }

  /**
   * The same, while somebody else listens too.
   *
   * @param also told of each block, so that it need not be mixed again
   */
  public static MixReport of(Mix mix, SoundSource source, List<Line> lines, Mixer.Apart also)
      throws IOException {
    Listening listening = new Listening();
    try (Mixer mixer = new Mixer(mix, source)) {
      mixer.mix(
          new SampleRange(0, mix.length()),
          (Mixer.Apart)
              (buses, gains, stereo, frames) -> {
                listening.hear(buses, gains, stereo, frames);
                also.accept(buses, gains, stereo, frames);
              });
    }
    return listening.report(lines);
  }

  private static final class Listening {
    private final Loudness.Meter whole = new Loudness.Meter();
    private final Loudness.Meter folded = new Loudness.Meter();
    private final Loudness.Meter voice = new Loudness.Meter();
    private final Loudness.Meter rest = new Loudness.Meter();
    private final PeakMeter peaks = new PeakMeter();
    private final Band voiceBand = new Band();
    private final Band restBand = new Band();
    private final List<Held> held = new ArrayList<>();
    private long at;

    void hear(Map<Bus, float[]> buses, float[] gains, float[] stereo, int frames) {
      whole.add(stereo, frames);
      peaks.add(stereo, frames);
      float[] others = new float[2 * frames];
      float[] middle = new float[2 * frames];
      float[] said = buses.get(Bus.VOICE);
      buses.forEach(
          (bus, samples) -> {
            for (int i = 0; bus != Bus.VOICE && i < others.length; i++) {
              others[i] += samples[i];
            }
          });
      for (int i = 0; i < frames; i++) {
        float mean = (stereo[2 * i] + stereo[2 * i + 1]) / 2;
        middle[2 * i] = mean;
        middle[2 * i + 1] = mean;
        if (gains[i] < 1) {
          hold(at + i, -Decibels.of(gains[i]));
        }
      }
      folded.add(middle, frames);
      voice.add(said, frames);
      rest.add(others, frames);
      voiceBand.add(said, frames);
      restBand.add(others, frames);
      at += frames;
    }

    private void hold(long sample, double over) {
      Held last = held.isEmpty() ? null : held.get(held.size() - 1);
      if (last == null || sample - last.sample > ONE) {
        held.add(new Held(sample, over));
      } else if (over > last.over) {
        held.set(held.size() - 1, new Held(sample, over));
      }
    }

    MixReport report(List<Line> lines) {
      double integrated = whole.integrated();
      double mono = folded.integrated();
      return new MixReport(
          integrated,
          whole.range(),
          whole.momentaryMax(),
          whole.shortTermMax(),
          peaks.decibels(),
          Double.isFinite(integrated) && Double.isFinite(mono) ? integrated - mono : 0,
          boxed(whole.momentary()),
          boxed(whole.shortTerm()),
          held,
          stands(lines));
    }

    private List<Stand> stands(List<Line> lines) {
      LoudnessTrace said = voice.trace();
      LoudnessTrace others = rest.trace();
      return lines.stream().map(l -> stand(l, said.in(l.at), others.in(l.at))).toList();
    }

    private Stand stand(Line line, double said, double others) {
      List<Double> words = new ArrayList<>();
      List<Integer> hard = new ArrayList<>();
      for (int w = 0; w < line.words.size(); w++) {
        double over =
            10 * Math.log10(voiceBand.mean(line.words.get(w)) / restBand.mean(line.words.get(w)));
        words.add(over);
        if (over < CLEAR) {
          hard.add(w);
        }
      }
      return new Stand(
          line.id,
          others == Loudness.SILENT ? Double.POSITIVE_INFINITY : said - others,
          said,
          words,
          hard);
    }

    private static List<Double> boxed(double[] levels) {
      List<Double> list = new ArrayList<>();
      for (double level : levels) {
        list.add(level);
      }
      return list;
    }
  }

  /** The energy of what lies where consonants and vowels are told apart, 500 Hz to 4 kHz. */
  private static final class Band {
    private final Biquad low = Biquad.lowCut(500, Equaliser.Band.FLAT);
    private final Biquad high = Biquad.highCut(4_000, Equaliser.Band.FLAT);
    private final List<Double> energy = new ArrayList<>();
    private double sum;
    private int count;

    void add(float[] stereo, int frames) {
      for (int i = 0; i < frames; i++) {
        double x = high.next(low.next((stereo[2 * i] + stereo[2 * i + 1]) / 2.0));
        sum += x * x;
        if (++count == STEP) {
          energy.add(sum);
          sum = 0;
          count = 0;
        }
      }
    }

    double mean(SampleRange range) {
      int from = (int) Math.max(0, range.start() / STEP);
      int to = (int) Math.min(energy.size(), Math.max(from + 1, range.end() / STEP));
      double all = 1e-9;
      for (int i = from; i < to; i++) {
        all += energy.get(i);
      }
      return all / Math.max(1, to - from);
    }
  }
}
