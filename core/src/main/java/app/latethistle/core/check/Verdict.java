package app.latethistle.core.check;

/** What is to be done about a finding, the gravest first. */
public enum Verdict {
  /** It must be put right before the film leaves. */
  MUST,
  /** Somebody should look at it; it may be meant. */
  LOOK,
  FINE
}
