package app.latethistle.core.render;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import java.io.Closeable;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Frames of a medium in any order, from a source that gives them in order. Forward they are read
 * once; backward they are read in handfuls that end with the frame asked for.
 */
final class SourceFrames implements Closeable {
  /** Frames read at once when going backward: as many of 1080p take 37 MB. */
  private static final int HANDFUL = 12;

  private final PictureSource source;
  private final String media;
  private final FrameRange needed;
  private final boolean passing;
  private final Optional<PictureSource.Wish> wish;
  private final Map<Long, Frame> kept = new HashMap<>();
  private PictureSource.Reader reader;
  private long next;
  private long end;
  private Frame last;

  /**
   * @param needed frames that will be asked for
   * @param passing whether they are asked for in order and one at a time, so that none need be kept
   * @param wish how they are going to be drawn, if as they come
   */
  SourceFrames(
      PictureSource source,
      String media,
      FrameRange needed,
      boolean passing,
      Optional<PictureSource.Wish> wish) {
    this.source = source;
    this.media = media;
    this.needed = needed;
    this.passing = passing;
    this.wish = wish;
  }

  /** Starts reading from a frame on. */
  void open(long from) throws IOException {
    open(new FrameRange(from, needed.end()));
  }

  /** The shape of the frames; known once one was read. */
  PictureShape shape() {
    return reader.shape();
  }

  /** Whether they come drawn as was wished; known once one was read. */
  boolean areDrawn() {
    return reader.isDrawn();
  }

  /** A frame; when they are kept, as long as the one asked for next, else until that. */
  Frame at(long frame) throws IOException {
    if (passing) {
      return passed(frame);
    }
    if (!kept.containsKey(frame)) {
      if (reader == null || frame < next || frame >= end) {
        open(around(frame));
      }
      while (next <= frame) {
        kept.put(next, copy(reader.next()));
        kept.remove(next - HANDFUL);
        next++;
      }
    }
    return kept.get(frame);
  }

  private Frame passed(long frame) throws IOException {
    if (reader == null) {
      open(frame);
    }
    while (next <= frame) {
      last = reader.next();
      next++;
    }
    return last;
  }

  /** Going back, a handful that ends with the frame and the one after it; else all from it on. */
  private FrameRange around(long frame) {
    boolean back = reader != null && frame < next;
    return back
        ? new FrameRange(
            Math.max(needed.start(), frame + 2 - HANDFUL), Math.min(needed.end(), frame + 2))
        : new FrameRange(frame, needed.end());
  }

  private void open(FrameRange range) throws IOException {
    close();
    reader = source.open(media, range, wish);
    next = range.start();
    end = range.end();
    kept.clear();
  }

  private static Frame copy(Frame frame) {
    return new Frame(frame.width(), frame.height(), frame.data().clone());
  }

  @Override
  public void close() throws IOException {
    if (reader != null) {
      reader.close();
      reader = null;
    }
  }
}
