package app.latethistle.server.stored;

import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.SoundFacts;
import app.latethistle.core.signal.Strike;
import app.latethistle.core.time.SampleRange;
import app.latethistle.document.SamplesForm;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** How what is measured of a sound is stored. */
public final class StoredSound {
  private static final int FORMAT = 1;

  private StoredSound() {}

  private record Facts(
      long length,
      List<Struck> strikes,
      SamplesForm body,
      Double loudness,
      Double truePeak,
      double brightness,
      double noise,
      SamplesForm loop,
      List<Double> likeness) {}

  private record Struck(long sample, double strength) {}

  /** Facts as text; JSON has no word for silence, so it is left out. */
  public static String write(SoundFacts facts) {
    return Json.write(
        FORMAT,
        new Facts(
            facts.length(),
            facts.strikes().stream().map(s -> new Struck(s.sample(), s.strength())).toList(),
            SamplesForm.of(facts.body()),
            Double.isFinite(facts.loudness()) ? facts.loudness() : null,
            Double.isFinite(facts.truePeak()) ? facts.truePeak() : null,
            facts.brightness(),
            facts.noise(),
            facts.loop().map(SamplesForm::of).orElse(null),
            facts.likeness()));
  }

  /** Facts that were stored. */
  public static SoundFacts read(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    Facts f = Json.as(tree, Facts.class);
    Optional<SampleRange> loop = Optional.ofNullable(f.loop).map(SamplesForm::range);
    return new SoundFacts(
        f.length,
        f.strikes.stream().map(s -> new Strike(s.sample, s.strength)).toList(),
        f.body.range(),
        f.loudness == null ? Loudness.SILENT : f.loudness,
        f.truePeak == null ? Double.NEGATIVE_INFINITY : f.truePeak,
        f.brightness,
        f.noise,
        loop,
        f.likeness);
  }
}
