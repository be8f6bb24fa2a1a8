package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Waveforms of sounds, small enough for a row of a list; kept beside the store once drawn. */
@Component
public class SoundOutlines {
  private static final Logger LOG = LoggerFactory.getLogger(SoundOutlines.class);
  private static final int WIDTH = 96;
  private static final int READY = 500;

  private final Media media;
  private final ContentStore store;
  private final Kept<String, byte[]> ready = new Kept<>(READY);

  SoundOutlines(Media media, ContentStore store) {
    this.media = media;
    this.store = store;
  }

  /** The highest magnitude in each of 96 equal parts, 0 to 255 of the highest of all. */
  public byte[] of(String hash) {
    return ready
        .get(hash)
        .orElseGet(
            () -> {
              byte[] outline = drawn(hash);
              ready.put(hash, outline);
              return outline;
            });
  }

  /** Draws a sound whose samples are at hand, left and right in turn. */
  void keep(String hash, float[] stereo) throws IOException {
    write(store.derived("outlines", hash + ".bin"), draw(stereo));
  }

  private static void write(Path kept, byte[] outline) throws IOException {
    Path part = ContentStore.partOf(kept);
    Files.write(part, outline);
    ContentStore.moveInto(part, kept);
  }

  private byte[] drawn(String hash) {
    try {
      Path kept = store.derived("outlines", hash + ".bin");
      if (Files.isRegularFile(kept)) {
        return Files.readAllBytes(kept);
      }
      Medium medium = media.findById(hash).orElseThrow();
      byte[] outline = draw(SongDecoder.stereo(store.path(hash), medium.facts().container()));
      write(kept, outline);
      return outline;
    } catch (IOException e) {
      LOG.warn("A sound could not be drawn.", e);
      return new byte[WIDTH];
    }
  }

  private static byte[] draw(float[] stereo) {
    float[] highest = new float[WIDTH];
    float most = 1e-6f;
    for (int i = 0; i < stereo.length; i++) {
      int at = (int) ((long) i * WIDTH / stereo.length);
      highest[at] = Math.max(highest[at], Math.abs(stereo[i]));
      most = Math.max(most, highest[at]);
    }
    byte[] outline = new byte[WIDTH];
    for (int i = 0; i < WIDTH; i++) {
      outline[i] = (byte) Math.round(255 * highest[i] / most);
    }
    return outline;
  }
}
