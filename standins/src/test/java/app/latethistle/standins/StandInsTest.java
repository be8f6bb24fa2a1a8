package app.latethistle.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.BeatTracker;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Container;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.SongDecoder;
import app.latethistle.standins.band.HouseBand;
import app.latethistle.standins.demo.NightPost;
import app.latethistle.standins.painter.Clip;
import app.latethistle.standins.painter.Scene;
import app.latethistle.standins.painter.ScenePainter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class StandInsTest {
  private static Frame draw(Clip clip, long index) {
    Frame frame = new Frame(clip.width(), clip.height());
    ScenePainter.draw(clip, index, frame);
    return frame;
  }

  @ParameterizedTest
  @EnumSource(Scene.class)
  void aSceneIsTheSameForTheSameSeedAndIsNoPlainPicture(Scene scene) {
    Clip clip = Clip.of(scene, 7).size(160, 90);
    byte[] first = draw(clip, 10).data();
    assertThat(draw(clip, 10).data()).isEqualTo(first);
    int distinct = 0;
    boolean[] seen = new boolean[256];
    for (int i = 0; i < 160 * 90; i++) {
      if (!seen[first[i] & 255]) {
        seen[first[i] & 255] = true;
        distinct++;
      }
    }
    assertThat(distinct).isGreaterThan(20);
  }

  @Test
  void aStormIsHeardAndRoofsAreNot(@TempDir Path folder) throws IOException {
    Path storm = folder.resolve("storm.mp4");
    paint(Scene.STORM, storm);
    float[] heard = SongDecoder.mono(storm, Container.MP4).samples();
    double power = 0;
    for (float sample : heard) {
      power += sample * sample;
    }
    assertThat(Math.sqrt(power / heard.length)).isBetween(0.02, 0.5);
    Path roofs = folder.resolve("roofs.mp4");
    paint(Scene.SUNKEN_ROOFS, roofs);
    assertThatThrownBy(() -> SongDecoder.mono(roofs, Container.MP4))
        .isInstanceOf(RefusedMedia.class);
  }

  private static void paint(Scene scene, Path file) throws IOException {
    ScenePainter.paint(Clip.of(scene, 7).size(64, 36).at(FrameRate.FPS_24, 1), file);
  }

  @Test
  void theDemoHasTheMixThatGeneratedClipsHave() {
    List<Clip> clips = List.copyOf(NightPost.clips().values());
    assertThat(clips).hasSizeGreaterThanOrEqualTo(24);
    assertThat(Gathering.of(NightPost.clips().keySet())).hasSizeGreaterThanOrEqualTo(16);
    assertThat(clips.stream().map(c -> c.width() + "x" + c.height()).collect(Collectors.toSet()))
        .hasSizeGreaterThanOrEqualTo(3);
    assertThat(clips.stream().map(Clip::rate).collect(Collectors.toSet()))
        .hasSizeGreaterThanOrEqualTo(3);
    assertThat(clips).filteredOn(c -> c.width() == c.height()).hasSize(1);
  }

  @Test
  void theBandKeepsItsTempo() {
    float[] stereo = HouseBand.slowBellows();
    float[] mono = new float[stereo.length / 2];
    for (int i = 0; i < mono.length; i++) {
      mono[i] = (stereo[2 * i] + stereo[2 * i + 1]) / 2;
    }
    BeatGrid grid = BeatTracker.track(new MonoSound(mono, 48_000));
    assertThat(grid.bpm()).isBetween(HouseBand.BPM - 0.5, HouseBand.BPM + 0.5);
    assertThat(grid.beatsPerBar()).isEqualTo(4);
    float loudest = 0;
    for (float sample : stereo) {
      loudest = Math.max(loudest, Math.abs(sample));
    }
    assertThat(loudest).isBetween(0.3f, 1.0f);
  }
}
