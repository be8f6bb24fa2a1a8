package app.latethistle.core.people;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * The trained network. A picture of 416 by 416 goes through one whole convolution and five that are
 * taken apart by channel; after each but the last, the most of 2 by 2 places is kept. Its weights
 * are bytes that stand for {@code scale * byte + least}.
 */
final class FaceNet {
  /** Pixels on each side of a picture. */
  static final int SIDE = 416;

  /** What is taken from red, green and blue, as it was trained: the means of its photographs. */
  private static final float[] MEAN = {117.001f, 114.697f, 97.404f};

  private static final int SEPARATED = 5;

  private static final FaceNet TRAINED = trained();

  private final Map<String, float[]> weights;

  private FaceNet(Map<String, float[]> weights) {
    this.weights = weights;
  }

  /** The network as it ships. */
  static FaceNet shipped() {
    return TRAINED;
  }

  private static FaceNet trained() {
    try (InputStream table = FaceNet.class.getResourceAsStream("face-net.csv");
        InputStream bytes = FaceNet.class.getResourceAsStream("face-net.bin")) {
      Map<String, float[]> weights = new HashMap<>();
      String text = new String(table.readAllBytes(), StandardCharsets.UTF_8);
      for (String line : text.lines().skip(1).toList()) {
        String[] cells = line.split(",", -1);
        int count =
            Arrays.stream(cells[1].split("x"))
                .mapToInt(Integer::parseInt)
                .reduce(1, (a, b) -> a * b);
        weights.put(
            cells[0],
            read(bytes.readNBytes(count), Float.parseFloat(cells[2]), Float.parseFloat(cells[3])));
      }
      return new FaceNet(weights);
    } catch (IOException e) {
      throw new UncheckedIOException("The network that sees faces could not be read.", e);
    }
  }

  private static float[] read(byte[] bytes, float scale, float least) {
    float[] numbers = new float[bytes.length];
    for (int i = 0; i < bytes.length; i++) {
      numbers[i] = scale * (bytes[i] & 0xff) + least;
    }
    return numbers;
  }

  /**
   * What it answers: 13 by 13 places, 25 numbers for each.
   *
   * @param rgb pixels, {@code 0xRRGGBB}, row by row
   */
  Planes of(int[] rgb) {
    Planes now = new Planes(SIDE, SIDE, 3);
    for (int i = 0; i < now.data.length; i++) {
      int value = (rgb[i / 3] >> (16 - 8 * (i % 3))) & 0xff;
      now.data[i] = (value - MEAN[i % 3]) / 255;
    }
    now = now.inner(weight("conv0/filters"), weight("conv0/bias").length);
    now = now.plus(weight("conv0/bias")).leaky().most(2);
    for (int layer = 1; layer <= SEPARATED; layer++) {
      String name = "conv" + layer;
      float[] bias = weight(name + "/bias");
      now = now.each(weight(name + "/depthwise_filter"));
      now = now.mixed(weight(name + "/pointwise_filter"), bias.length).plus(bias).leaky();
      now = now.most(layer < SEPARATED ? 2 : 1);
    }
    float[] bias = weight("conv8/bias");
    return now.mixed(weight("conv8/filters"), bias.length).plus(bias);
  }

  private float[] weight(String name) {
    return weights.get(name);
  }
}
