package app.latethistle.media;

import app.latethistle.core.film.Run;
import java.io.IOException;
import java.nio.file.Path;

/**
 * What is heard of a clip's own sound in a film. All times are samples.
 *
 * @param file the clip
 * @param run how it runs; its sound runs with it, higher when quicker, and is still when it is held
 * @param in of the clip, where the picture begins
 * @param material of the clip
 * @param at of the film, where the picture begins
 * @param length of the picture
 * @param lead by how much the sound comes before it; negative if after
 * @param tail by how much it goes on after it; negative if it ends before
 * @param gain in decibels
 */
public record ClipPart(
    Path file,
    Container container,
    Run run,
    long in,
    long material,
    long at,
    long length,
    long lead,
    long tail,
    double gain) {

  /** Over so many samples its ends rise and fall, so that they do not click: 5 ms. */
  private static final int EDGE = 240;

  void addTo(float[] film, DecodedSounds sounds) throws IOException {
    if (run.way() == Run.Way.HOLD) {
      return;
    }
    float[] clip = sounds.stereo(file, container);
    long last = Math.min(material, clip.length / 2) - 1;
    double factor = Math.pow(10, gain / 20);
    long first = -lead;
    long end = length + tail;
    for (long k = first; k < end; k++) {
      double place = place(k);
      long to = 2 * (at + k);
      if (to < 0 || to + 1 >= film.length || place < 0 || place >= last) {
        continue;
      }
      double edge = Math.min(1, Math.min(k - first + 1, end - k) / (double) EDGE);
      int from = 2 * (int) place;
      double rest = place - (int) place;
      for (int side = 0; side < 2; side++) {
        double heard = clip[from + side] * (1 - rest) + clip[from + 2 + side] * rest;
        film[(int) to + side] += (float) (factor * edge * heard);
      }
    }
  }

  /**
   * The clip's sample heard k samples after the picture begins; outside the picture at its ends'
   * speed.
   */
  private double place(long k) {
    if (k < 0) {
      return run.frame(in, material, 0, length) + direction() * k * run.from() / 100.0;
    }
    if (k >= length) {
      double end = run.frame(in, material, length, length);
      return end + direction() * (k - length) * run.to() / 100.0;
    }
    return run.frame(in, material, k, length);
  }

  private int direction() {
    return run.way() == Run.Way.REVERSE ? -1 : 1;
  }

  String key() {
    return file.getFileName()
        + " "
        + run
        + " "
        + in
        + " "
        + material
        + " "
        + at
        + " "
        + length
        + " "
        + lead
        + " "
        + tail
        + " "
        + gain;
  }
}
