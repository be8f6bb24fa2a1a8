package app.latethistle.core.film;

import java.util.ArrayList;
import java.util.List;

/**
 * How far what follows a change moves. If the change is one of whole beats, what is tied to beats
 * moves by as many and stays tied; anything else moves by frames, and stays tied only where it
 * comes to lie exactly on a beat. Words do not move, so what was tied to one lets go of it.
 *
 * @param frames later if positive
 * @param beats later if positive; 0 if the change is not one of whole beats
 */
record Shift(long frames, int beats) {

  /**
   * From one moment to another. If the other is a beat and something from a joint on is tied to
   * beats, it is of whole beats, as many as come nearest.
   *
   * @param joint the first joint that moves along
   */
  static Shift between(Resolved film, Tie from, Tie to, int joint) {
    long start = film.frameOrRefuse(from);
    long end = film.frameOrRefuse(to);
    if (from instanceof Tie.OnBeat a && to instanceof Tie.OnBeat b && a.offset() == b.offset()) {
      return new Shift(end - start, b.beat() - a.beat());
    }
    return to instanceof Tie.OnBeat
        ? wholeBeats(film, start, end, joint)
        : new Shift(end - start, 0);
  }

  /** So many whole beats as come nearest, if something from a joint on is tied to a beat. */
  static Shift wholeBeats(Resolved film, long from, long to, int joint) {
    Shift frames = new Shift(to - from, 0);
    for (int j = joint; j < film.film().joints().size(); j++) {
      if (film.tie(j) instanceof Tie.OnBeat on && on.beat() < film.clocks().grid().size()) {
        long before = film.frameOfBeat(on.beat());
        int beat = film.nearestBeat(before + to - from);
        return beat < 0 || beat == on.beat()
            ? frames
            : new Shift(film.frameOfBeat(beat) - before, beat - on.beat());
      }
    }
    return frames;
  }

  /** Where a moment comes to lie. */
  Tie of(Resolved film, Tie tie) {
    boolean goesAlong = tie instanceof Tie.OnItem;
    if (goesAlong || (frames == 0 && beats == 0)) {
      return tie;
    }
    if (beats != 0 && tie instanceof Tie.OnBeat on) {
      int beat = on.beat() + beats;
      if (beat >= 0 && beat < film.clocks().grid().size()) {
        return new Tie.OnBeat(beat, on.offset());
      }
    }
    return film.tieAt(film.frameOf(tie).orElse(0) + frames);
  }

  /** Where the joints from one on come to lie. */
  List<Tie> joints(Resolved film, int from) {
    List<Tie> ties = new ArrayList<>();
    for (int j = from; j < film.film().joints().size(); j++) {
      ties.add(joint(film, j));
    }
    return ties;
  }

  /** A joint is moved from where it is, which is not always where its tie asks. */
  private Tie joint(Resolved film, int j) {
    return film.honours(j) ? of(film, film.tie(j)) : film.tieAt(film.frame(j) + frames);
  }

  /** The edits that move what lies over and beside the cut at or after a frame. */
  List<Edit> beside(Resolved film, long from) {
    List<Edit> edits = new ArrayList<>();
    Cutting.Beside beside = film.cutting().beside();
    for (Overlay overlay : film.film().overlays()) {
      if (beside.overlays().containsKey(overlay.name())
          && beside.overlays().get(overlay.name()).start() >= from
          && !overlay.placement().locked()) {
        edits.add(
            SetAspect.of(
                Aspect.TIES,
                overlay.name(),
                new Overlay.Ties(of(film, overlay.start()), of(film, overlay.end()))));
      }
    }
    for (FilmSound sound : film.film().sounds()) {
      SoundPlace place = beside.sounds().get(sound.id());
      if (place != null && place.landing() >= film.rate().sampleOf(from)) {
        edits.add(SetAspect.of(Aspect.LANDING, sound.id(), sound.when().map(tie -> of(film, tie))));
      }
    }
    for (FilmTitle title : film.film().titles()) {
      TitlePlace place = beside.titles().get(title.id());
      if (place != null && place.landing() >= from) {
        edits.add(SetAspect.of(Aspect.STANDING, title.id(), title.when().map(t -> of(film, t))));
      }
    }
    for (Marker marker : film.film().markers()) {
      if (beside.markers().getOrDefault(marker.id(), -1L) >= from) {
        edits.add(Put.marker(marker.withAt(of(film, marker.at()))));
      }
    }
    return edits;
  }
}
