package app.latethistle.core.marks;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Faces;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.TitleWords;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The channel's own sign on a plate over every mark that a film shows. It is as large as the
 * largest mark needs and of one size throughout; in a corner it has one place.
 *
 * @param sign what is on it
 * @param reach how long it stands
 */
public record Badge(Sign sign, Reach reach) {
  /** How long a badge stands. */
  public enum Reach {
    /** Over the shots that show a mark. */
    WHERE_NEEDED,
    /** From the film's first frame to its last, at one place. */
    WHOLE_FILM
  }

  /** How far a badge reaches over a mark, whose edges are soft, in parts of the picture. */
  private static final double HAIR = 0.004;

  /** The smallest letters; at their size a badge is measured, and all of it grows with them. */
  private static final int SMALLEST = 10;

  /** Beyond this a badge hides the film. */
  private static final double WIDEST = 0.5;

  /** The badge a film has; empty if it has none. */
  public static Optional<Badge> in(Film film) {
    return titles(film).stream()
        .findFirst()
        .map(
            t ->
                new Badge(
                    new Sign(t.words().text(), t.lettering().face()),
                    isWhole(film, t) ? Reach.WHOLE_FILM : Reach.WHERE_NEEDED));
  }

  private static boolean isWhole(Film film, FilmTitle title) {
    return title.when().lands().equals(Tie.onCut(film.jointName(0)))
        && title.when().until().equals(Optional.of(Tie.onCut(Film.END)));
  }

  private static List<FilmTitle> titles(Film film) {
    return film.titles().stream().filter(t -> t.words().kind() == TitleKind.BADGE).toList();
  }

  /**
   * Takes a film's badge out.
   *
   * @throws IllegalArgumentException if it has none
   */
  public static Edit out(Film film) {
    List<Edit> out = away(film);
    if (out.isEmpty()) {
      throw new Refused("The film has no badge.");
    }
    return new Compound("take the badge out", out);
  }

  private static List<Edit> away(Film film) {
    return titles(film).stream().<Edit>map(t -> Put.away(ItemKind.TITLE, t.id())).toList();
  }

  /**
   * Puts the badge over the marks of a film, instead of the one it has.
   *
   * @throws IllegalArgumentException if no mark is seen, one is too large to be covered, or they
   *     lie too far apart for one place
   */
  public Edit over(Marked marked, Faces faces) {
    Map<Corner, Box> needed = new LinkedHashMap<>();
    List<SeenMark> seen = marked.seen();
    seen.forEach(s -> needed.merge(Corner.of(s.place()), s.place(), Box::around));
    if (seen.isEmpty()) {
      throw new Refused("No mark is seen in the film; there is nothing for a badge to cover.");
    }
    if (reach == Reach.WHOLE_FILM && needed.size() > 1) {
      throw new Refused(
          "The marks lie in "
              + needed.size()
              + " corners, and a badge at one place does not cover them; have it where it is"
              + " needed.");
    }
    Design design = Designs.BADGE;
    TitleWords words = design.saying(sign.text());
    Lettering lettering = sized(words, needed.values(), marked.picture(), faces);
    Film film = marked.film().film();
    List<Edit> edits = new ArrayList<>(away(film));
    Film made = film;
    for (Stand stand : stands(marked, seen)) {
      ShapedBox box =
          ShapedBox.of(placed(words, lettering, needed.get(stand.corner), marked.picture(), faces));
      Edit put =
          Put.title(
              new FilmTitle(
                  made.freshId("badge"),
                  words,
                  lettering,
                  box,
                  design.movement(),
                  stand.when(marked),
                  FilmTitle.TOP,
                  Optional.empty(),
                  Optional.empty()));
      made = put.apply(made);
      edits.add(put);
    }
    return new Compound("cover marks with a badge", edits);
  }

  /** A quarter of the picture. */
  private record Corner(boolean left, boolean top) {
    static Corner of(Box place) {
      return new Corner(place.left() + place.right() < 1, place.top() + place.bottom() < 1);
    }
  }

