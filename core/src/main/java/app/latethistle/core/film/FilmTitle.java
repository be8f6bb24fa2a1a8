package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.core.words.TitleWords;
import java.util.Locale;
import java.util.Optional;

/**
 * A title.
 *
 * @param id names it in the film
 * @param words what it says
 * @param lettering how it is set
 * @param box where it stands
 * @param movement how it comes and goes
 * @param when it lands and how long it stays
 * @param layer over which layers it lies: 0 is the cut alone, 1 to 3 layers too, {@link #TOP} all
 *     of them and what is done to the whole film
 * @param follows the place it goes with; it stands in its box as it lands, and goes as far from
 *     there as the place does
 * @param picture the take that is seen in its letters, from its first frame on as the title comes;
 *     empty if they are of what its lettering says
 */
public record FilmTitle(
    String id,
    TitleWords words,
    Lettering lettering,
    ShapedBox box,
    Movement movement,
    Standing when,
    int layer,
    Optional<Following> follows,
    Optional<String> picture) {
  /** Over everything. */
  public static final int TOP = Overlay.LAYERS + 1;

  /**
   * @throws IllegalArgumentException if there is no such layer
   */
  public FilmTitle {
    if (layer < 0 || layer > TOP) {
      throw new Refused("A title lies over layer 0 to 3, or over all; not over " + layer + ".");
    }
  }

  /** A title of a design, over everything. */
  public static FilmTitle of(String id, Design design, Standing when) {
    return new FilmTitle(
        id,
        design.words(),
        design.lettering(),
        ShapedBox.of(design.box()),
        design.movement(),
        when,
        TOP,
        Optional.empty(),
        Optional.empty());
  }

  /** What of it another title can begin with, called after what it is for. */
  public Design design() {
    return new Design(
        words.kind().name().toLowerCase(Locale.ROOT), words, lettering, box.own(), movement);
  }

  /** What it is called in a sentence, after its first line. */
  public String called() {
    return "title “" + words.text().lines().findFirst().orElse("") + "”";
  }

  public FilmTitle withWords(TitleWords other) {
    return new FilmTitle(id, other, lettering, box, movement, when, layer, follows, picture);
  }

  public FilmTitle withLettering(Lettering other) {
    return new FilmTitle(id, words, other, box, movement, when, layer, follows, picture);
  }

  public FilmTitle withBox(ShapedBox other) {
    return new FilmTitle(id, words, lettering, other, movement, when, layer, follows, picture);
  }

  public FilmTitle withMovement(Movement other) {
    return new FilmTitle(id, words, lettering, box, other, when, layer, follows, picture);
  }

  public FilmTitle withStanding(Standing other) {
    return new FilmTitle(id, words, lettering, box, movement, other, layer, follows, picture);
  }

  public FilmTitle withLayer(int other) {
    return new FilmTitle(id, words, lettering, box, movement, when, other, follows, picture);
  }

  public FilmTitle withFollowing(Optional<Following> other) {
    return new FilmTitle(id, words, lettering, box, movement, when, layer, other, picture);
  }

  public FilmTitle withPicture(Optional<String> other) {
    return new FilmTitle(id, words, lettering, box, movement, when, layer, follows, other);
  }
}
