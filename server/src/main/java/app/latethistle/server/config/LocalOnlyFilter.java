package app.latethistle.server.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses requests that name another host or come from another site's page, so that a page
 * elsewhere can neither reach the application by a name of its own nor post to it.
 */
final class LocalOnlyFilter extends OncePerRequestFilter {
  private static final Set<String> LOCAL = Set.of("127.0.0.1", "localhost", "[::1]");

  private final Optional<Settings.Address> beyond;

  /**
   * @param beyond where others come in who only watch; they are none of its business
   */
  LocalOnlyFilter(Optional<Settings.Address> beyond) {
    this.beyond = beyond;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return beyond.filter(b -> BeyondFilter.isBeyond(request, b.port())).isPresent();
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    // Not getServerPort(), which repeats what the Host header claims.
    int port = request.getLocalPort();
    if (isLocal("http://" + request.getHeader("Host"), port)
        && isOwn(request.getHeader("Origin"), port)
        && !isForeign(request)) {
      chain.doFilter(request, response);
    } else {
      response.setStatus(HttpServletResponse.SC_FORBIDDEN);
      response.setContentType("text/plain;charset=utf-8");
      response
          .getWriter()
          .println("Late Thistle answers only its own page; open it at http://127.0.0.1.");
    }
  }

  /** Whether another site's page asks, which sends no origin with pictures and scripts. */
  private static boolean isForeign(HttpServletRequest request) {
    return "cross-site".equals(request.getHeader("Sec-Fetch-Site"))
        && request.getRequestURI().startsWith("/api/");
  }

  private static boolean isOwn(String origin, int port) {
    return origin == null || isLocal(origin, port);
  }

  private static boolean isLocal(String address, int port) {
    try {
      URI uri = URI.create(address);
      int named = uri.getPort() < 0 ? 80 : uri.getPort();
      return uri.getHost() != null
          && LOCAL.contains(uri.getHost())
          && "http".equals(uri.getScheme())
          && named == port;
    } catch (IllegalArgumentException e) {
      return false;
    }
  }
}
