package app.latethistle.core.render;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Faces;
import app.latethistle.core.type.TestFaces;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Frames made up for tests: each pixel follows from medium, frame and place. */
final class Drawn implements PictureSource {
  static final int WIDTH = 64;
  static final int HEIGHT = 36;

  /** What a pixel is. */
  interface Paint {
    int luma(String media, long frame, int x, int y);
  }

  private final Paint paint;
  final List<String> opened = new ArrayList<>();
  int open;

  Drawn(Paint paint) {
    this.paint = paint;
  }

  /** Flat frames: media "a" from 40 on, others from 140 on, two more with each frame. */
  static Drawn flat() {
    return new Drawn((media, frame, x, y) -> (media.equals("a") ? 40 : 140) + (int) (2 * frame));
  }

  /** A soft bar that moves two pixels a frame over a still texture. */
  static Drawn bar() {
    return new Drawn(
        (media, frame, x, y) -> {
          double away = (x - 6 - 2 * frame) / 4.0;
          return 60 + (int) Math.round(150 * Math.exp(-away * away));
        });
  }

  /** Noise that is never the same twice. */
  static Drawn noise() {
    return new Drawn(
        (media, frame, x, y) -> {
          long mixed = (media.hashCode() * 31L + frame * 977 + x * 131L + y * 37L) * 2654435761L;
          return 16 + Math.floorMod(mixed >> 7, 220);
        });
  }

  @Override
  public Faces faces() {
    return TestFaces.ALL;
  }

  @Override
  public Reader open(String media, FrameRange frames, Optional<Wish> wish) {
    opened.add(media + " " + frames.start());
    open++;
    return new Reader() {
      private final Frame frame = new Frame(WIDTH, HEIGHT);
      private long at = frames.start();

      @Override
      public PictureShape shape() {
        return PictureShape.of(WIDTH, HEIGHT);
      }

      @Override
      public boolean isDrawn() {
        return false;
      }

      @Override
      public Frame next() throws IOException {
        if (at >= frames.end()) {
          throw new IOException("read past the end of what was opened");
        }
        frame.black();
        for (int i = 0; i < WIDTH * HEIGHT; i++) {
          frame.data()[i] = (byte) paint.luma(media, at, i % WIDTH, i / WIDTH);
        }
        new Random(at)
            .ints(0, 255)
            .limit(16)
            .forEach(v -> frame.data()[WIDTH * HEIGHT + v] = (byte) v);
        at++;
        return frame;
      }

      @Override
      public void close() {
        open--;
      }
    };
  }
}
