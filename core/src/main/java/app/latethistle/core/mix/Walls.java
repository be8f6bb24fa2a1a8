package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;
import app.latethistle.core.sound.Room;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What answers sounds with echoes. They are the same for all that sounds in one room, near and far,
 * so a bus's sounds are heard by their walls together.
 *
 * @param room one with walls
 */
record Walls(Room room) {
  private static final Map<Walls, List<Convolution>> ECHOES = new ConcurrentHashMap<>();

  /** The echoes that each ear hears of one sample. */
  List<Convolution> echoes() {
    return ECHOES.computeIfAbsent(
        this,
        w -> {
          float[][] ears = RoomResponse.of(w.room);
          return List.of(new Convolution(ears[0]), new Convolution(ears[1]));
        });
  }

  /** Samples in which the echoes of one sample die away. */
  int length() {
    return RoomResponse.length(room);
  }
}
