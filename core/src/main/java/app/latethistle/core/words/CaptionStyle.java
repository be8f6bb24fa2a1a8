package app.latethistle.core.words;

import app.latethistle.core.look.Shape;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * How captions look, and in which shapes they are part of the picture.
 *
 * @param kind how much stands at once
 * @param lettering how they are set
 * @param box where they stand: its middle across, the bottom of the last line down
 * @param speakers how they tell who speaks
 * @param marked the colour of the spoken word where one is marked
 * @param burned whether they stand in the pictures of the film's own shape; else they are files
 *     alone
 * @param elsewhere other shapes in whose pictures they stand
 */
public record CaptionStyle(
    CaptionKind kind,
    Lettering lettering,
    ShapedBox box,
    Speakers speakers,
    int marked,
    boolean burned,
    SortedSet<Shape> elsewhere) {
  private static final Lettering.Face FACE = Lettering.Face.bold("Source Sans 3");

  /** Two lines at the bottom on a dark plate, as files alone. */
  public static final CaptionStyle USUAL =
      new CaptionStyle(
          CaptionKind.TWO_LINES,
          Lettering.plain(FACE, 50, 0xffffff).withPlate(new Plate(Plate.Kind.LINES, 60, 0)),
          // Upright ones stand clear of what publishers lay over the lower edge (no source).
          ShapedBox.of(new Box(500, 930, 860)).with(Shape.of(9, 16), new Box(500, 740, 860)),
          Speakers.UNTOLD,
          0xffd75e,
          false,
          Collections.emptySortedSet());

  /**
   * Colours of those who speak after the first: light, and apart in hue, on the dark plates that
   * captions stand on.
   */
  private static final List<Integer> COLOURS = List.of(0xa6e1ff, 0xffe08a, 0xbdf0b2, 0xffc2dc);

  /** Where those who speak first and second stand. */
  private static final List<Align> SIDES = List.of(Align.START, Align.END);

  /** Copies the set. */
  public CaptionStyle {
    elsewhere = Collections.unmodifiableSortedSet(new TreeSet<>(elsewhere));
    Range.check("A colour", marked, 0, 0xffffff, "");
  }

  /**
   * How the captions of one who speaks are set.
   *
   * @param speaker from 0, in the order they speak first; less for nobody who is named
   */
  public Lettering lettering(int speaker) {
    return switch (speakers) {
      case COLOURS ->
          speaker > 0
              ? lettering.withColour(COLOURS.get((speaker - 1) % COLOURS.size()))
              : lettering;
      case PLACES ->
          speaker >= 0 && speaker < SIDES.size()
              ? lettering.withSpacing(lettering.spacing().withAlign(SIDES.get(speaker)))
              : lettering;
      case UNTOLD, NAMES -> lettering;
    };
  }

  /** The same with so much at once. */
  public CaptionStyle withKind(CaptionKind other) {
    return new CaptionStyle(other, lettering, box, speakers, marked, burned, elsewhere);
  }

  /** The same set otherwise. */
  public CaptionStyle withLettering(Lettering other) {
    return new CaptionStyle(kind, other, box, speakers, marked, burned, elsewhere);
  }

  /** The same elsewhere. */
  public CaptionStyle withBox(ShapedBox other) {
    return new CaptionStyle(kind, lettering, other, speakers, marked, burned, elsewhere);
  }

  /** The same telling otherwise who speaks. */
  public CaptionStyle withSpeakers(Speakers other) {
    return new CaptionStyle(kind, lettering, box, other, marked, burned, elsewhere);
  }

  /** The same with another colour of the spoken word. */
  public CaptionStyle withMarked(int other) {
    return new CaptionStyle(kind, lettering, box, speakers, other, burned, elsewhere);
  }

  /** The same in the pictures of these shapes. */
  public CaptionStyle burnedInto(boolean own, List<Shape> others) {
    return new CaptionStyle(kind, lettering, box, speakers, marked, own, new TreeSet<>(others));
  }

  /** Whether they stand in the pictures of another shape, or of the film's own. */
  public boolean isBurnedInto(Optional<Shape> other) {
    return other.map(shape -> elsewhere.contains(shape)).orElse(burned);
  }
}
