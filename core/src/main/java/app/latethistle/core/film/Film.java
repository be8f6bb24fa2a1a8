package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Transition;
import app.latethistle.core.words.SafeAreas;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A film: its cut, how it uses its song, what lies over the whole, and what lies over and beside
 * the cut. Every item has an id of its own, and is addressed by it.
 *
 * @param placements in the order they are seen
 * @param joints the film's start, the cuts, the film's end; empty if there are no placements
 * @param music how the song is used
 * @param finish what lies over the whole film
 * @param overlays shots that lie over the cut, by layer and name
 * @param sounds sounds beside the cut, by name
 * @param markers places to remember, by name
 * @param balance how its sounds stand to each other
 * @param titles by name
 * @param captions by language; where nothing is said, what is read is captioned as usual
 * @param safe where words are seen everywhere
 */
public record Film(
    List<Placement> placements,
    List<Joint> joints,
    SongUse music,
    Finish finish,
    List<Overlay> overlays,
    List<FilmSound> sounds,
    List<Marker> markers,
    Balance balance,
    List<FilmTitle> titles,
    List<FilmCaptions> captions,
    SafeAreas safe) {
  /** A film with nothing in it. */
  public static final Film EMPTY = cut(List.of(), List.of());

  /** What the joint at the film's end is called; the others are called as the shots they begin. */
  public static final String END = "";

  /**
   * @throws IllegalArgumentException if the number of joints does not fit the placements, or two
   *     items have one id
   */
  public Film {
    placements = List.copyOf(placements);
    joints = List.copyOf(joints);
    overlays =
        overlays.stream()
            .sorted(Comparator.comparing(Overlay::layer).thenComparing(Overlay::name))
            .toList();
    sounds = sounds.stream().sorted(Comparator.comparing(FilmSound::id)).toList();
    markers = markers.stream().sorted(Comparator.comparing(Marker::id)).toList();
    titles = titles.stream().sorted(Comparator.comparing(FilmTitle::id)).toList();
    captions = captions.stream().sorted(Comparator.comparing(FilmCaptions::language)).toList();
    int expected = placements.isEmpty() ? 0 : placements.size() + 1;
    if (joints.size() != expected) {
      throw new Refused(
          placements.size() + " shots need " + expected + " joints, not " + joints.size() + ".");
    }
    Set<String> seen = new HashSet<>();
    ids(placements, overlays, sounds, markers, titles, captions)
        .filter(id -> id.isEmpty() || !seen.add(id))
        .findFirst()
        .ifPresent(
            id -> {
              throw new Refused(
                  id.isEmpty()
                      ? "An item of a film needs a name."
                      : "Two items of the film are named " + id + ".");
            });
  }

  private static Stream<String> ids(
      List<Placement> placements,
      List<Overlay> overlays,
      List<FilmSound> sounds,
      List<Marker> markers,
      List<FilmTitle> titles,
      List<FilmCaptions> captions) {
    return Stream.of(
            placements.stream().map(Placement::id),
            overlays.stream().map(Overlay::name),
            sounds.stream().map(FilmSound::id),
            markers.stream().map(Marker::id),
            titles.stream().map(FilmTitle::id),
            captions.stream().map(FilmCaptions::id))
        .flatMap(s -> s);
  }

  /** A film of a cut alone. */
  public static Film cut(List<Placement> placements, List<Joint> joints) {
    return new Film(
        placements,
        joints,
        SongUse.PLAIN,
        Finish.NONE,
        List.of(),
        List.of(),
        List.of(),
        Balance.USUAL,
        List.of(),
        List.of(),
        SafeAreas.USUAL);
  }

  /** The place of a shot's first placement in the cut, from 0; -1 if it is not there. */
  public int indexOfShot(String shot) {
    for (int i = 0; i < placements.size(); i++) {
      if (placements.get(i).shot().equals(shot)) {
        return i;
      }
    }
    return -1;
  }

  /** The place of a placement of the cut by its id; -1 if there is none. */
  public int indexOfId(String id) {
    for (int i = 0; i < placements.size(); i++) {
      if (placements.get(i).id().equals(id)) {
        return i;
      }
    }
    return -1;
  }

  /** What a joint is called: as the placement it begins, or {@link #END}. */
  public String jointName(int joint) {
    return joint == placements.size() ? END : placements.get(joint).id();
  }

  /** The place of a joint by what it is called; -1 if there is none. */
  public int indexOfJoint(String name) {
    return name.equals(END) ? joints.size() - 1 : indexOfId(name);
  }

  /** What the joints are tied to, in order. */
  public List<Tie> ties() {
    return joints.stream().map(Joint::tie).toList();
  }

  /** Whether a shot is seen in the cut or over it. */
  public boolean shows(String shot) {
    return Stream.concat(placements.stream(), overlays.stream().map(Overlay::placement))
        .anyMatch(p -> p.shot().equals(shot));
  }

  /** An id like the one wished for that nothing in the film has. */
  public String freshId(String wish) {
    return freshId(wish, Set.of());
  }

  /** The same, that is not among those taken elsewhere either. */
  String freshId(String wish, Set<String> taken) {
    String stem = wish.isEmpty() ? "gap" : wish.replaceFirst("~\\d+$", "");
    Set<String> known = new HashSet<>(taken);
    ids(placements, overlays, sounds, markers, titles, captions).forEach(known::add);
    String id = stem;
    for (int n = 2; known.contains(id); n++) {
      id = stem + "~" + n;
    }
    return id;
  }

  /** The placement of an id, in the cut or over it. */
  public Optional<Placement> placement(String id) {
    return ItemKind.PLACEMENT.find(this, id);
  }

  /** All that is seen of takes: the shots of the cut in order, then those that lie over it. */
  public Stream<Placement> shots() {
    return Stream.concat(placements.stream(), overlays.stream().map(Overlay::placement));
  }

  /** The overlay of a name. */
  public Optional<Overlay> overlay(String name) {
    return ItemKind.OVERLAY.find(this, name);
  }

  /** The sound of a name. */
  public Optional<FilmSound> sound(String name) {
    return ItemKind.SOUND.find(this, name);
  }

  /** The title of a name. */
  public Optional<FilmTitle> title(String name) {
    return ItemKind.TITLE.find(this, name);
  }

  /** The captions in a language: as they usually are, if nothing is said of them. */
  public FilmCaptions captionsIn(String language) {
    return ItemKind.CAPTIONS
        .find(this, FilmCaptions.idOf(language))
        .orElseGet(() -> FilmCaptions.in(language));
  }

  /** The captions there are: first those of what is read, then those in other languages. */
  public List<FilmCaptions> inEveryLanguage() {
    return Stream.concat(
            Stream.of(captionsIn(FilmCaptions.READ)), captions.stream().filter(c -> !c.areAsRead()))
        .toList();
  }

  /** The marker of a name. */
  public Optional<Marker> marker(String name) {
    return ItemKind.MARKER.find(this, name);
  }

  /**
   * The shot at a place of the cut.
   *
   * @throws IllegalArgumentException if there is none, with a sentence for the person
   */
  public Placement placementAt(int place) {
    if (place < 0 || place >= placements.size()) {
      throw new Refused(
          "There is no shot at place " + place + "; the film has " + placements.size() + ".");
    }
    return placements.get(place);
  }

  /** The same with another cut under what lies over it. */
  public Film withCut(List<Placement> newPlacements, List<Joint> newJoints) {
    return new Film(
        newPlacements,
        newJoints,
        music,
        finish,
        overlays,
        sounds,
        markers,
        balance,
        titles,
        captions,
        safe);
  }

  /**
   * The cut, the use of the song and the end of another film, under what lies over this one. Shots
   * that follow each other in both become one another as they do in this one.
   */
  public Film cutAs(Film other) {
    return new Film(
        other.placements,
        IntStream.range(0, other.joints.size())
            .mapToObj(j -> other.joints.get(j).withTransition(transitionInto(other, j)))
            .toList(),
        other.music,
        finish.withEnd(other.finish.end()),
        overlays,
        sounds,
        markers,
        balance,
        titles,
        captions,
        safe);
  }

  /** How this film goes over a joint of another; as that one does where the shots are not here. */
  private Transition transitionInto(Film other, int joint) {
    if (joint > 0 && joint < other.placements.size()) {
      int here = indexOfShot(other.placements.get(joint).shot());
      String before = other.placements.get(joint - 1).shot();
      if (here > 0 && placements.get(here - 1).shot().equals(before)) {
        return joints.get(here).transition();
      }
    }
    return other.joints.get(joint).transition();
  }

  public Film withMusic(SongUse other) {
    return new Film(
        placements,
        joints,
        other,
        finish,
        overlays,
        sounds,
        markers,
        balance,
        titles,
        captions,
        safe);
  }

  public Film withFinish(Finish other) {
    return new Film(
        placements,
        joints,
        music,
        other,
        overlays,
        sounds,
        markers,
        balance,
        titles,
        captions,
        safe);
  }

  public Film withOverlays(List<Overlay> other) {
    return new Film(
        placements, joints, music, finish, other, sounds, markers, balance, titles, captions, safe);
  }

  public Film withSounds(List<FilmSound> other) {
    return new Film(
        placements,
        joints,
        music,
        finish,
        overlays,
        other,
        markers,
        balance,
        titles,
        captions,
        safe);
  }

  public Film withMarkers(List<Marker> other) {
    return new Film(
        placements,
        joints,
        music,
        finish,
        overlays,
        sounds,
        other,
        balance,
        titles,
        captions,
        safe);
  }

  /** The same with its sounds standing otherwise to each other. */
  public Film withBalance(Balance other) {
    return new Film(
        placements,
        joints,
        music,
        finish,
        overlays,
        sounds,
        markers,
        other,
        titles,
        captions,
        safe);
  }

  /** The same with other titles. */
  public Film withTitles(List<FilmTitle> other) {
    return new Film(
        placements,
        joints,
        music,
        finish,
        overlays,
        sounds,
        markers,
        balance,
        other,
        captions,
        safe);
  }

  /** The same with other captions. */
  public Film withCaptions(List<FilmCaptions> other) {
    return new Film(
        placements, joints, music, finish, overlays, sounds, markers, balance, titles, other, safe);
  }

  /** The same with words seen elsewhere. */
  public Film withSafe(SafeAreas other) {
    return new Film(
        placements,
        joints,
        music,
        finish,
        overlays,
        sounds,
        markers,
        balance,
        titles,
        captions,
        other);
  }
}
