package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import javax.imageio.ImageIO;

/**
 * How near filled places come to what was there, beside OpenCV's inpaint (Telea 2004 and
 * Navier-Stokes, Bertalmio 2001, radius 3), in decibels of luma: on painted scenes that had no part
 * in making it, and on photographs that a camera pans over or stands before.
 */
final class FillBench {
  private static final Hole MARK = new Hole(384, 226, 72, 28);
  private static final int FRAMES = 24;
  private static final int FIRST = Integer.getInteger("fill.first", 201);
  private static final int SCENES = 6;
  private static final double PAN = 3.4;

  private static final String INPAINT =
      """
      import cv2, glob, sys
      mask = cv2.imread(sys.argv[1] + '/mask.pgm', 0)
      for name in glob.glob(sys.argv[1] + '/marked-*.pgm'):
        marked = cv2.imread(name, 0)
        for method, flag in (('telea', cv2.INPAINT_TELEA), ('ns', cv2.INPAINT_NS)):
          out = cv2.inpaint(marked, mask, 3, flag)
          cv2.imwrite(name.replace('marked', method), out)
      """;

  private FillBench() {}

  /** A clip with a mark, and the same without. */
  private record Pair(Clip marked, Clip real) {}

  /**
   * Measures.
   *
   * @param args folders of photographs
   */
  public static void main(String[] args) throws Exception {
    for (boolean pans : new boolean[] {false, true}) {
      List<Pair> painted = new ArrayList<>();
      for (int i = 0; i < SCENES; i++) {
        PaintedScene scene = new PaintedScene(FIRST + i, FRAMES, pans ? PAN : 0, 0, MARK, 1);
        painted.add(new Pair(scene, scene.without()));
      }
      report("painted scenes", pans, painted);
      List<Pair> photographs = new ArrayList<>();
      for (File file : photographs()) {
        BufferedImage image = ImageIO.read(file);
        if (image != null && image.getWidth() > 900 && image.getHeight() > 500) {
          photographs.add(
              new Pair(
                  new Panned(image, pans ? 3 : 0, true), new Panned(image, pans ? 3 : 0, false)));
        }
      }
      report("photographs", pans, photographs);
    }
  }

  private static List<File> photographs() {
    File[] found = new File("/usr/share/backgrounds/mate/nature").listFiles();
    File[] all = found == null ? new File[0] : found;
    Arrays.sort(all);
    return Arrays.stream(all)
        .filter(f -> f.getName().endsWith(".jpg"))
        .skip(Integer.getInteger("fill.skip", SCENES))
        .limit(SCENES)
        .toList();
  }

  private static void report(String what, boolean pans, List<Pair> pairs) throws Exception {
    Path folder = Files.createTempDirectory("fill");
    double ours = 0;
    double worst = Double.MAX_VALUE;
    List<Frame> real = new ArrayList<>();
    int middle = FRAMES / 2;
    mask(folder.resolve("mask.pgm"));
    long begun = System.nanoTime();
    for (int i = 0; i < pairs.size(); i++) {
      Frame[] made = new Frame[1];
      Filling.fill(pairs.get(i).marked, MARK, (n, f) -> keep(n, middle, f, made), share -> {});
      Frame[] truth = new Frame[1];
      pairs.get(i).real.each((n, f) -> keep(n, middle, f, truth));
      Frame[] marked = new Frame[1];
      pairs.get(i).marked.each((n, f) -> keep(n, middle, f, marked));
      real.add(truth[0]);
      pgm(folder.resolve("marked-" + i + ".pgm"), marked[0]);
      double psnr = FillingTest.psnr(made[0], truth[0]);
      ours += psnr;
      worst = Math.min(worst, psnr);
    }
    double seconds = (System.nanoTime() - begun) / 1e9 / FRAMES / Math.max(1, pairs.size());
    int code =
        new ProcessBuilder("/usr/bin/python3", "-c", INPAINT, folder.toString())
            .inheritIO()
            .start()
            .waitFor();
    if (code != 0 || pairs.isEmpty()) {
      throw new IOException("OpenCV did not inpaint " + pairs.size() + " pictures.");
    }
    System.out.printf(
        Locale.ROOT,
        "{\"what\": \"%s\", \"pans\": %b, \"scenes\": %d, \"ours\": %.1f, \"worst\": %.1f,"
            + " \"telea\": %.1f, \"ns\": %.1f, \"seconds a frame\": %.3f}%n",
        what,
        pans,
        pairs.size(),
        ours / pairs.size(),
        worst,
        mean(folder, "telea", real),
        mean(folder, "ns", real),
        seconds);
  }

  private static void keep(int number, int wanted, Frame frame, Frame[] into) {
    if (number == wanted) {
      into[0] = new Frame(frame.width(), frame.height(), frame.data().clone());
    }
  }

  private static double mean(Path folder, String method, List<Frame> real) throws IOException {
    double sum = 0;
    for (int i = 0; i < real.size(); i++) {
      Frame truth = real.get(i);
      byte[] file = Files.readAllBytes(folder.resolve(method + "-" + i + ".pgm"));
      Frame made = new Frame(truth.width(), truth.height());
      int size = truth.width() * truth.height();
      System.arraycopy(file, file.length - size, made.data(), 0, size);
      sum += FillingTest.psnr(made, truth);
    }
    return sum / real.size();
  }

  private static void pgm(Path file, Frame frame) throws IOException {
    byte[] head =
        ("P5 " + frame.width() + " " + frame.height() + " 255\n")
            .getBytes(StandardCharsets.US_ASCII);
    byte[] all = Arrays.copyOf(head, head.length + frame.width() * frame.height());
    System.arraycopy(frame.data(), 0, all, head.length, frame.width() * frame.height());
    Files.write(file, all);
  }

  private static void mask(Path file) throws IOException {
    Frame mask = new Frame(PaintedScene.WIDE, PaintedScene.HIGH);
    for (int y = MARK.y(); y < MARK.y() + MARK.height(); y++) {
      Arrays.fill(
          mask.data(),
          y * mask.width() + MARK.x(),
          y * mask.width() + MARK.x() + MARK.width(),
          (byte) 255);
    }
    pgm(file, mask);
  }

  /** A photograph that a window goes over, with a mark in its corner or without. */
  private record Panned(BufferedImage image, int step, boolean isMarked) implements Clip {
    @Override
    public int width() {
      return PaintedScene.WIDE;
    }

    @Override
    public int height() {
      return PaintedScene.HIGH;
    }

    @Override
    public void each(Taker taker) throws IOException {
      for (int i = 0; i < FRAMES; i++) {
        Frame frame = new Frame(width(), height());
        frame.black();
        SplittableRandom grain = new SplittableRandom(i);
        for (int y = 0; y < height(); y++) {
          for (int x = 0; x < width(); x++) {
            int rgb = image.getRGB(200 + x + i * step, 150 + y);
            double luma =
                16
                    + (0.2126 * (rgb >> 16 & 255)
                            + 0.7152 * (rgb >> 8 & 255)
                            + 0.0722 * (rgb & 255))
                        * 219
                        / 255
                    + grain.nextGaussian();
            boolean inside = isMarked && PaintedScene.isLettered(x, y, MARK);
            frame.data()[y * width() + x] =
                (byte) Math.round(Math.max(16, Math.min(235, inside ? 0.25 * luma + 169 : luma)));
          }
        }
        taker.take(i, frame);
      }
    }
  }
}
