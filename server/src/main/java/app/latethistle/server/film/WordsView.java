package app.latethistle.server.film;

import app.latethistle.core.caption.Caption;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.Speakers;
import app.latethistle.core.words.TitleWords;
import app.latethistle.core.words.Zone;
import io.swagger.v3.oas.annotations.media.Schema;
import java.awt.geom.Rectangle2D;
import java.util.List;

/**
 * A film's titles, and its captions in a language and a shape; moments are frames of the film.
 *
 * @param titles in the order they land; those without a place last
 * @param reserved where an end card is left free for its publisher in the shape asked for
 * @param languages in which it is captioned, the voice's own first
 */
record WordsView(
    long revision,
    long length,
    List<TitleView> titles,
    List<LanguageView> languages,
    CaptionsView captions,
    SafeView safe,
    List<Reserved> reserved) {

  /**
   * What is kept free of words at the picture's sides and in zones, in thousandths.
   *
   * @param usual whether it is as nobody said another
   */
  record SafeView(int left, int top, int right, int bottom, List<Zone> zones, boolean usual) {
    static SafeView of(SafeArea area, boolean usual) {
      return new SafeView(
          area.left(), area.top(), area.right(), area.bottom(), area.zones(), usual);
    }
  }

  /**
   * A title.
   *
   * @param boxes where it stands: in the film's shape first, then in shapes for which it is said
   * @param at what its landing is tied to
   * @param frames from its landing to its end
   * @param until what it ends on instead
   * @param says what it lands on, in words
   * @param place null if what it is tied to is not there
   * @param needs seconds that it takes to read it
   * @param stays seconds that it stands whole
   * @param missing letters that no face has
   * @param asked how music and clips step aside for it; null if they do not
   * @param follows the place it goes with; null for none
   * @param along how far it has gone with it in each frame from its first on; none if it stays
   */
  record TitleView(
      String id,
      TitleWords words,
      Lettering lettering,
      List<WordBox> boxes,
      Movement movement,
      TieView at,
      long frames,
      @Schema(nullable = true) TieView until,
      int layer,
      String says,
      @Schema(nullable = true) StandingPlace place,
      double needs,
      double stays,
      List<String> missing,
      @Schema(nullable = true) SteppingAside asked,
      @Schema(nullable = true) FollowedView follows,
      List<Gone> along,
      @Schema(nullable = true) String picture) {}

  /** How far something has gone to the right and down, in thousandths of the picture. */
  record Gone(double x, double y) {}

  /** A place on the picture, in thousandths of its width and height. */
  record Reserved(int x, int y, int width, int height) {
    static Reserved of(Rectangle2D part) {
      return new Reserved(
          (int) Math.round(1000 * part.getX()),
          (int) Math.round(1000 * part.getY()),
          (int) Math.round(1000 * part.getWidth()),
          (int) Math.round(1000 * part.getHeight()));
    }
  }

  /** Where words stand in a shape such as "16:9", in thousandths of the picture. */
  record WordBox(String shape, int x, int y, int width) {}

  /** Frames of a title's first, of its landing, and after its last. */
  record StandingPlace(long start, long landing, long end) {}

  /**
   * A language.
   *
   * @param captions how many there are
   * @param faults how many do not keep to the rules
   * @param untold lines that are heard and have no text in it
   */
  record LanguageView(String language, int captions, int faults, int untold) {}

  /**
   * Captions in a language.
   *
   * @param letters of a line, at most
   * @param perSecond letters that are read with ease
   * @param mostPerSecond letters that can be read
   * @param own whether they have a time of their own, for no line says them
   */
  record CaptionsView(
      String language,
      int letters,
      int lines,
      double perSecond,
      double mostPerSecond,
      boolean own,
      CaptionLook look,
      List<CaptionView> captions,
      List<CaptionedLine> said,
      List<CaptionedSound> sounds) {}

  /**
   * A sound beside the voice.
   *
   * @param sound its id
   * @param frame at which it lands
   * @param text what is said of it; "" for nothing
   * @param crowded whether there is no room for that
   */
  record CaptionedSound(String sound, String name, long frame, String text, boolean crowded) {}

  /**
   * A caption.
   *
   * @param line the id of the line it is of; "" for one of its own time, or of a sound
   * @param perSecond letters a second that must be read
   */
  record CaptionView(
      String line,
      long start,
      long end,
      List<String> lines,
      double perSecond,
      List<Caption.Fault> faults) {}

  /**
   * A line of the voice.
   *
   * @param read what is read
   * @param text what is captioned; "" for nothing
   * @param other whether that is another text than what is read
   */
  record CaptionedLine(String line, int number, String read, String text, boolean other) {}

  /**
   * How captions look.
   *
   * @param boxes where they stand, the film's own shape first; down is the last line's bottom
   * @param marked the colour of the spoken word: red, green, blue in 24 bits
   * @param burned shapes in whose pictures they stand
   */
  record CaptionLook(
      CaptionKind kind,
      Lettering lettering,
      List<WordBox> boxes,
      Speakers speakers,
      int marked,
      List<String> burned) {}
}
