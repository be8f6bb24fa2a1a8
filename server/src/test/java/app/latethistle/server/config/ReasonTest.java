package app.latethistle.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.NoSuchFileException;
import org.junit.jupiter.api.Test;

class ReasonTest {
  @Test
  void aPersonIsToldWhyAndNotWhereOnTheMachine() {
    assertThat(Reason.of(new IOException("There is no picture in this file.")))
        .isEqualTo("There is no picture in this file.");
    assertThat(Reason.of(new IOException("/var/lib/late-thistle/store/x.mp4: Invalid data")))
        .isEqualTo("a file: Invalid data");
    assertThat(Reason.of(new NoSuchFileException("/var/lib/late-thistle/store/x.mp4")))
        .contains("missing")
        .doesNotContain("/");
    assertThat(Reason.of(new IOException("write failed: No space left on device")))
        .contains("disk is full");
    assertThat(Reason.of(new OutOfMemoryError("Java heap space"))).contains("not enough memory");
    assertThat(Reason.of(new IllegalStateException())).contains("IllegalStateException");
    assertThat(Reason.of(new IOException("first\nsecond"))).isEqualTo("first");
    assertThat(Reason.of(null)).isNotEmpty();
  }

  @Test
  void aLongListIsCutToWhatIsKept() {
    assertThat(Reason.within("short", 10)).isEqualTo("short");
    assertThat(Reason.within("x".repeat(5000), 2000)).hasSize(2000).endsWith(" …");
    assertThat(Reason.within(null, 10)).isNull();
  }
}
