package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Treatments;
import app.latethistle.document.FinishDocument;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.Missing;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Finishes that can be laid over a film: ours, and those of the person's own. */
@RestController
@RequestMapping("/api/finishes")
class FinishController {
  private static final int MOST = 200;

  private final FinishRows rows;

  FinishController(FinishRows rows) {
    this.rows = rows;
  }

  /**
   * A finish.
   *
   * @param id 0 and below for those that come with the application
   * @param own whether it is the person's own, and can be taken off the list
   */
  record FinishView(
      long id, String name, String says, boolean own, List<TreatmentView> treatments) {}

  /** A finish to be kept. */
  record SaveFinish(String name, String says, List<TreatmentView> treatments) {}

  /**
   * A finish to be brought in.
   *
   * @param file its name, for what is said of it
   * @param text the file's text
   */
  record BringInFinish(String file, String text) {}

  @GetMapping
  List<FinishView> all() {
    List<FinishView> all = new ArrayList<>();
    List<FinishDocument> ours = FinishDocument.ours();
    for (int i = 0; i < ours.size(); i++) {
      all.add(view(-i, ours.get(i)));
    }
    rows.findAllByOrderById().forEach(row -> all.add(view(row.id(), read(row))));
    return all;
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  void save(@RequestBody SaveFinish s) {
    Treatments treatments = TreatmentView.treatments(s.treatments());
    try {
      // What is written is read again, so that nothing is kept that could not be.
      keep(FinishDocument.read(FinishDocument.of(s.name(), s.says(), treatments).write()));
    } catch (IOException e) {
      throw new Refused(e.getMessage());
    }
  }

  @PostMapping("/bring-in")
  @ResponseStatus(HttpStatus.CREATED)
  void bringIn(@RequestBody BringInFinish b) {
    try {
      keep(FinishDocument.read(b.text()));
    } catch (IOException e) {
      throw new Refused(b.file() + ": " + e.getMessage());
    }
  }

  private void keep(FinishDocument finish) {
    if (rows.count() >= MOST) {
      throw new Refused("There are " + MOST + " finishes of your own; take one off first.");
    }
    rows.save(new FinishRow(finish.write()));
  }

  @GetMapping(path = "/{id}.json", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> export(@PathVariable long id) {
    FinishDocument finish = one(id);
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, Attachment.named(finish.name(), ".finish.json"))
        .body(finish.write());
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void remove(@PathVariable long id) {
    if (id <= 0) {
      throw new Refused("This finish comes with the application and stays.");
    }
    rows.deleteById(id);
  }

  private FinishDocument one(long id) {
    List<FinishDocument> ours = FinishDocument.ours();
    if (id <= 0 && id > -ours.size()) {
      return ours.get((int) -id);
    }
    return read(rows.findById(id).orElseThrow(() -> new Missing("There is no finish " + id + ".")));
  }

  private static FinishView view(long id, FinishDocument finish) {
    return new FinishView(
        id,
        finish.name(),
        finish.says() == null ? "" : finish.says(),
        id > 0,
        TreatmentView.of(finish.get()));
  }

  private static FinishDocument read(FinishRow row) {
    try {
      return FinishDocument.read(row.document());
    } catch (IOException e) {
      throw new UncheckedIOException("A finish that was kept cannot be read.", e);
    }
  }
}
