package app.latethistle.core.type;

import app.latethistle.core.picture.Blurring;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.words.Fill;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Plate;
import app.latethistle.core.words.Shadow;
import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Paint;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.TexturePaint;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.PathIterator;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.Arrays;

/**
 * Draws letters, what lies behind them and what they throw, into pixels of its own. Where nothing
 * was drawn nothing is worked on.
 */
final class Brush {
  /** Pixels that an edge is smoothed over, at most. */
  private static final int EDGE = 2;

  /** Of 255; twice of it rounds to no shadow. */
  private static final float FAINT = 0.2f;

  /** How far a plate reaches behind a line by itself, as a share of behind a block. */
  private static final double NARROW = 0.6;

  private final int width;
  private final int height;
  private final BufferedImage image;
  private final int[] pixels;
  private final Graphics2D graphics;

  /** Where anything was drawn since it was cleared. */
  private Rectangle drawn = new Rectangle();

  private BufferedImage filling;
  private Paint fill;
  private Logotype logotype;

  Brush(int width, int height) {
    this.width = width;
    this.height = height;
    image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB_PRE);
    pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
  }

  void clear() {
    for (int y = drawn.y; y < drawn.y + drawn.height; y++) {
      Arrays.fill(pixels, y * width + drawn.x, y * width + drawn.x + drawn.width, 0);
    }
    drawn = new Rectangle();
  }

  /** What was drawn since it was cleared. */
  Ink ink() {
    return Ink.of(pixels, width, drawn);
  }

  /** Something is drawn there, and so many pixels round it. */
  private void touch(Rectangle part, int round) {
    Rectangle more = inside(part, round + EDGE);
    drawn = drawn.isEmpty() ? more : drawn.union(more);
  }

  /** A part of the picture with some pixels round it, as far as the picture goes. */
  private Rectangle inside(Rectangle part, int round) {
    if (part.isEmpty()) {
      return part;
    }
    Rectangle grown = new Rectangle(part);
    grown.grow(round, round);
    return grown.intersection(new Rectangle(width, height));
  }

  /** The same as a picture that can be kept. */
  BufferedImage picture() {
    BufferedImage copy = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    Graphics2D onto = copy.createGraphics();
    onto.drawImage(image, 0, 0, null);
    onto.dispose();
    return copy;
  }

  /** Puts a plate under what is drawn. */
  void plate(Plate plate, SetText text, double opacity) {
    graphics.setComposite(AlphaComposite.DstOver);
    graphics.setColor(colour(plate.colour(), plate.opacity() / 100.0 * opacity));
    switch (plate.kind()) {
      case NONE -> {}
      case BLOCK -> fill(text.block());
      case LINES -> {
        // As one shape: where lines overlap it is no darker.
        Area lines = new Area();
        text.lines().forEach(l -> lines.add(new Area(SetText.padded(l.box(), l.size() * NARROW))));
        fill(lines);
      }
      case PICTURE -> fill(new Rectangle(width, height));
      case BAND -> band(plate, text, opacity);
    }
  }

  private void fill(Shape shape) {
    graphics.fill(shape);
    touch(shape.getBounds(), 0);
  }

  /** Draws the outline of a shape by a stroke. */
  private void trace(Shape shape, BasicStroke stroke) {
    graphics.setStroke(stroke);
    graphics.draw(shape);
    touch(shape.getBounds(), (int) Math.ceil(stroke.getLineWidth()));
  }

  /** Darkest behind the words, gone a block's height above and below them. */
  private void band(Plate plate, SetText text, double opacity) {
    Rectangle2D box = text.box();
    double reach = Math.max(box.getHeight(), 2 * text.letterSize());
    for (int y = 0; y < height; y++) {
      double away = Math.max(0, Math.max(box.getY() - y, y - box.getMaxY())) / Math.max(1, reach);
      double share = away >= 1 ? 0 : 0.5 + 0.5 * Math.cos(Math.PI * away);
      if (share > 0) {
        graphics.setColor(colour(plate.colour(), plate.opacity() / 100.0 * opacity * share));
        fill(new Rectangle(0, y, width, 1));
      }
    }
  }

  /**
   * A letter.
   *
   * @param outline where it stands
   * @param size of its letters, in pixels
   * @param colour of its fill
   */
  void letter(Shape outline, Lettering how, double size, int colour, Pose pose) {
    boolean hole = how.fill() == Fill.FILM;
    graphics.setComposite(
        AlphaComposite.getInstance(
            hole ? AlphaComposite.DST_OUT : AlphaComposite.SRC_OVER, (float) pose.opacity()));
    if (logotype != null) {
      fill = logotype.in(outline.getBounds2D());
    }
    if (how.outline().width() > 0 && !hole && pose.filled() >= 1 && logotype == null) {
      graphics.setColor(new Color(how.outline().colour()));
      trace(
          outline,
          new BasicStroke(
              (float) (how.outline().width() * size / 1000),
              BasicStroke.CAP_ROUND,
              BasicStroke.JOIN_ROUND));
    }
    if (pose.drawn() < 1) {
      float length = (float) Math.max(1, longest(outline));
      float on = (float) (length * pose.outlined());
      graphics.setColor(new Color(colour));
      trace(
          outline,
          new BasicStroke(
              (float) Math.max(1, size * 0.02),
              BasicStroke.CAP_BUTT,
              BasicStroke.JOIN_ROUND,
              10,
              new float[] {Math.max(0.01f, on), length},
              0));
    }
    if (fill == null) {
      graphics.setColor(colour(colour, pose.filled()));
    } else {
      graphics.setComposite(
          AlphaComposite.getInstance(
              AlphaComposite.SRC_OVER, (float) (pose.opacity() * pose.filled())));
      graphics.setPaint(fill);
    }
    fill(outline);
  }

  /** Letters are filled with what of a picture lies where they stand, until they are not. */
  void fillWith(Frame picture) {
    if (filling == null) {
      filling = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    }
    Rgb.fromFrame(picture, ((DataBufferInt) filling.getRaster().getDataBuffer()).getData());
    fill = new TexturePaint(filling, new Rectangle(width, height));
  }

  /** Letters are a logotype, until they are filled with their colour again. */
  void fillWith(Logotype picture) {
    logotype = picture;
  }

  /** Letters are filled with their colour again. */
  void fillWithColour() {
    fill = null;
    logotype = null;
  }

  /** Only what lies inside of a shape is drawn, until null is given. */
  void within(Shape clip) {
    graphics.setClip(clip);
  }

  /** The longest way round of a letter's parts, in pixels. */
  private static double longest(Shape outline) {
    double[] at = new double[6];
    double longest = 0;
    double length = 0;
    Point2D begun = new Point2D.Double();
    Point2D last = begun;
    for (PathIterator path = outline.getPathIterator(new AffineTransform(), 0.5);
        !path.isDone();
        path.next()) {
      int kind = path.currentSegment(at);
      if (kind == PathIterator.SEG_MOVETO) {
        longest = Math.max(longest, length);
        length = 0;
        begun = new Point2D.Double(at[0], at[1]);
        last = begun;
      } else {
        Point2D next = kind == PathIterator.SEG_CLOSE ? begun : new Point2D.Double(at[0], at[1]);
        length += last.distance(next);
        last = next;
      }
    }
    return Math.max(longest, length);
  }

  /**
   * Puts what the letters throw under them.
   *
   * @param alone whether the letters are taken off
   */
  void shadow(Shadow shadow, double size, boolean alone) {
    boolean thrown = shadow.opacity() > 0;
    Soft soft = thrown ? soft(24, shadow.softness() * size / 1000 / 2) : null;
    if (alone) {
      clear();
    }
    if (thrown) {
      throwUnder(shadow, soft, (int) Math.round(shadow.away() * size / 1000));
    }
  }

  private void throwUnder(Shadow shadow, Soft soft, int away) {
    int red = shadow.colour() >> 16 & 0xff;
    int green = shadow.colour() >> 8 & 0xff;
    int blue = shadow.colour() & 0xff;
    Rectangle to = soft.part();
    to.translate(away, away);
    Rectangle under = inside(to, 0);
    touch(under, 0);
    for (int y = under.y; y < under.y + under.height; y++) {
      for (int x = under.x; x < under.x + under.width; x++) {
        float thrown = soft.at(x - away, y - away);
        if (thrown < FAINT) {
          continue;
        }
        int at = y * width + x;
        // A soft shadow gets thin; twice of it is as dark under the letters as a hard one.
        float dark = Math.min(255, 2 * thrown) * shadow.opacity() / 100;
        float share = dark * (255 - (pixels[at] >>> 24)) / 255 / 255;
        if (share > 0) {
          pixels[at] =
              plus(pixels[at] >>> 24, 255 * share) << 24
                  | plus(pixels[at] >> 16 & 0xff, red * share) << 16
                  | plus(pixels[at] >> 8 & 0xff, green * share) << 8
                  | plus(pixels[at] & 0xff, blue * share);
        }
      }
    }
  }

  /** Blurs all that was drawn. */
  void blur(double sigma) {
    Rectangle part = inside(drawn, Blurring.reach(sigma));
    int[] blurred = new int[part.width * part.height];
    for (int shift = 0; shift <= 24; shift += 8) {
      Soft soft = soft(shift, sigma);
      for (int i = 0; i < blurred.length; i++) {
        float value = soft.at(part.x + i % part.width, part.y + i / part.width);
        blurred[i] |= (int) (value + 0.5f) << shift;
      }
    }
    for (int y = 0; y < part.height; y++) {
      System.arraycopy(blurred, y * part.width, pixels, (part.y + y) * width + part.x, part.width);
    }
    drawn = part;
  }

  /** One of four bytes of all pixels, softened, where there is anything of it. */
  private Soft soft(int shift, double sigma) {
    Rectangle part = inside(drawn, Blurring.reach(sigma));
    float[] values = new float[part.width * part.height];
    for (int y = 0; y < part.height; y++) {
      int row = (part.y + y) * width + part.x;
      for (int x = 0; x < part.width; x++) {
        values[y * part.width + x] = pixels[row + x] >>> shift & 0xff;
      }
    }
    return Soft.of(part, values, sigma);
  }

  private static int plus(int value, float more) {
    return Math.min(255, (int) (value + more + 0.5f));
  }

  private static Color colour(int rgb, double opacity) {
    return new Color(
        rgb >> 16 & 0xff, rgb >> 8 & 0xff, rgb & 0xff, (int) Math.round(255 * opacity));
  }
}
