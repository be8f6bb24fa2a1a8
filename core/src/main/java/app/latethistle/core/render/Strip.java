package app.latethistle.core.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.picture.Blend;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.picture.MotionBetween;
import app.latethistle.core.take.Framing;
import app.latethistle.core.time.FrameRange;
import java.io.Closeable;
import java.io.IOException;

/** A span's part of a range that is drawn: opens its source and draws its frames in order. */
final class Strip implements Closeable {
  /** A fraction this near to a whole frame is that frame. */
  private static final double WHOLE = 0.02;

  private final Span span;
  private final FrameRange part;
  private final Program program;
  private final SourceFrames frames;
  private Framer framer;
  private Frame box;
  private Frame mixed;
  private MotionBetween motion;

  Strip(Span span, FrameRange part, Program program, PictureSource source) {
    this.span = span;
    this.part = part;
    this.program = program;
    double least = Double.MAX_VALUE;
    double most = 0;
    for (long f = part.start(); f < part.end(); f++) {
      double at = span.frame(f);
      least = Math.min(least, at);
      most = Math.max(most, at);
    }
    FrameRange needed =
        new FrameRange(
            (long) Math.floor(least), Math.min(span.frames(), (long) Math.floor(most) + 2));
    frames = new SourceFrames(source, span.media(), needed, span.run().plain());
  }

  long from() {
    return part.start();
  }

  long to() {
    return part.end();
  }

  int layer() {
    return span.lie().layer();
  }

  boolean shows(long frame) {
    return frame >= part.start() && frame < part.end();
  }

  /** Whether nothing under it is seen. */
  boolean covers() {
    return layer() == 0
        || (span.lie().size() == 100
            && span.lie().opacity() == 100
            && span.framing() != Framing.FIT);
  }

  /** Starts reading, so that the first frame is there when its turn comes. */
  void open() throws IOException {
    if (span.run().way() == Run.Way.FORWARD) {
      frames.open((long) Math.floor(span.frame(part.start()) + WHOLE));
    }
  }

  void draw(long frame, Frame target) throws IOException {
    Frame picture = picture(span.frame(frame));
    if (framer == null) {
      makeFramer();
    }
    if (covers()) {
      framer.draw(picture, target);
      return;
    }
    framer.draw(picture, box);
    int x = (target.width() - box.width()) * span.lie().x() / 100 / 2 * 2;
    int y = (target.height() - box.height()) * span.lie().y() / 100 / 2 * 2;
    Blend.paste(box, target, x, y, span.lie().opacity() / 100.0);
  }

  private void makeFramer() {
    if (covers()) {
      framer = Framer.of(frames.shape(), program.width(), program.height(), span.framing());
      return;
    }
    int width = even(program.width() * span.lie().size() / 100);
    int height = even(program.height() * span.lie().size() / 100);
    if (span.framing() == Framing.FIT) {
      // A clip that is laid over whole brings no black bars with it.
      double wider = frames.shape().aspect() * height / width;
      width = wider > 1 ? width : even((int) (width * wider));
      height = wider > 1 ? even((int) (height / wider)) : height;
    }
    Framing framing = span.framing() == Framing.FIT ? Framing.FILL : span.framing();
    box = new Frame(width, height);
    framer = Framer.of(frames.shape(), width, height, framing);
  }

  private static int even(int value) {
    return Math.max(2, value / 2 * 2);
  }

  private Frame picture(double at) throws IOException {
    long before = (long) Math.floor(at + WHOLE);
    double on = at - before;
    if (on < WHOLE || span.run().between() == Run.Between.NEAREST) {
      return frames.at(on < 0.5 ? before : Math.min(before + 1, span.frames() - 1));
    }
    Frame first = frames.at(before);
    Frame second = frames.at(Math.min(before + 1, span.frames() - 1));
    if (mixed == null) {
      mixed = new Frame(first.width(), first.height());
    }
    if (span.run().between() == Run.Between.BLENDED) {
      Blend.mix(first, second, on, mixed);
    } else {
      if (motion == null) {
        motion = new MotionBetween(first.width(), first.height());
      }
      motion.draw(first, second, on, mixed);
    }
    return mixed;
  }

  @Override
  public void close() throws IOException {
    frames.close();
  }
}
