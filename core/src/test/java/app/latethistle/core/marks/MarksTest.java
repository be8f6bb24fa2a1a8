package app.latethistle.core.marks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.View;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.picture.PathFramer;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Faces;
import app.latethistle.core.type.TestFaces;
import app.latethistle.core.words.Lettering;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where marks are seen is where they are drawn; what is laid over them hides them. */
class MarksTest {
  private static final PictureShape PICTURE = PictureShape.of(1280, 720);
  private static final double ASPECT = 16 / 9.0;
  private static final Box RIGHT = new Box(0.86, 0.9, 0.98, 0.95);
  private static final Box LEFT = new Box(0.02, 0.88, 0.2, 0.96);
  private static final Box HIGH = new Box(0.88, 0.01, 0.99, 0.03);

  private static Film film(int shots) {
    return Films.cut(
        IntStream.range(0, shots)
            .mapToObj(i -> Placement.of("s" + i, "a" + i, 10, Framing.FILL))
            .toList(),
        IntStream.rangeClosed(0, shots)
            .mapToObj(i -> i == 0 ? Tie.free(0) : Tie.onBeat(4 * i))
            .toList());
  }

  private static Marked marked(Film film, Map<String, Box> marks) {
    return new Marked(Films.marked(Films.resolved(film), marks), PICTURE);
  }

  private static List<SeenMark> open(Film film, Map<String, Box> marks) {
    Marked marked = marked(film, marks);
    Covers covers = Covers.of(marked, TestFaces.ALL);
    return marked.seen().stream().filter(m -> !covers.hides(m)).toList();
  }

  private static Film badged(Film film, Map<String, Box> marks, String text, Badge.Reach reach) {
    return new Badge(Sign.of(text), reach).over(marked(film, marks), TestFaces.ALL).apply(film);
  }

  private static List<Lettering> letterings(Film film) {
    return film.titles().stream().map(FilmTitle::lettering).distinct().toList();
  }

  /** A white box on a black clip, drawn by the engine: its edges are where they are told. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aMarkIsSeenWhereItIsDrawn(long seed) {
    Random random = new Random(seed);
    PictureShape clip =
        PictureShape.of(320 + 2 * random.nextInt(160), 180 + 2 * random.nextInt(90));
    double left = random.nextDouble() * 0.8;
    double top = random.nextDouble() * 0.8;
    Box mark = new Box(left, top, left + 0.15, top + 0.15);
    Frame source = new Frame(clip.width(), clip.height());
    source.black();
    for (int y = 0; y < clip.height(); y++) {
      for (int x = 0; x < clip.width(); x++) {
        boolean in =
            x + 0.5 > mark.left() * clip.width()
                && x + 0.5 < mark.right() * clip.width()
                && y + 0.5 > mark.top() * clip.height()
                && y + 0.5 < mark.bottom() * clip.height();
        source.data()[y * clip.width() + x] = (byte) (in ? 235 : 16);
      }
    }
    Frame drawn = new Frame(640, 360);
    Framing framing;
    int turn = 0;
    if (random.nextBoolean()) {
      framing = new Framing(random.nextBoolean() ? Fit.FIT : Fit.FILL);
      Framer.of(clip, 640, 360, framing).draw(source, drawn);
    } else {
      turn = random.nextBoolean() ? 0 : 300;
      View view =
          new View(1000 + random.nextInt(700), random.nextInt(600), -random.nextInt(600), turn);
      FramingPath path = FramingPath.still(view.within(clip, ASPECT));
      framing = Framing.along(path);
      new PathFramer(path, clip, 640, 360).draw(source, drawn, 0.5);
    }
    Optional<Box> seen = SeenMark.place(framing, mark, clip, ASPECT);
    Optional<Box> there = bright(drawn);
    if (there.isEmpty()) {
      assertThat(seen.map(b -> (b.right() - b.left()) * (b.bottom() - b.top())).orElse(0.0))
          .isLessThan(0.002);
      return;
    }
    assertThat(seen).isPresent();
    double hair = 3.0 / 360;
    Box told = seen.get();
    assertThat(told.left()).isLessThan(there.get().left() + hair);
    assertThat(told.top()).isLessThan(there.get().top() + hair);
    assertThat(told.right()).isGreaterThan(there.get().right() - hair);
    assertThat(told.bottom()).isGreaterThan(there.get().bottom() - hair);
    if (turn == 0) {
      // Of a turned one that the picture's edge cuts, less is seen than its upright box.
      assertThat(told.left()).isCloseTo(there.get().left(), within(hair));
      assertThat(told.top()).isCloseTo(there.get().top(), within(hair));
      assertThat(told.right()).isCloseTo(there.get().right(), within(hair));
      assertThat(told.bottom()).isCloseTo(there.get().bottom(), within(hair));
    }
  }

  /** What is brighter than half of a picture, in parts of its sides. */
  private static Optional<Box> bright(Frame frame) {
    int left = frame.width();
    int top = frame.height();
    int right = 0;
    int bottom = 0;
    for (int y = 0; y < frame.height(); y++) {
      for (int x = 0; x < frame.width(); x++) {
        if ((frame.data()[y * frame.width() + x] & 0xff) > 126) {
          left = Math.min(left, x);
          top = Math.min(top, y);
          right = Math.max(right, x + 1);
          bottom = Math.max(bottom, y + 1);
        }
      }
    }
    return left < right
        ? Optional.of(
            new Box(
                (double) left / frame.width(),
                (double) top / frame.height(),
                (double) right / frame.width(),
                (double) bottom / frame.height()))
        : Optional.empty();
  }

