package app.latethistle.server.film;

import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.mix.Mix;
import app.latethistle.media.MixFiles;
import app.latethistle.media.WorkFolder;
import app.latethistle.media.ZipWriter;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.FilmSoundFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A film's sound as files: the mix, its stems, and what is heard when. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class MixFileController {
  private final FilmService films;
  private final FilmSoundFiles sounds;
  private final OpenFormats formats;

  MixFileController(FilmService films, FilmSoundFiles sounds, OpenFormats formats) {
    this.films = films;
    this.sounds = sounds;
    this.formats = formats;
  }

  /** Writes files into a folder that is gone afterwards. */
  private interface Writing {
    void into(Path folder) throws IOException;
  }

  private static void working(Writing writing) throws IOException {
    try (WorkFolder folder = WorkFolder.make()) {
      writing.into(folder.path());
    }
  }

  /**
   * The mix as Broadcast Wave, 24 bit.
   *
   * @param loudness in LUFS that it is to measure; as it is mixed if not given
   * @param peak ceiling of its true peaks then, in dBTP
   */
  @GetMapping(path = "/mix.wav", produces = "audio/wav")
  ResponseEntity<StreamingResponseBody> mix(
      @PathVariable long productionId,
      @RequestParam(required = false) Double loudness,
      @RequestParam(defaultValue = "-1") double peak)
      throws IOException {
    FilmState state = films.state(productionId);
    MixFiles files = files(state, loudness, peak);
    return attached(state, ".wav", "audio/wav")
        .body(
            out ->
                working(
                    folder -> {
                      Path file = folder.resolve("mix.wav");
                      files.whole(file);
                      Files.copy(file, out);
                    }));
  }

  /** The stems, each a file of its own; together they are the mix. */
  @GetMapping(path = "/stems.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> stems(@PathVariable long productionId) throws IOException {
    FilmState state = films.state(productionId);
    MixFiles files = files(state, null, -1);
    return attached(state, ".stems.zip", "application/zip")
        .body(
            out ->
                working(
                    folder -> {
                      try (ZipWriter zip = new ZipWriter(out)) {
                        for (Path stem : files.stems(folder)) {
                          zip.file(stem.getFileName().toString(), stem);
                        }
                      }
                    }));
  }

  private MixFiles files(FilmState state, Double loudness, double peak) throws IOException {
    Mix mix = state.mix();
    if (loudness != null) {
      mix = new LoudnessAim(loudness, peak).reachedBy(mix, sounds);
    }
    LocalDateTime now = LocalDateTime.now(ZoneId.systemDefault());
    return new MixFiles(mix, sounds, state.production().title(), now);
  }

  private static ResponseEntity.BodyBuilder attached(FilmState state, String ending, String type) {
    return Attachment.answer(state.production().title(), ending, type);
  }

  /** What is heard when, as CSV. */
  @GetMapping(path = "/cues.csv", produces = "text/csv")
  ResponseEntity<String> cues(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    return attached(state, ".cues.csv", "text/csv").body(formats.cues(state));
  }
}
