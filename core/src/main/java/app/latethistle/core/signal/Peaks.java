package app.latethistle.core.signal;

/**
 * A waveform small enough to draw: for each span of samples the highest magnitude and the root mean
 * square, both 0 to 255 of full scale, rounded to nearest.
 */
public final class Peaks {
  private final int perSecond;
  private final byte[] peak;
  private final byte[] body;

  public Peaks(int perSecond, byte[] peak, byte[] body) {
    this.perSecond = perSecond;
    this.peak = peak;
    this.body = body;
  }

  /** Spans a second. */
  public int perSecond() {
    return perSecond;
  }

  /** Highest magnitude of each span. */
  public byte[] peak() {
    return peak;
  }

  /** Root mean square of each span. */
  public byte[] body() {
    return body;
  }

  /** Measures a sound with so many spans a second; the last span may be shorter. */
  public static Peaks of(MonoSound sound, int perSecond) {
    float[] samples = sound.samples();
    int count = (int) (((long) samples.length * perSecond + sound.rate() - 1) / sound.rate());
    byte[] peak = new byte[count];
    byte[] body = new byte[count];
    for (int i = 0; i < count; i++) {
      int from = (int) ((long) i * sound.rate() / perSecond);
      int to = (int) Math.min(samples.length, (long) (i + 1) * sound.rate() / perSecond);
      float highest = 0;
      double squares = 0;
      for (int k = from; k < to; k++) {
        highest = Math.max(highest, Math.abs(samples[k]));
        squares += samples[k] * samples[k];
      }
      peak[i] = toByte(highest);
      body[i] = toByte(Math.sqrt(squares / Math.max(1, to - from)));
    }
    return new Peaks(perSecond, peak, body);
  }

  private static byte toByte(double value) {
    return (byte) Math.round(255 * Math.min(1, value));
  }
}
