package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * The shots of a story in order, with numbers that rise. Numbers are ten apart at first; a shot put
 * between others gets a number between theirs, and only where no room is left are all numbered
 * anew.
 *
 * @param shots in order
 */
public record ShotList(List<StoryShot> shots) {
  /** A list without shots. */
  public static final ShotList EMPTY = new ShotList(List.of());

  private static final int STEP = 10;
  private static final double SHORTEST = 0.2;

  /**
   * @throws IllegalArgumentException if two shots have the same id, or numbers do not rise
   */
  public ShotList {
    shots = List.copyOf(shots);
    Set<Integer> ids = shots.stream().map(StoryShot::id).collect(Collectors.toSet());
    if (ids.size() != shots.size()) {
      throw new Refused("Two shots are known by the same id.");
    }
    for (int i = 1; i < shots.size(); i++) {
      if (value(shots.get(i)) <= value(shots.get(i - 1))) {
        throw new Refused(
            "Shot "
                + shots.get(i).number()
                + " cannot come after shot "
                + shots.get(i - 1).number()
                + "; numbers rise.");
      }
    }
  }

  /** Shots numbered 010, 020, 030 ... whatever their numbers were. */
  public static ShotList numberedAnew(List<StoryShot> shots) {
    List<StoryShot> numbered = new ArrayList<>();
    for (StoryShot shot : shots) {
      numbered.add(shot.numbered(written((numbered.size() + 1) * STEP)));
    }
    return new ShotList(numbered);
  }

  /** The shot of an id. */
  public StoryShot get(int id) {
    return shots.get(indexOf(id));
  }

  /** The seconds of all shots together. */
  public double seconds() {
    return shots.stream().mapToDouble(StoryShot::seconds).sum();
  }

  /** Changes shots one by one; their ids and numbers stay. */
  public ShotList change(Set<Integer> ids, UnaryOperator<StoryShot> change) {
    ids.forEach(this::indexOf);
    return new ShotList(
        shots.stream()
            .map(
                s -> ids.contains(s.id()) ? change.apply(s).withId(s.id()).numbered(s.number()) : s)
            .toList());
  }

  /** Adds an empty shot behind another, or at the start for id 0. */
  public ShotList addAfter(int id) {
    int at = id == 0 ? 0 : indexOf(id) + 1;
    StoryShot beside = at > 0 ? shots.get(at - 1) : null;
    StoryShot added = StoryShot.of(nextId(), "0", "", beside == null ? 3 : beside.seconds());
    return with(at, beside == null ? added : inPlaceOf(beside, added));
  }

  private static StoryShot inPlaceOf(StoryShot beside, StoryShot added) {
    return new StoryShot(
        added.id(),
        "0",
        "",
        List.of(),
        beside.where(),
        "",
        CameraMove.STILL,
        2,
        added.seconds(),
        beside.mood(),
        List.of(),
        "",
        beside.line());
  }

  /** Splits a shot into two of half its length: the first and second half of what happens. */
  public ShotList split(int id) {
    int at = indexOf(id);
    StoryShot shot = shots.get(at);
    double half = Math.max(SHORTEST, shot.seconds() / 2);
    List<StoryShot> parts = halves(shot);
    List<StoryShot> changed = new ArrayList<>(shots);
    changed.set(at, parts.get(0).lasting(half));
    return new ShotList(changed).with(at + 1, parts.get(1).lasting(half).withId(nextId()));
  }

  private static List<StoryShot> halves(StoryShot shot) {
    List<String> seen = Words.sentences(shot.seen());
    if (seen.size() > 1) {
      return List.of(
          shot.showing(seen.get(0), ""),
          shot.showing(String.join(" ", seen.subList(1, seen.size())), shot.action()));
    }
    List<String> action = Words.sentences(shot.action());
    if (action.size() > 1) {
      return List.of(
          shot.showing(shot.seen(), action.get(0)),
          shot.showing(shot.seen(), String.join(" ", action.subList(1, action.size()))));
    }
    boolean happens = !action.isEmpty();
    return List.of(
        shot.showing(shot.seen(), happens ? "" : "how it begins"),
        shot.showing(shot.seen(), happens ? shot.action() : "how it ends"));
  }

