package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What answers sounds with echoes. They are the same for all that sounds in one room, near and far,
 * so a bus's sounds are heard by their walls together.
 *
 * @param room one with walls
 * @param equaliser what the sounds, and so their echoes, are filtered by
 */
record Walls(Room room, Equaliser equaliser) {
  private static final int KEPT = 24;

  private static final Map<Walls, List<Convolution>> ECHOES =
      new LinkedHashMap<>(KEPT, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Walls, List<Convolution>> eldest) {
          return size() > KEPT;
        }
      };

  /** The echoes that each ear hears of one sample. */
  List<Convolution> echoes() {
    synchronized (ECHOES) {
      return ECHOES.computeIfAbsent(
          this,
          w -> {
            float[][] ears = RoomResponse.of(w);
            return List.of(new Convolution(ears[0]), new Convolution(ears[1]));
          });
    }
  }

  /** Samples in which the echoes of one sample die away. */
  int length() {
    return RoomResponse.length(this);
  }
}
