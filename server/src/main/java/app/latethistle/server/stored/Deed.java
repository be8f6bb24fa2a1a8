package app.latethistle.server.stored;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;

/**
 * Something a person did that can be taken back, as it is stored: what has a log of its own names
 * it, what has not says what was before and after.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "deed")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Deed.FilmEdited.class, name = "film"),
  @JsonSubTypes.Type(value = Deed.StoryChanged.class, name = "story"),
  @JsonSubTypes.Type(value = Deed.BeatsCorrected.class, name = "beats"),
  @JsonSubTypes.Type(value = Deed.SongChosen.class, name = "song"),
  @JsonSubTypes.Type(value = Deed.PaceDrawn.class, name = "pace"),
  @JsonSubTypes.Type(value = Deed.Picked.class, name = "pick"),
  @JsonSubTypes.Type(value = Deed.Judged.class, name = "judge"),
  @JsonSubTypes.Type(value = Deed.TakeMoved.class, name = "move"),
  @JsonSubTypes.Type(value = Deed.ShotNamed.class, name = "name"),
  @JsonSubTypes.Type(value = Deed.LineSettled.class, name = "line"),
  @JsonSubTypes.Type(value = Deed.ReadingKept.class, name = "read"),
  @JsonSubTypes.Type(value = Deed.ReadingRemoved.class, name = "reading")
})
public sealed interface Deed {
  /** The next edit in the film's log. */
  record FilmEdited() implements Deed {}

  /** The next version of the story. */
  record StoryChanged() implements Deed {}

  /** The next correction of a song. */
  record BeatsCorrected(long song) implements Deed {}

  /** Another song; null for none. */
  record SongChosen(Long before, Long after) implements Deed {}

  /** How quickly a song's sections are to move, or without a song (null) the film's parts. */
  record PaceDrawn(Long song, List<Double> before, List<Double> after) implements Deed {
    public PaceDrawn {
      before = List.copyOf(before);
      after = List.copyOf(after);
    }
  }

  /** A shot's pick: a take or null, and whether a person chose it. */
  record Pick(Long take, boolean byHand) {}

  /** Another pick. */
  record Picked(long shot, Pick before, Pick after) implements Deed {}

  /** What a person says of a take, and whether it was its faults that put it aside. */
  record Said(boolean rejected, boolean forFaults, List<String> faults, String note) {
    public Said {
      faults = List.copyOf(faults);
    }
  }

  /** A take judged. */
  record Judged(long take, Said before, Said after) implements Deed {}

  /** Where a take belongs. */
  record Home(String scene, String shot, int number) {}

  /** A take under another number. */
  record TakeMoved(long take, Home before, Home after) implements Deed {}

  /** A shot called otherwise. */
  record ShotNamed(long shot, String before, String after) implements Deed {}

  /** What is settled of a line of the voice while there is no film to have it as an edit. */
  record LineSettled(long line, StoredEdit.Line before, StoredEdit.Line after) implements Deed {}

  /** A reading brought in. */
  record ReadingKept(long reading) implements Deed {}

  /** A reading taken out. */
  record ReadingRemoved(long reading) implements Deed {}

  /** Raised whenever a deed is stored otherwise. */
  int FORMAT = 1;

  /** Deeds as text. */
  static String write(List<Deed> deeds) {
    return Json.write(FORMAT, new Together(deeds));
  }

  /**
   * Deeds from text.
   *
   * @throws IllegalStateException if a newer release wrote it
   */
  static List<Deed> read(String text) {
    var tree = Json.tree(text);
    Json.format(tree, FORMAT);
    return Json.as(tree, Together.class).deeds();
  }

  /** Deeds done together. */
  record Together(List<Deed> deeds) {
    public Together {
      deeds = List.copyOf(deeds);
    }
  }
}
