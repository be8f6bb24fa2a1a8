package app.latethistle.document;

import app.latethistle.core.music.BeatGrid;
import java.util.Arrays;
import java.util.List;
import java.util.stream.LongStream;

/**
 * The film's song.
 *
 * @param media its file
 * @param beats where each beat falls in it, in samples at 48 kHz
 * @param beatsPerBar 2 to 12; 4 if it is not said
 * @param firstDownbeat the first beat that begins a bar, from 0
 */
public record SongForm(MediumForm media, List<Long> beats, Integer beatsPerBar, int firstDownbeat) {
  private static final int USUAL_BAR = 4;

  /** A song of a store with its beats. */
  public static SongForm of(String sha256, BeatGrid grid) {
    return new SongForm(
        MediumForm.ofHash(sha256),
        LongStream.of(grid.samples()).boxed().toList(),
        grid.beatsPerBar(),
        grid.firstDownbeat());
  }

  BeatGrid grid() {
    List<Long> all = Say.or(beats);
    float[] sure = new float[all.size()];
    Arrays.fill(sure, 1);
    return new BeatGrid(
        all.stream().mapToLong(b -> b).toArray(),
        sure,
        Say.or(beatsPerBar, USUAL_BAR),
        firstDownbeat,
        /* confidence= */ 1);
  }

  SongForm with(MediumForm other) {
    return new SongForm(other, beats, beatsPerBar, firstDownbeat);
  }
}
