package app.latethistle.core.mix;

import app.latethistle.core.look.EndFade;
import app.latethistle.core.time.SampleRange;
import java.io.Closeable;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Makes a film's samples, block by block. What a sample is follows from the mix and its number
 * alone. Not for use by two threads at once.
 */
public final class Mixer implements Closeable {
  /** Samples mixed at once: a fifth of a second, so that the limiter's reach costs a tenth. */
  private static final int BLOCK = 9_600;

  private final Mix mix;
  private final SoundSource source;
  private final Ducking ducking;
  private final List<Part> ducked;
  private final List<Part> steady;
  private final Map<Part, SoundSource.Sound> open = new HashMap<>();
  private float[] read = new float[0];

  /** Where finished samples go. */
  @FunctionalInterface
  public interface Sink {
    /**
     * Takes a block, which is valid only during the call.
     *
     * @param stereo left and right in turn
     * @param frames samples of each side
     */
    void accept(float[] stereo, int frames) throws IOException;
  }

  public Mixer(Mix mix, SoundSource source) {
    this.mix = mix;
    this.source = source;
    ducking = new Ducking(mix.speech());
    ducked = mix.parts().stream().filter(p -> p.bus().ducks()).toList();
    steady = mix.parts().stream().filter(p -> !p.bus().ducks()).toList();
  }

  /** Mixes a range of the film. */
  public void mix(SampleRange range, Sink sink) throws IOException {
    float[] whole = new float[2 * (BLOCK + 2 * Limiter.REACH)];
    float[] block = new float[2 * BLOCK];
    for (long at = range.start(); at < range.end(); at += BLOCK) {
      int frames = (int) Math.min(BLOCK, range.end() - at);
      float[] with = frames == BLOCK ? whole : new float[2 * (frames + 2 * Limiter.REACH)];
      sum(at - Limiter.REACH, with);
      Limiter.apply(with);
      System.arraycopy(with, 2 * Limiter.REACH, block, 0, 2 * frames);
      sink.accept(block, frames);
      closeAllBefore(at);
    }
  }

  /** All parts from a sample on, lowered and faded, not limited. */
  private void sum(long from, float[] stereo) throws IOException {
    int frames = stereo.length / 2;
    Arrays.fill(stereo, 0);
    SampleRange range = SampleRange.ofLength(from, frames);
    add(ducked, range, stereo);
    ducking.apply(stereo, from, frames);
    add(steady, range, stereo);
    for (int i = 0; i < frames; i++) {
      long at = from + i;
      boolean outside = at < 0 || at >= mix.length();
      float gain = outside ? 0 : (float) EndFade.gain(at, mix.length(), mix.fade());
      if (gain != 1) {
        stereo[2 * i] *= gain;
        stereo[2 * i + 1] *= gain;
      }
    }
  }

  private void add(List<Part> parts, SampleRange range, float[] stereo) throws IOException {
    for (Part part : parts) {
      SampleRange both = part.at().intersect(range).orElse(null);
      if (both != null) {
        add(part, both, range.start(), stereo);
      }
    }
  }

  private void add(Part part, SampleRange heard, long from, float[] stereo) throws IOException {
    SoundSource.Sound sound = open.get(part);
    if (sound == null) {
      sound = source.open(part.media(), part.bus().channels());
      open.put(part, sound);
    }
    int channels = sound.channels();
    int frames = (int) heard.length();
    if (read.length < frames * channels) {
      read = new float[frames * channels];
    }
    part.course().read(sound, heard.start() - part.at().start(), read, frames);
    double level = part.level();
    for (int i = 0; i < frames; i++) {
      double factor = part.factor(level, heard.start() + i);
      int to = 2 * (int) (heard.start() + i - from);
      stereo[to] += (float) (factor * read[i * channels]);
      stereo[to + 1] += (float) (factor * read[i * channels + channels - 1]);
    }
  }

  private void closeAllBefore(long sample) throws IOException {
    for (Part part : List.copyOf(open.keySet())) {
      if (part.at().end() + Limiter.REACH < sample) {
        open.remove(part).close();
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
