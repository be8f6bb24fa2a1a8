package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Parts of a script while it is read, and the small rules that all formats share. */
final class ElementList {
  static final String NARRATOR = "Narrator";

  private static final Pattern EMPHASIS =
      Pattern.compile("(?<!\\\\)(\\*{1,3}|_)(\\S(?:.*?\\S)?)\\1");

  /** "MAREN: ...", "Narrator (V.O.): ..."; a speaker is up to four words. */
  private static final Pattern SPEAKER =
      Pattern.compile(
          "^(?<name>\\p{Lu}[\\p{L}\\p{N}.'’-]*(?: [\\p{L}\\p{N}.'’-]+){0,3}?)"
              + "(?: ?\\((?<how>[^)]{1,40})\\))?: +(?<text>\\S.*)$");

  private static final Pattern VOICE_OVER =
      Pattern.compile("(?i)\\bv\\.? ?o\\.?(?![a-z])|voice.?over|narrat|off\\b");

  private final List<ScriptElement> elements = new ArrayList<>();

  void add(ScriptElement.Kind kind, String speaker, String text, int line) {
    String plain = plain(text);
    if (!plain.isEmpty()) {
      elements.add(new ScriptElement(kind, speaker, plain, line));
    }
  }

  void add(ScriptElement.Kind kind, String text, int line) {
    add(kind, "", text, line);
  }

  /** Adds a line with its speaker before a colon, and says whether it was one. */
  boolean addSpoken(String text, int line) {
    Matcher m = SPEAKER.matcher(plain(text));
    if (!m.matches() || isSceneWord(m.group("name"))) {
      return false;
    }
    add(spokenKind(m.group("name"), m.group("how")), name(m.group("name")), m.group("text"), line);
    return true;
  }

  /** Narration if it is marked so or said by a narrator; else dialogue. */
  static ScriptElement.Kind spokenKind(String speaker, String how) {
    boolean over = VOICE_OVER.matcher(speaker + " " + (how == null ? "" : how)).find();
    return over ? ScriptElement.Kind.NARRATION : ScriptElement.Kind.DIALOGUE;
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

  private static boolean isSceneWord(String name) {
    return name.matches("(?i)(scene|shot|part|act|title|note|cut to|fade in|fade out)( .*)?");
  }

  boolean hasSpoken() {
    return elements.stream().anyMatch(ScriptElement::isSpoken);
  }

  List<ScriptElement> elements() {
    return elements;
  }
}
