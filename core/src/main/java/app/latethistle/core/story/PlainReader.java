package app.latethistle.core.story;

import app.latethistle.core.story.ScriptElement.Kind;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Reads plain text. A paragraph that begins with a name and a colon is spoken, one that begins with
 * a word for what is seen is action; a line such as "Scene 2: the jetty" or "EXT. JETTY - NIGHT"
 * begins a scene; a paragraph in brackets is action. Other paragraphs are action if anything in the
 * text is marked as spoken, else narration: a text without any mark is what the narrator reads.
 */
final class PlainReader {
  private static final Pattern SCENE = Pattern.compile("(?i)^(?:int|ext|est|i/e)[. /].*$");
  private static final Pattern BRACKETED = Pattern.compile("^[\\[(](.*)[\\])]$", Pattern.DOTALL);

  private final String text;
  private final ElementList out = new ElementList();

  /** The lines on which something says itself what it is. */
  private final Set<Integer> seen = new HashSet<>();

  PlainReader(String text) {
    this.text = text;
  }

  List<ScriptElement> read() {
    StringBuilder paragraph = new StringBuilder();
    int begun = 0;
    int number = 0;
    for (String line : (text + "\n\n").split("\n", -1)) {
      number++;
      String stripped = line.strip();
      boolean heading = isHeading(stripped);
      boolean alone = heading || LabelledLine.of(ElementList.plain(stripped), true).isPresent();
      if (stripped.isEmpty() || alone) {
        paragraph(paragraph.toString(), begun);
        paragraph.setLength(0);
      }
      if (!stripped.isEmpty() && !stripped.matches("[-*_=~]{3,}")) {
        if (paragraph.length() == 0) {
          begun = number;
        }
        paragraph.append(paragraph.length() == 0 ? "" : " ").append(stripped);
      }
      if (heading) {
        paragraph(paragraph.toString(), begun);
        paragraph.setLength(0);
      }
    }
    if (out.hasSpoken()) {
      return out.elements();
    }
    return out.elements().stream()
        .map(
            e ->
                e.kind() == Kind.ACTION
                        && !seen.contains(e.line())
                        && !BRACKETED.matcher(e.text()).matches()
                    ? new ScriptElement(Kind.NARRATION, ElementList.NARRATOR, e.text(), e.line())
                    : e)
        .map(PlainReader::unbracketed)
        .toList();
  }

  private void paragraph(String paragraph, int line) {
    if (paragraph.isEmpty()) {
      return;
    }
    if (SCENE.matcher(paragraph).matches()) {
      out.add(Kind.SCENE, SceneHeading.clean(paragraph), line);
    } else if (out.addLabelled(paragraph, line)) {
      seen.add(line);
    } else {
      out.add(Kind.ACTION, paragraph, line);
    }
  }

  /** Whether a line stands alone: a heading, or a label whose words follow. */
  private static boolean isHeading(String line) {
    return SCENE.matcher(line).matches()
        || LabelledLine.of(ElementList.plain(line), true)
            .filter(l -> l.kind() == Kind.SCENE || l.text().isEmpty())
            .isPresent();
  }

  private static ScriptElement unbracketed(ScriptElement e) {
    var m = BRACKETED.matcher(e.text());
    return e.kind() == Kind.ACTION && m.matches()
        ? new ScriptElement(e.kind(), e.speaker(), m.group(1).strip(), e.line())
        : e;
  }
}
