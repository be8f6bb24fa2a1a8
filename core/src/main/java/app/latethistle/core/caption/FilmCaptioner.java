package app.latethistle.core.caption;

import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundPlace;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Shape;
import app.latethistle.core.words.CaptionKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** The captions of a film in a language and a shape. Not for use by two threads at once. */
public final class FilmCaptioner {
  private static final int FEWEST_WORDS = 3;
  private static final int MOST_WORDS = 5;

  private final Resolved film;
  private final FilmCaptions said;
  private final CaptionRules rules;

  /** Broken when it is first asked for: breaking goes over all words. */
  private Labelled labelled;

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
    return labelled().captions;
  }

  /** Sounds that are said and for which there is no room, by their ids. */
  public List<String> crowded() {
    return labelled().crowded;
  }

  /** Captions with what is said of sounds among them. */
  private record Labelled(List<Caption> captions, List<String> crowded) {}

  private Labelled labelled() {
    if (labelled == null) {
      labelled = broken();
    }
    return labelled;
  }

  private Labelled broken() {
    List<Long> joints = film.cutting().frames();
    List<Long> cuts = joints.isEmpty() ? joints : joints.subList(1, joints.size());
    List<Caption> spoken = said.own().isEmpty() ? spoken(cuts) : own(cuts);
    if (said.sounds().isEmpty()) {
      return new Labelled(spoken, List.of());
    }
    boolean joins = said.style().kind() == CaptionKind.TWO_LINES;
    SoundLabels labels = new SoundLabels(spoken, rules, film.rate(), joins);
    List<Caption> all = labels.among(sounds(), cuts);
    return new Labelled(all, labels.crowded());
  }

  private List<Caption> spoken(List<Long> cuts) {
    Captioner captioner = new Captioner(rules, film.rate());
    List<SpokenLine> lines = new ArrayList<>();
    String before = null;
    for (VoiceClock.Spoken line : film.cutting().voice().lines()) {
      List<Word> words = line.isHeard() ? words(line) : List.of();
      if (!words.isEmpty()) {
        lines.add(SpokenLine.of(line.id(), told(words, line.speaker(), before)));
        before = line.speaker();
      }
    }
    return switch (said.style().kind()) {
      case TWO_LINES, ONE_LINE -> captioner.twoLines(lines, cuts);
      case FEW_WORDS -> captioner.words(lines, FEWEST_WORDS, MOST_WORDS, List.of());
      case ONE_WORD -> captioner.words(lines, 1, 1, List.of());
    };
  }

  /**
   * The words of a line, before the first of them who speaks it.
   *
   * @param before who spoke the line before; null for nobody
   */
  private List<Word> told(List<Word> words, String speaker, String before) {
    if (speaker.isEmpty() || speaker.equals(before)) {
      return words;
    }
    String sign =
        switch (said.style().speakers()) {
          case UNTOLD -> "";
          case NAMES -> speaker + ": ";
          case COLOURS, PLACES -> before == null ? "" : "\u2013 ";
        };
    List<Word> told = new ArrayList<>(words);
    told.set(0, new Word(sign + words.get(0).text(), words.get(0).at()));
    return told;
  }

  /** Those who speak in the film, in the order they do first; nobody who is not named. */
  public List<String> speakers() {
    return film.cutting().voice().lines().stream()
        .filter(VoiceClock.Spoken::isHeard)
        .map(VoiceClock.Spoken::speaker)
        .filter(speaker -> !speaker.isEmpty())
        .distinct()
        .toList();
  }

  /** Who speaks a caption; "" for nobody who is named. */
  public String speaker(Caption caption) {
    return film.cutting().voice().lines().stream()
        .filter(line -> line.id().equals(caption.line()))
        .map(VoiceClock.Spoken::speaker)
        .findFirst()
        .orElse("");
  }

  private List<SoundLabels.Label> sounds() {
    List<SoundLabels.Label> labels = new ArrayList<>();
    said.sounds()
        .forEach(
            (id, text) -> {
              SoundPlace place = film.cutting().beside().sounds().get(id);
              long frame = place == null ? -1 : film.rate().nearestFrame(place.landing());
              if (frame >= 0 && frame < film.cutting().length()) {
                labels.add(new SoundLabels.Label(id, frame, text));
              }
            });
    return labels;
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
