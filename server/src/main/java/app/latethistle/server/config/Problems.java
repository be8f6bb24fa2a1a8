package app.latethistle.server.config;

import app.latethistle.core.Refused;
import app.latethistle.media.RefusedMedia;
import java.io.IOException;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;

/**
 * Turns exceptions into answers whose detail is a sentence for the person (RFC 9457). Only what
 * says so is the person's; anything else is a fault of ours and told as one.
 */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  /** Somebody else changed the film first. */
  @ExceptionHandler(StaleRevision.class)
  ProblemDetail stale(StaleRevision e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
  }

  @ExceptionHandler(Missing.class)
  ProblemDetail missing(Missing e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, e.getMessage());
  }

  @ExceptionHandler({Refused.class, RefusedMedia.class})
  ProblemDetail refused(Exception e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
  }

  /** Which value of a body is missing or of another kind, by its path. */
  private static String unread(HttpMessageNotReadableException e) {
    if (e.getCause() instanceof JacksonException wrong && !wrong.getPath().isEmpty()) {
      String path =
          wrong.getPath().stream()
              .map(at -> at.getPropertyName() == null ? "" + at.getIndex() : at.getPropertyName())
              .collect(Collectors.joining("."));
      return "The request could not be read: '" + path + "' is missing or of another kind.";
    }
    return "The request could not be read: its body is not of the kind that is asked for.";
  }

  /** A body with a value that a model refuses is answered with the model's own words. */
  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    Throwable cause = e;
    while (cause != null && !(cause instanceof Refused)) {
      cause = cause.getCause();
    }
    HttpStatus answer = cause == null ? HttpStatus.BAD_REQUEST : HttpStatus.UNPROCESSABLE_CONTENT;
    String said = cause == null ? unread(e) : cause.getMessage();
    return handleExceptionInternal(
        e, ProblemDetail.forStatusAndDetail(answer, said), headers, answer, request);
  }

  /** Something of the machine: a full disk, a file that is gone, a program that failed. */
  @ExceptionHandler(IOException.class)
  ProblemDetail failed(IOException e) {
    String why = Reason.of(e);
    LOG.warn("A request failed: {}", why);
    LOG.debug("A request failed.", e);
    return ProblemDetail.forStatusAndDetail(HttpStatus.INTERNAL_SERVER_ERROR, why);
  }

  /** A fault of ours. */
  @ExceptionHandler({RuntimeException.class, StackOverflowError.class, OutOfMemoryError.class})
  ProblemDetail fault(Throwable e) {
    LOG.error("A request met a fault.", e);
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Something went wrong in Late Thistle itself, and nothing was changed. Try again; if it"
            + " stays, its log says where.");
  }
}