  /** Joins a shot with the one behind it. */
  public ShotList join(int id) {
    int at = indexOf(id);
    if (at + 1 >= shots.size()) {
      throw new Refused(
          "Shot " + shots.get(at).number() + " is the last; there is none behind it to join.");
    }
    StoryShot a = shots.get(at);
    StoryShot b = shots.get(at + 1);
    Set<String> who = new LinkedHashSet<>(a.who());
    who.addAll(b.who());
    Set<String> sounds = new LinkedHashSet<>(a.sounds());
    sounds.addAll(b.sounds());
    StoryShot joined =
        new StoryShot(
            a.id(),
            a.number(),
            both(a.seen(), b.seen()),
            List.copyOf(who),
            a.where().isEmpty() ? b.where() : a.where(),
            both(a.action(), b.action()),
            a.move() == CameraMove.STILL ? b.move() : a.move(),
            a.move() == CameraMove.STILL ? b.strength() : a.strength(),
            Math.min(600, a.seconds() + b.seconds()),
            a.mood().isEmpty() ? b.mood() : a.mood(),
            List.copyOf(sounds),
            a.lettering().isEmpty() ? b.lettering() : a.lettering(),
            a.line() == 0 ? b.line() : a.line());
    List<StoryShot> changed = new ArrayList<>(shots);
    changed.remove(at + 1);
    changed.set(at, joined);
    return new ShotList(changed);
  }

  private static String both(String a, String b) {
    if (a.isEmpty() || a.equals(b) || b.isEmpty()) {
      return b.isEmpty() ? a : b;
    }
    String first = a.strip();
    return first + (first.matches("(?s).*[.!?…]") ? " " : ". ") + b.strip();
  }

  /** Puts a shot behind another, or at the start for id 0; it gets a number that fits there. */
  public ShotList moveAfter(int id, int afterId) {
    if (id == afterId) {
      return this;
    }
    StoryShot shot = get(id);
    List<StoryShot> rest = new ArrayList<>(shots);
    rest.remove(shot);
    ShotList others = new ShotList(rest);
    return others.with(afterId == 0 ? 0 : others.indexOf(afterId) + 1, shot);
  }

  /** Takes shots out. */
  public ShotList remove(Set<Integer> ids) {
    ids.forEach(this::indexOf);
    return new ShotList(shots.stream().filter(s -> !ids.contains(s.id())).toList());
  }

  /** An id that no shot has. */
  public int nextId() {
    return shots.stream().map(StoryShot::id).max(Comparator.naturalOrder()).orElse(0) + 1;
  }

  private ShotList with(int at, StoryShot shot) {
    int before = at > 0 ? value(shots.get(at - 1)) : 0;
    int after = at < shots.size() ? value(shots.get(at)) : before + 2 * STEP;
    List<StoryShot> changed = new ArrayList<>(shots);
    int number = between(before, after);
    changed.add(at, number < 0 ? shot : shot.numbered(written(number)));
    return number < 0 ? numberedAnew(changed) : new ShotList(changed);
  }

  /** The roundest number between two, or -1 if they are neighbours. */
  private static int between(int before, int after) {
    for (int step : new int[] {STEP, 5, 1}) {
      int middle = (before + after) / 2 / step * step;
      if (middle > before && middle < after) {
        return middle;
      }
    }
    int next = before + 1;
    return next < after ? next : -1;
  }

  private int indexOf(int id) {
    for (int i = 0; i < shots.size(); i++) {
      if (shots.get(i).id() == id) {
        return i;
      }
    }
    throw new Refused("There is no shot with the id " + id + " in the story.");
  }

  private static int value(StoryShot shot) {
    return Integer.parseInt(shot.number());
  }

  private static String written(int number) {
    return String.format(java.util.Locale.ROOT, "%03d", number);
  }
}
