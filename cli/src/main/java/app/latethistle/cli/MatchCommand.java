package app.latethistle.cli;

import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.grade.Match;
import app.latethistle.core.grade.NearestList;
import app.latethistle.core.interchange.CdlText;
import app.latethistle.core.interchange.CubeText;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.Correction;
import app.latethistle.media.ColourPictures;
import app.latethistle.media.ColourPng;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Brings a shot's colours to those of a key shot. */
@Command(
    name = "match",
    description = "Brings a picture's or clip's colours to those of a key shot; says how, as JSON.")
final class MatchCommand implements Callable<Integer> {
  /** Pictures of a clip that are looked at. */
  private static final int LOOKED_AT = 3;

  private static final int CUBE = 33;

  @Spec private CommandSpec spec;

  @Option(names = "--key", required = true, paramLabel = "FILE", description = "The key shot.")
  private Path key;

  @Option(names = "--shot", required = true, paramLabel = "FILE", description = "What is matched.")
  private Path shot;

  @Option(
      names = "--out",
      paramLabel = "FILE.png",
      description = "The matched picture; of a clip the one in its middle.")
  private Path out;

  @Option(
      names = "--cdl",
      paramLabel = "FILE.cdl|FILE.cc",
      description = "The nearest colour decision list (ASC CDL 1.2).")
  private Path cdl;

  @Option(names = "--cube", paramLabel = "FILE.cube", description = "The match as a table.")
  private Path cube;

  @Override
  public Integer call() throws IOException {
    if (out != null && !out.toString().toLowerCase(Locale.ROOT).endsWith(".png")) {
      throw new ParameterException(
          spec.commandLine(), "--out: a picture leaves as PNG; name it like matched.png.");
    }
    List<ColourPicture> wanted = read(key);
    List<ColourPicture> pictures = read(shot);
    Match match = Match.between(wanted, pictures);
    Grading grading = Grading.of(match.correction());
    if (out != null) {
      Files.write(out, ColourPng.of(pictures.get(pictures.size() / 2).graded(grading)));
    }
    if (cdl != null) {
      Cdl list = NearestList.of(grading, pictures);
      String id = shot.getFileName().toString();
      boolean alone = cdl.toString().toLowerCase(Locale.ROOT).endsWith(".cc");
      Files.writeString(cdl, alone ? CdlText.correction(id, list) : CdlText.decision(id, list));
    }
    if (cube != null) {
      Files.writeString(cube, CubeText.of(shot.getFileName().toString(), grading, CUBE));
    }
    Thistle.print(spec, said(match));
    return 0;
  }

  private static List<ColourPicture> read(Path file) throws IOException {
    return KnownFile.with(file, facts -> ColourPictures.read(file, facts, LOOKED_AT));
  }

  private Map<String, Object> said(Match match) {
    Correction correction = match.correction();
    Basics five = correction.basics();
    Map<String, Object> said = new LinkedHashMap<>();
    said.put("shot", shot.toString());
    said.put("foundFrom", match.by());
    said.put("exposure", five.exposure() / 100.0);
    said.put("contrast", five.contrast());
    said.put("warmth", five.warmth());
    said.put("tint", five.tint());
    said.put("saturation", five.saturation());
    said.put("cdl", correction.cdl());
    return said;
  }
}
