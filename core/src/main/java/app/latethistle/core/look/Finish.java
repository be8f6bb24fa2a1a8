package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What holds for the pictures of the whole film.
 *
 * @param treatments what is done to its picture, before it ends
 * @param end how its pictures, and its sound with them, end
 * @param key what all shots are to look like; empty if nothing is chosen
 * @param groups shots that are to look like one of their own; a shot is in one at most
 */
public record Finish(
    Treatments treatments, EndFade end, Optional<LookKey> key, List<ColourGroup> groups) {
  /** Nothing. */
  public static final Finish NONE =
      new Finish(Treatments.NONE, EndFade.NONE, Optional.empty(), List.of());

  /**
   * @throws IllegalArgumentException if a shot is in two groups, or two have one name
   */
  public Finish {
    groups = List.copyOf(groups);
    Set<String> seen = new HashSet<>();
    Set<String> names = new HashSet<>();
    for (ColourGroup group : groups) {
      if (!names.add(group.name())) {
        throw new Refused("There are two groups named \"" + group.name() + "\".");
      }
      for (String shot : group.shots()) {
        if (!seen.add(shot)) {
          throw new Refused("Shot " + shot + " is in two groups.");
        }
      }
    }
  }

  /** The group of a shot; empty if it belongs to the rest of the film. */
  public Optional<ColourGroup> groupOf(String shot) {
    return groups.stream().filter(g -> g.shots().contains(shot)).findFirst();
  }

  /** Whether a shot is what those of a group are to look like. */
  public boolean isKeyOfGroup(String shot) {
    return groups.stream().anyMatch(g -> g.key().equals(shot));
  }

  /** Whether a shot is what all others are to look like. */
  public boolean isKeyOfFilm(String shot) {
    return key.equals(Optional.of(new LookKey.OfShot(shot)));
  }

  /** What a shot is to look like: the key of its group, or the film's; empty if there is none. */
  public Optional<LookKey> keyOf(String shot) {
    return groupOf(shot).<LookKey>map(group -> new LookKey.OfShot(group.key())).or(() -> key);
  }

  /** The same with other treatments. */
  public Finish withTreatments(Treatments other) {
    return new Finish(other, end, key, groups);
  }

  /** The same with another end. */
  public Finish withEnd(EndFade other) {
    return new Finish(treatments, other, key, groups);
  }

  /** The same with something else that all shots are to look like. */
  public Finish withKey(LookKey other) {
    return new Finish(treatments, end, Optional.of(other), groups);
  }

  /** The same with a shot as the key of the group it is in, or of the film. */
  public Finish withKeyOfItsOwn(String shot) {
    return groupOf(shot)
        .map(
            group ->
                withGroups(
                    groups.stream().map(g -> g.equals(group) ? g.withKey(shot) : g).toList()))
        .orElseGet(() -> withKey(new LookKey.OfShot(shot)));
  }

  private Finish withGroups(List<ColourGroup> other) {
    return new Finish(treatments, end, key, other);
  }

  /** The same with one more group, whose shots leave those they were in. */
  public Finish with(ColourGroup more) {
    List<ColourGroup> all = new ArrayList<>(ungrouped(more.shots()).groups);
    all.removeIf(g -> g.name().equals(more.name()));
    all.add(more);
    return withGroups(all);
  }

  /**
   * The same with shots in no group. A group that loses its key takes its first shot; one without
   * shots goes.
   */
  public Finish ungrouped(List<String> shots) {
    List<ColourGroup> left = new ArrayList<>();
    for (ColourGroup group : groups) {
      List<String> stay = group.shots().stream().filter(s -> !shots.contains(s)).toList();
      if (!stay.isEmpty()) {
        String first = stay.contains(group.key()) ? group.key() : stay.get(0);
        left.add(new ColourGroup(group.name(), first, stay));
      }
    }
    return withGroups(left);
  }
}
