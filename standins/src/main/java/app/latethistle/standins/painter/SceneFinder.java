package app.latethistle.standins.painter;

import app.latethistle.core.story.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Finds the scene that a prompt's words come nearest to. */
public final class SceneFinder {
  /** Words, the weightiest first, by scene. */
  private static final Map<Scene, String> WORDS =
      Map.ofEntries(
          Map.entry(Scene.DROWNED_VALLEY, "valley drowned flooded moonlit hills wide"),
          Map.entry(Scene.SUNKEN_ROOFS, "roofs roof chimney village sunken water"),
          Map.entry(Scene.CANDLE_LETTER, "candle writes writing desk table window pen letter"),
          Map.entry(Scene.LANTERN_LIT, "lantern lamp lit match flame light"),
          Map.entry(Scene.STILT_HOUSE, "stilt house stilts moored home room"),
          Map.entry(Scene.INTO_THE_ENVELOPE, "envelope burner crown inside fabric roars"),
          Map.entry(Scene.BASKET_LIFTS, "basket lifts ropes rises balloon departs"),
          Map.entry(Scene.OVER_THE_STEEPLE, "steeple church bell drifts balloon over"),
          Map.entry(Scene.FIRST_SNOW, "snow first pines forest ridge falls"),
          Map.entry(Scene.MAILBAG, "mailbag bag sack canvas mail post"),
          Map.entry(Scene.LANTERNS_FROM_ABOVE, "above lanterns lights below boats dark"),
          Map.entry(Scene.JETTY, "jetty pier planks landing boat shore"),
          Map.entry(Scene.DOOR_SEVEN, "door seven knocks 7"),
          Map.entry(Scene.DOOR_TWENTY_FIVE, "door twenty-five 25"),
          Map.entry(Scene.DOOR_FORTY_ONE, "door forty-one last 41"),
          Map.entry(Scene.LETTERBOXES, "letterboxes letterbox boxes row posts"),
          Map.entry(Scene.STORM, "storm lightning thunder gale wind"),
          Map.entry(Scene.SEALED_LETTER, "sealed letter wax seal hand falls"),
          Map.entry(Scene.NIGHT_POST, "dawn morning titles town fleet balloons"),
          Map.entry(Scene.SALT_PLAIN, "plain salt fairground fair horizon wide desert"),
          Map.entry(Scene.CAROUSEL, "carousel turning roundabout spins"),
          Map.entry(Scene.WOODEN_HORSE, "horse horses wooden mane"),
          Map.entry(Scene.SALT_WHEEL, "wheel gondola turns high"),
          Map.entry(Scene.TICKET_BOOTH, "booth ticket seller window coin"),
          Map.entry(Scene.SWINGS, "swings chains swing fly"),
          Map.entry(Scene.WALK_ON_SALT, "walks walking dancer coat alone footprints"),
          Map.entry(Scene.STRING_OF_BULBS, "bulbs bulb string lamps glow"),
          Map.entry(Scene.MIRROR, "mirror reflection face glass"),
          Map.entry(Scene.WALKER_BEFORE_GREEN, "green backdrop backing carrier figure"),
          Map.entry(Scene.STANDING_BEFORE_BLUE, "blue backdrop backing standing figure"));

  private SceneFinder() {}

  /** The scene for a prompt; one by the seed if no word is known. */
  public static Scene find(String prompt, long seed) {
    List<String> words =
        Words.of(prompt).stream().map(w -> w.toLowerCase(Locale.ROOT)).distinct().toList();
    List<Scene> all = Arrays.stream(Scene.values()).filter(s -> !s.isBacking()).toList();
    Scene best = all.get((int) Math.floorMod(seed, (long) all.size()));
    double most = 0;
    for (Scene scene : Scene.values()) {
      List<String> known = List.of(WORDS.get(scene).split(" "));
      double score = 0;
      for (int i = 0; i < words.size(); i++) {
        int at = known.indexOf(words.get(i));
        // What is said first is what is seen; the look of the film comes late.
        score += at < 0 ? 0 : (1.5 - 0.1 * at) / (1 + 0.08 * i);
      }
      if (score > most + 1e-9) {
        most = score;
        best = scene;
      }
    }
    return best;
  }
}
