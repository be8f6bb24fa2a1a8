package app.latethistle.standins.writer;

import app.latethistle.core.story.Brief;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Script;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;

/** Writes drafts to a brief. The same brief and seed give the same drafts. */
public final class DraftWriter {
  private static final String[] STRUCTURES = {"in order of time", "from the end", "as questions"};

  private static final String[] PLACES = {
    "the landing at first light",
    "the long room",
    "the road above the water",
    "the workshop",
    "the stairwell",
    "the yard after rain",
    "the last house",
    "the open plain",
    "the signal hut",
    "the narrow street"
  };

  private static final String[] SEEN = {
    "{Thing} stands alone in the first light",
    "A hand rests on {thing}",
    "Dust turns in a shaft of light beside {thing}",
    "Somebody waits with their back to us",
    "A door opens a hand's width",
    "{Thing} is reflected in still water",
    "A lamp is lit, then another",
    "Footprints lead away from {thing}",
    "The wind lifts a sheet of paper",
    "A face in half light, listening",
    "{Thing}, very close, very still",
    "The sky darkens over {place}",
    "Two people pass without a word",
    "A clock with no hands",
    "Everything begins to move at once",
    "Far away a single light answers"
  };

  private static final String[] OPEN = {
    "Nobody remembers when {thing} began.",
    "They said {thing} would be gone by morning.",
    "Once, {thing} was all we had.",
    "It started with {thing}.",
    "What would you keep of {thing}?"
  };

  private static final String[] MIDDLE = {
    "Every night it came a little nearer.",
    "We counted the days, and then we stopped counting.",
    "Some people left. Some learned to wait.",
    "The rules were simple: keep the light, keep the door, keep quiet.",
    "And still nobody asked who had sent it.",
    "There is always one who does not look away.",
    "You can hear it, if you let the room go quiet.",
    "Nothing here is lost. It is only late.",
    "We made a promise, and the promise held.",
    "That was the year {thing} changed its name.",
    "One mistake is enough."
  };

  private static final String[] CLOSE = {
    "Tonight it ends where it began.",
    "Some doors have to be found twice.",
    "{Thing}. It was never yours to keep.",
    "And then the light answered.",
    "Ask again in the morning."
  };

  private DraftWriter() {}

  /** A draft in Markdown, as the request for writing services asks for it. */
  public record Draft(String title, String text, int words, double seconds) {}

  /** Three drafts with different structures. */
  public static List<Draft> drafts(Brief brief, Delivery delivery, long seed) {
    List<Draft> drafts = new ArrayList<>();
    for (int i = 0; i < STRUCTURES.length; i++) {
      drafts.add(draft(brief, delivery, new SplittableRandom(seed * 31 + i), i));
    }
    return drafts;
  }

  private static Draft draft(Brief brief, Delivery delivery, SplittableRandom random, int kind) {
    String thing = thing(brief, random);
    int budget = brief.words(delivery);
    int shots = (int) Math.max(4, Math.min(40, Math.round(brief.seconds() / 3.5)));
    int scenes = Math.max(2, Math.min(6, shots / 5));
    List<String> spoken = spoken(budget, thing, random, kind);
    List<String> seen = shuffled(SEEN, random);
    List<String> places = shuffled(PLACES, random);
    StringBuilder text = new StringBuilder();
    int line = 0;
    for (int scene = 0; scene < scenes; scene++) {
      String place = places.get(scene % places.size());
      text.append(scene == 0 ? "" : "\n").append("## ").append(capital(place)).append('\n');
      int from = shots * scene / scenes;
      int to = shots * (scene + 1) / scenes;
      for (int shot = from; shot < to; shot++) {
        String picture = seen.get(shot % seen.size()).replace("{place}", place);
        text.append("- ").append(filled(picture, thing)).append('\n');
        boolean speaks = line < spoken.size() && shot * spoken.size() / shots >= line;
        if (speaks) {
          text.append("\nNarrator: ").append(spoken.get(line++)).append("\n\n");
        }
      }
    }
    String script = text.toString().replaceAll("\n{3,}", "\n\n");
    List<SpokenLine> lines = Script.parse(script, ScriptFormat.MARKDOWN).lines();
    return new Draft(
        capital(thing) + ", " + STRUCTURES[kind],
        script,
        lines.stream().mapToInt(SpokenLine::words).sum(),
        delivery.secondsOf(lines));
  }

  /** Lines within the budget of words. */
  private static List<String> spoken(int budget, String thing, SplittableRandom random, int kind) {
    if (budget == 0) {
      return List.of();
    }
    String first = filled(OPEN[random.nextInt(OPEN.length)], thing);
    String last = filled(CLOSE[random.nextInt(CLOSE.length)], thing);
    List<String> lines = new ArrayList<>();
    lines.add(kind == 1 ? last : first);
    int left = budget - Words.count(first) - Words.count(last);
    for (String middle : shuffled(MIDDLE, random)) {
      String line = filled(middle, thing);
      if (kind == 2 && lines.size() % 2 == 1) {
        line = "What if it is true? " + line;
      }
      if (Words.count(line) <= left) {
        lines.add(line);
        left -= Words.count(line);
      }
    }
    lines.add(kind == 1 ? first : last);
    return lines;
  }

  /** What the film turns on: the subject's first words that carry meaning. */
  private static String thing(Brief brief, SplittableRandom random) {
    List<String> content = Words.content(brief.subject());
    if (content.isEmpty()) {
      return new String[] {"the light", "the letter", "the last train", "the quiet"}
          [random.nextInt(4)];
    }
    String subject = brief.subject().strip().replaceFirst("[.!?].*$", "");
    String phrase = Words.count(subject) <= 5 ? subject : content.get(0);
    String small = Character.toLowerCase(phrase.charAt(0)) + phrase.substring(1);
    boolean has = small.matches("(?i)(a|an|the|my|our|his|her|their|every|no) .*");
    return has ? small.replaceFirst("^(a|an) ", "the ") : "the " + small;
  }

  private static String filled(String template, String thing) {
    return capital(template.replace("{thing}", thing).replace("{Thing}", capital(thing)));
  }

  private static String capital(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  private static List<String> shuffled(String[] from, SplittableRandom random) {
    List<String> list = new ArrayList<>(List.of(from));
    for (int i = list.size() - 1; i > 0; i--) {
      list.set(i, list.set(random.nextInt(i + 1), list.get(i)));
    }
    return list;
  }
}
