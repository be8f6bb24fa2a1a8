package app.latethistle.core.repair;

import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.List;
import java.util.Optional;

/**
 * Keeps one piece of a clip: the longest that no jump is in, the first of those that are as long.
 */
final class LongestPiece implements Mending {
  private final FrameRange piece;

  /**
   * One.
   *
   * @param jumps the first pictures after jumps, in order
   * @param frames of the clip
   */
  LongestPiece(List<Integer> jumps, long frames) {
    FrameRange longest = new FrameRange(0, 0);
    long from = 0;
    for (int i = 0; i <= jumps.size(); i++) {
      long to = i < jumps.size() ? Math.min(frames, jumps.get(i)) : frames;
      if (to - from > longest.length()) {
        longest = new FrameRange(from, to);
      }
      from = Math.max(from, to);
    }
    piece = longest;
  }

  @Override
  public Optional<FrameRange> kept() {
    return Optional.of(piece);
  }

  @Override
  public void mend(Clip clip, Clip.Taker taker, Clip.Progress progress) throws IOException {
    clip.each(
        (number, frame) -> {
          if (piece.contains(number)) {
            taker.take((int) (number - piece.start()), frame);
            progress.at((number - piece.start() + 1.0) / piece.length());
          }
        });
  }
}
