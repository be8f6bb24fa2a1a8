package app.latethistle.server;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The C2PA's own reader of content credentials (npm's c2pa-wasm), as a process of Node. */
final class Credentials {
  private Credentials() {}

  /**
   * What it makes of files.
   *
   * @param files with their media types
   */
  static JsonNode read(Map<Path, String> files) throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of("node", Path.of("..", "web", "checks", "credentials.mjs").toString()));
    files.forEach((file, type) -> command.addAll(List.of(type, file.toString())));
    Process node =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
    return JsonMapper.shared().readTree(node.getInputStream().readAllBytes());
  }
}
