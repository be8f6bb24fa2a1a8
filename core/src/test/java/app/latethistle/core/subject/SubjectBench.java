package app.latethistle.core.subject;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.LongStream;

/**
 * How well subjects are cut out, as overlaps with outlines that are known: of painted figures, on
 * the scenes it was developed on, on those by which it was chosen and on those that were looked at
 * last and once; and of real clips, by outlines drawn by hand.
 */
public final class SubjectBench {
  private static final int FRAMES = 73;

  private SubjectBench() {}

  /** Overlap with the truth on the marked picture and three seconds later, and the mean error. */
  record Found(double marked, double later, double error) {}

  static Found of(WalkingScene scene, List<Stroke> strokes) throws IOException {
    List<Double> overlaps = new ArrayList<>();
    double[] error = new double[1];
    SubjectCut.cut(
        scene,
        List.of(new Guide(0, strokes)),
        (number, opacity) -> {
          if (number == 0 || number == FRAMES - 1) {
            double[] truth = scene.truth(number);
            overlaps.add(overlap(opacity.data(), truth));
            error[0] += error(opacity.data(), truth) / 2;
          }
        },
        share -> {});
    return new Found(overlaps.get(0), overlaps.get(1), error[0]);
  }

  static double overlap(byte[] found, double[] truth) {
    int both = 0;
    int either = 0;
    for (int i = 0; i < truth.length; i++) {
      boolean in = opacity(found, i) > 0.5;
      both += in && truth[i] > 0.5 ? 1 : 0;
      either += in || truth[i] > 0.5 ? 1 : 0;
    }
    return (double) both / either;
  }

  /** How opaque a pixel was found, 0 to 1, by its luma. */
  static double opacity(byte[] luma, int pixel) {
    return ((luma[pixel] & 0xff) - 16) / 219.0;
  }

  private static double error(byte[] found, double[] truth) {
    double sum = 0;
    for (int i = 0; i < truth.length; i++) {
      sum += Math.abs(opacity(found, i) - truth[i]);
    }
    return sum / truth.length;
  }

  public static void main(String[] args) throws Exception {
    String[] parts = {"developed on", "chosen by", "reported"};
    for (int part = 0; part < parts.length; part++) {
      for (boolean box : new boolean[] {true, false}) {
        List<Found> all = new ArrayList<>();
        for (long seed : LongStream.rangeClosed(part * 12 + 1, part * 12 + 12).toArray()) {
          WalkingScene scene = new WalkingScene(seed, FRAMES);
          all.add(of(scene, box ? List.of(scene.box(0)) : scene.roughly(0)));
        }
        report("painted figures, " + parts[part], box ? "a box" : "a box and strokes", all);
      }
    }
    for (OutlinedClip clip : OutlinedClip.all()) {
      report(clip.name(), "a box and strokes", List.of(clip.found()));
    }
  }

  private static void report(String what, String marked, List<Found> all) {
    System.out.printf(
        Locale.ROOT,
        "{\"what\": \"%s\", \"marked by\": \"%s\", \"marked picture\": %.3f, \"least\": %.3f,"
            + " \"three seconds later\": %.3f, \"its least\": %.3f, \"error\": %.4f}%n",
        what,
        marked,
        all.stream().mapToDouble(Found::marked).average().orElseThrow(),
        all.stream().mapToDouble(Found::marked).min().orElseThrow(),
        all.stream().mapToDouble(Found::later).average().orElseThrow(),
        all.stream().mapToDouble(Found::later).min().orElseThrow(),
        all.stream().mapToDouble(Found::error).average().orElseThrow());
  }
}
