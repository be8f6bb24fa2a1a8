package app.latethistle.core.story;

import app.latethistle.core.story.ScriptElement.Kind;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads Fountain, the plain-text screenplay syntax (from memory of its published description,
 * version 1.1): title page, scene headings and forced ones, action, characters and forced ones,
 * dialogue, parentheticals, dual dialogue, lyrics, transitions, centred text, notes, boneyard,
 * sections, synopses, page breaks, emphasis. A character with (V.O.), or named narrator, narrates.
 */
final class FountainReader {
  private static final Pattern SCENE = Pattern.compile("(?i)^(int|ext|est|int\\.?/ext|i/e)[. ].*");
  private static final Pattern CHARACTER =
      Pattern.compile("^(?<name>[^(^]*?\\p{L}[^(^]*?)\\s*(?<how>(?:\\([^)]*\\)\\s*)*)\\^?\\s*$");
  private static final Pattern TITLE_KEY = Pattern.compile("^([A-Za-z][A-Za-z ]*):(.*)$");

  private final String[] lines;
  private final ElementList out = new ElementList();
  private final StringBuilder action = new StringBuilder();
  private int actionLine;

  FountainReader(String text) {
    // What is cut out leaves its line breaks, so that line numbers stay true.
    this.lines = blank(blank(text, "(?s)/\\*.*?\\*/"), "(?s)\\[\\[.*?\\]\\]").split("\n", -1);
  }

  private static String blank(String text, String pattern) {
    return Pattern.compile(pattern)
        .matcher(text)
        .replaceAll(m -> m.group().replaceAll("[^\n]", ""));
  }

  List<ScriptElement> read() {
    int i = titlePage();
    while (i < lines.length) {
      i = element(i);
    }
    closeAction();
    return out.elements();
  }

  private int titlePage() {
    int i = 0;
    boolean any = false;
    while (i < lines.length && !lines[i].isBlank()) {
      Matcher m = TITLE_KEY.matcher(lines[i]);
      boolean goesOn = any && lines[i].matches("^(\\t| {3,}).*");
      if (!m.matches() && !goesOn) {
        return any ? i : 0;
      }
      if (m.matches() && m.group(1).equalsIgnoreCase("title")) {
        String title = m.group(2).strip();
        if (title.isEmpty() && i + 1 < lines.length) {
          title = lines[i + 1].strip();
        }
        out.add(Kind.TITLE, title, i + 1);
      }
      any = true;
      i++;
    }
    return i;
  }

  private int element(int i) {
    String raw = lines[i];
    String line = raw.strip();
    boolean afterBlank = i == 0 || lines[i - 1].isBlank();
    boolean beforeBlank = i + 1 >= lines.length || lines[i + 1].isBlank();
    if (line.isEmpty()) {
      closeAction();
    } else if (line.startsWith("!")) {
      action(line.substring(1), i);
    } else if (line.matches("={3,}")) {
      closeAction();
    } else if (line.startsWith("=") || line.startsWith("#")) {
      closeAction();
      out.add(Kind.NOTE, line.replaceFirst("^[=#]+", ""), i + 1);
    } else if (line.startsWith("~")) {
      closeAction();
      out.add(Kind.NOTE, line.substring(1), i + 1);
    } else if (line.startsWith(">") && line.endsWith("<")) {
      action(line.substring(1, line.length() - 1), i);
    } else if (line.startsWith(">")) {
      closeAction();
      out.add(Kind.TRANSITION, line.substring(1), i + 1);
    } else if (line.matches("\\.[^.].*")) {
      closeAction();
      out.add(Kind.SCENE, SceneHeading.clean(line.substring(1)), i + 1);
    } else if (afterBlank && SCENE.matcher(line).matches()) {
      closeAction();
      out.add(Kind.SCENE, SceneHeading.clean(line), i + 1);
    } else if (afterBlank && beforeBlank && isCapitals(line) && line.endsWith("TO:")) {
      closeAction();
      out.add(Kind.TRANSITION, line, i + 1);
    } else if (afterBlank && !beforeBlank && isCharacter(line)) {
      closeAction();
      return dialogue(i);
    } else {
      action(line, i);
    }
    return i + 1;
  }

  private static boolean isCharacter(String line) {
    if (line.startsWith("@")) {
      return true;
    }
    Matcher m = CHARACTER.matcher(line);
    return m.matches() && isCapitals(m.group("name"));
  }

  private static boolean isCapitals(String text) {
    return text.equals(text.toUpperCase(Locale.ROOT)) && text.matches(".*\\p{Lu}.*");
  }

  /** A character's lines, up to the next blank one; parentheticals say how, not what. */
  private int dialogue(int at) {
    Matcher m = CHARACTER.matcher(lines[at].strip().replaceFirst("^@", ""));
    String speaker = m.matches() ? m.group("name").strip() : lines[at].strip();
    String how = m.matches() ? m.group("how") : "";
    StringBuilder spoken = new StringBuilder();
    int i = at + 1;
    // Two blanks keep a dialogue open over an empty line.
    while (i < lines.length && (!lines[i].isBlank() || lines[i].equals("  "))) {
      String line = lines[i].strip();
      if (!line.matches("\\(.*\\)")) {
        spoken.append(' ').append(line.replaceFirst("^~", ""));
      }
      i++;
    }
    out.add(
        LabelledLine.spokenKind(speaker, how),
        ElementList.name(speaker),
        spoken.toString(),
        at + 1);
    return i;
  }

  private void action(String line, int i) {
    if (action.length() == 0) {
      actionLine = i + 1;
    }
    action.append(action.length() == 0 ? "" : " ").append(line);
  }

  private void closeAction() {
    out.add(Kind.ACTION, action.toString(), actionLine);
    action.setLength(0);
  }
}
