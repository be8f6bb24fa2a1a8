package app.latethistle.media;

import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.render.Segmentation;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Renders a master: segments, each kept by its hash, then joined without encoding again. A render
 * that was stopped goes on with the segments it has. Segments do not know of each other, so that
 * several processes may make those of one master: whoever makes one, it has the same bytes.
 */
public final class MasterRender {
  /**
   * Segments that a process makes at once: one keeps about two cores busy, and while its encoder
   * starts and ends the next one works.
   */
  public static final int AT_ONCE = 1 + Runtime.getRuntime().availableProcessors() / 2;

  private final Program program;
  private final PictureSource source;
  private final Optional<Quality> quality;
  private final Path folder;
  private final List<Segment> segments;

  /** Told how far a render is, and asked whether to go on. Several threads may ask. */
  public interface Progress {
    /** Nobody is told, and nobody stops it. */
    Progress NOBODY =
        new Progress() {
          @Override
          public void frames(long done) {
            // Who waits for it waits to its end.
          }

          @Override
          public boolean isCancelled() {
            return false;
          }
        };

    /** So many frames are done. */
    void frames(long done);

    /** Whether to stop. */
    boolean isCancelled();
  }

  /**
   * @param quality of its pictures; empty for without any loss, for what is going to be encoded
   *     again
   * @param folder in which segments are kept
   */
  public MasterRender(
      Program program, PictureSource source, Optional<Quality> quality, Path folder) {
    this.program = program;
    this.source = source;
    this.quality = quality;
    this.folder = folder;
    segments = Segmentation.MASTER.of(program);
  }

  /** The segments of the master, in their order. */
  public List<Segment> segments() {
    return segments;
  }

  /** Whether a segment is kept already. */
  public boolean isMade(Segment segment) {
    return Files.exists(pathOf(segment));
  }

  private Path pathOf(Segment segment) {
    String name = quality.map(q -> q.name().toLowerCase(Locale.ROOT)).orElse("lossless");
    return folder.resolve(segment.key() + "-" + name + ".mp4");
  }

  /** How large a segment is, in bytes; 0 if it is not made. */
  public long bytesOf(Segment segment) throws IOException {
    return isMade(segment) ? Files.size(pathOf(segment)) : 0;
  }

  /**
   * Makes a segment, unless it is kept already.
   *
   * @param progress told of the frames of this segment
   * @throws CancellationException if the progress says so
   */
  public void make(Segment segment, Progress progress) throws IOException {
    if (isMade(segment)) {
      progress.frames(segment.range().length());
      return;
    }
    Files.createDirectories(folder);
    Path kept = pathOf(segment);
    Path part = ContentStore.partOf(kept);
    AtomicLong drawn = new AtomicLong();
    try (VideoEncoder encoder =
        VideoEncoder.master(part, program.width(), program.height(), program.rate(), quality)) {
      new Compositor(program, source)
          .draw(
              segment.range(),
              picture -> {
                if (progress.isCancelled()) {
                  throw new CancellationException("The render was cancelled.");
                }
                encoder.write(picture);
                progress.frames(drawn.incrementAndGet());
              });
      encoder.end();
      encoder.await();
      ContentStore.moveInto(part, kept);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /**
   * Renders to a file.
   *
   * @throws CancellationException if the progress says so
   */
  public void render(Mix mix, SoundSource sounds, Path target, Progress progress)
      throws IOException {
    Path track = ContentStore.partOf(target.resolveSibling("sound"));
    // The sound is encoded beside the pictures: neither keeps a core busy all the time.
    ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE + 1);
    List<Future<?>> works = new ArrayList<>();
    try {
      works.add(
          threads.submit(
              () -> {
                SoundEncoder.m4a(mix, sounds, track);
                return null;
              }));
      AtomicLong done = new AtomicLong();
      for (Segment segment : segments) {
        works.add(
            threads.submit(
                () -> {
                  make(segment, part(progress, done));
                  return null;
                }));
      }
      for (Future<?> work : works) {
        await(work);
      }
      join(Optional.of(track), Tags.NONE, target);
    } finally {
      end(threads);
      Files.deleteIfExists(track);
    }
  }

  /** The progress of a segment, as a part of the whole. */
  private static Progress part(Progress whole, AtomicLong done) {
    return new Progress() {
      private long before;

      @Override
      public void frames(long now) {
        whole.frames(done.addAndGet(now - before));
        before = now;
      }

      @Override
      public boolean isCancelled() {
        return whole.isCancelled();
      }
    };
  }

  /** Ends what still goes on, so that nothing is written any more. */
  private static void end(ExecutorService threads) {
    threads.shutdownNow();
    try {
      threads.awaitTermination(5, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static void await(Future<?> work) throws IOException {
    try {
      work.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("Interrupted while a master was rendered.");
    } catch (ExecutionException e) {
      if (e.getCause() instanceof IOException failed) {
        throw failed;
      }
      if (e.getCause() instanceof RuntimeException failed) {
        throw failed;
      }
      throw new IllegalStateException(e.getCause());
    }
  }

  /**
   * Joins the segments, which have all been made, with the sound.
   *
   * @param track the sound as {@link SoundEncoder#m4a} writes it; empty for pictures alone
   */
  public void join(Optional<Path> track, Tags tags, Path target) throws IOException {
    join(segments, track, tags, target);
  }

  /** Joins some segments, which have been made, to a film of their pictures alone. */
  public void join(List<Segment> some, Path target) throws IOException {
    join(some, Optional.empty(), Tags.NONE, target);
  }

  private void join(List<Segment> joined, Optional<Path> track, Tags tags, Path target)
      throws IOException {
    Path list = ContentStore.partOf(target.resolveSibling("list"));
    Path written = ContentStore.partOf(target.resolveSibling("tags"));
    Path part = ContentStore.partOf(target);
    try {
      StringBuilder text = new StringBuilder();
      for (Segment segment : joined) {
        ContentStore.used(pathOf(segment));
        text.append("file '").append(escaped(pathOf(segment))).append("'\n");
        double seconds = program.rate().secondsOf(segment.range().length());
        text.append(String.format(Locale.ROOT, "duration %.9f%n", seconds));
      }
      Files.writeString(list, text);
      Files.writeString(written, tags.text());
      List<String> command =
          new ArrayList<>(List.of("ffmpeg", "-nostdin", "-v", "error", "-y", "-f", "concat"));
      command.addAll(List.of("-safe", "0", "-i", list.toString()));
      command.addAll(List.of("-f", "ffmetadata", "-i", written.toString()));
      track.ifPresent(sound -> command.addAll(List.of("-i", sound.toString())));
      command.addAll(List.of("-map", "0:v", "-map_metadata", "1", "-map_chapters", "1"));
      if (track.isPresent()) {
        command.addAll(List.of("-map", "2:a", "-metadata:s:a:0", "language=" + tags.language()));
      }
      String timescale = Integer.toString(VideoEncoder.timescale(program.rate()));
      command.addAll(List.of("-c", "copy", "-video_track_timescale", timescale));
      command.addAll(List.of("-movflags", "+faststart", "-f", "mp4", part.toString()));
      Child.output(command, 600);
      ContentStore.moveInto(part, target);
    } finally {
      Files.deleteIfExists(list);
      Files.deleteIfExists(written);
      Files.deleteIfExists(part);
    }
  }

  private static String escaped(Path path) {
    return path.toAbsolutePath().toString().replace("'", "'\\''");
  }
}
