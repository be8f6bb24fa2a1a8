package app.latethistle.core.voice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The cheapest way through the words of a model for every frame of a reading, by dynamic
 * programming. A state is a frame of a word of the model, or the gap before, between or after
 * words. A frame of the reading that lies in a word costs its distance from the model's frame; one
 * in a gap costs little if it is quiet and a fixed price if it is not, so that speech that fits no
 * word ends in a gap. A word may be left out at a price a frame.
 */
final class WordPath {
  /** How loud a frame may be before a gap finds it strange. */
  static final double QUIET_UP_TO = 0.3;

  /** What a loud and a quiet frame cost in a gap, where two frames taken at random cost 1. */
  static final double STRAY = 0.82;

  private static final double QUIET = 0.18;
  private static final double LEFT_OUT = 0.72;
  private static final double ENTER_GAP = 0.4;

  /** What it costs to stay, and to go on by one, two and three frames of the model. */
  private static final double[] STEP = {0.04, 0, 0.06, 0.16};

  /** How a state was come to: by a step of 0 to 3, or one of these. */
  private static final byte OUT_OF_GAP = 4;

  private static final byte OVER_A_WORD = 5;

  /** How a gap is come to, other than from itself. */
  private static final byte[] INTO_GAP = {1, 2, OVER_A_WORD};

  /** Fewer words stay near their places however they are turned. */
  private static final int FEWEST_TO_MIX = 3;

  private final Distances distances;

  /** The model's frames, word by word. */
  private final List<int[]> words;

  private final int[] frameOf;
  private final int[] wordOf;

  /** The gap before each word and the one after the last. */
  private final int[] gap;

  private WordPath(Distances distances, List<int[]> words) {
    this.distances = distances;
    this.words = words;
    int states = words.size() + 1;
    for (int[] frames : words) {
      states += frames.length;
    }
    frameOf = new int[states];
    wordOf = new int[states];
    gap = new int[words.size() + 1];
    int s = 0;
    for (int w = 0; w <= words.size(); w++) {
      gap[w] = s;
      frameOf[s] = -1;
      wordOf[s++] = w;
      for (int frame : w < words.size() ? words.get(w) : new int[0]) {
        frameOf[s] = frame;
        wordOf[s++] = w;
      }
    }
  }

  /** The path of a reading through the words of a model. */
  static WordPath through(Distances distances, List<ModelReading.Word> words) {
    List<int[]> frames = new ArrayList<>();
    for (ModelReading.Word word : words) {
      int from = distances.model().frameAt(word.start());
      int to = Math.max(from + 1, distances.model().frameAt(word.end()));
      frames.add(IntStream.range(from, to).toArray());
    }
    return new WordPath(distances, frames);
  }

  /** Paths of the same reading through the same sounds in orders in which they are not said. */
  List<WordPath> wrongTexts() {
    List<int[]> backwards = new ArrayList<>();
    List<int[]> lastFirst = new ArrayList<>(words);
    Collections.reverse(lastFirst);
    for (int[] word : lastFirst) {
      int[] turned = new int[word.length];
      for (int i = 0; i < word.length; i++) {
        turned[i] = word[word.length - 1 - i];
      }
      backwards.add(turned);
    }
    List<WordPath> wrong = new ArrayList<>();
    wrong.add(new WordPath(distances, backwards));
    if (words.size() >= FEWEST_TO_MIX) {
      wrong.add(new WordPath(distances, lastFirst));
      List<int[]> mixed = new ArrayList<>(words);
      Collections.rotate(mixed, words.size() / 2);
      Collections.reverse(mixed.subList(0, words.size() / 2));
      wrong.add(new WordPath(distances, mixed));
    }
    return wrong;
  }

  boolean isGap(int state) {
    return frameOf[state] < 0;
  }

  /** The word of a state; of a gap the word after it. */
  int wordOf(int state) {
    return wordOf[state];
  }

  /** The distance of a frame of the reading from a state's frame, where 1 is a random pair's. */
  float distance(int frame, int state) {
    return distances.of(frame, frameOf[state]);
  }

  private double inGap(int frame) {
    double strange = (distances.reading().loud(frame) - QUIET_UP_TO / 2) / (QUIET_UP_TO / 2);
    return QUIET + (STRAY - QUIET) * Math.max(0, Math.min(1, strange));
  }

  /** The state of every frame of the reading. */
  int[] find() {
    int frames = distances.reading().length();
    int states = frameOf.length;
    byte[][] came = new byte[frames][states];
    float[] before = new float[states];
    float[] now = new float[states];
    Arrays.fill(before, Float.MAX_VALUE);
    before[0] = 0;
    for (int t = 0; t < frames; t++) {
      for (int s = 0; s < states; s++) {
        byte by = isGap(s) ? intoGap(s, before) : intoWord(s, before);
        float cost = before[comingFrom(s, by)] + (float) price(s, by);
        now[s] = cost + (float) (isGap(s) ? inGap(t) : cost < Float.MAX_VALUE ? distance(t, s) : 0);
        came[t][s] = by;
      }
      float[] swap = before;
      before = now;
      now = swap;
    }
    int state = states - 1;
    for (int s = Math.max(1, states - STEP.length); s < states; s++) {
      if (before[s] < before[state]) {
        state = s;
      }
    }
    int[] path = new int[frames];
    for (int t = frames - 1; t >= 0; t--) {
      path[t] = state;
      state = comingFrom(state, came[t][state]);
    }
    return path;
  }

  private byte intoGap(int s, float[] before) {
    int word = wordOf[s];
    byte best = 0;
    float least = before[s];
    if (word > 0) {
      for (byte by : INTO_GAP) {
        int p = comingFrom(s, by);
        float cost = before[p] + (float) price(s, by);
        boolean inside = by == OVER_A_WORD || p > gap[word - 1];
        if (inside && cost < least) {
          least = cost;
          best = by;
        }
      }
    }
    return best;
  }

  private byte intoWord(int s, float[] before) {
    byte best = 0;
    float least = before[s] + (float) STEP[0];
    for (byte by = 1; by < STEP.length; by++) {
      int p = comingFrom(s, by);
      if (p >= 0 && !isGap(p) && before[p] + STEP[by] < least) {
        least = before[p] + (float) STEP[by];
        best = by;
      }
    }
    int own = gap[wordOf[s]];
    if (s - own <= 2 && before[own] < least) {
      best = OUT_OF_GAP;
    }
    return best;
  }

  /** The state that a state was come to from; a step over a gap counts it for nothing. */
  private int comingFrom(int s, byte by) {
    if (by == OUT_OF_GAP) {
      return gap[wordOf[s]];
    }
    if (by == OVER_A_WORD) {
      return gap[wordOf[s] - 1];
    }
    int p = s - by;
    return isGap(s) || p > gap[wordOf[s]] ? p : p - 1;
  }

  private double price(int s, byte by) {
    if (isGap(s)) {
      return by == 0 ? 0 : by == OVER_A_WORD ? LEFT_OUT * (s - comingFrom(s, by) - 1) : ENTER_GAP;
    }
    return by == OUT_OF_GAP ? 0 : STEP[by];
  }
}
