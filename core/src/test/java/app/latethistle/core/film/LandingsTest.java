package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Framing;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.words.Designs;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Where sounds land, to the sample; at 24 frames a second a frame has 2,000. */
class LandingsTest {
  private static final long FRAME = 2_000;
  private static final SoundMaterial KNOCK =
      new SoundMaterial.OfFile(
          "knock", "knock", new SampleRange(1_000, 31_000), 5_000, Optional.empty());
  private static final SoundMaterial RAIN =
      new SoundMaterial.OfFile(
          "rain",
          "rain",
          new SampleRange(0, 90_000),
          0,
          Optional.of(new SampleRange(9_000, 80_000)));

  private static Film film(FilmSound... sounds) {
    return Films.cut(
            List.of(
                Placement.of("s0", "a0", 0, Framing.FILL),
                Placement.of("s1", "a1", 0, Framing.FILL)),
            List.of(Tie.free(0), Tie.free(30), Tie.free(72)))
        .withMarkers(List.of(Marker.of("m", Tie.free(12), "")))
        .withSounds(List.of(sounds));
  }

  private static FilmSound sound(String id, SoundMaterial what, Landing when) {
    return new FilmSound(id, what, when, Manner.PLAIN);
  }

  private static Map<String, SoundPlace> places(FilmSound... sounds) {
    return Films.resolved(film(sounds)).cutting().beside().sounds();
  }

  @Test
  void aSoundLandsOnItsCut() {
    SoundPlace place = places(sound("k", KNOCK, Landing.on(Tie.onCut("s1")))).get("k");
    assertThat(place).isEqualTo(new SoundPlace(56_000, 60_000, 86_000));
    Landing later = new Landing(Tie.onCut("s1"), -37, Optional.empty());
    assertThat(places(sound("k", KNOCK, later)).get("k").landing()).isEqualTo(59_963);
    assertThat(places(sound("k", KNOCK, Landing.on(Tie.onCut(Film.END)))).get("k").landing())
        .isEqualTo(72 * FRAME);
  }

  @Test
  void aSoundFollowsItsCut() {
    Film film = film(sound("k", KNOCK, Landing.on(Tie.onCut("s1"))));
    Film after = SetAspect.of(Aspect.TIE, "s1", Tie.free(41)).apply(film);
    assertThat(Films.resolved(after).cutting().beside().sounds().get("k").landing())
        .isEqualTo(41 * FRAME);
  }

  @Test
  void soundsLandOnEachOther() {
    Map<String, SoundPlace> places =
        places(
            sound("a", KNOCK, new Landing(onSound("b"), 480, Optional.empty())),
            sound("b", KNOCK, Landing.on(new Tie.OnItem(Tie.OnItem.Kind.MARKER, "m"))));
    assertThat(places.get("b").landing()).isEqualTo(12 * FRAME);
    assertThat(places.get("a").landing()).isEqualTo(12 * FRAME + 480);
  }

  private static Tie onSound(String id) {
    return new Tie.OnItem(Tie.OnItem.Kind.SOUND, id);
  }

  @Test
  void whatGoesInACircleHasNoPlaceAndIsTold() {
    FilmSound a = sound("a", KNOCK, Landing.on(onSound("b")));
    FilmSound b = sound("b", KNOCK, Landing.on(onSound("a")));
    FilmSound lost = sound("c", KNOCK, Landing.on(Tie.onCut("gone")));
    assertThat(places(a, b, lost)).isEmpty();
    assertThat(Films.resolved(film(a, b, lost)).cutting().problems())
        .filteredOn(p -> p.kind() == Cutting.Kind.NOT_PLACED)
        .hasSize(3);
  }

  @Test
  void aBedGoesOnToItsTieAndASoundWithoutALoopEnds() {
    Tie start = Tie.onCut("s0");
    Tie end = Tie.onCut("s1");
    assertThat(places(sound("r", RAIN, Landing.between(start, end))).get("r"))
        .isEqualTo(new SoundPlace(0, 0, 30 * FRAME));
    assertThat(places(sound("r", RAIN, Landing.between(start, Tie.onCut(Film.END)))).get("r"))
        .isEqualTo(new SoundPlace(0, 0, 72 * FRAME));
    assertThat(places(sound("k", KNOCK, Landing.between(start, end))).get("k").end())
        .isEqualTo(26_000);
  }

  @Test
  void whatLandsStaysWhereItIsHoweverTheSoundRuns() {
    FilmSound plain = sound("k", KNOCK, Landing.on(Tie.onCut("s1")));
    for (Timing time :
        List.of(new Timing(true, 100, 0), new Timing(false, 200, 5), new Timing(true, 50, -12))) {
      SoundPlace place = places(plain.withManner(Manner.PLAIN.withTime(time))).get("k");
      assertThat(place.landing()).isEqualTo(60_000);
      long lead = time.reversed() ? 26_000 : 4_000;
      assertThat(place.start()).isEqualTo(60_000 - lead * time.stretch() / 100);
      assertThat(place.end() - place.start()).isEqualTo(30_000L * time.stretch() / 100);
    }
  }

