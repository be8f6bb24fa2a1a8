package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads what a writing service answered, with the talk around it taken away. */
public final class WrittenAnswer {
  private static final Pattern FENCE = Pattern.compile("(?s)```[a-z]*\\n(.*?)```");
  private static final Pattern FIRST =
      Pattern.compile(
          "(?m)^(#{1,6} |[-*] |> |\\||INT|EXT|\\d{1,3}[.)] |\\[|\\*\\*?[^*\\n]{1,60}(?::|\\*\\*)"
              + "|(?i:scene) ?\\d|[\\p{Lu}\\p{Lo}][\\p{L}\\p{M} .]{0,30}(?:[(（].*[)）])?(?:: |:$|：))");
  private static final Pattern TALK =
      Pattern.compile(
          "(?im)^[*_ ]*(let me know|i hope|would you like|feel free|this script|word count|total words|note:|here (?:is|'s)).*$");

  private WrittenAnswer() {}

  /**
   * The script in a pasted answer, as text.
   *
   * @throws IllegalArgumentException if no script can be found in it
   */
  public static String script(String answer) {
    String text = answer.replace("\r\n", "\n").strip();
    Matcher fence = FENCE.matcher(text);
    if (fence.find()) {
      text = fence.group(1).strip();
    } else {
      Matcher first = FIRST.matcher(text);
      if (first.find()) {
        text = text.substring(first.start());
      }
    }
    text = TALK.matcher(text).replaceAll("").replaceAll("\\n{3,}", "\n\n").strip();
    ScriptFormat format = ScriptFormat.guess("", text);
    boolean any =
        Script.parse(text, format).elements().stream()
            .anyMatch(e -> e.isSpoken() || e.kind() == ScriptElement.Kind.ACTION);
    if (!any) {
      throw new Refused(
          "No scenes, shots or lines were found in the answer. Paste the whole of it, with its"
              + " \"##\", \"-\" and \"Narrator:\" lines.");
    }
    return text + "\n";
  }
}
