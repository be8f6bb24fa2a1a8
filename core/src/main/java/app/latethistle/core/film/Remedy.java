package app.latethistle.core.film;

import app.latethistle.core.look.Framing;
import app.latethistle.core.take.Take;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * A way out for a shot that is longer than its material, or apart from the line that speaks of it.
 *
 * @param kind what is done
 * @param take the other take that is used, or ""
 * @param frames what it is about: for {@code SLIP} how many frames sooner the take is shown (later
 *     if negative), for {@code FILL} how far into the shot the cut is, for {@code BACK_AND_FORTH}
 *     after how many it turns, for {@code TAKE} how long the other take is, for {@code END_SOONER}
 *     how many are given up, for {@code SHORTEN} how long the transition is then, for {@code HOLD}
 *     how long the shot stands still, for {@code WAIT} and {@code CUT_SOONER} by how many the line
 *     or the cut moves; else 0
 * @param missing frames that are still missing after it
 * @param speed the new speed in percent, for {@code SLOW}; else 0
 * @param edit that does it
 */
public record Remedy(Kind kind, String take, long frames, long missing, int speed, Edit edit) {
  /**
   * Slower than this, in percent, a shot is not offered to be slowed: common practice, no source.
   */
  private static final int SLOWEST = 50;

  /** What is done, those that change least first. */
  public enum Kind {
    /** Shows the take from an earlier frame on. */
    SLIP,
    /** Shows another take, which is long enough. */
    TAKE,
    /** Runs slower, with pictures drawn between along the motion. */
    SLOW,
    /** Runs back when the take ends. */
    BACK_AND_FORTH,
    /** Ends sooner; the next shot takes the time. */
    END_SOONER,
    /** Cuts to another take inside the shot. */
    FILL,
    /** The transition lies to one side of its moment. */
    OFF_CENTRE,
    /** The transition is as short as both its shots last it. */
    SHORTEN,
    /** The shot stands still while the transition shows more of it than there is. */
    HOLD,
    /** The line waits for its shot; nothing else moves. */
    WAIT,
    /** The shot before ends when the line begins. */
    CUT_SOONER,
    /** The shot comes to where its line is spoken, with its time. */
    CARRY
  }

  /**
   * The ways out for a shot of the cut.
   *
   * @param others other takes of the shot that may be used, those a person would choose first first
   * @param framing how a take is framed unless a person says otherwise
   */
  public static List<Remedy> of(
      Resolved film, int place, List<Take> others, Function<Take, Framing> framing) {
    return new Search(film, place, others, framing).all();
  }

  /** What the ways out are worked out from. */
  private record Search(
      Resolved film, int place, List<Take> others, Function<Take, Framing> framing) {

    List<Remedy> all() {
      List<Remedy> all = new ArrayList<>();
      slip(all);
      take(all);
      if (shot().run().way() == Run.Way.FORWARD) {
        slow(all);
        backAndForth(all);
      }
      endSooner(all);
      fill(all);
      return all;
    }

    private Placement shot() {
      return film.film().placementAt(place);
    }

    private long length() {
      return film.range(place).length();
    }

    /** The first of the take's frames that is shown. */
    private long first() {
      return Math.max(0, film.shown(shot().id()).start());
    }

    /** How many frames the take has from the first that is shown. */
    private long has() {
      Take take = film.takes().get(shot().take());
      return take == null ? 0 : take.frames() - first();
    }

    private long missing() {
      Take take = film.takes().get(shot().take());
      return take == null ? length() : shot().run().missing(shot().in(), take.frames(), length());
    }

    private void slip(List<Remedy> all) {
      long by = Math.min(first(), missing());
      if (by > 0) {
        Edit edit = Sources.slip(film, shot().id(), first() - by);
        all.add(new Remedy(Kind.SLIP, "", by, missing() - by, 0, edit));
      }
    }

    private void take(List<Remedy> all) {
      long used = film.shown(shot().id()).length();
      others.stream()
          .filter(t -> t.frames() >= used)
          .findFirst()
          .ifPresent(
              t -> {
                Edit edit = Sources.choose(film, shot().id(), t, framing.apply(t));
                all.add(new Remedy(Kind.TAKE, t.id(), t.frames(), 0, 0, edit));
              });
    }

    private void slow(List<Remedy> all) {
      Run run = shot().run();
      long used = film.shown(shot().id()).length();
      int slow = (int) Math.floor(run.mean() * (has() - 1) / Math.max(1, used - 1));
      if (slow >= SLOWEST) {
        Run slower = new Run(Run.Way.FORWARD, slow, slow, Run.Between.MOTION);
        all.add(new Remedy(Kind.SLOW, "", 0, 0, slow, Sources.run(film, shot().id(), slower)));
      }
    }

    private void backAndForth(List<Remedy> all) {
      Run run = shot().run();
      Run back = new Run(Run.Way.BACK_AND_FORTH, run.from(), run.to(), run.between());
      long turns = Math.max(0, Math.min(has(), length()));
      Edit edit = Sources.run(film, shot().id(), back);
      all.add(new Remedy(Kind.BACK_AND_FORTH, "", turns, 0, 0, edit));
    }

    private void endSooner(List<Remedy> all) {
      long missing = missing();
      if (missing < length()) {
        Tie sooner = Tie.free(film.frame(place + 1) - missing);
        Edit edit = SetAspect.of(Aspect.TIE, film.film().jointName(place + 1), sooner);
        all.add(new Remedy(Kind.END_SOONER, "", missing, 0, 0, edit));
      }
    }

    private void fill(List<Remedy> all) {
      long has = has();
      if (others.isEmpty() || has <= 1 || has >= length()) {
        return;
      }
      Take other = others.get(0);
      Edit split = Trims.split(film, place, film.tieAt(film.frame(place) + has));
      Resolved parted = film.with(split.apply(film.film()));
      String second = parted.film().placementAt(place + 1).id();
      Edit choose = Sources.choose(parted, second, other, framing.apply(other));
      Edit both = new Compound("fill with another take", List.of(split, choose));
      all.add(new Remedy(Kind.FILL, other.id(), has, 0, 0, both));
    }
  }
}
