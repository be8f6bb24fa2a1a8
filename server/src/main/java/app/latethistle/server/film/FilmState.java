package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Joins;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Treating;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.marks.Marked;
import app.latethistle.core.mix.Ducking;
import app.latethistle.core.mix.FilmMix;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.Section;
import app.latethistle.core.render.Program;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.SampleRange;
import app.latethistle.server.material.Song;
import app.latethistle.server.production.Production;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * A production's film at one revision, resolved.
 *
 * @param takes the takes that are ready, by id
 * @param sounding takes whose clips have a sound of their own
 * @param lines the script's lines with their readings
 * @param song the chosen song, if it has been listened to
 * @param loudness of the song over its time; asked for only where it is needed
 */
public record FilmState(
    Production production,
    EditLog log,
    Clocks clocks,
    Map<String, Take> takes,
    Set<String> sounding,
    Optional<Song> song,
    List<ReadLine> lines,
    Cutting cutting,
    Supplier<LoudnessTrace> loudness) {

  static FilmState of(
      Production production,
      EditLog log,
      Map<String, Take> takes,
      Set<String> sounding,
      Optional<Song> song,
      List<ReadLine> lines,
      Supplier<BandLevels> levels,
      Supplier<LoudnessTrace> loudness) {
    BeatGrid grid = song.map(Song::grid).orElse(BeatGrid.EMPTY);
    Clocks clocks = new Clocks(grid, narration(lines), levels);
    Cutting cutting = Cutting.of(log.film(), clocks, production.rate(), takes);
    return new FilmState(production, log, clocks, takes, sounding, song, lines, cutting, loudness);
  }

  /** The song's beats; empty without a song. */
  public BeatGrid grid() {
    return clocks.grid();
  }

  private static Narration narration(List<ReadLine> lines) {
    return new Narration(lines.stream().map(ReadLine::line).toList());
  }

  /** Where the lines are heard that stay when the film is cut again. */
  VoiceClock steadyVoice() {
    return VoiceClock.of(
        clocks.narration().apartFromShots(), film(), cutting.frames(), grid(), production.rate());
  }

  /** The line that speaks of each shot, by the shot's id; shots without are left out. */
  Map<String, String> speakers() {
    Map<String, String> speakers = new HashMap<>();
    lines.forEach(l -> l.shots().forEach(shot -> speakers.put(shot, l.line().id())));
    return speakers;
  }

  /** The words that are said with a shot, in samples after its first frame. */
  List<SampleRange> saidWith(String shot) {
    Narration said = clocks.narration().startingWith(shot);
    return VoiceClock.of(said, Film.EMPTY, List.of(), grid(), production.rate()).lines().stream()
        .flatMap(line -> line.words().stream())
        .map(Narration.Word::at)
        .toList();
  }

  /** The same production with another film. */
  FilmState of(Film film) {
    return with(EditLog.of(film));
  }

  /** The film as it would be with a joint's transition, for a look at it. */
  public FilmState with(int joint, Transition how) {
    return of(Joins.set(resolved(), List.of(joint), how).apply(film()));
  }

  /**
   * The film as it would be with one more treatment of an item, held as it is on a hit, for a look
   * at it.
   *
   * @param item a shot's id or that of what lies over the cut; "" for the whole film
   */
  public FilmState with(String item, Treatment more) {
    return of(Treating.set(film(), List.of(item), now -> now.and(more.onHit())).apply(film()));
  }

  /**
   * A shot, or what lies over the cut, by its id.
   *
   * @throws IllegalArgumentException if the film has none, with a sentence for the person
   */
  Placement shot(String item) {
    return ItemKind.PLACEMENT
        .find(film(), item)
        .orElseThrow(() -> new Refused("That shot is not in the film any more."));
  }

  /** The take that a shot shows. */
  Take takeOf(Placement shot) {
    Take take = takes.get(shot.take());
    if (take == null) {
      throw new Refused("This shot has lost its take; choose another one first.");
    }
    return take;
  }

  /** The film as it would be with a shot corrected otherwise, for a look at it. */
  public FilmState with(String item, Correction correction) {
    return of(SetAspect.of(Aspect.CORRECTION, shot(item).id(), correction).apply(film()));
  }

  /** The film as it would be with other treatments of all of it, for a look at it. */
  public FilmState finished(Treatments treatments) {
    return of(Treating.set(film(), List.of(Treating.WHOLE_FILM), now -> treatments).apply(film()));
  }

  /** The film as it would be without a title. */
  public FilmState withoutTitle(String title) {
    return of(Put.away(ItemKind.TITLE, title).apply(film()));
  }

  /**
   * A title by its id.
   *
   * @throws IllegalArgumentException if the film has none, with a sentence for the person
   */
  public FilmTitle title(String id) {
    return film()
        .title(id)
        .orElseThrow(() -> new Refused("That title is not in the film any more."));
  }

  /**
   * The film with the captions of a language in its pictures, and no others.
   *
   * @param language "" for none
   * @param in the shape they are drawn in
   * @throws IllegalArgumentException if the film has no captions in it
   */
  public FilmState burning(String language, Shape in) {
    List<FilmCaptions> all = film().inEveryLanguage();
    if (!language.isEmpty() && all.stream().noneMatch(c -> c.language().equals(language))) {
      throw new Refused("The film has no captions in “" + language + "”; add them in Words.");
    }
    boolean own = in.equals(shape());
    List<Shape> others = own ? List.of() : List.of(in);
    return of(
        film()
            .withCaptions(
                all.stream()
                    .map(
                        c ->
                            c.language().equals(language)
                                ? c.withStyle(c.style().burnedInto(own, others))
                                : c.withStyle(c.style().burnedInto(false, List.of())))
                    .toList()));
  }

  /** The shape of its pictures. */
  public Shape shape() {
    return Shape.of(production.shape().width(), production.shape().height());
  }

  /**
   * The film as its takes came: without any levelling, correction and finish, those of stretches
   * too.
   */
  public FilmState uncorrected() {
    List<String> all = new ArrayList<>();
    film().placements().forEach(p -> all.add(p.id()));
    film().overlays().forEach(o -> all.add(o.placement().id()));
    Film bare = asTheyCame(all).apply(film());
    List<String> finished =
        Stream.concat(
                Stream.of(Treating.WHOLE_FILM),
                film().overlays().stream()
                    .map(Overlay::placement)
                    .filter(over -> !over.hasPicture())
                    .map(Placement::id))
            .toList();
    return of(Treating.set(bare, finished, now -> Treatments.NONE).apply(bare));
  }

  /** Takes everything off that is done to the light and the colour of shots. */
  static Edit asTheyCame(List<String> items) {
    Map<String, Levelling> unlevelled = new LinkedHashMap<>();
    Map<String, Correction> uncorrected = new LinkedHashMap<>();
    for (String item : items) {
      unlevelled.put(item, Levelling.NONE);
      uncorrected.put(item, Correction.NONE);
    }
    return new Compound(
        "take the correction off",
        List.of(
            SetAspect.of(Aspect.LEVELLING, unlevelled),
            SetAspect.of(Aspect.CORRECTION, uncorrected)));
  }

  /** The same production with other edits. */
  FilmState with(EditLog other) {
    return of(production, other, takes, sounding, song, lines, clocks.levels(), loudness);
  }

  /** The film, and where its takes have marks. */
  public Marked marked() {
    return new Marked(resolved(), production.shape());
  }

  /** What edits are worked out on. */
  public Resolved resolved() {
    return new Resolved(film(), clocks, production.rate(), takes, cutting);
  }

  public Film film() {
    return log.film();
  }

  /**
   * What a cut is called that can be moved.
   *
   * @throws IllegalArgumentException if there is none of that number
   */
  String cutName(int joint) {
    if (joint < 1 || joint >= film().joints().size()) {
      throw new Refused("There is no cut number " + joint + " to move.");
    }
    return film().jointName(joint);
  }

  /** How a take is framed in this film unless a person says otherwise. */
  Framing framingOf(Take take) {
    return new Framing(Fit.byDefault(take.shape(), production.shape()));
  }

  /**
   * The ids of shots by their places in the cut.
   *
   * @throws IllegalArgumentException if there are none
   */
  List<String> ids(List<Integer> places) {
    if (places == null || places.isEmpty()) {
      throw new Refused("Say which shots are meant, by their places.");
    }
    return places.stream().map(place -> film().placementAt(place).id()).toList();
  }

  /** The frames at which sections of the song begin; they may lie outside the film. */
  public List<Long> sections() {
    long start = film().music().start();
    return song.stream()
        .flatMap(s -> s.sections().stream())
        .map(section -> production.rate().nearestFrame(section.start() - start))
        .toList();
  }

  /** What the song's sections are called, by the beats with which they begin. */
  SortedMap<Integer, String> sectionsByBeat() {
    List<Section> all = song.map(Song::sections).orElse(List.of());
    SortedMap<Integer, String> called = new TreeMap<>();
    for (Section section : all) {
      int beat = grid().nearest(section.start());
      if (grid().size() > 0 && grid().sampleOf(beat) == section.start()) {
        called.put(beat, section.called(all));
      }
    }
    return called;
  }

  /** What is drawn, at the size given. */
  public Program program(int width, int height) {
    return Program.of(resolved(), width, height);
  }

  /** The same in a shape, its own or another, whose pictures have these sides. */
  public Program program(Shape shape, int width, int height) {
    return shape.equals(shape())
        ? program(width, height)
        : Program.of(resolved(), shape, width, height);
  }

  /** What is heard. */
  public Mix mix() {
    return FilmMix.of(resolved(), shape(), sounding, heardSong(), readings());
  }

  /** How music and clips step aside for the voice. */
  Ducking ducking() {
    return FilmMix.ducking(resolved(), heardSong(), readings());
  }

  private Optional<FilmMix.Song> heardSong() {
    return song.map(s -> new FilmMix.Song(s.medium().hash(), loudness));
  }

  private List<Optional<FilmMix.Reading>> readings() {
    return lines.stream().map(ReadLine::heard).toList();
  }
}
