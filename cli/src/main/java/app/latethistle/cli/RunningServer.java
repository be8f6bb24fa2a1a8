package app.latethistle.cli;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.net.ConnectException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandler;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The server that ./start runs, asked as its page asks it. */
final class RunningServer {
  private static final int OK = 200;
  private static final int CREATED = 201;

  @Option(
      names = "--server",
      paramLabel = "ADDRESS",
      description = "Where it runs; ${DEFAULT-VALUE} if not given.",
      defaultValue = "http://127.0.0.1:8787")
  private String address;

  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();

  String address() {
    return address;
  }

  /**
   * The number of a production.
   *
   * @throws IOException if there is none of that title, or several
   */
  long production(String title) throws IOException {
    List<JsonNode> shelf = read("/api/productions").valueStream().toList();
    List<JsonNode> called =
        shelf.stream().filter(p -> p.get("title").asString().equals(title)).toList();
    if (called.size() == 1) {
      return called.get(0).get("id").asLong();
    }
    String titles =
        shelf.stream().map(p -> p.get("title").asString()).collect(Collectors.joining(", "));
    throw new IOException(
        called.isEmpty()
            ? "There is no production '" + title + "' there; there are: " + titles + "."
            : "There are " + called.size() + " productions '" + title + "'; rename one first.");
  }

  private JsonNode read(String path) throws IOException {
    return json(send(HttpRequest.newBuilder(at(path)).build(), BodyHandlers.ofByteArray()));
  }

  /** Saves what is answered. */
  void save(String path, Path file) throws IOException {
    HttpResponse<Path> answer =
        send(HttpRequest.newBuilder(at(path)).build(), BodyHandlers.ofFile(file));
    if (answer.statusCode() != OK) {
      throw new IOException(detail(Files.readAllBytes(file), answer.statusCode()));
    }
  }

  /** Sends a file, and answers what is said to it. */
  JsonNode send(String path, Path file) throws IOException {
    // The first answer brings the token that changes have to have.
    read("/api/productions");
    String token =
        cookies.getCookieStore().getCookies().stream()
            .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
            .map(HttpCookie::getValue)
            .findFirst()
            .orElse("");
    try {
      return json(
          send(
              HttpRequest.newBuilder(at(path))
                  .header("X-XSRF-TOKEN", token)
                  .header("Content-Type", "application/octet-stream")
                  .POST(BodyPublishers.ofFile(file))
                  .build(),
              BodyHandlers.ofByteArray()));
    } catch (FileNotFoundException e) {
      throw new IOException(file + ": there is no such file.", e);
    }
  }

  private URI at(String path) throws IOException {
    try {
      return URI.create(address.replaceFirst("/+$", "") + path);
    } catch (IllegalArgumentException e) {
      throw new IOException("--server: '" + address + "' is no address.", e);
    }
  }

  private <T> HttpResponse<T> send(HttpRequest request, BodyHandler<T> body) throws IOException {
    try {
      return client.send(request, body);
    } catch (ConnectException e) {
      throw new IOException(
          "No server answers at " + address + "; begin with ./start, or name it with --server.", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("Stopped while the server was asked.", e);
    }
  }

  private static JsonNode json(HttpResponse<byte[]> answer) throws IOException {
    if (answer.statusCode() != OK && answer.statusCode() != CREATED) {
      throw new IOException(detail(answer.body(), answer.statusCode()));
    }
    return JsonMapper.shared().readTree(answer.body());
  }

  /** The sentence for the person in a refusal. */
  private static String detail(byte[] problem, int status) {
    String unsaid = "The server answered with status " + status + ".";
    try {
      return JsonMapper.shared().readTree(problem).path("detail").asString(unsaid);
    } catch (JacksonException e) {
      return unsaid;
    }
  }
}
