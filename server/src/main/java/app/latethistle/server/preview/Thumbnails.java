package app.latethistle.server.preview;

import app.latethistle.core.film.Placement;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.release.ThumbnailScore;
import app.latethistle.core.render.Program;
import app.latethistle.core.time.FrameRange;
import app.latethistle.media.Jpeg;
import app.latethistle.media.credentials.ContentCredentials;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.Kept;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.io.IOException;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Finds pictures of a film that do as thumbnails, and draws them. */
@Component
class Thumbnails {
  private static final int MOST = 5;

  /** Shots that are looked at, spread over the film. */
  private static final int LOOKED_AT = 24;

  private static final int KEPT = 400;

  private final PreviewService previews;
  private final Takes takes;
  private final ContentCredentials credentials;
  private final Kept<String, ThumbnailScore> scores = new Kept<>(KEPT);

  Thumbnails(PreviewService previews, Takes takes, ContentCredentials credentials) {
    this.credentials = credentials;
    this.previews = previews;
    this.takes = takes;
  }

  /**
   * A picture that may do.
   *
   * @param sharpness 0 to 100
   * @param contrast 1 to 21, at 120 pixels across
   * @param faces how many are seen in it
   * @param marked whether a service's mark may be seen in it
   */
  record Candidate(long frame, int sharpness, double contrast, int faces, boolean marked) {
    private static Candidate of(long frame, ThumbnailScore score, boolean marked) {
      double contrast = Math.round(10 * score.contrast()) / 10.0;
      return new Candidate(frame, score.sharpness(), contrast, score.faces(), marked);
    }

    private double value() {
      return new ThumbnailScore(sharpness, contrast, faces).value();
    }
  }

  /** The best, each of another take, in the film's order; those with a mark only if others lack. */
  List<Candidate> of(FilmState state) throws IOException {
    Map<String, TakeEntry> entries = takes.byFilmId(state.production().id());
    List<Placement> cut = state.film().placements();
    Map<String, Candidate> found = new LinkedHashMap<>();
    int step = Math.max(1, (cut.size() + LOOKED_AT - 1) / LOOKED_AT);
    for (int i = 0; i < cut.size(); i += step) {
      Placement p = cut.get(i);
      TakeEntry take = entries.get(p.take());
      if (!p.hasPicture() || take == null || take.isPlaceholder() || found.containsKey(p.take())) {
        continue;
      }
      FrameRange range = state.cutting().rangeOf(i);
      long frame = (range.start() + range.end()) / 2;
      boolean marked = take.measured().map(facts -> !facts.marks().isEmpty()).orElse(false);
      found.put(p.take(), Candidate.of(frame, score(state, frame), marked));
    }
    return found.values().stream()
        .sorted(
            Comparator.comparing(Candidate::marked)
                .thenComparing(Comparator.comparingDouble(Candidate::value).reversed()))
        .limit(MOST)
        .sorted(Comparator.comparingLong(Candidate::frame))
        .toList();
  }

  private ThumbnailScore score(FilmState state, long frame) throws IOException {
    Program program = previews.program(state, Optional.empty());
    String key = program.key(new FrameRange(frame, frame + 1));
    Optional<ThumbnailScore> known = scores.get(key);
    if (known.isPresent()) {
      return known.get();
    }
    Frame picture = previews.frames(program, List.of(frame)).get(0);
    ThumbnailScore score = ThumbnailScore.of(picture);
    scores.put(key, score);
    return score;
  }

  /** One of them at 1280 by 720 or the film's shape, saying that it was generated. */
  byte[] jpeg(FilmState state, long frame) throws IOException {
    Program small = previews.program(state, Optional.empty());
    Program large = state.program(2 * small.width(), 2 * small.height());
    Frame picture = previews.frames(large, List.of(frame)).get(0);
    return credentials.in(Jpeg.encode(picture, 0.92f), state.production().title());
  }
}
