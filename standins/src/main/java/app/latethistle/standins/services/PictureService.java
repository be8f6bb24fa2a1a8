package app.latethistle.standins.services;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.StandInEncoder;
import app.latethistle.standins.painter.Clip;
import app.latethistle.standins.painter.Flaw;
import app.latethistle.standins.painter.Move;
import app.latethistle.standins.painter.PictureCamera;
import app.latethistle.standins.painter.SceneFinder;
import app.latethistle.standins.painter.ScenePainter;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import javax.imageio.ImageIO;

/** Fulfils orders. */
public final class PictureService {
  private PictureService() {}

  /**
   * Makes the files of an order in a folder: as many stills as are asked for, or one clip.
   *
   * @throws IOException if a file cannot be written
   */
  public static List<Path> fulfil(Order order, Path folder) throws IOException {
    List<Path> files = new ArrayList<>();
    if (order.service().kind() == ServiceProfile.Kind.STILL) {
      int count = order.picture().isPresent() ? 1 : order.pictures();
      for (int i = 0; i < count; i++) {
        Path file = folder.resolve("still" + (i + 1) + ".png");
        ImageIO.write(still(order, order.seed() + i), "png", file.toFile());
        files.add(file);
      }
      return files;
    }
    Path file = folder.resolve("clip.mp4");
    if (order.picture().isPresent()) {
      fromPicture(order, file);
    } else {
      ScenePainter.paint(clip(order), file);
    }
    return List.of(file);
  }

  private static BufferedImage still(Order order, long seed) throws IOException {
    if (order.picture().isPresent()) {
      BufferedImage given = order.picture().get();
      return PictureCamera.draw(given, order.width(), order.height(), Move.STILL, 0, 0);
    }
    Clip clip =
        Clip.of(SceneFinder.find(order.prompt(), seed), seed).size(order.width(), order.height());
    boolean soft = new SplittableRandom(seed).nextInt(7) == 0;
    return ScenePainter.still(soft ? clip.flaw(Flaw.SOFT) : clip);
  }

  private static Clip clip(Order order) {
    SplittableRandom random = new SplittableRandom(order.seed());
    Move move = move(order, random);
    Set<Flaw> flaws = flaws(order, random);
    // Now and then a service answers in a square whatever was asked.
    boolean square = order.service().shapes().contains("1:1") && random.nextInt(9) == 0;
    int width = square ? Math.min(order.width(), order.height()) : order.width();
    int height = square ? width : order.height();
    double first = order.firstSeconds() > 0 ? order.firstSeconds() : order.seconds();
    return Clip.of(SceneFinder.find(order.prompt(), order.seed()), order.seed())
        .move(move, strength(order))
        .flaw(flaws.toArray(new Flaw[0]))
        .size(width, height)
        .at(FrameRate.of(order.service().rate(), 1), first)
        .goingOn(order.seconds());
  }

  private static double strength(Order order) {
    return order.strength() == 1 ? 0.6 : order.strength() == 3 ? 1.5 : 1;
  }

  /** Usually the move asked for; one time in five another. */
  private static Move move(Order order, SplittableRandom random) {
    Move[] all = Move.values();
    Move other = all[random.nextInt(all.length)];
    boolean obeys = order.service().takes(ServiceProfile.Input.MOVE) && random.nextInt(5) > 0;
    return obeys ? painted(order.move()) : other;
  }

  private static Move painted(CameraMove move) {
    return switch (move) {
      case STILL -> Move.STILL;
      case PUSH_IN -> Move.PUSH_IN;
      case PULL_OUT -> Move.PULL_OUT;
      case PAN_LEFT -> Move.PAN_LEFT;
      case PAN_RIGHT, FOLLOW -> Move.PAN_RIGHT;
      case TILT_UP -> Move.TILT_UP;
      case TILT_DOWN -> Move.TILT_DOWN;
      case ORBIT -> Move.ORBIT;
      case RISE -> Move.RISE;
    };
  }

  /** A fault in about one of three; cheap services put their mark on everything. */
  private static Set<Flaw> flaws(Order order, SplittableRandom random) {
    EnumSet<Flaw> flaws = EnumSet.noneOf(Flaw.class);
    Flaw[] usual = {Flaw.SOFT, Flaw.FROZEN_END, Flaw.JUMP, Flaw.FLICKER, Flaw.HALF_RATE};
    if (random.nextInt(3) == 0) {
      flaws.add(usual[random.nextInt(usual.length)]);
    }
    if (order.service().credits() <= 2) {
      flaws.add(Flaw.CORNER_MARK);
    }
    return flaws;
  }

  private static void fromPicture(Order order, Path file) throws IOException {
    BufferedImage picture = order.picture().get();
    SplittableRandom random = new SplittableRandom(order.seed());
    Move move = move(order, random);
    FrameRate rate = FrameRate.of(order.service().rate(), 1);
    Frame frame = new Frame(order.width(), order.height());
    long frames = rate.framesIn(order.seconds());
    double first = order.firstSeconds() > 0 ? order.firstSeconds() : order.seconds();
    long whole = Math.max(1, rate.framesIn(first) - 1);
    try (StandInEncoder encoder = StandInEncoder.open(file, order.width(), order.height(), rate)) {
      for (long i = 0; i < frames; i++) {
        double part = (double) i / whole;
        BufferedImage seen =
            PictureCamera.draw(picture, order.width(), order.height(), move, strength(order), part);
        Rgb.toFrame(((DataBufferInt) seen.getRaster().getDataBuffer()).getData(), frame);
        encoder.write(frame);
      }
      encoder.finish();
    }
  }
}
