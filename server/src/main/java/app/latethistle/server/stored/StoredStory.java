package app.latethistle.server.stored;

import app.latethistle.core.story.Brief;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Lexicon;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.Sheets;
import app.latethistle.core.story.ShotList;
import app.latethistle.core.story.SoundIdea;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A version of a story as it is stored. */
public final class StoredStory {
  /** Format 1 had no number and was the same. */
  private static final int FORMAT = 2;

  private StoredStory() {}

  private record Whole(
      Briefed brief,
      String text,
      String format,
      Read delivery,
      Shots shots,
      Sheet sheets,
      Sounds lexicon,
      List<Idea> sounds,
      List<Integer> givenOut) {}

  private record Briefed(
      String form, String subject, String audience, String tone, double seconds, String structure) {
    static Briefed of(Brief b) {
      return new Briefed(
          b.form().name(), b.subject(), b.audience(), b.tone(), b.seconds(), b.structure());
    }

    Brief get() {
      return new Brief(Brief.Form.valueOf(form), subject, audience, tone, seconds, structure);
    }
  }

  private record Read(double wordsPerMinute, double gap) {}

  private record Shots(List<Shot> shots) {}

  private record Shot(
      int id,
      String number,
      String seen,
      List<String> who,
      String where,
      String action,
      String move,
      int strength,
      double seconds,
      String mood,
      List<String> sounds,
      String lettering,
      int line) {
    static Shot of(StoryShot s) {
      return new Shot(
          s.id(),
          s.number(),
          s.seen(),
          s.who(),
          s.where(),
          s.action(),
          s.move().name(),
          s.strength(),
          s.seconds(),
          s.mood(),
          s.sounds(),
          s.lettering(),
          s.line());
    }

    StoryShot get() {
      return new StoryShot(
          id,
          number,
          seen,
          who,
          where,
          action,
          CameraMove.valueOf(move),
          strength,
          seconds,
          mood,
          sounds,
          lettering,
          line);
    }
  }

  private record Sheet(
      List<Person> people, List<Place> places, Looks look, List<String> exclusions) {
    static Sheet of(Sheets s) {
      Sheets.Look look = s.look();
      return new Sheet(
          s.people().stream()
              .map(p -> new Person(p.name(), p.looks(), p.clothes(), p.picture()))
              .toList(),
          s.places().stream().map(p -> new Place(p.name(), p.looks())).toList(),
          new Looks(
              look.lens(), look.film(), look.light(), look.grade(), look.tone(), look.shape()),
          s.exclusions());
    }

    Sheets get() {
      return new Sheets(
          people.stream()
              .map(p -> new Sheets.Person(p.name, p.looks, p.clothes, p.picture))
              .toList(),
          places.stream().map(p -> new Sheets.Place(p.name, p.looks)).toList(),
          new Sheets.Look(look.lens, look.film, look.light, look.grade, look.tone, look.shape),
          exclusions);
    }
  }

  private record Person(String name, String looks, String clothes, String picture) {}

  private record Place(String name, String looks) {}

  private record Looks(
      String lens, String film, String light, String grade, String tone, String shape) {}

  private record Sounds(Map<String, Sound> sounds) {
    static Sounds of(Lexicon lexicon) {
      Map<String, Sound> sounds = new LinkedHashMap<>();
      lexicon.sounds().forEach((word, s) -> sounds.put(word, new Sound(s.name(), s.search())));
      return new Sounds(sounds);
    }

    Lexicon get() {
      Map<String, Lexicon.Sound> known = new LinkedHashMap<>();
      sounds.forEach((word, s) -> known.put(word, new Lexicon.Sound(s.name, s.search)));
      return new Lexicon(known);
    }
  }

  private record Sound(String name, String search) {}

  private record Idea(int shot, String name, String search) {}

  /** A story as text. */
  public static String write(Story s) {
    return Json.write(
        FORMAT,
        Map.of(
            "story",
            new Whole(
                Briefed.of(s.brief()),
                s.text(),
                s.format().name(),
                new Read(s.delivery().wordsPerMinute(), s.delivery().gap()),
                new Shots(s.shots().shots().stream().map(Shot::of).toList()),
                Sheet.of(s.sheets()),
                Sounds.of(s.lexicon()),
                s.sounds().stream().map(i -> new Idea(i.shot(), i.name(), i.search())).toList(),
                s.givenOut())));
  }

  /** A story of any format. */
  public static Story read(String text) {
    JsonNode tree = Json.tree(text);
    // A story has a format of its own, the script's; so its number stands outside of it.
    boolean first = !tree.has("story");
    if (!first) {
      Json.format(tree, FORMAT);
    }
    Whole s = Json.as(first ? tree : tree.get("story"), Whole.class);
    return new Story(
        s.brief.get(),
        s.text,
        ScriptFormat.valueOf(s.format),
        new Delivery(s.delivery.wordsPerMinute, s.delivery.gap),
        new ShotList(s.shots.shots.stream().map(Shot::get).toList()),
        s.sheets.get(),
        s.lexicon.get(),
        s.sounds.stream().map(i -> new SoundIdea(i.shot, i.name, i.search)).toList(),
        s.givenOut);
  }
}
