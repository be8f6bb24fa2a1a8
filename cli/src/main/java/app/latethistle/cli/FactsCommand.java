package app.latethistle.cli;

import app.latethistle.core.measure.MoveVerdict;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.story.CameraMove;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.TakeMeasure;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Measures takes. */
@Command(name = "facts", description = "Measures what is right and wrong with takes, as JSON.")
final class FactsCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(arity = "1..*", paramLabel = "FILE", description = "Clips or stills.")
  private List<Path> files;

  @Option(names = "--asked", paramLabel = "MOVE", description = "The camera move asked for.")
  private String asked;

  @Override
  public Integer call() throws IOException {
    CameraMove move = asked == null ? null : move();
    List<Map<String, Object>> out = new ArrayList<>();
    for (Path file : files) {
      out.add(KnownFile.with(file, media -> facts(file, media, move)));
    }
    Thistle.print(spec, out);
    return 0;
  }

  private CameraMove move() {
    try {
      return CameraMove.parse(asked);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), e.getMessage(), e);
    }
  }

  private static Map<String, Object> facts(Path file, MediaFacts media, CameraMove move)
      throws IOException {
    TakeFacts facts = TakeMeasure.measure(file, media, done -> {}).facts();
    Map<String, Object> said = new LinkedHashMap<>();
    said.put("file", file.toString());
    said.put("seconds", media.seconds());
    said.put("width", media.shape().orElseThrow().width());
    said.put("height", media.shape().orElseThrow().height());
    said.put("measured", facts);
    said.put("move", MoveVerdict.name(facts.travel()));
    if (move != null) {
      MoveVerdict verdict = MoveVerdict.of(move, facts.travel());
      said.put("asked", move.label());
      said.put("match", verdict.match());
      said.put("verdict", verdict.inWords());
    }
    return said;
  }
}
