package app.latethistle.core.mix;

import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.work.AllCores;
import java.io.Closeable;
import java.io.IOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Makes a film's samples, block by block. What a sample is follows from the mix and its number
 * alone. Not for use by two threads at once.
 */
public final class Mixer implements Closeable {
  /**
   * Samples mixed at once: a second, so that cores seldom wait and the limiter hears little twice.
   */
  private static final int BLOCK = 48_000;

  private final Mix mix;
  private final List<BusSound> buses;

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
    buses = Arrays.stream(Bus.values()).map(bus -> new BusSound(mix, bus, source)).toList();
  }

  /** Mixes a range of the film. */
  public void mix(SampleRange range, Sink sink) throws IOException {
    wide(range, (buses, gains, all, frames) -> sink.accept(inner(all, frames), frames));
  }

  /** Mixes a range of the film, and tells of each bus too. */
  public void mix(SampleRange range, Apart sink) throws IOException {
    wide(
        range,
        (buses, gains, all, frames) -> {
          buses.replaceAll((bus, one) -> inner(one, frames));
          sink.accept(
              buses,
              Arrays.copyOfRange(gains, Limiter.REACH, Limiter.REACH + frames),
              inner(all, frames),
              frames);
        });
  }

  /** Mixes a range; each block comes with what the limiter hears before and after it. */
  private void wide(SampleRange range, Apart sink) throws IOException {
    for (long at = range.start(); at < range.end(); at += BLOCK) {
      int frames = (int) Math.min(BLOCK, range.end() - at);
      Map<Bus, float[]> read =
          read(new SampleRange(at - Limiter.REACH, at + frames + Limiter.REACH));
      float[] all = new float[2 * (frames + 2 * Limiter.REACH)];
      for (float[] one : read.values()) {
        for (int i = 0; i < all.length; i++) {
          all[i] += one[i];
        }
      }
      float[] gains = Limiter.gains(all, mix.level().ceiling());
      Limiter.multiply(all, gains);
      sink.accept(read, gains, all, frames);
      for (BusSound bus : buses) {
        bus.closeAllBefore(at);
      }
    }
  }

  /** One of the sounds of a bus. */
  private record Sounding(BusSound bus, Heard heard) {}

  /** Every bus in a range; all their sounds are made at once, so that no core waits for a bus. */
  private Map<Bus, float[]> read(SampleRange range) throws IOException {
    List<Sounding> all =
        buses.stream()
            .flatMap(bus -> bus.heard().stream().map(heard -> new Sounding(bus, heard)))
            .toList();
    List<float[]> made = AllCores.of(all, s -> s.heard.read(s.bus.needed(range)));
    Map<Bus, float[]> read = new EnumMap<>(Bus.class);
    int first = 0;
    for (BusSound bus : buses) {
      int after = first + bus.heard().size();
      read.put(bus.bus(), bus.of(made.subList(first, after), range));
      first = after;
    }
    return read;
  }

  private static float[] inner(float[] wide, int frames) {
    return Arrays.copyOfRange(wide, 2 * Limiter.REACH, 2 * (Limiter.REACH + frames));
  }

  @Override
  public void close() throws IOException {
    for (BusSound bus : buses) {
      bus.close();
    }
  }
}
