package app.latethistle.core.story;

/**
 * A part of a script.
 *
 * @param kind what it is
 * @param speaker who says it, or ""
 * @param text its words, without marks of emphasis
 * @param line the line of the text it begins on, from 1
 */
public record ScriptElement(Kind kind, String speaker, String text, int line) {
  /** What a part of a script is. */
  public enum Kind {
    TITLE,
    SCENE,
    ACTION,
    /** Spoken over the picture. */
    NARRATION,
    /** Spoken by somebody in the picture. */
    DIALOGUE,
    TRANSITION,
    /** Written for those who make the film; neither seen nor heard. */
    NOTE
  }

  /** Whether it is heard. */
  public boolean isSpoken() {
    return kind == Kind.NARRATION || kind == Kind.DIALOGUE;
  }
}
