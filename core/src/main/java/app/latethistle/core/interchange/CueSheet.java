package app.latethistle.core.interchange;

import app.latethistle.core.story.Csv;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Timecode;
import java.util.List;
import java.util.Locale;

/** What is heard when, as a table of comma-separated values (RFC 4180). */
public final class CueSheet {
  private static final List<String> HEAD =
      List.of("kind", "title", "from", "to", "seconds", "source", "rights");

  private CueSheet() {}

  /**
   * Something that is heard.
   *
   * @param kind music, sound or clip
   * @param title as people call it
   * @param at frames of the film
   * @param source where it comes from
   * @param rights under which it is used; "" if nobody said
   */
  public record Cue(String kind, String title, FrameRange at, String source, String rights) {}

  /** The table, its times as timecode (SMPTE ST 12-1), the frame after the last as its end. */
  public static String of(List<Cue> cues, FrameRate rate) {
    StringBuilder text = new StringBuilder(Csv.write(HEAD));
    for (Cue cue : cues) {
      text.append(
          Csv.write(
              List.of(
                  cue.kind,
                  cue.title,
                  Timecode.of(cue.at.start(), rate).toString(),
                  Timecode.of(cue.at.end(), rate).toString(),
                  String.format(Locale.ROOT, "%.3f", rate.secondsOf(cue.at.length())),
                  cue.source,
                  cue.rights)));
    }
    return text.toString();
  }
}
