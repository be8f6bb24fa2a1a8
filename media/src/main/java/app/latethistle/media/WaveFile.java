package app.latethistle.media;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/** Writes WAV files of 24 bit. */
public final class WaveFile {
  private static final int FULL = (1 << 23) - 1;

  private WaveFile() {}

  /**
   * Writes samples, channels in turn; full scale is -1 to 1, what lies beyond is clipped.
   *
   * @throws IOException if the file cannot be written
   */
  public static void write(Path file, float[] samples, int channels, int rate) throws IOException {
    Files.write(file, bytes(samples, channels, rate));
  }

  /** The first samples as 24 bit each, little-endian; what lies beyond full scale is clipped. */
  static byte[] packed(float[] samples, int count) {
    byte[] bytes = new byte[count * 3];
    for (int i = 0; i < count; i++) {
      int value = Math.round(Math.max(-1, Math.min(1, samples[i])) * FULL);
      bytes[3 * i] = (byte) value;
      bytes[3 * i + 1] = (byte) (value >> 8);
      bytes[3 * i + 2] = (byte) (value >> 16);
    }
    return bytes;
  }

  /** The bytes of such a file. */
  public static byte[] bytes(float[] samples, int channels, int rate) throws IOException {
    byte[] bytes = packed(samples, samples.length);
    AudioFormat format = new AudioFormat(rate, 24, channels, true, false);
    try (AudioInputStream in =
        new AudioInputStream(new ByteArrayInputStream(bytes), format, samples.length / channels)) {
      ByteArrayOutputStream out = new ByteArrayOutputStream(bytes.length + 64);
      AudioSystem.write(in, AudioFileFormat.Type.WAVE, out);
      return out.toByteArray();
    }
  }
}
