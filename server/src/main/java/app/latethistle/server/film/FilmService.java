package app.latethistle.server.film;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Merge;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Places;
import app.latethistle.core.film.Replace;
import app.latethistle.core.film.Retie;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.film.Safeguard;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Sources;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.plan.CutPlan;
import app.latethistle.core.plan.CutPlanner;
import app.latethistle.core.plan.OrderedCut;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.plan.PoolCut;
import app.latethistle.core.plan.Traits;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.server.config.StaleRevision;
import app.latethistle.server.jobs.AfterCommit;
import app.latethistle.server.material.GridChanged;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.Song;
import app.latethistle.server.material.Songs;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.StoredEdit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Loads films from their edit logs and changes them, one change at a time. */
@Service
public class FilmService {
  /** How many differences are told in a sentence. */
  private static final int TOLD = 3;

  private final Productions productions;
  private final EditRows rows;
  private final Shots shots;
  private final Takes takes;
  private final Songs songs;
  private final Voice voice;
  private final ShotTraits traits;
  private final FilmVersions versions;
  private final OrderedCut inOrder = new OrderedCut();
  private final PoolCut inAnyOrder = new PoolCut();
  private final RecentFilms recent = new RecentFilms();
  private final Map<Long, Loaded> loaded = new ConcurrentHashMap<>();

  /** A log as it was at a revision, so that it is not replayed for every look at it. */
  private record Loaded(long revision, EditLog log) {}

  FilmService(
      Productions productions,
      EditRows rows,
      Shots shots,
      Takes takes,
      Songs songs,
      Voice voice,
      ShotTraits traits,
      FilmVersions versions) {
    this.productions = productions;
    this.rows = rows;
    this.shots = shots;
    this.takes = takes;
    this.songs = songs;
    this.voice = voice;
    this.traits = traits;
    this.versions = versions;
  }

  /** The film as it is. */
  @Transactional(readOnly = true)
  public FilmState state(long productionId) {
    return resolve(productions.get(productionId));
  }

  /**
   * A version, resolved with the clocks as they are.
   *
   * @throws NoSuchElementException if there is none of that id
   */
  @Transactional(readOnly = true)
  public FilmState version(long productionId, long versionId) {
    FilmVersion version = versions.get(productionId, versionId);
    return state(productionId).of(version.edit().film());
  }

  /**
   * Makes an edit. If the film has changed since the revision the person saw, both changes are
   * brought together where they touch different things.
   *
   * @throws StaleRevision if they touch the same
   */
  @Transactional
  public FilmState edit(long productionId, long revision, Function<FilmState, Edit> edit) {
    Production production = productions.getLocked(productionId);
    FilmState now = resolve(production);
    boolean stale = production.revision() != revision;
    Edit made = stale ? merged(now, revision, edit) : edit.apply(now);
    FilmState after = now.with(now.log().apply(made));
    // A whole film in place of another, or another start of the song, moves what it must.
    boolean bound = !(made instanceof Replace || movesTheSong(made));
    if (stale || bound) {
      Safeguard.hold(now.resolved(), after.resolved());
    }
    int place = now.log().done();
    rows.forget(productionId, place);
    rows.save(new EditRow(productionId, place, StoredEdit.write(made)));
    return changed(after);
  }

  private static boolean movesTheSong(Edit edit) {
    return edit instanceof Compound all
        ? all.edits().stream().anyMatch(FilmService::movesTheSong)
        : edit instanceof SetAspect<?, ?> set && set.aspect() == Aspect.MUSIC;
  }

  private Edit merged(FilmState now, long revision, Function<FilmState, Edit> edit) {
    long id = now.production().id();
    FilmState base = recent.at(id, revision).orElseThrow(() -> StaleRevision.of("film"));
    Edit mine = edit.apply(base);
    if (mine instanceof Replace) {
      throw StaleRevision.of("film");
    }
    return Merge.of(base.film(), mine.apply(base.film()), now.film())
        .filter(both -> honoured(now.of(both)) >= honoured(now))
        .map(both -> new Replace(both, mine.label()))
        .orElseThrow(
            () -> {
              List<String> meanwhile = Differences.of(base, now, shots.labels(id));
              return StaleRevision.meeting(mine.label(), few(meanwhile));
            });
  }

  private static String few(List<String> parts) {
    int more = parts.size() - TOLD;
    String told = String.join("; ", parts.subList(0, Math.min(TOLD, parts.size())));
    return more > 0 ? told + "; and " + more + " more" : told;
  }

