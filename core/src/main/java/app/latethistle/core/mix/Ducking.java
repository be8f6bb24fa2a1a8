package app.latethistle.core.mix;

import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.LongUnaryOperator;

/**
 * How far music and clips step aside for the voice: under each line by what the rule needs there,
 * or by what was set by hand; down before it, up again once nothing more follows; and as far as
 * something else asks. Where nobody speaks or asks it is 0.
 *
 * @param lines each line that is heard, in the order they are
 * @param lid the gain that follows from them
 */
public record Ducking(List<Low> lines, LevelLine lid) {
  /** Nobody speaks or asks. */
  public static final Ducking NONE = new Ducking(List.of(), LevelLine.FLAT);

  /**
   * A line.
   *
   * @param id of the line
   * @param at when it is heard
   * @param byRule what the rule lowers by, in decibels, 0 or less
   * @param gain what is done: by the rule or by hand
   * @param byHand whether it is by hand
   */
  public record Low(String id, SampleRange at, double byRule, double gain, boolean byHand) {}

  /**
   * What a line needs of what plays under it.
   *
   * @param id of the line
   * @param at when it is heard
   * @param needed decibels by which what plays there is to be lowered; 0 or less
   */
  public record Need(String id, SampleRange at, double needed) {}

  /**
   * The lid over lines.
   *
   * @param byHand gains that were set, by the line's id
   * @param beatBefore the last beat at or before a sample, or the sample itself
   */
  public static Ducking of(
      DuckingRule rule,
      Map<String, Double> byHand,
      List<Need> needs,
      LongUnaryOperator beatBefore) {
    List<Low> lows =
        needs.stream()
            .filter(need -> !need.at.isEmpty())
            .sorted(Comparator.comparingLong(need -> need.at.start()))
            .map(
                need -> {
                  Double hand = byHand.get(need.id);
                  double gain = hand == null ? need.needed : hand;
                  return new Low(need.id, need.at, need.needed, gain, hand != null);
                })
            .toList();
    long early = Samples.ofSeconds(rule.early() / 1000.0);
    long late = Samples.ofSeconds(rule.late() / 1000.0);
    long gap = Math.max(Samples.ofSeconds(rule.gap() / 1000.0), early + late);
    List<LevelLine.Point> points = new ArrayList<>();
    for (int i = 0; i < lows.size(); i++) {
      Low low = lows.get(i);
      boolean goesOn = i > 0 && low.at.start() - lows.get(i - 1).at.end() < gap;
      if (!goesOn) {
        long from = low.at.start() - early;
        points.add(new LevelLine.Point(rule.onBeat() ? beatBefore.applyAsLong(from) : from, 0));
      }
      points.add(new LevelLine.Point(low.at.start(), low.gain));
      points.add(new LevelLine.Point(low.at.end(), low.gain));
      boolean stays = i + 1 < lows.size() && lows.get(i + 1).at.start() - low.at.end() < gap;
      if (!stays) {
        points.add(new LevelLine.Point(low.at.end() + late, 0));
      }
    }
    return new Ducking(lows, new LevelLine(ordered(points)));
  }

  /**
   * The same, and aside as far as something else asks for it from a sample on.
   *
   * @param landing the sample at which it is to be down
   */
  public Ducking aside(DuckingRule rule, long landing, SteppingAside asked) {
    long early = Samples.ofSeconds(rule.early() / 1000.0);
    long late = Samples.ofSeconds(rule.late() / 1000.0);
    long end = landing + Samples.ofSeconds(asked.held() / 1000.0);
    List<LevelLine.Point> points =
        List.of(
            new LevelLine.Point(landing - early, 0),
            new LevelLine.Point(landing, -asked.by()),
            new LevelLine.Point(end, -asked.by()),
            new LevelLine.Point(end + late, 0));
    return new Ducking(lines, lid.lower(new LevelLine(ordered(points))));
  }

  /** Points whose samples never go back: what two lines at once want is the later one's. */
  private static List<LevelLine.Point> ordered(List<LevelLine.Point> points) {
    List<LevelLine.Point> ordered = new ArrayList<>();
    long last = Long.MIN_VALUE;
    for (LevelLine.Point p : points) {
      last = Math.max(p.sample(), last + 1);
      ordered.add(new LevelLine.Point(last, p.decibels()));
    }
    return ordered;
  }
}
