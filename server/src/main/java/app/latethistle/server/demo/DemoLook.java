package app.latethistle.server.demo;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Hits;
import app.latethistle.core.film.Joins;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.plan.FramingProposal;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.film.FilmState;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How the demo's first cut looks: dissolves where the music turns and half-way to there, slow
 * pushes in on the shots that last longest.
 */
final class DemoLook {
  /** Shots over which the camera moves. */
  private static final int MOVED = 4;

  /** Cuts that are tried for a turn, the nearest first. */
  private static final int NEAR = 4;

  /** Lengths that are tried, in quarters of a beat, the longest first. */
  private static final List<Integer> SPANS = List.of(4, 2, 1);

  private static final Treatment GLOW =
      Treatment.of(
          TreatmentKind.GLOW,
          Dial.driven(15, Drive.on(Drive.Source.BEATS, 90, 450)),
          Dial.at(35),
          Dial.at(45));
  private static final Treatment JOLT =
      Treatment.of(
          TreatmentKind.SHAKE,
          Dial.driven(0, Drive.on(Drive.Source.DOWNBEATS, 14, 700)),
          Dial.at(60));

  private DemoLook() {}

  /**
   * A film that dissolves where its music turns, whose longest shots move, and of which two shots
   * follow the beats.
   */
  static Film of(FilmState state) {
    Resolved joined = state.resolved().with(joined(state));
    return treated(joined.with(moved(joined)), state);
  }

  /** The shot with most beats glows on them; that of the last turn is jolted on its bars. */
  private static Film treated(Resolved film, FilmState state) {
    Hits hits = new Hits(film);
    List<Placement> shots =
        film.film().placements().stream().filter(Placement::hasPicture).toList();
    List<Long> turns = turns(state);
    if (hits.of(Drive.Source.BEATS).isEmpty() || shots.size() < 2 || turns.isEmpty()) {
      return film.film();
    }
    Placement lit =
        Collections.max(shots, Comparator.comparingInt(p -> beatsIn(hits, film.rangeOf(p.id()))));
    long last = turns.get(turns.size() - 1);
    Placement jolted =
        Collections.min(
            shots.stream().filter(p -> !p.equals(lit)).toList(),
            Comparator.comparingLong(p -> Math.abs(film.rangeOf(p.id()).start() - last)));
    return SetAspect.of(
            Aspect.TREATMENTS,
            Map.of(lit.id(), Treatments.of(GLOW), jolted.id(), Treatments.of(JOLT)))
        .apply(film.film());
  }

  private static int beatsIn(Hits hits, FrameRange range) {
    return hits.of(Drive.Source.BEATS).subSet(range.start(), range.end()).size();
  }

  /** Nearest to each turn the longest dissolve for which its two shots have material. */
  private static Film joined(FilmState state) {
    Resolved film = state.resolved();
    for (long turn : turns(state)) {
      List<Integer> near =
          IntStream.range(1, film.film().placements().size())
              .boxed()
              .sorted(
                  Comparator.comparingLong(j -> Math.abs(state.cutting().frames().get(j) - turn)))
              .limit(NEAR)
              .toList();
      for (int joint : near) {
        Optional<Resolved> after = joined(film, joint);
        if (after.isPresent()) {
          film = after.get();
          break;
        }
      }
    }
    return film.film();
  }

  private static Optional<Resolved> joined(Resolved film, int joint) {
    for (int span : SPANS) {
      for (Transition.Lies lies : Transition.Lies.values()) {
        Transition how =
            Transition.of(TransitionKind.DISSOLVE, Span.quarterBeats(span)).lying(lies);
        Resolved after = film.with(Joins.set(film, List.of(joint), how).apply(film.film()));
        if (after.cutting().problems().equals(film.cutting().problems())) {
          return Optional.of(after);
        }
      }
    }
    return Optional.empty();
  }

  /** Where a section of the song begins inside the film, and half-way from one to the next. */
  private static List<Long> turns(FilmState state) {
    long end = state.cutting().length();
    List<Long> borders = new ArrayList<>(List.of(0L));
    state.sections().stream().filter(frame -> frame > 0 && frame < end).forEach(borders::add);
    borders.add(end);
    List<Long> turns = new ArrayList<>();
    for (int i = 0; i + 1 < borders.size(); i++) {
      if (i > 0) {
        turns.add(borders.get(i));
      }
      turns.add((borders.get(i) + borders.get(i + 1)) / 2);
    }
    return turns;
  }

  /** The camera pushes in on the shots that last longest. */
  private static Film moved(Resolved film) {
    Map<String, ShapedFraming> moves = new LinkedHashMap<>();
    film.film().placements().stream()
        .filter(Placement::hasPicture)
        .sorted(Comparator.comparingLong((Placement p) -> film.rangeOf(p.id()).length()).reversed())
        .limit(MOVED)
        .forEach(
            shot -> {
              Take take = film.takes().get(shot.take());
              FrameRange range = film.rangeOf(shot.id());
              double seconds = film.rate().secondsOf(range.length());
              FramingProposal.of(CameraMove.PUSH_IN, seconds, take.shape(), take.shape().aspect())
                  .ifPresent(
                      path -> moves.put(shot.id(), shot.framing().withOwn(Framing.along(path))));
            });
    return moves.isEmpty() ? film.film() : SetAspect.of(Aspect.FRAMING, moves).apply(film.film());
  }
}
