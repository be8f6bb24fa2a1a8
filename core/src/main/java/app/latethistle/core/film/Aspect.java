package app.latethistle.core.film;

import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.SafeAreas;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.core.words.TitleWords;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  /** How the light of its take is made even. */
  public static final Aspect<Placement, Levelling> LEVELLING =
      new Aspect<>(
          "levelling",
          "level a shot's light",
          ItemKind.PLACEMENT,
          p -> p.how().levelling(),
          (p, levelling) -> p.withAppearance(p.how().withLevelling(levelling)));

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

  /** When a sound lands. */
  public static final Aspect<FilmSound, Landing> LANDING =
      new Aspect<>(
          "landing",
          "move a sound",
          ItemKind.SOUND.kind(),
          FilmSound::when,
          FilmSound::withLanding);

  /** How a sound is heard. */
  public static final Aspect<FilmSound, Manner> MANNER =
      new Aspect<>(
          "manner", "change a sound", ItemKind.SOUND.kind(), FilmSound::how, FilmSound::withManner);

  /** The place from which a sound is heard. */
  public static final Aspect<FilmSound, Optional<Following>> SOUND_FOLLOWS =
      new Aspect<>(
          "sound follows",
          "hear a sound from a place",
          ItemKind.SOUND.kind(),
          FilmSound::follows,
          FilmSound::withFollowing);

  /** What of which file a sound is. */
  public static final Aspect<FilmSound, SoundMaterial> MATERIAL =
      new Aspect<>(
          "material",
          "take another sound",
          ItemKind.SOUND.kind(),
          FilmSound::what,
          FilmSound::withMaterial);

  /** What a title says. */
  public static final Aspect<FilmTitle, TitleWords> WORDS =
      new Aspect<>(
          "words", "write a title", ItemKind.TITLE.kind(), FilmTitle::words, FilmTitle::withWords);

  /** How a title is set. */
  public static final Aspect<FilmTitle, Lettering> LETTERING =
      new Aspect<>(
          "lettering",
          "set a title",
          ItemKind.TITLE.kind(),
          FilmTitle::lettering,
          FilmTitle::withLettering);

  /** Where a title stands. */
  public static final Aspect<FilmTitle, ShapedBox> BOX =
      new Aspect<>(
          "box", "place a title", ItemKind.TITLE.kind(), FilmTitle::box, FilmTitle::withBox);

  /** How a title comes and goes. */
  public static final Aspect<FilmTitle, Movement> MOVEMENT =
      new Aspect<>(
          "movement",
          "move a title in or out",
          ItemKind.TITLE.kind(),
          FilmTitle::movement,
          FilmTitle::withMovement);

  /** When a title lands. */
  public static final Aspect<FilmTitle, Standing> STANDING =
      new Aspect<>(
          "standing",
          "land a title",
          ItemKind.TITLE.kind(),
          FilmTitle::when,
          FilmTitle::withStanding);

  /** Over which layers a title lies. */
  public static final Aspect<FilmTitle, Integer> TITLE_LAYER =
      new Aspect<>(
          "title layer",
          "lay a title elsewhere",
          ItemKind.TITLE.kind(),
          FilmTitle::layer,
          FilmTitle::withLayer);

  /** The place with which a title goes. */
  public static final Aspect<FilmTitle, Optional<Following>> TITLE_FOLLOWS =
      new Aspect<>(
          "title follows",
          "have a title follow",
          ItemKind.TITLE.kind(),
          FilmTitle::follows,
          FilmTitle::withFollowing);

  /** The take that is seen in a title's letters. */
  public static final Aspect<FilmTitle, Optional<String>> TITLE_PICTURE =
      new Aspect<>(
          "title picture",
          "fill a title's letters",
          ItemKind.TITLE.kind(),
          FilmTitle::picture,
          FilmTitle::withPicture);

  /** What captions say where it is not what is read. */
  public static final Aspect<FilmCaptions, Map<String, String>> TEXTS =
      new Aspect<>(
          "texts",
          "write captions",
          ItemKind.CAPTIONS.kind(),
          FilmCaptions::texts,
          FilmCaptions::withTexts);

  /** What captions say of sounds beside the voice. */
  public static final Aspect<FilmCaptions, Map<String, String>> SOUND_TEXTS =
      new Aspect<>(
          "soundTexts",
          "caption sounds",
          ItemKind.CAPTIONS.kind(),
          FilmCaptions::sounds,
          FilmCaptions::withSounds);

  /** How captions look. */
  public static final Aspect<FilmCaptions, CaptionStyle> CAPTION_STYLE =
      new Aspect<>(
          "caption style",
          "change the captions' look",
          ItemKind.CAPTIONS.kind(),
          FilmCaptions::style,
          FilmCaptions::withStyle);

  /** How the song is used. */
  public static final Aspect<Film, SongUse> MUSIC =
      new Aspect<>("music", "change the song's start", ItemKind.FILM, Film::music, Film::withMusic);

  /** What lies over the whole film. */
  public static final Aspect<Film, Finish> FINISH =
      new Aspect<>(
          "finish", "change the film's end", ItemKind.FILM, Film::finish, Film::withFinish);

  /** How its sounds stand to each other. */
  public static final Aspect<Film, Balance> BALANCE =
      new Aspect<>("balance", "balance the film", ItemKind.FILM, Film::balance, Film::withBalance);

  /** Where words are seen everywhere. */
  public static final Aspect<Film, SafeAreas> SAFE =
      new Aspect<>("safe", "change a safe area", ItemKind.FILM, Film::safe, Film::withSafe);

  private static final List<Aspect<FilmSound, ?>> OF_SOUNDS =
      List.of(LANDING, MANNER, MATERIAL, SOUND_FOLLOWS);
  private static final List<Aspect<FilmTitle, ?>> OF_TITLES =
      List.of(WORDS, LETTERING, BOX, MOVEMENT, STANDING, TITLE_LAYER, TITLE_FOLLOWS, TITLE_PICTURE);
  private static final List<Aspect<FilmCaptions, ?>> OF_CAPTIONS =
      List.of(TEXTS, SOUND_TEXTS, CAPTION_STYLE);
  private static final List<Aspect<Placement, ?>> OF_PLACEMENTS =
      List.of(SOURCE, RUN, FRAMING, TREATMENTS, MATTE, LEVELLING, CORRECTION, SOUND, LOCK, GROUP);
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

  /** All that is said of a sound. */
  static List<Aspect<FilmSound, ?>> ofSounds() {
    return OF_SOUNDS;
  }

  /** All that is said of a title. */
  static List<Aspect<FilmTitle, ?>> ofTitles() {
    return OF_TITLES;
  }

  /** What is said of captions, those of their own time apart. */
  static List<Aspect<FilmCaptions, ?>> ofCaptions() {
    return OF_CAPTIONS;
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
