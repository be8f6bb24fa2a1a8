package app.latethistle.server.stored;

import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Held;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Material;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Run;
import app.latethistle.core.look.Transition;

/** The items of a film as they are stored. */
final class StoredItems {
  private StoredItems() {}

  record Running(String way, int from, int to, String between, long over, long since) {
    static Running of(Run run) {
      return new Running(
          run.way().name(), run.from(), run.to(), run.between().name(), run.over(), run.since());
    }

    Run get() {
      return new Run(Run.Way.valueOf(way), from, to, Run.Between.valueOf(between), over, since);
    }
  }

  record Heard(boolean on, int lead, int tail, int gain) {
    static Heard of(ClipSound sound) {
      return new Heard(sound.on(), sound.lead(), sound.tail(), sound.gain());
    }

    ClipSound get() {
      return new ClipSound(on, lead, tail, gain);
    }
  }

  record Shot(
      String id,
      String shot,
      String take,
      long in,
      Running run,
      StoredLook.Look look,
      Heard heard,
      boolean locked,
      int group) {
    static Shot of(Placement p) {
      return new Shot(
          p.id(),
          p.shot(),
          p.take(),
          p.in(),
          Running.of(p.run()),
          StoredLook.Look.of(p.how()),
          Heard.of(p.heard()),
          p.locked(),
          p.held().group());
    }

    Placement get() {
      return new Placement(
          id,
          new Material(shot, take, in, run.get()),
          look.get(),
          heard.get(),
          new Held(locked, group));
    }
  }

  /** A joint; without a transition it is a plain cut, as all were that were stored first. */
  record Cut(StoredTie at, StoredLook.Passing transition) {
    static Cut of(Joint joint) {
      return new Cut(
          StoredTie.of(joint.tie()),
          joint.transition().isCut() ? null : StoredLook.Passing.of(joint.transition()));
    }

    Joint get() {
      return new Joint(at.get(), transition == null ? Transition.CUT : transition.get());
    }
  }

  record Over(int layer, Shot shot, StoredTie start, StoredTie end, StoredLook.Lying lie) {
    static Over of(Overlay overlay) {
      return new Over(
          overlay.layer(),
          Shot.of(overlay.placement()),
          StoredTie.of(overlay.start()),
          StoredTie.of(overlay.end()),
          StoredLook.Lying.of(overlay.lie()));
    }

    Overlay get() {
      return new Overlay(layer, shot.get(), new Overlay.Ties(start.get(), end.get()), lie.get());
    }
  }

  record Sound(String id, String take, long in, StoredTie start, long length, int gain) {
    static Sound of(FilmSound sound) {
      return new Sound(
          sound.id(),
          sound.take(),
          sound.in(),
          StoredTie.of(sound.start()),
          sound.length(),
          sound.gain());
    }

    FilmSound get() {
      return new FilmSound(id, take, in, start.get(), length, gain);
    }
  }

  record Note(String id, StoredTie at, String note) {
    static Note of(Marker marker) {
      return new Note(marker.id(), StoredTie.of(marker.at()), marker.note());
    }

    Marker get() {
      return new Marker(id, at.get(), note);
    }
  }
}
