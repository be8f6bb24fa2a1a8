package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.Treating;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Movement;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Films as they would look if something were done, for pictures of it before it is. */
@Component
public class LookTrials {
  private final JsonMapper mapper;
  private final TitleDesigns designs;

  LookTrials(JsonMapper mapper, TitleDesigns designs) {
    this.mapper = mapper;
    this.designs = designs;
  }

  /**
   * With a shot corrected otherwise.
   *
   * @param correction as JSON
   * @throws IllegalArgumentException if it cannot be read, with what is wrong
   */
  public FilmState corrected(FilmState film, String item, String correction) {
    return film.with(item, read(() -> mapper.readValue(correction, Correction.class)));
  }

  /** With a shot without its ranges of colours, and without the film's finish. */
  public FilmState withoutRanges(FilmState film, String item) {
    Correction correction = film.shot(item).how().correction().withRanges(List.of());
    return film.with(item, correction).finished(Treatments.NONE);
  }

  /**
   * With another finish.
   *
   * @param item what it lies over, by its id in the film: a stretch, or "" for the whole film
   * @param treatments as a JSON list
   * @throws IllegalArgumentException if they cannot be read, with what is wrong
   */
  public FilmState finished(FilmState film, String item, String treatments) {
    List<TreatmentView> list =
        read(() -> mapper.readerForListOf(TreatmentView.class).readValue(treatments));
    Treatments finish = TreatmentView.treatments(list);
    return film.of(Treating.set(film.film(), List.of(item), now -> finish).apply(film.film()));
  }

  /**
   * With a title otherwise.
   *
   * @param change as JSON
   * @throws IllegalArgumentException if it cannot be read, with what is wrong
   */
  public FilmState titled(FilmState film, String change) {
    return film.of(
        read(() -> mapper.readValue(change, TitleChange.class)).edit(film).apply(film.film()));
  }

  /** With one title alone, at a frame, as it has landed. */
  public FilmState designed(FilmState film, String design, String text, long frame) {
    Design like = designs.named(design);
    FilmTitle title =
        FilmTitle.of(film.film().freshId("title"), like, Standing.of(Tie.free(frame), 2))
            .withWords(like.saying(text))
            .withMovement(Movement.NONE);
    return film.of(film.film().withTitles(List.of(title)));
  }

  @FunctionalInterface
  private interface Reading<T> {
    T read();
  }

  private static <T> T read(Reading<T> reading) {
    try {
      return reading.read();
    } catch (JacksonException e) {
      for (Throwable cause = e; cause != null; cause = cause.getCause()) {
        if (cause instanceof Refused refused) {
          throw refused;
        }
      }
      throw new Refused("The values could not be read: " + e.getOriginalMessage());
    }
  }
}
