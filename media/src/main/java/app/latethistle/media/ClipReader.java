package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.InterruptedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;

/**
 * Frames of an original file at the film's rate, decoded by a process of its own and read ahead by
 * a thread of its own into a short queue of buffers that go round.
 */
public final class ClipReader implements PictureSource.Reader {
  private static final int AHEAD = 8;
  private static final int PATIENCE_SECONDS = 60;

  private final PictureShape shape;
  private final boolean drawn;
  private final long count;
  private final boolean still;
  private final Child child;
  private final BlockingQueue<byte[]> full = new ArrayBlockingQueue<>(AHEAD + 1);
  private final BlockingQueue<byte[]> empty = new ArrayBlockingQueue<>(AHEAD + 1);
  private volatile IOException failure;
  private volatile boolean closed;
  private byte[] current;

  private ClipReader(PictureShape shape, boolean drawn, long count, boolean still, Child child) {
    this.shape = shape;
    this.drawn = drawn;
    this.count = count;
    this.still = still;
    this.child = child;
  }

  /**
   * Opens a range of a file.
   *
   * @param frames at the film's rate
   */
  public static ClipReader open(Path file, MediaFacts facts, FrameRate rate, FrameRange frames)
      throws IOException {
    return open(file, facts, rate, frames, Optional.empty());
  }

  /**
   * The same, drawn by the decoder's own process where that draws the same picture as a {@link
   * app.latethistle.core.picture.Framer}: its scaler works on many pixels at once.
   *
   * @param wish how the frames are going to be drawn
   */
  static ClipReader open(
      Path file,
      MediaFacts facts,
      FrameRate rate,
      FrameRange frames,
      Optional<PictureSource.Wish> wish)
      throws IOException {
    PictureShape whole =
        facts.shape().orElseThrow(() -> new IOException("There is no picture in this file."));
    PictureShape even =
        new PictureShape(whole.width() / 2 * 2, whole.height() / 2 * 2, whole.pixelAspect());
    Optional<String> drawn = wish.flatMap(w -> PictureFilters.drawn(even, w));
    PictureShape shape =
        drawn.isPresent() ? PictureShape.of(wish.get().width(), wish.get().height()) : even;
    boolean still = facts.kind() == MediaFacts.Kind.STILL;
    List<String> command =
        Sandbox.ffmpeg(
            file,
            facts.container(),
            still ? List.of() : PictureFilters.seek(frames, rate),
            List.of(
                "-an",
                "-vf",
                PictureFilters.conform(facts, rate, frames) + drawn.map(d -> "," + d).orElse(""),
                "-fps_mode",
                "passthrough",
                "-f",
                "rawvideo",
                "pipe:1"));
    ClipReader reader =
        new ClipReader(
            shape, drawn.isPresent(), still ? 1 : frames.length(), still, Child.start(command));
    for (int i = 0; i < AHEAD; i++) {
      reader.empty.add(new byte[Frame.size(shape.width(), shape.height())]);
    }
    Thread thread = new Thread(reader::readAhead, "clip-reader");
    thread.setDaemon(true);
    thread.start();
    return reader;
  }

  @Override
  public PictureShape shape() {
    return shape;
  }

  @Override
  public boolean isDrawn() {
    return drawn;
  }

  @Override
  public Frame next() throws IOException {
    if (still && current != null) {
      return new Frame(shape.width(), shape.height(), current);
    }
    if (current != null) {
      empty.add(current);
      current = null;
    }
    try {
      long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_SECONDS);
      while (current == null) {
        current = full.poll(50, TimeUnit.MILLISECONDS);
        if (current == null && failure != null && full.isEmpty()) {
          throw new IOException(failure.getMessage(), failure);
        }
        if (current == null && System.nanoTime() > deadline) {
          throw new IOException("The decoder gave no frame for " + PATIENCE_SECONDS + " seconds.");
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("Interrupted while waiting for a frame.");
    }
    return new Frame(shape.width(), shape.height(), current);
  }

  private void readAhead() {
    try {
      InputStream in = child.stdout();
      for (long i = 0; i < count && !closed; i++) {
        byte[] buffer = empty.take();
        int n = in.readNBytes(buffer, 0, buffer.length);
        if (n < buffer.length) {
          child.waitFor();
          throw new EOFException(
              "The file gave "
                  + i
                  + " of "
                  + count
                  + " frames"
                  + (child.errorText().isBlank() ? "." : ": " + child.errorLine()));
        }
        full.put(buffer);
      }
    } catch (IOException e) {
      failure = e;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void close() {
    closed = true;
    child.close();
    // Lets a reader that waits for a buffer come to its end.
    empty.offer(new byte[0]);
  }
}
