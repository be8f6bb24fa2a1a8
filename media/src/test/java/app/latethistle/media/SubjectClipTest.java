package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.look.Mask.Spot;
import app.latethistle.core.subject.Guide;
import app.latethistle.core.subject.Stroke;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Subjects are cut out of files as they come, and what is written is read by Debian's ffmpeg. */
class SubjectClipTest {
  private static final int WIDE = 160;
  private static final int HIGH = 90;
  private static final Guide GUIDE =
      new Guide(0, List.of(Stroke.around(new Spot(80, 150), new Spot(420, 850))));

  @TempDir Path folder;
  private Path target;

  @BeforeEach
  void name() {
    target = folder.resolve("subject");
  }

  /** An orange square that goes to the right before grey noise, two pixels with each picture. */
  private Path clip(String name, String... how) throws IOException {
    Path file = folder.resolve(name);
    String picture =
        "nullsrc=s=160x90:r=24:d=0.5,format=yuv444p,"
            + "geq=lum='if(between(X-2*N,20,59)*between(Y,20,69),150,70+30*random(1))'"
            + ":cb='if(between(X-2*N,20,59)*between(Y,20,69),60,128)'"
            + ":cr='if(between(X-2*N,20,59)*between(Y,20,69),190,128)'";
    String[] ends = {file.toString()};
    String[] begins = {"-f", "lavfi", "-i", picture};
    String[] all = new String[begins.length + how.length + 1];
    System.arraycopy(begins, 0, all, 0, begins.length);
    System.arraycopy(how, 0, all, begins.length, how.length);
    System.arraycopy(ends, 0, all, all.length - 1, 1);
    Ffmpeg.run(all);
    return file;
  }

  @Test
  void ofAClipEveryPictureSaysWhereItIs() throws IOException {
    Path clip = clip("moving.mp4", "-c:v", "libx264", "-pix_fmt", "yuv420p");
    SubjectClip.make(
        clip, Probe.probe(clip), FrameRate.FPS_24, List.of(GUIDE), target, share -> {});
    List<byte[]> luma = Ffmpeg.luma(target, WIDE, HIGH);
    assertThat(luma).hasSize(12);
    for (int n : new int[] {0, 11}) {
      assertThat(found(luma.get(n), 20 + 2 * n)).as("picture %d", n).isGreaterThan(0.97);
    }
  }

  @Test
  void aStillHasOne() throws IOException {
    Path still = clip("still.png", "-frames:v", "1");
    SubjectClip.make(
        still, Probe.probe(still), FrameRate.FPS_24, List.of(GUIDE), target, share -> {});
    List<byte[]> luma = Ffmpeg.luma(target, WIDE, HIGH);
    assertThat(luma).hasSize(1);
    assertThat(found(luma.get(0), 20)).isGreaterThan(0.97);
    assertThat(Probe.probe(target).kind()).isEqualTo(MediaFacts.Kind.STILL);
  }

  /** The share of pixels that are said to be in a square, or not, as they are. */
  private static double found(byte[] luma, int left) {
    int right = 0;
    for (int i = 0; i < luma.length; i++) {
      int x = i % WIDE;
      int y = i / WIDE;
      boolean in = x >= left && x < left + 40 && y >= 20 && y < 70;
      right += (luma[i] & 0xff) > 127 == in ? 1 : 0;
    }
    return (double) right / luma.length;
  }

  @Test
  void whatCannotBeDoneIsSaid() throws IOException {
    Path clip = clip("moving.mp4", "-c:v", "libx264", "-pix_fmt", "yuv420p");
    MediaFacts facts = Probe.probe(clip);
    Guide beyond = new Guide(99, GUIDE.strokes());
    assertThatThrownBy(
            () ->
                SubjectClip.make(
                    clip, facts, FrameRate.FPS_24, List.of(beyond), target, share -> {}))
        .isInstanceOf(RefusedMedia.class)
        .hasMessage("There is no picture 100 in it; it has 12 frames.");
    Path longer = folder.resolve("longer.mp4");
    Ffmpeg.run("-f", "lavfi", "-i", "color=s=16x16:r=24:d=40", longer.toString());
    MediaFacts itsFacts = Probe.probe(longer);
    assertThatThrownBy(
            () ->
                SubjectClip.make(
                    longer, itsFacts, FrameRate.FPS_24, List.of(GUIDE), target, share -> {}))
        .hasMessageContaining("has 960 frames; a subject is followed over 900");
  }
}
