package app.latethistle.core.mix;

import app.latethistle.core.time.SampleRange;
import java.io.Closeable;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The parts that are being read. */
final class OpenParts implements Closeable {
  private final SoundSource source;
  private final Map<Part, Opened> open = new HashMap<>();
  private float[] read = new float[0];

  /**
   * A part's sound.
   *
   * @param straight as it is heard beside its echoes
   * @param toWalls what its walls hear; closed with the other
   */
  private record Opened(SoundSource.Sound straight, SoundSource.Sound toWalls) {}

  OpenParts(SoundSource source) {
    this.source = source;
  }

  /** Adds what of a part is heard straight in a range of the film. */
  void addStraight(Part part, SampleRange range, float[] stereo) throws IOException {
    SampleRange both = part.straight().intersect(range).orElse(null);
    if (both != null) {
      add(open(part).straight, part, both, range.start(), stereo);
    }
  }

  /** Adds what of a part its walls hear. */
  void addToWalls(Part part, SampleRange range, float[] stereo) throws IOException {
    SampleRange both = part.straight().intersect(range).orElse(null);
    if (both != null) {
      add(open(part).toWalls, part, both, range.start(), stereo);
    }
  }

  private Opened open(Part part) throws IOException {
    Opened opened = open.get(part);
    if (opened == null) {
      SoundSource.Sound medium = source.open(part.media(), part.bus().channels());
      SoundSource.Sound sound = new PartSound(medium, part);
      opened = new Opened(part.effect().on(sound), part.effect().toWalls(sound));
      open.put(part, opened);
    }
    return opened;
  }

  private void add(SoundSource.Sound sound, Part part, SampleRange heard, long from, float[] stereo)
      throws IOException {
    int channels = sound.channels();
    int frames = (int) heard.length();
    if (read.length < frames * channels) {
      read = new float[frames * channels];
    }
    sound.read(heard.start() - part.at().start(), read, frames);
    float level = (float) part.level();
    int to = 2 * (int) (heard.start() - from);
    for (int i = 0; i < frames; i++) {
      stereo[to + 2 * i] += level * read[i * channels];
      stereo[to + 2 * i + 1] += level * read[i * channels + channels - 1];
    }
  }

  /** Closes what is not heard any more from a sample on. */
  void closeAllBefore(long sample) throws IOException {
    for (Part part : List.copyOf(open.keySet())) {
      if (part.heard().end() + Mix.REACH < sample) {
        open.remove(part).straight.close();
      }
    }
  }

  @Override
  public void close() throws IOException {
    for (Opened opened : open.values()) {
      opened.straight.close();
    }
    open.clear();
  }
}
