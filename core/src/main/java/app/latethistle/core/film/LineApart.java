package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A line that is heard mostly while the shot it speaks of is not seen, and the ways out of that.
 *
 * @param line its id
 * @param number its place in the script, from 1
 * @param place the shot it speaks of, by its place in the cut
 * @param over the place of the shot over which it begins
 * @param frames for how many frames it is heard over other shots
 */
public record LineApart(String line, int number, int place, int over, long frames) {
  /** A line whose shot is seen for less than this part of it is apart from it. */
  private static final double LEAST = 0.5;

  /** No shot is made shorter than this for a line, in seconds. */
  private static final double SHORTEST = 0.5;

  /**
   * The lines that are apart from their shots, in the order of the cut.
   *
   * @param speakers the line that speaks of each shot, by the shot's id
   */
  public static List<LineApart> in(Resolved film, Map<String, String> speakers) {
    List<LineApart> apart = new ArrayList<>();
    for (VoiceClock.Spoken line : film.cutting().voice().lines()) {
      long seen = 0;
      int place = -1;
      for (int i = 0; i < film.film().placements().size(); i++) {
        if (line.id().equals(speakers.get(film.film().placementAt(i).shot()))) {
          seen += heardOver(film, line, i);
          place = place < 0 ? i : place;
        }
      }
      if (line.isHeard() && place >= 0 && seen < LEAST * line.at().length()) {
        long missed = film.rate().framesIn(Samples.toSeconds(line.at().length() - seen));
        apart.add(new LineApart(line.id(), line.number(), place, placeAt(film, line), missed));
      }
    }
    return apart;
  }

  private static long heardOver(Resolved film, VoiceClock.Spoken line, int place) {
    SampleRange at = line.at();
    long from = Math.max(at.start(), film.rate().sampleOf(film.range(place).start()));
    long to = Math.min(at.end(), film.rate().sampleOf(film.range(place).end()));
    return Math.max(0, to - from);
  }

  /** The shot that is seen when a line begins. */
  private static int placeAt(Resolved film, VoiceClock.Spoken line) {
    long frame = film.rate().nearestFrame(line.at().start());
    int place = 0;
    while (place + 1 < film.film().placements().size() && film.frame(place + 1) <= frame) {
      place++;
    }
    return place;
  }

  /**
   * The ways out, of which only those are told that bring the line over its shot and make nothing
   * else wrong: the line waits for its shot, the shots before end sooner, or its shot comes to
   * where the line is spoken.
   *
   * @param speakers the line that speaks of each shot, by the shot's id
   * @param wait has the line start with its shot, which whoever keeps the voice can tell
   */
  public List<Remedy> remedies(Resolved film, Map<String, String> speakers, Revoice wait) {
    List<Remedy> all = new ArrayList<>();
    VoiceClock.Spoken spoken = spoken(film);
    Helps helps = new Helps(this, film, speakers, in(film, speakers).size());
    long start = film.rate().nearestFrame(spoken.at().start());
    long waits = film.frame(place) - start;
    String shot = film.film().placementAt(place).shot();
    if (waits > 0 && helps.by(waiting(film, shot))) {
      all.add(new Remedy(Remedy.Kind.WAIT, "", waits, 0, 0, wait));
    }
    long room = place > 0 ? film.range(place - 1).length() : 0;
    long least = Math.round(SHORTEST * film.rate().perSecond());
    if (waits > 0 && room - waits >= least) {
      offer(all, Remedy.Kind.CUT_SOONER, waits, helps, () -> sooner(film, start));
    }
    if (over != place) {
      offer(all, Remedy.Kind.CARRY, 0, helps, () -> Places.carry(film, place, over));
    }
    return all;
  }

  private VoiceClock.Spoken spoken(Resolved film) {
    return film.cutting().voice().lines().stream()
        .filter(l -> l.id().equals(line))
        .findFirst()
        .orElseThrow();
  }

  private Edit sooner(Resolved film, long start) {
    return Trims.roll(film, place, film.tieAt(start));
  }

  private Resolved waiting(Resolved film, String shot) {
    List<Narration.Line> lines =
        film.clocks().narration().lines().stream()
            .map(l -> l.id().equals(line) ? l.startingOn(new Narration.Start.WithShot(shot)) : l)
            .toList();
    Clocks clocks = new Clocks(film.clocks().grid(), new Narration(lines));
    return Resolved.of(film.film(), clocks, film.rate(), film.takes());
  }

  /** Something that may be refused. */
  private interface Way {
    Edit edit();
  }

  private static void offer(List<Remedy> all, Remedy.Kind kind, long frames, Helps helps, Way way) {
    edit(way)
        .filter(edit -> helps.by(helps.film.with(edit.apply(helps.film.film()))))
        .ifPresent(edit -> all.add(new Remedy(kind, "", frames, 0, 0, edit)));
  }

  private static Optional<Edit> edit(Way way) {
    try {
      return Optional.of(way.edit());
    } catch (Refused e) {
      return Optional.empty();
    }
  }

  /**
   * Tells whether something helps this line.
   *
   * @param apart how many lines are apart without it
   */
  private record Helps(LineApart line, Resolved film, Map<String, String> speakers, int apart) {
    /** Whether the line is over its shot then, no more lines are apart, and no more is wrong. */
    boolean by(Resolved then) {
      List<LineApart> left = in(then, speakers);
      return left.stream().noneMatch(a -> a.line.equals(line.line))
          && left.size() < apart
          && then.cutting().problems().size() <= film.cutting().problems().size()
          && then.cutting().voice().overlaps().size() <= film.cutting().voice().overlaps().size();
    }
  }
}
