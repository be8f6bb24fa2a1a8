package app.latethistle.core.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;
import org.junit.jupiter.api.Test;

class CueSheetTest {
  @Test
  void saysWhatIsHeardWhen() {
    List<CueSheet.Cue> cues =
        List.of(
            new CueSheet.Cue("music", "Slow, \"bellows\"", new FrameRange(0, 1_440), "band", ""),
            new CueSheet.Cue("sound", "=bell", new FrameRange(24, 36), "own", "CC0"));
    assertThat(CueSheet.of(cues, FrameRate.FPS_24))
        .isEqualTo(
            "kind,title,from,to,seconds,source,rights\r\n"
                + "music,\"Slow, \"\"bellows\"\"\",00:00:00:00,00:01:00:00,60.000,band,\r\n"
                + "sound,'=bell,00:00:01:00,00:00:01:12,0.500,own,CC0\r\n");
  }
}
