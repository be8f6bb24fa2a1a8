package app.latethistle.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.View;
import app.latethistle.core.marks.Marked;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.TestFaces;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.SafeAreas;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** For every fault a film that has it, and the same without; what is offered puts it right. */
class FilmChecksTest {
  private static final PictureShape PICTURE = PictureShape.of(1280, 720);
  private static final Box CORNER = new Box(0.9, 0.9, 0.98, 0.97);
  private static final Spelling SCRIPT =
      new Spelling(Stream.of("A mail balloon crosses the drowned valley with forty letters."));

  /** Two shots of two seconds each. */
  private static Film film() {
    return Films.cut(
        List.of(
            Placement.of("s0", "a0", 10, Framing.FILL), Placement.of("s1", "a1", 10, Framing.FILL)),
        List.of(Tie.free(0), Tie.onBeat(4), Tie.onBeat(8)));
  }

  private static FilmChecks.Known known(Set<String> slates, double wish) {
    return new FilmChecks.Known(slates, SCRIPT, TestFaces.ALL, wish);
  }

  private static List<Finding> of(Film film) {
    return of(film, known(Set.of(), 0));
  }

  private static List<Finding> of(Film film, FilmChecks.Known known) {
    return FilmChecks.of(Films.resolved(film), PICTURE, known);
  }

  /** Faults of a film the first of whose takes has a mark in its corner. */
  private static List<Finding> marked(Film film) {
    Resolved marked = Films.marked(Films.resolved(film), Map.of("a0", CORNER));
    return faults(FilmChecks.of(marked, PICTURE, known(Set.of(), 0)), Check.MARKS);
  }

  private static List<Finding> faults(List<Finding> all, Check check) {
    return all.stream().filter(f -> f.check() == check && f.verdict() != Verdict.FINE).toList();
  }

  private static Film titled(String text, long frames) {
    Design design = Designs.ALL.get(0);
    FilmTitle title =
        FilmTitle.of("t", design, Standing.of(Tie.free(20), frames)).withWords(design.saying(text));
    return Put.title(title).apply(film());
  }

  @Test
  void aFilmWithoutFaultsIsFineThroughout() {
    List<Finding> all = of(titled("Forty letters", 60));
    assertThat(all).allMatch(f -> f.verdict() == Verdict.FINE, "fine");
    assertThat(all).extracting(Finding::check).contains(Check.MARKS, Check.TITLES, Check.SPELLING);
  }

  @Test
  void aSlateIsFoundInItsShot() {
    Film film = film();
    List<Finding> found = faults(of(film, known(Set.of("a1"), 0)), Check.SLATES);
    assertThat(found)
        .singleElement()
        .extracting(Finding::item)
        .isEqualTo(film.placements().get(1).id());
  }

