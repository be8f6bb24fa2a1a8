package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * What words in a shot call for, as sounds. An entry's word stands for its own forms: "snow" finds
 * "snowing" and "run" "running", but "light" finds no "lighthouse". Of several entries the longest
 * is meant.
 *
 * @param sounds by word, the name of a sound and what to search for
 */
public record Lexicon(Map<String, Sound> sounds) {
  /**
   * A sound that a word calls for.
   *
   * @param name as the sound list shows it
   * @param search words to search a sound library with
   */
  public record Sound(String name, String search) {}

  private static final Set<String> ENDINGS = Set.of("s", "es", "d", "ed", "er", "ers", "ing", "y");

  /** What follows a doubled consonant, or an e that falls away. */
  private static final Set<String> DOUBLED = Set.of("ed", "er", "ers", "ing", "y");

  /** Copies the map, in its order. */
  public Lexicon {
    sounds = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(sounds));
  }

  /** The lexicon that ships. */
  public static final Lexicon USUAL = new Lexicon(usual());

  private static Map<String, Sound> usual() {
    String[][] entries = {
      {"storm", "storm", "storm wind rain heavy"},
      {"thunder", "thunder", "thunder roll distant"},
      {"rain", "rain", "rain steady outdoor"},
      {"snow", "soft snow wind", "winter wind soft snow"},
      {"wind", "wind", "wind gusts open"},
      {"gust", "gust", "wind gust whoosh"},
      {"water", "water lapping", "water lapping shore calm"},
      {"wave", "waves", "waves shore"},
      {"river", "river", "river stream flow"},
      {"sea", "sea", "sea waves distant"},
      {"flood", "flood water", "flood rushing water"},
      {"boat", "boat on water", "wooden boat creak water"},
      {"jetty", "jetty creak", "wood jetty creak water"},
      {"oar", "oars", "oar stroke water"},
      {"fire", "fire", "fire crackle"},
      {"candle", "candle flame", "candle flame flutter"},
      {"lantern", "lantern lit", "match strike lantern flame"},
      {"lamp", "lamp", "oil lamp hiss"},
      {"burner", "burner", "gas burner roar burst"},
      {"balloon", "balloon burner", "hot air burner burst"},
      {"basket", "basket creak", "wicker basket creak"},
      {"rope", "rope", "rope strain creak"},
      {"door", "door", "wooden door open close"},
      {"knock", "knock", "knock on wood door"},
      {"letter", "paper", "paper letter unfold rustle"},
      {"paper", "paper", "paper rustle"},
      {"envelope", "envelope", "envelope open paper"},
      {"seal", "wax seal", "stamp press wax"},
      {"write", "pen", "pen nib writing paper"},
      {"pen", "pen", "pen nib writing paper"},
      {"mail", "mailbag", "canvas bag drop"},
      {"bell", "bell", "bell single strike"},
      {"steeple", "distant bell", "church bell distant"},
      {"clock", "clock", "clock ticking"},
      {"step", "footsteps", "footsteps wood"},
      {"walk", "footsteps", "footsteps slow"},
      {"run", "running", "footsteps running"},
      {"crowd", "crowd", "crowd murmur"},
      {"horse", "horse", "horse hooves snort"},
      {"dog", "dog", "dog bark distant"},
      {"bird", "birds", "birds morning"},
      {"gull", "gulls", "gull cry coast"},
      {"train", "train", "train passing rails"},
      {"car", "car", "car pass by"},
      {"engine", "engine", "engine idle"},
      {"gear", "gears", "gears mechanism turn"},
      {"carousel", "carousel", "carousel organ mechanism turning"},
      {"wheel", "wheel", "wheel creak turning"},
      {"swing", "swing chains", "chain swing creak"},
      {"light", "lights switch on", "electric lamps switch hum"},
      {"bulb", "bulb hum", "light bulb hum buzz"},
      {"salt", "steps on salt", "footsteps crunch salt gravel"},
      {"dust", "dust wind", "desert wind sand"},
      {"glass", "glass", "glass clink"},
      {"mirror", "mirror shimmer", "glass shimmer"},
      {"key", "key", "key in lock"},
      {"lock", "lock", "lock click"},
      {"breath", "breath", "breath close"},
      {"heart", "heartbeat", "heartbeat low"},
      {"laugh", "laughter", "laughter distant"},
      {"cry", "cry", "sob quiet"},
      {"shout", "shout", "shout distant"},
      {"gun", "shot", "gunshot distant"},
      {"machine", "machine", "machine hum"},
      {"night", "night air", "night ambience crickets"},
      {"forest", "forest", "forest ambience"},
      {"city", "city", "city ambience distant"},
      {"market", "market", "market crowd"},
      {"kitchen", "kitchen", "kitchen dishes"},
    };
    Map<String, Sound> map = new LinkedHashMap<>();
    for (String[] e : entries) {
      map.put(e[0], new Sound(e[1], e[2]));
    }
    return map;
  }

  /** The sounds a text calls for, each once, in the order of its words. */
  public List<Sound> soundsFor(String text) {
    Set<Sound> found = new LinkedHashSet<>();
    for (String word : Words.of(text.toLowerCase(Locale.ROOT))) {
      sounds.entrySet().stream()
          .filter(entry -> isFormOf(word, entry.getKey()))
          .max(Comparator.comparingInt(entry -> entry.getKey().length()))
          .ifPresent(entry -> found.add(entry.getValue()));
    }
    return new ArrayList<>(found);
  }

  /** Whether a word is another one with an ending of English grammar. */
  private static boolean isFormOf(String word, String key) {
    String last = key.substring(key.length() - 1);
    String shorter = key.substring(0, key.length() - 1);
    return word.equals(key)
        || (word.startsWith(key) && ENDINGS.contains(word.substring(key.length())))
        || (word.startsWith(key + last) && DOUBLED.contains(word.substring(key.length() + 1)))
        || (last.equals("e")
            && word.startsWith(shorter)
            && DOUBLED.contains(word.substring(shorter.length())))
        || (last.equals("y") && word.equals(shorter + "ies"));
  }
}
