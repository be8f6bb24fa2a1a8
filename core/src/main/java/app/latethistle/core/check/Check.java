package app.latethistle.core.check;

/** What is looked at, in the order in which it is told. */
public enum Check {
  /** The file decodes whole. */
  WHOLE,
  /** Picture and sound are as long as each other and as asked. */
  LENGTH,
  /** Nothing of the film's material is missing. */
  MATERIAL,
  /** No slate stands for a shot. */
  SLATES,
  /** Black only where it is planned. */
  BLACK,
  /** No picture stands still that is to move. */
  FROZEN,
  /** No frame is shown twice by a change of rate. */
  REPEATED,
  /** No flashes that hurt (WCAG 2.3.1). */
  FLASHES,
  /** Colours within what may be sent (EBU R 103). */
  LEVELS,
  /** No service's mark is seen. */
  MARKS,
  /** No picture is enlarged until it is soft. */
  ENLARGED,
  /** Shots look alike. */
  DRIFT,
  /** Cuts keep what they are tied to, and fall in no word. */
  CUTS,
  /** As loud as asked. */
  LOUDNESS,
  /** True peaks under the ceiling. */
  PEAK,
  /** Speech is heard over all else. */
  SPEECH,
  /** No silence that is not meant. */
  SILENCE,
  /** A place's ambience is heard wherever the film is there. */
  AMBIENCE,
  /** No clicks. */
  CLICKS,
  /** Titles can be read and lie in the safe area. */
  TITLES,
  /** Captions keep their rules. */
  CAPTIONS,
  /** Words are written as the script writes them. */
  SPELLING,
  /** All that is used may be used. */
  RIGHTS
}
