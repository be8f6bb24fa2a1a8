package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.document.Colour;
import io.swagger.v3.oas.annotations.media.Schema;

/**
 * A transition as the page shows and sets it.
 *
 * @param amount how long it lasts, in its unit; 0 for a plain cut
 * @param lies what of it lies on the joint's moment
 * @param angle where it goes to, in degrees clockwise from the right; null for as usual
 * @param softness of its edge, in percent; null for as usual
 * @param colour through which it goes, as #rrggbb; null for as usual
 * @param pattern by which it goes; null for as usual
 * @param picture SHA-256 of the file of a still take by which it goes instead, what is dark first;
 *     null for none
 * @param holds whether a shot that has no picture left may stand still
 */
public record Passing(
    TransitionKind kind,
    long amount,
    Span.Unit unit,
    Transition.Lies lies,
    @Schema(nullable = true) Integer angle,
    @Schema(nullable = true) Integer softness,
    @Schema(nullable = true) String colour,
    @Schema(nullable = true) LumaPattern pattern,
    @Schema(nullable = true) String picture,
    boolean holds) {

  /** How a kind is if nothing is said, one beat long. */
  static Passing usual(TransitionKind kind) {
    return of(Transition.of(kind, Span.quarterBeats(4)));
  }

  static Passing of(Transition t) {
    TransitionManner m = t.manner();
    return new Passing(
        t.kind(),
        t.span().amount(),
        t.span().unit(),
        t.lies(),
        m.angle(),
        m.softness(),
        new Colour(m.colour()).text(),
        m.pattern(),
        m.picture().isEmpty() ? null : m.picture(),
        t.holds());
  }

  /**
   * As the film keeps it.
   *
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Transition transition() {
    if (kind == null || kind == TransitionKind.CUT) {
      return Transition.CUT;
    }
    if (unit == null) {
      throw new Refused("Say whether a transition's length is in frames, beats or seconds.");
    }
    TransitionManner usual = kind.usual();
    return new Transition(
        kind,
        new Span(amount, unit),
        lies == null ? Transition.Lies.MIDDLE : lies,
        new TransitionManner(
            angle == null ? usual.angle() : angle,
            softness == null ? usual.softness() : softness,
            colour == null ? usual.colour() : rgb(colour),
            pattern == null ? usual.pattern() : pattern,
            picture == null ? usual.picture() : picture),
        holds);
  }

  /**
   * A colour as it is typed.
   *
   * @throws IllegalArgumentException if it is none
   */
  static int rgb(String colour) {
    if (colour == null || !colour.matches("#[0-9a-fA-F]{6}")) {
      throw new Refused("A colour is said as #rrggbb, such as #204060; " + colour + " is not.");
    }
    return Integer.parseInt(colour.substring(1), 16);
  }
}
