package app.latethistle.server.material;

import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.picture.MeanColours;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Jpeg;
import app.latethistle.media.ProxyFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Pictures of takes from their light copies, some of which are kept open. */
@Component
public class Pictures {
  private static final int KEPT_OPEN = 200;

  private final ProxyPaths paths;
  private final Media media;
  private final Map<String, ProxyFile> open = new LinkedHashMap<>(16, 0.75f, true);

  Pictures(ProxyPaths paths, Media media) {
    this.paths = paths;
    this.media = media;
  }

  /** Frames of takes at a rate, for the compositor. */
  public PictureSource at(FrameRate rate) {
    return (hash, frames, wish) -> proxy(hash, rate).reader(frames);
  }

  /**
   * One frame of a take as a JPEG.
   *
   * @param height in pixels; the width follows the take's shape
   */
  public byte[] jpeg(String hash, FrameRate rate, long frame, int height) throws IOException {
    ProxyFile proxy = proxy(hash, rate);
    int h = Math.min(height, proxy.shape().height()) / 2 * 2;
    int w = Math.max(2, (int) Math.round(h * proxy.shape().aspect() / 2) * 2);
    try (PictureSource.Reader reader = proxy.reader(new FrameRange(frame, frame + 1))) {
      Frame small = new Frame(w, h);
      Framer.of(proxy.shape(), w, h, Framing.FILL).draw(reader.next(), small);
      return Jpeg.encode(small, 0.86f);
    }
  }

  /** Mean colours of one frame of a take. */
  public float[] meanColours(String hash, FrameRate rate, long frame) throws IOException {
    return MeanColours.of(proxy(hash, rate).frame(frame));
  }

  /** Pictures in a strip, and in each of its rows. */
  private static final int STRIP = 24;

  private static final int STRIP_ROW = 8;
  private static final int STRIP_HEIGHT = 112;

  /** Pictures from all over a take in rows of eight, as a JPEG. */
  public byte[] strip(String hash, FrameRate rate, long frames) throws IOException {
    ProxyFile proxy = proxy(hash, rate);
    int h = STRIP_HEIGHT;
    int w = Math.max(2, (int) Math.round(h * proxy.shape().aspect() / 2) * 2);
    Frame sheet = new Frame(w * STRIP_ROW, h * (STRIP / STRIP_ROW));
    Framer framer = Framer.of(proxy.shape(), w, h, Framing.FILL);
    Frame small = new Frame(w, h);
    for (int i = 0; i < STRIP; i++) {
      framer.draw(proxy.frame(i * Math.max(0, frames - 1) / (STRIP - 1)), small);
      sheet.paste(small, i % STRIP_ROW * w, i / STRIP_ROW * h);
    }
    return Jpeg.encode(sheet, 0.8f);
  }

  private ProxyFile proxy(String hash, FrameRate rate) throws IOException {
    String key = hash + " " + rate;
    synchronized (open) {
      try {
        ProxyFile proxy = open.computeIfAbsent(key, k -> openProxy(hash, rate));
        closeOldest();
        return proxy;
      } catch (UncheckedIOException e) {
        throw new IOException("The light copy of a take is missing; bring the file in again.", e);
      }
    }
  }

  private ProxyFile openProxy(String hash, FrameRate rate) {
    try {
      Medium medium = media.findById(hash).orElseThrow();
      return ProxyFile.open(
          paths.of(hash, rate), ProxyFile.shapeOf(medium.facts().shape().orElseThrow()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void closeOldest() throws IOException {
    Iterator<ProxyFile> oldest = open.values().iterator();
    while (open.size() > KEPT_OPEN && oldest.hasNext()) {
      oldest.next().close();
      oldest.remove();
    }
  }
}
