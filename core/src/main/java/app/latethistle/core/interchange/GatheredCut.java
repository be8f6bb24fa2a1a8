package app.latethistle.core.interchange;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts pieces of a cut together as they are read, one after the other, gaps between them. */
public final class GatheredCut {
  private final String title;
  private final FrameRate rate;
  private final List<PieceList.Piece> pieces = new ArrayList<>();
  private final List<PieceList.Mark> marks = new ArrayList<>();
  private final List<Strand> beside = new ArrayList<>();
  private final List<String> unread = new ArrayList<>();
  private long end;

  public GatheredCut(String title, FrameRate rate) {
    this.title = title;
    this.rate = rate;
  }

  /** Where the last piece ends. */
  public long end() {
    return end;
  }

  /** Whether the last piece is a shot, so that another can be mixed with it. */
  public boolean endsWithShot() {
    return !pieces.isEmpty() && pieces.get(pieces.size() - 1).file().isPresent();
  }

  /**
   * A shot that follows.
   *
   * @param file which it is of; empty for black
   * @param source the file's first frame that is shown
   * @param length in frames of the film
   * @param speed in per cent; negative for reverse, 0 for a picture that is held
   * @param mixed frames in which the shot before is still seen, half of them before the cut
   */
  public void add(
      String name, Optional<NamedFile> file, long source, long length, int speed, long mixed) {
    if (length <= 0) {
      return;
    }
    FrameRange at = FrameRange.ofLength(end, length);
    long material = Math.max(1, Math.round(length * Math.abs(speed) / 100.0));
    FrameRange shown = FrameRange.ofLength(Math.max(0, source), material);
    FrameRange mixes = FrameRange.ofLength(Math.max(0, end - mixed / 2), mixed);
    pieces.add(
        new PieceList.Piece(
            name,
            file,
            shown.end(),
            shown,
            at,
            file.isPresent() ? speed : 100,
            mixed == 0 ? FrameRange.ofLength(end, 0) : mixes));
    end = at.end();
  }

  /** Nothing is seen up to a frame. */
  public void gapUpTo(long frame) {
    add("gap", Optional.empty(), 0, frame - end, 100, 0);
  }

  /** The last piece lasts longer, for another one is mixed with it. */
  public void lengthen(long frames) {
    PieceList.Piece last = pieces.remove(pieces.size() - 1);
    end = last.at().start();
    long length = last.at().length() + frames;
    add(
        last.name(),
        last.file(),
        last.source().start(),
        length,
        last.speed(),
        last.mixes().length());
  }

  /** A marker. */
  public void mark(long frame, String note) {
    marks.add(new PieceList.Mark(frame, note));
  }

  /** A track beside the cut; those of pictures from the lowest up. */
  public void beside(Strand strand) {
    beside.add(strand);
  }

  /** Something that is not understood, in a sentence; said once. */
  public void unread(String sentence) {
    if (!unread.contains(sentence)) {
      unread.add(sentence);
    }
  }

  /** What was read. */
  public ReadCut read() {
    return new ReadCut(new PieceList(title, rate, pieces, marks), beside, unread);
  }
}
