package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.Locale;

/**
 * What a film is to be, before there is a script.
 *
 * @param form of the film
 * @param subject what it is about
 * @param audience who it is for
 * @param tone rules of tone, such as "no jokes; short sentences"
 * @param seconds its wanted length, 5 to 1200
 * @param structure its parts in order, or ""
 */
public record Brief(
    Form form, String subject, String audience, String tone, double seconds, String structure) {
  /** Forms of film. */
  public enum Form {
    TRAILER,
    SHORT_FILM,
    MUSIC_VIDEO,
    PROMO,
    DOCUMENTARY_INSERT,
    VERSE;

    /** In words. */
    public String label() {
      return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
  }

  /**
   * @throws IllegalArgumentException if the length is out of range
   */
  public Brief {
    if (!(seconds >= 5 && seconds <= 1200)) {
      throw new Refused(
          "A film of "
              + Refused.number(seconds)
              + " s cannot be written for; give 5 to 1200 seconds.");
    }
  }

  /** Words that fill a length at a delivery, rounded to five; 0 for a music video. */
  public int words(Delivery delivery) {
    return form == Form.MUSIC_VIDEO
        ? 0
        : (int) Math.round(seconds * delivery.wordsPerMinute() / 60 * 0.85 / 5) * 5;
  }

  /**
   * The request to paste into any writing service. Its answer can be read back with {@link
   * WrittenAnswer}, because it says how to write it down.
   */
  public String request(Delivery delivery) {
    StringBuilder text = new StringBuilder();
    text.append("Write the script of a ")
        .append(form.label())
        .append(" that lasts ")
        .append(Math.round(seconds))
        .append(" seconds.\n\n");
    line(text, "Subject", subject);
    line(text, "Audience", audience);
    line(text, "Rules of tone", tone);
    line(text, "Structure", structure);
    int words = words(delivery);
    if (words > 0) {
      text.append("Spoken words: about ")
          .append(words)
          .append(" in all, read at ")
          .append(Math.round(delivery.wordsPerMinute()))
          .append(" words a minute. Write them as they are said; no word more.\n");
    } else {
      text.append("Nobody speaks. Tell it in pictures only.\n");
    }
    text.append(
        """

        Write it in exactly this form and write nothing else:
        ## name of the place
        - one thing that is seen, in one sentence, with no camera words
        Narrator: words that are spoken over the picture before it
        NAME: words that a person says

        Each "-" line is one shot. Begin each new place with a "##" line. Put words that can be read
        in the picture in quotation marks.
        """);
    return text.toString();
  }

  private static void line(StringBuilder text, String name, String value) {
    if (!value.isBlank()) {
      text.append(name).append(": ").append(value.strip()).append('\n');
    }
  }
}
