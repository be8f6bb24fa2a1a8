package app.latethistle.server.stored;

import app.latethistle.media.Tags;
import java.util.List;
import java.util.OptionalLong;

/**
 * What a file says of itself, as text.
 *
 * @param cover null for none; those stored first had none
 */
public record StoredTags(
    String title, String comment, String language, List<Mark> chapters, Long cover) {
  private static final int FORMAT = 1;

  /** A chapter; times in milliseconds. */
  public record Mark(long start, long end, String name) {}

  /** Of tags. */
  public static StoredTags of(Tags tags) {
    return new StoredTags(
        tags.title(),
        tags.comment(),
        tags.language(),
        tags.chapters().stream().map(c -> new Mark(c.start(), c.end(), c.name())).toList(),
        tags.cover().isPresent() ? tags.cover().getAsLong() : null);
  }

  public Tags get() {
    return new Tags(
        title,
        comment,
        language,
        chapters.stream().map(c -> new Tags.Chapter(c.start, c.end, c.name)).toList(),
        cover == null ? OptionalLong.empty() : OptionalLong.of(cover));
  }

  public String write() {
    return Json.write(FORMAT, this);
  }

  /** Tags of any format. */
  public static StoredTags read(String text) {
    var tree = Json.tree(text);
    Json.format(tree, FORMAT);
    return Json.as(tree, StoredTags.class);
  }
}
