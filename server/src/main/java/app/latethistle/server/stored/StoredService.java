package app.latethistle.server.stored;

import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.story.ServiceProfile.Input;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** A service's profile as it is stored. */
public final class StoredService {
  /** Format 1 had a word for each thing it takes, true or false, in place of the list. */
  private static final int FORMAT = 2;

  private static final Map<String, Input> WORDS_OF_FORMAT_1 =
      Map.of(
          "takesExclusion", Input.EXCLUSION,
          "takesSeed", Input.SEED,
          "takesPicture", Input.PICTURE,
          "takesStrength", Input.STRENGTH,
          "takesMove", Input.MOVE);

  private StoredService() {}

  private record Profile(
      String name,
      String kind,
      Set<Input> inputs,
      int longestPrompt,
      List<String> shapes,
      List<Double> lengths,
      int rate,
      int height,
      double credits,
      double allowance,
      String period,
      int atOnce,
      double waitSeconds,
      ServiceProfile.Marks marks) {}

  /** A profile as text. */
  public static String write(ServiceProfile p) {
    return Json.write(
        FORMAT,
        new Profile(
            p.name(),
            p.kind().name(),
            p.inputs(),
            p.longestPrompt(),
            p.shapes(),
            p.lengths(),
            p.rate(),
            p.height(),
            p.credits(),
            p.allowance(),
            p.period().name(),
            p.atOnce(),
            p.waitSeconds(),
            p.marks()));
  }

  /** A profile of any format. */
  public static ServiceProfile read(String text) {
    JsonNode tree = Json.tree(text);
    int format = Json.format(tree, FORMAT);
    Profile p = Json.as(tree, Profile.class);
    return new ServiceProfile(
        p.name,
        ServiceProfile.Kind.valueOf(p.kind),
        format == 1 ? inputsOfFormat1(tree) : p.inputs,
        p.longestPrompt,
        p.shapes,
        p.lengths,
        p.rate,
        p.height,
        p.credits,
        p.allowance,
        ServiceProfile.Period.valueOf(p.period),
        p.atOnce,
        p.waitSeconds,
        p.marks);
  }

  private static Set<Input> inputsOfFormat1(JsonNode tree) {
    Set<Input> inputs = EnumSet.noneOf(Input.class);
    WORDS_OF_FORMAT_1.forEach(
        (word, input) -> {
          if (tree.path(word).asBoolean()) {
            inputs.add(input);
          }
        });
    return inputs;
  }
}
