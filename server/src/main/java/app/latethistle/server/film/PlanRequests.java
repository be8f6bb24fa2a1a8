package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Transition;
import app.latethistle.core.plan.CutPlanner;
import app.latethistle.core.plan.OrderedCut;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.plan.PoolCut;
import app.latethistle.core.plan.Traits;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.Song;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Puts together what the cut planners are asked for. */
@Component
class PlanRequests {
  private final Shots shots;
  private final Takes takes;
  private final ShotTraits traits;
  private final OrderedCut inOrder = new OrderedCut();
  private final PoolCut inAnyOrder = new PoolCut();

  PlanRequests(Shots shots, Takes takes, ShotTraits traits) {
    this.shots = shots;
    this.takes = takes;
    this.traits = traits;
  }

  /** The planner that keeps the order, or the one that chooses it. */
  CutPlanner planner(boolean pool) {
    return pool ? inAnyOrder : inOrder;
  }

  /**
   * What is asked of a planner for a film: its shots and its clocks.
   *
   * <p>Without beats cuts are free, or before phrases, and the pace is the one that was drawn.
   *
   * @param everything whether shots outside the film come in
   */
  CutPlanner.Request request(FilmState state, boolean everything, boolean pool) {
    VoiceClock lines = state.steadyVoice();
    long length = wantedFrames(state);
    Song song = state.song().orElse(null);
    CutPlanner.Music music =
        song == null
            ? CutPlanner.Music.none(state.production().rate(), length, state.production().pace())
            : new CutPlanner.Music(
                state.grid(),
                song.sections(),
                song.moments(),
                state.film().music().start(),
                song.pace());
    return new CutPlanner.Request(
        known(wanted(state, everything), state, pool),
        music,
        lines,
        state.production().rate(),
        length,
        Pace.EVEN);
  }

  /** The wanted length, at most what the song has left. */
  private static long wantedFrames(FilmState state) {
    double song =
        state
            .song()
            .map(
                s -> s.medium().facts().seconds() - Samples.toSeconds(state.film().music().start()))
            .orElse(Double.MAX_VALUE);
    return state
        .production()
        .rate()
        .framesIn(Math.min(state.production().targetSeconds(), Math.max(0, song)));
  }

  /** The shots of a cut in their order. */
  List<CutPlanner.Wanted> wanted(FilmState state, boolean everything) {
    List<CutPlanner.Wanted> wanted = new ArrayList<>();
    Film film = state.film();
    Map<String, String> speakers = state.speakers();
    for (int i = 0; i < film.placements().size(); i++) {
      Placement placement = film.placements().get(i);
      Take take = state.takes().get(placement.take());
      if (take != null) {
        // What its transitions show beyond its own frames is kept to spare.
        long spare = Math.max(reserved(state, i), reserved(state, i + 1));
        CutPlanner.Wanted shot = asWanted(placement, state, speakers).sparing(spare);
        wanted.add(
            placement.locked()
                ? shot.fixedAt(
                    new CutPlanner.Fixed(
                        state.cutting().rangeOf(i), film.ties().get(i), film.ties().get(i + 1)))
                : shot);
      }
    }
    if (everything) {
      List<Shot> outside = outside(state);
      for (Shot shot : outside) {
        placement(state, shot)
            .ifPresent(p -> wanted.add(slot(wanted, shot), asWanted(p, state, speakers)));
      }
    }
    return wanted;
  }

  /** Frames that a joint's transition shows of either shot beyond its cut, at most. */
  private static long reserved(FilmState state, int joint) {
    long all = state.cutting().overlaps().get(joint).wanted();
    boolean middle = state.film().joints().get(joint).transition().lies() == Transition.Lies.MIDDLE;
    return middle ? (all + 1) / 2 : all;
  }

  /** The same with what was measured of their takes; what they look like only matters in a pool. */
  private List<CutPlanner.Wanted> known(
      List<CutPlanner.Wanted> wanted, FilmState state, boolean pool) {
    FrameRate rate = state.production().rate();
    Map<String, TakeEntry> entries = takes.byFilmId(state.production().id());
    List<TakeEntry> used = wanted.stream().map(w -> entries.get(w.placement().take())).toList();
    Map<String, Traits> known = pool ? traits.of(used, rate) : Map.of();
    return wanted.stream()
        .map(
            w ->
                w.within(ShotTraits.usable(entries.get(w.placement().take()), rate))
                    .looking(known.getOrDefault(w.placement().take(), Traits.NONE)))
        .toList();
  }

  private static CutPlanner.Wanted asWanted(
      Placement placement, FilmState state, Map<String, String> speakers) {
    return CutPlanner.Wanted.of(placement, state.takes().get(placement.take()).frames())
        .saying(state.saidWith(placement.shot()))
        .spokenOf(
            Optional.ofNullable(speakers.get(placement.shot())).map(Set::of).orElse(Set.of()));
  }

  /** After the last shot of the film whose number comes before this one's. */
  int slot(List<CutPlanner.Wanted> wanted, Shot shot) {
    for (int i = wanted.size() - 1; i >= 0; i--) {
      Optional<Shot> before = shots.findById(Long.valueOf(wanted.get(i).placement().shot()));
      if (before.isPresent() && Gathering.ORDER.compare(before.get().key(), shot.key()) < 0) {
        return i + 1;
      }
    }
    return 0;
  }

  /** Shots that are not in the film, in order. */
  List<Shot> outside(FilmState state) {
    return shots.findByProductionIdOrderById(state.production().id()).stream()
        .filter(shot -> !state.film().shows(Long.toString(shot.id())))
        .sorted(Comparator.comparing(Shot::key, Gathering.ORDER))
        .toList();
  }

  /** A shot with its pick, if that is ready. */
  static Optional<Placement> placement(FilmState state, Shot shot) {
    if (shot.pickId() == null) {
      return Optional.empty();
    }
    Take pick = state.takes().get(Long.toString(shot.pickId()));
    if (pick == null) {
      return Optional.empty();
    }
    return Optional.of(Placement.of(Long.toString(shot.id()), pick.id(), 0, state.framingOf(pick)));
  }
}
