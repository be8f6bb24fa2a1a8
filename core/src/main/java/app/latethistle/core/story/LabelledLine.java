package app.latethistle.core.story;

import app.latethistle.core.story.ScriptElement.Kind;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A line that says what it is before a colon: "Scene 2: the pier", "Visual: black water", "Maren
 * (V.O.): It stayed." The words known for pictures, voices and the rest are those that writing
 * services use; any other name of up to four words speaks.
 *
 * @param kind what it is
 * @param speaker who says it, or ""
 * @param text what stands behind the colon; "" if that follows on the next line
 */
record LabelledLine(Kind kind, String speaker, String text) {
  /**
   * Signs, numbers, and times of a film before what a line says: "1.", "[0:00-0:05]", a picture.
   */
  private static final Pattern BEFORE =
      Pattern.compile(
          "^(?:[\\p{So}\\p{Sk}\\p{Cn}\\x{FE0F}\\x{200D}]+\\s*"
              + "|[\\[(]?\\d{1,2}:\\d\\d(?:\\s*[-–—]\\s*\\d{1,2}:\\d\\d)?[\\])]?\\s*[:|–—-]?\\s*"
              + "|\\d{1,3}[.)]\\s+)+");

  private static final Pattern SCENE =
      Pattern.compile(
          "(?i)^(?:scene|act|chapter|segment|section|part)\\s*(?:\\d+|[ivx]+|one|two|three|four|five|six"
              + "|seven|eight|nine|ten)?\\b\\s*(?:\\([^)]*\\))?\\s*[:：.–—-]?\\s*(.*)$");

  private static final Pattern NUMBERED_SCENE =
      Pattern.compile(
          "(?i)^(?:scene|act|chapter|segment|section|part)\\s*(?:\\d|[ivx]+\\b|one|two|three|four|five"
              + "|six|seven|eight|nine|ten).*|^scene\\s*[:：–—-].*");

  private static final Pattern SEEN =
      Pattern.compile(
          "(?i)^(?:visuals?|video|images?|pictures?|footage|on[- ]?screen|b-?roll|action|shots?"
              + "|camera|seen|description|setting)(?: (?:description|direction|prompt|\\d+))?"
              + "(?:\\s*\\([^)]*\\))?\\s*[:：]\\s*(.*)$");

  private static final Pattern VOICE =
      Pattern.compile(
          "(?i)^(?:narrat(?:or|ion)|voice[- ]?over|v\\.?o\\.?|voice|spoken|line)"
              + "(?: (?:text|line|\\d+))?(?:\\s*\\([^)]*\\))?\\s*[:：]\\s*(.*)$");

  private static final Pattern ASIDE =
      Pattern.compile(
          "(?i)^(?:music|sounds?|sound effects?|sfx|audio|duration|length|runtime|time|timing"
              + "|transition|mood|tone|note|notes|text|cut to|fade in|fade out|style|genre|hook|logline"
              + "|target audience|audience)(?:\\s*\\([^)]*\\))?\\s*[:：]\\s*(.*)$");

  private static final Pattern TITLE =
      Pattern.compile("(?i)^(?:working )?title\\s*[:：]\\s*(\\S.*)$");

  /**
   * "MAREN: ...", "Narrator (V.O.): ..."; a speaker is up to four words, in any script: where there
   * are capital letters the name has one, and a full-width colon needs no blank behind it.
   */
  private static final Pattern SPEAKER =
      Pattern.compile(
          "^(?<name>[\\p{Lu}\\p{Lt}\\p{Lo}][\\p{L}\\p{M}\\p{N}.'’・-]*(?: [\\p{L}\\p{M}\\p{N}.'’-]+){0,3}?)"
              + "(?: ?[(（](?<how>[^)）]{1,40})[)）])?(?::(?= |$) *|：\\s*)(?<text>.*)$");

  private static final Pattern VOICE_OVER =
      Pattern.compile(
          "(?iu)\\bv\\.? ?o\\.?(?![a-z])|voice.?over|narrat|\\boff\\b"
              + "|旁白|解说|ナレ|الراوي|راوي|קריין|מספר|рассказчик|диктор|αφηγητ|वाचक|कथाकार");

  private static final Pattern BRACKETED = Pattern.compile("^[\\[(](.*)[\\])]$", Pattern.DOTALL);

  private static final Pattern QUOTED = Pattern.compile("^[“\"«„「]([^“”\"«»„「」]+)[”\"»“」]$");

  /**
   * What a line says it is.
   *
   * @param line without marks of emphasis
   * @param names whether a name that is none of the known words speaks; not in a list of shots
   */
  static Optional<LabelledLine> of(String line, boolean names) {
    Matcher within = BRACKETED.matcher(line);
    if (within.matches() && within.group(1).matches("(?s)[^\\[\\]()]*[:：].*")) {
      return of(within.group(1).strip(), false);
    }
    String bare = BEFORE.matcher(line).replaceFirst("").strip();
    Matcher m = TITLE.matcher(bare);
    if (m.matches()) {
      return Optional.of(new LabelledLine(Kind.TITLE, "", m.group(1)));
    }
    m = SCENE.matcher(bare);
    if (m.matches() && NUMBERED_SCENE.matcher(bare).matches()) {
      String name = m.group(1).strip();
      return Optional.of(new LabelledLine(Kind.SCENE, "", name.isEmpty() ? bare : name));
    }
    m = SEEN.matcher(bare);
    if (m.matches()) {
      return Optional.of(new LabelledLine(Kind.ACTION, "", m.group(1)));
    }
    m = VOICE.matcher(bare);
    if (m.matches()) {
      return Optional.of(spoken(Kind.NARRATION, ElementList.NARRATOR, m.group(1)));
    }
    m = ASIDE.matcher(bare);
    if (m.matches()) {
      return Optional.of(new LabelledLine(Kind.NOTE, "", m.group(1)));
    }
    m = SPEAKER.matcher(bare);
    if (names && m.matches()) {
      String name = m.group("name");
      return Optional.of(
          spoken(spokenKind(name, m.group("how")), ElementList.name(name), m.group("text")));
    }
    return Optional.empty();
  }

  private static LabelledLine spoken(Kind kind, String speaker, String text) {
    return new LabelledLine(kind, speaker, unquoted(text));
  }

  /** Words without the quotation marks around all of them. */
  static String unquoted(String text) {
    Matcher m = QUOTED.matcher(text.strip());
    return m.matches() ? m.group(1).strip() : text.strip();
  }

  /** Narration if it is marked so or said by a narrator; else dialogue. */
  static Kind spokenKind(String speaker, String how) {
    boolean over = VOICE_OVER.matcher(speaker + " " + (how == null ? "" : how)).find();
    return over ? Kind.NARRATION : Kind.DIALOGUE;
  }
}
