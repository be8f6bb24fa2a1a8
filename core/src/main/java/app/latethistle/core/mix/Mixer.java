package app.latethistle.core.mix;

import app.latethistle.core.look.EndFade;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import java.io.Closeable;
import java.io.IOException;
import java.util.Arrays;
import java.util.EnumMap;
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
  private final Map<Bus, List<Part>> parts = new EnumMap<>(Bus.class);
  private final Map<Part, SoundSource.Sound> open = new HashMap<>();
  private float[] read = new float[0];
  private float[] factors = new float[0];

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

  /** Where finished samples go together with what they are made of. */
  @FunctionalInterface
  public interface Apart {
    /**
     * Takes a block, which is valid only during the call.
     *
     * @param buses what is heard of each bus, before the limiter
     * @param gains what the limiter multiplies each sample by
     * @param stereo all together behind it
     * @param frames samples of each side
     */
    void accept(Map<Bus, float[]> buses, float[] gains, float[] stereo, int frames)
        throws IOException;
  }

  public Mixer(Mix mix, SoundSource source) {
    this.mix = mix;
    this.source = source;
    for (Bus bus : Bus.values()) {
      parts.put(bus, mix.parts().stream().filter(p -> p.bus() == bus).toList());
    }
  }

  /** Mixes a range of the film. */
  public void mix(SampleRange range, Sink sink) throws IOException {
    mix(range, (buses, gains, stereo, frames) -> sink.accept(stereo, frames));
  }

  /** Mixes a range of the film, and tells of each bus too. */
  public void mix(SampleRange range, Apart sink) throws IOException {
    Map<Bus, float[]> buses = new EnumMap<>(Bus.class);
    for (long at = range.start(); at < range.end(); at += BLOCK) {
      int frames = (int) Math.min(BLOCK, range.end() - at);
      float[] all = new float[2 * (frames + 2 * Limiter.REACH)];
      for (Bus bus : Bus.values()) {
        float[] one = bus(bus, at - Limiter.REACH, all.length / 2);
        for (int i = 0; i < all.length; i++) {
          all[i] += one[i];
        }
        buses.put(bus, inner(one, frames));
      }
      float[] gains = Limiter.gains(all, mix.level().ceiling());
      Limiter.multiply(all, gains);
      sink.accept(
          buses,
          Arrays.copyOfRange(gains, Limiter.REACH, Limiter.REACH + frames),
          inner(all, frames),
          frames);
      closeAllBefore(at);
    }
  }

  private static float[] inner(float[] wide, int frames) {
    return Arrays.copyOfRange(wide, 2 * Limiter.REACH, 2 * (Limiter.REACH + frames));
  }

  /** A bus from a sample on, lowered and faded. */
  private float[] bus(Bus bus, long from, int frames) throws IOException {
    if (parts.get(bus).isEmpty()) {
      return new float[2 * frames];
    }
    LevelLine lid = bus.ducks() ? mix.faders().lid() : LevelLine.FLAT;
    boolean band = mix.faders().speechBand() && !lid.equals(LevelLine.FLAT);
    int more = band ? SpeechBand.HALF : 0;
    float[] stereo = new float[2 * (frames + 2 * more)];
    SampleRange range = SampleRange.ofLength(from - more, stereo.length / 2);
    for (Part part : parts.get(bus)) {
      SampleRange both = part.heard().intersect(range).orElse(null);
      if (both != null) {
        add(part, both, range.start(), stereo);
      }
    }
    if (band) {
      lid.factors(range.start(), room(stereo.length / 2), stereo.length / 2);
      SpeechBand.apply(stereo, factors, stereo.length / 2);
      stereo = Arrays.copyOfRange(stereo, 2 * more, 2 * (more + frames));
    } else {
      multiply(stereo, lid, from, frames);
    }
    multiply(stereo, mix.faders().line(bus), from, frames);
    whole(stereo, from, frames);
    return stereo;
  }

  private float[] room(int frames) {
    if (factors.length < frames) {
      factors = new float[frames];
    }
    return factors;
  }

  private void multiply(float[] stereo, LevelLine line, long from, int frames) {
    if (line.points().isEmpty()) {
      return;
    }
    line.factors(from, room(frames), frames);
    for (int i = 0; i < frames; i++) {
      stereo[2 * i] *= factors[i];
      stereo[2 * i + 1] *= factors[i];
    }
  }

  /** The level of the whole, and the fade at its end. */
  private void whole(float[] stereo, long from, int frames) {
    float level = mix.level().factor();
    for (int i = 0; i < frames; i++) {
      long at = from + i;
      boolean outside = at < 0 || at >= mix.length();
      float gain = outside ? 0 : level * (float) EndFade.gain(at, mix.length(), mix.fade());
      if (gain != 1) {
        stereo[2 * i] *= gain;
        stereo[2 * i + 1] *= gain;
      }
    }
  }

  private void add(Part part, SampleRange heard, long from, float[] stereo) throws IOException {
    SoundSource.Sound sound = open.get(part);
    if (sound == null) {
      SoundSource.Sound medium = source.open(part.media(), part.bus().channels());
      sound = part.effect().on(new PartSound(medium, part));
      open.put(part, sound);
    }
    int channels = sound.channels();
    int frames = (int) heard.length();
    if (read.length < frames * channels) {
      read = new float[frames * channels];
    }
    sound.read(heard.start() - part.at().start(), read, frames);
    double level = part.level();
    int to = 2 * (int) (heard.start() - from);
    for (int i = 0; i < frames; i++) {
      stereo[to + 2 * i] += (float) (level * read[i * channels]);
      stereo[to + 2 * i + 1] += (float) (level * read[i * channels + channels - 1]);
    }
  }

  private void closeAllBefore(long sample) throws IOException {
    for (Part part : List.copyOf(open.keySet())) {
      if (part.heard().end() + Mix.REACH < sample) {
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
