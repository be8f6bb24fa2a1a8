package app.latethistle.core.music;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * All that is known of a song by its time. When stretches of songs are played one after the other,
 * what is known of the result follows from what is known of them.
 *
 * @param heard its beats, sections and key moments, as they were heard and put right
 * @param sung where somebody sings
 */
public record SongParts(SongAnalysis heard, List<SungPart> sung) {
  public SongParts {
    sung = List.copyOf(sung);
  }

  /**
   * A stretch of a song.
   *
   * @param start its first sample of the song, at 48 kHz
   * @param end the sample after its last
   */
  public record Stretch(SongParts song, long start, long end) {
    /** Its length in samples. */
    public long length() {
      return end - start;
    }
  }

  /**
   * What is known of stretches that are played one after the other. They count the same beats to a
   * bar, and each but the first begins with a bar; the first bar is where the first song has it.
   *
   * @param length of the result, in samples; what lies beyond is left out
   */
  public static SongParts of(List<Stretch> stretches, long length) {
    return new SongParts(
        new SongAnalysis(
            grid(stretches, length), sections(stretches, length), moments(stretches, length)),
        sung(stretches, length));
  }

  private static BeatGrid grid(List<Stretch> stretches, long length) {
    int most = stretches.stream().mapToInt(s -> s.song.heard.grid().size()).sum();
    long[] beats = new long[most];
    float[] sureness = new float[most];
    double confidence = 1;
    int count = 0;
    long at = 0;
    for (Stretch stretch : stretches) {
      BeatGrid song = stretch.song.heard.grid();
      confidence = Math.min(confidence, song.confidence());
      for (int i = 0; i < song.size(); i++) {
        long beat = song.sampleOf(i);
        if (beat >= stretch.start && beat < stretch.end && at + beat - stretch.start < length) {
          beats[count] = at + beat - stretch.start;
          sureness[count++] = song.sureness(i);
        }
      }
      at += stretch.length();
    }
    BeatGrid first = stretches.get(0).song.heard.grid();
    return new BeatGrid(
        Arrays.copyOf(beats, count),
        Arrays.copyOf(sureness, count),
        first.beatsPerBar(),
        first.firstDownbeat(),
        confidence);
  }

  /** What is left of each section; where stretches meet, like and like are made one. */
  private static List<Section> sections(List<Stretch> stretches, long length) {
    List<Section> parts = new ArrayList<>();
    Map<SongParts, Integer> kindsBefore = new HashMap<>();
    int kinds = 0;
    long at = 0;
    for (Stretch stretch : stretches) {
      List<Section> song = stretch.song.heard.sections();
      Integer before = kindsBefore.putIfAbsent(stretch.song, kinds);
      if (before == null) {
        before = kinds;
        kinds += song.stream().mapToInt(s -> s.kind() - 'A' + 1).max().orElse(0);
      }
      for (Section s : song) {
        long from = at + Math.max(s.start(), stretch.start) - stretch.start;
        long to = Math.min(length, at + Math.min(s.end(), stretch.end) - stretch.start);
        if (to > from) {
          char kind = (char) (s.kind() + before);
          Section.Name name =
              s.name() == Section.Name.OPENING && from > 0 ? Section.Name.QUIET : s.name();
          boolean meets = from == at && !parts.isEmpty();
          Section last = meets ? parts.get(parts.size() - 1) : null;
          if (last != null && last.kind() == kind && last.name() == name) {
            parts.remove(parts.size() - 1);
            from = last.start();
          }
          parts.add(new Section(from, to, kind, name, s.energy()));
        }
      }
      at += stretch.length();
    }
    return parts;
  }

  private static List<KeyMoment> moments(List<Stretch> stretches, long length) {
    List<KeyMoment> moments = new ArrayList<>();
    long at = 0;
    for (Stretch stretch : stretches) {
      for (KeyMoment m : stretch.song.heard.moments()) {
        long then = at + m.at() - stretch.start;
        if (m.at() >= stretch.start && m.at() < stretch.end && then < length) {
          moments.add(new KeyMoment(then, m.kind()));
        }
      }
      at += stretch.length();
    }
    return moments;
  }

  private static List<SungPart> sung(List<Stretch> stretches, long length) {
    List<SungPart> parts = List.of();
    long at = 0;
    for (Stretch stretch : stretches) {
      for (SungPart s : stretch.song.sung) {
        long from = at + Math.max(s.start(), stretch.start) - stretch.start;
        long to = Math.min(length, at + Math.min(s.end(), stretch.end) - stretch.start);
        if (to > from) {
          parts = SungPart.with(parts, from, to);
        }
      }
      at += stretch.length();
    }
    return parts;
  }
}
