package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every frame of the film shows the picture that is on screen at its time, from any start. */
class ExactFramesTest {
  private static final FrameRate FILM = FrameRate.FPS_24;

  @TempDir Path folder;

  private static List<Integer> numbers(Path file, MediaFacts facts, FrameRange range)
      throws IOException {
    List<Integer> numbers = new ArrayList<>();
    try (ClipReader reader = ClipReader.open(file, facts, FILM, range)) {
      for (long f = range.start(); f < range.end(); f++) {
        numbers.add(Numbered.read(reader.next()));
      }
    }
    return numbers;
  }

  /** The number of the picture nearest before a film's frame, when pictures are placed nearest. */
  private static int expected(long frame, FrameRate clip, int count) {
    int shown = 0;
    for (int k = 0; k < count; k++) {
      if (Math.round(k * FILM.perSecond() / clip.perSecond()) <= frame) {
        shown = k;
      }
    }
    return shown;
  }

  @ParameterizedTest
  @CsvSource({
    "24, mp4",
    "24000/1001, mp4",
    "25, mp4",
    "30, mp4",
    "12, mp4",
    "8, mp4",
    "30, webm",
    "24, webm"
  })
  void readsByTimeAtEveryRate(String written, String ending) throws IOException {
    FrameRate rate = FrameRate.parse(written);
    int count = 100;
    Path file = Numbered.clip(folder.resolve("clip." + ending), count, rate);
    MediaFacts facts = Probe.probe(file);
    assertThat(facts.rate()).contains(rate);
    assertThat(facts.variable()).isFalse();
    long length = facts.framesAt(FILM);
    for (long start : new long[] {0, 1, 17, length / 2, length - 6}) {
      FrameRange range = new FrameRange(start, Math.min(length, start + 6));
      List<Integer> wanted = new ArrayList<>();
      for (long f = range.start(); f < range.end(); f++) {
        wanted.add(expected(f, rate, count));
      }
      assertThat(numbers(file, facts, range)).as("from %d", start).isEqualTo(wanted);
    }
  }

  @Test
  void readsVariableRatesByTime() throws IOException {
    Path even = Numbered.clip(folder.resolve("even.mp4"), 96, FILM);
    Path varied = folder.resolve("varied.mp4");
    // Leaves out most pictures of the second second: a picture stays until the next one comes.
    Ffmpeg.run(
        "-i",
        even.toString(),
        "-vf",
        "select='not(between(n,24,47))+not(mod(n,6))'",
        "-fps_mode",
        "vfr",
        "-c:v",
        "libx264",
        varied.toString());
    MediaFacts facts = Probe.probe(varied);
    assertThat(facts.variable()).isTrue();
    assertThat(numbers(varied, facts, new FrameRange(22, 50)))
        .startsWith(22, 23, 24, 24, 24, 24, 24, 24, 30)
        .endsWith(42, 42, 48, 49);
  }

  @Test
  void theLightCopyShowsTheSamePictures() throws IOException {
    FrameRate rate = FrameRate.of(25, 1);
    Path file = Numbered.clip(folder.resolve("clip.mp4"), 100, rate);
    MediaFacts facts = Probe.probe(file);
    Path proxy = folder.resolve("clip.proxy");
    List<Long> told = new ArrayList<>();
    long frames = ProxyFile.make(file, facts, FILM, proxy, told::add);
    assertThat(frames).isEqualTo(96);
    assertThat(told).isNotEmpty().isSorted();
    ProxyFile open = ProxyFile.open(proxy, ProxyFile.shapeOf(facts.shape().orElseThrow()));
    assertThat(open.frames()).isEqualTo(96);
    for (long f = 0; f < 96; f += 7) {
      assertThat(Numbered.read(open.frame(f))).isEqualTo(expected(f, rate, 100));
    }
  }
}
