package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProbeTest {
  @TempDir Path folder;

  private Path made(String name, String... arguments) throws IOException {
    Path file = folder.resolve(name);
    String[] all = Arrays.copyOf(arguments, arguments.length + 1);
    all[arguments.length] = file.toString();
    Ffmpeg.run(all);
    return file;
  }

  @ParameterizedTest
  @CsvSource({
    "clip.mp4, MP4, libx264",
    "clip.mov, MP4, libx264",
    "clip.mkv, MATROSKA, libx264",
    "clip.webm, MATROSKA, libvpx-vp9",
    "clip.gif, GIF, gif"
  })
  void knowsClips(String name, Container container, String codec) throws IOException {
    Path file = made(name, "-f", "lavfi", "-i", "testsrc=s=160x90:r=25:d=2", "-c:v", codec);
    MediaFacts facts = Probe.probe(file);
    assertThat(facts.kind()).isEqualTo(MediaFacts.Kind.CLIP);
    assertThat(facts.container()).isEqualTo(container);
    assertThat(facts.rate()).contains(FrameRate.of(25, 1));
    assertThat(facts.seconds()).isCloseTo(2, within(0.05));
    assertThat(facts.framesAt(FrameRate.FPS_24)).isBetween(47L, 49L);
    assertThat(facts.shape()).contains(PictureShape.of(160, 90));
    assertThat(facts.sound()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"a.wav, WAV", "a.flac, FLAC", "a.mp3, MP3", "a.ogg, OGG", "a.m4a, MP4"})
  void knowsSounds(String name, Container container) throws IOException {
    MediaFacts facts = Probe.probe(made(name, "-f", "lavfi", "-i", "sine=d=3"));
    assertThat(facts.kind()).isEqualTo(MediaFacts.Kind.SOUND);
    assertThat(facts.container()).isEqualTo(container);
    assertThat(facts.seconds()).isCloseTo(3, within(0.1));
    assertThat(facts.shape()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"a.png, PNG", "a.jpg, JPEG", "a.webp, WEBP"})
  void knowsStills(String name, Container container) throws IOException {
    Path file = made(name, "-f", "lavfi", "-i", "testsrc=s=160x90", "-frames:v", "1");
    MediaFacts facts = Probe.probe(file);
    assertThat(facts.kind()).isEqualTo(MediaFacts.Kind.STILL);
    assertThat(facts.container()).isEqualTo(container);
    assertThat(facts.framesAt(FrameRate.FPS_24)).isEqualTo(120);
    try (ClipReader reader =
        ClipReader.open(file, facts, FrameRate.FPS_24, new FrameRange(50, 53))) {
      byte[] first = reader.next().data().clone();
      assertThat(reader.next().data()).isEqualTo(first);
    }
  }

  @ParameterizedTest
  @CsvSource({"8000, 8000, 4096, 4096", "9000, 3000, 4096, 1364", "2500, 10000, 1024, 4096"})
  void largeStillsAreBroughtToAWorkableSize(int w, int h, int to, int high) throws IOException {
    String size = "color=teal:s=" + w + "x" + h;
    Path file = made("large.png", "-f", "lavfi", "-i", size, "-frames:v", "1");
    MediaFacts facts = Probe.probe(file);
    assertThat(facts.shape()).contains(PictureShape.of(w, h));
    assertThat(StillPicture.isLarge(facts)).isTrue();
    Path small = folder.resolve("small.png");
    Files.write(small, StillPicture.reduced(file, facts));
    MediaFacts now = Probe.probe(small);
    assertThat(now.shape()).contains(PictureShape.of(to, high));
    assertThat(StillPicture.isLarge(now)).isFalse();
  }

  @Test
  void stillsOfMoreThanAHundredMegapixelsAreRefusedWithTheirSize() throws IOException {
    String size = "color=teal:s=11000x10000";
    Path file = made("huge.png", "-f", "lavfi", "-i", size, "-frames:v", "1");
    assertThatThrownBy(() -> Probe.probe(file))
        .isInstanceOf(RefusedMedia.class)
        .hasMessageContaining("110 million pixels; a still may have up to 100");
  }

  @Test
  void turnsPicturesUpright() throws IOException {
    Path flat = made("flat.mp4", "-f", "lavfi", "-i", "testsrc=s=160x90:d=1");
    Path turned =
        made("turned.mp4", "-i", flat.toString(), "-c", "copy", "-metadata:s:v", "rotate=90");
    MediaFacts facts = Probe.probe(turned);
    assertThat(facts.rotation()).isIn(90, 270);
    assertThat(facts.shape()).contains(PictureShape.of(90, 160));
    try (ClipReader reader =
        ClipReader.open(turned, facts, FrameRate.FPS_24, new FrameRange(0, 1))) {
      Frame frame = reader.next();
      assertThat(frame.width()).isEqualTo(90);
      assertThat(frame.height()).isEqualTo(160);
    }
  }

  @Test
  void countsThePixelsShape() throws IOException {
    Path file = made("wide.mp4", "-f", "lavfi", "-i", "testsrc=s=120x90:d=1", "-vf", "setsar=4/3");
    assertThat(Probe.probe(file).shape().orElseThrow().aspect()).isCloseTo(16 / 9.0, within(0.001));
  }

  @ParameterizedTest
  @CsvSource({
    "'', empty",
    "hello, not a clip",
    "'#EXTM3U\n#EXTINF:1,\nfile:///etc/passwd\n', not a clip",
    "'ffconcat version 1.0\nfile /etc/passwd\n', not a clip",
    "'<?xml version=\"1.0\"?><MPD><BaseURL>/etc/passwd</BaseURL></MPD>', not a clip",
    "'%PDF-1.7 and more that is long enough', not a clip",
  })
  void refusesWhatIsNoMediumWhateverItsNameSays(String text, String reason) throws IOException {
    Path file = Files.writeString(folder.resolve("claims.mp4"), text);
    assertThatExceptionOfType(RefusedMedia.class)
        .isThrownBy(() -> Probe.probe(file))
        .withMessageContaining(reason);
  }

  @Test
  void refusesFilesThatAreCutShort() throws IOException {
    Path whole = Numbered.clip(folder.resolve("whole.mp4"), 100, FrameRate.FPS_24);
    byte[] bytes = Files.readAllBytes(whole);
    for (double part : new double[] {0.3, 0.6, 0.95}) {
      Path cut = folder.resolve("cut.mp4");
      Files.write(cut, Arrays.copyOf(bytes, (int) (bytes.length * part)));
      assertThatExceptionOfType(RefusedMedia.class)
          .isThrownBy(
              () -> {
                MediaFacts facts = Probe.probe(cut);
                Path proxy = folder.resolve("cut.proxy");
                ProxyFile.make(cut, facts, FrameRate.FPS_24, proxy, done -> {});
              })
          .withMessageContaining("cut short");
    }
  }

  @Test
  void refusesAHeadWithoutABody() throws IOException {
    for (String head : List.of("\0\0\0\u0018ftypisom", "RIFF\0\0\0\0WAVEfmt ", "OggS", "fLaC")) {
      Path file = folder.resolve("head.bin");
      Files.write(file, head.getBytes(StandardCharsets.ISO_8859_1));
      assertThatExceptionOfType(RefusedMedia.class).isThrownBy(() -> Probe.probe(file));
    }
  }

  @Test
  void aPictureThatClaimsToBeHugeEndsItsOwnProcessOnly() throws IOException {
    byte[] png =
        Files.readAllBytes(
            made("small.png", "-f", "lavfi", "-i", "testsrc=s=64x64", "-frames:v", "1"));
    // IHDR: width and height stand at bytes 16 and 20, its checksum at 29.
    ByteBuffer.wrap(png).putInt(16, 60_000).putInt(20, 60_000);
    java.util.zip.CRC32 crc = new java.util.zip.CRC32();
    crc.update(png, 12, 17);
    ByteBuffer.wrap(png).putInt(29, (int) crc.getValue());
    Path file = Files.write(folder.resolve("huge.png"), png);
    assertThatExceptionOfType(RefusedMedia.class).isThrownBy(() -> Probe.probe(file));
  }

  @Test
  void aPlaylistInsideAContainerReachesNoOtherFile() throws IOException {
    Path secret = Numbered.clip(folder.resolve("secret.mp4"), 10, FrameRate.FPS_24);
    Path list = folder.resolve("list.mp4");
    Files.writeString(list, "#EXTM3U\n#EXT-X-TARGETDURATION:1\n#EXTINF:1,\n" + secret + "\n");
    assertThatExceptionOfType(RefusedMedia.class).isThrownBy(() -> Probe.probe(list));
  }
}
