package app.latethistle.core.words;

import app.latethistle.core.Refused;
import app.latethistle.core.words.Lettering.Face;
import app.latethistle.core.words.Lettering.Spacing;
import java.util.List;

/** The titles that ship with the application. */
public final class Designs {
  private static final int PALE = 0xfbf3df;
  private static final int INK = 0x1c1822;
  private static final Plate BLACK = new Plate(Plate.Kind.PICTURE, 100, 0);
  private static final Shadow SOFT = new Shadow(12, 90, 70, 0);

  /** What lies over marks; large enough for them, where they are. */
  public static final Design BADGE =
      design(
          "Badge",
          TitleKind.BADGE,
          "Late Thistle",
          Lettering.plain(Face.bold("Source Sans 3"), 30, PALE)
              .withPlate(new Plate(Plate.Kind.BLOCK, 100, INK)),
          new Box(500, 500, 1500),
          Movement.NONE);

  /** All that a person can begin with, by what they are for. */
  public static final List<Design> ALL =
      List.of(
          design(
              "Soft main title",
              TitleKind.MAIN,
              "The film",
              Lettering.plain(Face.bold("Fraunces"), 190, PALE).withShadow(SOFT),
              new Box(500, 300, 860),
              new Movement(
                  Arrival.letters(ArrivalKind.RISE, 16), Arrival.whole(ArrivalKind.FADE, 8))),
          design(
              "Carved main title",
              TitleKind.MAIN,
              "The film",
              Lettering.plain(Face.of("Cinzel"), 150, PALE)
                  .withSpacing(spaced(180, LetterCase.CAPITALS))
                  .withShadow(SOFT),
              Box.MIDDLE,
              new Movement(
                  Arrival.whole(ArrivalKind.CLOSE, 24), Arrival.whole(ArrivalKind.FADE, 12))),
          design(
              "Film in the letters",
              TitleKind.MAIN,
              "Film",
              Lettering.plain(Face.of("Bebas Neue"), 520, PALE)
                  .withFill(Fill.FILM)
                  .withPlate(BLACK),
              new Box(500, 500, 960),
              new Movement(Arrival.whole(ArrivalKind.GROW, 20), Arrival.NONE)),
          design(
              "Narrow card",
              TitleKind.CARD,
              "One winter",
              Lettering.plain(Face.bold("Oswald"), 110, PALE)
                  .withSpacing(spaced(40, LetterCase.CAPITALS))
                  .withShadow(SOFT),
              Box.MIDDLE,
              new Movement(
                  new Arrival(ArrivalKind.SETTLE, Unit.WORD, Order.FORWARD, 12, 0),
                  Arrival.whole(ArrivalKind.FADE, 6))),
          design(
              "Typed card",
              TitleKind.CARD,
              "Somewhere north",
              Lettering.plain(Face.of("Special Elite"), 70, PALE).withShadow(SOFT),
              new Box(500, 760, 800),
              new Movement(
                  Arrival.letters(ArrivalKind.TYPE, 30), Arrival.whole(ArrivalKind.FADE, 6))),
          design(
              "Words on beats",
              TitleKind.CARD,
              "one more time",
              Lettering.plain(Face.of("Abril Fatface"), 170, PALE).withShadow(SOFT),
              Box.MIDDLE,
              new Movement(
                  new Arrival(ArrivalKind.SETTLE, Unit.WORD, Order.ON_BEATS, 5, 0), Arrival.NONE)),
          design(
              "Flickering sign",
              TitleKind.CARD,
              "open",
              Lettering.plain(Face.of("Comfortaa"), 150, 0xffe3b0)
                  .withShadow(new Shadow(0, 240, 90, 0xff7a2f)),
              Box.MIDDLE,
              new Movement(
                  new Arrival(ArrivalKind.FLICKER, Unit.LETTER, Order.RANDOM, 24, 1),
                  Arrival.whole(ArrivalKind.FLICKER, 10))),
          design(
              "Name at the edge",
              TitleKind.NAME,
              "A name",
              "what they do",
              Lettering.plain(Face.bold("Source Sans 3"), 56, PALE)
                  .withSpacing(new Spacing(0, 120, LetterCase.AS_WRITTEN, Align.START))
                  .withPlate(new Plate(Plate.Kind.BLOCK, 70, INK)),
              new Box(310, 800, 500),
              new Movement(
                  Arrival.whole(ArrivalKind.WIPE, 12), Arrival.whole(ArrivalKind.WIPE, 10))),
          design(
              "Place at the edge",
              TitleKind.NAME,
              "A place",
              "a time",
              Lettering.plain(Face.of("Josefin Sans"), 54, PALE)
                  .withSpacing(new Spacing(90, 125, LetterCase.CAPITALS, Align.START))
                  .withShadow(SOFT),
              new Box(310, 810, 500),
              new Movement(
                  new Arrival(ArrivalKind.SLIDE, Unit.LINE, Order.FORWARD, 14, 0),
                  Arrival.whole(ArrivalKind.FADE, 8))),
          design(
              "Chapter number",
              TitleKind.CHAPTER,
              "I",
              "the lake",
              Lettering.plain(Face.of("Playfair Display"), 210, PALE).withShadow(SOFT),
              Box.MIDDLE,
              new Movement(
                  Arrival.whole(ArrivalKind.DRAW, 28), Arrival.whole(ArrivalKind.FADE, 10))),
          design(
              "Old book chapter",
              TitleKind.CHAPTER,
              "Chapter one",
              Lettering.plain(Face.of("Pirata One"), 130, PALE).withShadow(SOFT),
              Box.MIDDLE,
              new Movement(
                  Arrival.whole(ArrivalKind.CLEAR, 18), Arrival.whole(ArrivalKind.CLEAR, 12))),
          design(
              "Quotation",
              TitleKind.QUOTATION,
              "“What was said.”",
              "who said it",
              Lettering.plain(new Face("EB Garamond", false, true), 84, PALE)
                  .withPlate(new Plate(Plate.Kind.PICTURE, 55, 0)),
              Box.MIDDLE,
              new Movement(
                  new Arrival(ArrivalKind.FADE, Unit.LINE, Order.FORWARD, 24, 0),
                  Arrival.whole(ArrivalKind.FADE, 12))),
          design(
              "Running number",
              TitleKind.COUNTER,
              "{0..41}",
              "letters",
              Lettering.plain(Face.bold("IBM Plex Mono"), 200, PALE).withShadow(SOFT),
              Box.MIDDLE,
              new Movement(
                  Arrival.whole(ArrivalKind.FADE, 36), Arrival.whole(ArrivalKind.FADE, 8))),
          design(
              "List on beats",
              TitleKind.LIST,
              "one thing\nanother\none more",
              Lettering.plain(Face.bold("Zilla Slab"), 90, PALE)
                  .withSpacing(new Spacing(0, 135, LetterCase.AS_WRITTEN, Align.START))
                  .withShadow(SOFT),
              new Box(360, 500, 560),
              new Movement(
                  new Arrival(ArrivalKind.SLIDE, Unit.LINE, Order.ON_BEATS, 6, 0),
                  Arrival.whole(ArrivalKind.FADE, 8))),
          design(
              "Handwritten note",
              TitleKind.CARD,
              "come home",
              Lettering.plain(Face.bold("Caveat"), 130, PALE).withShadow(SOFT),
              new Box(640, 300, 600),
              new Movement(
                  Arrival.whole(ArrivalKind.WIPE, 20), Arrival.whole(ArrivalKind.FADE, 8))),
          design(
              "Machine card",
              TitleKind.CARD,
              "signal lost",
              Lettering.plain(Face.bold("Orbitron"), 80, 0xd8f4ff)
                  .withSpacing(spaced(120, LetterCase.CAPITALS))
                  .withShadow(new Shadow(0, 160, 80, 0x2f7aff)),
              Box.MIDDLE,
              new Movement(
                  new Arrival(ArrivalKind.FLICKER, Unit.LETTER, Order.FORWARD, 18, 3),
                  Arrival.NONE)),
          design(
              "Rolling credits",
              TitleKind.CREDITS,
              "cut by: a name\nmusic: another\nvoice: one more",
              Lettering.plain(Face.of("Cormorant Garamond"), 64, PALE)
                  .withSpacing(new Spacing(0, 150, LetterCase.AS_WRITTEN, Align.MIDDLE))
                  .withPlate(BLACK),
              new Box(500, 500, 800),
              new Movement(Arrival.NONE, Arrival.NONE, Movement.Course.ROLLS)),
          design(
              "Page of credits",
              TitleKind.CREDITS,
              "cut by: a name\nmusic: another\nvoice: one more",
              Lettering.plain(Face.of("Source Sans 3"), 54, PALE)
                  .withSpacing(new Spacing(0, 150, LetterCase.AS_WRITTEN, Align.MIDDLE))
                  .withPlate(new Plate(Plate.Kind.PICTURE, 70, 0)),
              new Box(500, 500, 800),
              new Movement(
                  Arrival.whole(ArrivalKind.FADE, 12), Arrival.whole(ArrivalKind.FADE, 12))),
          design(
              "End card",
              TitleKind.END,
              "More soon",
              Lettering.plain(Face.bold("Fraunces"), 100, PALE)
                  .withPlate(new Plate(Plate.Kind.PICTURE, 80, INK)),
              new Box(500, 180, 800),
              new Movement(Arrival.whole(ArrivalKind.FADE, 12), Arrival.NONE)));

  private Designs() {}

  /**
   * The design of a name.
   *
   * @throws IllegalArgumentException if there is none, naming those there are
   */
  public static Design named(String name) {
    return ALL.stream()
        .filter(d -> d.name().equalsIgnoreCase(name.strip()))
        .findFirst()
        .orElseThrow(
            () ->
                new Refused(
                    "There is no design “"
                        + name
                        + "”; choose one of: "
                        + String.join(", ", ALL.stream().map(Design::name).toList())
                        + "."));
  }

  private static Spacing spaced(int tracking, LetterCase letters) {
    return new Spacing(tracking, 115, letters, Align.MIDDLE);
  }

  private static Design design(
      String name, TitleKind kind, String text, Lettering lettering, Box box, Movement movement) {
    return design(name, kind, text, "", lettering, box, movement);
  }

  private static Design design(
      String name,
      TitleKind kind,
      String text,
      String second,
      Lettering lettering,
      Box box,
      Movement movement) {
    return new Design(name, new TitleWords(kind, text, second), lettering, box, movement);
  }
}
