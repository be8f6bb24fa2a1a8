package app.latethistle.core.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Blend;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.MotionBetween;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import java.io.Closeable;
import java.io.IOException;
import java.util.Optional;

/**
 * The frames of one piece of footage, as far as a range of the film shows them: opens its source
 * and draws what is asked for. What is drawn follows from the frame's number alone.
 */
final class Reel implements Closeable {
  /** A fraction this near to a whole frame is that frame. */
  private static final double WHOLE = 0.02;

  private final Layer.Footage footage;
  private final FrameRange seen;
  private final long start;
  private final int width;
  private final int height;
  private final boolean bare;
  private final SourceFrames frames;
  private TakeFramer framer;
  private Frame mixed;
  private MotionBetween motion;

  /**
   * @param seen frames of the footage that will be asked for, counted from its start
   * @param start the film's frame of its start
   * @param over whether it is laid over others, and does not cover them
   */
  Reel(
      Layer.Footage footage,
      FrameRange seen,
      long start,
      boolean over,
      Program program,
      PictureSource source) {
    this.footage = footage;
    this.seen = seen;
    this.start = start;
    width = program.width();
    height = program.height();
    bare = over && footage.framing().fit() == Fit.FIT;
    double least = Double.MAX_VALUE;
    double most = 0;
    for (long k = seen.start(); k < seen.end(); k++) {
      double at = footage.frame(k);
      least = Math.min(least, at);
      most = Math.max(most, at);
    }
    FrameRange needed =
        new FrameRange(
            (long) Math.floor(least), Math.min(footage.material(), (long) Math.floor(most) + 2));
    boolean plain = footage.run().plain();
    Optional<PictureSource.Wish> wish =
        plain && !bare && footage.framing().path().isEmpty()
            ? Optional.of(new PictureSource.Wish(width, height, footage.framing()))
            : Optional.empty();
    frames = new SourceFrames(source, footage.media(), needed, plain, wish);
  }

  /** The film's frame at which it is first asked for. */
  long from() {
    return start + seen.start();
  }

  /** The film's frame after the last for which it is asked. */
  long to() {
    return start + seen.end();
  }

  /** Starts reading, so that the first frame is there when its turn comes. */
  void open() throws IOException {
    if (footage.run().way() == Run.Way.FORWARD) {
      frames.open((long) Math.floor(footage.frame(seen.start()) + WHOLE));
    }
  }

  /** A frame of it, drawn; valid until the next call and not to be changed. */
  Frame draw(long k) throws IOException {
    Frame picture = picture(footage.frame(k));
    if (frames.areDrawn()) {
      return picture;
    }
    if (framer == null) {
      framer = framer(footage, frames.shape());
    }
    return framer.draw(picture, k);
  }

  /** Draws masks in the take's own picture as the footage is framed; bars around it are black. */
  TakeFramer maskFramer(PictureShape shape) {
    boolean soft = footage.framing().fit() == Fit.SOFT;
    return framer(soft ? footage.framed(Framing.FIT) : footage, shape);
  }

  private TakeFramer framer(Layer.Footage framed, PictureShape shape) {
    return new TakeFramer(framed, bare, shape, width, height);
  }

  private Frame picture(double at) throws IOException {
    long before = (long) Math.floor(at + WHOLE);
    double on = at - before;
    if (on < WHOLE || footage.run().between() == Run.Between.NEAREST) {
      return frames.at(on < 0.5 ? before : Math.min(before + 1, footage.material() - 1));
    }
    Frame first = frames.at(before);
    Frame second = frames.at(Math.min(before + 1, footage.material() - 1));
    if (mixed == null) {
      mixed = new Frame(first.width(), first.height());
    }
    if (footage.run().between() == Run.Between.BLENDED) {
      Blend.mix(first, second, on, mixed);
    } else {
      if (motion == null) {
        motion = new MotionBetween(first.width(), first.height());
      }
      motion.draw(before, first, second, on, mixed);
    }
    return mixed;
  }

  @Override
  public void close() throws IOException {
    frames.close();
  }
}
