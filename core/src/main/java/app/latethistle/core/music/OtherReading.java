package app.latethistle.core.music;

/**
 * Another way to count a song that fits what is heard nearly as well as the one that was chosen.
 */
public enum OtherReading {
  /** The beats lie where the off-beats were thought to be. */
  HALF_A_BEAT_LATER,
  TWICE_AS_QUICK,
  HALF_AS_QUICK
}
