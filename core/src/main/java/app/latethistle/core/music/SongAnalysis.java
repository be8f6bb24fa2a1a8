package app.latethistle.core.music;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.List;
import java.util.function.DoubleConsumer;

/**
 * All that is heard of a song.
 *
 * @param grid its beats and bars
 * @param sections one after the other, from its start to its end; empty if it has no beats
 * @param moments in order
 */
public record SongAnalysis(BeatGrid grid, List<Section> sections, List<KeyMoment> moments) {
  /** Of a song without a beat. */
  public static final SongAnalysis NOTHING = new SongAnalysis(BeatGrid.EMPTY, List.of(), List.of());

  /** About the share of the work that is done when onsets are found, and when beats are. */
  private static final double HEARD = 0.3;

  private static final double COUNTED = 0.8;

  public SongAnalysis {
    sections = List.copyOf(sections);
    moments = List.copyOf(moments);
  }

  /**
   * Listens to a song.
   *
   * @param song mono; 22,050 samples a second are enough
   */
  public static SongAnalysis of(MonoSound song) {
    return of(song, done -> {});
  }

  /**
   * The same, telling how far it is.
   *
   * @param told is given the share that is done, 0 to 1, now and then; what it throws ends the work
   */
  public static SongAnalysis of(MonoSound song, DoubleConsumer told) {
    if (song.seconds() < BeatTracker.SHORTEST_SONG) {
      return NOTHING;
    }
    Features f = new Features(song);
    told.accept(HEARD);
    BeatGrid grid = f.isSilent() ? BeatGrid.EMPTY : BeatTracker.track(f);
    if (grid.size() == 0) {
      return NOTHING;
    }
    told.accept(COUNTED);
    BeatSounds sounds = BeatSounds.of(f, grid);
    return new SongAnalysis(
        grid,
        Sections.of(grid, sounds, Samples.ofSeconds(song.seconds())),
        KeyMoments.of(f, grid, sounds));
  }
}
