package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Framing;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.List;

/** Edits of what a shot shows; its cuts stay. */
public final class Sources {
  private Sources() {}

  /** Shows the take from another of its frames on: the first of those that are seen. */
  public static Edit slip(Resolved film, String id, long first) {
    Placement shot = ItemKind.PLACEMENT.get(film.film(), id);
    return SetAspect.of(Aspect.SOURCE, id, from(film, shot, shot.take(), first));
  }

  /**
   * Shows another take, from the same frame on if it is long enough, else as late as it can.
   *
   * @param framing in the film's own shape; other shapes keep theirs
   */
  public static Edit choose(Resolved film, String id, Take take, Framing framing) {
    Placement shot = ItemKind.PLACEMENT.get(film.film(), id);
    FrameRange shown = film.shown(id);
    long first = Math.max(0, Math.min(shown.start(), take.frames() - shown.length()));
    return new Compound(
        "choose a take",
        List.of(
            SetAspect.of(Aspect.SOURCE, id, from(film, shot, take.id(), first)),
            SetAspect.of(Aspect.FRAMING, id, shot.framing().withOwn(keeping(shot, framing)))));
  }

  /** A move goes on over another take of the same shot. */
  private static Framing keeping(Placement shot, Framing framing) {
    Framing own = shot.framing().own();
    return own.path().isPresent() ? own : framing;
  }

  private static Material.Source from(Resolved film, Placement shot, String take, long first) {
    if (first < 0) {
      throw new Refused("A take starts at frame 0; frame " + first + " is before it.");
    }
    // A run that is fixed may use frames before the first one that is seen.
    long in = shot.in() + first - film.shown(shot.id()).start();
    return new Material.Source(take, Math.max(0, in));
  }

  /** Sets how a shot runs from the first of the take's frames that it shows now. */
  public static Edit run(Resolved film, String id, Run run) {
    Placement shot = ItemKind.PLACEMENT.get(film.film(), id);
    SetAspect<Placement, Run> set = SetAspect.of(Aspect.RUN, id, run);
    long first = Math.max(0, film.shown(id).start());
    return first == shot.in() || !shot.hasPicture()
        ? set
        : new Compound(
            set.label(),
            List.of(SetAspect.of(Aspect.SOURCE, id, new Material.Source(shot.take(), first)), set));
  }

  /**
   * Sets what is heard of a shot's clip. Before and after its picture it is heard as far as its
   * take has frames there.
   */
  public static Edit heard(Resolved film, String id, ClipSound sound) {
    Placement shot = ItemKind.PLACEMENT.get(film.film(), id);
    Take take = film.takes().get(shot.take());
    if (take == null) {
      return SetAspect.of(Aspect.SOUND, id, sound);
    }
    FrameRange shown = film.shown(id);
    int before = (int) Math.max(0, shown.start());
    int after = (int) Math.max(0, take.frames() - shown.end());
    return SetAspect.of(
        Aspect.SOUND,
        id,
        new ClipSound(
            sound.on(),
            Math.min(sound.lead(), before),
            Math.min(sound.tail(), after),
            sound.gain()));
  }
}
