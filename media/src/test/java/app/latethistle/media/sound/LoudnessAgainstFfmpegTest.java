package app.latethistle.media.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.media.Container;
import app.latethistle.media.Ffmpeg;
import app.latethistle.media.SoundMeasure;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A file's loudness, range and true peak as ffmpeg's ebur128 reads them. */
class LoudnessAgainstFfmpegTest {
  @TempDir Path folder;

  @ParameterizedTest
  @ValueSource(
      strings = {
        "aevalsrc=0.4*sin(440*2*PI*t)*(0.2+0.8*abs(sin(t/2)))|0.3*sin(443*2*PI*t):d=14",
        "anoisesrc=d=12:c=pink:a=0.5:seed=3,tremolo=f=0.2:d=0.9,aformat=channel_layouts=stereo",
        "aevalsrc=0.9*sin(9000*2*PI*t+1)*exp(-6*mod(t\\,1))|0.8*sin(12000*2*PI*t+0.8)*exp(-4*mod(t\\,1)):d=10"
      })
  void areTheSame(String source) throws IOException, InterruptedException {
    Path file = folder.resolve("sound.wav");
    Ffmpeg.run("-f", "lavfi", "-i", source, "-ar", "48000", "-c:a", "pcm_f32le", file.toString());
    SoundMeasure ours = SoundMeasure.of(file, Container.of(file));
    Process process =
        new ProcessBuilder(
                "ffmpeg",
                "-nostdin",
                "-hide_banner",
                "-i",
                file.toString(),
                "-filter:a",
                "ebur128=peak=true",
                "-f",
                "null",
                "-")
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor()).isZero();
    String summary = said.substring(said.lastIndexOf("Summary:"));
    assertThat(ours.integrated()).isCloseTo(read("I: +(-?[\\d.]+) LUFS", summary), within(0.1));
    assertThat(ours.range()).isCloseTo(read("LRA: +([\\d.]+) LU\\s", summary), within(0.3));
    assertThat(ours.truePeak()).isCloseTo(read("Peak: +(-?[\\d.]+) dBFS", summary), within(0.2));
  }

  private static double read(String pattern, String text) {
    Matcher matcher = Pattern.compile(pattern).matcher(text);
    assertThat(matcher.find()).as("%s in %s", pattern, text).isTrue();
    return Double.parseDouble(matcher.group(1));
  }
}
