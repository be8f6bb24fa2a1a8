package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.CaptionStyle;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * The captions of a film in a language. Texts and times come from the voice; what is kept here is
 * where a text is another than what is read.
 *
 * @param language as in BCP 47: "en", "de", "pt-BR"
 * @param texts of lines, by the line's id; a line that is not among them is captioned as it is read
 *     in the voice's own language, and not at all in others
 * @param sounds what is said of sounds beside the voice, by their ids, for those who do not hear;
 *     those that are not among them, and those that are gone, are not told
 * @param own captions of their own time, for what no line says; if there are any, no line is
 *     captioned
 * @param style how they look
 */
public record FilmCaptions(
    String language,
    SortedMap<String, String> texts,
    SortedMap<String, String> sounds,
    List<Own> own,
    CaptionStyle style) {
  /** The language that the voice is read in. */
  public static final String READ = "en";

  private static final String ID = "captions.";
  private static final Pattern LANGUAGE = Pattern.compile("[a-z]{2,3}(-[A-Za-z0-9]{2,8}){0,3}");

  /**
   * A caption of its own time.
   *
   * @param at the frames it stands
   * @param text with a line end where a line ends
   */
  public record Own(FrameRange at, String text) {}

  /**
   * Copies map and list, the list by time.
   *
   * @throws IllegalArgumentException if the language is none
   */
  public FilmCaptions {
    if (!LANGUAGE.matcher(language).matches()) {
      throw new Refused("'" + language + "' names no language; write it like en, de or pt-BR.");
    }
    texts = Collections.unmodifiableSortedMap(new TreeMap<>(texts));
    sounds = Collections.unmodifiableSortedMap(new TreeMap<>(sounds));
    own = own.stream().sorted(Comparator.comparingLong(o -> o.at().start())).toList();
  }

  /** As the lines are read. */
  public static FilmCaptions in(String language) {
    return new FilmCaptions(
        language,
        Collections.emptySortedMap(),
        Collections.emptySortedMap(),
        List.of(),
        CaptionStyle.USUAL);
  }

  /** Their name in the film. */
  public String id() {
    return idOf(language);
  }

  /** The name of the captions in a language. */
  public static String idOf(String language) {
    return ID + language;
  }

  /** Whether they are in the voice's own language. */
  public boolean areAsRead() {
    return language.equals(READ);
  }

  /** The same with other texts of lines. */
  public FilmCaptions withTexts(Map<String, String> other) {
    return new FilmCaptions(language, new TreeMap<>(other), sounds, own, style);
  }

  /** The same with something else said of sounds. */
  public FilmCaptions withSounds(Map<String, String> other) {
    return new FilmCaptions(language, texts, new TreeMap<>(other), own, style);
  }

  /** The same with other captions of their own time. */
  public FilmCaptions withOwn(List<Own> other) {
    return new FilmCaptions(language, texts, sounds, other, style);
  }

  /** The same with another look. */
  public FilmCaptions withStyle(CaptionStyle other) {
    return new FilmCaptions(language, texts, sounds, own, other);
  }
}
