package app.latethistle.core.story;

import app.latethistle.core.story.ScriptElement.Kind;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Reads Markdown: a first-level heading is the title, deeper ones are scenes, a quotation is
 * narration, "**Name:** words" or "Name: words" is spoken, list items and paragraphs are action,
 * comments are notes.
 */
final class MarkdownReader {
  private static final Pattern COMMENT = Pattern.compile("<!--.*?-->", Pattern.DOTALL);

  private final String[] lines;
  private final ElementList out = new ElementList();
  private final StringBuilder open = new StringBuilder();
  private Kind kind = Kind.ACTION;
  private int begun;

  MarkdownReader(String text) {
    // A comment's line breaks stay, so that lines keep their numbers.
    this.lines =
        COMMENT
            .matcher(text)
            .replaceAll(comment -> comment.group().replaceAll("[^\n]", ""))
            .split("\n", -1);
  }

  List<ScriptElement> read() {
    for (int i = 0; i < lines.length; i++) {
      line(lines[i].strip(), i + 1);
    }
    close();
    return out.elements();
  }

  private void line(String line, int number) {
    if (line.isEmpty() || line.matches("[-*_]{3,}")) {
      close();
    } else if (line.matches("#{1,6} .*")) {
      close();
      boolean title = line.startsWith("# ") && out.elements().isEmpty();
      String heading = line.replaceFirst("^#+ +", "").replaceFirst(" +#+$", "");
      out.add(
          title ? Kind.TITLE : Kind.SCENE, title ? heading : SceneHeading.clean(heading), number);
    } else if (line.startsWith(">")) {
      append(Kind.NARRATION, line.substring(1).strip(), number);
    } else if (line.matches("([-*+]|\\d+[.)]) .*")) {
      close();
      // A list item is a shot, even if a colon stands in it.
      out.add(Kind.ACTION, line.replaceFirst("^\\S+ +", ""), number);
    } else {
      if (new ElementList().addSpoken(line, number)) {
        close();
      }
      append(Kind.ACTION, line, number);
    }
  }

  private void append(Kind next, String text, int number) {
    if (open.length() > 0 && kind != next) {
      close();
    }
    if (open.length() == 0) {
      kind = next;
      begun = number;
    }
    open.append(open.length() == 0 ? "" : " ").append(text);
  }

  private void close() {
    String text = open.toString();
    open.setLength(0);
    if (!text.isEmpty() && !out.addSpoken(text, begun)) {
      out.add(kind, kind == Kind.NARRATION ? ElementList.NARRATOR : "", text, begun);
    }
  }
}
