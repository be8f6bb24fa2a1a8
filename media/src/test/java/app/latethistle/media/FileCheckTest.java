package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.check.Check;
import app.latethistle.core.check.FileChecks;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files with one fault each, and the same without; the figures are ffmpeg's own. */
class FileCheckTest {
  private static final String MOVING =
      "testsrc2=s=640x360:r=24:d=6,hue=s=0.5,scroll=horizontal=0.005";
  private static final String SOUND = "sine=f=220:d=6,volume=0.2,aformat=channel_layouts=stereo";

  @TempDir private Path folder;

  private Path made(String picture, String sound) throws IOException {
    Path file = folder.resolve("made.mkv");
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-v", "error", "-y"));
    command.addAll(List.of("-f", "lavfi", "-i", picture, "-f", "lavfi", "-i", sound));
    command.addAll(List.of("-c:v", "libx264", "-preset", "veryfast", "-crf", "18"));
    command.addAll(VideoEncoder.output());
    command.addAll(List.of("-c:a", "flac", file.toString()));
    Child.output(command, 60);
    return file;
  }

  private static List<Finding> faults(Path file) throws IOException {
    return FileCheck.of(file, FileChecks.Wanted.ANYTHING).findings().stream()
        .filter(f -> f.verdict() != Verdict.FINE)
        .toList();
  }

  /** What one of ffmpeg's filters prints of a file. */
  private static String log(Path file, String kind, String filter) throws IOException {
    try (Child child =
        Child.start(
            List.of(
                "ffmpeg", "-nostdin", "-i", file.toString(), kind, filter, "-f", "null", "-"))) {
      child.stdout().readAllBytes();
      child.waitFor();
      return child.errorText();
    }
  }

  /** The ranges that it prints, in seconds. */
  private static List<double[]> said(Path file, String kind, String filter, String name)
      throws IOException {
    String log = log(file, kind, filter);
    List<Double> starts = numbers(log, name + "_start: ?([0-9.]+)");
    List<Double> ends = numbers(log, name + "_end: ?([0-9.]+)");
    List<double[]> ranges = new ArrayList<>();
    for (int i = 0; i < Math.min(starts.size(), ends.size()); i++) {
      ranges.add(new double[] {starts.get(i), ends.get(i)});
    }
    return ranges;
  }

  private static List<Double> numbers(String log, String pattern) {
    return Pattern.compile(pattern)
        .matcher(log)
        .results()
        .map((MatchResult m) -> Double.valueOf(m.group(1)))
        .toList();
  }

  private static void agrees(List<Finding> found, Check check, List<double[]> other) {
    List<Finding> ours = found.stream().filter(f -> f.check() == check).toList();
    assertThat(ours).hasSameSizeAs(other).isNotEmpty();
    for (int i = 0; i < other.size(); i++) {
      assertThat(ours.get(i).at().orElseThrow().start() / 24.0)
          .isCloseTo(other.get(i)[0], within(0.06));
      assertThat(ours.get(i).at().orElseThrow().end() / 24.0)
          .isCloseTo(other.get(i)[1], within(0.06));
    }
  }

  @Test
  void aGoodFileHasNoFault() throws IOException {
    Path file = made(MOVING, SOUND);
    assertThat(faults(file)).isEmpty();
    FileCheck check = FileCheck.of(file, FileChecks.Wanted.ANYTHING);
    assertThat(check.passes()).isTrue();
    assertThat(check.report()).contains("144 frames, picture and sound 6.000 s");
  }

  /** Against blackdetect. */
  @Test
  void blackIsFoundWhereFfmpegFindsIt() throws IOException {
    Path file = made(MOVING + ",drawbox=t=fill:c=black:enable='between(t,2,3)'", SOUND);
    agrees(faults(file), Check.BLACK, said(file, "-vf", "blackdetect=d=0.08:pix_th=0.02", "black"));
  }

  /** Against freezedetect, which of this file says only where it begins. */
  @Test
  void aFrozenPictureIsFoundWhereFfmpegFindsIt() throws IOException {
    Path file = made(MOVING + ",loop=loop=30:size=1:start=60,trim=end=6", SOUND);
    double start =
        numbers(log(file, "-vf", "freezedetect=n=0.001:d=0.5"), "freeze_start: ([0-9.]+)").get(0);
    List<Finding> found = faults(file).stream().filter(f -> f.check() == Check.FROZEN).toList();
    FrameRange at = found.get(0).at().orElseThrow();
    assertThat(found).hasSize(1);
    assertThat(at.start() / 24.0).isCloseTo(start, within(0.06));
    // The picture 60 and 30 repeats of it.
    assertThat(at.end()).isBetween(90L, 91L);
  }

  /** Against silencedetect. */
  @Test
  void silenceIsFoundWhereFfmpegFindsIt() throws IOException {
    Path file = made(MOVING, SOUND + ",volume=0:enable='between(t,2,3.5)'");
    agrees(
        faults(file), Check.SILENCE, said(file, "-af", "silencedetect=n=-60dB:d=0.5", "silence"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      quoteCharacter = '"',
      value = {
        "FLASHES; drawbox=t=fill:c=white:enable='lt(mod(t,0.2),0.1)'",
        "LEVELS; lutyuv=y=252",
        "REPEATED; fps=12,fps=24"
      })
  void aFaultOfThePictureIsFound(Check check, String filter) throws IOException {
    assertThat(faults(made(MOVING + "," + filter, SOUND)))
        .anyMatch(f -> f.check() == check, check.name());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      quoteCharacter = '"',
      value = {
        "PEAK; volume=60",
        "CLICKS; aeval='val(0)+if(eq(n,100000),0.6)|val(1)+if(eq(n,100000),0.6)'",
        "LENGTH; atrim=end=5"
      })
  void aFaultOfTheSoundIsFound(Check check, String filter) throws IOException {
    assertThat(faults(made(MOVING, SOUND + "," + filter)))
        .anyMatch(f -> f.check() == check, check.name());
  }

  @Test
  void aLoudnessThatWasMissedIsTold() throws IOException {
    FileChecks.Wanted wanted =
        new FileChecks.Wanted(Optional.of(145L), List.of(), List.of(), Optional.of(-14.0), -1);
    FileCheck check = FileCheck.of(made(MOVING, SOUND), wanted);
    assertThat(check.inWords(Verdict.MUST)).contains("144 frames, not 145").contains("-14.0 LUFS");
  }
}
