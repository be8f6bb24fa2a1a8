package app.latethistle.media;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;

/**
 * Beat and downbeat times of a MIDI file from its tempo map and time signatures: the beat is a
 * quarter, in signatures over 8 whose count divides by three a dotted quarter. Repeated identical
 * signatures start no bar; a set-up bar of 1/8 or 1/16 is passed over.
 *
 * @param beats in seconds
 * @param downbeats in seconds
 */
public record MidiTempoMap(List<Double> beats, List<Double> downbeats) {
  private static final int TEMPO = 0x51;
  private static final int SIGNATURE = 0x58;

  private record Signature(int count, int unit) {}

  /**
   * Reads a MIDI file from its beginning to its end, whether or not it has notes.
   *
   * @throws IOException if it is not one, or has no length; the message does not name it
   */
  public static MidiTempoMap read(InputStream bytes) throws IOException {
    return read(bytes, false);
  }

  /**
   * The same from the first note to the last, where beats can be heard.
   *
   * @throws IOException if it is none, or has no notes; the message does not name it
   */
  public static MidiTempoMap readPlayed(InputStream bytes) throws IOException {
    return read(bytes, true);
  }

  private static MidiTempoMap read(InputStream bytes, boolean played) throws IOException {
    Sequence sequence;
    try {
      sequence = MidiSystem.getSequence(new BufferedInputStream(bytes));
    } catch (InvalidMidiDataException | EOFException | RuntimeException e) {
      throw new RefusedMedia("It is not a MIDI file that can be read.");
    }
    if (sequence.getDivisionType() != Sequence.PPQ) {
      throw new RefusedMedia("It counts in frames of film, not in beats; export it in beats.");
    }
    TreeMap<Long, Integer> tempi = new TreeMap<>();
    TreeMap<Long, Signature> signatures = new TreeMap<>();
    tempi.put(0L, 500_000);
    signatures.put(0L, new Signature(4, 4));
    long firstNote = Long.MAX_VALUE;
    long lastNote = -1;
    for (Track track : sequence.getTracks()) {
      for (int i = 0; i < track.size(); i++) {
        MidiEvent event = track.get(i);
        if (event.getMessage() instanceof MetaMessage meta) {
          byte[] data = meta.getData();
          if (meta.getType() == TEMPO) {
            int microseconds = (data[0] & 255) << 16 | (data[1] & 255) << 8 | (data[2] & 255);
            tempi.put(event.getTick(), microseconds);
          } else if (meta.getType() == SIGNATURE) {
            signatures.put(event.getTick(), new Signature(data[0], 1 << data[1]));
          }
        } else if (event.getMessage() instanceof ShortMessage note
            && note.getCommand() == ShortMessage.NOTE_ON
            && note.getData2() > 0) {
          firstNote = Math.min(firstNote, event.getTick());
          lastNote = Math.max(lastNote, event.getTick());
        }
      }
    }
    long end = played ? lastNote : sequence.getTickLength() - 1;
    if (end < 0) {
      throw new RefusedMedia(
          "It has no notes and ends where it begins, so there is no beat in it.");
    }
    long begin = played ? firstNote : 0;
    return walk(sequence.getResolution(), tempi, signatures, begin, end);
  }

  /** The most frequent number of beats from one downbeat to the next, 2 to 12; 4 if none is. */
  public int usualBar() {
    int[] counts = new int[13];
    int from = -1;
    for (int i = 0; i < beats.size(); i++) {
      if (downbeats.contains(beats.get(i))) {
        if (from >= 0 && i - from >= 2 && i - from <= 12) {
          counts[i - from]++;
        }
        from = i;
      }
    }
    int usual = 4;
    for (int n = 2; n < counts.length; n++) {
      usual = counts[n] > counts[usual] ? n : usual;
    }
    return usual;
  }

  private static MidiTempoMap walk(
      int resolution,
      TreeMap<Long, Integer> tempi,
      TreeMap<Long, Signature> signatures,
      long begin,
      long last) {
    List<Double> beats = new ArrayList<>();
    List<Double> downbeats = new ArrayList<>();
    Signature current = null;
    List<Long> starts = new ArrayList<>();
    for (long tick : signatures.keySet()) {
      if (!signatures.get(tick).equals(current)) {
        starts.add(tick);
        current = signatures.get(tick);
      }
    }
    for (int s = 0; s < starts.size(); s++) {
      Signature signature = signatures.get(starts.get(s));
      long end = s + 1 < starts.size() ? starts.get(s + 1) : last + 1;
      boolean setUp = signature.count() == 1 && signature.unit() >= 8;
      boolean compound = signature.unit() == 8 && signature.count() % 3 == 0;
      long beat = compound ? resolution * 3L / 2 : resolution * 4L / signature.unit();
      int perBar = compound ? signature.count() / 3 : signature.count();
      int place = 0;
      for (long tick = starts.get(s); tick < end && !setUp; tick += beat, place++) {
        if (tick >= begin - beat / 8) {
          double seconds = seconds(tick, resolution, tempi);
          beats.add(seconds);
          if (place % perBar == 0) {
            downbeats.add(seconds);
          }
        }
      }
    }
    return new MidiTempoMap(beats, downbeats);
  }

  private static double seconds(long tick, int resolution, TreeMap<Long, Integer> tempi) {
    double seconds = 0;
    long at = 0;
    int tempo = tempi.get(0L);
    for (var change : tempi.entrySet()) {
      if (change.getKey() >= tick) {
        break;
      }
      seconds += (change.getKey() - at) * (double) tempo / resolution / 1e6;
      at = change.getKey();
      tempo = change.getValue();
    }
    return seconds + (tick - at) * (double) tempo / resolution / 1e6;
  }
}
