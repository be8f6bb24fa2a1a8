package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Sessions of edits, made as the application makes them: worked out on the resolved film, refused
 * where they do not fit or would touch what is locked. 40 batches of 250 sequences of 12 edits.
 */
class EditSessionTest {
  private static final int SEQUENCES = 250;
  private static final int EDITS = 12;

  /** An edit with what it promises of the film's length: how much longer, at least and at most. */
  private record Promise(Edit edit, long least, long most) {
    static Promise exact(Edit edit, long longer) {
      return new Promise(edit, longer, longer);
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void whatEverySessionKeeps(long batch) {
    int made = 0;
    for (int s = 0; s < SEQUENCES; s++) {
      // Every fourth film outlasts its song.
      Random random = new Random(batch * SEQUENCES + s);
      made += session(random, s % 4 == 0 ? Films.SHORT : Films.GRID);
    }
    // Most edits must have been possible, or this has shown nothing.
    assertThat(made).isGreaterThan(SEQUENCES * EDITS / 2);
  }

  private static int session(Random random, BeatGrid grid) {
    Film start = Films.film(random, grid);
    EditLog log = EditLog.of(start);
    int made = 0;
    for (int i = 0; i < EDITS; i++) {
      Resolved before = Films.resolved(log.film(), grid);
      Promise promise;
      Resolved after;
      try {
        promise = promise(before, random);
        after = before.with(promise.edit().apply(log.film()));
        Safeguard.hold(before, after);
      } catch (IllegalArgumentException e) {
        assertThat(e.getMessage()).endsWith(".");
        continue;
      }
      String what = promise.edit().label() + " on " + before.film();
      soundly(after, what);
      assertThat(after.cutting().length() - before.cutting().length())
          .as(what)
          .isBetween(promise.least(), promise.most());
      assertThat(promise.edit().inverse(log.film()).apply(after.film()))
          .as(what)
          .isEqualTo(log.film());
      lockedStay(before, after, promise.edit(), what);
      log = log.apply(promise.edit());
      made++;
    }
    while (!log.undoLabel().isEmpty()) {
      log = log.undo();
    }
    assertThat(log.film()).isEqualTo(start);
    return made;
  }

  /**
   * No shot without a frame, none over another, no two overlays of a layer at once, no two names.
   */
  private static void soundly(Resolved film, String what) {
    List<Long> frames = film.cutting().frames();
    for (int j = 1; j < frames.size(); j++) {
      assertThat(frames.get(j)).as(what).isGreaterThan(frames.get(j - 1));
    }
    List<Overlay> overlays = film.film().overlays();
    for (int i = 0; i < overlays.size(); i++) {
      FrameRange a = film.cutting().beside().overlays().get(overlays.get(i).name());
      for (Overlay other : overlays.subList(i + 1, overlays.size())) {
        FrameRange b = film.cutting().beside().overlays().get(other.name());
        boolean apart = a.end() <= b.start() || b.end() <= a.start();
        assertThat(apart || other.layer() != overlays.get(i).layer()).as(what).isTrue();
      }
    }
    List<String> names =
        new ArrayList<>(film.film().placements().stream().map(Placement::id).toList());
    overlays.forEach(o -> names.add(o.name()));
    film.film().sounds().forEach(s -> names.add(s.id()));
    film.film().markers().forEach(m -> names.add(m.id()));
    assertThat(names).as(what).doesNotHaveDuplicates();
  }

  private static void lockedStay(Resolved before, Resolved after, Edit edit, String what) {
    for (int i = 0; i < before.film().placements().size(); i++) {
      Placement shot = before.film().placements().get(i);
      boolean unlocked =
          edit instanceof SetAspect<?, ?> set
              && set.aspect() == Aspect.LOCK
              && Boolean.FALSE.equals(set.values().get(shot.id()));
      if (shot.locked() && !unlocked) {
        int now = after.film().indexOfId(shot.id());
        assertThat(now).as(what).isNotNegative();
        assertThat(after.range(now)).as(what).isEqualTo(before.range(i));
      }
    }
  }

  private static Promise promise(Resolved film, Random random) {
    int n = film.film().placements().size();
    if (n == 0) {
      Edit made = Places.insert(film, 0, pieces(random), "paste");
      return new Promise(made, 1, Long.MAX_VALUE);
    }
    int place = random.nextInt(n);
    long length = film.range(place).length();
    long by = random.nextLong(31) - 15;
    return switch (random.nextInt(18)) {
      case 0 ->
          Promise.exact(Trims.rippleEnd(film, place, Tie.free(film.range(place).end() + by)), by);
      case 1 ->
          Promise.exact(
              Trims.rippleStart(film, place, Tie.free(film.range(place).start() + by)), -by);
      case 2 ->
          Promise.exact(Trims.roll(film, place, film.tieAt(film.range(place).start() + by)), 0);
      case 3 ->
          Promise.exact(Trims.slide(film, place, film.tieAt(film.range(place).start() + by)), 0);
      case 4 ->
          Promise.exact(
              Trims.split(film, place, film.tieAt(film.range(place).start() + 1 + Math.abs(by))),
              0);
      case 5 -> Promise.exact(Places.leaveGap(film, place), 0);
      case 6 -> Promise.exact(Places.carry(film, place, random.nextInt(n)), 0);
      case 7 -> Promise.exact(Places.detach(film, place), 0);
      case 8 ->
          Promise.exact(
              Sources.run(film, film.film().placementAt(place).id(), Films.run(random)), 0);
      case 9 -> Promise.exact(Films.lock(film.film(), place, random.nextBoolean()), 0);
      case 10 -> Promise.exact(Films.slip(film.film(), place, random.nextInt(60)), 0);
      case 11 ->
          Promise.exact(
              Layers.layOver(
                  film,
                  film.film().placementAt(place),
                  film.film().ties().get(place),
                  film.tieAt(film.range(place).end())),
              0);
      case 12 ->
          Promise.exact(Put.marker(Marker.of(film.film().freshId("m"), Tie.onBeat(9), "")), 0);
      case 13 ->
          Promise.exact(
              SetAspect.of(
                  Aspect.GROUP,
                  film.film().placements().subList(0, place + 1).stream()
                      .collect(Collectors.toMap(Placement::id, p -> 3))),
              0);
      // What follows keeps to whole beats: half a beat, 6 frames, and rounding.
      case 14 -> new Promise(Places.takeOut(film, place), -length - 7, -length + 7);
      case 15 -> insertion(film, random);
      case 16 -> rippleBeats(film, place, random.nextInt(9) - 4);
      default -> stretch(film, place, Films.run(random).withWay(Run.Way.FORWARD));
    };
  }

  private static Promise insertion(Resolved film, Random random) {
    List<Places.Piece> pieces = pieces(random);
    long sum = pieces.stream().mapToLong(Places.Piece::length).sum();
    int joint = random.nextInt(film.film().joints().size());
    Edit insert = Places.insert(film, joint, pieces, "insert a shot");
    // On a beat it lasts whole beats: half a beat, 6 frames, and rounding.
    return new Promise(insert, sum - 7, sum + 7);
  }

  private static Promise rippleBeats(Resolved film, int place, int beats) {
    Tie end = film.film().ties().get(place + 1);
    Tie to = end instanceof Tie.OnBeat on ? new Tie.OnBeat(on.beat() + beats, on.offset()) : end;
    long longer = film.frameOrRefuse(to) - film.range(place).end();
    // Beats are not all as many frames long, so whole beats may be a frame longer or shorter.
    return new Promise(Trims.rippleEnd(film, place, to), longer - 1, longer + 1);
  }

  private static Promise stretch(Resolved film, int place, Run run) {
    long length = film.range(place).length();
    double shown = film.film().placementAt(place).run().covered(length);
    long wanted = Math.max(1, Math.round(shown * 200.0 / (run.from() + run.to())));
    // If its new end falls on a beat, what follows keeps to whole beats.
    return new Promise(Trims.stretch(film, place, run), wanted - length - 7, wanted - length + 7);
  }

  private static List<Places.Piece> pieces(Random random) {
    List<Places.Piece> pieces = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(3); i++) {
      Placement shot = Placement.of("s" + i, "b" + i, 4, Framing.FIT);
      pieces.add(new Places.Piece(shot, 10 + random.nextInt(40)));
    }
    return pieces;
  }
}
