package app.latethistle.server.film;

import app.latethistle.core.FirstFew;
import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Merge;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Places;
import app.latethistle.core.film.Remedy;
import app.latethistle.core.film.Replace;
import app.latethistle.core.film.Retie;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.film.Safeguard;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.ShotRefused;
import app.latethistle.core.film.Sources;
import app.latethistle.core.plan.CutPlanner;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.plan.Proposals;
import app.latethistle.core.take.Take;
import app.latethistle.server.config.StaleRevision;
import app.latethistle.server.history.History;
import app.latethistle.server.material.GridChanged;
import app.latethistle.server.material.PickChosen;
import app.latethistle.server.material.Picks;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import app.latethistle.server.stored.StoredEdit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Loads films from their edit logs and changes them, one change at a time. */
@Service
public class FilmService {
  /** How many differences are told in a sentence. */
  private static final int TOLD = 3;

  private final LoadedFilms loaded;
  private final PlanRequests cuts;
  private final Productions productions;
  private final EditRows rows;
  private final Shots shots;
  private final Takes takes;
  private final Voice voice;
  private final FilmVersions versions;
  private final RemedyWords remedies;
  private final SpokenApart apart;
  private final Picks picks;
  private final History history;

  FilmService(
      LoadedFilms loaded,
      PlanRequests cuts,
      Productions productions,
      EditRows rows,
      Shots shots,
      Takes takes,
      Voice voice,
      FilmVersions versions,
      RemedyWords remedies,
      SpokenApart apart,
      Picks picks,
      History history) {
    this.loaded = loaded;
    this.cuts = cuts;
    this.productions = productions;
    this.rows = rows;
    this.shots = shots;
    this.takes = takes;
    this.voice = voice;
    this.versions = versions;
    this.remedies = remedies;
    this.apart = apart;
    this.picks = picks;
    this.history = history;
  }

  /** The film as it is. */
  @Transactional(readOnly = true)
  public FilmState state(long productionId) {
    return loaded.resolve(productions.get(productionId));
  }

  /**
   * A version, resolved with the clocks as they are.
   *
   * @throws Missing if there is none of that id
   */
  @Transactional(readOnly = true)
  public FilmState version(long productionId, long versionId) {
    FilmVersion version = versions.get(productionId, versionId);
    return state(productionId).of(version.edit().film());
  }

  /** What the versions are called, by their ids, in the order they were kept. */
  @Transactional(readOnly = true)
  public Map<Long, String> versionNames(long productionId) {
    Map<Long, String> names = new LinkedHashMap<>();
    versions.findByProductionIdOrderById(productionId).forEach(v -> names.put(v.id(), v.name()));
    return names;
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
    FilmState now = loaded.resolve(production);
    boolean stale = production.revision() != revision;
    Edit made;
    FilmState after;
    try {
      made = stale ? merged(now, revision, edit) : edit.apply(now);
      after = now.with(now.log().apply(made));
      // A whole film in place of another, or another start of the song, moves what it must.
      boolean bound = !(made instanceof Replace || movesTheSong(made));
      if (stale || bound) {
        Safeguard.hold(now.resolved(), after.resolved());
      }
    } catch (ShotRefused refused) {
      String label = shots.labels(productionId).apply(refused.shot());
      throw refused.called(refused.shot().isEmpty() ? "The gap" : "Shot " + label);
    }
    int place = now.log().done();
    rows.forget(productionId, place);
    rows.save(new EditRow(productionId, place, StoredEdit.write(made)));
    history.did(productionId, made.label(), new Deed.FilmEdited());
    return loaded.changed(after);
  }

  private static boolean movesTheSong(Edit edit) {
    return edit instanceof Compound all
        ? all.edits().stream().anyMatch(FilmService::movesTheSong)
        : edit instanceof SetAspect<?, ?> set && set.aspect() == Aspect.MUSIC;
  }

