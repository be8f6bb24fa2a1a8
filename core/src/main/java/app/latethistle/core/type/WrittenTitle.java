package app.latethistle.core.type;

import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.TitleWords;
import java.util.List;
import java.util.function.LongUnaryOperator;

/**
 * A title in its time.
 *
 * @param words what it says
 * @param lettering how it is set
 * @param box where it stands in this shape
 * @param movement how it comes and goes
 * @param range from its first frame to after its last
 * @param landing the frame in which all of it has arrived
 * @param landings where its units land, in their order, if each lands on a moment of its own; those
 *     that are more land with the last
 * @param along how far it goes with a place that it follows
 */
public record WrittenTitle(
    TitleWords words,
    Lettering lettering,
    Box box,
    Movement movement,
    FrameRange range,
    long landing,
    List<Long> landings,
    Along along)
    implements Writing {
  public WrittenTitle {
    landings = List.copyOf(landings);
  }

  /** One that stays in its box. */
  public WrittenTitle(
      TitleWords words,
      Lettering lettering,
      Box box,
      Movement movement,
      FrameRange range,
      long landing,
      List<Long> landings) {
    this(words, lettering, box, movement, range, landing, landings, Along.NOTHING);
  }

  /** The same set otherwise. */
  public WrittenTitle withLettering(Lettering other) {
    return new WrittenTitle(words, other, box, movement, range, landing, landings, along);
  }

  /** The same standing elsewhere. */
  public WrittenTitle withBox(Box other) {
    return new WrittenTitle(words, lettering, other, movement, range, landing, landings, along);
  }

  /** One that stands at frame 0, as it has arrived. */
  public static WrittenTitle still(TitleWords words, Lettering lettering, Box box) {
    return new WrittenTitle(
        words, lettering, box, Movement.NONE, new FrameRange(0, 1), 0, List.of());
  }

  /** The first frame of its exit; its end if it has none. */
  public long leaves() {
    return new TitlePlace(range.start(), landing, range.end()).leaves(movement);
  }

  /** The frame from which nothing of it comes any more. */
  long settled() {
    long last = landings.isEmpty() ? landing : landings.get(landings.size() - 1);
    return Math.max(landing, last);
  }

  /** Whether it looks as in any other frame of which this is true. */
  boolean isStill(long frame) {
    return frame >= settled() && frame < leaves() && !movement.rolls() && along.isNothing();
  }

  /** How far a running number is, 0 to 1. */
  double counted(long frame) {
    return landing <= range.start()
        ? 1
        : Math.max(0, Math.min(1, (double) (frame - range.start()) / (landing - range.start())));
  }

  @Override
  public WrittenTitle at(LongUnaryOperator to) {
    long there = to.applyAsLong(landing);
    return new WrittenTitle(
        words,
        lettering,
        box,
        new Movement(
            at(movement.in(), there - to.applyAsLong(landing - movement.in().frames())),
            at(
                movement.out(),
                to.applyAsLong(range.end())
                    - to.applyAsLong(range.end() - movement.out().frames())),
            movement.course()),
        new FrameRange(to.applyAsLong(range.start()), to.applyAsLong(range.end())),
        there,
        landings.stream().map(to::applyAsLong).toList(),
        along.at(to));
  }

  private static Arrival at(Arrival arrival, long frames) {
    return new Arrival(
        arrival.kind(),
        arrival.unit(),
        arrival.order(),
        (int) Math.min(480, frames),
        arrival.seed());
  }

  @Override
  public void writeKey(KeyWriter key, FrameRange part) {
    range
        .intersect(part)
        .ifPresent(
            seen -> {
              key.put("title").put(words.kind()).put(words.text()).put(words.second());
              WritingKeys.put(key, lettering, box);
              key.put(seen.start() - part.start()).put(seen.length());
              if (!isStill(seen.start()) || !isStill(seen.end() - 1)) {
                WritingKeys.put(key, movement.in());
                WritingKeys.put(key, movement.out());
                key.put(movement.rolls() ? 1 : 0);
                key.put(range.start() - part.start()).put(range.length());
                key.put(landing - part.start()).put(landings.size());
                landings.forEach(l -> key.put(l - part.start()));
                along.writeKey(key, seen);
              }
            });
  }
}
