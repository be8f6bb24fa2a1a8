package app.latethistle.core.release;

/** How good a picture leaves; each step down about halves the file. */
public enum Quality {
  HIGH,
  STANDARD,
  SMALL
}
