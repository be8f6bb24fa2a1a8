package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * All that is kept of a production's story.
 *
 * @param text the script as it is written
 * @param format how it is written
 * @param shots in order
 * @param sounds the sound list
 * @param givenOut ids of shots whose prompt was copied out to a service elsewhere
 */
public record Story(
    Brief brief,
    String text,
    ScriptFormat format,
    Delivery delivery,
    ShotList shots,
    Sheets sheets,
    Lexicon lexicon,
    List<SoundIdea> sounds,
    List<Integer> givenOut) {
  /** How alike a line must be to the one it was, to keep its shots. */
  private static final double SAME_LINE = 0.4;

  public Story {
    sounds = List.copyOf(sounds);
    givenOut = List.copyOf(givenOut);
  }

  /** All that is written in it: lines, what shots show and where, people, places, its subject. */
  public Stream<String> texts() {
    return Stream.of(
            script().lines().stream().map(SpokenLine::text),
            shots.shots().stream().map(StoryShot::seen),
            shots.shots().stream().map(StoryShot::where),
            sheets.places().stream().map(place -> place.name()),
            sheets.people().stream().map(person -> person.name()),
            Stream.of(brief.subject()))
        .flatMap(texts -> texts);
  }

  /** The story of a production nobody has written for. */
  public static Story empty(double seconds) {
    return new Story(
        new Brief(Brief.Form.TRAILER, "", "", "", seconds, ""),
        "",
        ScriptFormat.MARKDOWN,
        Delivery.of(Delivery.USUAL.get(0).middle()),
        ShotList.EMPTY,
        Sheets.EMPTY,
        Lexicon.USUAL,
        List.of(),
        List.of());
  }

  /** The script's structure. */
  public Script script() {
    return Script.parse(text, format);
  }

  /** The story with another script; shots go with the lines they belong to. */
  public Story withScript(String newText, ScriptFormat newFormat) {
    List<SpokenLine> old = script().lines();
    List<SpokenLine> now = Script.parse(newText, newFormat).lines();
    int[] moved = follow(old, now);
    List<StoryShot> followed =
        shots.shots().stream()
            .map(
                s ->
                    s.line() == 0 || s.line() > old.size()
                        ? s.onLine(0)
                        : s.onLine(moved[s.line()]))
            .toList();
    return new Story(
        brief,
        newText,
        newFormat,
        delivery,
        new ShotList(followed),
        sheets,
        lexicon,
        sounds,
        givenOut);
  }

  /** Where each old line is now, by its number; 0 if it is gone. */
  private static int[] follow(List<SpokenLine> old, List<SpokenLine> now) {
    // The alignment that keeps the most likeness, in order: like the longest common subsequence.
    double[][] best = new double[old.size() + 1][now.size() + 1];
    double[][] like = new double[old.size()][now.size()];
    for (int i = old.size() - 1; i >= 0; i--) {
      for (int j = now.size() - 1; j >= 0; j--) {
        double alike = Words.likeness(old.get(i).text(), now.get(j).text());
        like[i][j] = alike >= SAME_LINE ? alike : 0;
        best[i][j] =
            Math.max(like[i][j] + best[i + 1][j + 1], Math.max(best[i + 1][j], best[i][j + 1]));
      }
    }
    int[] moved = new int[old.size() + 1];
    int i = 0;
    int j = 0;
    while (i < old.size() && j < now.size()) {
      if (like[i][j] > 0 && best[i][j] == like[i][j] + best[i + 1][j + 1]) {
        moved[++i] = ++j;
      } else if (best[i][j] == best[i + 1][j]) {
        i++;
      } else {
        j++;
      }
    }
    return moved;
  }

  /** The story with other shots; its sound list follows, and ticks of shots that are gone go. */
  public Story withShots(ShotList newShots) {
    List<Integer> ids = newShots.shots().stream().map(StoryShot::id).toList();
    List<Integer> ticks = new ArrayList<>(givenOut);
    ticks.retainAll(ids);
    return new Story(
        brief,
        text,
        format,
        delivery,
        newShots,
        sheets,
        lexicon,
        SoundIdea.listFor(newShots.shots(), lexicon, sounds),
        ticks);
  }

  public Story withBrief(Brief newBrief) {
    return new Story(newBrief, text, format, delivery, shots, sheets, lexicon, sounds, givenOut);
  }

  public Story withDelivery(Delivery newDelivery) {
    return new Story(brief, text, format, newDelivery, shots, sheets, lexicon, sounds, givenOut);
  }

  public Story withSheets(Sheets newSheets) {
    return new Story(brief, text, format, delivery, shots, newSheets, lexicon, sounds, givenOut);
  }

  public Story withLexicon(Lexicon newLexicon) {
    return new Story(brief, text, format, delivery, shots, sheets, newLexicon, sounds, givenOut);
  }

  public Story withSounds(List<SoundIdea> newSounds) {
    return new Story(brief, text, format, delivery, shots, sheets, lexicon, newSounds, givenOut);
  }

  public Story withGivenOut(List<Integer> ids) {
    return new Story(brief, text, format, delivery, shots, sheets, lexicon, sounds, ids);
  }
}
