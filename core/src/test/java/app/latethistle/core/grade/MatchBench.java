package app.latethistle.core.grade;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import javax.imageio.ImageIO;

/**
 * How near a match brings a part of a photograph that was altered, beside three published ways: the
 * distance that is left of what it was, in CIEDE2000. The first photographs were looked at while
 * the match was made, by the second its constants were chosen, the third are for reporting.
 */
final class MatchBench {
  private static final Path PHOTOGRAPHS = Path.of("/usr/share/backgrounds/mate/nature");
  private static final int PAIRS = 12;
  private static final int WIDTH = 640;

  private enum Fold {
    DEVELOP("Aqua Dune Garden Storm"),
    CHOOSE("Blinds FreshFlower GreenMeadow LadyBird"),
    REPORT("RainDrops TwoWings Wood YellowFlower");

    private final String names;

    Fold(String names) {
      this.names = names;
    }
  }

  /** A way of bringing a picture's colours to another's. */
  private enum Way {
    OURS {
      @Override
      ColourPicture of(ColourPicture key, ColourPicture shot) {
        Match match = Match.between(List.of(key), List.of(shot));
        return shot.graded(Grading.of(match.correction()));
      }
    },
    HISTOGRAMS {
      @Override
      ColourPicture of(ColourPicture key, ColourPicture shot) {
        return Rivals.histograms(key, shot);
      }
    },
    MEANS_AND_DEVIATIONS {
      @Override
      ColourPicture of(ColourPicture key, ColourPicture shot) {
        return Rivals.meansAndDeviations(key, shot);
      }
    },
    LINEAR_TRANSPORT {
      @Override
      ColourPicture of(ColourPicture key, ColourPicture shot) {
        return Rivals.transport(key, shot);
      }
    };

    abstract ColourPicture of(ColourPicture key, ColourPicture shot);
  }

  private MatchBench() {}

  public static void main(String[] args) throws IOException {
    for (Fold fold : Fold.values()) {
      List<BufferedImage> photographs = new ArrayList<>();
      for (String name : List.of(fold.names.split(" "))) {
        photographs.add(read(name));
      }
      for (Way way : Way.values()) {
        measure(fold, way, photographs);
      }
    }
  }

  private static void measure(Fold fold, Way way, List<BufferedImage> photographs) {
    Random random = new Random(17);
    List<Double> left = new ArrayList<>();
    List<Double> others = new ArrayList<>();
    for (BufferedImage photograph : photographs) {
      for (int i = 0; i < PAIRS; i++) {
        ColourPicture key = part(photograph, random);
        ColourPicture plain = part(photograph, random);
        ColourPicture altered = altered(plain, random);
        left.add(distance(way.of(key, altered), plain) / distance(altered, plain));
        BufferedImage elsewhere = photographs.get((photographs.indexOf(photograph) + 1) % 4);
        ColourPicture other = part(elsewhere, random);
        others.add(distance(way.of(key, other), other));
      }
    }
    Collections.sort(left);
    Collections.sort(others);
    System.out.printf(
        Locale.ROOT,
        "{\"fold\": \"%s\", \"way\": \"%s\", \"left\": %.3f, \"worse\": \"%d of %d\","
            + " \"otherScenesMoved\": %.2f}%n",
        fold.name().toLowerCase(Locale.ROOT),
        way.name().toLowerCase(Locale.ROOT),
        left.get(left.size() / 2),
        left.stream().filter(l -> l > 1).count(),
        left.size(),
        others.get(others.size() / 2));
  }

  private static BufferedImage read(String name) throws IOException {
    BufferedImage photograph = ImageIO.read(PHOTOGRAPHS.resolve(name + ".jpg").toFile());
    int height = photograph.getHeight() * WIDTH / photograph.getWidth();
    BufferedImage small = new BufferedImage(WIDTH, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = small.createGraphics();
    g.drawImage(
        photograph.getScaledInstance(WIDTH, height, BufferedImage.SCALE_AREA_AVERAGING),
        0,
        0,
        null);
    g.dispose();
    return small;
  }

  /** A part with sides of 40 to 75 % of the whole. */
  private static ColourPicture part(BufferedImage photograph, Random random) {
    double size = 0.4 + 0.35 * random.nextDouble();
    int w = (int) (photograph.getWidth() * size);
    int h = (int) (photograph.getHeight() * size);
    int x = random.nextInt(photograph.getWidth() - w);
    int y = random.nextInt(photograph.getHeight() - h);
    int[] rgb = photograph.getRGB(x, y, w, h, null, 0, w);
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] &= 0xffffff;
    }
    return new ColourPicture(w, h, rgb);
  }

  /** A stop more or less, gains of channels, contrast and saturation; not as a correction does. */
  private static ColourPicture altered(ColourPicture picture, Random random) {
    double[] gains = new double[3];
    double exposure = Math.pow(2, 2 * random.nextDouble() - 1);
    for (int c = 0; c < 3; c++) {
      gains[c] = exposure * (0.8 + 0.45 * random.nextDouble());
    }
    double contrast = 0.7 + 0.65 * random.nextDouble();
    double saturation = 0.6 + 0.9 * random.nextDouble();
    int[] rgb = new int[picture.count()];
    for (int i = 0; i < rgb.length; i++) {
      Signal s = Signal.of(picture.at(i));
      Signal v =
          new Signal(
              one(s.red(), gains[0], contrast),
              one(s.green(), gains[1], contrast),
              one(s.blue(), gains[2], contrast));
      double l = v.luma();
      rgb[i] =
          new Signal(
                  l + saturation * (v.red() - l),
                  l + saturation * (v.green() - l),
                  l + saturation * (v.blue() - l))
              .rgb();
    }
    return new ColourPicture(picture.width(), picture.height(), rgb);
  }

  private static double one(double signal, double gain, double contrast) {
    return 0.5 + contrast * (Transfer.toShow(gain * Transfer.shown(signal)) - 0.5);
  }

  private static double distance(ColourPicture one, ColourPicture other) {
    double sum = 0;
    int count = 0;
    for (int i = 0; i < one.count(); i += 37, count++) {
      sum += Ciede2000.between(Lab.of(Signal.of(one.at(i))), Lab.of(Signal.of(other.at(i))));
    }
    return sum / count;
  }
}
