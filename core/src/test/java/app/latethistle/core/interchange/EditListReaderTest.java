package app.latethistle.core.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Timecode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A cut that another program wrote. */
class EditListReaderTest {
  private static final FrameRate FPS = FrameRate.FPS_24;

  /** A cut of plain speed, gaps among it, dissolves with their middles on the cuts. */
  private static PieceList random(long seed) {
    Random random = new Random(seed);
    List<PieceList.Piece> pieces = new ArrayList<>();
    long at = 0;
    for (int i = 0; i < 8; i++) {
      long length = 24L + random.nextInt(60);
      boolean shotBefore = i > 0 && pieces.get(i - 1).file().isPresent();
      boolean gap = shotBefore && i < 7 && random.nextInt(5) == 0;
      long mixed = !gap && shotBefore && random.nextInt(2) == 0 ? 2L * (1 + random.nextInt(6)) : 0;
      long from = gap ? 0 : 20L + random.nextInt(40);
      pieces.add(
          new PieceList.Piece(
              gap ? "gap" : "shot" + i + ".mp4",
              gap ? Optional.empty() : Optional.of(NamedFile.of("shot" + i + ".mp4")),
              gap ? length : from + length,
              FrameRange.ofLength(from, length),
              FrameRange.ofLength(at, length),
              100,
              FrameRange.ofLength(at - mixed / 2, mixed)));
      at += length;
    }
    return new PieceList("NIGHT POST", FPS, pieces, List.of(new PieceList.Mark(5, "here")));
  }

  @Test
  void whatIsWrittenIsReadBack() {
    for (long seed = 0; seed < 200; seed++) {
      PieceList cut = random(seed);
      ReadCut read = EditListReader.read(EditList.of(cut), FPS);
      assertThat(read.unread()).isEmpty();
      assertThat(read.cut()).as("seed %d", seed).isEqualTo(cut);
    }
  }

  @Test
  void labelsAndFramesAgreeAtEveryRate() {
    Random random = new Random(7);
    for (FrameRate rate :
        List.of(FPS, FrameRate.of(25, 1), FrameRate.of(24_000, 1001), FrameRate.of(30_000, 1001))) {
      for (int i = 0; i < 2000; i++) {
        long frame = random.nextInt(3_000_000);
        assertThat(Timecode.frameOf(Timecode.of(frame, rate).toString(), rate)).isEqualTo(frame);
      }
    }
    assertThatThrownBy(() -> Timecode.frameOf("00:01:00;00", FrameRate.of(30_000, 1001)))
        .hasMessageContaining("is dropped");
    assertThatThrownBy(() -> Timecode.frameOf("00:00:00:24", FPS)).isInstanceOf(Refused.class);
  }

  @Test
  void whatIsNotUnderstoodIsToldByItsLine() {
    String list =
        """
        TITLE: REEL
        FCM: NON-DROP FRAME

        001  TAPE1    V     C        00:00:10:00 00:00:12:00 01:00:00:00 01:00:02:00
        002  TAPE1    A     C        00:00:10:00 00:00:12:00 01:00:00:00 01:00:02:00
        003  TAPE2    V     W001 012 00:00:01:00 00:00:03:00 01:00:03:00 01:00:05:00
        M2   TAPE2    048.0                00:00:01:00
        * COMMENT: OLD
        """;
    ReadCut read = EditListReader.read(list, FPS);
    assertThat(read.unread())
        .containsExactly(
            "Line 5: sound is not read from edit lists, only pictures.",
            "Line 6: a wipe is read as a dissolve.",
            "Line 8 is not understood: * COMMENT: OLD");
    assertThat(read.cut().pieces()).hasSize(3);
    assertThat(read.cut().pieces().get(1).file()).as("a gap of a second").isEmpty();
    assertThat(read.cut().pieces().get(1).at()).isEqualTo(new FrameRange(48, 72));
    assertThat(read.cut().pieces().get(2).speed()).isEqualTo(200);
    assertThat(read.cut().pieces().get(0).name()).isEqualTo("TAPE1");
  }

  @Test
  void whatIsNoListIsRefused() {
    assertThatThrownBy(() -> EditListReader.read("hello", FPS)).hasMessageContaining("no event");
    String overlap =
        """
        001  A  V  C  00:00:00:00 00:00:02:00 01:00:00:00 01:00:02:00
        002  B  V  C  00:00:00:00 00:00:02:00 01:00:01:00 01:00:03:00
        003  C  V  C  00:00:00:00 00:00:02:00 01:00:03:00 01:00:05:00
        """;
    assertThatThrownBy(() -> EditListReader.read(overlap, FPS)).hasMessageContaining("overlaps");
    assertThatThrownBy(
            () ->
                EditListReader.read(
                    "001 A V C 99:99:00:00 00:00:02:00 01:00:00:00 01:00:02:00", FPS))
        .hasMessageContaining("Line 1");
  }
}
