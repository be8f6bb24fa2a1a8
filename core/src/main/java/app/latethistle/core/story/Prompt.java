package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a service is asked for one shot.
 *
 * @param text the prompt, never longer than the service takes
 * @param exclusion what not to show, or "" if the service takes none
 * @param dropped parts that were left out because the prompt would be too long, with their names
 * @param named people who are named in it but not listed as seen
 * @param flags what else is wrong with it, in sentences
 */
public record Prompt(
    String text, String exclusion, List<Part> dropped, List<Mention> named, List<String> flags) {
  /** The longest lettering that services draw rightly; common practice, no source. */
  private static final int LETTERING = 30;

  /** What an exclusion says that leaves out all lettering. */
  private static final Pattern NO_LETTERING =
      Pattern.compile("(?i)(?:any |no )?(?:text|letters|lettering|words|writing|typography)");

  /** A name as texts write it: a capital letter inside a sentence. */
  private static final Pattern NAME =
      Pattern.compile("(?<=[\\p{Ll},;] )\\p{Lu}\\p{Ll}+(?: \\p{Lu}\\p{Ll}+)?");

  private static final Set<String> NO_PERSONS =
      Set.of(
          ("I Monday Tuesday Wednesday Thursday Friday Saturday Sunday January February March April"
                  + " May June July August September October November December Christmas God Earth"
                  + " Moon Sun North South East West English French German")
              .split(" "));

  /**
   * A person who is named in a shot's words.
   *
   * @param sheet whether there is a sheet that tells the looks
   */
  public record Mention(String name, boolean sheet) {}

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
    List<Mention> named = new ArrayList<>();
    add(parts, "seen", Sheets.join(". ", shot.seen(), shot.action()), 0);
    people(shot, sheets, parts, named, flags);
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
    String said = shot.seen() + " " + shot.action();
    String where = ShotProposal.names(said, shot.where()) ? "" : shot.where();
    add(
        parts,
        "place",
        looks.isBlank() || where.isBlank() ? where + looks : where + ": " + looks,
        3);
    add(parts, "mood", shot.mood(), 6);
    add(parts, "look", sheets.look().inWords(), 4);
    if (service.kind() == ServiceProfile.Kind.CLIP && service.takes(ServiceProfile.Input.MOVE)) {
      add(parts, "camera", shot.move().inWords(shot.strength()), 5);
    }
    if (shot.seen().isBlank()) {
      flags.add("Nothing is said of what is seen; say it in Shots.");
    }
    List<String> exclusions = new ArrayList<>(sheets.exclusions());
    boolean lettered = !shot.lettering().isBlank();
    if (lettered && exclusions.removeIf(e -> NO_LETTERING.matcher(e.strip()).matches())) {
      flags.add("Lettering is asked for, so text is not excluded here.");
    }
    return fitted(parts, named, flags, exclusions, service);
  }

  private static void people(
      StoryShot shot, Sheets sheets, List<Ranked> parts, List<Mention> named, List<String> flags) {
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
        named.add(new Mention(person.name(), true));
      }
    }
    Matcher names = NAME.matcher(shot.seen() + " " + shot.action());
    while (names.find()) {
      String name = names.group();
      boolean known =
          NO_PERSONS.contains(name)
              || sheets.person(name).isPresent()
              || ShotProposal.names(shot.where(), name)
              || sheets.places().stream().anyMatch(p -> ShotProposal.names(p.name(), name))
              || shot.who().stream().anyMatch(n -> n.equalsIgnoreCase(name))
              || named.stream().anyMatch(n -> n.name().equals(name));
      if (!known) {
        named.add(new Mention(name, false));
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
      List<Ranked> parts,
      List<Mention> named,
      List<String> flags,
      List<String> exclusions,
      ServiceProfile service) {
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
        service.takes(ServiceProfile.Input.EXCLUSION) ? String.join(", ", exclusions) : "";
    return new Prompt(
        text, exclusion, List.copyOf(dropped), List.copyOf(named), List.copyOf(flags));
  }

  private static String written(List<Ranked> parts) {
    return parts.stream().map(r -> r.part().text()).collect(Collectors.joining(". ", "", "."));
  }
}
