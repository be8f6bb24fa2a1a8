package app.latethistle.core.film;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts other placements where some are, with the joints that become others by it: what every edit
 * of the cut comes down to that is more than setting one aspect. What is to be put in is worked out
 * before, on the resolved film, by {@link Trims} and {@link Places}.
 *
 * @param label what is done, for the undo button
 * @param after the placement before the first one concerned; "" if that is the film's first
 * @param without the placements that go, in their order; they follow each other
 * @param with what comes in their place
 * @param joints the joints that are others afterwards, by the placement they begin, or {@link
 *     Film#END}
 */
public record Recut(
    String label,
    String after,
    List<String> without,
    List<Placement> with,
    Map<String, Joint> joints)
    implements Edit {

  /** Copies lists and map, which keeps its order. */
  public Recut {
    without = List.copyOf(without);
    with = List.copyOf(with);
    joints = Collections.unmodifiableMap(new LinkedHashMap<>(joints));
  }

  /** The change from one cut to another, as small as it can be said. */
  public static Recut between(
      String label, Film before, List<Placement> placements, List<Joint> joints) {
    List<Placement> old = before.placements();
    int same = 0;
    int most = Math.min(old.size(), placements.size());
    while (same < most && old.get(same).equals(placements.get(same))) {
      same++;
    }
    int tail = 0;
    while (tail < most - same
        && old.get(old.size() - 1 - tail).equals(placements.get(placements.size() - 1 - tail))) {
      tail++;
    }
    Map<String, Joint> was = named(before.placements(), before.joints());
    Map<String, Joint> changed = new LinkedHashMap<>();
    named(placements, joints)
        .forEach(
            (name, joint) -> {
              if (!joint.equals(was.get(name))) {
                changed.put(name, joint);
              }
            });
    return new Recut(
        label,
        same == 0 ? "" : old.get(same - 1).id(),
        old.subList(same, old.size() - tail).stream().map(Placement::id).toList(),
        placements.subList(same, placements.size() - tail),
        changed);
  }

  private static Map<String, Joint> named(List<Placement> placements, List<Joint> joints) {
    Map<String, Joint> named = new LinkedHashMap<>();
    for (int j = 0; j < joints.size(); j++) {
      named.put(j == placements.size() ? Film.END : placements.get(j).id(), joints.get(j));
    }
    return named;
  }

  @Override
  public Film apply(Film film) {
    List<Placement> placements = new ArrayList<>(film.placements());
    int from = after.isEmpty() ? 0 : film.indexOfId(after) + 1;
    boolean found = after.isEmpty() || from > 0;
    boolean fits = found && from + without.size() <= placements.size();
    for (int i = 0; fits && i < without.size(); i++) {
      fits = placements.get(from + i).id().equals(without.get(i));
    }
    if (!fits) {
      throw new Refused("The shots there are not those any more; look at the film as it is now.");
    }
    placements.subList(from, from + without.size()).clear();
    placements.addAll(from, with);
    Map<String, Joint> all = new HashMap<>(named(film.placements(), film.joints()));
    all.putAll(joints);
    List<Joint> result = new ArrayList<>();
    for (int j = 0; j <= placements.size() && !placements.isEmpty(); j++) {
      String name = j == placements.size() ? Film.END : placements.get(j).id();
      Joint joint = all.get(name);
      if (joint == null) {
        throw new Refused("Nothing says where shot " + name + " begins.");
      }
      result.add(joint);
    }
    return film.withCut(placements, result);
  }

  @Override
  public Edit inverse(Film before) {
    int from = after.isEmpty() ? 0 : before.indexOfId(after) + 1;
    Map<String, Joint> was = named(before.placements(), before.joints());
    Map<String, Joint> back = new LinkedHashMap<>();
    was.forEach(
        (name, joint) -> {
          if (joints.containsKey(name) || without.contains(name) || placementsGone(before)) {
            back.put(name, joint);
          }
        });
    return new Recut(
        label,
        after,
        with.stream().map(Placement::id).toList(),
        before.placements().subList(from, from + without.size()),
        back);
  }

  /** Whether it leaves nothing of the cut, whose end then goes too. */
  private boolean placementsGone(Film before) {
    return with.isEmpty() && without.size() == before.placements().size();
  }
}
