package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Offers what to cut from the spoken lines so that the film fits its length.
 *
 * <p>Candidates are words that only strengthen ("very", "really"), asides between dashes, commas or
 * brackets, tails of sentences behind a comma or dash, whole sentences of lines that have several,
 * and whole lines. Each loses the meaning of its words: a word that carries meaning and stands
 * nowhere else weighs 1, one that stands elsewhere too 0.3, a function word 0.05; a whole line
 * costs half as much again, because its place in the story goes with it. Cuts are taken by the
 * least loss for a second saved.
 */
public final class Shortening {
  private static final Pattern FILLER =
      Pattern.compile(
          "(?i)\\b(very|really|just|quite|simply|actually|basically|in fact|of course|somehow|indeed|rather) ");
  private static final Pattern ASIDE =
      Pattern.compile(
          " [–—-] [^–—.!?]{4,80} [–—-](?= )| ?\\([^)]{4,80}\\)|, (?:which|who|where|whose|with|like|as) [^,.!?;]{4,80}(?=,)");
  private static final Pattern TAIL =
      Pattern.compile(
          "(?:, (?:and|but|so|which|who|where|while|with|as|like|for|because)|,| [–—-]) [^,.!?;–—]{6,90}(?=[.!?…]+\"?(?:\\s|$))");

  /**
   * A cut that is offered.
   *
   * @param line the number of the line
   * @param text what goes
   * @param left what the line is then; "" if all of it goes
   * @param seconds saved
   * @param loss how much meaning goes, by the rule above
   */
  public record Cut(int line, String text, String left, double seconds, double loss) {}

  private Shortening() {}

  /**
   * The cuts that save at least so many seconds, least loss a second first; none from a line twice.
   * If all of them together save less, all are offered.
   *
   * @param over seconds to save; nothing is offered for 0 or less
   */
  public static List<Cut> offer(List<SpokenLine> lines, Delivery delivery, double over) {
    if (over <= 0) {
      return List.of();
    }
    Map<String, Integer> seen = new HashMap<>();
    for (SpokenLine line : lines) {
      Words.content(line.text()).forEach(w -> seen.merge(w, 1, Integer::sum));
    }
    List<Cut> cuts = new ArrayList<>();
    for (SpokenLine line : lines) {
      candidates(line, lines.size() > 1, delivery, seen, cuts);
    }
    cuts.sort(
        Comparator.comparingDouble((Cut c) -> c.loss() / Math.max(0.05, c.seconds()))
            .thenComparingInt(Cut::line));
    List<Cut> offered = new ArrayList<>();
    double saved = 0;
    for (Cut cut : cuts) {
      boolean free = offered.stream().noneMatch(c -> c.line() == cut.line());
      if (saved < over && free) {
        offered.add(cut);
        saved += cut.seconds();
      }
    }
    return offered;
  }

  private static void candidates(
      SpokenLine line,
      boolean mayGo,
      Delivery delivery,
      Map<String, Integer> seen,
      List<Cut> cuts) {
    for (Pattern pattern : List.of(FILLER, ASIDE, TAIL)) {
      Matcher m = pattern.matcher(line.text());
      while (m.find()) {
        add(line, m.start(), m.end(), delivery, seen, cuts);
      }
    }
    List<String> sentences = Words.sentences(line.text());
    int from = 0;
    for (String sentence : sentences) {
      int at = line.text().indexOf(sentence, from);
      from = at + sentence.length();
      if (sentences.size() > 1 && at >= 0) {
        add(line, at, from, delivery, seen, cuts);
      }
    }
    if (mayGo) {
      double seconds = delivery.secondsOf(line) + delivery.gap();
      cuts.add(new Cut(line.number(), line.text(), "", seconds, 1.5 * loss(line.text(), seen)));
    }
  }

  private static void add(
      SpokenLine line,
      int from,
      int to,
      Delivery delivery,
      Map<String, Integer> seen,
      List<Cut> cuts) {
    String text = line.text();
    String gone = text.substring(from, to).strip();
    String left =
        (text.substring(0, from) + " " + text.substring(to))
            .replaceAll("\\s+", " ")
            .replaceAll(" ([,.!?;])", "$1")
            .strip();
    double seconds = delivery.secondsOf(text) - delivery.secondsOf(left);
    if (Words.count(left) > 0 && seconds > 0) {
      String capital = Character.toUpperCase(left.charAt(0)) + left.substring(1);
      cuts.add(new Cut(line.number(), gone, capital, seconds, loss(gone, seen)));
    }
  }

  private static double loss(String text, Map<String, Integer> seen) {
    List<String> content = Words.content(text);
    double sum = 0.05 * (Words.count(text) - content.size());
    for (String word : content) {
      sum += seen.getOrDefault(word, 1) > 1 ? 0.3 : 1;
    }
    return FILLER.matcher(text + " ").matches() ? 0.05 : sum;
  }
}
