package app.latethistle.core.type;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.measure.Trail.Place;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongUnaryOperator;

/**
 * How far words have gone from where they stand, with a place in the picture that they follow.
 * Before its first and after its last frame they stay as far away as there.
 *
 * @param from the frame of the film of the first step
 * @param steps one for each frame, in shares of the picture's sides; none if they do not move
 */
public record Along(long from, List<Place> steps) {
  /** Words that stay where they stand. */
  public static final Along NOTHING = new Along(0, List.of());

  private static final Place NOWHERE = new Place(0, 0);

  public Along {
    steps = List.copyOf(steps);
  }

  /** How far they are to the right and down in a frame. */
  public Place at(long frame) {
    return steps.isEmpty()
        ? NOWHERE
        : steps.get((int) Math.max(0, Math.min(steps.size() - 1L, frame - from)));
  }

  boolean isNothing() {
    return steps.isEmpty();
  }

  /** The same on other frames; those between two of these are between their steps. */
  Along at(LongUnaryOperator to) {
    List<Place> other = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      Place a = steps.get(i);
      Place b = steps.get(Math.min(steps.size() - 1, i + 1));
      long here = to.applyAsLong(from + i);
      long next = i == steps.size() - 1 ? here + 1 : to.applyAsLong(from + i + 1);
      for (long frame = here; frame < next; frame++) {
        double share = (frame - here) / (double) (next - here);
        other.add(new Place(a.x() + (b.x() - a.x()) * share, a.y() + (b.y() - a.y()) * share));
      }
    }
    return new Along(to.applyAsLong(from), other);
  }

  /** Writes where they are in some frames. */
  void writeKey(KeyWriter key, FrameRange seen) {
    if (isNothing()) {
      return;
    }
    key.put("along");
    for (long frame = seen.start(); frame < seen.end(); frame++) {
      Place there = at(frame);
      key.put(there.x()).put(there.y());
    }
  }
}
