package app.latethistle.core.caption;

import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Shape;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** The captions of a film in a language and a shape. */
public final class FilmCaptioner {
  private static final int FEWEST_WORDS = 3;
  private static final int MOST_WORDS = 5;

  private final Resolved film;
  private final FilmCaptions said;
  private final CaptionRules rules;

  /**
   * @param said what is kept of them
   * @param shape of the picture they stand in
   */
  public FilmCaptioner(Resolved film, FilmCaptions said, Shape shape) {
    this.film = film;
    this.said = said;
    CaptionRules shaped = CaptionRules.USUAL.in(shape);
    rules =
        switch (said.style().kind()) {
          case TWO_LINES -> shaped;
          case ONE_LINE -> shaped.withLetters(shaped.letters(), 1);
          case FEW_WORDS, ONE_WORD -> shaped.followingSpeech();
        };
  }

  /** What they keep to. */
  public CaptionRules rules() {
    return rules;
  }

  /** The captions, in the order they are seen. */
  public List<Caption> captions() {
    List<Long> joints = film.cutting().frames();
    List<Long> cuts = joints.isEmpty() ? joints : joints.subList(1, joints.size());
    if (!said.own().isEmpty()) {
      return own(cuts);
    }
    Captioner captioner = new Captioner(rules, film.rate());
    List<SpokenLine> lines =
        film.cutting().voice().lines().stream()
            .filter(VoiceClock.Spoken::isHeard)
            .map(line -> SpokenLine.of(line.id(), words(line)))
            .filter(line -> !line.words().isEmpty())
            .toList();
    return switch (said.style().kind()) {
      case TWO_LINES, ONE_LINE -> captioner.twoLines(lines, cuts);
      case FEW_WORDS -> captioner.words(lines, FEWEST_WORDS, MOST_WORDS, List.of());
      case ONE_WORD -> captioner.words(lines, 1, 1, List.of());
    };
  }

  /** Lines that are heard and have no text in this language, by their ids. */
  public List<String> untold() {
    return said.own().isEmpty()
        ? film.cutting().voice().lines().stream()
            .filter(line -> line.isHeard() && words(line).isEmpty())
            .map(VoiceClock.Spoken::id)
            .toList()
        : List.of();
  }

  /** The text of a line, as it is captioned; "" for none. */
  public String text(VoiceClock.Spoken line) {
    String read = said.areAsRead() ? line.text() : "";
    return said.texts().getOrDefault(line.id(), read);
  }

  private List<Word> words(VoiceClock.Spoken line) {
    return Retimed.words(
        text(line), line.words().stream().filter(w -> w.at().length() > 0).toList());
  }

  private List<Caption> own(List<Long> cuts) {
    List<Caption> captions = new ArrayList<>();
    long end = Long.MIN_VALUE / 4;
    for (FilmCaptions.Own one : said.own()) {
      Caption caption =
          new Caption("", one.at(), Arrays.asList(one.text().split("\n")), List.of(), Set.of());
      captions.add(caption.judged(rules, film.rate(), end, cuts));
      end = one.at().end();
    }
    return captions;
  }
}
