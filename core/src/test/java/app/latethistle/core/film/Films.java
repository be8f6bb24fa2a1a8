package app.latethistle.core.film;

import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Films and edits for tests, from a seed. */
public final class Films {
  public static final FrameRate RATE = FrameRate.FPS_24;
  public static final BeatGrid GRID = BeatGrid.even(120, 0.25, 240, 4);

  /** A song of five bars, which most films outlast. */
  static final BeatGrid SHORT = BeatGrid.even(120, 0.25, 20, 4);

  private Films() {}

  /** Takes "a0" to "a9" and "b0" to "b9" of 120 to 129 frames. */
  public static Map<String, Take> takes() {
    Map<String, Take> takes = new HashMap<>();
    for (int i = 0; i < 10; i++) {
      takes.put("a" + i, take("a" + i, 120 + i));
      takes.put("b" + i, take("b" + i, 120 + i));
    }
    return takes;
  }

  /** A film resolved on the grid. */
  public static Resolved resolved(Film film) {
    return resolved(film, GRID);
  }

  /** A film resolved on a grid. */
  static Resolved resolved(Film film, BeatGrid grid) {
    return Resolved.of(film, Clocks.of(grid), RATE, takes());
  }

  /** The same with marks in takes, by their ids. */
  public static Resolved marked(Resolved film, Map<String, Box> marks) {
    Map<String, Take> takes = new HashMap<>(film.takes());
    marks.forEach((id, mark) -> takes.put(id, takes.get(id).withMarks(List.of(mark))));
    return Resolved.of(film.film(), film.clocks(), film.rate(), takes);
  }

  private static Take take(String id, long frames) {
    return new Take(id, "media-" + id, frames, PictureShape.of(1280, 720));
  }

  /** A film of 1 to 8 shots, cut on beats four apart with some free cuts among them. */
  public static Film film(Random random) {
    return film(random, GRID);
  }

  /** A film whose cuts past the last beat of a grid are free. */
  static Film film(Random random, BeatGrid grid) {
    int n = 1 + random.nextInt(8);
    List<Placement> placements = new ArrayList<>();
    List<Tie> joints = new ArrayList<>();
    joints.add(Tie.free(0));
    for (int i = 0; i < n; i++) {
      placements.add(
          Placement.of("s" + i, "a" + i, random.nextInt(40), Framing.FILL)
              .withLocked(random.nextInt(4) == 0));
      int beat = 4 * (i + 1);
      long frame = Cutting.frameOfBeat(beat, SongUse.PLAIN, GRID, RATE);
      boolean free = random.nextInt(4) == 0;
      boolean past = beat >= grid.size();
      joints.add(free ? Tie.free(frame + 3) : past ? Tie.free(frame) : Tie.onBeat(beat));
    }
    return cut(placements, joints).withFinish(Finish.NONE.withEnd(new EndFade(random.nextInt(30))));
  }

  /** A film of a cut alone. */
  public static Film cut(List<Placement> placements, List<Tie> ties) {
    return Film.cut(placements, ties.stream().map(Joint::of).toList());
  }

  /** An edit that fits the film. */
  public static Edit edit(Film film, Random random) {
    int n = film.placements().size();
    if (n == 0) {
      return new Replace(film(random), "make the first cut");
    }
    int place = random.nextInt(n);
    String id = film.placements().get(place).id();
    String cut = film.jointName(1 + random.nextInt(n));
    Resolved now = resolved(film);
    return switch (random.nextInt(12)) {
      case 0 -> SetAspect.of(Aspect.TIE, cut, Tie.onBeat(random.nextInt(100)));
      case 1 -> SetAspect.of(Aspect.TIE, cut, Tie.free(random.nextInt(900)));
      case 2 -> slip(film, place, random.nextInt(100));
      case 3 ->
          SetAspect.of(Aspect.SOURCE, id, new Material.Source("b" + random.nextInt(10), 5))
              .called("choose a take");
      case 4 -> frame(film, place, random.nextBoolean() ? Framing.FIT : Framing.SOFT);
      case 5 -> lock(film, place, random.nextBoolean());
      case 6 -> Places.reorder(now, place, random.nextInt(n));
      case 7 -> Places.giveToNeighbour(now, place);
      case 8 -> SetAspect.of(Aspect.MUSIC, "", new SongUse(random.nextInt(96_000)));
      case 9 -> SetAspect.of(Aspect.RUN, id, run(random));
      case 10 ->
          SetAspect.of(Aspect.FINISH, "", Finish.NONE.withEnd(new EndFade(random.nextInt(60))));
      default -> bringBack(now, random);
    };
  }

  /** Shows a shot's take from another frame on. */
  static Edit slip(Film film, int place, long in) {
    Placement shot = film.placementAt(place);
    return SetAspect.of(Aspect.SOURCE, shot.id(), new Material.Source(shot.take(), in));
  }

  /** Locks a shot or lets it go. */
  static Edit lock(Film film, int place, boolean locked) {
    return SetAspect.of(Aspect.LOCK, film.placementAt(place).id(), locked);
  }

  /** Frames a shot in every shape. */
  static Edit frame(Film film, int place, Framing framing) {
    return SetAspect.of(Aspect.FRAMING, film.placementAt(place).id(), ShapedFraming.of(framing));
  }

  /** Ties a joint to another moment. */
  static Edit tie(Film film, int joint, Tie tie) {
    return SetAspect.of(Aspect.TIE, film.jointName(joint), tie);
  }

  /** Some way to run. */
  /** A film whose shots run in several ways, resolved. */
  static Resolved running(Random random) {
    Film film = film(random);
    for (Placement shot : film.placements()) {
      if (random.nextInt(3) > 0) {
        film = SetAspect.of(Aspect.RUN, shot.id(), run(random)).apply(film);
      }
    }
    return resolved(film);
  }

  static Run run(Random random) {
    return new Run(
        List.of(Run.Way.values()).get(random.nextInt(4)),
        25 + random.nextInt(376),
        25 + random.nextInt(376),
        List.of(Run.Between.values()).get(random.nextInt(3)));
  }

  private static Edit bringBack(Resolved film, Random random) {
    Placement back = Placement.of("x" + random.nextInt(1000), "b3", 4, Framing.SOFT);
    try {
      return Places.share(film, back, random.nextInt(film.film().placements().size() + 1));
    } catch (IllegalArgumentException e) {
      return lock(film.film(), 0, true);
    }
  }
}
