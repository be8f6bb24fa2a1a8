package app.latethistle.core.film;

import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.Treatments;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * Something of an item that is set, undone and merged by itself: a shot's speed, a cut's tie. What
 * later is said of a shot is one more aspect here.
 *
 * @param <I> the item
 * @param <T> what is said of it
 */
public final class Aspect<I, T> {
  /** Which part of which take a shot shows. */
  public static final Aspect<Placement, Material.Source> SOURCE =
      new Aspect<>(
          "source",
          "slip a shot",
          ItemKind.PLACEMENT,
          p -> p.what().source(),
          (p, source) -> p.withMaterial(p.what().withSource(source)));

  /** How its take runs. */
  public static final Aspect<Placement, Run> RUN =
      new Aspect<>(
          "run", "change a shot's speed", ItemKind.PLACEMENT, Placement::run, Placement::withRun);

  /** How its picture meets the film's. */
  public static final Aspect<Placement, ShapedFraming> FRAMING =
      new Aspect<>(
          "framing",
          "change framing",
          ItemKind.PLACEMENT,
          p -> p.how().framing(),
          (p, framing) -> p.withAppearance(p.how().withFraming(framing)));

  /** What is done to its picture. */
  public static final Aspect<Placement, Treatments> TREATMENTS =
      new Aspect<>(
          "treatments",
          "change treatments",
          ItemKind.PLACEMENT,
          p -> p.how().treatments(),
          (p, treatments) -> p.withAppearance(p.how().withTreatments(treatments)));

  /** What of its picture stays. */
  public static final Aspect<Placement, Matte> MATTE =
      new Aspect<>(
          "matte",
          "change a matte",
          ItemKind.PLACEMENT,
          p -> p.how().matte(),
          (p, matte) -> p.withAppearance(p.how().withMatte(matte)));

  /** What is done to its colour. */
  public static final Aspect<Placement, Correction> CORRECTION =
      new Aspect<>(
          "correction",
          "correct a shot's colour",
          ItemKind.PLACEMENT,
          p -> p.how().correction(),
          (p, correction) -> p.withAppearance(p.how().withCorrection(correction)));

  /** What is heard of its clip. */
  public static final Aspect<Placement, ClipSound> SOUND =
      new Aspect<>(
          "sound",
          "change a clip's sound",
          ItemKind.PLACEMENT,
          Placement::heard,
          Placement::withSound);

  /** Whether it stays where it is. */
  public static final Aspect<Placement, Boolean> LOCK =
      new Aspect<>(
          "lock", "lock a shot", ItemKind.PLACEMENT, Placement::locked, Placement::withLocked);

  /** What it is taken hold of together with. */
  public static final Aspect<Placement, Integer> GROUP =
      new Aspect<>(
          "group", "group shots", ItemKind.PLACEMENT, p -> p.held().group(), Placement::withGroup);

  /** The moment a joint is bound to; the film's start stays where it is. */
  public static final Aspect<Joint, Tie> TIE =
      new Aspect<>("tie", "move a cut", ItemKind.JOINT, Joint::tie, Joint::withTie);

  /** How one shot becomes the next. */
  public static final Aspect<Joint, Transition> TRANSITION =
      new Aspect<>(
          "transition",
          "change a transition",
          ItemKind.JOINT,
          Joint::transition,
          Joint::withTransition);

  /** On which layer an overlay lies. */
  public static final Aspect<Overlay, Integer> LAYER =
      new Aspect<>(
          "layer",
          "move to another layer",
          ItemKind.OVERLAY.kind(),
          Overlay::layer,
          Overlay::withLayer);

  /** When it is seen. */
  public static final Aspect<Overlay, Overlay.Ties> TIES =
      new Aspect<>(
          "ties", "move an overlay", ItemKind.OVERLAY.kind(), Overlay::ties, Overlay::withTies);

  /** Where it lies on the picture. */
  public static final Aspect<Overlay, LiePath> LIE =
      new Aspect<>(
          "lie", "place an overlay", ItemKind.OVERLAY.kind(), Overlay::lie, Overlay::withLie);

  /** How it mixes with what lies under it. */
  public static final Aspect<Overlay, Mixing> MIXING =
      new Aspect<>(
          "mixing",
          "mix an overlay otherwise",
          ItemKind.OVERLAY.kind(),
          Overlay::mixing,
          Overlay::withMixing);

  /** How the song is used. */
  public static final Aspect<Film, SongUse> MUSIC =
      new Aspect<>("music", "change the song's start", ItemKind.FILM, Film::music, Film::withMusic);

  /** What lies over the whole film. */
  public static final Aspect<Film, Finish> FINISH =
      new Aspect<>(
          "finish", "change the film's end", ItemKind.FILM, Film::finish, Film::withFinish);

  private static final List<Aspect<Placement, ?>> OF_PLACEMENTS =
      List.of(SOURCE, RUN, FRAMING, TREATMENTS, MATTE, CORRECTION, SOUND, LOCK, GROUP);
  private static final List<Aspect<Joint, ?>> OF_JOINTS = List.of(TIE, TRANSITION);
  private static final List<Aspect<Overlay, ?>> OF_OVERLAYS = List.of(LAYER, TIES, LIE, MIXING);

  private final String name;
  private final String label;
  private final ItemKind<I> kind;
  private final Function<I, T> of;
  private final BiFunction<I, T, I> with;

  private Aspect(
      String name, String label, ItemKind<I> kind, Function<I, T> of, BiFunction<I, T, I> with) {
    this.name = name;
    this.label = label;
    this.kind = kind;
    this.of = of;
    this.with = with;
  }

  /** All that is said of a placement, its material's shot apart. */
  static List<Aspect<Placement, ?>> ofPlacements() {
    return OF_PLACEMENTS;
  }

  /** All that is said of a joint. */
  static List<Aspect<Joint, ?>> ofJoints() {
    return OF_JOINTS;
  }

  /** All that is said of an overlay, beside its placement. */
  static List<Aspect<Overlay, ?>> ofOverlays() {
    return OF_OVERLAYS;
  }

  /** What it is stored as. */
  public String name() {
    return name;
  }

  /** What setting it is called for the undo button, if nothing else is said. */
  public String label() {
    return label;
  }

  /** What items it is said of. */
  ItemKind<I> kind() {
    return kind;
  }

  /** What is said of an item. */
  public T of(I item) {
    return of.apply(item);
  }

  /** The item of which something else is said. */
  public I with(I item, T value) {
    return with.apply(item, value);
  }

  @Override
  public String toString() {
    return name;
  }
}
