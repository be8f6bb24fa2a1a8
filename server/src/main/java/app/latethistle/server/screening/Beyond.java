package app.latethistle.server.screening;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.config.Settings;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Where links are served beyond this machine. */
@ServerOnly
@Component
class Beyond {
  private final Settings settings;

  Beyond(Settings settings) {
    this.settings = settings;
  }

  /** The address, such as "http://192.168.1.20:8788"; empty for nowhere. */
  Optional<String> address() {
    return settings.beyond().map(b -> "http://" + b.host() + ":" + b.port());
  }
}
