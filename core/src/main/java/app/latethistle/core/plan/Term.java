package app.latethistle.core.plan;

/** A term of the planner's objective. */
public enum Term {
  /** Shots away from the length the pace gives them. */
  LENGTH,
  /** Shots too short to be read. */
  SHORT,
  /** Cuts on weaker moments than downbeats. */
  BEAT,
  /** Cuts inside words, less cuts just before phrases. */
  WORD,
  /** Lines that are spoken while the shot they speak of is not seen. */
  LINE,
  /** Borders of sections and key moments without a cut. */
  BORDER,
  /** Shots that use the material their handles need. */
  HANDLES,
  /** Pictures that move less or more than the music they are on. */
  ENERGY,
  /** Neighbours that look alike, which reads as a jump. */
  ALIKE,
  /** Neighbours that move against each other, less those that carry the motion on. */
  MOTION,
  /** Cuts where another proposal cuts too. */
  SAME,
  /** How much sooner than wanted the film ends. */
  END
}
