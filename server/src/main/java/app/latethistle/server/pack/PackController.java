package app.latethistle.server.pack;

import app.latethistle.media.ContentStore;
import app.latethistle.media.WorkFolder;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.production.Production;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Productions leave and come in as one file. */
@ServerOnly
@RestController
class PackController {
  private final Packer packer;
  private final Unpacker unpacker;
  private final ContentStore store;

  PackController(Packer packer, Unpacker unpacker, ContentStore store) {
    this.packer = packer;
    this.unpacker = unpacker;
    this.store = store;
  }

  /** A production that came in. */
  record UnpackedView(long id, String title) {}

  /**
   * The production as it is.
   *
   * @param media whether its files go with it
   */
  @GetMapping("/api/productions/{productionId}/production.zip")
  ResponseEntity<StreamingResponseBody> pack(
      @PathVariable long productionId, @RequestParam(defaultValue = "true") boolean media)
      throws IOException {
    Packer.Packed packed = packer.now(productionId, media);
    return Attachment.answer(packed.title(), ".zip", "application/zip")
        .contentLength(packer.length(packed))
        .body(out -> packer.write(packed, out));
  }

  /** Brings a packed production in as one more. The body is the zip. */
  @PostMapping("/api/productions/packed")
  @ResponseStatus(HttpStatus.CREATED)
  UnpackedView unpack(@RequestParam(defaultValue = "") String name, HttpServletRequest request)
      throws IOException {
    store.requireRoom(
        name.isEmpty() ? "The packed production" : name, request.getContentLengthLong());
    try (WorkFolder work = WorkFolder.make()) {
      Path zip = work.path().resolve("packed.zip");
      Files.copy(request.getInputStream(), zip);
      Production made = unpacker.unpack(zip);
      return new UnpackedView(made.id(), made.title());
    }
  }
}
