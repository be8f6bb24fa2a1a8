package app.latethistle.media;

import app.latethistle.core.grade.Counts;
import app.latethistle.core.grade.Scopes;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import javax.imageio.ImageIO;

/**
 * Pictures of scopes, grey on black: the brighter, the more samples. One cell is one pixel; levels
 * go upwards.
 */
public final class ScopePng {
  /** What of a frame is shown. */
  public enum Kind {
    /** Luma over the picture's width. */
    WAVEFORM,
    /** Red, green and blue over the picture's width, side by side. */
    PARADE,
    /** Cb to the right and Cr upwards. */
    VECTORS,
    /** How many samples of luma have each level, to the right. */
    HISTOGRAM
  }

  private static final int HISTOGRAM_HEIGHT = 128;

  /** Of each hundred samples of a column, how many in one cell are drawn white. */
  private static final double WHITE_FROM = 0.12;

  /** What is seldom is still seen: brightness goes with this power of how many. */
  private static final double POWER = 0.45;

  private ScopePng() {}

  /** A picture of a scope. */
  public static byte[] of(Scopes scopes, Kind kind) throws IOException {
    BufferedImage image =
        switch (kind) {
          case WAVEFORM -> beside(List.of(scopes.luma()));
          case PARADE -> beside(List.of(scopes.red(), scopes.green(), scopes.blue()));
          case VECTORS -> vectors(scopes.vectors());
          case HISTOGRAM -> histogram(Scopes.histogram(scopes.luma()));
        };
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private static BufferedImage beside(List<Counts> waveforms) {
    int width = waveforms.get(0).width();
    int columns = width / waveforms.size();
    BufferedImage image = grey(columns * waveforms.size(), Scopes.LEVELS);
    for (int i = 0; i < waveforms.size(); i++) {
      Counts counts = waveforms.get(i);
      for (int x = 0; x < columns; x++) {
        int from = x * width / columns;
        int to = (x + 1) * width / columns;
        double most = WHITE_FROM * sum(counts, from, to);
        for (int y = 0; y < Scopes.LEVELS; y++) {
          int count = 0;
          for (int c = from; c < to; c++) {
            count += counts.at(c, y);
          }
          set(image, i * columns + x, Scopes.LEVELS - 1 - y, count / most);
        }
      }
    }
    return image;
  }

  private static int sum(Counts counts, int from, int to) {
    int sum = 0;
    for (int x = from; x < to; x++) {
      for (int y = 0; y < Scopes.LEVELS; y++) {
        sum += counts.at(x, y);
      }
    }
    return sum;
  }

  private static BufferedImage vectors(Counts counts) {
    BufferedImage image = grey(Scopes.LEVELS, Scopes.LEVELS);
    double most = WHITE_FROM / 8 * sum(counts, 0, Scopes.LEVELS);
    for (int y = 0; y < Scopes.LEVELS; y++) {
      for (int x = 0; x < Scopes.LEVELS; x++) {
        set(image, x, Scopes.LEVELS - 1 - y, counts.at(x, y) / most);
      }
    }
    return image;
  }

  private static BufferedImage histogram(int[] sums) {
    BufferedImage image = grey(Scopes.LEVELS, HISTOGRAM_HEIGHT);
    double most = 1;
    for (int sum : sums) {
      most = Math.max(most, sum);
    }
    for (int x = 0; x < sums.length; x++) {
      long high = Math.round(HISTOGRAM_HEIGHT * Math.sqrt(sums[x] / most));
      for (int y = 0; y < high; y++) {
        set(image, x, HISTOGRAM_HEIGHT - 1 - y, 1);
      }
    }
    return image;
  }

  private static BufferedImage grey(int width, int height) {
    return new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
  }

  private static void set(BufferedImage image, int x, int y, double share) {
    int value = (int) Math.round(255 * Math.pow(Math.min(1, share), POWER));
    image.getRaster().setSample(x, y, 0, value);
  }
}
