package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Debian's ffmpeg as a maker of test files and as the outside judge of ours. */
public final class Ffmpeg {
  private Ffmpeg() {}

  /** Runs ffmpeg and gives what it writes to its standard output. */
  public static byte[] run(String... arguments) throws IOException {
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-nostdin", "-y"));
    command.addAll(List.of(arguments));
    Path errors = Files.createTempFile("ffmpeg", ".err");
    Process process = new ProcessBuilder(command).redirectError(errors.toFile()).start();
    try {
      byte[] out = process.getInputStream().readAllBytes();
      if (process.waitFor() != 0) {
        throw new IOException(String.join(" ", command) + ": " + Files.readString(errors));
      }
      return out;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    } finally {
      Files.delete(errors);
    }
  }

  /** The luma planes of a file's pictures, as ffmpeg decodes them. */
  public static List<byte[]> luma(Path file, int width, int height) throws IOException {
    byte[] all =
        run(
            "-i",
            file.toString(),
            "-fps_mode",
            "passthrough",
            "-pix_fmt",
            "gray",
            "-f",
            "rawvideo",
            "pipe:1");
    List<byte[]> planes = new ArrayList<>();
    for (int at = 0; at + width * height <= all.length; at += width * height) {
      planes.add(java.util.Arrays.copyOfRange(all, at, at + width * height));
    }
    return planes;
  }

  /** The first picture of a source of libavfilter. */
  static Frame frame(String filter, int width, int height) throws IOException {
    return new Frame(width, height, picture(filter, "yuv420p"));
  }

  /** The same in a pixel format, as its samples come. */
  static byte[] picture(String filter, String format) throws IOException {
    return run(
        "-f",
        "lavfi",
        "-i",
        filter,
        "-frames:v",
        "1",
        "-pix_fmt",
        format,
        "-f",
        "rawvideo",
        "pipe:1");
  }

  /** How near some samples are to others, as a peak signal to noise ratio in decibels. */
  static double psnr(byte[] a, byte[] b, int from, int to) {
    double sum = 0;
    for (int i = from; i < to; i++) {
      int d = (a[i] & 255) - (b[i] & 255);
      sum += d * d;
    }
    return 10 * Math.log10(255 * 255 / Math.max(1e-9, sum / (to - from)));
  }
}
