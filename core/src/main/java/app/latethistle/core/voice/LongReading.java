package app.latethistle.core.voice;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * Parts one long recording into the lines that are read in it, one after the other. A rough look at
 * every eighth frame finds the words; each border lies in the middle of the longest rest around the
 * place where one line's last word gives way to the next line's first.
 */
public final class LongReading {
  /** The longest recording that is parted, in seconds. */
  public static final double LONGEST_SECONDS = 600;

  /** Up to here a recording is aligned whole. */
  private static final double SHORT_SECONDS = 15;

  private static final int COARSE = 8;

  /** How far from the rough border a better rest may lie, in seconds. */
  private static final double NEAR = 0.3;

  private LongReading() {}

  /**
   * Aligns a recording of lines that follow one another: a short one whole, a longer one parted,
   * each line aligned in its part, and what is found joined.
   *
   * @param recogniser asked about voices that are far from the models'
   * @throws IOException if the recogniser cannot be used
   * @throws IllegalArgumentException as {@link #part} and {@link Aligner#align} do
   */
  public static Alignment align(
      MonoSound recording, List<ModelReading> lines, Recogniser recogniser) throws IOException {
    if (recording.seconds() <= SHORT_SECONDS && !lines.isEmpty()) {
      return Aligner.align(recording, ModelReading.joined(lines), recogniser);
    }
    List<SampleRange> parts = part(recording, lines);
    List<SpokenWord> words = new ArrayList<>();
    List<SampleRange> strays = new ArrayList<>();
    double fit = 0;
    for (int i = 0; i < lines.size(); i++) {
      long from = parts.get(i).start();
      MonoSound part = partOf(recording, parts.get(i));
      Alignment line = Aligner.align(part, lines.get(i), recogniser);
      for (SpokenWord w : line.words()) {
        words.add(new SpokenWord(w.text(), w.start() + from, w.end() + from, w.confidence()));
      }
      for (SampleRange s : line.strays()) {
        strays.add(new SampleRange(s.start() + from, s.end() + from));
      }
      fit += line.fit() * line.words().size();
    }
    return new Alignment(words, strays, fit / Math.max(1, words.size()));
  }

  private static MonoSound partOf(MonoSound recording, SampleRange part) {
    int length = recording.samples().length;
    int from = (int) Math.min(length - 1L, part.start() * recording.rate() / Samples.RATE);
    int to = (int) Math.min(length, part.end() * recording.rate() / Samples.RATE);
    return new MonoSound(
        Arrays.copyOfRange(recording.samples(), from, Math.max(from + 1, to)), recording.rate());
  }

  /**
   * The stretch of each line; together they make up the whole recording.
   *
   * @param lines one model a line, in the order they are read
   * @throws IllegalArgumentException if there are no lines, or the recording is too long
   */
  public static List<SampleRange> part(MonoSound recording, List<ModelReading> lines) {
    if (lines.isEmpty()) {
      throw new Refused("There are no lines to find in the recording.");
    }
    if (recording.seconds() > LONGEST_SECONDS) {
      throw new Refused(
          String.format(
              Locale.ROOT,
              "The recording is %.0f s long; up to %.0f s are parted into lines. Cut it in two.",
              recording.seconds(),
              LONGEST_SECONDS));
    }
    ModelReading model = ModelReading.joined(lines);
    SpeechFeatures heard = SpeechFeatures.of(recording);
    SpeechFeatures rough = heard.coarser(COARSE);
    SpeechFeatures known = SpeechFeatures.of(model.sound()).coarser(COARSE);
    WordPath path = WordPath.through(new Distances(rough, known, false), model.words());
    int[] states = path.find();
    List<SampleRange> parts = new ArrayList<>();
    long from = 0;
    int word = 0;
    for (int i = 0; i + 1 < lines.size(); i++) {
      word += lines.get(i).words().size();
      int last = 0;
      int next = states.length;
      for (int t = 0; t < states.length; t++) {
        if (!path.isGap(states[t])) {
          last = path.wordOf(states[t]) < word ? t : last;
          next = path.wordOf(states[t]) >= word ? Math.min(next, t) : next;
        }
      }
      long to = Samples.ofSeconds(quietest(heard, (last + 1) * COARSE, next * COARSE));
      to = Math.max(from, to);
      parts.add(new SampleRange(from, to));
      from = to;
    }
    parts.add(new SampleRange(from, Math.max(from, Samples.ofSeconds(recording.seconds()))));
    return parts;
  }

  /** The middle of the longest quiet run near a range of frames, in seconds. */
  private static double quietest(SpeechFeatures heard, int from, int to) {
    int near = (int) Math.round(NEAR / heard.hopSeconds());
    int start = Math.max(0, from - near);
    int end = Math.min(heard.length(), Math.max(from, to) + near);
    int best = (from + to) / 2;
    int longest = 0;
    int run = 0;
    for (int t = start; t < end; t++) {
      run = heard.loud(t) <= WordPath.QUIET_UP_TO ? run + 1 : 0;
      if (run > longest) {
        longest = run;
        best = t - run / 2;
      }
    }
    return best * heard.hopSeconds();
  }
}
