package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * A cut that is being changed: placements and joints as they are to be, from which the edit follows
 * that makes them so.
 */
final class Draft {
  private final Film before;
  private final List<Placement> placements;
  private final List<Joint> joints;

  Draft(Film before) {
    this.before = before;
    placements = new ArrayList<>(before.placements());
    joints = new ArrayList<>(before.joints());
  }

  /** Changes a placement. */
  void set(int place, UnaryOperator<Placement> change) {
    placements.set(place, change.apply(placements.get(place)));
  }

  /** Ties a joint to another moment. */
  void tie(int joint, Tie tie) {
    joints.set(joint, joints.get(joint).withTie(tie));
  }

  /** Ties the joints from one on to other moments. */
  void tie(int joint, List<Tie> ties) {
    for (int i = 0; i < ties.size(); i++) {
      tie(joint + i, ties.get(i));
    }
  }

  /** Puts a placement in, with a plain cut where it begins. */
  void insert(int place, Placement placement, Tie start) {
    placements.add(place, placement);
    joints.add(place, Joint.of(start));
  }

  /** Takes a placement out; its start goes with it. */
  Placement takeOut(int place) {
    joints.remove(place);
    return placements.remove(place);
  }

  /** Makes the film's end a joint of its own, where there was no film. */
  void end(Tie tie) {
    joints.add(Joint.of(tie));
  }

  /** Leaves nothing. */
  void clear() {
    placements.clear();
    joints.clear();
  }

  /** Moves a placement to another place; joints stay. */
  void move(int from, int to) {
    placements.add(to, placements.remove(from));
  }

  /** The edit that changes the cut to this one. */
  Edit edit(String label) {
    return Recut.between(label, before, placements, joints);
  }
}
