package app.latethistle.server.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets whoever comes in beyond the machine watch by a link, and nothing else. */
final class BeyondFilter extends OncePerRequestFilter {
  private static final Pattern WATCHING =
      Pattern.compile("/watch/[\\w-]{16,64}(/(reels|notes|film/[\\w-]+/[\\w.-]+|masters/\\d+))?");

  /** What the page is made of. */
  private static final Pattern PAGE = Pattern.compile("/assets/[\\w.-]+|/thistle\\.svg");

  private final int port;

  /**
   * @param port at which they come in
   */
  BeyondFilter(int port) {
    this.port = port;
  }

  /** Whether a request came in beyond the machine; not by what it says, but by its connection. */
  static boolean isBeyond(HttpServletRequest request, int port) {
    return request.getLocalPort() == port;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getRequestURI();
    boolean may =
        WATCHING.matcher(path).matches()
            || (PAGE.matcher(path).matches() && request.getMethod().equals("GET"));
    if (may || !isBeyond(request, port)) {
      chain.doFilter(request, response);
    } else {
      response.setStatus(HttpServletResponse.SC_NOT_FOUND);
      response.setContentType("text/plain;charset=utf-8");
      response.getWriter().println("There is nothing to watch here.");
    }
  }
}
