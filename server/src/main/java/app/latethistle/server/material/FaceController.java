package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.server.config.ServerOnly;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Faces of one's own, for the words of any production. */
@ServerOnly
@RestController
@RequestMapping("/api/own-faces")
class FaceController {
  private final OwnFaces faces;
  private final ContentStore store;

  FaceController(OwnFaces faces, ContentStore store) {
    this.faces = faces;
    this.store = store;
  }

  @GetMapping
  List<OwnFaces.BroughtFace> own() {
    return faces.own();
  }

  /** Brings a face in; its file's bytes are the body. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  OwnFaces.BroughtFace bringIn(
      @RequestParam String name,
      @RequestParam(defaultValue = "") String licence,
      HttpServletRequest request)
      throws IOException {
    store.requireRoom(name, request.getContentLengthLong());
    return faces.bringIn(name, licence, request.getInputStream());
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@RequestParam String family) {
    faces.remove(family);
  }
}
