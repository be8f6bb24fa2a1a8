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
  private final List<Heard> heard = new ArrayList<>();
  private float[] factors = new float[0];

  BusSound(Mix mix, Bus bus, SoundSource source) {
    this.mix = mix;
    this.bus = bus;
    PartSounds sounds = new PartSounds(source);
    List<Part> parts = mix.parts().stream().filter(p -> p.bus() == bus).toList();
    if (!parts.isEmpty()) {
      heard.add(new OpenParts(sounds, parts, Effect::on));
    }
    Map<Walls, List<Part>> within = new LinkedHashMap<>();
    for (Part part : parts) {
      part.effect()
          .walls()
          .ifPresent(w -> within.computeIfAbsent(w, k -> new ArrayList<>()).add(part));
    }
    within.forEach(
        (walls, some) ->
            heard.add(new EchoedSound(walls, new OpenParts(sounds, some, Effect::toWalls))));
  }

  Bus bus() {
    return bus;
  }

  /** What it is the sum of; the parts' own sound and what each room's walls answer. */
  List<Heard> heard() {
    return heard;
  }

  /** What must be known of that to make a range: more than it, where a band is lowered. */
  SampleRange needed(SampleRange range) {
    int more = lowersBand() ? SpeechBand.HALF : 0;
    return new SampleRange(range.start() - more, range.end() + more);
  }

  private boolean lowersBand() {
    return mix.faders().speechBand() && !lid().equals(LevelLine.FLAT);
  }

  private LevelLine lid() {
    return bus.ducks() ? mix.faders().lid() : LevelLine.FLAT;
  }

  /**
   * The bus in a range, left and right in turn.
   *
   * @param sounds what is needed of all that it is the sum of; it is written over
   */
  float[] of(List<float[]> sounds, SampleRange range) {
    int frames = (int) range.length();
    if (sounds.isEmpty()) {
      return new float[2 * frames];
    }
    float[] stereo = sum(sounds);
    if (lowersBand()) {
      SampleRange needed = needed(range);
      int more = (int) (range.start() - needed.start());
      lid().factors(needed.start(), room(stereo.length / 2), stereo.length / 2);
      SpeechBand.apply(stereo, factors, stereo.length / 2);
      stereo = Arrays.copyOfRange(stereo, 2 * more, 2 * (more + frames));
    } else {
      multiply(stereo, lid(), range.start(), frames);
    }
    multiply(stereo, mix.faders().line(bus), range.start(), frames);
    whole(stereo, range.start(), frames);
    return stereo;
  }

  private static float[] sum(List<float[]> sounds) {
    float[] stereo = sounds.get(0);
    for (float[] one : sounds.subList(1, sounds.size())) {
      for (int i = 0; i < stereo.length; i++) {
        stereo[i] += one[i];
      }
    }
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
    for (Heard one : heard) {
      one.closeAllBefore(sample);
    }
  }

  @Override
  public void close() throws IOException {
    for (Heard one : heard) {
      one.close();
    }
  }
}