  @Test
  void aMarkIsFoundAndFramedOut() {
    Film film = film();
    List<Finding> found = marked(film);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).said()).isEqualTo("corner mark seen for 2.3 s");
    Mend mend = found.get(0).mends().get(0);
    assertThat(mend.label()).isEqualTo("Frame it out, 12 % closer");
    assertThat(marked(mend.edit().apply(film))).isEmpty();
  }

  /** Faults of an upright output of a film, whose first take has a mark low in its middle. */
  private static List<Finding> upright(Film film, FrameRange part) {
    Box low = new Box(0.45, 0.9, 0.55, 0.96);
    Resolved marked = Films.marked(Films.resolved(film), Map.of("a0", low));
    Marked seen = new Marked(marked, PictureShape.of(1080, 1920), Optional.of(Shape.of(9, 16)));
    return MarkChecks.of(seen, part, "the short", TestFaces.ALL);
  }

  /** It is framed out in that shape alone, if it is in the part that leaves. */
  @Test
  void aMarkIsSeenInAnotherShape() {
    Film film = film();
    long end = Films.resolved(film).cutting().length();
    FrameRange whole = new FrameRange(0, end);
    List<Finding> found = upright(film, whole);
    assertThat(found).hasSize(1);
    assertThat(found.get(0).said()).endsWith(" in the short");
    Film after = found.get(0).mends().get(0).edit().apply(film);
    assertThat(upright(after, whole)).isEmpty();
    assertThat(after.placements().get(0).framing().own())
        .isEqualTo(film.placements().get(0).framing().own());
    assertThat(upright(film, new FrameRange(end - 1, end))).isEmpty();
  }

  @Test
  void aPictureThatIsEnlargedTooFarIsFound() {
    Film film = film();
    Film close =
        SetAspect.of(
                Aspect.FRAMING,
                film.placements().get(0).id(),
                ShapedFraming.of(Framing.along(FramingPath.still(View.enlarged(1700)))))
            .apply(film);
    assertThat(faults(of(close), Check.ENLARGED)).hasSize(1);
    assertThat(faults(of(film), Check.ENLARGED)).isEmpty();
  }

  @Test
  void aLengthFarFromTheWishIsFound() {
    assertThat(faults(of(film(), known(Set.of(), 4.2)), Check.LENGTH)).isEmpty();
    assertThat(faults(of(film(), known(Set.of(), 6)), Check.LENGTH)).hasSize(1);
  }

  @Test
  void aTitleThatGoesTooSoonStaysLonger() {
    Film film = titled("Forty letters crossing a valley that was drowned", 14);
    List<Finding> found = faults(of(film), Check.TITLES);
    assertThat(found).hasSize(1);
    Film mended = found.get(0).mends().get(0).edit().apply(film);
    assertThat(faults(of(mended), Check.TITLES)).isEmpty();
  }

  @Test
  void aTitleWithoutItsLettersOrItsTieIsFound() {
    // Unicode has no letter there; places for private use have some on one machine or another.
    assertThat(faults(of(titled("\u0378", 60)), Check.TITLES)).hasSize(1);
    Film film = titled("Letters", 60);
    FilmTitle lost = film.titles().get(0).withStanding(Standing.of(Tie.onBeat(9000), 40));
    assertThat(faults(of(Put.title(lost).apply(film())), Check.TITLES)).hasSize(1);
  }

  @Test
  void aTitleInAFaceThatIsNotHereIsFound() {
    Film film = titled("Letters", 60);
    FilmTitle title = film.titles().get(0);
    Lettering lost = title.lettering().withFace(Lettering.Face.of("Nobody's"));
    assertThat(faults(of(Put.title(title.withLettering(lost)).apply(film())), Check.TITLES))
        .singleElement()
        .extracting(Finding::said)
        .asString()
        .contains("the face “Nobody's” is not here");
  }

  /**
   * What is laid over an upright picture's lower edge covers captions that stand as in a wide one.
   */
  @Test
  void captionsBelowTheSafeAreaAreRaised() {
    FilmCaptions wide =
        FilmCaptions.in("en")
            .withOwn(List.of(new FilmCaptions.Own(new FrameRange(4, 40), "Forty letters")))
            .withStyle(CaptionStyle.USUAL.burnedInto(true, List.of(Shape.of(4, 5))));
    Film film = film().withCaptions(List.of(wide));
    List<Finding> found = faults(of(film), Check.CAPTIONS);
    assertThat(found)
        .singleElement()
        .extracting(Finding::said)
        .isEqualTo("English captions stand at 93 % of 4:5, below its safe area");
    Film raised = found.get(0).mends().get(0).edit().apply(film);
    assertThat(faults(of(raised), Check.CAPTIONS)).isEmpty();
    assertThat(raised.captions().get(0).style().box().in(Shape.of(4, 5)).y()).isEqualTo(820);
    SafeArea narrow = new SafeArea(50, 50, 50, 200);
    Film covered = film.withSafe(SafeAreas.USUAL.with(Shape.of(16, 9), narrow));
    assertThat(faults(of(covered), Check.CAPTIONS)).hasSize(2);
  }

  /** Files have no face: only captions in pictures are held to theirs. */
  @Test
  void captionsWithoutTheirFaceOrTheirLettersAreFound() {
    FilmCaptions files =
        FilmCaptions.in("en")
            .withOwn(List.of(new FilmCaptions.Own(new FrameRange(4, 40), "Forty \u0378")));
    CaptionStyle style = files.style();
    CaptionStyle lost =
        style.withLettering(style.lettering().withFace(Lettering.Face.of("Nobody's")));
    assertThat(faults(of(film().withCaptions(List.of(files.withStyle(lost)))), Check.CAPTIONS))
        .isEmpty();
    Film burned = film().withCaptions(List.of(files.withStyle(lost.burnedInto(true, List.of()))));
    assertThat(faults(of(burned), Check.CAPTIONS))
        .extracting(Finding::said)
        .containsExactly(
            "English captions: the face “Nobody's” is not here; bring it in or choose another",
            "English captions: no face has \u0378");
  }

  @Test
  void aSlipOfThePenIsFound() {
    assertThat(faults(of(titled("A mail baloon", 60)), Check.SPELLING))
        .singleElement()
        .extracting(Finding::said)
        .isEqualTo("title “A mail baloon” has “baloon”, the script “balloon”");
    assertThat(faults(of(titled("A male balloon, lettered", 60)), Check.SPELLING)).isEmpty();
  }

  /** Words of the script are never slips, whatever the script. */
  @Test
  void theScriptsOwnWordsAreNoSlips() {
    String text = "The water came at night, and by the morning there were forty-one doors.";
    assertThat(new Spelling(Stream.of(text)).in(text)).isEmpty();
    assertThat(new Spelling(Stream.of(text)).in("moring")).hasSize(1);
    assertThat(new Spelling(Stream.of(text)).in("mroning"))
        .containsExactly(new Spelling.Slip("mroning", "morning"));
    assertThat(new Spelling(Stream.of(text)).in("evening door waters")).isEmpty();
  }

  @Test
  void cutsAreCounted() {
    Resolved film = Films.resolved(film());
    assertThat(film.cutting().frames()).hasSize(3);
    assertThat(Cutting.frameOfBeat(4, film.film().music(), Films.GRID, Films.RATE)).isPositive();
    assertThat(of(film())).anyMatch(f -> f.said().equals("1 of 1 cuts on a beat, 0 on a word"));
  }
}
