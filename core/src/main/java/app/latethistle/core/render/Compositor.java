package app.latethistle.core.render;

import app.latethistle.core.picture.Fade;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;

/** Makes the film's frames, one after another, from decoded frames of its takes. */
public final class Compositor {
  /** Frames before a span's turn at which its decoder is started. */
  private static final int AHEAD = 24;

  private final Program program;
  private final PictureSource source;

  /** Where finished frames go. */
  @FunctionalInterface
  public interface Sink {
    /** Takes a frame, which is valid only during the call. */
    void accept(Frame frame) throws IOException;
  }

  public Compositor(Program program, PictureSource source) {
    this.program = program;
    this.source = source;
  }

  /** Draws a range of the film. */
  public void draw(FrameRange range, Sink sink) throws IOException {
    Frame target = new Frame(program.width(), program.height());
    Deque<Strip> coming = new ArrayDeque<>(strips(range));
    List<Strip> open = new ArrayList<>();
    try {
      for (long f = range.start(); f < range.end(); f++) {
        while (!coming.isEmpty() && coming.peek().from() <= f + AHEAD) {
          Strip next = coming.remove();
          open.add(next);
          next.open();
        }
        close(open, f);
        compose(open, f, target);
        Fade.toBlack(target, program.gain(f));
        sink.accept(target);
      }
    } finally {
      close(open, Long.MAX_VALUE);
    }
  }

  /** The parts of spans that lie in a range, as they begin. */
  private List<Strip> strips(FrameRange range) {
    List<Strip> strips = new ArrayList<>();
    for (Span span : program.spans()) {
      long from = Math.max(range.start(), span.range().start());
      long to = Math.min(range.end(), span.range().end());
      if (from < to) {
        strips.add(new Strip(span, new FrameRange(from, to), program, source));
      }
    }
    strips.sort(Comparator.comparingLong(Strip::from));
    return strips;
  }

  private static void compose(List<Strip> open, long frame, Frame target) throws IOException {
    List<Strip> seen = new ArrayList<>();
    for (Strip strip : open) {
      if (strip.shows(frame)) {
        seen.add(strip);
      }
    }
    seen.sort(Comparator.comparingInt(Strip::layer));
    // What another covers whole is not drawn, but its frames are passed by when it is next seen.
    int lowest = 0;
    for (int i = seen.size() - 1; i > 0 && lowest == 0; i--) {
      lowest = seen.get(i).covers() ? i : 0;
    }
    if (seen.isEmpty() || !seen.get(lowest).covers()) {
      target.black();
    }
    for (Strip strip : seen.subList(lowest, seen.size())) {
      strip.draw(frame, target);
    }
  }

  private static void close(List<Strip> open, long before) throws IOException {
    IOException first = null;
    for (int i = open.size() - 1; i >= 0; i--) {
      if (open.get(i).to() <= before) {
        try {
          open.remove(i).close();
        } catch (IOException e) {
          first = first == null ? e : first;
        }
      }
    }
    if (first != null) {
      throw first;
    }
  }
}
