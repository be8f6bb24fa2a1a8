package app.latethistle.server.stored;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.NamePattern;
import app.latethistle.core.release.Output;
import app.latethistle.core.release.Preset;
import app.latethistle.core.release.Quality;
import app.latethistle.core.release.ReleaseSheet;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.media.Tags;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is stored of what leaves is read back the same, and so is what format 1 wrote. */
class StoredReleaseTest {
  private static final Output OUTPUT =
      new Output(
          new NamePattern("Short, {shape}"),
          Encoding.MP4,
          Quality.SMALL,
          Optional.of(12.5),
          new Output.Pictures(
              Optional.of(Shape.of(9, 16)),
              Optional.of(720),
              Optional.of(FrameRate.parse("30000/1001")),
              Optional.empty()),
          new Output.Part(Optional.of(Tie.onBeat(8)), Optional.of(Tie.free(240)), Optional.empty()),
          Optional.of(new LoudnessAim(-16, -2)),
          false);

  private static final String OUTPUT_1 =
      """
      {"format": 1, "name": "Short, {shape}", "encoding": "MP4", "quality": "SMALL", "megabytes": 12.5,
       "shape": {"across": 9, "down": 16}, "lines": 720, "rate": "30000/1001",
       "from": {"tie": "beat", "beat": 8, "offset": 0}, "to": {"tie": "free", "frame": 240},
       "loudness": {"integrated": -16.0, "ceiling": -2.0}, "ticked": false}
      """;

  private static final ReleaseSheet SHEET =
      new ReleaseSheet(
          "Night Post",
          "Forty-one letters.",
          true,
          List.of("winter", "balloon"),
          true,
          Optional.of(193L),
          Map.of("song:1", "own"));

  private static final String SHEET_1 =
      """
      {"format": 1, "title": "Night Post", "description": "Forty-one letters.", "chapters": true,
       "tags": ["winter", "balloon"], "generated": true, "thumbnail": 193,
       "rights": {"song:1": "own"}}
      """;

  @Test
  void anOutputIsReadBackTheSame() {
    assertThat(StoredOutput.read(StoredOutput.write(OUTPUT))).isEqualTo(OUTPUT);
    assertThat(StoredOutput.read(OUTPUT_1)).isEqualTo(OUTPUT);
    Output more =
        OUTPUT
            .withPictures(
                new Output.Pictures(
                    Optional.empty(), Optional.empty(), Optional.empty(), Optional.of("de")))
            .withPart(new Output.Part(Optional.empty(), Optional.empty(), Optional.of(60)));
    assertThat(StoredOutput.read(StoredOutput.write(more))).isEqualTo(more);
  }

  @Test
  void presetsAreReadBackTheSame() {
    for (Preset preset : Preset.SHIPPED) {
      assertThat(StoredPreset.read(StoredPreset.write(preset))).isEqualTo(preset);
    }
  }

  @ParameterizedTest
  @EnumSource
  void aPlainOneOfEveryEncodingIsReadBackTheSame(Encoding encoding) {
    Output plain = Output.of("Film", encoding);
    assertThat(StoredOutput.read(StoredOutput.write(plain))).isEqualTo(plain);
  }

  @Test
  void aSheetIsReadBackTheSame() {
    assertThat(StoredSheet.read(StoredSheet.write(SHEET))).isEqualTo(SHEET);
    assertThat(StoredSheet.read(SHEET_1)).isEqualTo(SHEET);
  }

  @Test
  void tagsAreReadBackTheSame() {
    Tags tags =
        new Tags(
            "Night Post",
            "generated",
            "eng",
            List.of(new Tags.Chapter(0, 14_000, "Valley")),
            OptionalLong.empty());
    Tags covered = new Tags(tags.title(), "", "eng", tags.chapters(), OptionalLong.of(1_500));
    for (Tags each : List.of(tags, covered)) {
      assertThat(StoredTags.read(StoredTags.of(each).write()).get()).isEqualTo(each);
    }
    String stored =
        """
        {"format": 1, "title": "Night Post", "comment": "generated", "language": "eng",
         "chapters": [{"start": 0, "end": 14000, "name": "Valley"}]}
        """;
    assertThat(StoredTags.read(stored).get()).isEqualTo(tags);
  }

  @Test
  void whatANewerReleaseStoredIsRefused() {
    assertThatThrownBy(() -> StoredOutput.read("{\"format\": 99}"))
        .hasMessageContaining("newer release");
  }

  @Test
  void aDesignOfFormat1OpensAndEveryShippedOneIsWrittenAndRead() {
    for (Design design : Designs.ALL) {
      assertThat(StoredDesign.read(StoredDesign.write(design))).isEqualTo(design);
    }
    Design old =
        StoredDesign.read(
            """
            {"format": 1, "name": "Low left", "words": {"kind": "CARD", "text": "doors"},
             "lettering": {"face": {"family": "Oswald", "bold": true}, "size": 90},
             "box": {"x": 300, "y": 700, "width": 500}, "movement": {"roll": true}}
            """);
    assertThat(old.name()).isEqualTo("Low left");
    assertThat(old.lettering().size()).isEqualTo(90);
    assertThat(old.movement().rolls()).isTrue();
    assertThatThrownBy(() -> StoredDesign.read("{\"format\": 99}"))
        .hasMessageContaining("newer release");
  }
}
