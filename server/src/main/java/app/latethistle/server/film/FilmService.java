package app.latethistle.server.film;

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
import app.latethistle.core.film.Sources;
import app.latethistle.core.plan.CutPlan;
import app.latethistle.core.plan.CutPlanner;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.take.Take;
import app.latethistle.server.config.StaleRevision;
import app.latethistle.server.material.GridChanged;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.StoredEdit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Loads films from their edit logs and changes them, one change at a time. */
@Service
public class FilmService {
  /** How many differences are told in a sentence. */
  private static final int TOLD = 3;

  private final LoadedFilms loaded;
  private final CutRequests cuts;
  private final Productions productions;
  private final EditRows rows;
  private final Shots shots;
  private final Takes takes;
  private final Voice voice;
  private final FilmVersions versions;
  private final RemedyWords remedies;

  FilmService(
      LoadedFilms loaded,
      CutRequests cuts,
      Productions productions,
      EditRows rows,
      Shots shots,
      Takes takes,
      Voice voice,
      FilmVersions versions,
      RemedyWords remedies) {
    this.loaded = loaded;
    this.cuts = cuts;
    this.productions = productions;
    this.rows = rows;
    this.shots = shots;
    this.takes = takes;
    this.voice = voice;
    this.versions = versions;
    this.remedies = remedies;
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
          Film cut =
              cuts.planner(pool)
                  .plan(cuts.request(state, everything || first, pool).at(pace))
                  .film();
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
    return Arrays.stream(Pace.values())
        .map(
            pace -> {
              CutPlan plan = cuts.planner(pool).plan(request.at(pace));
              return new Proposal(pace, plan, state.of(plan.film()));
            })
        .toList();
  }

  /** A plan at a pace, resolved. */
  public record Proposal(Pace pace, CutPlan plan, FilmState state) {}

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
              CutRequests.placement(state, shot)
                  .orElseThrow(
                      () -> new Refused("Shot " + shot.label() + " has no take that can be used."));
          int place = cuts.slot(cuts.wanted(state, false), shot);
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
            throw new Refused("Take " + entry.number() + " cannot be used for this shot.");
          }
          return Sources.choose(state.resolved(), placement.id(), take, state.framingOf(take));
        });
  }

  /**
   * Does what was offered for a shot that is short of material. Another take that comes in becomes
   * the shot's pick.
   */
  @Transactional
  public FilmState mend(long productionId, long revision, int place, Remedy.Kind kind) {
    return edit(
        productionId,
        revision,
        state -> {
          Remedy remedy =
              remedies.remedies(state, place).stream()
                  .filter(r -> r.kind() == kind)
                  .findFirst()
                  .orElseThrow(
                      () -> new Refused("That is no way out for this shot any more; look again."));
          if (kind == Remedy.Kind.TAKE) {
            String shot = state.film().placementAt(place).shot();
            shots.get(productionId, Long.parseLong(shot)).pickByHand(Long.valueOf(remedy.take()));
          }
          return remedy.edit();
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
    if (loaded.resolve(production).film().placements().stream()
        .anyMatch(p -> p.take().equals(take))) {
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
    FilmState now = loaded.resolve(production);
    EditLog log = step.apply(now.log());
    if (made.apply(now.log()).orElse(null) instanceof Revoice voiced) {
      voice.settle(voiced.line(), voiced.after());
      return loaded.changed(loaded.resolve(production, log));
    }
    return loaded.changed(now.with(log));
  }
}
