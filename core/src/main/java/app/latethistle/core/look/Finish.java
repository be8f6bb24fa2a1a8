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
 * @param key the shot that all others are to look like, by its id; empty if none
 * @param groups shots that are to look like one of their own; a shot is in one at most
 */
public record Finish(Treatments treatments, EndFade end, String key, List<ColourGroup> groups) {
  /** Nothing. */
  public static final Finish NONE = new Finish(Treatments.NONE, EndFade.NONE, "", List.of());

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

  /** The shot that a shot is to look like: of its group, or of the film; empty if none. */
  public String keyOf(String shot) {
    return groupOf(shot).map(ColourGroup::key).orElse(key);
  }

  /** The same with other treatments. */
  public Finish withTreatments(Treatments other) {
    return new Finish(other, end, key, groups);
  }

  /** The same with another end. */
  public Finish withEnd(EndFade other) {
    return new Finish(treatments, other, key, groups);
  }

  /** The same with another key shot of the film. */
  public Finish withKey(String other) {
    return new Finish(treatments, end, other, groups);
  }

  /** The same with a shot as the key of the group it is in, or of the film. */
  public Finish withKeyOfItsOwn(String shot) {
    return groupOf(shot)
        .map(
            group ->
                withGroups(
                    groups.stream().map(g -> g.equals(group) ? g.withKey(shot) : g).toList()))
        .orElseGet(() -> withKey(shot));
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