  private Edit merged(FilmState now, long revision, Function<FilmState, Edit> edit) {
    long id = now.production().id();
    FilmState base = loaded.at(id, revision).orElseThrow(() -> StaleRevision.of("film"));
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
              return StaleRevision.meeting(mine.label(), FirstFew.of(meanwhile, TOLD, "; "));
            });
  }

  /** Joints that are where they are to be, less those that are not. */
  private static int honoured(FilmState state) {
    return -(int)
        state.cutting().problems().stream()
            .filter(p -> p.kind() == Cutting.Kind.TIE_NOT_HONOURED)
            .count();
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
          CutPlanner.Request request = cuts.request(state, everything || first, pool);
          Film cut = Proposals.at(pace, cuts.planner(pool), request).plan().film();
          Film film = state.film().cutAs(cut);
          String label = first ? "make the first cut" : "cut again";
          return new Replace(film, label);
        });
  }

  /** A film for every pace in place of the one there is, and how it would be resolved. */
  @Transactional(readOnly = true)
  public List<Proposal> proposals(FilmState state, boolean everything, boolean pool) {
    CutPlanner.Request request =
        cuts.request(state, everything || state.film().placements().isEmpty(), pool);
    return Proposals.of(cuts.planner(pool), request).stream()
        .map(p -> new Proposal(p, state.of(p.plan().film())))
        .toList();
  }

  /** A plan at a pace, resolved. */
  public record Proposal(Proposals.Proposal plan, FilmState state) {}

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
            throw new Refused("Shot " + shot.label() + " is in the film.");
          }
          Placement placement =
              PlanRequests.placement(state, shot)
                  .orElseThrow(
                      () -> new Refused("Shot " + shot.label() + " has no take that can be used."));
          int place = cuts.slot(cuts.wanted(state, false), shot);
          return Places.share(state.resolved(), placement, place);
        });
  }

  /**
   * Chooses another take of a shot, from the part in the middle if the old part does not fit; it is
   * the shot's pick from then on.
   */
  @Transactional
  public FilmState chooseTake(long productionId, long revision, int place, long takeId) {
    FilmState after = showTake(productionId, revision, place, takeId);
    picks.byHand(shots.get(productionId, takes.get(productionId, takeId).shotId()), takeId);
    return after;
  }

  private FilmState showTake(long productionId, long revision, int place, long takeId) {
    return edit(
        productionId,
        revision,
        state -> {
          Placement placement = state.film().placementAt(place);
          TakeEntry entry = takes.get(productionId, takeId);
          Take take = state.takes().get(Long.toString(takeId));
          if (take == null || !Long.toString(entry.shotId()).equals(placement.shot())) {
            throw new Refused("Take " + entry.number() + " cannot be used for this shot.");
          }
          return Sources.choose(state.resolved(), placement.id(), take, state.framingOf(take));
        });
  }

  /**
   * Does what was offered for a shot that is short of material or apart from its line. Another take
   * that comes in becomes the shot's pick.
   */
  @Transactional
  public FilmState mend(
      long productionId, long revision, int place, Cutting.Kind problem, Remedy.Kind kind) {
    if (kind == Remedy.Kind.WAIT) {
      FilmState now = loaded.resolve(productions.getLocked(productionId));
      if (offered(now, place, problem, kind).edit() instanceof Revoice waits) {
        voice.settle(waits.line(), waits.after());
        return edit(productionId, revision, state -> waits);
      }
    }
    return edit(
        productionId,
        revision,
        state -> {
          Remedy remedy = offered(state, place, problem, kind);
          if (kind == Remedy.Kind.TAKE) {
            String shot = state.film().placementAt(place).shot();
            picks.byHand(
                shots.get(productionId, Long.parseLong(shot)), Long.parseLong(remedy.take()));
          }
          return remedy.edit();
        });
  }

  private Remedy offered(FilmState state, int place, Cutting.Kind problem, Remedy.Kind kind) {
    Stream<Remedy> found =
        state.cutting().problems().stream()
            .filter(p -> p.place() == place && (problem == null || p.kind() == problem))
            .flatMap(p -> remedies.remedies(state, p).stream());
    return Stream.concat(found, apart.remedies(state, place).stream())
        .filter(r -> r.kind() == kind)
        .findFirst()
        .orElseThrow(() -> new Refused("That is no way out for this shot any more; look again."));
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
      showTake(productionId, state.production().revision(), place, takeId);
    }
  }

  /** Ties the film to the same places of its song when beats were put right. */
  @Transactional
  public void followBeats(GridChanged change) {
    Production production = productions.getLocked(change.productionId());
    FilmState state = loaded.resolve(production);
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
    if (loaded.resolve(production).film().shots().anyMatch(p -> p.take().equals(take))) {
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
    if (loaded.resolve(production).film().placements().isEmpty()) {
      production.filmChanged(production.done());
      Revoice made = change.edit();
      history.did(
          production.id(),
          made.label(),
          new Deed.LineSettled(
              Long.parseLong(made.line()),
              StoredEdit.Line.of(made.before()),
              StoredEdit.Line.of(made.after())));
    } else {
      edit(production.id(), production.revision(), state -> change.edit());
    }
  }

  /** Shows the take that a person picked wherever the film shows its shot. */
  @Transactional
  public void followPick(PickChosen pick) {
    Production production = productions.getLocked(pick.productionId());
    FilmState now = loaded.resolve(production);
    String shot = Long.toString(pick.shotId());
    Take take = now.takes().get(Long.toString(pick.takeId()));
    List<String> ids =
        now.film().placements().stream()
            .filter(p -> p.shot().equals(shot) && take != null && !p.take().equals(take.id()))
            .map(Placement::id)
            .toList();
    if (!ids.isEmpty()) {
      edit(
          production.id(),
          production.revision(),
          state ->
              Compound.each(
                  state.resolved(),
                  ids,
                  (film, id) -> Sources.choose(film, id, take, state.framingOf(take))));
    }
  }

  /** Takes the last edit back. */
  void undo(long productionId) {
    step(productionId, EditLog::toUndo, EditLog::undo);
  }

  /** Does the last edit taken back again. */
  void redo(long productionId) {
    step(productionId, EditLog::toRedo, EditLog::redo);
  }

  private void step(
      long productionId, Function<EditLog, Optional<Edit>> made, UnaryOperator<EditLog> step) {
    Production production = productions.getLocked(productionId);
    FilmState now = loaded.resolve(production);
    EditLog log = step.apply(now.log());
    if (made.apply(now.log()).orElse(null) instanceof Revoice voiced) {
      voice.settle(voiced.line(), voiced.after());
      loaded.changed(loaded.resolve(production, log));
    } else {
      loaded.changed(now.with(log));
    }
  }
}
