package app.latethistle.core.film;

import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Stress;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.TreeSet;
import java.util.stream.DoubleStream;
import java.util.stream.LongStream;

/**
 * The values of dials in each frame of a film: on which frames what they follow hits, and how far
 * they are from rest. A hit falls on the frame nearest to its moment, as a cut does.
 */
public final class Hits {
  /** Levels before a film's part that its value may still hang on, in time constants. */
  private static final int MEMORY = 5;

  private final Resolved film;
  private final Map<Drive.Source, NavigableSet<Long>> found = new EnumMap<>(Drive.Source.class);

  public Hits(Resolved film) {
    this.film = film;
  }

  /** The frames that something hits, in order; none for a level, or for a word not named. */
  public NavigableSet<Long> of(Drive.Source source) {
    return found.computeIfAbsent(
        source,
        s -> {
          NavigableSet<Long> frames = new TreeSet<>();
          frames(s).forEach(frames::add);
          return frames;
        });
  }

  private LongStream frames(Drive.Source source) {
    BeatGrid grid = film.clocks().grid();
    LongStream beats = LongStream.range(0, grid.size());
    return switch (source) {
      case BEATS -> beats.map(b -> film.frameOfBeat((int) b));
      case DOWNBEATS ->
          beats.filter(b -> grid.isDownbeat((int) b)).map(b -> film.frameOfBeat((int) b));
      case MARKERS ->
          film.cutting().beside().markers().values().stream().mapToLong(Long::longValue);
      case WORDS ->
          film.cutting().voice().lines().stream()
              .filter(VoiceClock.Spoken::isHeard)
              .flatMap(line -> line.words().stream())
              .filter(w -> w.at().length() > 0 && Stress.isOn(w.text()))
              .mapToLong(w -> film.rate().nearestFrame(w.at().start()));
      case WORD, LOW, MIDDLE, HIGH -> LongStream.empty();
    };
  }

  /** A dial's values over a range of the film, one a frame; one alone if it stays. */
  public List<Double> values(Dial dial, FrameRange range) {
    if (dial.drive().isEmpty() || range.isEmpty()) {
      return List.of((double) dial.value());
    }
    Drive drive = dial.drive().get();
    DoubleStream shares = drive.source().isLevel() ? levels(drive, range) : hits(drive, range);
    return shares.mapToObj(s -> dial.value() + s * (drive.to() - dial.value())).toList();
  }

  private NavigableSet<Long> of(Drive drive) {
    return drive.word().isEmpty() ? of(drive.source()) : of(drive.word().get());
  }

  private NavigableSet<Long> of(Drive.Word word) {
    NavigableSet<Long> frames = new TreeSet<>();
    film.frameOf(new Tie.OnWord(word.line(), word.index(), Tie.Edge.START, 0))
        .ifPresent(frames::add);
    return frames;
  }

  private DoubleStream hits(Drive drive, FrameRange range) {
    NavigableSet<Long> hits = of(drive);
    FrameRate rate = film.rate();
    return LongStream.range(range.start(), range.end())
        .mapToDouble(
            frame -> {
              Long before = hits.floor(frame);
              Long after = hits.higher(frame);
              double down = before == null ? 0 : drive.share(milliseconds(rate, frame - before));
              double up = after == null ? 0 : drive.share(-milliseconds(rate, after - frame));
              return Math.max(down, up);
            });
  }

  private static double milliseconds(FrameRate rate, long frames) {
    return 1000 * frames / rate.perSecond();
  }

  /** Rises and falls towards the level by the attack and the decay as time constants. */
  private DoubleStream levels(Drive drive, FrameRange range) {
    BandLevels song = film.clocks().levels().get();
    BandLevels.Band band = BandLevels.Band.valueOf(drive.source().name());
    double frame = 1000 / film.rate().perSecond();
    double rise = drive.attack() == 0 ? 1 : 1 - Math.exp(-frame / drive.attack());
    double fall = drive.decay() == 0 ? 1 : 1 - Math.exp(-frame / drive.decay());
    long lead = (long) Math.ceil(MEMORY * Math.max(drive.attack(), drive.decay()) / frame);
    double[] values = new double[(int) range.length()];
    double now = 0;
    for (long f = range.start() - lead; f < range.end(); f++) {
      double level = level(song, band, f);
      now += (level > now ? rise : fall) * (level - now);
      if (f >= range.start()) {
        values[(int) (f - range.start())] = now;
      }
    }
    return DoubleStream.of(values);
  }

  private double level(BandLevels song, BandLevels.Band band, long frame) {
    long at = film.film().music().start() + film.rate().sampleOf(Math.max(0, frame));
    return frame < 0 ? 0 : song.at(band, Samples.toSeconds(at));
  }
}
