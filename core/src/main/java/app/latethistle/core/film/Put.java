package app.latethistle.core.film;

import app.latethistle.core.Refused;

/**
 * Puts an item over or beside the cut, one in place of another, or takes it away.
 *
 * @param kind what kind of item
 * @param id its name
 * @param item how it is to be; null takes it away
 * @param label what is done, for the undo button
 */
public record Put<I>(ItemKind.ListKind<I> kind, String id, I item, String label) implements Edit {
  /**
   * @throws IllegalArgumentException if the item has another name
   */
  public Put {
    if (item != null && !kind.idOf(item).equals(id)) {
      throw new Refused("The item is named " + kind.idOf(item) + ", not " + id + ".");
    }
  }

  /** Lays a shot over the cut, or changes one that lies there. */
  public static Put<Overlay> overlay(Overlay overlay) {
    return new Put<>(ItemKind.OVERLAY, overlay.name(), overlay, "lay a shot over");
  }

  /** Puts a sound beside the cut, or changes one that is there. */
  public static Put<FilmSound> sound(FilmSound sound) {
    return new Put<>(ItemKind.SOUND, sound.id(), sound, "change a sound");
  }

  /** Puts a title into the film, or changes one that is there. */
  public static Put<FilmTitle> title(FilmTitle title) {
    return new Put<>(ItemKind.TITLE, title.id(), title, "change a title");
  }

  /** Says something of the captions in a language. */
  public static Put<FilmCaptions> captions(FilmCaptions captions) {
    return new Put<>(ItemKind.CAPTIONS, captions.id(), captions, "change captions");
  }

  /** Sets a marker, or changes one. */
  public static Put<Marker> marker(Marker marker) {
    return new Put<>(ItemKind.MARKER, marker.id(), marker, "set a marker");
  }

  /** Takes an item away. */
  public static <I> Put<I> away(ItemKind.ListKind<I> kind, String id) {
    return new Put<>(kind, id, null, "take the " + kind + " out");
  }

  @Override
  public Film apply(Film film) {
    return item == null ? kind.without(film, id) : kind.withItem(film, item);
  }

  @Override
  public Edit inverse(Film before) {
    return new Put<>(kind, id, kind.find(before, id).orElse(null), label);
  }
}
