package app.latethistle.media;

import app.latethistle.core.mix.Level;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Mixer;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.signal.PeakMeter;
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

  /** How often a mix is encoded at most, to keep under its ceiling. */
  private static final int ROUNDS = 3;

  /** By how much more it is lowered than it was over, in dB: a twentieth is not heard. */
  private static final double MARGIN = 0.05;

  /** By how much it is lowered at most, in dB: an encoder that is further over spoils it anyway. */
  private static final double MOST_LOWER = 2;

  /** Seconds in which hours of sound are encoded. */
  private static final int LONGEST_TRIAL = 1800;

  private SoundEncoder() {}

  /**
   * Encodes the whole as AAC in an m4a file, whose edit list carries the encoder's delay, so that
   * what is heard of the file keeps under the mix's ceiling.
   */
  public static void m4a(Mix mix, SoundSource source, Path file) throws IOException {
    m4a(by -> lowered(mix, by), source, file);
  }

  /** What is encoded, under a ceiling that is lower by so many decibels. */
  @FunctionalInterface
  public interface Lowered {
    /** The mix; at 0 its ceiling is the one that the file is to keep under. */
    Mix by(double decibels) throws IOException;
  }

  /** A mix under a lower ceiling, and as loud beside that as it was. */
  public static Mix lowered(Mix mix, double decibels) {
    return mix.with(new Level(mix.level().gain(), Math.max(-20, mix.level().ceiling() - decibels)));
  }

  /** The same of a mix whose loudness is found anew under each ceiling. */
  public static void m4a(Lowered mix, SoundSource source, Path file) throws IOException {
    List<String> codec = List.of("-c:a", "aac", "-b:a", "256k", "-movflags", "+faststart");
    underItsCeiling(
        mix,
        now -> {
          List<String> command = input();
          command.addAll(codec);
          command.addAll(List.of("-f", "ipod", "file:" + file.toAbsolutePath()));
          encode(now, new SampleRange(0, now.length()), source, command);
          return peakOf(file, Container.MP4);
        });
  }

  /** Encodes the whole without loss, in 24 bits, for what is going to be encoded again. */
  public static void flac(Mix mix, SoundSource source, Path file) throws IOException {
    List<String> command = input();
    command.addAll(List.of("-c:a", "flac", "-sample_fmt", "s32", "-f", "flac"));
    command.add("file:" + file.toAbsolutePath());
    encode(mix, new SampleRange(0, mix.length()), source, command);
  }

  /**
   * The same, so that what is heard keeps under the mix's ceiling when it has been encoded again.
   *
   * @param then how it will be encoded
   */
  static void flacFor(Lowered mix, SoundSource source, Path file, LossySound then)
      throws IOException {
    Path trial = ContentStore.partOf(file.resolveSibling("trial"));
    try {
      underItsCeiling(
          mix,
          now -> {
            flac(now, source, file);
            List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
            command.addAll(List.of("-i", file.toAbsolutePath().toString()));
            command.addAll(then.codec());
            command.addAll(List.of("-f", then.format(), "file:" + trial.toAbsolutePath()));
            Child.output(command, LONGEST_TRIAL);
            return peakOf(trial, then.container());
          });
    } finally {
      Files.deleteIfExists(trial);
    }
  }

  /** Encodes a mix and says how high its true peaks are then, in dBTP. */
  @FunctionalInterface
  private interface Trial {
    double peak(Mix mix) throws IOException;
  }

  /** Encoders raise peaks: a mix is limited by as much more as they do, and encoded again. */
  private static void underItsCeiling(Lowered mix, Trial trial) throws IOException {
    double lower = 0;
    double ceiling = 0;
    for (int round = 0; round < ROUNDS; round++) {
      Mix now = mix.by(lower);
      ceiling = round == 0 ? now.level().ceiling() : ceiling;
      double over = trial.peak(now) - ceiling;
      if (over <= 0 || lower >= MOST_LOWER) {
        return;
      }
      lower = Math.min(MOST_LOWER, lower + over + MARGIN);
    }
  }

  private static double peakOf(Path file, Container container) throws IOException {
    PeakMeter peaks = new PeakMeter();
    SongDecoder.stereo(file, container, (samples, count) -> peaks.add(samples, count / 2));
    return peaks.decibels();
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
