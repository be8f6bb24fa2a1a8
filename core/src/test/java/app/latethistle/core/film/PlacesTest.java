package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Framing;
import app.latethistle.core.sound.Manner;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Beat b of the grid falls on frame 6 + 12 b. */
class PlacesTest {
  private static Placement shot(String id, String take) {
    return Placement.of(id, take, 10, Framing.FILL);
  }

  /** Three shots: frames 0 to 54, to 102, to 198. */
  private static Film film() {
    return Films.cut(
        List.of(shot("s0", "a0"), shot("s1", "a1"), shot("s2", "a2")),
        List.of(Tie.free(0), Tie.onBeat(4), Tie.onBeat(8), Tie.onBeat(16)));
  }

  private static Film free() {
    return Films.cut(
        List.of(shot("s0", "a0"), shot("s1", "a1"), shot("s2", "a2")),
        List.of(Tie.free(0), Tie.free(50), Tie.free(95), Tie.free(200)));
  }

  private static Places.Piece piece(String id, long length) {
    return new Places.Piece(shot(id, "b0"), length);
  }

  private static Film insert(Film film, int joint, Places.Piece... pieces) {
    return Places.insert(Films.resolved(film), joint, List.of(pieces), "paste").apply(film);
  }

  private static List<String> shots(Film film) {
    return film.placements().stream().map(Placement::id).toList();
  }

  @Test
  void whatIsPutInOnABeatLastsWholeBeats() {
    // 20 frames are nearest to two beats; all behind is two beats later.
    Film after = insert(film(), 1, piece("x", 20));
    assertThat(shots(after)).containsExactly("s0", "x", "s1", "s2");
    assertThat(after.ties())
        .containsExactly(Tie.free(0), Tie.onBeat(4), Tie.onBeat(6), Tie.onBeat(10), Tie.onBeat(18));
    // Less than half a beat still is a shot, of its own length.
    assertThat(insert(film(), 1, piece("x", 5)).ties().get(2)).isEqualTo(Tie.free(59));
    assertThat(insert(film(), 1, piece("x", 7)).ties().get(2)).isEqualTo(Tie.onBeat(5));
  }

  @Test
  void anOffsetFromTheBeatIsKept() {
    Film film =
        Films.cut(
            List.of(shot("s0", "a0"), shot("s1", "a1")),
            List.of(Tie.free(0), new Tie.OnBeat(4, -2), Tie.onBeat(8)));
    Film after = insert(film, 1, piece("x", 24));
    assertThat(after.ties())
        .containsExactly(Tie.free(0), new Tie.OnBeat(4, -2), new Tie.OnBeat(6, -2), Tie.onBeat(10));
  }

  @Test
  void amongFreeCutsItLastsAsLongAsItIs() {
    Film after = insert(free(), 1, piece("x", 20), piece("y", 31));
    assertThat(shots(after)).containsExactly("s0", "x", "y", "s1", "s2");
    assertThat(after.ties())
        .containsExactly(
            Tie.free(0), Tie.free(50), Tie.free(70), Tie.free(101), Tie.free(146), Tie.free(251));
    assertThat(after.placements().get(1).in()).isEqualTo(10);
  }

  @Test
  void atTheStartAndAtTheEnd() {
    assertThat(insert(free(), 0, piece("x", 20)).ties())
        .containsExactly(Tie.free(0), Tie.free(20), Tie.free(70), Tie.free(115), Tie.free(220));
    assertThat(insert(free(), 3, piece("x", 20)).ties())
        .containsExactly(Tie.free(0), Tie.free(50), Tie.free(95), Tie.free(200), Tie.free(220));
    Film empty = insert(Film.EMPTY, 0, piece("x", 18), piece("x", 30));
    assertThat(empty.ties()).containsExactly(Tie.free(0), Tie.onBeat(1), Tie.free(48));
    assertThat(shots(empty)).doesNotHaveDuplicates().hasSize(2);
  }

