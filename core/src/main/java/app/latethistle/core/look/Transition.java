package app.latethistle.core.look;

/** How one shot becomes the next. */
public sealed interface Transition {
  /** From one frame to the next. */
  Transition CUT = new PlainCut();

  /** A plain cut: the shots share no frame. */
  record PlainCut() implements Transition {}
}