  /** Joints that are where they are to be, less those that are not. */
  private static int honoured(FilmState state) {
    return -(int)
        state.cutting().problems().stream()
            .filter(p -> p.kind() == Cutting.Kind.TIE_NOT_HONOURED)
            .count();
  }

  /** Takes the last edit back. */
  @Transactional
  public FilmState undo(long productionId, long revision) {
    return step(productionId, revision, EditLog::toUndo, EditLog::undo);
  }

  /** Does the last edit taken back again. */
  @Transactional
  public FilmState redo(long productionId, long revision) {
    return step(productionId, revision, EditLog::toRedo, EditLog::redo);
  }

  /**
   * Makes the first cut, or makes it again: shots in their order in the film with locked ones where
   * they are, and shots that are not in it by number after those before them, if asked for.
   *
   * @param everything whether shots outside the film come in
   * @param pool whether the planner chooses the order too
   */
  @Transactional
  public FilmState firstCut(
      long productionId, long revision, boolean everything, boolean pool, Pace pace) {
    return edit(
        productionId,
        revision,
        state -> {
          boolean first = state.film().placements().isEmpty();
          Film cut = planner(pool).plan(request(state, everything || first, pool).at(pace)).film();
          Film film = state.film().cutAs(cut);
          String label = first ? "make the first cut" : "cut again";
          return new Replace(film, label);
        });
  }

  /** A film for every pace in place of the one there is, and how it would be resolved. */
  @Transactional(readOnly = true)
  public List<Proposal> proposals(FilmState state, boolean everything, boolean pool) {
    CutPlanner.Request request =
        request(state, everything || state.film().placements().isEmpty(), pool);
    return Arrays.stream(Pace.values())
        .map(
            pace -> {
              CutPlan plan = planner(pool).plan(request.at(pace));
              return new Proposal(pace, plan, state.of(plan.film()));
            })
        .toList();
  }

  /** A plan at a pace, resolved. */
  public record Proposal(Pace pace, CutPlan plan, FilmState state) {}

  private CutPlanner planner(boolean pool) {
    return pool ? inAnyOrder : inOrder;
  }

  private CutPlanner.Request request(FilmState state, boolean everything, boolean pool) {
    VoiceClock lines = state.steadyVoice();
    if (state.grid().size() == 0 && lines.phrases().isEmpty()) {
      throw new IllegalArgumentException(
          "There are no beats to cut to yet; choose a song in Cues and let it be listened to.");
    }
    Song song = state.song().orElse(null);
    CutPlanner.Music music =
        song == null
            ? CutPlanner.Music.NONE
            : new CutPlanner.Music(
                state.grid(),
                song.sections(),
                song.moments(),
                state.film().music().start(),
                song.pace());
    return new CutPlanner.Request(
        known(wanted(state, everything), state, pool),
        music,
        lines,
        state.production().rate(),
        wantedFrames(state),
        Pace.EVEN);
  }

  /** The wanted length, at most what the song has left. */
  private static long wantedFrames(FilmState state) {
    double song =
        state
            .song()
            .map(
                s -> s.medium().facts().seconds() - Samples.toSeconds(state.film().music().start()))
            .orElse(Double.MAX_VALUE);
    return state
        .production()
        .rate()
        .framesIn(Math.min(state.production().targetSeconds(), Math.max(0, song)));
  }

  private List<CutPlanner.Wanted> wanted(FilmState state, boolean everything) {
    List<CutPlanner.Wanted> wanted = new ArrayList<>();
    Film film = state.film();
    Map<String, Set<String>> speakers = spokenOf(state);
    for (int i = 0; i < film.placements().size(); i++) {
      Placement placement = film.placements().get(i);
      Take take = state.takes().get(placement.take());
      if (take != null) {
        CutPlanner.Wanted shot = asWanted(placement, state, speakers);
        wanted.add(
            placement.locked()
                ? shot.fixedAt(
                    new CutPlanner.Fixed(
                        state.cutting().rangeOf(i), film.ties().get(i), film.ties().get(i + 1)))
                : shot);
      }
    }
    if (everything) {
      List<Shot> outside = outside(state);
      for (Shot shot : outside) {
        placement(state, shot)
            .ifPresent(p -> wanted.add(slot(wanted, shot), asWanted(p, state, speakers)));
      }
    }
    return wanted;
  }

