package app.latethistle.media;

import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.signal.PeakMeter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;

/**
 * How loud a file's sound is; negative infinity where it is silent.
 *
 * @param integrated in LUFS (ITU-R BS.1770-4)
 * @param range in LU (EBU Tech 3342)
 * @param momentaryMax in LUFS, of 400 ms
 * @param shortTermMax in LUFS, of 3 s
 * @param truePeak in dBTP
 */
public record SoundMeasure(
    double integrated, double range, double momentaryMax, double shortTermMax, double truePeak) {

  /**
   * Measures a file, block by block.
   *
   * @throws IOException if it has no sound or cannot be decoded
   */
  public static SoundMeasure of(Path file, Container container) throws IOException {
    Loudness.Meter meter = new Loudness.Meter();
    PeakMeter peaks = new PeakMeter();
    SongDecoder.stereo(
        file,
        container,
        (stereo, samples) -> {
          meter.add(stereo, samples / 2);
          peaks.add(stereo, samples / 2);
        });
    return of(meter, peaks);
  }

  /** What meters read that heard a whole sound. */
  static SoundMeasure of(Loudness.Meter meter, PeakMeter peaks) {
    return new SoundMeasure(
        meter.integrated(),
        meter.range(),
        meter.momentaryMax(),
        meter.shortTermMax(),
        peaks.decibels());
  }

  /**
   * How loud a file's sound is over its time.
   *
   * @throws IOException if it has no sound or cannot be decoded
   */
  public static LoudnessTrace trace(Path file, Container container) throws IOException {
    Loudness.Meter meter = new Loudness.Meter();
    SongDecoder.stereo(file, container, (stereo, samples) -> meter.add(stereo, samples / 2));
    return meter.trace();
  }

  /** In a few words. */
  public String inWords() {
    return integrated == Loudness.SILENT
        ? "silent"
        : String.format(Locale.ROOT, "%.1f LUFS, true peaks at %.1f dBTP", integrated, truePeak);
  }
}