  /**
   * A badge in a corner, over shots of the cut.
   *
   * @param first the first of them
   * @param end the one after the last
   */
  private record Stand(Corner corner, int first, int end) {
    Standing when(Marked marked) {
      Film film = marked.film().film();
      long frames =
          marked.film().cutting().frames().get(end) - marked.film().cutting().frames().get(first);
      return new Standing(
          Tie.onCut(film.jointName(first)),
          Math.max(1, frames),
          Optional.of(Tie.onCut(film.jointName(end))));
    }
  }

  /** Where badges stand; over shots that follow each other as one. */
  private List<Stand> stands(Marked marked, List<SeenMark> seen) {
    Film film = marked.film().film();
    if (reach == Reach.WHOLE_FILM) {
      return List.of(new Stand(Corner.of(seen.get(0).place()), 0, film.placements().size()));
    }
    List<Stand> all = new ArrayList<>();
    Map<Corner, Stand> open = new LinkedHashMap<>();
    for (SeenMark mark : seen) {
      Corner corner = Corner.of(mark.place());
      Stand now = over(marked, mark, corner);
      Stand before = open.get(corner);
      if (before != null && before.end >= now.first) {
        now = new Stand(corner, before.first, Math.max(before.end, now.end));
        all.remove(before);
      }
      open.put(corner, now);
      all.add(now);
    }
    return all;
  }

  /** Over a shot; over the one beside it too where a transition shows it there. */
  private static Stand over(Marked marked, SeenMark mark, Corner corner) {
    int shot = marked.film().film().indexOfId(mark.shot());
    FrameRange own = marked.film().rangeOf(mark.shot());
    int first = mark.at().start() < own.start() ? Math.max(0, shot - 1) : shot;
    int end = mark.at().end() > own.end() ? shot + 2 : shot + 1;
    return new Stand(corner, first, Math.min(end, marked.film().film().placements().size()));
  }

  /** Letters so large that their plate lies over each of the places. */
  private Lettering sized(
      TitleWords words, Collection<Box> places, PictureShape picture, Faces faces) {
    Lettering smallest = Designs.BADGE.lettering().withFace(sign.face()).withSize(SMALLEST);
    Box block = Covers.block(words, smallest, Designs.BADGE.box(), picture, faces);
    double grown = 1;
    for (Box place : places) {
      grown = Math.max(grown, (across(place) + 2 * HAIR) / across(block));
      grown = Math.max(grown, (down(place) + 2 * HAIR) / down(block));
    }
    if (grown * across(block) > WIDEST) {
      throw new Refused(
          "Such a badge would be wider than half of the picture to cover the marks; write fewer"
              + " words, take a narrower logotype, or frame the marks out.");
    }
    return smallest.withSize((int) Math.ceil(SMALLEST * grown));
  }

  /** The place at which a plate lies over another with its middle on it, as far inside as goes. */
  private static app.latethistle.core.words.Box placed(
      TitleWords words, Lettering lettering, Box over, PictureShape picture, Faces faces) {
    app.latethistle.core.words.Box middle = Designs.BADGE.box();
    Box block = Covers.block(words, lettering, middle, picture, faces);
    double x = inside((over.left() + over.right()) / 2, across(block));
    double y = inside((over.top() + over.bottom()) / 2, down(block));
    return middle.at(
        middle.x() + (int) Math.round(1000 * (x - (block.left() + block.right()) / 2)),
        middle.y() + (int) Math.round(1000 * (y - (block.top() + block.bottom()) / 2)));
  }

  /** Nearly inside: a mark may reach to the very edge, and places are rounded. */
  private static double inside(double middle, double side) {
    double over = HAIR / 2;
    return Math.max(side / 2 - over, Math.min(1 - side / 2 + over, middle));
  }

  private static double across(Box box) {
    return box.right() - box.left();
  }

  private static double down(Box box) {
    return box.bottom() - box.top();
  }
}