  /** The same with what was measured of their takes; what they look like only matters in a pool. */
  private List<CutPlanner.Wanted> known(
      List<CutPlanner.Wanted> wanted, FilmState state, boolean pool) {
    FrameRate rate = state.production().rate();
    Map<String, TakeEntry> entries =
        takes.findByProductionId(state.production().id()).stream()
            .collect(Collectors.toMap(t -> Long.toString(t.id()), t -> t));
    List<TakeEntry> used = wanted.stream().map(w -> entries.get(w.placement().take())).toList();
    Map<String, Traits> known = pool ? traits.of(used, rate) : Map.of();
    return wanted.stream()
        .map(
            w ->
                w.within(ShotTraits.usable(entries.get(w.placement().take()), rate))
                    .looking(known.getOrDefault(w.placement().take(), Traits.NONE)))
        .toList();
  }

  private static CutPlanner.Wanted asWanted(
      Placement placement, FilmState state, Map<String, Set<String>> speakers) {
    return CutPlanner.Wanted.of(placement, state.takes().get(placement.take()).frames())
        .saying(state.saidWith(placement.shot()))
        .spokenOf(speakers.getOrDefault(placement.shot(), Set.of()));
  }

  /** The lines that speak of each shot. */
  private Map<String, Set<String>> spokenOf(FilmState state) {
    Map<Integer, String> byNumber =
        state.lines().stream()
            .collect(Collectors.toMap(l -> l.line().number(), l -> l.line().id()));
    Map<String, Set<String>> spoken = new HashMap<>();
    voice
        .linesOfShots(state.production().id())
        .forEach(
            (shot, number) -> {
              if (byNumber.containsKey(number)) {
                spoken.put(Long.toString(shot), Set.of(byNumber.get(number)));
              }
            });
    return spoken;
  }

  /** After the last shot of the film whose number comes before this one's. */
  private int slot(List<CutPlanner.Wanted> wanted, Shot shot) {
    for (int i = wanted.size() - 1; i >= 0; i--) {
      Optional<Shot> before = shots.findById(Long.valueOf(wanted.get(i).placement().shot()));
      if (before.isPresent() && Gathering.ORDER.compare(before.get().key(), shot.key()) < 0) {
        return i + 1;
      }
    }
    return 0;
  }

  /** Shots that are not in the film, in order. */
  List<Shot> outside(FilmState state) {
    return shots.findByProductionId(state.production().id()).stream()
        .filter(shot -> !state.film().shows(Long.toString(shot.id())))
        .sorted(Comparator.comparing(Shot::key, Gathering.ORDER))
        .toList();
  }

  /** A shot with its pick, if that is ready. */
  private static Optional<Placement> placement(FilmState state, Shot shot) {
    if (shot.pickId() == null) {
      return Optional.empty();
    }
    Take pick = state.takes().get(Long.toString(shot.pickId()));
    if (pick == null) {
      return Optional.empty();
    }
    Framing framing = new Framing(Fit.byDefault(pick.shape(), state.production().shape()));
    return Optional.of(Placement.of(Long.toString(shot.id()), pick.id(), 0, framing));
  }

  /** Takes a shot out of the film. */
  @Transactional
  public FilmState remove(long productionId, long revision, int place) {
    return edit(productionId, revision, state -> Places.giveToNeighbour(state.resolved(), place));
  }

  /** Brings a shot back in, after the shot before it by number. */
  @Transactional
  public FilmState bringBack(long productionId, long revision, long shotId) {
    return edit(
        productionId,
        revision,
        state -> {
          Shot shot = shots.get(productionId, shotId);
          if (state.film().indexOfShot(Long.toString(shotId)) >= 0) {
            throw new IllegalArgumentException("Shot " + shot.label() + " is in the film.");
          }
          Placement placement =
              placement(state, shot)
                  .orElseThrow(
                      () ->
                          new IllegalArgumentException(
                              "Shot " + shot.label() + " has no take that can be used."));
          int place = slot(wanted(state, false), shot);
          return Places.share(state.resolved(), placement, place);
        });
  }

  /** Chooses another take of a shot, from the part in the middle if the old part does not fit. */
  @Transactional
  public FilmState chooseTake(long productionId, long revision, int place, long takeId) {
    return edit(
        productionId,
        revision,
        state -> {
          Placement placement = state.film().placementAt(place);
          TakeEntry entry = takes.get(productionId, takeId);
          Take take = state.takes().get(Long.toString(takeId));
          if (take == null || !Long.toString(entry.shotId()).equals(placement.shot())) {
            throw new IllegalArgumentException(
                "Take " + entry.number() + " cannot be used for this shot.");
          }
          Framing framing = new Framing(Fit.byDefault(take.shape(), state.production().shape()));
          return Sources.choose(state.resolved(), placement.id(), take, framing);
        });
  }

