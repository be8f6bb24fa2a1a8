package app.latethistle.media;

import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Mixer;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.PeakMeter;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Writes a mix and its stems as Broadcast Wave files. */
public final class MixFiles {
  private final Mix mix;
  private final SoundSource source;
  private final String title;
  private final LocalDateTime made;

  /**
   * @param title of the film
   * @param made what the files say of when they were
   */
  public MixFiles(Mix mix, SoundSource source, String title, LocalDateTime made) {
    this.mix = mix;
    this.source = source;
    this.title = title;
    this.made = made;
  }

  /** Writes the whole, with its loudness in it. */
  public SoundMeasure whole(Path file) throws IOException {
    Loudness.Meter meter = new Loudness.Meter();
    PeakMeter peaks = new PeakMeter();
    try (BroadcastWave wave = BroadcastWave.open(file, mix.length(), about("the mix"));
        Mixer mixer = new Mixer(mix, source)) {
      mixer.mix(
          all(),
          (stereo, frames) -> {
            meter.add(stereo, frames);
            peaks.add(stereo, frames);
            wave.write(stereo, frames);
          });
      SoundMeasure measure = SoundMeasure.of(meter, peaks);
      wave.measured(measure);
      return measure;
    }
  }

  /**
   * Writes a file of each bus that is heard, which together are the whole; of those that step aside
   * for the voice another in which they do not.
   *
   * @param folder is made if it is not there
   * @return the files
   */
  public List<Path> stems(Path folder) throws IOException {
    Files.createDirectories(folder);
    List<Path> files = new ArrayList<>(stems(folder, mix, List.of(Bus.values()), ""));
    List<Bus> ducking = List.of(Bus.values()).stream().filter(Bus::ducks).toList();
    files.addAll(stems(folder, mix.withoutDucking(), ducking, " without ducking"));
    return files;
  }

  private List<Path> stems(Path folder, Mix of, List<Bus> buses, String how) throws IOException {
    Map<Bus, BroadcastWave> waves = new EnumMap<>(Bus.class);
    List<Path> files = new ArrayList<>();
    try (Mixer mixer = new Mixer(of, source)) {
      for (Bus bus : buses) {
        if (of.parts().stream().anyMatch(p -> p.bus() == bus)) {
          String name = bus.name().toLowerCase(Locale.ROOT) + how;
          Path file = folder.resolve(name + ".wav");
          files.add(file);
          waves.put(bus, BroadcastWave.open(file, of.length(), about(name)));
        }
      }
      mixer.mix(
          all(),
          (apart, gains, stereo, frames) -> {
            for (Map.Entry<Bus, BroadcastWave> wave : waves.entrySet()) {
              float[] stem = apart.get(wave.getKey());
              for (int i = 0; i < 2 * frames; i++) {
                stem[i] *= gains[i / 2];
              }
              wave.getValue().write(stem, frames);
            }
          });
    } finally {
      for (BroadcastWave wave : waves.values()) {
        wave.close();
      }
    }
    return files;
  }

  private SampleRange all() {
    return new SampleRange(0, mix.length());
  }

  private BroadcastWave.About about(String what) {
    return new BroadcastWave.About(title + ": " + what, 0, made);
  }
}
