package app.latethistle.core.film;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A kind of item in a film, and how one is found and changed by its id. What a film gets more of is
 * one more kind here.
 *
 * @param <I> the item
 */
public final class ItemKind<I> {
  /** Shots, in the cut and over it. */
  public static final ItemKind<Placement> PLACEMENT =
      new ItemKind<>("shot", ItemKind::placementOf, ItemKind::withPlacement);

  /** Joints, called as the placement they begin. */
  public static final ItemKind<Joint> JOINT =
      new ItemKind<>("cut", ItemKind::jointOf, ItemKind::withJoint);

  /** Shots that lie over the cut. */
  public static final ListKind<Overlay> OVERLAY =
      new ListKind<>("overlay", Film::overlays, Film::withOverlays, Overlay::name);

  /** Sounds beside the cut. */
  public static final ListKind<FilmSound> SOUND =
      new ListKind<>("sound", Film::sounds, Film::withSounds, FilmSound::id);

  /** Places to remember. */
  public static final ListKind<Marker> MARKER =
      new ListKind<>("marker", Film::markers, Film::withMarkers, Marker::id);

  /** Titles. */
  public static final ListKind<FilmTitle> TITLE =
      new ListKind<>("title", Film::titles, Film::withTitles, FilmTitle::id);

  /** Captions, by language. */
  public static final ListKind<FilmCaptions> CAPTIONS =
      new ListKind<>("captions", Film::captions, Film::withCaptions, FilmCaptions::id);

  /** The film itself, whose id is "". */
  public static final ItemKind<Film> FILM =
      new ItemKind<>("film", (film, id) -> Optional.of(film), (film, id, item) -> item);

  private final String name;
  private final BiFunction<Film, String, Optional<I>> finding;
  private final Changing<I> changing;

  private interface Changing<I> {
    Film with(Film film, String id, I item);
  }

  private ItemKind(
      String name, BiFunction<Film, String, Optional<I>> finding, Changing<I> changing) {
    this.name = name;
    this.finding = finding;
    this.changing = changing;
  }

  /** The item of an id; empty if the film has none. */
  public Optional<I> find(Film film, String id) {
    return finding.apply(film, id);
  }

  /**
   * The item of an id.
   *
   * @throws IllegalArgumentException if the film has none, with a sentence for the person
   */
  I get(Film film, String id) {
    return find(film, id)
        .orElseThrow(
            () -> new Refused("That " + name + " is not in the film any more: " + id + "."));
  }

  /** The film with another item in place of the one of an id. */
  Film with(Film film, String id, I item) {
    return changing.with(film, id, item);
  }

  @Override
  public String toString() {
    return name;
  }

  private static Optional<Placement> placementOf(Film film, String id) {
    int place = film.indexOfId(id);
    return place >= 0
        ? Optional.of(film.placements().get(place))
        : OVERLAY.find(film, id).map(Overlay::placement);
  }

  private static Film withPlacement(Film film, String id, Placement placement) {
    int place = film.indexOfId(id);
    if (place < 0) {
      return OVERLAY.withItem(film, OVERLAY.get(film, id).withPlacement(placement));
    }
    List<Placement> changed = new ArrayList<>(film.placements());
    changed.set(place, placement);
    return film.withCut(changed, film.joints());
  }

  private static Optional<Joint> jointOf(Film film, String id) {
    int joint = film.indexOfJoint(id);
    return joint < 0 ? Optional.empty() : Optional.of(film.joints().get(joint));
  }

  private static Film withJoint(Film film, String id, Joint joint) {
    List<Joint> changed = new ArrayList<>(film.joints());
    changed.set(film.indexOfJoint(id), joint);
    return film.withCut(film.placements(), changed);
  }

  /**
   * A kind of item that a film has a list of, in which one can be put and from which one can be
   * taken.
   *
   * @param <I> the item
   */
  public static final class ListKind<I> {
    private final Function<Film, List<I>> list;
    private final BiFunction<Film, List<I>, Film> withList;
    private final Function<I, String> id;
    private final ItemKind<I> kind;

    private ListKind(
        String name,
        Function<Film, List<I>> list,
        BiFunction<Film, List<I>, Film> withList,
        Function<I, String> id) {
      this.list = list;
      this.withList = withList;
      this.id = id;
      kind = new ItemKind<>(name, this::find, (film, wanted, item) -> withItem(film, item));
    }

    /** As a kind of item among others. */
    public ItemKind<I> kind() {
      return kind;
    }

    /** The film's items of this kind. */
    public List<I> all(Film film) {
      return list.apply(film);
    }

    /** What an item is named. */
    public String idOf(I item) {
      return id.apply(item);
    }

    /** The item of an id; empty if the film has none. */
    public Optional<I> find(Film film, String wanted) {
      return all(film).stream().filter(item -> idOf(item).equals(wanted)).findFirst();
    }

    I get(Film film, String wanted) {
      return kind.get(film, wanted);
    }

    Film withAll(Film film, List<I> items) {
      return withList.apply(film, items);
    }

    /** The film with an item, in place of the one of the same id if there is one. */
    Film withItem(Film film, I item) {
      List<I> changed = new ArrayList<>(all(film));
      changed.removeIf(other -> idOf(other).equals(idOf(item)));
      changed.add(item);
      return withAll(film, changed);
    }

    /**
     * The film without the item of an id.
     *
     * @throws IllegalArgumentException if it has none
     */
    Film without(Film film, String gone) {
      get(film, gone);
      return withAll(film, all(film).stream().filter(other -> !idOf(other).equals(gone)).toList());
    }

    @Override
    public String toString() {
      return kind.toString();
    }
  }
}
