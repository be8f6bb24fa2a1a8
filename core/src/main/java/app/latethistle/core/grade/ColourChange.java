package app.latethistle.core.grade;

/** What becomes of a colour, wherever in the picture it is. */
@FunctionalInterface
public interface ColourChange {
  /** What becomes of a colour, which may lie beyond black and white, as what comes of it may. */
  Signal apply(Signal colour);

  /** This and another one after it; colours between them are held by nothing. */
  default ColourChange then(ColourChange next) {
    return colour -> next.apply(apply(colour));
  }
}
