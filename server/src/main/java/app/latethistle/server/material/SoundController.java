package app.latethistle.server.material;

import app.latethistle.core.signal.SoundFacts;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.server.config.ServerOnly;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sounds that can be laid: found, heard, brought in and asked for. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/sounds")
class SoundController {
  private final SoundShelf shelf;
  private final SoundOutlines outlines;
  private final Media media;
  private final ContentStore store;

  SoundController(SoundShelf shelf, SoundOutlines outlines, Media media, ContentStore store) {
    this.shelf = shelf;
    this.outlines = outlines;
    this.media = media;
    this.store = store;
  }

  /**
   * A sound.
   *
   * @param lands seconds from its start to where it lands
   * @param loops whether it can go on for as long as wanted
   * @param loudness in LUFS; null for silence
   * @param outline its waveform, 96 heights from 0 to 255 as base64
   */
  record ShelfSound(
      long id,
      String name,
      String kind,
      String source,
      String rights,
      double seconds,
      double lands,
      boolean loops,
      @Schema(nullable = true) Double loudness,
      double brightness,
      double noise,
      String outline) {}

  /**
   * What was found.
   *
   * @param made how many of the shelf's sounds are there
   * @param all how many there will be
   */
  record FoundSounds(List<ShelfSound> sounds, int made, int all) {}

  /** What is to be heard. */
  record AskSound(String words) {}

  @GetMapping
  FoundSounds find(
      @PathVariable long productionId,
      @RequestParam(required = false) String words,
      @RequestParam(required = false) String kind,
      @RequestParam(required = false) Long like,
      @RequestParam(defaultValue = "0") double shortest,
      @RequestParam(defaultValue = "1000") double longest) {
    SoundShelf.Made made = shelf.begin();
    return new FoundSounds(
        shelf.find(productionId, words, kind, like, shortest, longest).stream()
            .map(this::view)
            .toList(),
        made.made(),
        made.all());
  }

  /** Has three sounds made to choose from. */
  @PostMapping("/ask")
  @ResponseStatus(HttpStatus.CREATED)
  List<ShelfSound> ask(@PathVariable long productionId, @RequestBody AskSound ask)
      throws IOException {
    return shelf.ask(productionId, ask.words()).stream().map(this::view).toList();
  }

  /** Brings a sound in; its bytes are the body. */
  @PostMapping("/files")
  @ResponseStatus(HttpStatus.CREATED)
  ShelfSound file(
      @PathVariable long productionId,
      @RequestParam String name,
      @RequestParam(defaultValue = "") String source,
      @RequestParam(defaultValue = "") String rights,
      HttpServletRequest request)
      throws IOException {
    store.requireRoom(name, request.getContentLengthLong());
    return view(shelf.bringIn(productionId, name, source, rights, request.getInputStream()));
  }

  /** A sound's own file, for hearing it. */
  @GetMapping("/{soundId}/file")
  ResponseEntity<Resource> hear(@PathVariable long productionId, @PathVariable long soundId) {
    String hash = shelf.get(productionId, soundId).mediumHash();
    Medium medium = media.findById(hash).orElseThrow();
    return ResponseEntity.ok()
        .contentType(SongController.typeOf(medium))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(1)))
        .body(new FileSystemResource(store.path(hash)));
  }

  private ShelfSound view(SoundRow row) {
    SoundFacts facts = row.facts();
    return new ShelfSound(
        row.id(),
        row.name(),
        row.kind(),
        row.source(),
        row.rights(),
        Samples.toSeconds(facts.length()),
        Samples.toSeconds(row.material().lands(FrameRate.FPS_24)),
        facts.loop().isPresent(),
        Double.isFinite(facts.loudness()) ? facts.loudness() : null,
        facts.brightness(),
        facts.noise(),
        Base64.getEncoder().encodeToString(outlines.of(row.mediumHash())));
  }
}
