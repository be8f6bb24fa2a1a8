package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.VoiceCare;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * How a film's sounds stand to each other.
 *
 * @param levels of the buses that are not as they are mixed
 * @param rule by which music and clips step aside for the voice
 * @param byHand decibels by which they do under a line, where a person knows better, by the line's
 *     id: -60 to 12
 * @param care what is done to readings
 */
public record Balance(
    Map<Bus, BusLevel> levels, DuckingRule rule, Map<String, Double> byHand, VoiceCare care) {
  /** What a film has until it is told otherwise. */
  public static final Balance USUAL =
      new Balance(Map.of(), DuckingRule.USUAL, Map.of(), VoiceCare.NONE);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Balance {
    Map<Bus, BusLevel> told = new EnumMap<>(Bus.class);
    levels.forEach(
        (bus, level) -> {
          if (!level.equals(BusLevel.PLAIN)) {
            told.put(bus, level);
          }
        });
    levels = Collections.unmodifiableMap(told);
    byHand = Collections.unmodifiableMap(new TreeMap<>(byHand));
    byHand
        .values()
        .forEach(
            gain -> {
              if (!(gain >= Decibels.LEAST && gain <= Decibels.MOST)) {
                throw new Refused(
                    "Music under a line is moved by -60 to 12 dB, not "
                        + Refused.number(gain)
                        + ".");
              }
            });
  }

  /** How loud a bus is. */
  public BusLevel level(Bus bus) {
    return levels.getOrDefault(bus, BusLevel.PLAIN);
  }

  /** The same with a bus as loud as said. */
  public Balance withLevel(Bus bus, BusLevel level) {
    Map<Bus, BusLevel> other = new EnumMap<>(Bus.class);
    other.putAll(levels);
    other.put(bus, level);
    return new Balance(other, rule, byHand, care);
  }

  /** The same by another rule. */
  public Balance withRule(DuckingRule other) {
    return new Balance(levels, other, byHand, care);
  }

  /** The same with what was set by hand under lines. */
  public Balance withByHand(Map<String, Double> other) {
    return new Balance(levels, rule, other, care);
  }

  /** The same with readings cared for so. */
  public Balance withCare(VoiceCare other) {
    return new Balance(levels, rule, byHand, other);
  }

  /** The same with the points of its lines tied otherwise. */
  Balance map(UnaryOperator<Tie> other) {
    Balance now = this;
    for (Map.Entry<Bus, BusLevel> entry : levels.entrySet()) {
      BusLevel level = entry.getValue();
      now =
          now.withLevel(
              entry.getKey(),
              new BusLevel(
                  level.gain(),
                  level.muted(),
                  level.line().stream()
                      .map(p -> new BusLevel.Point(other.apply(p.at()), p.gain()))
                      .toList()));
    }
    return now;
  }
}