  @Test
  void whatHasNoPlaceIsRefused() {
    assertThatThrownBy(() -> insert(film(), 4, piece("x", 9))).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> insert(film(), -1, piece("x", 9))).hasMessageContaining("place -1");
    assertThatThrownBy(() -> insert(Film.EMPTY, 1, piece("x", 9))).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> insert(film(), 1)).isInstanceOf(Refused.class);
  }

  private static FilmSound sound(String id, long frame) {
    return new FilmSound(
        id, new SoundMaterial.OfTake("b2", 0, 9), Landing.on(Tie.free(frame)), Manner.PLAIN);
  }

  /** A film with something beside every shot. */
  private static Film accompanied(Film film) {
    Film with = film;
    with = Put.overlay(Overlay.whole(1, shot("o1", "b1"), Tie.free(60), Tie.free(80))).apply(with);
    with =
        Put.overlay(Overlay.whole(1, shot("o2", "b1"), Tie.free(110), Tie.free(120))).apply(with);
    with = Put.sound(sound("d1", 20)).apply(with);
    with = Put.sound(sound("d2", 150)).apply(with);
    return Put.marker(Marker.of("m1", Tie.free(160), "here")).apply(with);
  }

  @Test
  void whatLiesBehindMovesAlongAndWhatLiesBeforeStays() {
    Film film = accompanied(free());
    Film after = Places.insert(Films.resolved(film), 2, List.of(piece("x", 20)), "x").apply(film);
    assertThat(after.overlay("o1").orElseThrow().start()).isEqualTo(Tie.free(60));
    assertThat(after.overlay("o2").orElseThrow().start()).isEqualTo(Tie.free(130));
    assertThat(after.overlay("o2").orElseThrow().end()).isEqualTo(Tie.free(140));
    assertThat(after.sound("d1").orElseThrow().when().at()).isEqualTo(Tie.free(20));
    assertThat(after.sound("d2").orElseThrow().when().at()).isEqualTo(Tie.free(170));
    assertThat(after.marker("m1").orElseThrow().at()).isEqualTo(Tie.free(180));
    Film out = Places.takeOut(Films.resolved(film), 1).apply(film);
    assertThat(out.ties()).containsExactly(Tie.free(0), Tie.free(50), Tie.free(155));
    assertThat(out.overlay("o2").orElseThrow().start()).isEqualTo(Tie.free(65));
    assertThat(out.marker("m1").orElseThrow().at()).isEqualTo(Tie.free(115));
    assertThat(out.sound("d1").orElseThrow().when().at()).isEqualTo(Tie.free(20));
  }

  @Test
  void takingOutClosesUpByWholeBeats() {
    Film after = Places.takeOut(Films.resolved(film()), 1).apply(film());
    assertThat(shots(after)).containsExactly("s0", "s2");
    assertThat(after.ties()).containsExactly(Tie.free(0), Tie.onBeat(4), Tie.onBeat(12));
    // A first shot that begins on frame 0 lasts four and a half beats: four, and the next gives.
    Film first = Places.takeOut(Films.resolved(film()), 0).apply(film());
    assertThat(first.ties().get(0)).isEqualTo(Tie.free(0));
    assertThat(first.ties().get(1)).isIn(Tie.onBeat(3), Tie.onBeat(4));
    Film last = Places.takeOut(Films.resolved(film()), 2).apply(film());
    assertThat(last.ties()).containsExactly(Tie.free(0), Tie.onBeat(4), Tie.onBeat(8));
    Film only = Films.cut(List.of(shot("s0", "a0")), List.of(Tie.free(0), Tie.onBeat(4)));
    Film none = Places.takeOut(Films.resolved(only), 0).apply(only);
    assertThat(none.placements()).isEmpty();
    assertThat(none.joints()).isEmpty();
  }

  @Test
  void aGapStaysWhereAShotWas() {
    Film after = Places.leaveGap(Films.resolved(film()), 1).apply(film());
    assertThat(after.ties()).isEqualTo(film().ties());
    assertThat(after.placements().get(1).hasPicture()).isFalse();
    assertThat(after.placements().get(0).hasPicture()).isTrue();
    assertThatThrownBy(() -> Places.leaveGap(Films.resolved(film()), 3))
        .isInstanceOf(Refused.class);
  }

  @Test
  void aShotIsCarriedWithItsTime() {
    Film later = Places.carry(Films.resolved(free()), 0, 2).apply(free());
    assertThat(shots(later)).containsExactly("s1", "s2", "s0");
    assertThat(later.ties())
        .containsExactly(Tie.free(0), Tie.free(45), Tie.onBeat(12), Tie.free(200));
    Film sooner = Places.carry(Films.resolved(free()), 2, 0).apply(free());
    assertThat(shots(sooner)).containsExactly("s2", "s0", "s1");
    assertThat(sooner.ties())
        .containsExactly(Tie.free(0), Tie.free(105), Tie.free(155), Tie.free(200));
    assertThat(Places.carry(Films.resolved(free()), 1, 1).apply(free())).isEqualTo(free());
    assertThatThrownBy(() -> Places.carry(Films.resolved(free()), 0, 3))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Places.reorder(Films.resolved(free()), 3, 0))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Places.reorder(Films.resolved(free()), 0, 3))
        .isInstanceOf(Refused.class);
  }

  @Test
  void aShotBroughtBackIntoAnEmptyFilmIsSeenWhole() {
    Placement back = shot("x", "b3");
    Film after = Places.share(Films.resolved(Film.EMPTY), back, 0).apply(Film.EMPTY);
    assertThat(after.ties()).containsExactly(Tie.free(0), Tie.free(123));
    // Its first used frame is as late as its half of the time allows.
    Film film = free();
    Film half = Places.share(Films.resolved(film), back.withIn(120), 3).apply(film);
    long at = Films.resolved(half).frame(3);
    assertThat(half.placements().get(3).in()).isEqualTo(123 - (200 - at));
    assertThatThrownBy(() -> Places.share(Films.resolved(film), back, 4))
        .hasMessageContaining("place 4");
    Film tight =
        Films.cut(
            List.of(shot("s0", "a0"), shot("s1", "a1")),
            List.of(Tie.free(0), Tie.free(1), Tie.free(40)));
    assertThatThrownBy(() -> Places.share(Films.resolved(tight), back, 1))
        .hasMessageContaining("single frame");
    // Without a beat between, it begins in the middle.
    Film between = Films.cut(List.of(shot("s0", "a0")), List.of(Tie.free(0), Tie.free(6)));
    assertThat(Places.share(Films.resolved(between), back, 1).apply(between).ties())
        .containsExactly(Tie.free(0), Tie.free(3), Tie.free(6));
  }

  @Test
  void aSoundPartedFromItsPictureSoundsAsBefore() {
    ClipSound heard = new ClipSound(true, 6, 8, -4);
    Film film = free();
    film = SetAspect.of(Aspect.SOUND, "s1", heard).apply(film);
    Film after = Places.detach(Films.resolved(film), 1).apply(film);
    assertThat(after.placements().get(1).heard()).isEqualTo(ClipSound.OFF);
    FilmSound sound = after.sounds().get(0);
    assertThat(sound.what()).isEqualTo(new SoundMaterial.OfTake("a1", 4, 6 + 45 + 8));
    assertThat(sound.when()).isEqualTo(Landing.on(Tie.free(44)));
    assertThat(sound.how().gain()).isEqualTo(-4);
    // One without a lead stays tied to what the cut is tied to.
    Film plain = SetAspect.of(Aspect.SOUND, "s1", new ClipSound(true, 0, 0, 0)).apply(film());
    assertThat(Places.detach(Films.resolved(plain), 1).apply(plain).sounds().get(0).when().at())
        .isEqualTo(Tie.onBeat(4));
    // No more is heard before the picture than the clip has.
    Film long1 = SetAspect.of(Aspect.SOUND, "s1", new ClipSound(true, 30, 0, 0)).apply(free());
    FilmSound first = Places.detach(Films.resolved(long1), 1).apply(long1).sounds().get(0);
    assertThat(first.what()).isEqualTo(new SoundMaterial.OfTake("a1", 0, 55));
    assertThat(first.when().at()).isEqualTo(Tie.free(40));
  }

  @Test
  void layersAreFilledFromTheLowestUp() {
    Film film = film();
    for (int i = 0; i < Overlay.LAYERS; i++) {
      Edit lay =
          Layers.layOver(Films.resolved(film), shot("o", "b1"), Tie.free(20 + i), Tie.free(40));
      film = lay.apply(film);
      assertThat(film.overlays().get(i).layer()).isEqualTo(i + 1);
    }
    Film full = film;
    assertThat(full.overlays()).extracting(Overlay::name).doesNotHaveDuplicates();
    assertThatThrownBy(
            () -> Layers.layOver(Films.resolved(full), shot("o", "b1"), Tie.free(39), Tie.free(60)))
        .hasMessageContaining("All layers");
    Film beside =
        Layers.layOver(Films.resolved(full), shot("o", "b1"), Tie.free(40), Tie.free(60))
            .apply(full);
    assertThat(beside.overlays()).filteredOn(o -> o.layer() == 1).hasSize(2);
    for (Tie end : List.of(Tie.free(20), Tie.free(19))) {
      assertThatThrownBy(
              () -> Layers.layOver(Films.resolved(full), shot("o", "b1"), Tie.free(20), end))
          .hasMessageContaining("ends after it starts");
    }
    assertThatThrownBy(
            () -> Layers.layOver(Films.resolved(full), shot("o", "b1"), Tie.free(-1), Tie.free(20)))
        .isInstanceOf(Refused.class);
    assertThat(Layers.layOver(Films.resolved(full), shot("o", "b1"), Tie.free(0), Tie.free(9)))
        .isNotNull();
    // One is changed where it lies, but not onto another.
    Overlay second = full.overlays().get(1);
    Overlay moved = second.withTies(new Overlay.Ties(Tie.free(25), Tie.free(50)));
    assertThat(Layers.change(Films.resolved(full), moved).apply(full).overlays().get(1))
        .isEqualTo(moved);
    Overlay onto = second.withLayer(1);
    assertThatThrownBy(() -> Layers.change(Films.resolved(full), onto))
        .hasMessageContaining("layer 1");
    Film both = Put.overlay(onto).apply(full);
    assertThatThrownBy(() -> Layers.checkClear(Films.resolved(both)))
        .hasMessageContaining("over one another on layer 1");
    Layers.checkClear(Films.resolved(full));
  }
}
