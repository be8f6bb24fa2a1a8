package app.latethistle.core.interchange;

import app.latethistle.core.story.Csv;
import app.latethistle.core.time.Timecode;
import java.util.List;
import java.util.Locale;

/** A cut as a table of comma-separated values (RFC 4180), a row for each shot. */
public final class ShotTable {
  private static final List<String> HEAD =
      List.of("shot", "file", "in", "out", "from", "to", "frames", "seconds", "speed %", "mixes f");

  private ShotTable() {}

  /** The table; times as timecode (SMPTE ST 12-1), the frame after the last as an end. */
  public static String of(PieceList cut) {
    StringBuilder text = new StringBuilder(Csv.write(HEAD));
    for (PieceList.Piece p : cut.pieces()) {
      text.append(
          Csv.write(
              List.of(
                  p.name(),
                  p.file().map(NamedFile::name).orElse(""),
                  Timecode.of(p.source().start(), cut.rate()).toString(),
                  Timecode.of(p.source().end(), cut.rate()).toString(),
                  Timecode.of(p.at().start(), cut.rate()).toString(),
                  Timecode.of(p.at().end(), cut.rate()).toString(),
                  Long.toString(p.at().length()),
                  String.format(Locale.ROOT, "%.3f", cut.rate().secondsOf(p.at().length())),
                  Integer.toString(p.speed()),
                  Long.toString(p.mixes().length()))));
    }
    return text.toString();
  }
}
