package app.latethistle.core.release;

import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A film's chapters, as places of publication read them out of a description: the first at 0:00,
 * three at least, each of ten seconds at least (common practice, no source).
 *
 * @param list in order, by the frames they begin at
 * @param rate the film's
 */
public record Chapters(List<Chapter> list, FrameRate rate) {
  private static final double SHORTEST = 10;
  private static final int FEWEST = 3;

  public Chapters {
    list = List.copyOf(list);
  }

  /**
   * A chapter.
   *
   * @param start its first frame
   */
  public record Chapter(long start, String name) {}

  /** Of scenes in order; scenes of one name that follow each other are one, the first is at 0. */
  public static Chapters of(List<Chapter> scenes, FrameRate rate) {
    List<Chapter> list = new ArrayList<>();
    for (Chapter scene : scenes) {
      if (list.isEmpty() || !list.get(list.size() - 1).name.equals(scene.name)) {
        list.add(list.isEmpty() ? new Chapter(0, scene.name) : scene);
      }
    }
    return new Chapters(list, rate);
  }

  /** The first chapter that is too short, by its place. */
  public Optional<Integer> tooShort(long length) {
    for (int i = 0; i < list.size(); i++) {
      if (seconds(i, length) < SHORTEST) {
        return Optional.of(i);
      }
    }
    return Optional.empty();
  }

  /** How long a chapter is in a film of so many frames, in seconds. */
  public double seconds(int place, long length) {
    long end = place + 1 < list.size() ? list.get(place + 1).start : length;
    return rate.secondsOf(Math.max(0, end - list.get(place).start));
  }

  /** What places of publication would refuse; empty if nothing. */
  public Optional<String> fault(long length) {
    if (list.size() < FEWEST) {
      return Optional.of(
          list.size()
              + (list.size() == 1 ? " chapter is" : " chapters are")
              + " too few; three are asked for");
    }
    return tooShort(length)
        .map(
            i ->
                String.format(
                    Locale.ROOT,
                    "%s is %.1f s; chapters under 10 s may be refused",
                    list.get(i).name,
                    seconds(i, length)));
  }

  /**
   * With what is too short joined to the shorter of its neighbours, until nothing is; the longer
   * one's name stays.
   */
  public Chapters joined(long length) {
    Chapters now = this;
    Optional<Integer> small = now.tooShort(length);
    while (small.isPresent() && now.list.size() > 1) {
      int i = small.get();
      boolean back =
          i + 1 == now.list.size()
              || (i > 0 && now.seconds(i - 1, length) <= now.seconds(i + 1, length));
      int first = back ? i - 1 : i;
      boolean firstStays = now.seconds(first, length) >= now.seconds(first + 1, length);
      List<Chapter> fewer = new ArrayList<>(now.list);
      Chapter gone = fewer.remove(first + 1);
      if (!firstStays) {
        fewer.set(first, new Chapter(fewer.get(first).start, gone.name));
      }
      now = new Chapters(fewer, rate);
      small = now.tooShort(length);
    }
    return now;
  }

  /** A line of each: "0:14 The crossing"; whole seconds, rounded down. */
  public String text() {
    return list.stream()
        .map(
            c -> {
              long seconds = (long) Math.floor(rate.secondsOf(c.start) + 1e-9);
              String hours = seconds >= 3600 ? seconds / 3600 + ":" : "";
              String format = seconds >= 3600 ? "%s%02d:%02d %s" : "%s%d:%02d %s";
              return String.format(
                  Locale.ROOT, format, hours, seconds / 60 % 60, seconds % 60, c.name);
            })
        .collect(Collectors.joining("\n"));
  }
}
