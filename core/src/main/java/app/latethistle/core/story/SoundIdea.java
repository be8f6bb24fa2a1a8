package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A sound wanted for a shot.
 *
 * @param shot the shot's id
 * @param name as the list shows it
 * @param search words to search for it with
 */
public record SoundIdea(int shot, String name, String search) {
  /**
   * The sound list of the shots: each shot's own ideas, with what is kept of the list before
   * (search words the person changed) and with searches proposed by the lexicon for the others.
   */
  public static List<SoundIdea> listFor(
      List<StoryShot> shots, Lexicon lexicon, List<SoundIdea> before) {
    Map<String, SoundIdea> kept = new LinkedHashMap<>();
    before.forEach(s -> kept.put(key(s.shot(), s.name()), s));
    List<SoundIdea> list = new ArrayList<>();
    for (StoryShot shot : shots) {
      for (String name : shot.sounds()) {
        SoundIdea known = kept.get(key(shot.id(), name));
        list.add(known != null ? known : new SoundIdea(shot.id(), name, search(name, lexicon)));
      }
    }
    return list;
  }

  private static String key(int shot, String name) {
    return shot + "/" + name.toLowerCase(Locale.ROOT);
  }

  private static String search(String name, Lexicon lexicon) {
    return lexicon.sounds().values().stream()
        .filter(s -> s.name().equalsIgnoreCase(name))
        .findFirst()
        .or(() -> lexicon.soundsFor(name).stream().findFirst())
        .map(Lexicon.Sound::search)
        .orElse(name);
  }
}
