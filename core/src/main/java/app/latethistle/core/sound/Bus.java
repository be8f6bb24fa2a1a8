package app.latethistle.core.sound;

/** What sounds are taken together as. */
public enum Bus {
  MUSIC,
  /** The clips' own sound. */
  CLIPS,
  VOICE,
  /** Sounds that are laid. */
  SOUNDS;

  /** Whether it is lowered while something is said. */
  public boolean ducks() {
    return this == MUSIC || this == CLIPS;
  }

  /** How many channels are wanted of its media. */
  public int channels() {
    return this == VOICE ? 1 : 2;
  }
}
