package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;
import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * What comes back from a room's walls: the first echoes of its six walls (image sources, Allen and
 * Berkley 1979) and the echoes after them, noise that dies away as the room has it, shorter for
 * high notes. How loud echoes are beside the straight way follows from the room's volume and time
 * (Sabine's critical distance); they are as loud wherever one stands, so what is far sounds of its
 * room.
 */
final class RoomResponse {
  private static final int RATE = 48_000;
  private static final double SOUND_SPEED = 343;

  /** Where the ears stand and the sound is, as shares of the sides; no two alike. */
  private static final double[] EARS = {0.53, 0.41, 0.46};

  private static final double[] SOURCE = {0.37, 0.58, 0.52};
  private static final double HEAD = 0.17;

  /** Echoes are cut off when they are softer by so many decibels. */
  private static final double GONE = 60;

  private RoomResponse() {}

  /** Samples of a response, which need not be made to know it. */
  static int length(Room room) {
    return 1 + echoes(room) + (Between.rings(room) ? Between.RING : 0);
  }

  private static int echoes(Room room) {
    return (int) (room.seconds() * GONE / 60 * RATE);
  }

  /** The response of each ear, both as long. */
  static float[][] of(Room room) {
    float[][] ears = new float[2][];
    for (int ear = 0; ear < 2; ear++) {
      ears[ear] = Arrays.copyOf(of(room, ear, echoes(room)), length(room));
    }
    Between.run(room, ears);
    return ears;
  }

  private static float[] of(Room room, int ear, int length) {
    double[] sides = room.sides();
    double volume = sides[0] * sides[1] * sides[2];
    // Eyring's and Sabine's formulas agree on this where walls are not very soft.
    double critical = 0.057 * Math.sqrt(volume / room.seconds());
    float[] low = noise(room, ear, length, room.seconds());
    float[] high = noise(room, ear + 2, length, room.seconds() * room.brightness());
    double cross = 2_500;
    Biquad.highCut(cross, Equaliser.Band.FLAT).run(low);
    Biquad.lowCut(cross, Equaliser.Band.FLAT).run(high);
    double energy = 0;
    for (int i = 0; i < length; i++) {
      low[i] += high[i];
      energy += low[i] * low[i];
    }
    // No echo comes before the nearest wall sends it; dense echoes follow by and by.
    int first = (int) (Arrays.stream(sides).min().orElse(1) * 0.5 / SOUND_SPEED * RATE);
    int dense = 4 * first;
    float scale = (float) (1 / critical / Math.sqrt(Math.max(energy, 1e-12)));
    for (int i = 0; i < length; i++) {
      double share = Math.max(0, Math.min(1, (i - first) / (double) Math.max(1, dense - first)));
      low[i] *= (float) (scale * share);
    }
    walls(room, ear, low);
    return low;
  }

  private static float[] noise(Room room, int stream, int length, double seconds) {
    SplittableRandom random = new SplittableRandom(room.name().hashCode() * 101L + stream);
    float[] noise = new float[length];
    double decay = Math.pow(10, -3 / (seconds * RATE));
    double level = 1;
    for (int i = 0; i < length; i++) {
      noise[i] = (float) (level * (2 * random.nextDouble() - 1));
      level *= decay;
    }
    return noise;
  }

  /** The first echo of each wall. */
  private static void walls(Room room, int ear, float[] echoes) {
    double[] sides = room.sides();
    double[] here = new double[3];
    double[] there = new double[3];
    for (int i = 0; i < 3; i++) {
      here[i] = EARS[i] * sides[i];
      there[i] = SOURCE[i] * sides[i];
    }
    here[1] += (ear == 0 ? -HEAD : HEAD) / 2;
    double straight = distance(here, there);
    // Sabine: the share that walls keep, from the time in which echoes die away.
    double area = 2 * (sides[0] * sides[1] + sides[0] * sides[2] + sides[1] * sides[2]);
    double kept =
        Math.max(0.05, 1 - 0.161 * sides[0] * sides[1] * sides[2] / (room.seconds() * area));
    for (int axis = 0; axis < 3; axis++) {
      for (int wall = 0; wall < 2; wall++) {
        double[] image = there.clone();
        image[axis] = 2 * wall * sides[axis] - image[axis];
        double way = distance(here, image);
        int late = (int) Math.round((way - straight) / SOUND_SPEED * RATE);
        if (late > 0 && late < echoes.length) {
          echoes[late] += (float) (Math.sqrt(kept) * room.brightness() / Math.max(1, way));
        }
      }
    }
  }

  private static double distance(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < 3; i++) {
      sum += (a[i] - b[i]) * (a[i] - b[i]);
    }
    return Math.sqrt(sum);
  }
}