  @Test
  void aSoundLandsOnABeatToTheSampleWhereACutTakesAFrame() {
    Film film = film(sound("k", KNOCK, Landing.on(Tie.onBeat(3))));
    Resolved resolved = Films.resolved(film);
    assertThat(resolved.cutting().beside().sounds().get("k").landing())
        .isEqualTo(resolved.clocks().grid().sampleOf(3));
    FilmSound two = sound("k", KNOCK, Landing.on(new Tie.OnBeat(3, 2)));
    assertThat(places(two).get("k").landing())
        .isEqualTo(resolved.clocks().grid().sampleOf(3) + 2 * FRAME);
  }

  @Test
  void onlySoundsAreTiedToWhatIsInTheFilm() {
    Tie cut = Tie.onCut("s1");
    assertThatThrownBy(() -> Joint.of(cut)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Marker.of("m", cut, "")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Overlay.Ties(cut, cut)).isInstanceOf(Refused.class);
  }

  @Test
  void bothMayChangeASoundIfTheyChangeDifferentThings() {
    Film base = film(sound("k", KNOCK, Landing.on(Tie.onCut("s1"))));
    Film mine = SetAspect.of(Aspect.LANDING, "k", Landing.on(Tie.free(3))).apply(base);
    Film theirs = SetAspect.of(Aspect.MANNER, "k", Manner.PLAIN.withGain(-6)).apply(base);
    FilmSound both = Merge.of(base, mine, theirs).orElseThrow().sound("k").orElseThrow();
    assertThat(both.when()).isEqualTo(Landing.on(Tie.free(3)));
    assertThat(both.how().gain()).isEqualTo(-6);
    Film other = SetAspect.of(Aspect.LANDING, "k", Landing.on(Tie.free(4))).apply(base);
    assertThat(Merge.of(base, mine, other)).isEmpty();
  }

  private static Film titled(Film film, FilmTitle... titles) {
    return film.withTitles(List.of(titles));
  }

  private static FilmTitle title(String id, Standing standing) {
    // Its entrance takes 16 frames.
    return FilmTitle.of(id, Designs.named("Soft main title"), standing);
  }

  private static Map<String, TitlePlace> titles(Film film) {
    return Films.resolved(film).cutting().beside().titles();
  }

  @Test
  void aTitleLandsOnItsCutAndBeginsEarlier() {
    Film film = titled(film(), title("t", Standing.of(Tie.onCut("s1"), 20)));
    assertThat(titles(film).get("t")).isEqualTo(new TitlePlace(14, 30, 50));
    Film after = SetAspect.of(Aspect.TIE, "s1", Tie.free(41)).apply(film);
    assertThat(titles(after).get("t")).isEqualTo(new TitlePlace(25, 41, 61));
    Standing toTheEnd = new Standing(Tie.onCut("s1"), 20, Optional.of(Tie.onCut(Film.END)));
    assertThat(titles(titled(film(), title("t", toTheEnd))).get("t").end()).isEqualTo(72);
  }

  @Test
  void titlesLandWithSoundsAndSoundsWithTitles() {
    FilmSound knock = sound("k", KNOCK, new Landing(Tie.onCut("s1"), 1_100, Optional.empty()));
    Film film = titled(film(knock), title("t", Standing.of(onSound("k"), 20)));
    // 1,100 samples are more than half a frame.
    assertThat(titles(film).get("t").landing()).isEqualTo(31);
    FilmSound with = sound("w", KNOCK, Landing.on(new Tie.OnItem(Tie.OnItem.Kind.TITLE, "t")));
    Film both = film.withSounds(List.of(knock, with));
    assertThat(Films.resolved(both).cutting().beside().sounds().get("w").landing())
        .isEqualTo(31 * FRAME);
  }

  @Test
  void aTitleAndASoundThatWaitForEachOtherHaveNoPlace() {
    FilmSound with = sound("w", KNOCK, Landing.on(new Tie.OnItem(Tie.OnItem.Kind.TITLE, "t")));
    Film film = titled(film(with), title("t", Standing.of(onSound("w"), 20)));
    assertThat(titles(film)).isEmpty();
    assertThat(Films.resolved(film).cutting().problems())
        .filteredOn(p -> p.kind() == Cutting.Kind.NOT_PLACED)
        .hasSize(2);
  }

  @Test
  void changesOfTwoAspectsOfATitleGoTogether() {
    Film base = titled(film(), title("t", Standing.of(Tie.free(40), 20)));
    Film mine = SetAspect.of(Aspect.STANDING, "t", Standing.of(Tie.free(50), 9)).apply(base);
    Film theirs =
        SetAspect.of(Aspect.LETTERING, "t", base.titles().get(0).lettering().withSize(99))
            .apply(base);
    Film both = Merge.of(base, mine, theirs).orElseThrow();
    assertThat(both.titles().get(0).when().frames()).isEqualTo(9);
    assertThat(both.titles().get(0).lettering().size()).isEqualTo(99);
    Film otherwise = SetAspect.of(Aspect.STANDING, "t", Standing.of(Tie.free(7), 9)).apply(base);
    assertThat(Merge.of(base, mine, otherwise)).isEmpty();
  }
}
