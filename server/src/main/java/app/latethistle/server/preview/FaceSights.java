package app.latethistle.server.preview;

import app.latethistle.core.people.FaceFinder;
import app.latethistle.core.people.SeenFace;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.render.Program;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.work.AllCores;
import app.latethistle.server.material.Kept;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** The faces that frames of a film show; each picture is looked at once. */
@Component
class FaceSights {
  private static final int KEPT = 2000;

  private final Kept<String, List<SeenFace>> known = new Kept<>(KEPT);

  /**
   * The faces in some frames, one list for each.
   *
   * @param pictures the frames as they are drawn
   */
  List<List<SeenFace>> in(Program program, List<Long> frames, List<Frame> pictures)
      throws IOException {
    return AllCores.of(
        IntStream.range(0, frames.size()).boxed().toList(),
        i -> {
          long frame = frames.get(i);
          return in(program.key(new FrameRange(frame, frame + 1)), pictures.get(i));
        });
  }

  private List<SeenFace> in(String key, Frame picture) {
    Optional<List<SeenFace>> before = known.get(key);
    if (before.isPresent()) {
      return before.get();
    }
    List<SeenFace> faces = FaceFinder.in(picture);
    known.put(key, faces);
    return faces;
  }
}
