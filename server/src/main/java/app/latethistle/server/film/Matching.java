package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Placement;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.Drift;
import app.latethistle.core.grade.KeyPictures;
import app.latethistle.core.grade.Summary;
import app.latethistle.core.look.ColourGroup;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.LookKey;
import app.latethistle.server.material.KeyStills;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Finds what brings shots to look like their key shots. */
@Component
class Matching {
  private final ShotColours colours;
  private final KeyStills stills;

  Matching(ShotColours colours, KeyStills stills) {
    this.colours = colours;
    this.stills = stills;
  }

  /**
   * A shot with a picture, by its id.
   *
   * @throws IllegalArgumentException if there is none, with a sentence for the person
   */
  static Placement shot(FilmState state, String item) {
    Placement shot = state.shot(item);
    if (!shot.hasPicture()) {
      throw new Refused("That shot is not in the film any more.");
    }
    return shot;
  }

  /**
   * Corrections by item. First the keys of groups are led towards the film's key shot, then each
   * other shot is matched to the key of its own; the film's key stays as it is.
   *
   * @param strength 0 to 1; see {@link KeyPictures#match}
   * @throws IllegalArgumentException if there is no key, with a sentence for the person
   */
  Map<String, Correction> of(FilmState state, List<String> items, double strength) {
    Finish finish = state.film().finish();
    // What lies over the cut is cut out or mixed, and not to be measured as a picture.
    List<Placement> shots =
        items.stream()
            .map(item -> shot(state, item))
            .filter(shot -> state.film().indexOfId(shot.id()) >= 0)
            .toList();
    Map<String, Correction> found = new LinkedHashMap<>();
    Map<LookKey, KeyPictures> keys = new HashMap<>();
    for (Placement shot : shots) {
      if (finish.isKeyOfGroup(shot.shot()) && !finish.isKeyOfFilm(shot.shot())) {
        KeyPictures key = key(state, finish.key(), found, keys);
        colours.of(state, shot).ifPresent(p -> found.put(shot.id(), key.lead(p)));
      }
    }
    List<Placement> followers =
        shots.stream()
            .filter(shot -> !finish.isKeyOfGroup(shot.shot()) && !finish.isKeyOfFilm(shot.shot()))
            .toList();
    followers.forEach(shot -> key(state, finish.keyOf(shot.shot()), found, keys));
    found.putAll(matched(state, followers, keys, strength));
    return found;
  }

  private Map<String, Correction> matched(
      FilmState state, List<Placement> shots, Map<LookKey, KeyPictures> keys, double strength) {
    Map<String, Correction> found = new LinkedHashMap<>();
    shots.parallelStream()
        .flatMap(
            shot -> {
              KeyPictures key = keys.get(state.film().finish().keyOf(shot.shot()).orElseThrow());
              return colours.of(state, shot).stream()
                  .map(p -> Map.entry(shot.id(), key.match(p, strength).correction()));
            })
        .toList()
        .forEach(e -> found.put(e.getKey(), e.getValue()));
    return found;
  }

  /** A key as it will look when what was found is done. */
  private KeyPictures key(
      FilmState state,
      Optional<LookKey> wanted,
      Map<String, Correction> found,
      Map<LookKey, KeyPictures> known) {
    LookKey key = wanted.orElseThrow(Matching::noKey);
    return known.computeIfAbsent(
        key,
        k -> {
          if (k instanceof LookKey.Still still) {
            return stills
                .of(still.picture())
                .map(picture -> KeyPictures.of(List.of(picture), Correction.NONE))
                .orElseThrow(
                    () -> new Refused("The key still is not here any more; bring it in again."));
          }
          Placement shot =
              LookViews.first(state.film(), ((LookKey.OfShot) k).shot())
                  .orElseThrow(Matching::noKey);
          return KeyPictures.of(
              colours
                  .of(state, shot)
                  .orElseThrow(
                      () -> new Refused("The key shot has lost its take; choose another.")),
              found.getOrDefault(shot.id(), shot.how().correction()));
        });
  }

  private static Refused noKey() {
    return new Refused("Choose the shot that the others are to look like first.");
  }

  /**
   * Groups of the film's shots by place. The key of each is the film's, or the shot that is least
   * far from the others.
   *
   * @param places where shots are, by their ids
   * @throws IllegalArgumentException if no shot has a place
   */
  List<ColourGroup> byPlace(FilmState state, Map<String, String> places) {
    Map<String, List<Placement>> byPlace = new LinkedHashMap<>();
    for (Placement p : state.film().placements()) {
      String place = p.hasPicture() ? places.getOrDefault(p.shot(), "") : "";
      if (!place.isEmpty()) {
        byPlace.computeIfAbsent(place, k -> new ArrayList<>()).add(p);
      }
    }
    if (byPlace.isEmpty()) {
      throw new Refused("The story says of no shot where it is; name places in Story first.");
    }
    List<ColourGroup> groups = new ArrayList<>();
    byPlace.forEach(
        (place, shots) -> {
          String name = place.substring(0, Math.min(place.length(), ColourGroup.LONGEST));
          List<String> ids = shots.stream().map(Placement::shot).distinct().toList();
          String key =
              ids.stream()
                  .filter(state.film().finish()::isKeyOfFilm)
                  .findFirst()
                  .orElseGet(() -> middle(state, shots));
          groups.add(new ColourGroup(name, key, ids));
        });
    return groups;
  }

  private String middle(FilmState state, List<Placement> shots) {
    Map<String, Summary> known = new LinkedHashMap<>();
    for (Placement shot : shots) {
      Optional<List<ColourPicture>> pictures = colours.of(state, shot);
      pictures.ifPresent(p -> known.put(shot.shot(), Summary.of(p, shot.how().correction())));
    }
    return known.keySet().stream()
        .min(
            Comparator.comparingDouble(
                shot ->
                    known.values().stream()
                        .mapToDouble(other -> Drift.between(known.get(shot), other).whole())
                        .sum()))
        .orElse(shots.get(0).shot());
  }
}