  /** Wherever the mark is and however the camera moves, it is out. */
  @Test
  void croppingLeavesAnyMarkOut() {
    for (int seed = 0; seed < 300; seed++) {
      Random random = new Random(seed);
      PictureShape clip =
          PictureShape.of(640 + 2 * random.nextInt(600), 360 + 2 * random.nextInt(300));
      double aspect = random.nextBoolean() ? ASPECT : 1 / ASPECT;
      double left = random.nextBoolean() ? 0.02 : 0.85;
      double top = random.nextBoolean() ? 0.03 : 0.88;
      Box mark = new Box(left, top, left + 0.12, top + 0.08);
      Framing framing =
          random.nextBoolean()
              ? Framing.FILL
              : Framing.along(
                  FramingPath.of(
                      new View(1100, -random.nextInt(400), 0, 0),
                      new View(1300, random.nextInt(900), random.nextInt(900), 0),
                      Easing.EVEN));
      Cropping crop =
          Cropping.around(List.of(mark), framing, clip, aspect, View.MOST_SIZE).orElseThrow();
      assertThat(SeenMark.place(crop.framing(), mark, clip, aspect)).as("seed %d", seed).isEmpty();
    }
  }

  @Test
  void barsCoverWhatLiesUnderThem() {
    Film film = film(3);
    Map<String, Box> high = Map.of("a0", HIGH);
    int shape = CinemaBars.over(List.of(HIGH), ASPECT).orElseThrow();
    assertThat(shape).as("the least that does").isEqualTo(200);
    assertThat(open(film, high)).hasSize(1);
    Film barred = CinemaBars.set(film, shape).apply(film);
    assertThat(open(barred, high)).isEmpty();
    assertThat(open(barred, Map.of("a0", RIGHT))).hasSize(1);
    Film wider = CinemaBars.set(barred, 239).apply(barred);
    assertThat(wider.finish().treatments().list()).as("instead of the first").hasSize(1);
    assertThat(CinemaBars.over(List.of(new Box(0.8, 0.8, 0.9, 0.85)), ASPECT)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"Night Post", "N", "The valley's mail"})
  void aBadgeCoversEveryMarkInOneSize(String text) {
    Film film = film(6);
    Box edge = new Box(0, 0.88, 0.17, 0.955);
    Map<String, Box> marks = Map.of("a0", RIGHT, "a2", LEFT, "a3", edge, "a5", HIGH);
    Film badged = badged(film, marks, text, Badge.Reach.WHERE_NEEDED);
    assertThat(open(film, marks)).hasSize(4);
    assertThat(open(badged, marks)).isEmpty();
    assertThat(badged.titles()).as("two shots in a row have one").hasSize(3);
    assertThat(letterings(badged)).hasSize(1);
    assertThat(Badge.in(badged)).contains(new Badge(Sign.of(text), Badge.Reach.WHERE_NEEDED));
  }

  /** A logotype, high or wide, lies on a plate that covers the mark. */
  @ParameterizedTest
  @ValueSource(ints = {40, 100, 400})
  void aLogotypeCoversMarksToo(int wide) {
    BufferedImage picture = new BufferedImage(wide, 100, BufferedImage.TYPE_INT_ARGB);
    Faces faces = TestFaces.with("Our sign", picture);
    Film film = film(3);
    Map<String, Box> marks = Map.of("a1", RIGHT);
    Sign sign = new Sign("Night Post", Lettering.Face.of("Our sign"));
    Marked marked = marked(film, marks);
    Film badged = new Badge(sign, Badge.Reach.WHERE_NEEDED).over(marked, faces).apply(film);
    Marked now = marked(badged, marks);
    Covers covers = Covers.of(now, faces);
    assertThat(now.seen()).isNotEmpty().allMatch(covers::hides);
    assertThat(Badge.in(badged)).contains(new Badge(sign, Badge.Reach.WHERE_NEEDED));
  }

  @Test
  void aBadgeOverTheWholeFilmHasOnePlace() {
    Film film = film(4);
    Map<String, Box> marks = Map.of("a0", RIGHT, "a2", RIGHT);
    Film badged = badged(film, marks, "Night Post", Badge.Reach.WHOLE_FILM);
    assertThat(open(badged, marks)).isEmpty();
    assertThat(badged.titles()).hasSize(1);
    assertThat(Badge.in(badged)).contains(new Badge(Sign.of("Night Post"), Badge.Reach.WHOLE_FILM));
    assertThatThrownBy(
            () -> badged(film, Map.of("a0", RIGHT, "a1", LEFT), "N", Badge.Reach.WHOLE_FILM))
        .hasMessageContaining("2 corners");
  }

