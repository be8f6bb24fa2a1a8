package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Proposes shots for a script: an establishing shot where a new place begins, a shot for each
 * sentence of action, and one for each sentence of a line that no action stands beside: of that one
 * a person says what is seen, for what is heard is no picture. Lines belong to the shots they are
 * spoken over.
 */
public final class ShotProposal {
  /** A shot's length where nothing is spoken, in seconds; common practice, no source. */
  private static final double USUAL = 3;

  private static final double SHORTEST = 1.2;

  /** Verbs that ask for a move of the camera; the first found counts. Ours. */
  private static final String[][] MOVES = {
    {"RISE", "rises rise lifts climbs ascends soars takes off"},
    {"TILT_UP", "looks up upwards towers"},
    {"TILT_DOWN", "falls drops sinks looks down"},
    {"FOLLOW", "walks runs rows rides carries hurries drifts flies sails follows"},
    {"PULL_OUT", "reveals widens alone vast far away leaves disappears last"},
    {"PUSH_IN", "opens reads closer face eyes hand letter whispers notices discovers finds"},
    {"ORBIT", "around circles turns spins"},
    {"PAN_RIGHT", "across along valley horizon row of rows"},
  };

  private final Script script;
  private final Delivery delivery;
  private final Set<String> people;
  private final List<StoryShot> shots = new ArrayList<>();
  private String place = "";
  private boolean placeIsNew;

  private ShotProposal(Script script, Delivery delivery, Collection<String> people) {
    this.script = script;
    this.delivery = delivery;
    this.people = new LinkedHashSet<>(people);
    script.lines().stream().filter(l -> !l.narration()).forEach(l -> this.people.add(l.speaker()));
  }

  /**
   * Proposes shots.
   *
   * @param people names that may be found in the text, beside those who speak in it
   * @param count how many shots there are to be, or 0 for as many as the script gives
   * @return the shots, numbered 010, 020 ...
   * @throws IllegalArgumentException if the count is below 0 or above 400
   */
  public static ShotList of(
      Script script, Delivery delivery, Collection<String> people, int count) {
    if (count < 0 || count > 400) {
      throw new Refused(count + " shots cannot be proposed; give 1 to 400.");
    }
    ShotProposal proposal = new ShotProposal(script, delivery, people);
    proposal.propose();
    return ShotList.numberedAnew(toCount(proposal.shots, count));
  }

  private void propose() {
    List<ScriptElement> elements = script.elements();
    int line = 0;
    for (int i = 0; i < elements.size(); i++) {
      ScriptElement e = elements.get(i);
      switch (e.kind()) {
        case SCENE -> {
          place = SceneHeading.place(e.text());
          placeIsNew = true;
          if (nextSeen(elements, i) == null) {
            add("Wide view of " + withArticle(place), 0, USUAL);
          }
        }
        case ACTION -> {
          for (String sentence : Words.sentences(e.text())) {
            add(sentence, 0, USUAL);
          }
        }
        case NARRATION, DIALOGUE -> {
          line++;
          spoken(e, line, i > 0 ? elements.get(i - 1) : null);
        }
        default -> {}
      }
    }
  }

  /** The next element of the scene that is seen or heard, or null at its end. */
  private static ScriptElement nextSeen(List<ScriptElement> elements, int from) {
    for (int i = from + 1; i < elements.size(); i++) {
      ScriptElement e = elements.get(i);
      if (e.kind() == ScriptElement.Kind.SCENE) {
        return null;
      }
      if (e.kind() == ScriptElement.Kind.ACTION || e.isSpoken()) {
        return e;
      }
    }
    return null;
  }

  /** A line spoken over the action before it, or with shots of its own. */
  private void spoken(ScriptElement e, int line, ScriptElement before) {
    double seconds = delivery.secondsOf(e.text());
    if (before != null && before.kind() == ScriptElement.Kind.ACTION) {
      int over = shots.size();
      int from = over;
      while (from > 0 && shots.get(from - 1).line() == 0 && over - from < actionShots(before)) {
        from--;
      }
      for (int i = from; i < over; i++) {
        double length = Math.max(SHORTEST, seconds / (over - from));
        shots.set(i, shots.get(i).onLine(line).lasting(round(length)));
      }
      return;
    }
    List<String> sentences = Words.sentences(e.text());
    for (String sentence : sentences) {
      String seen = e.kind() == ScriptElement.Kind.DIALOGUE ? e.speaker() + " speaks" : "";
      add(seen, line, Math.max(SHORTEST, delivery.secondsOf(sentence)));
    }
  }

