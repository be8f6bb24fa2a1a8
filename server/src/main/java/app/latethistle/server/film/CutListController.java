package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Replace;
import app.latethistle.core.interchange.EditList;
import app.latethistle.core.interchange.EditListReader;
import app.latethistle.core.interchange.ReadCut;
import app.latethistle.core.interchange.ShotTable;
import app.latethistle.core.time.FrameRate;
import app.latethistle.document.TimelineReader;
import app.latethistle.media.ZipWriter;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.SoundShelf;
import app.latethistle.server.material.Takes;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The cut as other programs read it. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class CutListController {
  private final FilmService films;
  private final Takes takes;
  private final OpenFormats formats;
  private final FilmEdits edits;
  private final SoundShelf shelf;

  CutListController(
      FilmService films, Takes takes, OpenFormats formats, FilmEdits edits, SoundShelf shelf) {
    this.films = films;
    this.shelf = shelf;
    this.takes = takes;
    this.formats = formats;
    this.edits = edits;
  }

  /** As an OpenTimelineIO timeline. */
  @GetMapping("/timeline.otio")
  ResponseEntity<String> otio(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    return attached(state, ".otio", "application/json").body(formats.timeline(state));
  }

  /** As a CMX 3600 edit decision list. */
  @GetMapping("/cut.edl")
  ResponseEntity<String> edl(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    return attached(state, ".edl", "text/plain").body(EditList.of(formats.cut(state)));
  }

  /** As a table of its shots. */
  @GetMapping("/shots.csv")
  ResponseEntity<String> shots(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    return attached(state, ".shots.csv", "text/csv").body(ShotTable.of(formats.cut(state)));
  }

  /** All that other programs read of the film, in one folder. */
  @GetMapping(path = "/formats.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> all(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    Map<String, String> texts = formats.all(state);
    return Attachment.answer(state.production().title() + " formats", ".zip", "application/zip")
        .body(
            out -> {
              try (ZipWriter zip = new ZipWriter(out)) {
                zip.texts(texts);
              }
            });
  }

  /**
   * A cut of another program.
   *
   * @param revision the one the person saw
   * @param file what it is called; it says what it is: .otio or .edl
   */
  record ForeignCut(long revision, String file, String text) {}

  /**
   * The film as it is then.
   *
   * @param left what of the cut could not be brought in, each in a sentence
   */
  record BroughtCut(FilmView film, List<String> left) {}

  /** Brings in a cut that another program wrote, in place of the one there is. */
  @PostMapping("/cut-in")
  BroughtCut bringIn(@PathVariable long productionId, @RequestBody ForeignCut foreign) {
    String file = foreign.file() == null ? "" : foreign.file();
    ReadCut read = read(file, foreign.text() == null ? "" : foreign.text(), productionId);
    FilmState now = films.state(productionId);
    FoundFiles files =
        new FoundFiles(
            now, takes.findByProductionIdOrderById(productionId), shelf.catalogue(productionId));
    BringCut.Brought brought = BringCut.of(read, now, files);
    FilmView film =
        edits.make(
            productionId,
            foreign.revision(),
            state -> new Replace(brought.film(), "bring in the cut of " + file));
    return new BroughtCut(film, brought.left());
  }

  private ReadCut read(String file, String text, long productionId) {
    FrameRate rate = films.state(productionId).production().rate();
    String name = file.toLowerCase(Locale.ROOT);
    try {
      if (name.endsWith(".otio")) {
        return TimelineReader.read(text, rate);
      }
      if (name.endsWith(".edl")) {
        return EditListReader.read(text, rate);
      }
    } catch (Refused e) {
      throw new Refused(file + ": " + e.getMessage());
    }
    throw new Refused(
        file + ": cuts are read as OpenTimelineIO (.otio) and as CMX 3600 edit lists (.edl).");
  }

  private static ResponseEntity.BodyBuilder attached(FilmState state, String ending, String type) {
    return Attachment.answer(state.production().title(), ending, type + ";charset=UTF-8");
  }
}
