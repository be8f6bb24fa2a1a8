package app.latethistle.media;

import app.latethistle.core.Refused;
import app.latethistle.core.time.Samples;
import java.io.BufferedOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Locale;

/**
 * Writes stereo Broadcast Wave files (EBU Tech 3285, version 2) of 24 bit at 48 kHz, block by
 * block: a RIFF file with a chunk that says what it is, when in the film it begins and, where it is
 * known, how loud it is.
 */
public final class BroadcastWave implements Closeable {
  private static final int BYTES = 6;
  private static final int BEXT = 602;
  private static final long LARGEST = 0xFFFFFFFFL - 1024;

  /** Where the loudness stands: the last numbers before what is reserved. */
  private static final int LOUDNESS = 12 + 8 + BEXT - 180 - 10;

  private final Path file;
  private final OutputStream out;
  private SoundMeasure loudness;

  /**
   * What the file says of itself.
   *
   * @param description at most 256 characters of ASCII; others become question marks
   * @param start the film's sample at which it begins
   * @param made when
   */
  public record About(String description, long start, LocalDateTime made) {}

  private BroadcastWave(Path file, OutputStream out) {
    this.file = file;
    this.out = out;
  }

  /**
   * Begins a file.
   *
   * @param length samples that will be written of each side
   * @throws IllegalArgumentException if it would be longer than a RIFF file can be, four hours
   */
  public static BroadcastWave open(Path file, long length, About about) throws IOException {
    if (length * BYTES > LARGEST) {
      throw new Refused("A Broadcast Wave file has at most four hours of sound; take a part.");
    }
    ByteBuffer head = ByteBuffer.allocate(12 + 8 + BEXT + 24 + 8).order(ByteOrder.LITTLE_ENDIAN);
    head.put(ascii("RIFF", 4)).putInt((int) (head.capacity() - 8 + length * BYTES));
    head.put(ascii("WAVE", 4)).put(ascii("bext", 4)).putInt(BEXT);
    head.put(ascii(about.description, 256)).put(ascii("Late Thistle", 32)).put(new byte[32]);
    head.put(ascii(about.made.format(DateTimeFormatter.ISO_LOCAL_DATE), 10));
    head.put(ascii(about.made.format(DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ROOT)), 8));
    head.putLong(about.start).putShort((short) 2).put(new byte[64]);
    for (int i = 0; i < 5; i++) {
      put(head, Double.NaN);
    }
    head.put(new byte[180]);
    head.put(ascii("fmt ", 4)).putInt(16).putShort((short) 1).putShort((short) 2);
    head.putInt(Samples.RATE).putInt(Samples.RATE * BYTES);
    head.putShort((short) BYTES).putShort((short) 24);
    head.put(ascii("data", 4)).putInt((int) (length * BYTES));
    OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16);
    out.write(head.array());
    return new BroadcastWave(file, out);
  }

  /** In hundredths; 0x7FFF is what the standard writes for a value that is not known. */
  private static void put(ByteBuffer head, double value) {
    boolean known = Double.isFinite(value) && Math.abs(value) < 300;
    head.putShort(known ? (short) Math.round(value * 100) : 0x7FFF);
  }

  private static byte[] ascii(String text, int length) {
    byte[] bytes = text.getBytes(StandardCharsets.US_ASCII);
    return Arrays.copyOf(bytes, length);
  }

  /**
   * Writes samples; full scale is -1 to 1, what lies beyond is clipped.
   *
   * @param stereo left and right in turn
   * @param frames samples of each side
   */
  public void write(float[] stereo, int frames) throws IOException {
    out.write(WaveFile.packed(stereo, 2 * frames));
  }

  /** Says how loud the whole is, which stands in the file once it is closed. */
  public void measured(SoundMeasure measure) {
    loudness = measure;
  }

  @Override
  public void close() throws IOException {
    out.close();
    if (loudness != null) {
      ByteBuffer said = ByteBuffer.allocate(10).order(ByteOrder.LITTLE_ENDIAN);
      put(said, loudness.integrated());
      put(said, loudness.range());
      put(said, loudness.truePeak());
      put(said, loudness.momentaryMax());
      put(said, loudness.shortTermMax());
      try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
        channel.write(said.flip(), LOUDNESS);
      }
    }
  }
}
