package app.latethistle.media;

import java.io.IOException;

/** A file that cannot be used; the message says why, for the person, without the file's name. */
public final class RefusedMedia extends IOException {
  public RefusedMedia(String reason) {
    super(reason);
  }
}
