package app.latethistle.standins.band;

import app.latethistle.core.time.Samples;

/** Stereo samples that voices are added to, with a send to one echoing room. */
final class Mixdown {
  private final float[] left;
  private final float[] right;
  private final float[] room;

  Mixdown(double seconds) {
    int n = (int) Samples.ofSeconds(seconds);
    left = new float[n];
    right = new float[n];
    room = new float[n];
  }

  /** A voice: its sample at a time since its start. */
  interface Voice {
    double at(double seconds);
  }

  /**
   * Adds a voice.
   *
   * @param pan -1 left to 1 right
   * @param send how much of it the room hears
   */
  void add(double start, double length, double gain, double pan, double send, Voice voice) {
    int from = (int) Samples.ofSeconds(start);
    int to = (int) Math.min(left.length, from + Samples.ofSeconds(length));
    float l = (float) (gain * Math.cos((pan + 1) * Math.PI / 4));
    float r = (float) (gain * Math.sin((pan + 1) * Math.PI / 4));
    for (int i = Math.max(0, from); i < to; i++) {
      float value = (float) voice.at(Samples.toSeconds(i - from));
      left[i] += l * value;
      right[i] += r * value;
      room[i] += (float) (gain * send * value);
    }
  }

  /** Adds the room and brings the highest peak to a level. */
  float[] finish(double peak) {
    int[] combs = {1687, 1931, 2207, 2503, 2803, 3119};
    float[] wetLeft = new float[room.length];
    float[] wetRight = new float[room.length];
    for (int c = 0; c < combs.length; c++) {
      float[] line = new float[combs[c] * 2];
      float low = 0;
      float[] wet = c % 2 == 0 ? wetLeft : wetRight;
      for (int i = 0; i < room.length; i++) {
        int at = i % line.length;
        low += 0.45f * (line[at] - low);
        wet[i] += low * 0.5f;
        line[at] = room[i] + low * 0.80f;
      }
    }
    float top = 1e-6f;
    for (int i = 0; i < left.length; i++) {
      left[i] = (float) Math.tanh(left[i] + 0.32f * wetLeft[i]);
      right[i] = (float) Math.tanh(right[i] + 0.32f * wetRight[i]);
      top = Math.max(top, Math.max(Math.abs(left[i]), Math.abs(right[i])));
    }
    float[] stereo = new float[2 * left.length];
    for (int i = 0; i < left.length; i++) {
      stereo[2 * i] = (float) (left[i] * peak / top);
      stereo[2 * i + 1] = (float) (right[i] * peak / top);
    }
    return stereo;
  }
}
