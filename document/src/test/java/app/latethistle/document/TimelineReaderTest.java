package app.latethistle.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.interchange.PieceList;
import app.latethistle.core.interchange.ReadCut;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A timeline that another program wrote. */
class TimelineReaderTest {
  private static PieceList.Piece piece(
      String file, long from, FrameRange at, int speed, long mixed) {
    long material = Math.round(at.length() * Math.abs(speed) / 100.0);
    return new PieceList.Piece(
        file,
        Optional.of(file),
        from + material,
        FrameRange.ofLength(from, material),
        at,
        speed,
        FrameRange.ofLength(at.start() - mixed / 2, mixed));
  }

  @Test
  void whatIsWrittenIsReadBack() {
    PieceList cut =
        new PieceList(
            "Night Post",
            FrameRate.FPS_24,
            List.of(
                piece("a.mp4", 10, new FrameRange(0, 48), 100, 0),
                piece("b.mp4", 0, new FrameRange(48, 72), 150, 8),
                new PieceList.Piece(
                    "gap",
                    Optional.empty(),
                    12,
                    new FrameRange(0, 12),
                    new FrameRange(72, 84),
                    100,
                    new FrameRange(72, 72)),
                piece("c.mp4", 30, new FrameRange(84, 132), 100, 0)),
            List.of(new PieceList.Mark(50, "look here")));
    ReadCut read = TimelineReader.read(Timeline.of(cut, List.of()), FrameRate.FPS_24);
    assertThat(read.unread()).isEmpty();
    assertThat(read.cut()).isEqualTo(cut);
  }

  @Test
  void newerClipsOtherRatesAndWhatIsNotReadAreUnderstoodOrTold() {
    String other =
        """
        {"OTIO_SCHEMA": "Timeline.1", "name": "Reel", "tracks": {"OTIO_SCHEMA": "Stack.1",
         "children": [
          {"OTIO_SCHEMA": "Track.1", "name": "V1", "kind": "Video", "markers": [], "children": [
           {"OTIO_SCHEMA": "Clip.2", "name": "one", "effects": [{"OTIO_SCHEMA": "Effect.1",
            "name": "glow"}], "markers": [], "active_media_reference_key": "high",
            "source_range": {"start_time": {"value": 3625, "rate": 25},
                             "duration": {"value": 50, "rate": 25}},
            "media_references": {"high": {"OTIO_SCHEMA": "ExternalReference.1",
             "target_url": "file:///reels/one.mov",
             "available_range": {"start_time": {"value": 3600, "rate": 25},
                                 "duration": {"value": 200, "rate": 25}}}}},
           {"OTIO_SCHEMA": "Stack.1", "name": "nested", "children": []}]},
          {"OTIO_SCHEMA": "Track.1", "name": "V2", "kind": "Video", "children": []}]}}
        """;
    ReadCut read = TimelineReader.read(other, FrameRate.FPS_24);
    PieceList.Piece one = read.cut().pieces().get(0);
    assertThat(one.file()).contains("one.mov");
    assertThat(one.source()).as("a second into the file").isEqualTo(new FrameRange(24, 72));
    assertThat(read.unread())
        .containsExactly(
            "The track 'V2' is not read; only the first track of pictures is.",
            "The effect 'glow' is not read.",
            "A Stack in the track of pictures is not read.");
  }

  @Test
  void whatIsNoTimelineIsRefused() {
    assertThatThrownBy(() -> TimelineReader.read("{", FrameRate.FPS_24))
        .hasMessageContaining("JSON");
    assertThatThrownBy(() -> TimelineReader.read("{}", FrameRate.FPS_24))
        .hasMessageContaining("no OpenTimelineIO timeline");
    assertThatThrownBy(
            () ->
                TimelineReader.read(
                    "{\"OTIO_SCHEMA\": \"Timeline.1\", \"tracks\": {\"children\": []}}",
                    FrameRate.FPS_24))
        .hasMessageContaining("no track of pictures");
  }
}
