package app.latethistle.document;

import java.io.IOException;

/** A document cannot be read; the message names each place and what is wrong there. */
public final class BrokenDocument extends IOException {
  private static final long serialVersionUID = 1;

  BrokenDocument(String message) {
    super(message);
  }

  /**
   * @param place a JSON Pointer (RFC 6901)
   */
  static BrokenDocument at(String place, String wrong) {
    return new BrokenDocument(place + ": " + wrong);
  }
}
