package app.latethistle.media;

import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CancellationException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Writes a film that was drawn without loss, and its sound, as an output asks.
 *
 * @param megabytes how large the file is to be; empty for by its quality
 * @param frames of it
 */
public record OutputFile(
    Encoding encoding,
    Quality quality,
    Optional<Double> megabytes,
    FrameRate rate,
    long frames,
    Tags tags) {
  /** A wished size is met within this share of it; else it is encoded again. */
  private static final double NEAR = 0.03;

  private static final int ROUNDS = 3;

  private static final int LOOP_ROUNDS = 6;

  /** By how much a loop that is too large is made smaller at least, as a share of its sides. */
  private static final double LEAST_STEP = 0.96;

  /** The encoder of H.265. */
  static final String HEVC = "libx265";

  /** Bits a second of sound beside pictures. */
  private static final int SOUND = LossySound.BITS;

  /** What ffmpeg says of where it is, in microseconds; "N/A" before it knows. */
  private static final Pattern WRITTEN = Pattern.compile("out_time_us=(\\d+)");

  /** What a container takes beside its streams (measured on MP4 and WebM of a minute). */
  private static final double CONTAINER = 0.995;

  /** Whether it is joined of its segments as they are: an MP4 by quality. */
  public static boolean isJoined(Encoding encoding, Optional<Double> megabytes) {
    return encoding == Encoding.MP4 && megabytes.isEmpty();
  }

  /** Whether a few seconds of it tell how large it will be. */
  public static boolean isToldBySeconds(Encoding encoding, Optional<Double> megabytes) {
    return encoding.hasPictures() && encoding != Encoding.STILL && megabytes.isEmpty();
  }

  /** Bits a second of an encoding's sound; 0 if it has none. */
  public static int soundBits(Encoding encoding) {
    return switch (encoding) {
      case MP4 -> 256_000;
      case MP4_HEVC, WEBM_VP9, WEBM_AV1 -> SOUND;
      case MOV_422, WAV -> Samples.RATE * 2 * 24;
      case MP3 -> 320_000;
      case OPUS -> 160_000;
      default -> 0;
    };
  }

  /** How good its pictures are drawn; empty for without loss, where they are encoded again. */
  public static Optional<Quality> drawnAt(
      Encoding encoding, Quality quality, Optional<Double> megabytes) {
    return isJoined(encoding, megabytes) ? Optional.of(quality) : Optional.empty();
  }

  /**
   * Writes it.
   *
   * @param pictures the film's, without sound; empty for sound alone
   * @param sound as FLAC; empty for pictures alone
   * @param progress told how many of its frames are written; of what is encoded in two passes, or
   *     again to meet its size, each round counts from where it begins
   * @throws CancellationException if that says so
   */
  public void write(
      Optional<Path> pictures, Optional<Path> sound, Path target, MasterRender.Progress progress)
      throws IOException {
    Path part = ContentStore.partOf(target);
    Path written = ContentStore.partOf(target.resolveSibling("tags"));
    try {
      Files.writeString(written, tags.text());
      List<String> input = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-v", "error", "-y"));
      input.addAll(List.of("-nostats", "-progress", "pipe:1"));
      input.addAll(List.of("-f", "ffmetadata", "-i", written.toString()));
      pictures.ifPresent(path -> input.addAll(List.of("-i", path.toString())));
      sound.ifPresent(path -> input.addAll(List.of("-i", path.toString())));
      input.addAll(List.of("-map_metadata", "0", "-map_chapters", "0"));
      pictures.ifPresent(path -> input.addAll(List.of("-map", "1:v")));
      sound.ifPresent(
          path -> input.addAll(List.of("-map", (pictures.isPresent() ? "2" : "1") + ":a")));
      if (sound.isPresent()) {
        input.addAll(List.of("-metadata:s:a:0", "language=" + tags.language()));
      }
      if (encoding == Encoding.PNG) {
        zipped(input, part, progress);
      } else if (megabytes.isPresent() && encoding.sizing() == Encoding.Sizing.LIMIT) {
        limited(input, part, progress);
      } else if (megabytes.isPresent()) {
        sized(input, part, progress);
      } else {
        run(with(input, codecs(), List.of("file:" + part)), Pass.ONLY, progress);
      }
      ContentStore.moveInto(part, target);
    } finally {
      Files.deleteIfExists(part);
      Files.deleteIfExists(written);
    }
  }

  /** What a file is encoded with, by its quality. */
  private List<String> codecs() {
    return switch (encoding) {
      case MP4 -> throw new IllegalStateException("It is joined of its segments.");
      case MP4_HEVC ->
          with(
              List.of("-c:v", HEVC, "-preset", "fast", "-crf", by(22, 27, 32), "-tag:v", "hvc1"),
              List.of("-x265-params", "log-level=error"),
              VideoEncoder.output(),
              sound(),
              List.of("-movflags", "+faststart", "-f", "mp4"));
      case WEBM_VP9 ->
          with(vp9(), List.of("-crf", by(22, 30, 38), "-b:v", "0"), sound(), List.of("-f", "webm"));
      case WEBM_AV1 ->
          with(
              List.of("-c:v", "libsvtav1", "-preset", "9", "-crf", by(24, 32, 42)),
              VideoEncoder.output(),
              sound(),
              List.of("-f", "webm"));
      case MOV_422 ->
          with(
              List.of("-c:v", "prores_ks", "-profile:v", by(3, 2, 1), "-pix_fmt", "yuv422p10le"),
              VideoEncoder.colours(),
              List.of("-c:a", "pcm_s24le", "-movflags", "+faststart", "-f", "mov"));
      case GIF, WEBP -> loop(1);
      case STILL -> List.of("-frames:v", "1", "-c:v", "png", "-f", "image2pipe");
      case WAV -> List.of("-c:a", "pcm_s24le", "-f", "wav");
      case FLAC -> List.of("-c:a", "flac", "-f", "flac");
      case MP3 -> with(sound(), List.of("-f", "mp3"));
      case OPUS -> with(sound(), List.of("-f", "ogg"));
      case PNG, CAPTIONS -> throw new IllegalStateException(encoding + " is zipped.");
    };
  }

  /** A loop whose pictures are made smaller by a share of their sides. */
  private List<String> loop(double share) {
    String smaller =
        share < 1
            ? String.format(Locale.ROOT, "scale=trunc(iw*%1$.4f/2)*2:-2:flags=lanczos", share)
            : "null";
    return encoding == Encoding.GIF
        // A GIF has 256 colours: those that the film needs, chosen over all of it.
        ? List.of(
            "-vf",
            smaller
                + ",split[a][b];[a]palettegen=stats_mode=diff[p];[b][p]paletteuse=dither=sierra2_4a",
            "-loop",
            "0",
            "-f",
            "gif")
        : List.of(
            "-vf",
            smaller,
            "-c:v",
            "libwebp_anim",
            "-quality",
            by(85, 70, 50),
            "-loop",
            "0",
            "-f",
            "webp");
  }

  /** With pictures as much smaller as keeps the file within its limit. */
  private void limited(List<String> input, Path part, MasterRender.Progress progress)
      throws IOException {
    double limit = megabytes.orElseThrow() * 1e6;
    double share = 1;
    for (int round = 0; round < LOOP_ROUNDS; round++) {
      run(with(input, loop(share), List.of("file:" + part)), Pass.ONLY, progress);
      long is = Files.size(part);
      if (is <= limit) {
        return;
      }
      // A loop is about as large as its pictures have pixels.
      share *= Math.min(LEAST_STEP, Math.sqrt(limit / is) * LEAST_STEP);
    }
    throw new IOException(
        "The loop does not get as small as "
            + Math.round(limit / 1e5) / 10.0
            + " MB; make it shorter, or allow more.");
  }

  private static List<String> vp9() {
    return with(
        List.of("-c:v", "libvpx-vp9", "-deadline", "good", "-cpu-used", "4", "-row-mt", "1"),
        VideoEncoder.output());
  }

  private List<String> sound() {
    return LossySound.of(encoding).orElseThrow().codec();
  }

  /**
   * Writes the sound that {@link #write} takes, limited so that it keeps under the mix's ceiling in
   * the file.
   *
   * @param file the FLAC
   */
  public static void writeSound(
      Encoding encoding, SoundEncoder.Lowered mix, SoundSource source, Path file)
      throws IOException {
    Optional<LossySound> then = LossySound.of(encoding);
    if (then.isPresent()) {
      SoundEncoder.flacFor(mix, source, file, then.get());
    } else {
      SoundEncoder.flac(mix.by(0), source, file);
    }
  }

  private String by(int high, int standard, int small) {
    return Integer.toString(
        switch (quality) {
          case HIGH -> high;
          case STANDARD -> standard;
          case SMALL -> small;
        });
  }

  /** In two passes at the rate that makes it as large as wished, put right until it is. */
  private void sized(List<String> input, Path part, MasterRender.Progress progress)
      throws IOException {
    double wished = megabytes.orElseThrow() * 1e6;
    double seconds = rate.secondsOf(frames);
    double bits = Math.max(20_000, wished * 8 / seconds * CONTAINER - SOUND);
    Path log = part.resolveSibling(part.getFileName() + "-pass");
    boolean h264 = encoding == Encoding.MP4;
    List<String> video =
        h264
            ? with(
                List.of("-c:v", "libx264", "-preset", "medium", "-profile:v", "high"),
                VideoEncoder.output())
            : vp9();
    List<String> rest = h264 ? with(sound(), List.of("-movflags", "+faststart")) : sound();
    try {
      for (int round = 0; round < ROUNDS; round++) {
        List<String> at =
            List.of("-b:v", Long.toString(Math.round(bits)), "-passlogfile", log.toString());
        if (round == 0) {
          run(
              with(input, video, at, List.of("-pass", "1", "-an", "-f", "null", "/dev/null")),
              Pass.FIRST,
              progress);
        }
        run(
            with(
                input,
                video,
                at,
                List.of("-pass", "2"),
                rest,
                List.of("-f", h264 ? "mp4" : "webm", "file:" + part)),
            Pass.SECOND,
            progress);
        double is = Files.size(part);
        if (Math.abs(is - wished) <= NEAR * wished) {
          return;
        }
        double sound = SOUND * seconds / 8;
        bits *= Math.max(0.2, (wished - sound) / Math.max(1, is - sound));
      }
    } finally {
      try (Stream<Path> logs = Files.list(part.getParent())) {
        for (Path left :
            logs.filter(f -> f.getFileName().toString().startsWith(log.getFileName().toString()))
                .toList()) {
          Files.deleteIfExists(left);
        }
      }
    }
  }

  /** A picture of each frame, in a zip. */
  private void zipped(List<String> input, Path part, MasterRender.Progress progress)
      throws IOException {
    try (WorkFolder work = WorkFolder.make()) {
      run(
          with(
              input,
              List.of(
                  "-f",
                  "image2",
                  "-start_number",
                  "0",
                  work.path().resolve("%06d.png").toString())),
          Pass.ONLY,
          progress);
      try (ZipWriter zip = new ZipWriter(Files.newOutputStream(part));
          Stream<Path> files = Files.list(work.path())) {
        for (Path file : files.sorted().toList()) {
          zip.file(file.getFileName().toString(), file);
        }
      }
    }
  }

  /** Which of the passes over a file a command makes, and so which share of its frames. */
  private enum Pass {
    ONLY(0, 1),
    FIRST(0, 0.5),
    SECOND(0.5, 1);

    private final double from;
    private final double to;

    Pass(double from, double to) {
      this.from = from;
      this.to = to;
    }

    long frames(double done, long all) {
      return Math.round((from + (to - from) * Math.min(1, done / all)) * all);
    }
  }

  private void run(List<String> command, Pass pass, MasterRender.Progress progress)
      throws IOException {
    try (Child child = Child.start(command);
        BufferedReader said = child.said()) {
      boolean ended = false;
      while (!ended) {
        ended = child.hasEnded();
        while (said.ready()) {
          secondsIn(said.readLine())
              .ifPresent(s -> progress.frames(pass.frames(s * rate.perSecond(), frames)));
        }
        if (progress.isCancelled()) {
          throw new CancellationException("The render was cancelled.");
        }
        Thread.sleep(ended ? 0 : 200);
      }
      if (child.waitFor() != 0) {
        throw new IOException("The file could not be written: " + child.errorLine());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("Interrupted while a file was written.");
    }
  }

  /** How far a line says that ffmpeg has come, in seconds of the file. */
  private static OptionalDouble secondsIn(String line) {
    Matcher time = WRITTEN.matcher(line);
    return time.matches()
        ? OptionalDouble.of(Long.parseLong(time.group(1)) / 1e6)
        : OptionalDouble.empty();
  }

  @SafeVarargs
  @SuppressWarnings("varargs") // they are only read
  private static List<String> with(List<String>... parts) {
    return Stream.of(parts).flatMap(List::stream).toList();
  }
}
