package app.latethistle.core.interchange;

import app.latethistle.core.Refused;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads caption files: TTML, and SRT and WebVTT alike: blocks apart by empty lines, each with a
 * line of two times and lines of text. What is wrong is mended where its meaning is plain, and
 * said.
 *
 * @param captions by their time, none while another stands
 * @param mended what was put right, each with the number of the line in the file
 */
public record CaptionReader(List<TimedText> captions, List<String> mended) {
  /** No caption file is longer. */
  public static final int LONGEST = 2_000_000;

  private static final int MOST = 20_000;
  private static final String TIME = "(?:(\\d{1,3}):)?(\\d{1,2}):(\\d{1,2})[.,](\\d{1,3})";
  private static final Pattern TIMES = Pattern.compile("\\s*" + TIME + "\\s*-->\\s*" + TIME + ".*");
  private static final Pattern TAG = Pattern.compile("</?[a-zA-Z0-9][^<>]*>|\\{\\\\[^}]*}");

  /** A caption, and the line of the file it begins in. */
  record Block(TimedText caption, int line) {}

  public CaptionReader {
    captions = List.copyOf(captions);
    mended = List.copyOf(mended);
  }

  /**
   * Reads a file.
   *
   * @param name of it, for what is said
   * @throws IllegalArgumentException if it is none, too long, or has no caption; names the line
   */
  public static CaptionReader read(String name, byte[] file) {
    if (file.length > LONGEST) {
      throw new Refused(
          name + " has " + file.length / 1_000_000 + " MB; captions have up to 2 MB.");
    }
    List<String> mended = new ArrayList<>();
    String text = text(name, file, mended);
    boolean xml = text.stripLeading().startsWith("<");
    List<Block> blocks =
        xml ? TtmlReader.read(name, text, mended) : blocks(name, text.lines().toList(), mended);
    if (blocks.isEmpty()) {
      throw new Refused(
          name
              + " has no captions: there is no "
              + (xml ? "paragraph with a time" : "line such as 00:00:01,000 --> 00:00:03,000")
              + " in it.");
    }
    if (blocks.size() > MOST) {
      throw new Refused(name + " has more than " + MOST + " captions.");
    }
    return new CaptionReader(apart(blocks, mended), mended);
  }

  private static String text(String name, byte[] file, List<String> mended) {
    boolean big = starts(file, 0xfe, 0xff);
    boolean little = starts(file, 0xff, 0xfe);
    Charset wide = big ? StandardCharsets.UTF_16BE : StandardCharsets.UTF_16LE;
    try {
      Charset known = big || little ? wide : StandardCharsets.UTF_8;
      String text = known.newDecoder().decode(ByteBuffer.wrap(file)).toString();
      if (text.indexOf('\0') >= 0) {
        throw new Refused(name + " is not text; give an SRT, a WebVTT or a TTML file.");
      }
      return text.startsWith("\ufeff") ? text.substring(1) : text;
    } catch (CharacterCodingException e) {
      mended.add("it is not in UTF-8; it was read as Windows-1252");
      return new String(file, Charset.forName("windows-1252"));
    }
  }

  private static boolean starts(byte[] file, int first, int second) {
    return file.length > 1 && (file[0] & 0xff) == first && (file[1] & 0xff) == second;
  }

  private static List<Block> blocks(String name, List<String> lines, List<String> mended) {
    List<Block> blocks = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      String line = lines.get(i);
      if (!line.contains("-->")) {
        continue;
      }
      Matcher times = TIMES.matcher(line);
      if (!times.matches()) {
        throw new Refused(
            name
                + ", line "
                + (i + 1)
                + ": “"
                + shortened(line)
                + "” is no pair of times; write them like 00:00:01,000 --> 00:00:03,000.");
      }
      int at = i + 1;
      long start = ms(times, 1);
      long end = ms(times, 5);
      List<String> text = new ArrayList<>();
      while (i + 1 < lines.size() && !lines.get(i + 1).isBlank()) {
        String plain = plain(lines.get(++i));
        if (!plain.isBlank()) {
          text.add(plain);
        }
      }
      if (end <= start) {
        mended.add("line " + at + ": it ended before it began; it was left out");
      } else if (text.isEmpty()) {
        mended.add("line " + at + ": it had no text; it was left out");
      } else {
        blocks.add(new Block(new TimedText(start, end, text), at));
      }
    }
    return blocks;
  }

  private static List<TimedText> apart(List<Block> blocks, List<String> mended) {
    List<Block> sorted = new ArrayList<>(blocks);
    sorted.sort((a, b) -> Long.compare(a.caption.start(), b.caption.start()));
    if (!sorted.equals(blocks)) {
      mended.add("its captions were not in the order of their times; they were sorted");
    }
    List<TimedText> apart = new ArrayList<>();
    for (int i = 0; i < sorted.size(); i++) {
      TimedText c = sorted.get(i).caption;
      boolean overlaps = i + 1 < sorted.size() && sorted.get(i + 1).caption.start() < c.end();
      long end = overlaps ? sorted.get(i + 1).caption.start() : c.end();
      if (overlaps) {
        mended.add("line " + sorted.get(i).line + ": it went on into the next one; it ends there");
      }
      if (end > c.start()) {
        apart.add(new TimedText(c.start(), end, c.lines()));
      }
    }
    return apart;
  }

  private static long ms(Matcher times, int group) {
    String hours = times.group(group);
    String fraction = (times.group(group + 3) + "00").substring(0, 3);
    return (hours == null ? 0 : Long.parseLong(hours) * 3_600_000)
        + Long.parseLong(times.group(group + 1)) * 60_000
        + Long.parseLong(times.group(group + 2)) * 1000
        + Long.parseLong(fraction);
  }

  /** Without marks of its form. */
  private static String plain(String line) {
    return TAG.matcher(line)
        .replaceAll("")
        .replace("&lt;", "<")
        .replace("&gt;", ">")
        .replace("&nbsp;", " ")
        .replace("&amp;", "&")
        .strip();
  }

  private static String shortened(String line) {
    return line.length() > 40 ? line.substring(0, 40) + "…" : line.strip();
  }
}
