package app.latethistle.server.demo;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Layers;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Matte;
import app.latethistle.core.take.Take;
import java.util.List;

/** A shot of the demo that is made of two takes: a figure walks away into another picture. */
final class DemoComposite {
  /** Where the figure stands first and last: its feet on the planks, smaller as it goes. */
  private static final LiePath AWAY =
      LiePath.of(Lie.WHOLE.at(450, 522, 648), Lie.WHOLE.at(330, 538, 601), Easing.EVEN);

  /** How much of the evening light comes round the figure, in percent. */
  private static final int LIGHT = 30;

  private DemoComposite() {}

  /**
   * A film with the figure over the shot it is a take of; the film itself if that is not cut.
   *
   * @param shot the shot's id
   * @param backing the colour that stands behind the figure, as 0xRRGGBB
   */
  static Film of(Resolved film, String shot, Take figure, int backing) {
    int place = film.film().indexOfShot(shot);
    if (place < 0 || film.film().placementAt(place).take().equals(figure.id())) {
      return film.film();
    }
    Matte matte = new Matte(List.of(Key.of(backing)), List.of(), LIGHT);
    Placement over = Placement.of(shot, figure.id(), /* in= */ 0, Framing.FILL);
    over = over.withAppearance(over.how().withMatte(matte));
    List<Tie> ties = film.film().ties();
    Film laid = Layers.layOver(film, over, ties.get(place), ties.get(place + 1)).apply(film.film());
    Overlay top = laid.overlays().get(laid.overlays().size() - 1);
    return Layers.change(film.with(laid), top.withLie(AWAY)).apply(laid);
  }
}
