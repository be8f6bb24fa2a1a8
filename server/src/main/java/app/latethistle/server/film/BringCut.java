package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Held;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Material;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.Tie;
import app.latethistle.core.interchange.NamedFile;
import app.latethistle.core.interchange.PieceList;
import app.latethistle.core.interchange.ReadCut;
import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import app.latethistle.server.material.TakeEntry;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes a film of a cut that was read. Cuts that fall on beats are tied to them. */
final class BringCut {
  private final FilmState state;
  private final FoundFiles files;
  private final Map<Long, Integer> beats = new HashMap<>();
  private final List<String> untold;
  private final Set<String> ids = new HashSet<>();

  private BringCut(FilmState state, FoundFiles files, List<String> unread) {
    this.state = state;
    this.files = files;
    untold = new ArrayList<>(unread);
    BeatGrid grid = state.grid();
    FrameRate rate = state.production().rate();
    for (int beat = 0; beat < grid.size(); beat++) {
      long frame = rate.nearestFrame(grid.sampleOf(beat) - state.film().music().start());
      beats.putIfAbsent(frame, beat);
    }
  }

  /** A film, and what of the cut could not be brought in, each in a sentence. */
  record Brought(Film film, List<String> left) {}

  /**
   * Makes it; what lies over and beside the cut goes, and what the cut has there comes.
   *
   * @throws IllegalArgumentException if none of its files is here
   */
  static Brought of(ReadCut read, FilmState state, FoundFiles files) {
    BringCut bring = new BringCut(state, files, read.unread());
    List<Placement> placements = new ArrayList<>();
    List<Joint> joints = new ArrayList<>();
    List<PieceList.Piece> pieces = read.cut().pieces();
    for (PieceList.Piece piece : pieces) {
      long mixed = piece.mixes().length();
      boolean mixes = mixed > 0 && !placements.isEmpty();
      joints.add(
          new Joint(
              bring.tie(piece.at().start()),
              mixes
                  ? Transition.of(TransitionKind.DISSOLVE, Span.frames(mixed)).holding(true)
                  : Transition.CUT));
      placements.add(bring.placement(piece));
    }
    if (placements.stream().noneMatch(Placement::hasPicture)) {
      throw new Refused(
          "None of its files is among the takes here. Bring the clips in first; they are found by"
              + " their names.");
    }
    long end = pieces.get(pieces.size() - 1).at().end();
    joints.add(new Joint(bring.tie(end), Transition.CUT));
    List<Marker> markers = new ArrayList<>();
    for (PieceList.Mark mark : read.cut().markers()) {
      String note = mark.note().substring(0, Math.min(mark.note().length(), 500));
      markers.add(Marker.of("mark" + (markers.size() + 1), bring.tie(mark.frame()), note));
    }
    Film film = bring.steady(state.film().withMarkers(markers).withCut(placements, joints), pieces);
    Film whole =
        new BringBeside(
                files, state.production().rate(), bring::placement, bring::tie, bring.untold)
            .onto(film, read.beside());
    return new Brought(whole, List.copyOf(bring.untold));
  }

  private Tie tie(long frame) {
    Integer beat = beats.get(frame);
    return beat == null ? Tie.free(frame) : Tie.onBeat(beat);
  }

  /** A cut that would lie elsewhere on its beat stays at its frame. */
  private Film steady(Film film, List<PieceList.Piece> pieces) {
    List<Long> frames = state.of(film).cutting().frames();
    List<Joint> joints = new ArrayList<>(film.joints());
    for (int i = 0; i < joints.size(); i++) {
      long wanted =
          i < pieces.size() ? pieces.get(i).at().start() : pieces.get(pieces.size() - 1).at().end();
      if (frames.get(i) != wanted) {
        joints.set(i, new Joint(Tie.free(wanted), joints.get(i).transition()));
      }
    }
    return film.withCut(film.placements(), joints);
  }

  private Placement placement(PieceList.Piece piece) {
    Optional<TakeEntry> found = piece.file().flatMap(file -> find(file, piece));
    if (found.isEmpty()) {
      return Placement.gap(fresh("gap"));
    }
    return placement(found.get(), piece.source().start(), run(piece));
  }

  /** A take in the film, from one of its frames on. */
  private Placement placement(TakeEntry entry, long from, Run run) {
    Take take = files.take(entry);
    String shot = Long.toString(entry.shotId());
    long in = Math.max(0, Math.min(from, take.frames() - 1));
    return new Placement(
        fresh(shot),
        new Material(shot, take.id(), in, run),
        Appearance.of(state.framingOf(take)),
        ClipSound.OFF,
        new Held(/* locked= */ false, /* group= */ 0));
  }

  private Run run(PieceList.Piece piece) {
    if (piece.speed() == 0) {
      return Run.PLAIN.withWay(Run.Way.HOLD);
    }
    try {
      Run run = Run.at(Math.abs(piece.speed()));
      return piece.speed() < 0 ? run.withWay(Run.Way.REVERSE) : run;
    } catch (Refused e) {
      untold.add(piece.name() + ": a speed of " + piece.speed() + " % is beyond what there is.");
      return Run.PLAIN;
    }
  }

  private String fresh(String stem) {
    String id = stem;
    for (int n = 2; !ids.add(id); n++) {
      id = stem + "~" + n;
    }
    return id;
  }

  private Optional<TakeEntry> find(NamedFile file, PieceList.Piece piece) {
    Optional<TakeEntry> found = files.take(file);
    if (found.isPresent()) {
      return found;
    }
    Optional<TakeEntry> asLong = files.asLong(piece.material());
    untold.add(
        file.name()
            + asLong
                .map(take -> " is not here; " + take.fileName() + ", as long, stands in its place.")
                .orElse(" is not here; its place is black."));
    return asLong;
  }
}
