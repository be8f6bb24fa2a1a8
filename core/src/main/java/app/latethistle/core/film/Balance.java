package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.VoiceCare;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
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
 * @param asked how music and clips step aside for sounds and titles that ask for it, by their ids;
 *     what is not in the film any more asks for nothing
 * @param turns what happens to the music, in no order
 */
public record Balance(
    Map<Bus, BusLevel> levels,
    DuckingRule rule,
    Map<String, Double> byHand,
    VoiceCare care,
    Map<String, SteppingAside> asked,
    List<MusicTurn> turns) {
  /** What a film has until it is told otherwise. */
  public static final Balance USUAL =
      new Balance(Map.of(), DuckingRule.USUAL, Map.of(), VoiceCare.NONE, Map.of(), List.of());

  private static final int MOST_TURNS = 50;

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
    asked = Collections.unmodifiableMap(new TreeMap<>(asked));
    turns = List.copyOf(turns);
    if (turns.size() > MOST_TURNS) {
      throw new Refused("Music takes at most " + MOST_TURNS + " turns; take one out first.");
    }
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
    return new Balance(other, rule, byHand, care, asked, turns);
  }

  /** The same by another rule. */
  public Balance withRule(DuckingRule other) {
    return new Balance(levels, other, byHand, care, asked, turns);
  }

  /** The same with what was set by hand under lines. */
  public Balance withByHand(Map<String, Double> other) {
    return new Balance(levels, rule, other, care, asked, turns);
  }

  /** The same with readings cared for so. */
  public Balance withCare(VoiceCare other) {
    return new Balance(levels, rule, byHand, other, asked, turns);
  }

  /** The same with music and clips stepping aside for other sounds and titles. */
  public Balance withAsked(Map<String, SteppingAside> other) {
    return new Balance(levels, rule, byHand, care, other, turns);
  }

  /** The same with other turns of the music. */
  public Balance withTurns(List<MusicTurn> other) {
    return new Balance(levels, rule, byHand, care, asked, other);
  }

  /** The same with the points of its lines, and its turns, tied otherwise. */
  Balance map(UnaryOperator<Tie> other) {
    Balance now = withTurns(turns.stream().map(t -> t.map(other)).toList());
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
