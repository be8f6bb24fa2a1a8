package app.latethistle.core.mix;

import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;

/** Parts as they are heard straight, or by walls; those that are being read are open. */
final class OpenParts implements Heard {
  private final PartSounds sounds;
  private final List<Part> parts;
  private final BiFunction<Effect, SoundSource.Sound, SoundSource.Sound> way;
  private final Map<Part, SoundSource.Sound> open = new HashMap<>();
  private float[] read = new float[0];

  /**
   * @param way what a part's effect makes of its sound on the way to where it is heard
   */
  OpenParts(
      PartSounds sounds,
      List<Part> parts,
      BiFunction<Effect, SoundSource.Sound, SoundSource.Sound> way) {
    this.sounds = sounds;
    this.parts = parts;
    this.way = way;
  }

  @Override
  public float[] read(SampleRange range) throws IOException {
    float[] stereo = new float[2 * (int) range.length()];
    add(range, stereo);
    return stereo;
  }

  /** Adds what of the parts is heard in a range. */
  void add(SampleRange range, float[] stereo) throws IOException {
    for (Part part : parts) {
      SampleRange both = part.straight().intersect(range).orElse(null);
      if (both != null) {
        add(open(part), part, both, range.start(), stereo);
      }
    }
  }

  private SoundSource.Sound open(Part part) throws IOException {
    SoundSource.Sound sound = open.get(part);
    if (sound == null) {
      sound = way.apply(part.effect(), sounds.open(part));
      open.put(part, sound);
    }
    return sound;
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

  @Override
  public void closeAllBefore(long sample) throws IOException {
    for (Part part : List.copyOf(open.keySet())) {
      if (part.heard().end() + Mix.REACH < sample) {
        open.remove(part).close();
        sounds.forget(part);
      }
    }
  }

  @Override
  public void close() throws IOException {
    for (SoundSource.Sound sound : open.values()) {
      sound.close();
    }
    open.clear();
  }
}
