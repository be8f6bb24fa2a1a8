package app.latethistle.core.music;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.List;

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
    if (song.seconds() < BeatTracker.SHORTEST_SONG) {
      return NOTHING;
    }
    Features f = new Features(song);
    BeatGrid grid = f.isSilent() ? BeatGrid.EMPTY : BeatTracker.track(f);
    if (grid.size() == 0) {
      return NOTHING;
    }
    BeatSounds sounds = BeatSounds.of(f, grid);
    return new SongAnalysis(
        grid,
        Sections.of(grid, sounds, Samples.ofSeconds(song.seconds())),
        KeyMoments.of(f, grid, sounds));
  }
}
