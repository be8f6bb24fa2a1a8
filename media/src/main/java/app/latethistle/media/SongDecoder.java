package app.latethistle.media;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;

/** Decodes a file's sound whole. */
public final class SongDecoder {
  /** Rate at which songs are listened to for beats. */
  public static final int LISTENING_RATE = 22_050;

  private static final int LONGEST_SECONDS = 1800;

  private SongDecoder() {}

  /** One channel at the listening rate. */
  public static MonoSound mono(Path file, Container container) throws IOException {
    return new MonoSound(decode(file, container, 1, LISTENING_RATE), LISTENING_RATE);
  }

  /** One channel at the film's sample rate, as readings are measured. */
  public static MonoSound reading(Path file, Container container) throws IOException {
    return new MonoSound(decode(file, container, 1, Samples.RATE), Samples.RATE);
  }

  /** Left and right in turn at the film's sample rate. */
  public static float[] stereo(Path file, Container container) throws IOException {
    return decode(file, container, 2, Samples.RATE);
  }

  private static float[] decode(Path file, Container container, int channels, int rate)
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
                Integer.toString(rate),
                "-f",
                "f32le",
                "pipe:1"));
    try (Child child = Child.start(command)) {
      float[] samples = new float[rate * channels * 60];
      int count = 0;
      byte[] buffer = new byte[1 << 16];
      InputStream in = child.stdout();
      int n = in.readNBytes(buffer, 0, buffer.length);
      while (n > 0) {
        ByteBuffer bytes = ByteBuffer.wrap(buffer, 0, n).order(ByteOrder.LITTLE_ENDIAN);
        if (count + n / 4 > samples.length) {
          samples = Arrays.copyOf(samples, samples.length * 2);
        }
        bytes.asFloatBuffer().get(samples, count, n / 4);
        count += n / 4;
        n = in.readNBytes(buffer, 0, buffer.length);
      }
      if (child.waitFor() != 0 || count == 0) {
        throw new RefusedMedia("Its sound cannot be decoded: " + child.errorLine());
      }
      return Arrays.copyOf(samples, count);
    }
  }
}
