package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Level;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Quality;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** True peaks of files as they leave, read by ffmpeg's ebur128: encoders raise them. */
class DeliveredPeaksTest {
  private static final int SECONDS = 8;
  private static final double CEILING = -1;

  /** What ffmpeg prints is rounded to a tenth, and its filter of peaks is another than ours. */
  private static final double READ = 0.1;

  @TempDir Path folder;
  private SoundFiles sounds;
  private Mix loud;

  @BeforeEach
  void make() throws IOException {
    Path song = folder.resolve("song.wav");
    Ffmpeg.run(
        "-f",
        "lavfi",
        "-i",
        "anoisesrc=d=" + SECONDS + ":c=pink:a=0.7:seed=8,tremolo=f=3:d=0.95",
        "-ac",
        "2",
        "-ar",
        "48000",
        song.toString());
    sounds = new SoundFiles(folder, media -> new SoundFiles.File(song, Container.WAV));
    SampleRange all = SampleRange.ofLength(0, 48_000L * SECONDS);
    Part part = new Part(Bus.MUSIC, "song", all, new Course.Straight(0), 0);
    loud = new Mix(List.of(part), all.length(), 0).with(new Level(14, CEILING));
  }

  private static double peak(Path file) throws IOException {
    ProcessBuilder command =
        new ProcessBuilder("ffmpeg", "-nostdin", "-hide_banner", "-i", file.toString());
    command.command().addAll(List.of("-filter:a", "ebur128=peak=true", "-f", "null", "-"));
    Process process = command.redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    Matcher peak =
        Pattern.compile("Peak: +(-?[\\d.]+) dBFS")
            .matcher(said.substring(said.lastIndexOf("Summary:")));
    assertThat(peak.find()).isTrue();
    return Double.parseDouble(peak.group(1));
  }

  @ParameterizedTest
  @EnumSource(names = {"WAV", "MP3", "OPUS", "FLAC"})
  void soundAloneKeepsUnderItsCeiling(Encoding encoding) throws IOException {
    Path flac = folder.resolve("sound.flac");
    OutputFile.writeSound(encoding, by -> SoundEncoder.lowered(loud, by), sounds, flac);
    Path file = folder.resolve("out" + encoding.suffix());
    new OutputFile(
            encoding,
            Quality.STANDARD,
            Optional.empty(),
            FrameRate.FPS_24,
            24L * SECONDS,
            Tags.NONE)
        .write(Optional.empty(), Optional.of(flac), file, MasterRender.Progress.NOBODY);
    assertThat(peak(file)).isBetween(CEILING - 1, CEILING + READ);
  }

  @Test
  void anEncodersPeaksAreKeptUnderTheCeilingToo() throws IOException {
    Path file = folder.resolve("out.m4a");
    SoundEncoder.m4a(loud, sounds, file);
    assertThat(peak(file)).isBetween(CEILING - 1, CEILING + READ);
    // Without that they are over it.
    Path flac = folder.resolve("sound.flac");
    SoundEncoder.flac(loud, sounds, flac);
    Path plainly = folder.resolve("plainly.m4a");
    Ffmpeg.run("-i", flac.toString(), "-c:a", "aac", "-b:a", "256k", plainly.toString());
    assertThat(peak(plainly)).isGreaterThan(CEILING + READ);
  }
}
