package app.latethistle.media;

import app.latethistle.core.repair.Clip;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;

/** A file as pictures that can be gone through; a still has one. */
final class ClipFile implements Clip {
  private final Path file;
  private final MediaFacts facts;
  private final FrameRate rate;
  private final PictureShape shape;

  ClipFile(Path file, MediaFacts facts, FrameRate rate) {
    this.file = file;
    this.facts = facts;
    this.rate = rate;
    shape = facts.shape().orElseThrow();
  }

  FrameRate rate() {
    return rate;
  }

  @Override
  public int width() {
    return shape.width() / 2 * 2;
  }

  @Override
  public int height() {
    return shape.height() / 2 * 2;
  }

  @Override
  public void each(Taker taker) throws IOException {
    long frames = facts.kind() == MediaFacts.Kind.STILL ? 1 : facts.framesAt(rate);
    FrameRange all = new FrameRange(0, frames);
    try (ClipReader reader = ClipReader.open(file, facts, rate, all)) {
      for (int i = 0; i < all.length(); i++) {
        taker.take(i, reader.next());
      }
    }
  }
}
