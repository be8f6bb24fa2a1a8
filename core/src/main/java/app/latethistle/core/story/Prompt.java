package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What a service is asked for one shot.
 *
 * @param text the prompt, never longer than the service takes
 * @param exclusion what not to show, or "" if the service takes none
 * @param dropped parts that were left out because the prompt would be too long, with their names
 * @param flags what is wrong with it, in sentences
 */
public record Prompt(String text, String exclusion, List<Part> dropped, List<String> flags) {
  /** The longest lettering that services draw rightly; common practice, no source. */
  private static final int LETTERING = 30;

  /** A named part of a prompt. */
  public record Part(String name, String text) {}

  /** A part with its place in the sentence and how early it is dropped; 0 stays longest. */
  private record Ranked(Part part, int rank) {}

  /**
   * Composes the prompt of a shot by rule: what is seen and happens, how its people look, the
   * lettering, the place, the mood, the look of the film, the camera. The camera is left out for
   * stills and for services that take none. If the whole is too long, parts fall out in the order
   * mood, camera, look, place, lettering, looks; what is seen is cut at a word at last.
   */
  public static Prompt of(StoryShot shot, Sheets sheets, ServiceProfile service) {
    List<Ranked> parts = new ArrayList<>();
    List<String> flags = new ArrayList<>();
    add(parts, "seen", Sheets.join(". ", shot.seen(), shot.action()), 0);
    people(shot, sheets, parts, flags);
    if (!shot.lettering().isBlank()) {
      String words = shot.lettering().strip();
      if (words.length() > LETTERING) {
        flags.add(
            "Lettering of "
                + words.length()
                + " characters is seldom drawn rightly; keep it to "
                + LETTERING
                + ".");
      }
      add(parts, "lettering", "the words \"" + words + "\" to be read", 2);
    }
    String looks = sheets.place(shot.where()).map(Sheets.Place::looks).orElse("");
    if (looks.isBlank()) {
      add(parts, "place", shot.where(), 3);
    } else {
      add(parts, "place", shot.where() + ": " + looks, 3);
    }
    add(parts, "mood", shot.mood(), 6);
    add(parts, "look", sheets.look().inWords(), 4);
    if (service.kind() == ServiceProfile.Kind.CLIP && service.takes(ServiceProfile.Input.MOVE)) {
      add(parts, "camera", shot.move().inWords(shot.strength()), 5);
    }
    if (shot.seen().isBlank()) {
      flags.add("Nothing is said of what is seen.");
    }
    return fitted(parts, flags, sheets, service);
  }

  private static void people(
      StoryShot shot, Sheets sheets, List<Ranked> parts, List<String> flags) {
    for (String name : shot.who()) {
      Optional<Sheets.Person> person = sheets.person(name);
      String looks = person.map(Sheets.Person::inWords).orElse("");
      if (looks.isEmpty()) {
        flags.add(name + " has no sheet, so the face will change from shot to shot.");
      } else {
        add(parts, "looks of " + name, name + ": " + looks, 1);
      }
    }
    for (Sheets.Person person : sheets.people()) {
      boolean listed = shot.who().stream().anyMatch(n -> n.equalsIgnoreCase(person.name()));
      if (!listed && ShotProposal.names(shot.seen() + " " + shot.action(), person.name())) {
        flags.add(person.name() + " is named but not listed under who, so the looks are missing.");
      }
    }
  }

  private static void add(List<Ranked> parts, String name, String text, int rank) {
    if (!text.isBlank()) {
      String bare = text.strip().replaceFirst("[.,;]+$", "");
      String sentence = Character.toUpperCase(bare.charAt(0)) + bare.substring(1);
      parts.add(new Ranked(new Part(name, sentence), rank));
    }
  }

  private static Prompt fitted(
      List<Ranked> parts, List<String> flags, Sheets sheets, ServiceProfile service) {
    List<Part> dropped = new ArrayList<>();
    List<Ranked> kept = new ArrayList<>(parts);
    while (kept.size() > 1 && written(kept).length() > service.longestPrompt()) {
      Ranked last = kept.stream().max(Comparator.comparingInt(Ranked::rank)).orElseThrow();
      kept.remove(last);
      dropped.add(last.part());
    }
    String text = written(kept);
    if (text.length() > service.longestPrompt()) {
      int end = text.lastIndexOf(' ', service.longestPrompt());
      int at = end > 0 ? end : service.longestPrompt();
      dropped.add(new Part("rest of what is seen", text.substring(at).strip()));
      text = text.substring(0, at);
    }
    String exclusion =
        service.takes(ServiceProfile.Input.EXCLUSION) ? String.join(", ", sheets.exclusions()) : "";
    return new Prompt(text, exclusion, List.copyOf(dropped), List.copyOf(flags));
  }

  private static String written(List<Ranked> parts) {
    return parts.stream().map(r -> r.part().text()).collect(Collectors.joining(". ", "", "."));
  }
}
