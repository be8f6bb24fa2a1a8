package app.latethistle.core.film;

import app.latethistle.core.take.Framing;
import java.util.ArrayList;
import java.util.List;

/**
 * A change to a film, as a value. Places count from 0. Applying an edit to a film it does not fit
 * throws {@link IllegalArgumentException} with a sentence for the person, and changes nothing.
 */
public sealed interface Edit
    permits Edit.MoveJoint,
        Edit.Slip,
        Edit.ChooseTake,
        Edit.SetFraming,
        Edit.SetLock,
        Edit.SetRun,
        Edit.SetSound,
        Edit.MoveShot,
        Edit.RemoveShot,
        Edit.InsertShot,
        Edit.SetSong,
        Edit.Replace,
        Recut,
        Lay,
        Lend,
        Mark,
        Revoice,
        Several {

  /** The film after this edit. */
  Film apply(Film film);

  /** The edit that takes this one back, given the film it is about to be applied to. */
  Edit inverse(Film before);

  /** What was done, for the undo button: "move a cut". */
  String label();

  /** Ties a joint to another moment; joint 0, the film's start, stays where it is. */
  record MoveJoint(int joint, Tie tie) implements Edit {
    @Override
    public Film apply(Film film) {
      if (joint < 1 || joint >= film.joints().size()) {
        throw new IllegalArgumentException("There is no cut number " + joint + " to move.");
      }
      return film.withJoint(joint, tie);
    }

    @Override
    public Edit inverse(Film before) {
      return new MoveJoint(joint, before.joints().get(joint));
    }

    @Override
    public String label() {
      return "move a cut";
    }
  }

  /** Uses another part of the take under the same cuts. */
  record Slip(int place, long in) implements Edit {
    @Override
    public Film apply(Film film) {
      return film.withPlacement(place, film.placementAt(place).withIn(in));
    }

    @Override
    public Edit inverse(Film before) {
      return new Slip(place, before.placementAt(place).in());
    }

    @Override
    public String label() {
      return "slip a shot";
    }
  }

  /** Uses another take of the shot, from one of its frames. */
  record ChooseTake(int place, String take, long in, Framing framing) implements Edit {
    @Override
    public Film apply(Film film) {
      return film.withPlacement(place, film.placementAt(place).withTake(take, in, framing));
    }

    @Override
    public Edit inverse(Film before) {
      Placement old = before.placementAt(place);
      return new ChooseTake(place, old.take(), old.in(), old.framing());
    }

    @Override
    public String label() {
      return "choose a take";
    }
  }

  /** Sets how the shot's picture meets the film's. */
  record SetFraming(int place, Framing framing) implements Edit {
    @Override
    public Film apply(Film film) {
      return film.withPlacement(place, film.placementAt(place).withFraming(framing));
    }

    @Override
    public Edit inverse(Film before) {
      return new SetFraming(place, before.placementAt(place).framing());
    }

    @Override
    public String label() {
      return "change framing";
    }
  }

  /** Keeps the shot where it is when the first cut is made again, or lets it go. */
  record SetLock(int place, boolean locked) implements Edit {
    @Override
    public Film apply(Film film) {
      return film.withPlacement(place, film.placementAt(place).withLocked(locked));
    }

    @Override
    public Edit inverse(Film before) {
      return new SetLock(place, before.placementAt(place).locked());
    }

    @Override
    public String label() {
      return locked ? "lock a shot" : "unlock a shot";
    }
  }

  /** Sets how the shot's take runs; its cuts stay. */
  record SetRun(int place, Run run) implements Edit {
    @Override
    public Film apply(Film film) {
      return film.withPlacement(place, film.placementAt(place).withRun(run));
    }

    @Override
    public Edit inverse(Film before) {
      return new SetRun(place, before.placementAt(place).run());
    }

    @Override
    public String label() {
      return "change a shot's speed";
    }
  }

  /** Sets what is heard of the shot's clip. */
  record SetSound(int place, ClipSound sound) implements Edit {
    @Override
    public Film apply(Film film) {
      return film.withPlacement(place, film.placementAt(place).withSound(sound));
    }

    @Override
    public Edit inverse(Film before) {
      return new SetSound(place, before.placementAt(place).sound());
    }

    @Override
    public String label() {
      return "change a clip's sound";
    }
  }

  /** Moves a shot to another place; the cuts stay, the shots between move up by one. */
  record MoveShot(int from, int to) implements Edit {
    @Override
    public Film apply(Film film) {
      Placement moved = film.placementAt(from);
      film.placementAt(to);
      List<Placement> placements = new ArrayList<>(film.placements());
      placements.remove(from);
      placements.add(to, moved);
      return film.withCut(placements, film.joints());
    }

    @Override
    public Edit inverse(Film before) {
      return new MoveShot(to, from);
    }

    @Override
    public String label() {
      return "reorder shots";
    }
  }

  /** Takes a shot out and one of the joints at its ends with it, so that a neighbour takes over. */
  record RemoveShot(int place, int joint) implements Edit {
    @Override
    public Film apply(Film film) {
      film.placementAt(place);
      if (film.placements().size() == 1) {
        return film.withCut(List.of(), List.of());
      }
      boolean atItsEnds = joint == place || joint == place + 1;
      if (!atItsEnds || joint == 0 || joint == film.joints().size() - 1) {
        throw new IllegalArgumentException("A shot is removed with one of the cuts at its ends.");
      }
      List<Tie> joints = new ArrayList<>(film.joints());
      joints.remove(joint);
      return film.withCut(Film.changed(film.placements(), p -> p.remove(place)), joints);
    }

    @Override
    public Edit inverse(Film before) {
      if (before.placements().size() == 1) {
        return new Replace(before, "bring back a shot");
      }
      return new InsertShot(
          place, before.placements().get(place), joint, before.joints().get(joint));
    }

    @Override
    public String label() {
      return "remove a shot";
    }
  }

  /** Puts a shot in, with a new joint. */
  record InsertShot(int place, Placement placement, int joint, Tie tie) implements Edit {
    @Override
    public Film apply(Film film) {
      boolean atItsEnds = joint == place || joint == place + 1;
      if (place < 0
          || place > film.placements().size()
          || !atItsEnds
          || joint < 1
          || joint > film.placements().size()) {
        throw new IllegalArgumentException("There is no place " + place + " to put a shot at.");
      }
      List<Tie> joints = new ArrayList<>(film.joints());
      joints.add(joint, tie);
      return film.withCut(Film.changed(film.placements(), p -> p.add(place, placement)), joints);
    }

    @Override
    public Edit inverse(Film before) {
      return new RemoveShot(place, joint);
    }

    @Override
    public String label() {
      return "bring back a shot";
    }
  }

  /** Sets where the song starts and how long the end fades. */
  record SetSong(SongUse song) implements Edit {
    @Override
    public Film apply(Film film) {
      return film.withSong(song);
    }

    @Override
    public Edit inverse(Film before) {
      return new SetSong(before.song());
    }

    @Override
    public String label() {
      return "change the song's start or fade";
    }
  }

  /** Puts a whole film in place of the old one: what a new first cut does. */
  record Replace(Film film, String label) implements Edit {
    @Override
    public Film apply(Film before) {
      return film;
    }

    @Override
    public Edit inverse(Film before) {
      return new Replace(before, label);
    }
  }
}
