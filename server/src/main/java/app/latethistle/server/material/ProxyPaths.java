package app.latethistle.server.material;

import app.latethistle.core.time.FrameRate;
import app.latethistle.media.ContentStore;
import java.io.IOException;
import java.nio.file.Path;
import org.springframework.stereotype.Component;

/** Where light copies lie: one for each file and frame rate. */
@Component
public class ProxyPaths {
  private final ContentStore store;

  ProxyPaths(ContentStore store) {
    this.store = store;
  }

  /** The place of a file's light copy at a rate, whether it exists or not. */
  public Path of(String hash, FrameRate rate) throws IOException {
    return store.derived("proxies", hash + "-" + rate.toString().replace('/', '_') + ".proxy");
  }
}
