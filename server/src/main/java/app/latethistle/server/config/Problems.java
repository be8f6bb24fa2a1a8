package app.latethistle.server.config;

import app.latethistle.media.RefusedMedia;
import java.util.NoSuchElementException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;

/** Turns exceptions into answers whose detail is a sentence for the person (RFC 9457). */
@RestControllerAdvice
class Problems {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  /** Somebody else changed the film first. */
  @ExceptionHandler(StaleRevision.class)
  ProblemDetail stale(StaleRevision e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
  }

  @ExceptionHandler(NoSuchElementException.class)
  ProblemDetail missing(NoSuchElementException e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, e.getMessage());
  }

  @ExceptionHandler({IllegalArgumentException.class, RefusedMedia.class})
  ProblemDetail refused(Exception e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
  }

  /** A body with a value that a model refuses is answered with the model's own words. */
  @ExceptionHandler(HttpMessageNotReadableException.class)
  ProblemDetail unreadable(HttpMessageNotReadableException e) {
    Throwable cause = e;
    while (cause != null && !(cause instanceof IllegalArgumentException)) {
      cause = cause.getCause();
    }
    return ProblemDetail.forStatusAndDetail(
        cause == null ? HttpStatus.BAD_REQUEST : HttpStatus.UNPROCESSABLE_CONTENT,
        cause == null ? "The request could not be read." : cause.getMessage());
  }

  /** The browser went away while it was being answered. */
  @ExceptionHandler(AsyncRequestNotUsableException.class)
  void gone(AsyncRequestNotUsableException e) {
    LOG.debug("A client closed its connection.", e);
  }

  @ExceptionHandler(java.io.IOException.class)
  ProblemDetail failed(java.io.IOException e) {
    LOG.warn("A request failed.", e);
    return ProblemDetail.forStatusAndDetail(HttpStatus.INTERNAL_SERVER_ERROR, e.getMessage());
  }
}
