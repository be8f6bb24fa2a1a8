package app.latethistle.server.config;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;

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
}
