package app.latethistle.core.signal;

/**
 * How much of each of the twelve pitch classes sounds, twenty times a second: what harmony is heard
 * in. A Hann window of about 0.19 s; magnitudes from 110 Hz to 2.1 kHz, as square roots, each added
 * to the class of the nearest equal-tempered pitch (A at 440 Hz); every frame scaled to length 1,
 * frames that are nearly silent to less.
 */
public final class Chroma {
  /** Pitch classes, from C. */
  public static final int CLASSES = 12;

  private static final double LOWEST_HZ = 110;
  private static final double HIGHEST_HZ = 2100;

  /** The length that counts half; a full-scale sine has about 2. */
  private static final double NEARLY_SILENT = 0.15;

  private final float[][] frames;
  private final double hopSeconds;

  private Chroma(float[][] frames, double hopSeconds) {
    this.frames = frames;
    this.hopSeconds = hopSeconds;
  }

  /** The chroma of a sound; frame {@code i} is centred on {@code i} hops. */
  public static Chroma of(MonoSound sound) {
    int size = Spectra.sizeWithin(0.2, sound.rate());
    int hop = sound.rate() / 20;
    int[] classes = classes(size, sound.rate());
    return new Chroma(
        Spectra.each(sound, size, hop, magnitudes -> fold(magnitudes, classes)),
        Spectra.hopSeconds(sound, hop));
  }

  private static int[] classes(int size, int rate) {
    int[] classes = new int[size / 2];
    for (int k = 0; k < classes.length; k++) {
      double hz = (double) k * rate / size;
      boolean heard = hz >= LOWEST_HZ && hz <= HIGHEST_HZ;
      long semitones = heard ? Math.round(12 * Math.log(hz / 440) / Math.log(2)) : 0;
      classes[k] = heard ? Math.floorMod(semitones + 9, CLASSES) : -1;
    }
    return classes;
  }

  private static float[] fold(float[] magnitudes, int[] classes) {
    float[] chroma = new float[CLASSES];
    for (int k = 1; k < classes.length; k++) {
      if (classes[k] >= 0) {
        chroma[classes[k]] += (float) Math.sqrt(magnitudes[k]);
      }
    }
    double square = 0;
    for (float c : chroma) {
      square += c * c;
    }
    for (int c = 0; c < CLASSES; c++) {
      chroma[c] /= (float) (Math.sqrt(square) + NEARLY_SILENT);
    }
    return chroma;
  }

  /** Number of frames. */
  public int length() {
    return frames.length;
  }

  /** Seconds from one frame to the next. */
  public double hopSeconds() {
    return hopSeconds;
  }

  /** The classes of a frame, from C; not to be changed. */
  public float[] frame(int index) {
    return frames[index];
  }
}
