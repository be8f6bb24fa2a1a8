package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Content credentials in files: the C2PA's own reader of them (npm's c2pa-wasm), as a process of
 * Node, and a film as it is without.
 */
final class Credentials {
  private Credentials() {}

  /**
   * A signed MP4 without its second box, in which its credentials stand: they are others at each
   * signing, though the film is the same.
   */
  static byte[] unsigned(byte[] film) {
    ByteBuffer boxes = ByteBuffer.wrap(film);
    int first = boxes.getInt(0);
    int second = boxes.getInt(first);
    String type = new String(film, first + Integer.BYTES, Integer.BYTES, StandardCharsets.US_ASCII);
    assertThat(type).as("the box of credentials").isEqualTo("uuid");
    return ByteBuffer.allocate(film.length - second)
        .put(film, 0, first)
        .put(film, first + second, film.length - first - second)
        .array();
  }

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
