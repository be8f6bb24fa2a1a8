package app.latethistle.server.config;

/** Something that a request names is not there. The message is a sentence for the person. */
public final class Missing extends RuntimeException {
  private static final long serialVersionUID = 1;

  /**
   * @param sentence for the person
   */
  public Missing(String sentence) {
    super(sentence);
  }
}
