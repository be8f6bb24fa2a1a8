package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Parts of a script while it is read, and the small rules that all formats share. */
final class ElementList {
  static final String NARRATOR = "Narrator";

  private static final Pattern EMPHASIS =
      Pattern.compile("(?<!\\\\)(\\*{1,3}|_)(\\S(?:.*?\\S)?)\\1");

  private final List<ScriptElement> elements = new ArrayList<>();

  /** What a label alone on its line says of what follows it, or null. */
  private LabelledLine pending;

  /** Adds a part; what follows a label that stood alone is what that says. */
  void add(ScriptElement.Kind kind, String speaker, String text, int line) {
    String plain = plain(text);
    if (plain.isEmpty()) {
      return;
    }
    boolean takes =
        pending != null
            && (kind == ScriptElement.Kind.ACTION || kind == ScriptElement.Kind.NARRATION);
    ScriptElement.Kind its = takes ? pending.kind() : kind;
    boolean heard = its == ScriptElement.Kind.NARRATION || its == ScriptElement.Kind.DIALOGUE;
    elements.add(
        new ScriptElement(
            its,
            takes ? pending.speaker() : speaker,
            takes && heard ? LabelledLine.unquoted(plain) : plain,
            line));
    pending = null;
  }

  void add(ScriptElement.Kind kind, String text, int line) {
    add(kind, "", text, line);
  }

  /** Adds a line that says what it is before a colon, and says whether it does. */
  boolean addLabelled(String text, int line) {
    return addLabelled(text, line, true);
  }

  /**
   * The same.
   *
   * @param names whether a name that is no known word speaks
   */
  boolean addLabelled(String text, int line, boolean names) {
    Optional<LabelledLine> labelled = LabelledLine.of(plain(text), names);
    labelled.ifPresent(
        l -> {
          pending = null;
          if (l.text().isEmpty()) {
            pending = l;
          } else {
            add(
                l.kind(),
                l.speaker(),
                l.kind() == ScriptElement.Kind.SCENE ? SceneHeading.clean(l.text()) : l.text(),
                line);
          }
        });
    return labelled.isPresent();
  }

  /** Names in capitals are written as names are: "OLD MAREN" becomes "Old Maren". */
  static String name(String speaker) {
    String name = speaker.strip();
    if (name.isEmpty()) {
      return NARRATOR;
    }
    if (!name.equals(name.toUpperCase(java.util.Locale.ROOT))) {
      return name;
    }
    StringBuilder made = new StringBuilder();
    boolean first = true;
    for (int i = 0; i < name.length(); i++) {
      char c = name.charAt(i);
      made.append(first ? c : Character.toLowerCase(c));
      first = !Character.isLetterOrDigit(c) && c != '\'' && c != '’';
    }
    return made.toString();
  }

  static String plain(String text) {
    String before = text;
    String after = EMPHASIS.matcher(before).replaceAll("$2");
    while (!after.equals(before)) {
      before = after;
      after = EMPHASIS.matcher(before).replaceAll("$2");
    }
    return after.replaceAll("\\\\([*_\\\\])", "$1").replaceAll("\\s+", " ").strip();
  }

  boolean hasSpoken() {
    return elements.stream().anyMatch(ScriptElement::isSpoken);
  }

  List<ScriptElement> elements() {
    return elements;
  }
}
