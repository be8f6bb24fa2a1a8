package app.latethistle.core.mix;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;

/**
 * Opens what parts are heard of, for what hears them straight and for walls at once. What a course
 * works on whole is worked on once for both.
 */
final class PartSounds {
  private final SoundSource source;
  private final Map<Part, WholeSound> whole = new HashMap<>();

  PartSounds(SoundSource source) {
    this.source = source;
  }

  /** A part's sound; sample 0 is the part's first. */
  synchronized SoundSource.Sound open(Part part) throws IOException {
    WholeSound known = whole.get(part);
    if (known != null) {
      return new PartSound(known, part);
    }
    SoundSource.Sound read = part.course().on(source.open(part.media(), part.bus().channels()));
    if (read instanceof WholeSound worked) {
      whole.put(part, worked);
    }
    return new PartSound(read, part);
  }

  /** A part is not opened again. */
  synchronized void forget(Part part) {
    whole.remove(part);
  }
}
