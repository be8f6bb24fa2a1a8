package app.latethistle.media;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Sounds of files that do not change, decoded and kept, so that a film whose cut has changed is
 * mixed again without decoding them again. Those that were wanted longest ago are let go. Safe for
 * several threads.
 */
public final class DecodedSounds {
  /** Most samples kept: 160 MB of them. */
  private static final long MOST = 40_000_000;

  private record Key(Path file, int channels) {}

  private final Map<Key, float[]> kept = new LinkedHashMap<>(16, 0.75f, true);
  private long held;

  /** Left and right in turn at the film's sample rate; not to be changed. */
  float[] stereo(Path file, Container container) throws IOException {
    return sound(new Key(file, 2), () -> SongDecoder.stereo(file, container));
  }

  /** One channel at the film's sample rate; not to be changed. */
  float[] mono(Path file, Container container) throws IOException {
    return sound(new Key(file, 1), () -> SongDecoder.reading(file, container).samples());
  }

  /** Decodes a file. */
  private interface Decoding {
    float[] decode() throws IOException;
  }

  private float[] sound(Key key, Decoding decoding) throws IOException {
    synchronized (kept) {
      float[] known = kept.get(key);
      if (known != null) {
        return known;
      }
    }
    // Two that want the same at the same time may both decode it; others need not wait.
    float[] sound = decoding.decode();
    synchronized (kept) {
      float[] other = kept.put(key, sound);
      held += sound.length - (other == null ? 0 : other.length);
      letGo();
    }
    return sound;
  }

  /** All but the newest may go. */
  private void letGo() {
    Iterator<float[]> oldest = kept.values().iterator();
    while (held > MOST && kept.size() > 1) {
      held -= oldest.next().length;
      oldest.remove();
    }
  }
}
