package app.latethistle.core.take;

/** What a person finds wrong with a take. */
public enum Fault {
  WRONG_MOVE("wrong move"),
  EXTRA_LIMBS("extra limbs"),
  FACE("face"),
  LETTERING("lettering"),
  LOOK("look"),
  OTHER("other");

  private final String label;

  Fault(String label) {
    this.label = label;
  }

  /** In words. */
  public String label() {
    return label;
  }
}
