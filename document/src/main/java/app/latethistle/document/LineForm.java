package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Narration;
import app.latethistle.core.mix.FilmMix;
import app.latethistle.core.time.SampleRange;
import java.util.List;

/**
 * A line of the narration.
 *
 * @param id what ties to its words call it
 * @param text as it is written; its words if it is not said
 * @param media its reading; none if it is not read
 * @param length of the reading as it is used, in samples at 48 kHz
 * @param words of it, in samples of the reading as it is used
 * @param start what its first word is tied to; the end of the line before if it is not said
 * @param cuts what is left out of the file, in samples of it
 * @param speaker who speaks it
 * @param loudness of the reading, in LUFS; it is heard as loud as it is if it is not said
 */
public record LineForm(
    String id,
    String text,
    MediumForm media,
    long length,
    List<Word> words,
    Begin start,
    List<SamplesForm> cuts,
    String speaker,
    Double loudness) {

  /** A word and where it is spoken. */
  public record Word(String text, long start, long end) {}

  /**
   * What a line starts on: one of these.
   *
   * @param after seconds after the end of the line before
   * @param at a sample of the film
   * @param bar of the song, from 1
   * @param shot with the first frame of a shot
   */
  public record Begin(Double after, Long at, Integer bar, String shot) {
    static Begin of(Narration.Start start) {
      if (start instanceof Narration.Start.At on) {
        return new Begin(null, on.sample(), null, null);
      }
      if (start instanceof Narration.Start.OnBar on) {
        return new Begin(null, null, on.bar(), null);
      }
      if (start instanceof Narration.Start.WithShot on) {
        return new Begin(null, null, null, on.shot());
      }
      return new Begin(((Narration.Start.After) start).gap(), null, null, null);
    }

    Narration.Start get() {
      if (at != null) {
        return new Narration.Start.At(at);
      }
      if (bar != null) {
        return new Narration.Start.OnBar(bar);
      }
      return shot == null
          ? new Narration.Start.After(Say.or(after, 0.0))
          : new Narration.Start.WithShot(shot);
    }
  }

  /** A line and what is heard of it. */
  public static LineForm of(
      Narration.Line line, MediumForm media, List<SampleRange> cuts, double loudness) {
    return new LineForm(
        line.id(),
        line.text(),
        media,
        line.length(),
        line.words().stream().map(w -> new Word(w.text(), w.at().start(), w.at().end())).toList(),
        Begin.of(line.start()),
        SamplesForm.of(cuts),
        line.speaker().isEmpty() ? null : line.speaker(),
        Double.isFinite(loudness) ? loudness : null);
  }

  Narration.Line get(int number) {
    List<Narration.Word> spoken = Say.or(words).stream().map(this::word).toList();
    Narration.Start begins = start == null ? new Narration.Start.After(0) : start.get();
    Narration.Line heard = new Narration.Line(id, number, spoken, length, begins);
    return new Narration.Line(
        id, number, Say.or(text, heard.text()), spoken, length, begins, Say.or(speaker, ""));
  }

  private Narration.Word word(Word word) {
    if (word.end < word.start || word.end > length) {
      throw new Refused(
          "The word '"
              + word.text
              + "' ends before it starts, or after its line of "
              + length
              + " samples.");
    }
    return new Narration.Word(word.text, new SampleRange(word.start, word.end));
  }

  /** Its reading as it is heard. */
  FilmMix.Reading heard() {
    return new FilmMix.Reading(
        media.sha256(),
        Say.or(cuts).stream().map(SamplesForm::range).toList(),
        Say.or(loudness, Double.NaN));
  }

  LineForm with(MediumForm other) {
    return new LineForm(id, text, other, length, words, start, cuts, speaker, loudness);
  }
}
