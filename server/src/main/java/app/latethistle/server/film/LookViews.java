package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.grade.Clipping;
import app.latethistle.core.grade.ColourChange;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.ColourTreatment;
import app.latethistle.core.grade.Drift;
import app.latethistle.core.grade.Summary;
import app.latethistle.core.look.ColourGroup;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.LookKey;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.KeyStills;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.WantedShots;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Measures how alike the shots of a film look. */
@Component
class LookViews {
  private final FilmViews films;
  private final ShotColours colours;
  private final WantedShots wanted;
  private final KeyStills stills;

  LookViews(FilmViews films, ShotColours colours, WantedShots wanted, KeyStills stills) {
    this.stills = stills;
    this.films = films;
    this.colours = colours;
    this.wanted = wanted;
  }

  /** A shot of the film where it is seen first. */
  static Optional<Placement> first(Film film, String shot) {
    return film.placements().stream()
        .filter(p -> p.hasPicture() && p.shot().equals(shot))
        .findFirst();
  }

  /** Where shots are by the story's words, by their ids; those it does not place are left out. */
  Map<String, String> places(long productionId) {
    Map<Integer, StoryShot> story = wanted.of(productionId);
    Map<String, String> places = new HashMap<>();
    films
        .shotsOf(productionId)
        .forEach(
            (id, shot) -> {
              StoryShot told = shot.storyShot() == null ? null : story.get(shot.storyShot());
              if (told != null && !told.where().isBlank()) {
                places.put(Long.toString(id), told.where());
              }
            });
    return places;
  }

  /**
   * What the film's shots are called, by their ids in it, in order; then what lies over the cut.
   */
  Map<String, String> labels(FilmState state) {
    Map<Long, Shot> shots = films.shotsOf(state.production().id());
    Map<String, String> labels = new LinkedHashMap<>();
    state
        .film()
        .shots()
        .filter(Placement::hasPicture)
        .forEach(p -> labels.put(p.id(), label(shots.get(Long.valueOf(p.shot())))));
    return labels;
  }

  private static String label(Shot shot) {
    return shot == null ? "?" : shot.label();
  }

  LookView of(FilmState state) {
    return new Looking(state).view();
  }

  /** One look at a film. */
  private final class Looking {
    private final FilmState state;
    private final Finish finish;
    private final Map<Long, Shot> shots;
    private final Map<String, String> places;
    private final Map<LookKey, Optional<Summary>> keys = new HashMap<>();
    private final List<LookView.LookShot> list = new ArrayList<>();

    Looking(FilmState state) {
      this.state = state;
      finish = state.film().finish();
      shots = films.shotsOf(state.production().id());
      places = places(state.production().id());
    }

    LookView view() {
      List<Placement> placements = state.film().placements();
      for (int i = 0; i < placements.size(); i++) {
        add(placements.get(i), 0, state.cutting().rangeOf(i));
      }
      for (Overlay over : state.film().overlays()) {
        FrameRange range = state.cutting().beside().overlays().get(over.name());
        if (range != null) {
          add(over.placement(), over.layer(), range);
        }
      }
      return new LookView(
          state.production().revision(),
          placed(finish.key()).map(Placement::id).orElse(null),
          finish.key().flatMap(this::still).orElse(null),
          Drift.CLOSE,
          finish.groups().stream().map(ColourGroup::name).toList(),
          list,
          TreatmentView.of(finish.treatments()),
          clippedByFinish());
    }

    private void add(Placement p, int layer, FrameRange range) {
      if (!p.hasPicture()) {
        return;
      }
      Shot shot = shots.get(Long.valueOf(p.shot()));
      Correction correction = p.how().correction();
      // What lies over the cut is cut out or mixed: it is corrected by hand, and not measured.
      boolean measured = layer == 0;
      Optional<Summary> key =
          measured ? finish.keyOf(p.shot()).flatMap(this::key) : Optional.empty();
      // Pictures are read only where something is measured on them.
      Optional<List<ColourPicture>> pictures =
          key.isPresent() || !correction.leavesAll() ? colours.of(state, p) : Optional.empty();
      Drift before = null;
      Drift now = null;
      if (key.isPresent() && pictures.isPresent()) {
        before = drift(key.get(), pictures.get(), Correction.NONE);
        now = correction.leavesAll() ? before : drift(key.get(), pictures.get(), correction);
      }
      list.add(
          new LookView.LookShot(
              p.id(),
              label(shot),
              shot == null ? "" : shot.title(),
              layer,
              (range.start() + range.end()) / 2,
              places.getOrDefault(p.shot(), ""),
              measured ? finish.groupOf(p.shot()).map(ColourGroup::name).orElse(null) : null,
              measured ? keyOf(p.shot()) : LookView.KeyOf.NONE,
              levelled(p),
              correction,
              before,
              now,
              pictures
                  .filter(some -> !correction.leavesAll())
                  .map(some -> 100 * Clipping.of(some, correction))
                  .orElse(0.0)));
    }

    private int levelled(Placement p) {
      Take take = state.takes().get(p.take());
      Levelling levelling = p.how().levelling();
      return take == null || levelling.leaves(take.media()) ? 0 : levelling.strength();
    }

    private LookView.KeyOf keyOf(String shot) {
      if (finish.isKeyOfFilm(shot)) {
        return LookView.KeyOf.FILM;
      }
      return finish.isKeyOfGroup(shot) ? LookView.KeyOf.GROUP : LookView.KeyOf.NONE;
    }

    /** What a key looks like; a shot as it is corrected. */
    private Optional<Summary> key(LookKey key) {
      return keys.computeIfAbsent(
          key,
          k ->
              k instanceof LookKey.Still still
                  ? stills
                      .of(still.picture())
                      .map(picture -> Summary.of(List.of(picture), Correction.NONE))
                  : placed(Optional.of(k))
                      .flatMap(
                          shot ->
                              colours
                                  .of(state, shot)
                                  .map(p -> Summary.of(p, shot.how().correction()))));
    }

    /** Where a key that is a shot is seen first. */
    private Optional<Placement> placed(Optional<LookKey> key) {
      return key.flatMap(
          k -> k instanceof LookKey.OfShot of ? first(state.film(), of.shot()) : Optional.empty());
    }

    private Optional<LookView.KeyStill> still(LookKey key) {
      return key instanceof LookKey.Still still
          ? stills.name(still.picture()).map(name -> new LookView.KeyStill(still.picture(), name))
          : Optional.empty();
    }

    private double clippedByFinish() {
      if (finish.treatments().done().stream().noneMatch(t -> t.kind().ofColour())) {
        return 0;
      }
      ColourChange change = ColourTreatment.of(finish.treatments());
      return 100
          * state.film().placements().stream()
              .filter(Placement::hasPicture)
              .flatMap(
                  p ->
                      colours.of(state, p).stream()
                          .map(some -> Clipping.of(some, p.how().correction(), change)))
              .mapToDouble(share -> share)
              .average()
              .orElse(0);
    }
  }

  private static Drift drift(Summary key, List<ColourPicture> shot, Correction correction) {
    return Drift.between(key, Summary.of(shot, correction));
  }
}
