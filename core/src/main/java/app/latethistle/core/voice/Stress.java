package app.latethistle.core.voice;

import java.util.Locale;
import java.util.Set;

/**
 * Which words of a line carry a stress. Function words of English carry none of their own:
 * articles, prepositions, pronouns, auxiliaries and conjunctions. The list is from memory, no
 * source.
 */
public final class Stress {
  private static final Set<String> UNSTRESSED =
      Set.of(
          ("a an the and or but nor so yet of to in on at by for from with into onto over under as"
                  + " if than that this these those it its he him his she her they them their we us"
                  + " our you your i me my who whom whose which what is are was were be been am do"
                  + " does did has have had will would can could shall should may might must not no"
                  + " there here then when where while")
              .split(" "));

  private Stress() {}

  /** Whether a word is stressed; marks around it do not count. */
  public static boolean isOn(String word) {
    return !UNSTRESSED.contains(word.toLowerCase(Locale.ROOT).replaceAll("[^a-z']", ""));
  }
}
