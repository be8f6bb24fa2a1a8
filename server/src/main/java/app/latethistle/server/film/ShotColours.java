package app.latethistle.server.film;

import app.latethistle.core.film.Placement;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.Kept;
import app.latethistle.server.material.Pictures;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Pictures of shots whose colours are looked at. */
@Component
class ShotColours {
  /** Pictures of a shot that are looked at. */
  private static final int LOOKED_AT = 3;

  /** Shots whose pictures are kept; those of one take 0.9 MB. */
  private static final int KEPT = 80;

  private final Pictures pictures;
  private final Kept<String, List<ColourPicture>> kept = new Kept<>(KEPT);

  ShotColours(Pictures pictures) {
    this.pictures = pictures;
  }

  /** From all over what a shot shows of its take; empty if it has none. */
  Optional<List<ColourPicture>> of(FilmState state, Placement shot) {
    Take take = state.takes().get(shot.take());
    if (take == null) {
      return Optional.empty();
    }
    FrameRange shown = state.resolved().shown(shot.id());
    List<Long> frames =
        IntStream.range(0, LOOKED_AT)
            .mapToObj(i -> shown.start() + (2 * i + 1) * shown.length() / (2 * LOOKED_AT))
            .map(f -> Math.max(0, Math.min(take.frames() - 1, f)))
            .toList();
    String key = take.media() + " " + state.production().rate() + " " + frames;
    Optional<List<ColourPicture>> known = kept.get(key);
    if (known.isPresent()) {
      return known;
    }
    List<ColourPicture> read = pictures.colours(take.media(), state.production().rate(), frames);
    kept.put(key, read);
    return Optional.of(read);
  }
}
