package app.latethistle.server.config;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** What a file is called that a browser saves. */
public final class Attachment {
  private Attachment() {}

  /**
   * The header's value, by RFC 6266.
   *
   * @param title as a person wrote it; what no file's name may have becomes "_"
   * @param ending of the file's name, with its dot
   */
  public static String named(String title, String ending) {
    String name = title.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "_") + ending;
    return ContentDisposition.attachment()
        .filename(name, StandardCharsets.UTF_8)
        .build()
        .toString();
  }

  /**
   * An answer that a browser saves, without what is in it.
   *
   * @param type of what is in it, such as "text/csv;charset=UTF-8"
   */
  public static ResponseEntity.BodyBuilder answer(String title, String ending, String type) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, named(title, ending))
        .contentType(MediaType.parseMediaType(type));
  }
}
