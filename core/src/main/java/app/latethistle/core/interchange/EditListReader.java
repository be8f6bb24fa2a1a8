package app.latethistle.core.interchange;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Timecode;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a CMX 3600 edit decision list (from memory of the format): cuts, dissolves and wipes, the
 * latter as dissolves, M2 lines as speeds, names of files and markers in comments. What it does not
 * understand it tells by the number of its line.
 */
public final class EditListReader {
  private static final String TIME = "(\\d{1,2}:\\d{2}:\\d{2}[:;.,]\\d{2})";

  private static final Pattern EVENT =
      Pattern.compile(
          "(\\d+)\\s+(\\S+)\\s+(\\S+)\\s+(C|D|W\\d*|K\\S*)\\s*(\\d*)\\s+"
              + TIME
              + "\\s+"
              + TIME
              + "\\s+"
              + TIME
              + "\\s+"
              + TIME);

  private static final Pattern SPEED = Pattern.compile("M2\\s+(\\S+)\\s+(-?[\\d.]+)\\s+.*");
  private static final Pattern NAME = Pattern.compile("\\*\\s*(FROM|TO) CLIP NAME:\\s*(.+)");
  private static final Pattern MARK =
      Pattern.compile("\\*\\s*LOC:\\s*" + TIME + "\\s+\\S+\\s*(.*)");

  private final FrameRate rate;
  private final GatheredCut cut;
  private long origin = -1;
  private Event open;

  /** An event that comments may still speak of. */
  private static final class Event {
    long source;
    long start;
    long length;
    long mixed;
    int speed = 100;
    String reel = "";
    String name = "";
  }

  private EditListReader(String title, FrameRate rate) {
    this.rate = rate;
    cut = new GatheredCut(title, rate);
  }

  /**
   * Reads a list.
   *
   * @param rate of the film it is for; the format does not say its own
   * @throws IllegalArgumentException if there is no event in it, or two events overlap
   */
  public static ReadCut read(String text, FrameRate rate) {
    List<String> lines = text.lines().map(String::strip).toList();
    String title =
        lines.stream()
            .filter(line -> line.startsWith("TITLE:"))
            .map(line -> line.substring("TITLE:".length()).strip())
            .findFirst()
            .orElse("");
    EditListReader reader = new EditListReader(title, rate);
    for (int i = 0; i < lines.size(); i++) {
      try {
        reader.line(lines.get(i), i + 1);
      } catch (Refused e) {
        throw new Refused("Line " + (i + 1) + ": " + e.getMessage());
      }
    }
    reader.close();
    if (reader.origin < 0) {
      throw new Refused("This is no edit list: it has no event in it.");
    }
    return reader.cut.read();
  }

  private void line(String line, int number) {
    if (line.isEmpty() || line.startsWith("TITLE:") || line.startsWith("FCM:")) {
      return;
    }
    Matcher event = EVENT.matcher(line);
    Matcher speed = SPEED.matcher(line);
    Matcher name = NAME.matcher(line);
    Matcher mark = MARK.matcher(line);
    if (event.matches()) {
      event(event, number);
    } else if (speed.matches() && open != null) {
      double share = Double.parseDouble(speed.group(2)) / rate.perSecond();
      open.speed = (int) Math.round(100 * share);
    } else if (name.matches() && open != null) {
      // Where two are named, the one that is gone to comes last.
      open.name = name.group(2).strip();
    } else if (mark.matches() && origin >= 0) {
      cut.mark(Math.max(0, Timecode.frameOf(mark.group(1), rate) - origin), mark.group(2).strip());
    } else {
      cut.unread("Line " + number + " is not understood: " + line);
    }
  }

  private void event(Matcher said, int number) {
    if (!said.group(3).startsWith("V") && !said.group(3).startsWith("B")) {
      cut.unread("Line " + number + ": sound is not read from edit lists, only pictures.");
      return;
    }
    if (said.group(4).startsWith("K")) {
      cut.unread("Line " + number + ": keys are not read; it lies in no track of pictures.");
      return;
    }
    Event next = new Event();
    next.source = Timecode.frameOf(said.group(6), rate);
    next.start = Timecode.frameOf(said.group(8), rate);
    next.length = Timecode.frameOf(said.group(9), rate) - next.start;
    next.reel = said.group(2);
    if (next.length < 0) {
      throw new Refused("an event ends before it begins.");
    }
    if (said.group(4).startsWith("W")) {
      cut.unread("Line " + number + ": a wipe is read as a dissolve.");
    }
    if (!said.group(4).equals("C")) {
      next.mixed = said.group(5).isEmpty() ? 0 : Long.parseLong(said.group(5));
    }
    if (next.length == 0) {
      // The shot that goes, named once more before a dissolve.
      return;
    }
    close();
    if (origin < 0) {
      origin = next.start;
    }
    next.start -= origin;
    if (next.start < cut.end()) {
      throw new Refused("this event overlaps the one before.");
    }
    open = next;
  }

  private void close() {
    if (open == null) {
      return;
    }
    cut.gapUpTo(open.start);
    long mixed = cut.endsWithShot() ? Math.min(open.mixed, open.length) : 0;
    // A dissolve begins where its event does; the cut is its middle.
    long half = mixed / 2;
    if (half > 0) {
      cut.lengthen(half);
    }
    boolean black = open.reel.equals("BL");
    String name = open.name.isEmpty() ? open.reel : open.name;
    cut.add(
        name,
        black ? Optional.empty() : Optional.of(NamedFile.of(name)),
        open.source + Math.round(half * open.speed / 100.0),
        open.length - half,
        open.speed,
        mixed);
    open = null;
  }
}
