package app.latethistle.core.film;

import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Ways out where a transition shows more of a shot than its take has, or is crowded. Each was tried
 * before it is offered: after it that transition lacks nothing, and no shot lacks what it had.
 */
public final class HandleRemedies {
  private final Resolved film;
  private final int joint;
  private final boolean atEnd;
  private final int place;

  private HandleRemedies(Resolved film, Cutting.Problem problem) {
    this.film = film;
    atEnd = problem.kind() != Cutting.Kind.STARTS_SHORT;
    place = problem.place();
    joint = atEnd ? place + 1 : place;
  }

  /** Whether a problem is one of transitions. */
  public static boolean concerns(Cutting.Kind kind) {
    return kind == Cutting.Kind.ENDS_SHORT
        || kind == Cutting.Kind.STARTS_SHORT
        || kind == Cutting.Kind.TRANSITION_CROWDED;
  }

  /**
   * The ways out, those that change least first.
   *
   * @param others other takes of the shot that may be used, those a person would choose first first
   * @param framing how a take is framed unless a person says otherwise
   */
  public static List<Remedy> of(
      Resolved film, Cutting.Problem problem, List<Take> others, Function<Take, Framing> framing) {
    HandleRemedies search = new HandleRemedies(film, problem);
    List<Remedy> all = new ArrayList<>();
    if (problem.kind() != Cutting.Kind.TRANSITION_CROWDED) {
      search.slip().ifPresent(all::add);
      search.offCentre().ifPresent(all::add);
    }
    search.shorten().ifPresent(all::add);
    if (problem.kind() != Cutting.Kind.TRANSITION_CROWDED) {
      all.add(search.hold(problem.frames()));
      search.take(others, framing).ifPresent(all::add);
    }
    return all;
  }

  private Transition how() {
    return film.film().joints().get(joint).transition();
  }

  private Edit set(Transition other) {
    return SetAspect.of(Aspect.TRANSITION, film.film().jointName(joint), other);
  }

  private long lacking() {
    Overlap overlap = film.cutting().overlaps().get(joint);
    return atEnd ? overlap.endsShort() : overlap.startsShort();
  }

  /** Whether after an edit the transition lacks nothing and nothing else is worse. */
  private boolean mends(Edit edit) {
    Cutting after = film.with(edit.apply(film.film())).cutting();
    Overlap overlap = after.overlaps().get(joint);
    return overlap.endsShort() == 0
        && overlap.startsShort() == 0
        && !overlap.isCrowded()
        && after.problems().size() < film.cutting().problems().size();
  }

  private Optional<Remedy> offer(Remedy.Kind kind, String take, long frames, Edit edit) {
    return mends(edit) ? Optional.of(new Remedy(kind, take, frames, 0, 0, edit)) : Optional.empty();
  }

  /** Shows the take from an earlier frame on, or a later one, by what is lacking. */
  private Optional<Remedy> slip() {
    String id = film.film().placementAt(place).id();
    FrameRange shown = film.shown(id);
    long by = atEnd ? -lacking() : lacking();
    return shown.start() + by < 0
        ? Optional.empty()
        : offer(Remedy.Kind.SLIP, "", -by, Sources.slip(film, id, shown.start() + by));
  }

  /** Lays it to the other side of the joint's moment. */
  private Optional<Remedy> offCentre() {
    Transition.Lies lies = atEnd ? Transition.Lies.END : Transition.Lies.START;
    return how().lies() == lies
        ? Optional.empty()
        : offer(Remedy.Kind.OFF_CENTRE, "", 0, set(how().lying(lies)));
  }

  /** As long as both shots last it. */
  private Optional<Remedy> shorten() {
    long least = 0;
    long most = film.cutting().overlaps().get(joint).frames().length();
    while (least < most) {
      long length = (least + most + 1) / 2;
      if (mends(set(how().withSpan(Span.frames(length))))) {
        least = length;
      } else {
        most = length - 1;
      }
    }
    return least == 0
        ? Optional.empty()
        : offer(Remedy.Kind.SHORTEN, "", least, set(how().withSpan(Span.frames(least))));
  }

  /** Lets the shot stand still. */
  private Remedy hold(long frames) {
    return new Remedy(Remedy.Kind.HOLD, "", frames, 0, 0, set(how().holding(true)));
  }

  /** Shows another take, which lasts it. */
  private Optional<Remedy> take(List<Take> others, Function<Take, Framing> framing) {
    String id = film.film().placementAt(place).id();
    return others.stream()
        .map(
            t ->
                offer(
                    Remedy.Kind.TAKE,
                    t.id(),
                    t.frames(),
                    Sources.choose(film, id, t, framing.apply(t))))
        .flatMap(Optional::stream)
        .findFirst();
  }
}
