package app.latethistle.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.interchange.NamedFile;
import app.latethistle.core.interchange.PieceList;
import app.latethistle.core.interchange.Strand;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A timeline has what the published schema asks for, and the cut's times. */
class TimelineTest {
  private static final FrameRange NONE = new FrameRange(0, 0);

  private static final String HASH = "0123456789abcdef".repeat(4);

  private static Strand.Laid laid(String name, String file, double at, double from, double frames) {
    return new Strand.Laid(name, NamedFile.of(file), at, from, frames);
  }

  private static JsonNode timeline() {
    PieceList cut =
        new PieceList(
            "Night Post",
            FrameRate.FPS_24,
            List.of(
                new PieceList.Piece(
                    "010",
                    Optional.of(new NamedFile("a.mp4", HASH)),
                    120,
                    new FrameRange(10, 58),
                    new FrameRange(0, 48),
                    100,
                    NONE),
                new PieceList.Piece(
                    "020",
                    Optional.of(NamedFile.of("b.mp4")),
                    120,
                    new FrameRange(0, 36),
                    new FrameRange(48, 72),
                    150,
                    new FrameRange(42, 50)),
                new PieceList.Piece(
                    "gap", Optional.empty(), 12, NONE, new FrameRange(72, 84), 100, NONE)),
            List.of(new PieceList.Mark(50, "look here")));
    List<Strand> beside =
        List.of(
            new Strand("Music", false, List.of(laid("song", "song.flac", 0, 96, 84))),
            new Strand("Layer 1", true, List.of(laid("moth", "moth.mp4", 24, 3, 12))),
            new Strand(
                "Sounds",
                false,
                List.of(
                    laid("knock", "knock", 10.5, 0, 20), laid("boom", "boom", 30.5, 2.25, 40))));
    return JsonMapper.shared().readTree(Timeline.of(cut, beside));
  }

  @Test
  void tracksHaveClipsTransitionsAndGaps() {
    JsonNode whole = timeline();
    assertThat(whole.get("OTIO_SCHEMA").asString()).isEqualTo("Timeline.1");
    JsonNode tracks = whole.get("tracks").get("children");
    JsonNode pictures = tracks.get(0);
    List<String> kinds =
        pictures.get("children").valueStream().map(c -> c.get("OTIO_SCHEMA").asString()).toList();
    assertThat(kinds).containsExactly("Clip.1", "Transition.1", "Clip.1", "Gap.1");
    JsonNode transition = pictures.get("children").get(1);
    assertThat(transition.get("in_offset").get("value").asDouble()).isEqualTo(6);
    assertThat(transition.get("out_offset").get("value").asDouble()).isEqualTo(2);
    JsonNode second = pictures.get("children").get(2);
    assertThat(second.get("effects").get(0).get("time_scalar").asDouble()).isEqualTo(1.5);
    assertThat(second.get("source_range").get("duration").get("value").asDouble()).isEqualTo(24);
    assertThat(second.get("media_reference").get("target_url").asString()).isEqualTo("b.mp4");
    assertThat(pictures.get("markers").get(0).get("name").asString()).isEqualTo("look here");
  }

  /** Layers lie over the cut, what is heard under it; each piece where it is, after a rest. */
  @Test
  void layersAndSoundsAreTracksOfTheirOwn() {
    JsonNode tracks = timeline().at("/tracks/children");
    assertThat(tracks.valueStream().map(t -> t.get("name").asString()))
        .containsExactly("Video", "Layer 1", "Music", "Sounds");
    assertThat(tracks.valueStream().map(t -> t.get("kind").asString()))
        .containsExactly("Video", "Video", "Audio", "Audio");
    JsonNode song = tracks.get(2).at("/children/0/source_range");
    assertThat(song.at("/start_time/value").asDouble()).isEqualTo(96);
    assertThat(song.at("/duration/value").asDouble()).isEqualTo(84);
    assertThat(tracks.get(1).at("/children/0/source_range/duration/value").asDouble())
        .as("the rest before it")
        .isEqualTo(24);
    JsonNode sounds = tracks.get(3).get("children");
    assertThat(sounds.valueStream().map(c -> c.get("OTIO_SCHEMA").asString()))
        .containsExactly("Gap.1", "Clip.1", "Clip.1");
    assertThat(sounds.get(2).at("/source_range/start_time/value").asDouble()).isEqualTo(2.25);
  }

  /** What is in a track and is no transition is as long as the film. */
  @Test
  void aTrackIsAsLongAsTheFilm() {
    double frames =
        timeline()
            .get("tracks")
            .get("children")
            .get(0)
            .get("children")
            .valueStream()
            .filter(c -> c.has("source_range"))
            .mapToDouble(c -> c.get("source_range").get("duration").get("value").asDouble())
            .sum();
    assertThat(frames).isEqualTo(84);
  }
}
