package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.Optional;

/**
 * How a value follows a clock: it is as far as {@code to} on each hit, having risen over the attack
 * before it, and is at rest again when the decay is over.
 *
 * @param word the word that is followed; empty for other sources
 * @param to the value on a hit, or at full level
 * @param attack in milliseconds, 0 for at once, at most 2000
 * @param decay in milliseconds, 0 for at once, at most 10000
 */
public record Drive(Source source, Optional<Word> word, int to, int attack, int decay) {
  private static final int LONGEST_ATTACK = 2000;
  private static final int LONGEST_DECAY = 10_000;

  /** What is followed. */
  public enum Source {
    /** Each beat of the song. */
    BEATS,
    /** The first beat of each bar. */
    DOWNBEATS,
    /** Each marker of the film: a list of hits laid by hand. */
    MARKERS,
    /** The start of each stressed word that is spoken. */
    WORDS,
    /** The start of one word that is spoken. */
    WORD,
    /** The level of the song below 150 Hz. */
    LOW,
    /** The level of the song from 150 Hz to 2 kHz. */
    MIDDLE,
    /** The level of the song above 2 kHz. */
    HIGH;

    /** Whether it is a level that is followed, and not single hits. */
    public boolean isLevel() {
      return this == LOW || this == MIDDLE || this == HIGH;
    }
  }

  /**
   * A word of the narration.
   *
   * @param line the line's id
   * @param index the word's place in the line, from 0
   */
  public record Word(String line, int index) {
    /**
     * @throws IllegalArgumentException if the word's number is negative
     */
    public Word {
      if (index < 0) {
        throw new Refused("A line's words are numbered from 0; there is no word " + index + ".");
      }
    }
  }

  /**
   * @throws IllegalArgumentException if a time is out of its range, or a word is missing or too
   *     much
   */
  public Drive {
    if (word.isPresent() != (source == Source.WORD)) {
      throw new Refused(
          word.isPresent()
              ? "A word is named, but it is " + source + " that are to be followed."
              : "Say which word the value is to follow: its line, and its number in it.");
    }
    within("An attack", attack, LONGEST_ATTACK);
    within("A decay", decay, LONGEST_DECAY);
  }

  /** Follows something else than a single word. */
  public Drive(Source source, int to, int attack, int decay) {
    this(source, Optional.empty(), to, attack, decay);
  }

  /** At once on each hit, and back over some milliseconds. */
  public static Drive on(Source source, int to, int decay) {
    return new Drive(source, to, 0, decay);
  }

  /** At once on a word, and back over some milliseconds. */
  public static Drive on(Word word, int to, int decay) {
    return new Drive(Source.WORD, Optional.of(word), to, 0, decay);
  }

  /** The same to another value. */
  public Drive withTo(int other) {
    return new Drive(source, word, other, attack, decay);
  }

  /**
   * How much of the way from rest a hit moves the value: 1 on the hit, straight up to it and, as
   * the square of what is left, down from it.
   *
   * @param since milliseconds since the hit; negative before it
   */
  public double share(double since) {
    if (since < 0) {
      return attack == 0 ? 0 : Math.max(0, 1 + since / attack);
    }
    double left = decay == 0 ? (since == 0 ? 1 : 0) : Math.max(0, 1 - since / decay);
    return left * left;
  }

  private static void within(String what, int value, int most) {
    if (value < 0 || value > most) {
      throw new Refused(
          what + " is from 0 to " + most + " ms, not " + Refused.number(value) + " ms.");
    }
  }
}
