package app.latethistle.core.film;

import app.latethistle.core.Refused;

/** An edit is refused for a shot of the cut. Whoever knows what persons call the shot names it. */
public final class ShotRefused extends Refused {
  private static final long serialVersionUID = 1;

  private final String shot;
  private final String says;

  /**
   * @param says what goes on behind the shot's name, such as "is locked"
   */
  ShotRefused(Film film, int place, String says) {
    super("Shot " + (place + 1) + " of the film " + says);
    this.shot = film.placementAt(place).shot();
    this.says = says;
  }

  /** The shot that is shown there; "" for a gap. */
  public String shot() {
    return shot;
  }

  /** The same with the shot called as persons call it. */
  public Refused called(String name) {
    return new Refused(name + " " + says);
  }
}
