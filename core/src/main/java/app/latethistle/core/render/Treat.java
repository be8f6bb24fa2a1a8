package app.latethistle.core.render;

import app.latethistle.core.film.Hits;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.picture.TreatmentPainter.Setting;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;

/**
 * A treatment whose values are worked out.
 *
 * @param kind what is done
 * @param tracks the values of each of its parameters
 * @param table SHA-256 of the .cube file it looks up in; "" for none
 */
public record Treat(TreatmentKind kind, List<Track> tracks, String table) {
  public Treat {
    tracks = List.copyOf(tracks);
  }

  /**
   * A value over the frames of a layer.
   *
   * @param values in thousandths of its parameter's unit; one for each frame, or one for all
   */
  public record Track(List<Integer> values) {
    private static final int PARTS = 1000;

    public Track {
      values = List.copyOf(values);
    }

    static Track of(List<Double> values) {
      return new Track(values.stream().map(v -> (int) Math.round(v * PARTS)).toList());
    }

    /** The value of a frame, counted from the first; the ends go on. */
    int at(long k) {
      return values.get((int) Math.max(0, Math.min(values.size() - 1, k)));
    }

    private Track over(long length) {
      if (values.size() == 1) {
        return this;
      }
      List<Integer> there = new ArrayList<>();
      for (long k = 0; k < length; k++) {
        there.add(at(Math.round(k * (double) values.size() / length)));
      }
      return new Track(there);
    }
  }

  /**
   * A treatment over some frames of the film.
   *
   * @param hits what its values follow
   */
  static Treat of(Treatment treatment, Hits hits, FrameRange film) {
    List<Track> tracks = new ArrayList<>();
    for (Dial dial : treatment.dials()) {
      tracks.add(Track.of(hits.values(dial, film)));
    }
    return new Treat(treatment.kind(), tracks, treatment.table());
  }

  /**
   * How it is done in a frame.
   *
   * @param k counted from the first it is done in
   * @param count of frames that its movement hangs on
   */
  Setting setting(long k, long count, FrameRate rate, long seed) {
    return new Setting(
        tracks.stream().map(t -> t.at(k) / (double) Track.PARTS).toList(),
        count / rate.perSecond(),
        seed);
  }

  /** Writes all that can change a pixel of some of its frames. */
  void writeKey(KeyWriter key, FrameRange part) {
    key.put("treat").put(kind);
    if (!table.isEmpty()) {
      key.put("table").put(table);
    }
    for (Track track : tracks) {
      boolean stays = true;
      for (long k = part.start(); k < part.end(); k++) {
        stays &= track.at(k) == track.at(part.start());
      }
      for (long k = part.start(); k < (stays ? part.start() + 1 : part.end()); k++) {
        key.put(track.at(k));
      }
      key.put("to");
    }
  }

  /** The same over as many frames of another rate. */
  Treat over(long length) {
    return new Treat(kind, tracks.stream().map(t -> t.over(length)).toList(), table);
  }
}
