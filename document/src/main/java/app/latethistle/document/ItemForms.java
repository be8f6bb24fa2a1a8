package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.Held;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Material;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Run;
import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Transition;
import app.latethistle.core.measure.Trail;
import java.util.ArrayList;
import java.util.List;

/** How the items of a film are written. What is not said is as it usually is. */
public final class ItemForms {
  private ItemForms() {}

  /** How a take runs. */
  public record Running(
      String way, Integer from, Integer to, String between, long over, long since) {
    public static Running of(Run run) {
      return new Running(
          run.way().name(), run.from(), run.to(), run.between().name(), run.over(), run.since());
    }

    public Run get() {
      int first = Say.or(from, Run.PLAIN.from());
      return new Run(
          Say.or(Run.Way.class, way, Run.PLAIN.way()),
          first,
          Say.or(to, first),
          Say.or(Run.Between.class, between, Run.PLAIN.between()),
          over,
          since);
    }
  }

  /** What is heard of a clip. */
  public record Heard(boolean on, int lead, int tail, int gain) {
    public static Heard of(ClipSound sound) {
      return new Heard(sound.on(), sound.lead(), sound.tail(), sound.gain());
    }

    public ClipSound get() {
      return new ClipSound(on, lead, tail, gain);
    }
  }

  /**
   * A place in a take that is followed.
   *
   * @param take the take's name
   * @param from the take's frame of the first place
   * @param x where it is in each frame from there on, in hundred-thousandths of the picture's width
   * @param y of its height
   */
  public record Followed(String take, long from, List<Integer> x, List<Integer> y) {
    public static Followed of(Following following) {
      Trail trail = following.trail();
      return new Followed(
          following.take(),
          trail.from(),
          trail.spots().stream().map(Trail.Spot::x).toList(),
          trail.spots().stream().map(Trail.Spot::y).toList());
    }

    public Following get() {
      if (x.size() != y.size()) {
        throw new Refused(
            "A place that is followed has as many places across as down, not "
                + x.size()
                + " and "
                + y.size()
                + ".");
      }
      List<Trail.Spot> spots = new ArrayList<>();
      for (int i = 0; i < x.size(); i++) {
        spots.add(new Trail.Spot(x.get(i), y.get(i)));
      }
      return new Following(take, new Trail(from, spots));
    }
  }

  /** A shot's place; without a take it is a gap, and black. */
  public record Shot(
      String id,
      String shot,
      String take,
      long in,
      Running run,
      LookForms.Look look,
      Heard heard,
      boolean locked,
      int group) {
    public static Shot of(Placement p) {
      return new Shot(
          p.id(),
          p.shot(),
          p.take(),
          p.in(),
          Running.of(p.run()),
          LookForms.Look.of(p.how()),
          Heard.of(p.heard()),
          p.locked(),
          p.held().group());
    }

    /** Whether it shows nothing. */
    boolean isGap() {
      return Say.or(take, "").isEmpty();
    }

    public Placement get() {
      return new Placement(
          id,
          new Material(
              Say.or(shot, isGap() ? "" : id),
              Say.or(take, ""),
              in,
              run == null ? Run.PLAIN : run.get()),
          look == null ? Appearance.of(isGap() ? Framing.FIT : Framing.FILL) : look.get(),
          heard == null ? ClipSound.OFF : heard.get(),
          new Held(locked, group));
    }
  }

  /** A joint; without a transition it is a plain cut, as all were that were stored first. */
  public record Cut(TieForm at, LookForms.Passing transition) {
    public static Cut of(Joint joint) {
      return new Cut(
          TieForm.of(joint.tie()),
          joint.transition().isCut() ? null : LookForms.Passing.of(joint.transition()));
    }

    public Joint get() {
      return new Joint(at.get(), transition == null ? Transition.CUT : transition.get());
    }
  }

  /** What lies over the cut. */
  public record Over(Integer layer, Shot shot, TieForm start, TieForm end, LookForms.Lying lie) {
    public static Over of(Overlay overlay) {
      return new Over(
          overlay.layer(),
          Shot.of(overlay.placement()),
          TieForm.of(overlay.start()),
          TieForm.of(overlay.end()),
          LookForms.Lying.of(overlay.lie(), overlay.mixing()));
    }

    public Overlay get() {
      return new Overlay(
          Say.or(layer, 1),
          shot.get(),
          new Overlay.Ties(start.get(), end.get()),
          lie == null ? LiePath.WHOLE : lie.path(),
          lie == null ? Mixing.NORMAL : lie.mixed());
    }
  }

  /** A place to remember. */
  public record Note(String id, TieForm at, String note, String by, Boolean done) {
    public static Note of(Marker marker) {
      return new Note(
          marker.id(),
          TieForm.of(marker.at()),
          marker.note(),
          marker.by().isEmpty() ? null : marker.by(),
          marker.done() ? true : null);
    }

    public Marker get() {
      return new Marker(id, at.get(), Say.or(note, ""), Say.or(by, ""), Boolean.TRUE.equals(done));
    }
  }
}
