package app.latethistle.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.OptionalLong;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The web API as a browser's page uses it: cookies, the CSRF token, JSON. */
public final class Api {
  private static final Duration PATIENCE = Duration.ofMinutes(3);

  private final String base;
  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();

  /** An answer and its status. */
  public static final class Answer {
    private final int status;
    private final String type;
    private final byte[] bytes;

    public Answer(int status, String type, byte[] bytes) {
      this.status = status;
      this.type = type;
      this.bytes = bytes;
    }

    public int status() {
      return status;
    }

    public String type() {
      return type;
    }

    public byte[] bytes() {
      return bytes;
    }

    public JsonNode json() {
      return JsonMapper.shared().readTree(bytes);
    }

    public String text() {
      return new String(bytes, StandardCharsets.UTF_8);
    }

    /** The sentence for the person in a refusal. */
    public String detail() {
      return json().path("detail").asString("");
    }
  }

  private final String person;
  private final int port;

  Api(int port) {
    this(port, "");
  }

  /** A browser that says whose it is. */
  Api(int port, String person) {
    this.person = person;
    this.port = port;
    base = "http://127.0.0.1:" + port;
  }

  /** The same server asked from another person's browser. */
  Api as(String other) {
    return new Api(port, other);
  }

  public Answer get(String path) {
    return send("GET", path, BodyPublishers.noBody(), "application/json");
  }

  /** How long an answer says that it is; empty if it does not say. */
  OptionalLong lengthOf(String path) {
    HttpRequest request = HttpRequest.newBuilder(URI.create(base + path)).build();
    try {
      return client
          .send(request, BodyHandlers.discarding())
          .headers()
          .firstValueAsLong("Content-Length");
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  public Answer post(String path, Object body) {
    return json("POST", path, body);
  }

  public Answer json(String method, String path, Object body) {
    return send(
        method,
        path,
        BodyPublishers.ofString(JsonMapper.shared().writeValueAsString(body)),
        "application/json");
  }

  public Answer delete(String path) {
    return send("DELETE", path, BodyPublishers.noBody(), "application/json");
  }

  /** Sends a text as if it were JSON. */
  Answer text(String path, String body) {
    return send("POST", path, BodyPublishers.ofString(body), "application/json");
  }

  /** Sends bytes as they are. */
  public Answer bytes(String path, byte[] bytes) {
    return send("POST", path, BodyPublishers.ofByteArray(bytes), "application/octet-stream");
  }

  /** Brings a file into a production. */
  public Answer bring(long production, String name, byte[] bytes) {
    String query = URLEncoder.encode(name, StandardCharsets.UTF_8);
    return send(
        "POST",
        "/api/productions/" + production + "/files?name=" + query,
        BodyPublishers.ofByteArray(bytes),
        "application/octet-stream");
  }

  private Answer send(String method, String path, BodyPublisher body, String type) {
    if (!method.equals("GET") && token().isEmpty()) {
      get("/api/productions");
    }
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(base + path))
            .method(method, body)
            .header("Content-Type", type)
            .header("X-XSRF-TOKEN", token())
            .header("X-Person", person)
            .build();
    try {
      HttpResponse<byte[]> response = client.send(request, BodyHandlers.ofByteArray());
      return new Answer(
          response.statusCode(),
          response.headers().firstValue("Content-Type").orElse(""),
          response.body());
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private String token() {
    return cookies.getCookieStore().getCookies().stream()
        .filter(c -> c.getName().equals("XSRF-TOKEN"))
        .map(HttpCookie::getValue)
        .findFirst()
        .orElse("");
  }

  /** Asks again and again until the answer is as wished, the seldomer the longer answers take. */
  public JsonNode until(String path, Predicate<JsonNode> wish) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (true) {
      long asked = System.nanoTime();
      JsonNode answer = get(path).json();
      long took = (System.nanoTime() - asked) / 1_000_000;
      if (wish.test(answer)) {
        return answer;
      }
      if (System.nanoTime() > end) {
        throw new AssertionError(path + " still answers " + answer);
      }
      try {
        Thread.sleep(100 + 4 * took);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
  }

  /** Makes a production of 24 fps. */
  public long production(String title, int width, int height, double seconds) {
    return post(
            "/api/productions",
            Map.of(
                "title",
                title,
                "width",
                width,
                "height",
                height,
                "rate",
                "24",
                "targetSeconds",
                seconds))
        .json()
        .get("id")
        .asLong();
  }

  /** A file of the demo, by how its name begins. */
  public static Path demo(String beginning) {
    try (var files = Files.list(Path.of("..", "demo"))) {
      return files
          .filter(f -> f.getFileName().toString().startsWith(beginning))
          .findFirst()
          .orElseThrow();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** Brings demo files in and waits until all are prepared and a song, if any, is listened to. */
  public void bringDemo(long production, String... beginnings) {
    for (String beginning : beginnings) {
      Path file = demo(beginning);
      try {
        bring(production, file.getFileName().toString(), Files.readAllBytes(file));
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      }
    }
    String path = "/api/productions/" + production;
    until(path + "/material", m -> !m.toString().contains("PREPARING"));
    until(path + "/songs", s -> !s.toString().contains("PREPARING"));
  }
}
