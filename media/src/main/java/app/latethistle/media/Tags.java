package app.latethistle.media;

import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;

/**
 * What a file says of itself.
 *
 * @param title "" for none
 * @param comment "" for none
 * @param language of its sound, as ISO 639-2 names it: "eng"
 * @param chapters in order
 * @param cover the moment of it whose picture stands for it, in milliseconds
 */
public record Tags(
    String title, String comment, String language, List<Chapter> chapters, OptionalLong cover) {
  /** A file that says nothing. */
  public static final Tags NONE = new Tags("", "", "und", List.of(), OptionalLong.empty());

  public Tags {
    chapters = List.copyOf(chapters);
  }

  /** A chapter; times in milliseconds. */
  public record Chapter(long start, long end, String name) {}

  /** As ffmpeg reads it. */
  String text() {
    StringBuilder text = new StringBuilder(";FFMETADATA1\n");
    put(text, "title", title);
    put(text, "comment", comment);
    for (Chapter chapter : chapters) {
      text.append(
          String.format(
              Locale.ROOT,
              "[CHAPTER]%nTIMEBASE=1/1000%nSTART=%d%nEND=%d%n",
              chapter.start,
              chapter.end));
      put(text, "title", chapter.name);
    }
    return text.toString();
  }

  private static void put(StringBuilder text, String key, String value) {
    if (!value.isEmpty()) {
      text.append(key).append('=').append(value.replaceAll("([=;#\\\\\n])", "\\\\$1")).append('\n');
    }
  }
}
