package app.latethistle.standins.effects;

import app.latethistle.core.sound.SoundWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Makes sounds, those of the shelf and those that are asked for in words. */
public final class EffectMaker {
  private static final Pattern SECONDS = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*(?:s\\b|sec)");
  private static final double SHORTEST = 0.3;
  private static final double LONGEST = 12;
  private static final int CHOICES = 3;

  private EffectMaker() {}

  /**
   * A sound that can be made.
   *
   * @param number by which it is made
   * @param name for people
   * @param kind HIT, BED, RISER or MOVE
   * @param words by which it is found beside its name
   */
  public record Known(int number, String name, String kind, List<String> words) {}

  /**
   * A sound that was made.
   *
   * @param stereo left and right in turn at 48 kHz
   */
  @SuppressWarnings("ArrayRecordComponent") // handed on once, and never compared
  public record Made(String name, String kind, List<String> words, float[] stereo) {}

  /** All the sounds of the shelf. */
  public static List<Known> shelf() {
    List<Known> known = new ArrayList<>();
    for (Recipe recipe : Recipes.all()) {
      known.add(new Known(known.size(), recipe.name(), recipe.kind().name(), recipe.words()));
    }
    return known;
  }

  /** Makes a sound of the shelf: always the same. */
  public static Made make(int number) {
    Recipe recipe = Recipes.all().get(number);
    return made(recipe, recipe.name(), recipe.seconds(), recipe.name().hashCode());
  }

  /**
   * Makes sounds that words ask for, several to choose from. Words that say how long it is to be
   * are heeded; it makes the nearest of what it knows.
   *
   * @param seed what chance follows from
   */
  public static List<Made> ask(String words, long seed) {
    Matcher said = SECONDS.matcher(words.toLowerCase(Locale.ROOT));
    double seconds = said.find() ? Double.parseDouble(said.group(1).replace(',', '.')) : 0;
    SoundWords wanted = SoundWords.of(said.replaceAll(" "));
    List<Recipe> near =
        Recipes.all().stream()
            .sorted(Comparator.comparingDouble(r -> -wanted.score(r.name(), r.words())))
            .toList();
    List<Made> made = new ArrayList<>();
    for (int n = 0; n < CHOICES; n++) {
      // Two of the nearest, differently, and one of the next.
      Recipe recipe = near.get(n < 2 ? 0 : 1);
      double length =
          seconds == 0 ? recipe.seconds() : Math.max(SHORTEST, Math.min(LONGEST, seconds));
      made.add(made(recipe, words.strip() + " " + (n + 1), length, seed * 31 + n + 1));
    }
    return made;
  }

  private static Made made(Recipe recipe, String name, double seconds, long seed) {
    return new Made(name, recipe.kind().name(), recipe.words(), recipe.make(seconds, seed));
  }
}
