package app.latethistle.server.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets only so many requests work at once that render pictures or sound or plan a song's length, in
 * the order in which they came. The others wait, and are sent away after a while.
 */
final class CostlyReads extends OncePerRequestFilter {
  private static final Pattern COSTLY =
      Pattern.compile(
          "/api/productions/\\d+/(preview/.*|takes/\\d+/(strip|frames).*|songs/\\d+/lengths.*|band"
              + "|outputs/\\d+/measure)"
              + "|/watch/[^/]+/film/.*");
  private static final int PATIENCE_SECONDS = 30;

  private final Semaphore places =
      new Semaphore(2 * Runtime.getRuntime().availableProcessors() + 2, true);

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !COSTLY.matcher(request.getRequestURI()).matches();
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      if (!places.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
        response.setHeader("Retry-After", "2");
        response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        response.setContentType("application/problem+json");
        response.getWriter().print("{\"detail\": \"Too much is being drawn at once; try again.\"}");
        return;
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return;
    }
    try {
      chain.doFilter(request, response);
    } finally {
      places.release();
    }
  }
}
