package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;
import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * What one sample becomes on its way to the ears: the straight way, softer and duller with
 * distance; the first echoes of a room's six walls (image sources, Allen and Berkley 1979) and the
 * echoes after them, noise that dies away as the room has it, shorter for high notes. How loud
 * echoes are beside the straight way follows from the room's volume and time (Sabine's critical
 * distance); they are as loud wherever one stands, so what is far sounds of its room.
 */
final class RoomResponse {
  private static final int RATE = 48_000;
  private static final double SOUND_SPEED = 343;

  /** A sound at distance 0 is a metre away, at 100 it is this many (common practice, no source). */
  private static final double FARTHEST = 24;

  /** What is highest of a far sound, in hertz (common practice, no source). */
  private static final double DULLEST = 2_800;

  /** Where the ears stand and the sound is, as shares of the sides; no two alike. */
  private static final double[] EARS = {0.53, 0.41, 0.46};

  private static final double[] SOURCE = {0.37, 0.58, 0.52};
  private static final double HEAD = 0.17;

  /** Filters that ring on do so for this long: a low cut at 20 Hz is down by 90 dB. */
  private static final int RING = 6_000;

  /** Echoes are cut off when they are softer by so many decibels. */
  private static final double GONE = 60;

  private RoomResponse() {}

  /** Samples of a response, which need not be made to know it. */
  static int length(Effect.Placed how) {
    boolean filtered =
        !how.equaliser().bands().isEmpty() || how.distance() > 0 || isSpecial(how.room());
    return 1 + echoes(how.room()) + (filtered ? RING : 0);
  }

  private static int echoes(Room room) {
    return room.hasWalls() ? (int) (room.seconds() * GONE / 60 * RATE) : 0;
  }

  /** The response of each ear, both as long. */
  static float[][] of(Effect.Placed how) {
    double metres = Math.pow(FARTHEST, how.distance() / 100.0);
    int length = length(how);
    float[][] ears = new float[2][length];
    for (int ear = 0; ear < 2; ear++) {
      float[] response = ears[ear];
      response[0] = (float) (1 / metres);
      if (how.distance() > 0) {
        Biquad.highCut(
                20_000 * Math.pow(DULLEST / 20_000, how.distance() / 100.0), Equaliser.Band.FLAT)
            .run(response);
      }
      if (how.room() == Room.OUT_OF_DOORS) {
        ground(response, metres);
      }
      if (how.room().hasWalls()) {
        add(response, echoes(how.room(), ear, echoes(how.room())));
      }
      special(how.room(), response);
      for (Equaliser.Band band : how.equaliser().bands()) {
        filter(band).run(response);
      }
      double side = (how.pan() / 100.0 + 1) * Math.PI / 4;
      double gain = Math.sqrt(2) * (ear == 0 ? Math.cos(side) : Math.sin(side));
      for (int i = 0; i < length; i++) {
        response[i] *= (float) gain;
      }
    }
    return ears;
  }

  private static boolean isSpecial(Room room) {
    return room == Room.THROUGH_A_WALL
        || room == Room.SMALL_SPEAKER
        || room == Room.UNDER_WATER
        || room == Room.OUT_OF_DOORS;
  }

  private static void add(float[] to, float[] more) {
    for (int i = 0; i < more.length; i++) {
      to[i] += more[i];
    }
  }

  /** The ground sends one echo, from a source and an ear 1.6 m above it; it is soft ground. */
  private static void ground(float[] response, double metres) {
    double way = Math.hypot(metres, 3.2);
    int late = (int) Math.round((way - metres) / SOUND_SPEED * RATE);
    double share = 0.5 * metres / way;
    for (int i = response.length - 1; i >= late; i--) {
      response[i] += (float) (share * response[i - late]);
    }
  }

  private static float[] echoes(Room room, int ear, int length) {
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

  /** What lies between takes most of a sound away (common practice, no source). */
  private static void special(Room room, float[] response) {
    switch (room) {
      case THROUGH_A_WALL -> {
        Biquad.highCut(420, Equaliser.Band.FLAT).run(response);
        Biquad.highCut(900, Equaliser.Band.FLAT).run(response);
      }
      case SMALL_SPEAKER -> {
        Biquad.lowCut(380, 0.9).run(response);
        Biquad.lowCut(250, Equaliser.Band.FLAT).run(response);
        Biquad.highCut(3_600, Equaliser.Band.FLAT).run(response);
        Biquad.bell(1_700, 5, 1.2).run(response);
      }
      case UNDER_WATER -> {
        Biquad.highCut(520, 1.1).run(response);
        Biquad.highCut(700, Equaliser.Band.FLAT).run(response);
        Biquad.bell(190, 5, 1).run(response);
      }
      default -> {
        // Rooms have walls alone.
      }
    }
  }

  private static Biquad filter(Equaliser.Band band) {
    return switch (band.kind()) {
      case LOW_CUT -> Biquad.lowCut(band.hertz(), band.q());
      case HIGH_CUT -> Biquad.highCut(band.hertz(), band.q());
      case LOW_SHELF -> Biquad.lowShelf(band.hertz(), band.gain(), band.q());
      case HIGH_SHELF -> Biquad.highShelf(band.hertz(), band.gain(), band.q());
      case BELL -> Biquad.bell(band.hertz(), band.gain(), band.q());
    };
  }

  /** How loud a distance leaves a sound's straight way, in decibels. */
  static double straight(int distance) {
    return -Decibels.of(Math.pow(FARTHEST, distance / 100.0));
  }
}
