package app.latethistle.server.config;

import java.nio.file.Path;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The application's own settings.
 *
 * @param data the folder of the media store
 * @param demo the folder of the demo's files
 * @param node this process among those that share the database; no two alike
 * @param worker whether it only works on what others queue: no page, no demo, no services
 * @param listen where links to watch are served beyond the machine, as HOST or HOST:PORT; "" for
 *     nowhere
 * @param seedDemo whether an empty shelf gets the demo at the start
 */
@ConfigurationProperties("latethistle")
public record Settings(
    Path data, Path demo, boolean seedDemo, String node, boolean worker, String listen) {
  private static final int USUAL_PORT = 8788;

  /** An address beyond the machine. */
  public record Address(String host, int port) {}

  /**
   * Where links to watch are served beyond the machine; empty for nowhere.
   *
   * @throws StartRefused if the setting is no address
   */
  public Optional<Address> beyond() {
    if (listen == null || listen.isBlank()) {
      return Optional.empty();
    }
    Matcher said = ADDRESS.matcher(listen.strip());
    if (!said.matches()) {
      throw new StartRefused(
          "--listen " + listen + " is no address.", "Give this machine's, such as 192.168.1.20.");
    }
    int port = said.group(2) == null ? USUAL_PORT : Integer.parseInt(said.group(2));
    return Optional.of(new Address(said.group(1), port));
  }

  private static final Pattern ADDRESS =
      Pattern.compile("([\\w.-]+|\\[[0-9a-fA-F:]+\\])(?::(\\d{1,5}))?");
}
