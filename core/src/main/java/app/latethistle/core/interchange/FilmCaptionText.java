package app.latethistle.core.interchange;

import app.latethistle.core.caption.FilmCaptioner;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.look.Shape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Speakers;
import java.util.List;
import java.util.Optional;

/** Writes the captions of a film as text, where and how they stand in a shape. */
public final class FilmCaptionText {
  private final List<TimedText> captions;
  private final CaptionLook look;

  /**
   * @param said the captions in a language
   * @param own the film's own shape
   * @param other the shape they stand in, if it is another
   * @param part the frames of the film that are captioned; times count from its first
   */
  public FilmCaptionText(
      Resolved film, FilmCaptions said, Shape own, Optional<Shape> other, FrameRange part) {
    FilmCaptioner captioner = new FilmCaptioner(film, said, other.orElse(own));
    boolean told = said.style().speakers() != Speakers.UNTOLD;
    captions =
        captioner.captions().stream()
            .flatMap(
                c ->
                    c.within(part).stream()
                        .map(seen -> TimedText.of(seen, film.rate()))
                        .map(text -> told ? text.by(captioner.speaker(c)) : text))
            .toList();
    Box box = other.map(said.style().box()::in).orElse(said.style().box().own());
    look = new CaptionLook(said.language(), box.y() / 10, Optional.of(said.style()));
  }

  /** As text of a format. */
  public String write(CaptionFormat format) {
    return CaptionText.write(format, captions, look);
  }
}
