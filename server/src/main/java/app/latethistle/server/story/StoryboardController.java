package app.latethistle.server.story;

import app.latethistle.core.take.PictureShape;
import app.latethistle.server.material.Pictures;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The storyboard as a file to print. */
@RestController
class StoryboardController {
  private static final int PICTURE_HEIGHT = 300;

  private final StoryService stories;
  private final Shots shots;
  private final Takes takes;
  private final Pictures pictures;

  StoryboardController(StoryService stories, Shots shots, Takes takes, Pictures pictures) {
    this.stories = stories;
    this.shots = shots;
    this.takes = takes;
    this.pictures = pictures;
  }

  @GetMapping("/api/productions/{productionId}/story/storyboard.pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long productionId) throws IOException {
    StoryService.State state = stories.state(productionId);
    Map<Integer, byte[]> jpegs = new HashMap<>();
    for (Shot shot : shots.findByProductionIdOrderById(productionId)) {
      Optional<TakeEntry> pick =
          Optional.ofNullable(shot.pickId())
              .flatMap(takes::findById)
              .filter(t -> t.state() == State.READY && !t.isPlaceholder());
      if (shot.storyShot() != null && pick.isPresent()) {
        jpegs.put(
            shot.storyShot(),
            pictures.jpeg(
                pick.get().medium().hash(),
                state.production().rate(),
                pick.get().frames() / 2,
                PICTURE_HEIGHT));
      }
    }
    PictureShape shape = state.production().shape();
    byte[] file = Storyboard.draw(state.story(), state.production().title(), shape.aspect(), jpegs);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("storyboard.pdf").build().toString())
        .body(file);
  }
}
