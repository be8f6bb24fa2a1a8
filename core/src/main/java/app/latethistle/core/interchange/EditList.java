package app.latethistle.core.interchange;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Timecode;
import java.util.Locale;

/**
 * A cut as a CMX 3600 edit decision list (from memory of the format): one event for each shot, a
 * dissolve as two lines of one event, speeds as M2 lines, files and markers as comments. What the
 * format has no word for (other transitions, what is done to pictures) is left out; other
 * transitions are written as dissolves of their length.
 */
public final class EditList {
  /** Films begin at an hour, as tapes did. */
  private static final int FIRST_HOUR = 3600;

  private EditList() {}

  /** The list as text, lines ended by a carriage return and a line feed. */
  public static String of(PieceList cut) {
    StringBuilder text = new StringBuilder();
    line(text, "TITLE: " + cut.title().toUpperCase(Locale.ROOT));
    boolean drop = Timecode.of(0, cut.rate()).dropFrame();
    line(text, drop ? "FCM: DROP FRAME" : "FCM: NON-DROP FRAME");
    int number = 1;
    PieceList.Piece before = null;
    for (int i = 0; i < cut.pieces().size(); i++) {
      PieceList.Piece piece = cut.pieces().get(i);
      if (piece.file().isEmpty()) {
        before = piece;
        continue;
      }
      boolean mixes = before != null && before.file().isPresent() && !piece.mixes().isEmpty();
      long early = mixes ? piece.at().start() - piece.mixes().start() : 0;
      long late = i + 1 < cut.pieces().size() ? handedOver(piece, cut.pieces().get(i + 1)) : 0;
      FrameRange at = new FrameRange(piece.at().start() - early, piece.at().end() - late);
      if (mixes) {
        // The shot that goes is named once more, without length, where the dissolve begins.
        long out = source(before, 0, early).end();
        event(
            text,
            number,
            "C       ",
            FrameRange.ofLength(out, 0),
            FrameRange.ofLength(at.start(), 0),
            cut.rate());
        String dissolve = String.format(Locale.ROOT, "D    %03d", piece.mixes().length());
        event(text, number, dissolve, source(piece, early, late), at, cut.rate());
      } else {
        event(text, number, "C       ", source(piece, 0, late), at, cut.rate());
      }
      if (piece.speed() != 100) {
        line(
            text,
            String.format(
                Locale.ROOT,
                "M2   AX       %05.1f                %s",
                cut.rate().perSecond() * piece.speed() / 100,
                Timecode.of(piece.source().start(), cut.rate())));
      }
      if (mixes) {
        line(text, "* FROM CLIP NAME: " + before.file().orElseThrow().name());
        line(text, "* TO CLIP NAME: " + piece.file().orElseThrow().name());
      } else {
        line(text, "* FROM CLIP NAME: " + piece.file().orElseThrow().name());
      }
      marks(text, cut, at);
      number++;
      before = piece;
    }
    return text.toString();
  }

  private static void marks(StringBuilder text, PieceList cut, FrameRange at) {
    cut.markers().stream()
        .filter(mark -> at.contains(mark.frame()))
        .forEach(
            mark ->
                line(
                    text,
                    "* LOC: "
                        + record(mark.frame(), cut.rate())
                        + " WHITE   "
                        + mark.note().replace('\n', ' ')));
  }

  /** The frames at a shot's end that belong to the next one's event, which mixes them away. */
  private static long handedOver(PieceList.Piece piece, PieceList.Piece next) {
    boolean mixes = piece.file().isPresent() && next.file().isPresent() && !next.mixes().isEmpty();
    return mixes ? Math.min(piece.at().length() - 1, next.at().start() - next.mixes().start()) : 0;
  }

  /** What is seen of a shot's file, from earlier on and up to earlier. */
  private static FrameRange source(PieceList.Piece piece, long early, long late) {
    long start = Math.max(0, piece.source().start() - early * piece.speed() / 100);
    long end = Math.max(start, piece.source().end() - late * Math.abs(piece.speed()) / 100);
    return new FrameRange(start, end);
  }

  private static void event(
      StringBuilder text,
      int number,
      String how,
      FrameRange source,
      FrameRange at,
      FrameRate rate) {
    line(
        text,
        String.format(
            Locale.ROOT,
            "%03d  AX       V     %s %s %s %s %s",
            number,
            how,
            Timecode.of(source.start(), rate),
            Timecode.of(source.end(), rate),
            record(at.start(), rate),
            record(at.end(), rate)));
  }

  private static Timecode record(long frame, FrameRate rate) {
    long hour = Math.round((double) rate.numerator() / rate.denominator()) * FIRST_HOUR;
    return Timecode.of(frame + (Timecode.of(0, rate).dropFrame() ? dropped(rate) : hour), rate);
  }

  /**
   * Frames of an hour of drop-frame timecode (SMPTE ST 12-1: two of each minute but each tenth).
   */
  private static long dropped(FrameRate rate) {
    long nominal = Math.round((double) rate.numerator() / rate.denominator());
    return nominal * FIRST_HOUR - nominal / 15 * 54;
  }

  private static void line(StringBuilder text, String line) {
    text.append(line).append("\r\n");
  }
}
