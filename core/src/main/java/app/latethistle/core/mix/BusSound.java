package app.latethistle.core.mix;

import app.latethistle.core.look.EndFade;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What is heard of a bus: its parts and their echoes, lowered under the voice, and faded. */
final class BusSound implements Closeable {
  private final Mix mix;
  private final Bus bus;
  private final List<Part> parts;
  private final OpenParts open;
  private final List<EchoedSound> echoes;
  private float[] read = new float[0];
  private float[] factors = new float[0];

  BusSound(Mix mix, Bus bus, SoundSource source) {
    this.mix = mix;
    this.bus = bus;
    parts = mix.parts().stream().filter(p -> p.bus() == bus).toList();
    open = new OpenParts(source);
    Map<Walls, List<Part>> within = new LinkedHashMap<>();
    for (Part part : parts) {
      part.effect()
          .walls()
          .ifPresent(w -> within.computeIfAbsent(w, k -> new ArrayList<>()).add(part));
    }
    echoes =
        within.entrySet().stream()
            .map(e -> new EchoedSound(open, e.getKey(), e.getValue()))
            .toList();
  }

  Bus bus() {
    return bus;
  }

  /** The bus from a sample on, left and right in turn. */
  float[] read(long from, int frames) throws IOException {
    if (parts.isEmpty()) {
      return new float[2 * frames];
    }
    LevelLine lid = bus.ducks() ? mix.faders().lid() : LevelLine.FLAT;
    boolean band = mix.faders().speechBand() && !lid.equals(LevelLine.FLAT);
    int more = band ? SpeechBand.HALF : 0;
    float[] stereo = sum(SampleRange.ofLength(from - more, frames + 2L * more));
    if (band) {
      lid.factors(from - more, room(stereo.length / 2), stereo.length / 2);
      SpeechBand.apply(stereo, factors, stereo.length / 2);
      stereo = Arrays.copyOfRange(stereo, 2 * more, 2 * (more + frames));
    } else {
      multiply(stereo, lid, from, frames);
    }
    multiply(stereo, mix.faders().line(bus), from, frames);
    whole(stereo, from, frames);
    return stereo;
  }

  private float[] sum(SampleRange range) throws IOException {
    float[] stereo = new float[2 * (int) range.length()];
    for (Part part : parts) {
      open.addStraight(part, range, stereo);
    }
    for (EchoedSound echoed : echoes) {
      add(echoed, range.start(), stereo);
    }
    return stereo;
  }

  private void add(EchoedSound echoed, long from, float[] stereo) throws IOException {
    if (read.length < stereo.length) {
      read = new float[stereo.length];
    }
    echoed.read(from, read, stereo.length / 2);
    for (int i = 0; i < stereo.length; i++) {
      stereo[i] += read[i];
    }
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
    int first = (int) Math.max(0, Math.min(frames, -from));
    int last = (int) Math.max(first, Math.min(frames, mix.length() - from));
    int fading = (int) Math.max(first, Math.min(last, mix.length() - mix.fade() - from));
    Arrays.fill(stereo, 0, 2 * first, 0);
    if (level != 1) {
      for (int i = 2 * first; i < 2 * fading; i++) {
        stereo[i] *= level;
      }
    }
    for (int i = fading; i < last; i++) {
      float gain = level * (float) EndFade.gain(from + i, mix.length(), mix.fade());
      stereo[2 * i] *= gain;
      stereo[2 * i + 1] *= gain;
    }
    Arrays.fill(stereo, 2 * last, 2 * frames, 0);
  }

  /** Closes what is not heard any more from a sample on. */
  void closeAllBefore(long sample) throws IOException {
    open.closeAllBefore(sample);
  }

  @Override
  public void close() throws IOException {
    open.close();
  }
}
