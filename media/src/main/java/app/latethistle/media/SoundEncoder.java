package app.latethistle.media;

import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Mixer;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Encodes a film's sound, block by block as it is mixed. */
public final class SoundEncoder {
  /**
   * Samples of a part of the preview: 4.03 s, a whole number of the blocks of 1152 in which the
   * encoder works at this rate.
   */
  public static final int PART = 168 * 1152;

  private SoundEncoder() {}

  /** Encodes the whole as AAC in an m4a file, whose edit list carries the encoder's delay. */
  public static void m4a(Mix mix, SoundSource source, Path file) throws IOException {
    List<String> command = input();
    command.addAll(List.of("-c:a", "aac", "-b:a", "256k"));
    command.addAll(List.of("-movflags", "+faststart", "-f", "ipod"));
    command.add("file:" + file.toAbsolutePath());
    encode(mix, new SampleRange(0, mix.length()), source, command);
  }

  /** Encodes the whole without loss, in 24 bits, for what is going to be encoded again. */
  public static void flac(Mix mix, SoundSource source, Path file) throws IOException {
    List<String> command = input();
    command.addAll(List.of("-c:a", "flac", "-sample_fmt", "s32", "-f", "flac"));
    command.add("file:" + file.toAbsolutePath());
    encode(mix, new SampleRange(0, mix.length()), source, command);
  }

  /**
   * Encodes a part for playing as a fragmented MP4 that begins at 0. As FLAC, which takes a
   * twentieth of the time that AAC does, so that a changed film is heard soon; and it has no delay,
   * so that parts follow each other without a seam. The file is there whole or not at all.
   */
  public static void part(Mix mix, SampleRange range, SoundSource source, Path file)
      throws IOException {
    Path part = ContentStore.partOf(file);
    List<String> command = input();
    command.addAll(List.of("-c:a", "flac", "-compression_level", "0", "-sample_fmt", "s16"));
    // ffmpeg calls FLAC in MP4 experimental, though it is specified.
    command.addAll(List.of("-strict", "-2", "-movflags", "+empty_moov+default_base_moof"));
    command.addAll(List.of("-frag_duration", "60000000", "-f", "mp4"));
    command.add("file:" + part.toAbsolutePath());
    try {
      encode(mix, range, source, command);
      ContentStore.moveInto(part, file);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static List<String> input() {
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
    command.addAll(List.of("-f", "f32le", "-ar", Integer.toString(Samples.RATE), "-ac", "2"));
    command.addAll(List.of("-i", "pipe:0"));
    return command;
  }

  private static void encode(Mix mix, SampleRange range, SoundSource source, List<String> command)
      throws IOException {
    try (Child child = Child.start(command);
        Mixer mixer = new Mixer(mix, source)) {
      try (OutputStream out = child.stdin()) {
        mixer.mix(range, (stereo, frames) -> out.write(bytes(stereo, frames)));
      } catch (IOException e) {
        if (child.hasEnded()) {
          throw new IOException("The sound could not be encoded: " + child.errorLine(), e);
        }
        throw e;
      }
      if (child.waitFor() != 0) {
        throw new IOException("The sound could not be encoded: " + child.errorLine());
      }
    }
  }

  private static byte[] bytes(float[] stereo, int frames) {
    ByteBuffer bytes = ByteBuffer.allocate(2 * frames * Float.BYTES).order(ByteOrder.LITTLE_ENDIAN);
    bytes.asFloatBuffer().put(stereo, 0, 2 * frames);
    return bytes.array();
  }
}
