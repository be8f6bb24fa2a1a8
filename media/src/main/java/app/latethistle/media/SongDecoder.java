package app.latethistle.media;

import app.latethistle.core.signal.HalvedMono;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Decodes a file's sound: whole, in blocks, or into a file of samples. */
public final class SongDecoder {
  /** Rate at which songs are listened to for beats. */
  public static final int LISTENING_RATE = Samples.RATE / 2;

  private static final int LONGEST_SECONDS = 4 * 3600;

  private SongDecoder() {}

  /** One channel at the listening rate. */
  public static MonoSound mono(Path file, Container container) throws IOException {
    return mono(file, container, (samples, count) -> {});
  }

  /**
   * The same of what is decoded for something else too: an hour takes seconds to decode.
   *
   * @param beside takes all blocks as {@link #stereo(Path, Container, Sink)} gives them
   */
  public static MonoSound mono(Path file, Container container, Sink beside) throws IOException {
    HalvedMono halved = new HalvedMono();
    stereo(
        file,
        container,
        (samples, count) -> {
          beside.accept(samples, count);
          halved.add(samples, count / 2);
        });
    return new MonoSound(halved.end(), LISTENING_RATE);
  }

  /** One channel at the film's sample rate, as readings are measured. */
  public static MonoSound reading(Path file, Container container) throws IOException {
    return new MonoSound(decode(file, container, 1), Samples.RATE);
  }

  /** Left and right in turn at the film's sample rate. */
  public static float[] stereo(Path file, Container container) throws IOException {
    return decode(file, container, 2);
  }

  /** Takes blocks of samples. */
  @FunctionalInterface
  public interface Sink {
    /**
     * Takes a block, which is valid only during the call.
     *
     * @param samples channels in turn
     * @param count how many of them
     */
    void accept(float[] samples, int count) throws IOException;
  }

  /** Decodes at the film's sample rate, left and right in turn, block by block. */
  public static void stereo(Path file, Container container, Sink sink) throws IOException {
    decode(file, container, 2, sink);
  }

  /**
   * Decodes at the film's sample rate into a file of little-endian floats, channels in turn, which
   * is there whole or not at all.
   */
  static void toFile(Path file, Container container, int channels, Path target) throws IOException {
    Path part = ContentStore.partOf(target);
    try {
      try (OutputStream out = Files.newOutputStream(part)) {
        decode(
            file,
            container,
            channels,
            (samples, count) -> {
              ByteBuffer bytes =
                  ByteBuffer.allocate(count * Float.BYTES).order(ByteOrder.LITTLE_ENDIAN);
              bytes.asFloatBuffer().put(samples, 0, count);
              out.write(bytes.array());
            });
      }
      ContentStore.moveInto(part, target);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static float[] decode(Path file, Container container, int channels) throws IOException {
    List<float[]> blocks = new ArrayList<>();
    long[] held = {0};
    decode(
        file,
        container,
        channels,
        (samples, count) -> {
          blocks.add(Arrays.copyOf(samples, count));
          held[0] += count;
        });
    float[] whole = new float[Math.toIntExact(held[0])];
    int at = 0;
    for (float[] block : blocks) {
      System.arraycopy(block, 0, whole, at, block.length);
      at += block.length;
    }
    return whole;
  }

  private static void decode(Path file, Container container, int channels, Sink sink)
      throws IOException {
    List<String> command =
        Sandbox.ffmpeg(
            file,
            container,
            List.of(),
            List.of(
                "-vn",
                "-t",
                Integer.toString(LONGEST_SECONDS),
                "-ac",
                Integer.toString(channels),
                "-ar",
                Integer.toString(Samples.RATE),
                "-f",
                "f32le",
                "pipe:1"));
    try (Child child = Child.start(command)) {
      byte[] buffer = new byte[1 << 18];
      float[] samples = new float[buffer.length / Float.BYTES];
      InputStream in = child.stdout();
      boolean any = false;
      int n = in.readNBytes(buffer, 0, buffer.length);
      while (n > 0) {
        ByteBuffer.wrap(buffer, 0, n)
            .order(ByteOrder.LITTLE_ENDIAN)
            .asFloatBuffer()
            .get(samples, 0, n / Float.BYTES);
        sink.accept(samples, n / Float.BYTES);
        any = true;
        n = in.readNBytes(buffer, 0, buffer.length);
      }
      if (child.waitFor() != 0 || !any) {
        throw new RefusedMedia("Its sound cannot be decoded: " + child.errorLine());
      }
    }
  }
}
