package app.latethistle.core.voice;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Finds the words of a text in a reading of it. Work and memory grow with the product of both
 * lengths, some 5 MB and a tenth of a second for five seconds; a long recording is first parted
 * into its lines by {@link LongReading}.
 *
 * <p>How well words fit is judged beside texts that are not read: the model in another order and
 * backwards, each held against the reading in the same way. What fits no better than these does not
 * fit.
 */
public final class Aligner {
  /** The longest reading that is aligned whole, in seconds. */
  public static final double LONGEST_SECONDS = 30;

  /** Where a word fits so much worse than the wrong texts that nothing of it can be there. */
  private static final double NO_FIT = 1.25;

  /**
   * From this fit on the model's voice is near enough to the reading's to judge its words by: other
   * voices of its own synthesiser lie between 0.31 and 0.9, people's prompts between 0.13 and 0.29.
   */
  private static final double NEAR_VOICE = 0.3;

  /** How far lengths may stray: the deviation of their logarithms, in readings of the text. */
  private static final double EVEN = 0.3;

  /** Words of the model under this many seconds are not looked at for it. */
  private static final double LONG_ENOUGH = 0.2;

  private static final double SHORTEST_HEARD = 0.03;

  private final SpeechFeatures heard;
  private final ModelReading model;
  private final WordPath path;
  private final int[] states;

  private Aligner(MonoSound reading, ModelReading model) {
    this.model = model;
    heard = SpeechFeatures.of(reading);
    SpeechFeatures known = SpeechFeatures.of(model.sound());
    path = WordPath.through(new Distances(heard, known, true), model.words());
    states = path.find();
  }

  /**
   * Aligns a reading with a model of its text.
   *
   * @throws IllegalArgumentException if the text has no words, or the reading is empty or longer
   *     than {@link #LONGEST_SECONDS}
   */
  public static Alignment align(MonoSound reading, ModelReading model) {
    return of(reading, model).alignment();
  }

  private static Aligner of(MonoSound reading, ModelReading model) {
    if (model.words().isEmpty()) {
      throw new Refused("A text without words cannot be found in a reading.");
    }
    if (reading.samples().length == 0 || reading.seconds() > LONGEST_SECONDS) {
      throw new Refused(
          String.format(
              Locale.ROOT,
              "A reading of %.0f seconds; more than 0 and up to %.0f are aligned.",
              reading.seconds(),
              LONGEST_SECONDS));
    }
    return new Aligner(reading, model);
  }

  /**
   * Aligns a reading with a model of its text and, where its voice is far from the model's, has a
   * recogniser judge it too: whichever finds the reading more like its text is believed.
   *
   * @throws IOException if the recogniser cannot be used
   * @throws IllegalArgumentException as {@link #align(MonoSound, ModelReading)} does
   */
  static Alignment align(MonoSound reading, ModelReading model, Recogniser recogniser)
      throws IOException {
    Aligner aligner = of(reading, model);
    Alignment own = aligner.alignment();
    if (own.fit() >= NEAR_VOICE) {
      return own;
    }
    List<String> texts = model.words().stream().map(ModelReading.Word::text).toList();
    List<Recogniser.Heard> heard = recogniser.hear(reading, texts);
    if (heard.isEmpty()) {
      return own;
    }
    Alignment recognised = Recognised.of(aligner.heard, texts, heard);
    return recognised.fit() >= own.fit() ? recognised : own;
  }

  private Alignment alignment() {
    double[] wrong = distancesOfWrongTexts();
    int count = model.words().size();
    int[] first = new int[count];
    int[] frames = new int[count];
    double[] distance = new double[count];
    double[] beside = new double[count];
    double all = 0;
    double allBeside = 1e-9;
    for (int t = 0; t < states.length; t++) {
      if (!path.isGap(states[t])) {
        int w = path.wordOf(states[t]);
        first[w] = frames[w] == 0 ? t : first[w];
        frames[w]++;
        float apart = path.distance(t, states[t]);
        distance[w] += apart;
        beside[w] += wrong[t];
        all += apart;
        allBeside += wrong[t];
      }
    }
    double usual = Math.min(1, all / allBeside);
    List<SpokenWord> words = new ArrayList<>();
    long at = 0;
    for (int w = 0; w < count; w++) {
      long start = at;
      double confidence = 0;
      if (frames[w] > 0) {
        start = heard.sampleAt(first[w]);
        at = heard.sampleAt(first[w] + frames[w]);
        double share = (NO_FIT - distance[w] / beside[w]) / (NO_FIT - usual);
        confidence = Math.max(0, Math.min(1, share));
      }
      words.add(new SpokenWord(model.words().get(w).text(), start, at, confidence));
    }
    return new Alignment(
        words, Strays.of(heard, t -> path.isGap(states[t])), (1 - usual) * evenness(words));
  }

  /**
   * Whether words last as long beside one another as they do in the model, 0 to 1: a text that is
   * not the one that is read is stretched and squeezed to fit.
   */
  private double evenness(List<SpokenWord> words) {
    double sum = 0;
    double squares = 0;
    int count = 0;
    for (int w = 0; w < words.size(); w++) {
      double known = model.words().get(w).end() - model.words().get(w).start();
      if (known >= LONG_ENOUGH) {
        double heardFor = Samples.toSeconds(words.get(w).end() - words.get(w).start());
        double ratio = Math.log(Math.max(SHORTEST_HEARD, heardFor) / known);
        sum += ratio;
        squares += ratio * ratio;
        count++;
      }
    }
    double mean = sum / Math.max(1, count);
    double deviation = Math.sqrt(Math.max(1e-6, squares / Math.max(1, count) - mean * mean));
    return Math.min(1, EVEN / deviation);
  }

  /** For each frame, what it costs where the reading is taken for a wrong text. */
  private double[] distancesOfWrongTexts() {
    double[] sum = new double[states.length];
    List<WordPath> wrong = path.wrongTexts();
    for (WordPath other : wrong) {
      int[] found = other.find();
      for (int t = 0; t < found.length; t++) {
        double d = other.isGap(found[t]) ? WordPath.STRAY : other.distance(t, found[t]);
        sum[t] += d / wrong.size();
      }
    }
    return sum;
  }
}
