package app.latethistle.standins.painter;

import app.latethistle.core.grade.GradeTable;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.media.StandInEncoder;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.DataBufferInt;
import java.awt.image.Kernel;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;

/** Paints clips to files. */
public final class ScenePainter {
  private ScenePainter() {}

  /** Paints a clip, with its sound if it has one; the file's name says MP4, MOV or WebM. */
  public static void paint(Clip clip, Path file) throws IOException {
    Frame frame = new Frame(clip.width(), clip.height());
    GradeTable cast = GradeTable.of(Grading.of(clip.cast()));
    try (StandInEncoder encoder =
        StandInEncoder.open(file, clip.width(), clip.height(), clip.rate())) {
      for (long i = 0; i < clip.frames(); i++) {
        draw(clip, i, cast, frame);
        encoder.write(frame);
      }
      encoder.finish();
    }
    Optional<float[]> sound = SceneSound.of(clip);
    if (sound.isPresent()) {
      StandInEncoder.addSound(file, sound.get());
    }
  }

  /** Paints the middle of a clip as a picture. */
  public static BufferedImage still(Clip clip) {
    Frame frame = new Frame(clip.width(), clip.height());
    draw(clip, clip.frames() / 2, frame);
    BufferedImage image =
        new BufferedImage(clip.width(), clip.height(), BufferedImage.TYPE_INT_RGB);
    Rgb.fromFrame(frame, ((DataBufferInt) image.getRaster().getDataBuffer()).getData());
    return image;
  }

  /** Paints one frame of a clip. */
  public static void draw(Clip clip, long index, Frame target) {
    draw(clip, index, GradeTable.of(Grading.of(clip.cast())), target);
  }

  private static void draw(Clip clip, long index, GradeTable cast, Frame target) {
    BufferedImage image =
        new BufferedImage(clip.width(), clip.height(), BufferedImage.TYPE_INT_RGB);
    long shown = shown(clip, index);
    double seconds = clip.rate().secondsOf(shown);
    double part = (double) shown / Math.max(1, clip.rate().framesIn(clip.moveSeconds()) - 1);
    Canvas canvas = new Canvas(image, clip.move(), clip.strength(), part, seconds, clip.seed());
    clip.scene().paint(canvas);
    if (clip.has(Flaw.FLICKER) && index % 7 < 2) {
      canvas.wash(0xFFFFFF, 0.10);
    }
    canvas.dispose();
    BufferedImage seen = clip.has(Flaw.SOFT) ? soft(image) : image;
    if (clip.has(Flaw.CORNER_MARK)) {
      mark(seen);
    }
    Rgb.toFrame(((DataBufferInt) seen.getRaster().getDataBuffer()).getData(), target);
    if (!clip.cast().leavesAll()) {
      cast.draw(target, target);
    }
  }

  private static long shown(Clip clip, long index) {
    long shown = clip.has(Flaw.HALF_RATE) ? index / 2 * 2 : index;
    if (clip.has(Flaw.FROZEN_END)) {
      shown = Math.min(shown, clip.frames() * 2 / 3);
    }
    if (clip.has(Flaw.JUMP)) {
      shown = shown < clip.frames() / 2 ? shown * 4 / 5 : Math.min(clip.frames() - 1, shown + 8);
    }
    return shown;
  }

  /** The mark of an invented service. */
  static void mark(BufferedImage image) {
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    int unit = image.getHeight() / 24;
    int x = image.getWidth() - 4 * unit;
    int y = image.getHeight() - 2 * unit;
    g.setPaint(Canvas.color(0xFFFFFF, 0.72));
    g.fillOval(x - unit, y - unit / 2, unit, unit);
    g.setFont(new Font(Font.SANS_SERIF, Font.BOLD, unit));
    g.drawString("kestle", x + unit / 3, y + unit / 3);
    g.dispose();
  }

  static BufferedImage soft(BufferedImage image) {
    int size = 7;
    float[] flat = new float[size];
    Arrays.fill(flat, 1f / size);
    BufferedImage across =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    BufferedImage down =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    new ConvolveOp(new Kernel(size, 1, flat), ConvolveOp.EDGE_NO_OP, null).filter(image, across);
    new ConvolveOp(new Kernel(1, size, flat), ConvolveOp.EDGE_NO_OP, null).filter(across, down);
    return down;
  }
}
