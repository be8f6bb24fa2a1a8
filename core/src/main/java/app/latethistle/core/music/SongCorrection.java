package app.latethistle.core.music;

import app.latethistle.core.time.Samples;
import java.util.List;

/**
 * What a person put right in a grid that was heard. Corrections say where in the song they hold, in
 * samples at 48 kHz, never which beat by number, so that they can be made again on another analysis
 * of the song. One that finds nothing to correct leaves the grid as it is.
 */
public sealed interface SongCorrection
    permits HalveTempo,
        DoubleTempo,
        HalfBeatLater,
        MoveDownbeat,
        CountBars,
        MoveBeat,
        HoldTempo,
        TapBeats,
        FollowTempoMap,
        AddBorder,
        MoveBorder,
        RemoveBorder,
        MarkSung {
  /** Beats a minute below which a tempo is not halved, and above which it is not doubled. */
  double SLOWEST = 20;

  double QUICKEST = 300;

  /** Samples that are left between neighbouring beats: 50 ms. */
  long CLOSEST = Samples.RATE / 20;

  /** The grid with this put right. */
  default BeatGrid apply(BeatGrid grid) {
    return grid;
  }

  /** The sections with this put right. */
  default List<Section> applyTo(List<Section> sections) {
    return sections;
  }

  /** The sung parts with this put right. */
  default List<SungPart> applyToSung(List<SungPart> parts) {
    return parts;
  }

  /** What was done, for the undo button: "halve the tempo". */
  String label();

  /** The grid with all of them put right, in order. */
  static BeatGrid all(BeatGrid heard, List<SongCorrection> corrections) {
    BeatGrid grid = heard;
    for (SongCorrection correction : corrections) {
      grid = correction.apply(grid);
    }
    return grid;
  }

  /** The sections with all of them put right, in order. */
  static List<Section> allSections(List<Section> heard, List<SongCorrection> corrections) {
    List<Section> sections = heard;
    for (SongCorrection correction : corrections) {
      sections = correction.applyTo(sections);
    }
    return sections;
  }

  /** The sung parts with all of them put right, in order. */
  static List<SungPart> allSung(List<SungPart> known, List<SongCorrection> corrections) {
    List<SungPart> parts = known;
    for (SongCorrection correction : corrections) {
      parts = correction.applyToSung(parts);
    }
    return parts;
  }
}
