package app.latethistle.core;

/**
 * A value that a person gave cannot be used. The message is a sentence for them: which value, and
 * what it must be. Faults of ours are other exceptions, so that they are not shown as theirs.
 */
public class Refused extends IllegalArgumentException {
  private static final long serialVersionUID = 1;

  /**
   * @param sentence for the person
   */
  public Refused(String sentence) {
    super(sentence);
  }
}
