package app.latethistle.server.stored;

import app.latethistle.media.Tags;
import java.util.List;

/** What a file says of itself, as text. */
public record StoredTags(String title, String comment, String language, List<Mark> chapters) {
  private static final int FORMAT = 1;

  /** A chapter; times in milliseconds. */
  public record Mark(long start, long end, String name) {}

  /** Of tags. */
  public static StoredTags of(Tags tags) {
    return new StoredTags(
        tags.title(),
        tags.comment(),
        tags.language(),
        tags.chapters().stream().map(c -> new Mark(c.start(), c.end(), c.name())).toList());
  }

  public Tags get() {
    return new Tags(
        title,
        comment,
        language,
        chapters.stream().map(c -> new Tags.Chapter(c.start, c.end, c.name)).toList());
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
