package app.latethistle.cli;

import app.latethistle.core.signal.SoundFacts;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What is measured of a sound. */
@Command(
    name = "sound",
    description = "Measures where a sound strikes, its body and its loop, as JSON; in seconds.")
final class SoundCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "A sound.")
  private Path file;

  @Override
  public Integer call() throws IOException {
    SoundFacts facts = SoundFacts.of(SoundFile.read(file, SongDecoder::stereo));
    Map<String, Object> said = new LinkedHashMap<>();
    said.put("file", file.toString());
    said.put("seconds", Samples.toSeconds(facts.length()));
    said.put("strikes", facts.strikes().stream().map(s -> Samples.toSeconds(s.sample())).toList());
    said.put("body", seconds(facts.body()));
    said.put("loudness", LoudnessCommand.finite(facts.loudness()));
    said.put("truePeak", LoudnessCommand.finite(facts.truePeak()));
    said.put("loop", facts.loop().map(SoundCommand::seconds).orElse(null));
    said.put("brightness", Math.round(facts.brightness()));
    said.put("noise", Math.round(facts.noise() * 1000) / 1000.0);
    Thistle.print(spec, said);
    return 0;
  }

  private static Map<String, Double> seconds(SampleRange range) {
    Map<String, Double> ends = new LinkedHashMap<>();
    ends.put("start", Samples.toSeconds(range.start()));
    ends.put("end", Samples.toSeconds(range.end()));
    return ends;
  }
}
