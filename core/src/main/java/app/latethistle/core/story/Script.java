package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.List;

/**
 * A script's structure, read from its text.
 *
 * @param elements its parts in order
 */
public record Script(List<ScriptElement> elements) {
  /** The longest script read, in characters: some hundred pages. */
  public static final int LONGEST = 400_000;

  public Script {
    elements = List.copyOf(elements);
  }

  /**
   * Reads a script. Any text can be read; what is not marked is action, or narration if nothing in
   * the script is marked as spoken (see {@link PlainReader}).
   *
   * @throws IllegalArgumentException if the text is too long, or CSV without columns that tell what
   *     they hold
   */
  public static Script parse(String text, ScriptFormat format) {
    if (text.length() > LONGEST) {
      throw new Refused(
          "The script has "
              + text.length()
              + " characters; up to "
              + LONGEST
              + " can be read. Split it into productions.");
    }
    String even = text.replace("\r\n", "\n").replace('\r', '\n');
    return new Script(
        switch (format) {
          case PLAIN -> new PlainReader(even).read();
          case MARKDOWN -> new MarkdownReader(even).read();
          case FOUNTAIN -> new FountainReader(even).read();
          case CSV -> TableScript.read(Csv.read(even));
        });
  }

  /** The lines that are heard, numbered from 1. */
  public List<SpokenLine> lines() {
    List<SpokenLine> lines = new ArrayList<>();
    int scene = -1;
    for (ScriptElement e : elements) {
      if (e.kind() == ScriptElement.Kind.SCENE) {
        scene++;
      } else if (e.isSpoken()) {
        boolean narration = e.kind() == ScriptElement.Kind.NARRATION;
        lines.add(
            new SpokenLine(lines.size() + 1, e.speaker(), narration, e.text(), e.line(), scene));
      }
    }
    return lines;
  }

  /** The title, or "". */
  public String title() {
    return elements.stream()
        .filter(e -> e.kind() == ScriptElement.Kind.TITLE)
        .map(ScriptElement::text)
        .findFirst()
        .orElse("");
  }
}
