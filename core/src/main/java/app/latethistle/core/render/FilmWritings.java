package app.latethistle.core.render;

import app.latethistle.core.caption.Caption;
import app.latethistle.core.caption.FilmCaptioner;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.marks.SeenFocus;
import app.latethistle.core.marks.SeenMark;
import app.latethistle.core.marks.SeenTrail;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Along;
import app.latethistle.core.type.ClearPlace;
import app.latethistle.core.type.WrittenCaption;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Fill;
import app.latethistle.core.words.Order;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is written on a resolved film, in a shape. */
public final class FilmWritings {
  private final Resolved film;
  private final Optional<Shape> other;
  private final Shape shape;

  /**
   * @param other the shape, if it is another than the film's own
   * @param shape of the pictures it is written on
   */
  public FilmWritings(Resolved film, Optional<Shape> other, Shape shape) {
    this.film = film;
    this.other = other;
    this.shape = shape;
  }

  /** What lies over a layer and under the next one; captions lie over everything. */
  List<Layer.Inscription> over(int layer) {
    FrameRange whole = new FrameRange(0, film.cutting().length());
    List<Layer.Inscription> all = new ArrayList<>();
    for (FilmTitle title : film.film().titles()) {
      if (title.layer() == layer) {
        pages(title).stream()
            .filter(w -> w.range().overlaps(whole))
            .map(page -> inscription(title, page))
            .forEach(all::add);
      }
    }
    if (layer == FilmTitle.TOP) {
      film.film().captions().stream()
          .filter(c -> c.style().isBurnedInto(other))
          .flatMap(c -> captions(c).stream())
          .filter(w -> w.range().overlaps(whole))
          .map(Layer.Inscription::plain)
          .forEach(all::add);
    }
    return all;
  }

  private Layer.Inscription inscription(FilmTitle title, WrittenTitle page) {
    Optional<Layer.Part> picture = picture(title, page);
    return picture.isEmpty()
        ? Layer.Inscription.plain(page)
        : new Layer.Inscription(
            page.withLettering(page.lettering().withFill(Fill.COLOUR)), picture);
  }

  /** What is seen in a title's letters, if that is a take that is there. */
  public Optional<Layer.Part> picture(FilmTitle title, WrittenTitle page) {
    long comes = film.cutting().beside().titles().get(title.id()).start();
    return title
        .picture()
        .map(film.takes()::get)
        .map(
            take ->
                new Layer.Part(
                    page.range(),
                    new Layer.Footage(
                        take.media(),
                        take.frames(),
                        Math.min(take.frames() - 1, page.range().start() - comes),
                        Run.PLAIN,
                        page.range().length(),
                        Framing.FILL)));
  }

  /** A title in its time, page by page; nothing if it has no place. */
  public List<WrittenTitle> pages(FilmTitle title) {
    TitlePlace place = film.cutting().beside().titles().get(title.id());
    if (place == null) {
      return List.of();
    }
    Along along = along(title);
    return Pages.of(title, place).stream()
        .map(
            page ->
                new WrittenTitle(
                    page.words(),
                    title.lettering(),
                    box(title.box()),
                    title.movement(),
                    page.at().range(),
                    page.at().landing(),
                    landings(title, page.at()),
                    along))
        .toList();
  }

  /** How far a title is from where it lands, in each frame in which it is seen. */
  public Along along(FilmTitle title) {
    TitlePlace place = film.cutting().beside().titles().get(title.id());
    Optional<SeenTrail> trail = title.follows().flatMap(f -> SeenTrail.of(film, f, other, shape));
    if (trail.isEmpty() || place == null) {
      return Along.NOTHING;
    }
    Trail.Place lands = trail.get().at(place.landing());
    List<Trail.Place> steps = new ArrayList<>();
    for (long frame = place.start(); frame < place.end(); frame++) {
      Trail.Place there = trail.get().at(frame);
      steps.add(new Trail.Place(there.x() - lands.x(), there.y() - lands.y()));
    }
    return new Along(place.start(), steps);
  }

  /** Where the units of a title land that follow a clock: its own landing, and moments after it. */
  private List<Long> landings(FilmTitle title, TitlePlace place) {
    Order order = title.movement().in().order();
    if (!order.onClock()) {
      return List.of();
    }
    List<Long> landings = new ArrayList<>(List.of(place.landing()));
    if (order == Order.ON_BEATS) {
      BeatGrid grid = film.clocks().grid();
      for (int beat = 0; beat < grid.size(); beat++) {
        add(landings, Cutting.frameOfBeat(beat, film.film().music(), grid, film.rate()), place);
      }
    } else {
      for (VoiceClock.Spoken line : film.cutting().voice().lines()) {
        for (Word word : line.words()) {
          if (word.at().length() > 0) {
            add(landings, film.rate().nearestFrame(word.at().start()), place);
          }
        }
      }
    }
    return landings;
  }

  private static void add(List<Long> landings, long frame, TitlePlace place) {
    if (frame > place.landing() && frame < place.end()) {
      landings.add(frame);
    }
  }

  /** The captions in a language. */
  private List<WrittenCaption> captions(FilmCaptions said) {
    CaptionStyle style = said.style();
    boolean marks = style.kind() == CaptionKind.FEW_WORDS;
    FilmCaptioner captioner = new FilmCaptioner(film, said, shape);
    List<String> speakers = captioner.speakers();
    ClearPlace clear =
        new ClearPlace(
            film.film().titles().stream().flatMap(t -> pages(t).stream()).toList(),
            spared(),
            shape);
    List<WrittenCaption> all = new ArrayList<>();
    for (Caption caption : captioner.captions()) {
      all.add(
          clear.of(
              new WrittenCaption(
                  marks ? lines(caption) : caption.lines(),
                  style.lettering(speakers.indexOf(captioner.speaker(caption))),
                  box(style.box()),
                  style.marked(),
                  caption.at(),
                  marks
                      ? caption.words().stream()
                          .map(w -> film.rate().nearestFrame(w.at().start()))
                          .toList()
                      : List.of())));
    }
    return all;
  }

  /** A caption's lines with the ends of words that no space follows, so that they are told. */
  private static List<String> lines(Caption caption) {
    List<String> lines = new ArrayList<>();
    List<String> words = caption.words().stream().map(Word::text).toList();
    int from = 0;
    for (String line : caption.lines()) {
      int to = from;
      while (to < words.size() && !WordBreaks.joined(words.subList(from, to)).equals(line)) {
        to++;
      }
      lines.add(WordBreaks.marked(words.subList(from, to)));
      from = to;
    }
    return lines;
  }

  /** What captions are not to lie over: the focus of the shots behind, marks, and zones. */
  private List<ClearPlace.Spared> spared() {
    FrameRange whole = new FrameRange(0, film.cutting().length());
    return Stream.of(
            SeenFocus.in(film, other, shape, whole).stream()
                .map(focus -> new ClearPlace.Spared(focus.at(), focus.part())),
            film.film().placements().stream()
                .flatMap(shot -> SeenMark.of(film, shot, other, shape).stream())
                .map(mark -> new ClearPlace.Spared(mark.at(), mark.part())),
            film.film().safe().of(other.orElse(shape)).parts().stream()
                .map(part -> new ClearPlace.Spared(whole, part)))
        .flatMap(some -> some)
        .toList();
  }

  private Box box(ShapedBox box) {
    return other.map(box::in).orElse(box.own());
  }
}
