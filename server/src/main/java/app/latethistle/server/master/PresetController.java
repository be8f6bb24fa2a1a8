package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Preset;
import app.latethistle.media.Encoders;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.Missing;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.stored.Brought;
import app.latethistle.server.stored.StoredPreset;
import java.util.List;
import java.util.stream.Stream;
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

/** What outputs of any production begin with, and what they can be written as. */
@ServerOnly
@RestController
@RequestMapping("/api")
class PresetController {
  private final PresetRows rows;
  private final Encoders encoders;

  PresetController(PresetRows rows, Encoders encoders) {
    this.rows = rows;
    this.encoders = encoders;
  }

  /**
   * A preset.
   *
   * @param text its document
   */
  record PresetView(long id, String name, OutputSaid said, String text) {
    static PresetView of(PresetRow row) {
      Preset preset = row.preset();
      return new PresetView(
          row.id(), preset.name(), OutputSaid.of(preset.output()), StoredPreset.write(preset));
    }
  }

  /** A preset that is kept of an output. */
  record PresetSaid(String name, OutputSaid said) {}

  /** A preset's document. */
  record PresetText(String text) {}

  /** A way of writing outputs. */
  record EncodingView(
      Encoding encoding, String label, Encoding.Holds holds, Encoding.Sizing sizing) {}

  /** What this machine can write. */
  @GetMapping("/encodings")
  List<EncodingView> encodings() {
    return Stream.of(Encoding.values())
        .filter(encoders::isWritten)
        .map(e -> new EncodingView(e, e.label(), e.holds(), e.sizing()))
        .toList();
  }

  /** All presets; those that ship where there are none. */
  @GetMapping("/presets")
  @Transactional
  public List<PresetView> all() {
    List<PresetRow> all = rows.findAllByOrderById();
    if (all.isEmpty()) {
      all = rows.saveAll(Preset.SHIPPED.stream().map(PresetRow::new).toList());
    }
    return all.stream().map(PresetView::of).toList();
  }

  /** Keeps an output as a preset, in place of one of the same name. */
  @PostMapping("/presets")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public PresetView keep(@RequestBody PresetSaid asked) {
    if (asked.said() == null) {
      throw new Refused("Say what output is kept.");
    }
    return kept(new Preset(asked.name(), asked.said().get()));
  }

  /** Keeps a preset that is written as a document, in place of one of the same name. */
  @PostMapping("/presets/document")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public PresetView write(@RequestBody PresetText asked) {
    return kept(Brought.read("a preset", asked.text(), StoredPreset::read));
  }

  private PresetView kept(Preset preset) {
    PresetRow row =
        rows.findAllByOrderById().stream()
            .filter(r -> r.preset().name().equals(preset.name()))
            .findFirst()
            .orElseGet(() -> new PresetRow(preset));
    row.set(preset);
    return PresetView.of(rows.save(row));
  }

  @GetMapping("/presets/{id}/document")
  ResponseEntity<String> document(@PathVariable long id) {
    Preset preset = row(id).preset();
    return Attachment.answer(preset.name(), ".preset.json", MediaType.APPLICATION_JSON_VALUE)
        .body(StoredPreset.write(preset));
  }

  @DeleteMapping("/presets/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    rows.delete(row(id));
  }

  private PresetRow row(long id) {
    return rows.findById(id).orElseThrow(() -> new Missing("There is no preset " + id + "."));
  }
}