  private static int actionShots(ScriptElement action) {
    return Math.max(1, Words.sentences(action.text()).size());
  }

  private void add(String seen, int line, double seconds) {
    String shown = seen;
    CameraMove move = moveFor(seen);
    if (placeIsNew && !place.isEmpty()) {
      placeIsNew = false;
      if (!seen.toLowerCase(Locale.ROOT).startsWith("wide")) {
        shots.add(shot("Wide view of " + withArticle(place), CameraMove.PAN_RIGHT, line, USUAL));
      }
    }
    shots.add(shot(shown, move, line, seconds));
  }

  private StoryShot shot(String seen, CameraMove move, int line, double seconds) {
    List<String> who = people.stream().filter(p -> names(seen, p)).toList();
    List<String> sounds =
        Lexicon.USUAL.soundsFor(seen).stream().map(Lexicon.Sound::name).limit(3).toList();
    String lettering = quoted(seen);
    return new StoryShot(
        shots.size() + 1,
        "0",
        cut(seen),
        who,
        place,
        "",
        move,
        2,
        round(seconds),
        "",
        sounds,
        lettering,
        line);
  }

  private static String cut(String text) {
    return text.length() <= StoryShot.LONGEST ? text : text.substring(0, StoryShot.LONGEST);
  }

  /** Whether a text names a person, as a word of its own. */
  static boolean names(String text, String person) {
    return !person.isBlank()
        && (" "
                + String.join(" ", Words.of(text))
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("['’]s\\b", "")
                + " ")
            .contains(" " + String.join(" ", Words.of(person)).toLowerCase(Locale.ROOT) + " ");
  }

  private static String quoted(String text) {
    var m = java.util.regex.Pattern.compile("[\"“]([^\"”]{1,60})[\"”]").matcher(text);
    return m.find() ? m.group(1) : "";
  }

  private static String withArticle(String place) {
    if (place.matches("(?i)(the|a|an) .*")) {
      return Character.toLowerCase(place.charAt(0)) + place.substring(1);
    }
    return place.matches("\\p{Lu}.*") ? place : "the " + place;
  }

  private static CameraMove moveFor(String seen) {
    String text = " " + String.join(" ", Words.of(seen)).toLowerCase(Locale.ROOT) + " ";
    for (String[] entry : MOVES) {
      for (String word : entry[1].split(" ")) {
        if (text.contains(" " + word + " ")) {
          return CameraMove.valueOf(entry[0]);
        }
      }
    }
    return CameraMove.STILL;
  }

  /** Joins the shortest neighbours, or splits the longest, until there are so many. */
  private static List<StoryShot> toCount(List<StoryShot> proposed, int count) {
    if (count == 0 || proposed.isEmpty()) {
      return proposed;
    }
    ShotList list = ShotList.numberedAnew(proposed);
    while (list.shots().size() > count) {
      list = list.join(list.shots().get(bestToJoin(list.shots())).id());
    }
    while (list.shots().size() < count) {
      StoryShot longest =
          list.shots().stream()
              .max(java.util.Comparator.comparingDouble(StoryShot::seconds))
              .orElseThrow();
      list = list.split(longest.id());
    }
    return list.shots();
  }

  /**
   * The first of the two neighbours that are shortest together; those of one line and place first.
   */
  private static int bestToJoin(List<StoryShot> shots) {
    int best = 0;
    double least = Double.MAX_VALUE;
    for (int i = 0; i + 1 < shots.size(); i++) {
      StoryShot a = shots.get(i);
      StoryShot b = shots.get(i + 1);
      double cost = a.seconds() + b.seconds();
      cost += a.where().equals(b.where()) ? 0 : 100;
      cost += a.line() == b.line() ? 0 : 10;
      if (cost < least) {
        least = cost;
        best = i;
      }
    }
    return best;
  }

  private static double round(double seconds) {
    return Math.round(seconds * 10) / 10.0;
  }
}
