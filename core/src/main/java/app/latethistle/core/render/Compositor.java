package app.latethistle.core.render;

import app.latethistle.core.picture.Fade;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** Makes the film's frames, one after another, from decoded frames of its takes. */
public final class Compositor {
  /** Frames before a span's end at which the next one's decoder is started. */
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

  /** Draws a range of the film. The next span's source is opened some frames before its turn. */
  public void draw(FrameRange range, Sink sink) throws IOException {
    Frame target = new Frame(program.width(), program.height());
    List<Piece> pieces = pieces(range);
    PictureSource.Reader ahead = null;
    long at = range.start();
    try {
      for (int i = 0; i < pieces.size(); i++) {
        Piece piece = pieces.get(i);
        black(at, piece.from(), target, sink);
        at = piece.to();
        try (PictureSource.Reader reader = ahead == null ? open(piece) : ahead) {
          ahead = null;
          Framer framer = piece.framer(reader, program);
          Frame picture = null;
          for (long f = piece.from(); f < piece.to(); f++) {
            if (ahead == null && i + 1 < pieces.size() && piece.to() - f <= AHEAD) {
              ahead = open(pieces.get(i + 1));
            }
            if (piece.first() + f - piece.from() < piece.last()) {
              picture = reader.next();
            }
            framer.draw(picture, target);
            Fade.toBlack(target, program.gain(f));
            sink.accept(target);
          }
        }
      }
      black(at, range.end(), target, sink);
    } finally {
      if (ahead != null) {
        ahead.close();
      }
    }
  }

  /** A span's part of a range: frames of the film, and the first and the end of the take's. */
  private record Piece(Program.Span span, long from, long to, long first, long last) {
    Framer framer(PictureSource.Reader reader, Program program) {
      return Framer.of(reader.shape(), program.width(), program.height(), span.framing());
    }
  }

  private List<Piece> pieces(FrameRange range) {
    List<Piece> pieces = new ArrayList<>();
    for (Program.Span span : program.spans()) {
      long from = Math.max(range.start(), span.range().start());
      long to = Math.min(range.end(), span.range().end());
      if (from < to) {
        long first = Math.min(span.in() + from - span.range().start(), span.frames() - 1);
        pieces.add(new Piece(span, from, to, first, Math.min(first + to - from, span.frames())));
      }
    }
    return pieces;
  }

  private PictureSource.Reader open(Piece piece) throws IOException {
    return source.open(piece.span().media(), new FrameRange(piece.first(), piece.last()));
  }

  private static void black(long from, long to, Frame target, Sink sink) throws IOException {
    for (long f = from; f < to; f++) {
      target.black();
      sink.accept(target);
    }
  }
}