  /** Puts a take where the film has a placeholder for its shot; else nothing is changed. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void fillPlace(long productionId, long shotId, long takeId) {
    productions.getLocked(productionId);
    FilmState state = state(productionId);
    int place = state.film().indexOfShot(Long.toString(shotId));
    boolean held =
        place >= 0
            && takes
                .findById(Long.valueOf(state.film().placementAt(place).take()))
                .map(TakeEntry::isPlaceholder)
                .orElse(false);
    if (held) {
      chooseTake(productionId, state.production().revision(), place, takeId);
    }
  }

  /** Ties the film to the same places of its song when beats were put right. */
  @Transactional
  public void followBeats(GridChanged change) {
    Production production = productions.getLocked(change.productionId());
    FilmState state = resolve(production);
    boolean uses = Long.valueOf(change.songId()).equals(production.songId());
    if (!uses || state.film().placements().isEmpty()) {
      return;
    }
    if (Retie.isNeeded(change.before(), change.after())) {
      Film tied = Retie.of(state.film(), change.before(), change.after());
      edit(production.id(), production.revision(), s -> new Replace(tied, "follow the beats"));
    } else {
      production.filmChanged(production.done());
    }
  }

  /** Notes that a take of the film shows something else now, such as a slate with new words. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  public void redrawn(long productionId, long takeId) {
    Production production = productions.getLocked(productionId);
    String take = Long.toString(takeId);
    if (resolve(production).film().placements().stream().anyMatch(p -> p.take().equals(take))) {
      production.filmChanged(production.done());
    }
  }

  /**
   * Resolves the film anew, because its voice is another. Once there is a film, that is one of its
   * edits, so that undo takes it back whole.
   */
  @Transactional
  public void followVoice(VoiceChanged change) {
    Production production = productions.getLocked(change.productionId());
    if (resolve(production).film().placements().isEmpty()) {
      production.filmChanged(production.done());
    } else {
      edit(production.id(), production.revision(), state -> change.edit());
    }
  }

  private FilmState step(
      long productionId,
      long revision,
      Function<EditLog, Optional<Edit>> made,
      UnaryOperator<EditLog> step) {
    Production production = productions.getLocked(productionId);
    if (production.revision() != revision) {
      throw StaleRevision.of("film");
    }
    FilmState now = resolve(production);
    EditLog log = step.apply(now.log());
    if (made.apply(now.log()).orElse(null) instanceof Revoice voiced) {
      voice.settle(voiced.line(), voiced.after());
      return changed(resolve(production, log));
    }
    return changed(now.with(log));
  }

  /** Notes that the film is another now. Its clocks and takes are those it was changed on. */
  private FilmState changed(FilmState after) {
    Production production = after.production();
    production.filmChanged(after.log().done());
    productions.flush();
    Loaded log = new Loaded(production.revision(), after.log());
    // Until the transaction has ended well, others read what is in the rows.
    loaded.remove(production.id());
    AfterCommit.run(
        () -> {
          loaded.put(production.id(), log);
          recent.keep(after);
        });
    return after;
  }

  private FilmState resolve(Production production) {
    Loaded kept = loaded.get(production.id());
    EditLog log =
        kept != null && kept.revision() == production.revision()
            ? kept.log()
            : replayed(production);
    loaded.put(production.id(), new Loaded(production.revision(), log));
    return resolve(production, log);
  }

  private EditLog replayed(Production production) {
    List<Function<Film, Edit>> edits = new ArrayList<>();
    for (EditRow row : rows.findByProductionIdOrderByPlace(production.id())) {
      edits.add(StoredEdit.read(row.body())::on);
    }
    return EditLog.replay(edits, production.done());
  }

  private FilmState resolve(Production production, EditLog log) {
    Map<String, Take> ready = new LinkedHashMap<>();
    Set<String> sounding = new HashSet<>();
    for (TakeEntry entry : takes.findByProductionId(production.id())) {
      if (entry.state() == State.READY) {
        String id = Long.toString(entry.id());
        ready.put(id, entry.take());
        if (entry.sound() != null) {
          sounding.add(id);
        }
      }
    }
    Optional<Song> song =
        Optional.ofNullable(production.songId())
            .flatMap(songs::findById)
            .filter(s -> s.state() == State.READY);
    FilmState state =
        FilmState.of(production, log, ready, sounding, song, voice.lines(production.id()));
    recent.keep(state);
    return state;
  }
}
