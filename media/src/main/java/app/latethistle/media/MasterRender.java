package app.latethistle.media;

import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.render.Segmentation;
import app.latethistle.core.time.FrameRange;
import java.io.Closeable;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;

/**
 * Renders a master: segment by segment, each kept by its hash, then joined without encoding again.
 * A render that was stopped goes on with the segments it has.
 */
public final class MasterRender {
  /** Frames before a segment's end at which the next one's encoder is started. */
  private static final int AHEAD = 20;

  private final Program program;
  private final PictureSource source;
  private final Quality quality;
  private final Path segments;

  /** Told how far a render is, and asked whether to go on. */
  public interface Progress {
    /** So many frames of the film are done. */
    void frames(long done);

    /** Whether to stop. */
    boolean isCancelled();
  }

  /**
   * @param segments the folder in which segments are kept
   */
  public MasterRender(Program program, PictureSource source, Quality quality, Path segments) {
    this.program = program;
    this.source = source;
    this.quality = quality;
    this.segments = segments;
  }

  /**
   * Renders to a file.
   *
   * @throws CancellationException if the progress says so
   */
  public void render(Mix mix, SoundSource sounds, Path target, Progress progress)
      throws IOException {
    Files.createDirectories(segments);
    List<Segment> all = Segmentation.MASTER.of(program);
    List<Path> pieces = all.stream().map(this::pathOf).toList();
    Path track = ContentStore.partOf(target.resolveSibling("sound"));
    // The sound is encoded beside the pictures: neither keeps a core busy all the time.
    FutureTask<Void> sound =
        new FutureTask<>(
            () -> {
              SoundEncoder.m4a(mix, sounds, track);
              return null;
            });
    Thread beside = new Thread(sound, "master-sound");
    beside.setDaemon(true);
    beside.start();
    try {
      for (int i = 0; i < all.size(); ) {
        int end = i;
        while (end < all.size() && !Files.exists(pieces.get(end))) {
          end++;
        }
        if (end > i) {
          draw(all.subList(i, end), progress);
          i = end;
        } else {
          progress.frames(all.get(i).range().end());
          i++;
        }
      }
      await(sound);
      join(all, pieces, track, target);
    } finally {
      stop(sound, beside);
      Files.deleteIfExists(track);
    }
  }

  /** Ends the sound's encoding if it still goes on, so that it writes no more. */
  private static void stop(FutureTask<Void> sound, Thread beside) {
    sound.cancel(true);
    try {
      beside.join(5_000);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static void await(FutureTask<Void> sound) throws IOException {
    try {
      sound.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("Interrupted while the sound was encoded.");
    } catch (ExecutionException e) {
      if (e.getCause() instanceof IOException failed) {
        throw failed;
      }
      throw new IllegalStateException(e.getCause());
    }
  }

  private Path pathOf(Segment segment) {
    return segments.resolve(segment.key() + "-" + quality.name().toLowerCase(Locale.ROOT) + ".mp4");
  }

  /** Draws neighbouring segments in one go, so that decoders run on across their borders. */
  private void draw(List<Segment> run, Progress progress) throws IOException {
    FrameRange range =
        new FrameRange(run.get(0).range().start(), run.get(run.size() - 1).range().end());
    try (Pieces pieces = new Pieces(run, progress)) {
      new Compositor(program, source).draw(range, pieces);
    }
  }

  /** Writes each segment with an encoder of its own; the next begins while the last one drains. */
  private final class Pieces implements Compositor.Sink, Closeable {
    private final List<Segment> run;
    private final Progress progress;
    private final Deque<Piece> open = new ArrayDeque<>();
    private final Deque<Piece> draining = new ArrayDeque<>();
    private int begun;
    private long frame;

    private record Piece(VideoEncoder encoder, long end, Path part, Path kept) {}

    Pieces(List<Segment> run, Progress progress) throws IOException {
      this.run = run;
      this.progress = progress;
      frame = run.get(0).range().start();
      begin();
    }

    private void begin() throws IOException {
      Segment segment = run.get(begun++);
      Path kept = pathOf(segment);
      Path part = ContentStore.partOf(kept);
      VideoEncoder encoder =
          VideoEncoder.master(part, program.width(), program.height(), program.rate(), quality);
      open.add(new Piece(encoder, segment.range().end(), part, kept));
    }

    @Override
    public void accept(Frame picture) throws IOException {
      if (progress.isCancelled()) {
        throw new CancellationException("The render was cancelled.");
      }
      Piece piece = open.getFirst();
      if (frame >= piece.end() - AHEAD && open.size() < 2 && begun < run.size()) {
        begin();
      }
      piece.encoder().write(picture);
      progress.frames(++frame);
      if (frame == piece.end()) {
        piece.encoder().end();
        draining.add(open.removeFirst());
        keepAllBut(1);
      }
    }

    private void keepAllBut(int drainingStill) throws IOException {
      while (draining.size() > drainingStill) {
        Piece piece = draining.getFirst();
        piece.encoder().await();
        ContentStore.moveInto(piece.part(), piece.kept());
        draining.removeFirst();
      }
    }

    /** Keeps what is whole and drops the rest, so that a stopped render loses little. */
    @Override
    public void close() throws IOException {
      try {
        keepAllBut(0);
      } finally {
        draining.addAll(open);
        for (Piece piece : draining) {
          piece.encoder().close();
          Files.deleteIfExists(piece.part());
        }
      }
    }
  }

  private void join(List<Segment> all, List<Path> pieces, Path track, Path target)
      throws IOException {
    Path list = ContentStore.partOf(target.resolveSibling("list"));
    Path part = ContentStore.partOf(target);
    try {
      StringBuilder text = new StringBuilder();
      for (int i = 0; i < pieces.size(); i++) {
        text.append("file '").append(escaped(pieces.get(i))).append("'\n");
        double seconds = program.rate().secondsOf(all.get(i).range().length());
        text.append(String.format(Locale.ROOT, "duration %.9f%n", seconds));
      }
      Files.writeString(list, text);
      Child.output(
          List.of(
              "ffmpeg",
              "-nostdin",
              "-v",
              "error",
              "-y",
              "-f",
              "concat",
              "-safe",
              "0",
              "-i",
              list.toString(),
              "-i",
              track.toString(),
              "-map",
              "0:v",
              "-map",
              "1:a",
              "-c",
              "copy",
              "-video_track_timescale",
              Integer.toString(VideoEncoder.timescale(program.rate())),
              "-movflags",
              "+faststart",
              "-f",
              "mp4",
              part.toString()),
          600);
      ContentStore.moveInto(part, target);
    } finally {
      Files.deleteIfExists(list);
      Files.deleteIfExists(part);
    }
  }

  private static String escaped(Path path) {
    return path.toAbsolutePath().toString().replace("'", "'\\''");
  }
}