  /** A badge that is laid anew takes the old one's place; taken out, the film is as before. */
  @Test
  void aFilmHasOneBadge() {
    Film film = film(3);
    Map<String, Box> marks = Map.of("a1", RIGHT);
    Film once = badged(film, marks, "Night Post", Badge.Reach.WHERE_NEEDED);
    Film twice = badged(once, Map.of("a1", RIGHT, "a2", HIGH), "N. P.", Badge.Reach.WHERE_NEEDED);
    assertThat(twice.titles()).hasSize(2).allMatch(t -> t.words().text().equals("N. P."));
    assertThat(Badge.out(twice).apply(twice)).isEqualTo(film);
    assertThatThrownBy(() -> Sign.of("x".repeat(61))).hasMessageContaining("up to 60 letters");
    assertThatThrownBy(() -> Badge.out(film)).hasMessage("The film has no badge.");
    assertThatThrownBy(() -> badged(film, Map.of(), "N", Badge.Reach.WHERE_NEEDED))
        .hasMessageContaining("No mark is seen");
    assertThatThrownBy(
            () ->
                badged(
                    film,
                    Map.of("a1", new Box(0.8, 0.8, 0.9, 0.9)),
                    "Everything that this channel has ever shown, and more of it",
                    Badge.Reach.WHERE_NEEDED))
        .hasMessageContaining("wider than half");
  }

  @Test
  void whatBecameOfEachMarkIsKnown() {
    Film film = film(4);
    Map<String, Box> marks = Map.of("a0", RIGHT, "a1", RIGHT, "a2", HIGH);
    Film badged = badged(film, Map.of("a0", RIGHT), "Night Post", Badge.Reach.WHERE_NEEDED);
    Framing away = Framing.along(FramingPath.still(new View(1300, -1000, -1000, 0)));
    Film framed =
        SetAspect.of(Aspect.FRAMING, film.placements().get(1).id(), ShapedFraming.of(away))
            .apply(badged);
    assertThat(MarkFate.of(marked(framed, marks), TestFaces.ALL))
        .containsExactly(
            Map.entry(film.placements().get(0).id(), MarkFate.COVERED),
            Map.entry(film.placements().get(1).id(), MarkFate.FRAMED_OUT),
            Map.entry(film.placements().get(2).id(), MarkFate.SEEN));
  }

  /** A badge follows its shot: the cut moves, and nothing of the mark is seen. */
  @Test
  void aBadgeStaysOnItsShot() {
    Film film = film(3);
    Map<String, Box> marks = Map.of("a1", RIGHT);
    Film badged = badged(film, marks, "Night Post", Badge.Reach.WHERE_NEEDED);
    Film moved = SetAspect.of(Aspect.TIE, badged.jointName(1), Tie.onBeat(3)).apply(badged);
    assertThat(open(moved, marks)).isEmpty();
    FilmTitle title = badged.titles().get(0);
    Film thin =
        Put.title(title.withLettering(title.lettering().withSize(title.lettering().size() / 2)))
            .apply(badged);
    assertThat(open(thin, marks)).as("a smaller one does not hide it").hasSize(1);
    Film turned =
        SetAspect.of(
                Aspect.FRAMING,
                film.placements().get(1).id(),
                ShapedFraming.of(Framing.along(FramingPath.still(new View(1200, 500, 500, 0)))))
            .apply(badged);
    assertThat(open(turned, marks)).as("nor where the camera has moved on").hasSize(1);
  }

  /** A focus is seen where its shot's framing brings it, in the film's shape and in another. */
  @Test
  void aFocusIsSeenWhereTheFramingBringsIt() {
    Film cut = film(2);
    Focus focus = new Focus(List.of(new Focus.Point(0, 250, 400)), 0, 0, 0, 1);
    ShapedFraming framing = ShapedFraming.of(Framing.FILL).withFocus(Optional.of(focus));
    Film film = SetAspect.of(Aspect.FRAMING, cut.placements().get(0).id(), framing).apply(cut);
    FrameRange first = new FrameRange(0, 5);
    SeenFocus wide =
        SeenFocus.in(Films.resolved(film), Optional.empty(), Shape.of(16, 9), first).get(0);
    assertThat(wide.shot()).isEqualTo(cut.placements().get(0).id());
    assertThat((wide.place().left() + wide.place().right()) / 2).isCloseTo(0.25, within(0.01));
    Shape tall = Shape.of(9, 16);
    SeenFocus upright = SeenFocus.in(Films.resolved(film), Optional.of(tall), tall, first).get(0);
    assertThat((upright.place().left() + upright.place().right()) / 2).isCloseTo(0.5, within(0.1));
    long second = Films.resolved(film).cutting().frames().get(1);
    FrameRange later = new FrameRange(second, second + 1);
    assertThat(SeenFocus.in(Films.resolved(film), Optional.empty(), Shape.of(16, 9), later))
        .isEmpty();
  }
}
