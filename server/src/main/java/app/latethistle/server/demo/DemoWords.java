package app.latethistle.server.demo;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Shape;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.ArrivalKind;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.Order;
import app.latethistle.core.words.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The titles and captions of the demo's films. */
final class DemoWords {
  private static final Shape UPRIGHT = Shape.of(9, 16);

  /** The lines of "Night Post", as they would be said in German. */
  private static final List<String> GERMAN =
      List.of(
          "Niemand weiß mehr, in welchem Jahr sich das Tal gefüllt hat.",
          "Wir hielten nur die Laternen am Brennen und die Post am Laufen.",
          "In einer Winternacht drehte der Wind nach Norden, und wir flogen trotzdem.",
          "Einundvierzig Briefe. Einundvierzig Türen. Nie habe ich eine ausgelassen.",
          "Dann lass ihn gehen.",
          "Wer das hier findet, der klopfe zweimal.");

  private static final Map<String, String> TOLD =
      Map.of(
          "match, strike", "[a match is struck]",
          "door slams", "[a door slams]",
          "thunder, near", "[thunder]",
          "knock, twice", "[two knocks]");

  private DemoWords() {}

  /**
   * "Night Post" with its titles, the film's name where the knock on "twice" strikes, and captions
   * in two languages.
   *
   * @param downbeat the song's first
   * @param lines the names of the voice's lines, in order
   */
  static Film nightPost(Film film, int downbeat, List<String> lines) {
    List<FilmTitle> titles = new ArrayList<>();
    titles.add(
        title(
            "title~1",
            "Place at the edge",
            "The drowned valley",
            "winter",
            Standing.of(Tie.onBeat(downbeat), 72)));
    if (lines.size() >= 6) {
      Tie twice = new Tie.OnWord(lines.get(5), 4, Tie.Edge.END, 3);
      Tie knock =
          film.sounds().stream()
              .filter(s -> s.when().at().equals(twice))
              .findFirst()
              .<Tie>map(s -> new Tie.OnItem(Tie.OnItem.Kind.SOUND, s.id()))
              .orElse(twice);
      FilmTitle main =
          title(
              "title~2",
              "Soft main title",
              "Night Post",
              "",
              new Standing(knock, 60, Optional.of(Tie.onCut(Film.END))));
      // Over the dark water, clear of the balloons.
      Box low = new Box(650, 800, 860);
      titles.add(main.withBox(main.box().withOwn(low).with(UPRIGHT, new Box(460, 300, 780))));
    }
    Map<String, String> german = new LinkedHashMap<>();
    for (int i = 0; i < Math.min(GERMAN.size(), lines.size()); i++) {
      german.put(lines.get(i), GERMAN.get(i));
    }
    CaptionStyle style = CaptionStyle.USUAL.burnedInto(false, List.of(UPRIGHT));
    return film.withTitles(titles)
        .withCaptions(
            List.of(
                FilmCaptions.in(FilmCaptions.READ).withStyle(style).withSounds(heard(film)),
                FilmCaptions.in("de").withTexts(german)));
  }

  /** What captions tell of the sounds that tell something. */
  private static Map<String, String> heard(Film film) {
    Map<String, String> told = new LinkedHashMap<>();
    for (FilmSound sound : film.sounds()) {
      if (sound.what() instanceof SoundMaterial.OfFile file && TOLD.containsKey(file.name())) {
        told.put(sound.id(), TOLD.get(file.name()));
      }
    }
    return told;
  }

  /** "Salt Carousel" with its name on beats, word by word, and a word at a time of what is said. */
  static Film saltCarousel(Film film, int downbeat) {
    FilmTitle name =
        title(
            "title~1",
            "Words on beats",
            "Salt Carousel",
            "",
            Standing.of(Tie.onBeat(downbeat + 4), 72));
    Arrival in = new Arrival(ArrivalKind.SETTLE, Unit.WORD, Order.ON_BEATS, 6, 0);
    return film.withTitles(
            List.of(
                name.withBox(name.box().withOwn(new Box(480, 300, 760)))
                    .withMovement(new Movement(in, Arrival.whole(ArrivalKind.FADE, 8)))))
        .withCaptions(
            List.of(
                FilmCaptions.in(FilmCaptions.READ)
                    .withStyle(
                        CaptionStyle.USUAL
                            .withKind(CaptionKind.FEW_WORDS)
                            .withBox(CaptionStyle.USUAL.box().withOwn(new Box(460, 740, 780)))
                            .burnedInto(true, List.of()))));
  }

  private static FilmTitle title(
      String id, String design, String text, String second, Standing when) {
    Design like = Designs.named(design);
    return FilmTitle.of(id, like, when).withWords(like.saying(text, second));
  }
}
