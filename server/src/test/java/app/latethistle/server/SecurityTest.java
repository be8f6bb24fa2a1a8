package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class SecurityTest {
  private final int port = RunningServer.shared().port();

  private String answer(String request) throws IOException {
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
      socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private String get(String host, String more) throws IOException {
    return answer(
        "GET /api/productions HTTP/1.1\r\nHost: "
            + host
            + "\r\n"
            + more
            + "Connection: close\r\n\r\n");
  }

  @ParameterizedTest
  @CsvSource({
    "evil.example, 403",
    "evil.example:PORT, 403",
    "127.0.0.1.evil.example:PORT, 403",
    "127.0.0.1:1, 403",
    "user@evil.example:PORT, 4",
    "127.0.0.1:PORT, 200",
    "localhost:PORT, 200",
  })
  void answersOnlyToItsOwnName(String host, String status) throws IOException {
    String said = get(host.replace("PORT", Integer.toString(port)), "");
    assertThat(said).startsWith("HTTP/1.1 " + status);
  }

  @ParameterizedTest
  @CsvSource({
    "http://evil.example, 403",
    "null, 403",
    "https://127.0.0.1:PORT, 403",
    "http://127.0.0.1:1, 403",
    "http://127.0.0.1:PORT, 200",
  })
  void answersOnlyItsOwnPage(String origin, String status) throws IOException {
    String own = Integer.toString(port);
    String said = get("127.0.0.1:" + own, "Origin: " + origin.replace("PORT", own) + "\r\n");
    assertThat(said).startsWith("HTTP/1.1 " + status);
  }

  /** Browsers send no origin with a foreign page's pictures and scripts, but say where it is. */
  @ParameterizedTest
  @CsvSource({"cross-site, 403", "same-origin, 200", "none, 200"})
  void worksForNoForeignPagesPictures(String site, String status) throws IOException {
    String said = get("127.0.0.1:" + port, "Sec-Fetch-Site: " + site + "\r\n");
    assertThat(said).startsWith("HTTP/1.1 " + status);
  }

  @Test
  void changesNothingWithoutTheToken() throws IOException {
    Api api = RunningServer.shared().api();
    int before = api.get("/api/productions").json().size();
    String body =
        "{\"title\":\"Forged\",\"width\":640,\"height\":360,\"rate\":\"24\",\"targetSeconds\":9}";
    String said =
        answer(
            "POST /api/productions HTTP/1.1\r\nHost: 127.0.0.1:"
                + port
                + "\r\nContent-Type: application/json\r\nContent-Length: "
                + body.length()
                + "\r\nConnection: close\r\n\r\n"
                + body);
    assertThat(said).startsWith("HTTP/1.1 403");
    assertThat(api.get("/api/productions").json().size()).isEqualTo(before);
  }

  @Test
  void headersKeepForeignScriptsOut() throws IOException {
    assertThat(get("127.0.0.1:" + port, ""))
        .contains("default-src 'self'")
        .contains("frame-ancestors 'none'")
        .contains("X-Content-Type-Options: nosniff");
  }

  @Test
  void servesThePageAtDeepPathsAndNothingElse() {
    Api api = RunningServer.shared().api();
    assertThat(api.get("/productions/7/score").text()).contains("<div id=\"root\">");
    assertThat(api.get("/api/nothing").status()).isEqualTo(404);
    assertThat(api.get("/../application.properties").status()).isGreaterThanOrEqualTo(400);
  }

  /** The front end's types are made from the committed schema; it must be the real one. */
  @Test
  void theCommittedSchemaIsTheApplications() throws IOException {
    JsonNode real = RunningServer.shared().api().get("/api/openapi").json();
    Path committed = Path.of("src", "main", "openapi", "openapi.json");
    assertThat(JsonMapper.shared().readTree(Files.readAllBytes(committed)))
        .as("write /api/openapi to %s and run npm run types in web", committed)
        .isEqualTo(real);
  }
}
