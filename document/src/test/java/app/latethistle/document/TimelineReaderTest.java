package app.latethistle.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.interchange.NamedFile;
import app.latethistle.core.interchange.PieceList;
import app.latethistle.core.interchange.ReadCut;
import app.latethistle.core.interchange.Strand;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A timeline that another program wrote. */
class TimelineReaderTest {
  private static final String HASH = "0123456789abcdef".repeat(4);

  private static PieceList.Piece piece(
      String file, long from, FrameRange at, int speed, long mixed) {
    long material = Math.round(at.length() * Math.abs(speed) / 100.0);
    return new PieceList.Piece(
        file,
        Optional.of(new NamedFile(file, HASH)),
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
    NamedFile moth = new NamedFile("moth.mp4", HASH);
    NamedFile knock = NamedFile.of("knock");
    List<Strand> beside =
        List.of(
            new Strand("Layer 1", true, List.of(new Strand.Laid("moth.mp4", moth, 24, 3, 12))),
            new Strand(
                "Sounds",
                false,
                List.of(
                    new Strand.Laid("knock", knock, 10.5, 0, 20),
                    new Strand.Laid("again", knock, 40.25, 2.25, 12))));
    ReadCut read = TimelineReader.read(Timeline.of(cut, beside), FrameRate.FPS_24);
    assertThat(read.unread()).isEmpty();
    assertThat(read.cut()).isEqualTo(cut);
    assertThat(read.beside()).isEqualTo(beside);
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
          {"OTIO_SCHEMA": "Track.1", "name": "V2", "kind": "Video", "children": []},
          {"OTIO_SCHEMA": "Track.1", "name": "A1", "kind": "Audio", "children": [
           {"OTIO_SCHEMA": "Gap.1", "source_range": {"start_time": {"value": 0, "rate": 25},
            "duration": {"value": 25, "rate": 25}}},
           {"OTIO_SCHEMA": "Clip.1", "name": "rain", "effects": [{"OTIO_SCHEMA": "Effect.1",
            "name": "louder"}], "source_range": {"start_time": {"value": 48000, "rate": 48000},
            "duration": {"value": 24000, "rate": 48000}},
            "media_reference": {"OTIO_SCHEMA": "MissingReference.1"}},
           {"OTIO_SCHEMA": "Transition.1", "name": ""}]},
          {"OTIO_SCHEMA": "Track.1", "name": "T1", "kind": "Titles", "children": []}]}}
        """;
    ReadCut read = TimelineReader.read(other, FrameRate.FPS_24);
    PieceList.Piece one = read.cut().pieces().get(0);
    assertThat(one.file()).contains(NamedFile.of("one.mov"));
    assertThat(one.source()).as("a second into the file").isEqualTo(new FrameRange(24, 72));
    assertThat(read.unread())
        .containsExactly(
            "The effect 'glow' is not read.",
            "A Stack in the track of pictures is not read.",
            "The effect 'louder' is not read.",
            "A Transition in the track 'A1' is not read.",
            "The track 'T1' is not read.");
    assertThat(read.beside())
        .containsExactly(
            new Strand(
                "A1", false, List.of(new Strand.Laid("rain", NamedFile.of("rain"), 24, 24, 12))));
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
