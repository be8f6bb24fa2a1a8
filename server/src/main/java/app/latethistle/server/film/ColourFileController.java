package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Treating;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.grade.NearestList;
import app.latethistle.core.interchange.CdlText;
import app.latethistle.core.interchange.CubeText;
import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.media.ZipWriter;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.material.ColourTables;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Colour in and out: .cube tables and colour decision lists. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class ColourFileController {
  /** Entries along each side of a table that leaves. */
  private static final int SIZE = OpenFormats.TABLE_SIZE;

  private final FilmEdits edits;
  private final FilmService films;
  private final LookViews views;
  private final ShotColours colours;
  private final ColourTables tables;
  private final OpenFormats formats;

  ColourFileController(
      FilmEdits edits,
      FilmService films,
      LookViews views,
      ShotColours colours,
      ColourTables tables,
      OpenFormats formats) {
    this.formats = formats;
    this.colours = colours;
    this.edits = edits;
    this.films = films;
    this.views = views;
    this.tables = tables;
  }

  /**
   * A file of colours to be used.
   *
   * @param items ids of shots, or "" for the whole film
   * @param file its name; its ending says what it is: .cube, .cc, .ccc or .cdl
   * @param text the file's text
   */
  record BringInColours(long revision, List<String> items, String file, String text) {}

  /** A table is looked up in after the correction; a list takes the place of the shot's own. */
  @PostMapping("/bring-in-colours")
  FilmView bringIn(@PathVariable long productionId, @RequestBody BringInColours b) {
    String ending = b.file().substring(b.file().lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    return switch (ending) {
      case "cube" -> {
        String hash = tables.bringIn(b.file(), b.text());
        yield edits.make(
            productionId,
            b.revision(),
            state -> Treating.set(state.film(), b.items(), now -> lookingUp(now, hash)));
      }
      case "cc", "ccc", "cdl" -> {
        List<CdlText.Named> lists = lists(b.file(), b.text());
        yield edits.make(productionId, b.revision(), state -> listed(state, b.items(), lists));
      }
      default ->
          throw new Refused(
              b.file() + " is neither a table (.cube) nor a colour list (.cc, .ccc, .cdl).");
    };
  }

  private static List<CdlText.Named> lists(String file, String text) {
    try {
      return CdlText.parse(text);
    } catch (Refused e) {
      throw new Refused(file + ": " + e.getMessage());
    }
  }

  /** The same with one table, in place of another that was there. */
  private static Treatments lookingUp(Treatments now, String table) {
    List<Treatment> all = new ArrayList<>(now.list());
    all.removeIf(t -> t.kind() == TreatmentKind.TABLE);
    all.add(0, Treatment.table(table));
    return new Treatments(all);
  }

  /** Each shot takes the list of its number where the file has several, else the first. */
  private Edit listed(FilmState state, List<String> items, List<CdlText.Named> lists) {
    Map<String, Cdl> byName = new LinkedHashMap<>();
    lists.forEach(l -> byName.put(l.id(), l.list()));
    Map<String, String> labels = views.labels(state);
    Map<String, Correction> values = new LinkedHashMap<>();
    for (String item : items) {
      Placement shot = Matching.shot(state, item);
      Cdl list = byName.getOrDefault(labels.getOrDefault(item, ""), lists.get(0).list());
      values.put(item, shot.how().correction().withCdl(list));
    }
    if (values.isEmpty()) {
      throw new Refused("Choose a shot first: a colour list is of a shot.");
    }
    return SetAspect.of(Aspect.CORRECTION, values).called("bring in a colour list");
  }

  /** A shot's correction as a table. */
  @GetMapping(path = "/shots/{item}/grade.cube", produces = "text/plain;charset=UTF-8")
  ResponseEntity<String> cube(@PathVariable long productionId, @PathVariable String item) {
    FilmState state = films.state(productionId);
    Correction correction = Matching.shot(state, item).how().correction();
    String label = views.labels(state).get(item);
    return file(label, ".cube", CubeText.of(label, Grading.of(correction), SIZE));
  }

  /** A shot's correction as a colour decision list, the nearest that a list can say. */
  @GetMapping(path = "/shots/{item}/grade.cdl", produces = "text/plain;charset=UTF-8")
  ResponseEntity<String> cdl(@PathVariable long productionId, @PathVariable String item) {
    FilmState state = films.state(productionId);
    String label = views.labels(state).get(item);
    Placement shot = Matching.shot(state, item);
    List<ColourPicture> pictures =
        colours
            .of(state, shot)
            .orElseThrow(() -> new Refused("The shot has lost its take; choose another."));
    Cdl nearest = NearestList.of(Grading.of(shot.how().correction()), pictures);
    return file(label, ".cdl", CdlText.decision(label, nearest));
  }

  private static ResponseEntity<String> file(String name, String ending, String text) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, Attachment.named(name, ending))
        .body(text);
  }

  /** The film's look: a table of each shot that is corrected, and one of the finish. */
  @GetMapping(path = "/looks.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> looks(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    Map<String, String> tables = formats.looks(state);
    return Attachment.answer(state.production().title(), ".looks.zip", "application/zip")
        .body(
            out -> {
              try (ZipWriter zip = new ZipWriter(out)) {
                zip.texts(tables);
              }
            });
  }
}
