package app.latethistle.core.people;

import java.util.Arrays;

/** What a layer of the network gives: numbers for each place, row by row, channels in turn. */
final class Planes {
  /** What a leaky unit lets through of what is under zero, as the network was trained. */
  private static final float LEAK = 0.1f;

  final int width;
  final int height;
  final int channels;
  final float[] data;

  Planes(int width, int height, int channels) {
    this.width = width;
    this.height = height;
    this.channels = channels;
    data = new float[width * height * channels];
  }

  private int at(int x, int y) {
    return (y * width + x) * channels;
  }

  /**
   * A convolution by 3 by 3 places that stays inside: its result has two rows and columns less.
   *
   * @param kernel rows, columns, channels in, channels out
   */
  Planes inner(float[] kernel, int to) {
    float[][] rows = rows(kernel, to);
    Planes sums = new Planes(width - 2, height - 2, to);
    for (int y = 0; y < sums.height; y++) {
      for (int x = 0; x < sums.width; x++) {
        float[] sum = new float[to];
        for (int tap = 0; tap < 9; tap++) {
          int from = at(x + tap % 3, y + tap / 3);
          for (int in = 0; in < channels; in++) {
            add(data[from + in], rows[tap * channels + in], sum);
          }
        }
        System.arraycopy(sum, 0, sums.data, sums.at(x, y), to);
      }
    }
    return sums;
  }

  /**
   * Each place's channels mixed to others.
   *
   * @param kernel channels in, channels out
   */
  Planes mixed(float[] kernel, int to) {
    float[][] rows = rows(kernel, to);
    Planes sums = new Planes(width, height, to);
    for (int place = 0; place < width * height; place++) {
      float[] sum = new float[to];
      for (int in = 0; in < channels; in++) {
        add(data[place * channels + in], rows[in], sum);
      }
      System.arraycopy(sum, 0, sums.data, place * to, to);
    }
    return sums;
  }

  private static float[][] rows(float[] kernel, int length) {
    float[][] rows = new float[kernel.length / length][];
    for (int i = 0; i < rows.length; i++) {
      rows[i] = Arrays.copyOfRange(kernel, i * length, (i + 1) * length);
    }
    return rows;
  }

  /** In a loop so plain that it is compiled to one that takes several numbers at once. */
  private static void add(float value, float[] row, float[] sum) {
    for (int i = 0; i < sum.length; i++) {
      sum[i] += value * row[i];
    }
  }

  /**
   * A convolution of each channel alone by 3 by 3 places; outside is zero.
   *
   * @param kernel rows, columns, channels
   */
  Planes each(float[] kernel) {
    Planes sums = new Planes(width, height, channels);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        for (int tap = 0; tap < 9; tap++) {
          int fromX = x + tap % 3 - 1;
          int fromY = y + tap / 3 - 1;
          if (fromX >= 0 && fromX < width && fromY >= 0 && fromY < height) {
            weigh(at(fromX, fromY), kernel, tap * channels, sums, at(x, y));
          }
        }
      }
    }
    return sums;
  }

  private void weigh(int from, float[] kernel, int first, Planes sums, int sum) {
    for (int c = 0; c < channels; c++) {
      sums.data[sum + c] += data[from + c] * kernel[first + c];
    }
  }

  /** Adds a number to each channel. */
  Planes plus(float[] bias) {
    for (int i = 0; i < data.length; i++) {
      data[i] += bias[i % channels];
    }
    return this;
  }

  /** Lets little through of what is under zero. */
  Planes leaky() {
    for (int i = 0; i < data.length; i++) {
      data[i] = data[i] > 0 ? data[i] : LEAK * data[i];
    }
    return this;
  }

  /** The most of 2 by 2 places, as far as they are inside, at each or at every second one. */
  Planes most(int step) {
    Planes most = new Planes((width + step - 1) / step, (height + step - 1) / step, channels);
    Arrays.fill(most.data, Float.NEGATIVE_INFINITY);
    for (int y = 0; y < most.height; y++) {
      for (int x = 0; x < most.width; x++) {
        for (int tap = 0; tap < 4; tap++) {
          int fromX = x * step + tap % 2;
          int fromY = y * step + tap / 2;
          if (fromX < width && fromY < height) {
            raise(at(fromX, fromY), most, most.at(x, y));
          }
        }
      }
    }
    return most;
  }

  private void raise(int from, Planes most, int to) {
    for (int c = 0; c < channels; c++) {
      most.data[to + c] = Math.max(most.data[to + c], data[from + c]);
    }
  }
}
