package app.latethistle.server.film;

import app.latethistle.core.check.Check;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.Mend;
import app.latethistle.core.check.MixChecks;
import app.latethistle.core.check.SoundTrace;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.film.Ambience;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Remedy;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.grade.Drift;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.config.ServerOnly;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What the rooms tell of a film, as findings for the checks: in the same words. */
@Component
@ServerOnly
public class FilmFindings {
  /** The strength of a match that is offered here, as in Look; 0 to 1. */
  private static final double STRENGTH = 1;

  private final FilmViews views;
  private final RemedyWords remedies;
  private final SpokenApart apart;
  private final LookViews looks;
  private final Matching matching;
  private final MixViews mixes;

  FilmFindings(
      FilmViews views,
      RemedyWords remedies,
      SpokenApart apart,
      LookViews looks,
      Matching matching,
      MixViews mixes) {
    this.views = views;
    this.remedies = remedies;
    this.apart = apart;
    this.looks = looks;
    this.matching = matching;
    this.mixes = mixes;
  }

  /** What the film's shots are called, by their ids in it. */
  public Map<String, String> labels(FilmState state) {
    return looks.labels(state);
  }

  /** What Score tells of the cut. */
  public List<Finding> cut(FilmState state) {
    List<Placement> cut = state.film().placements();
    List<Finding> all = new ArrayList<>();
    for (FilmView.ProblemView problem : views.problems(state)) {
      boolean known = problem.place() >= 0 && problem.place() < cut.size();
      FrameRange at = known ? state.cutting().rangeOf(problem.place()) : new FrameRange(0, 1);
      all.add(
          Finding.at(at, check(problem.kind()), verdict(problem.kind()), problem.text())
              .about(known ? cut.get(problem.place()).id() : "")
              .with(mends(state, problem)));
    }
    all.addAll(subjects(state));
    all.addAll(ambience(state));
    if (all.stream().noneMatch(f -> f.check() == Check.MATERIAL)) {
      all.add(Finding.of(Check.MATERIAL, Verdict.FINE, "every shot has the material it needs"));
    }
    return all;
  }

  /** Sounds of places that are not heard wherever the film is there, as after a shot was put in. */
  private List<Finding> ambience(FilmState state) {
    Map<String, String> places = looks.places(state.production().id());
    List<Finding> all = new ArrayList<>();
    for (Ambience.Astray astray : Ambience.astray(state.film(), places)) {
      Ambience ambience = astray.ambience();
      String first = astray.stays().get(0).from();
      String name = ambience.model().what().name();
      all.add(
          Finding.at(
                  state.resolved().rangeOf(first),
                  Check.AMBIENCE,
                  Verdict.LOOK,
                  name + " is not heard through all of " + ambience.place() + ", here first")
              .about(first)
              .with(
                  List.of(
                      new Mend(
                          "Lay it through all of it",
                          "",
                          () -> ambience.everywhere(state.film(), places).orElseThrow()))));
    }
    if (all.isEmpty() && !Ambience.of(state.film(), places).isEmpty()) {
      all.add(
          Finding.of(
              Check.AMBIENCE, Verdict.FINE, "each place's ambience is heard through all of it"));
    }
    return all;
  }

  /** Shots of whose subject something is asked where none was cut out of the take. */
  private static List<Finding> subjects(FilmState state) {
    return state
        .film()
        .shots()
        .filter(p -> state.takes().containsKey(p.take()))
        .filter(p -> state.takes().get(p.take()).subject().isEmpty())
        .flatMap(p -> Stream.of(kept(state, p), corrected(state, p)).flatMap(Optional::stream))
        .toList();
  }

  private static Optional<Finding> kept(FilmState state, Placement p) {
    Matte matte = p.how().matte();
    return matte.part() == Matte.Part.ALL
        ? Optional.empty()
        : Optional.of(
            notCutOut(
                state,
                p,
                "shows all of its picture",
                new Mend(
                    "Let all of it stay",
                    "",
                    SetAspect.of(Aspect.MATTE, p.id(), matte.withPart(Matte.Part.ALL)))));
  }

  private static Optional<Finding> corrected(FilmState state, Placement p) {
    Correction correction = p.how().correction();
    List<ColourRange> everywhere =
        correction.ranges().stream()
            .map(r -> r.in(new PicturePart(r.where().masks(), Matte.Part.ALL)))
            .toList();
    return everywhere.equals(correction.ranges())
        ? Optional.empty()
        : Optional.of(
            notCutOut(
                state,
                p,
                "has a range of colours corrected in all of its picture",
                new Mend(
                    "Mean all of it",
                    "",
                    SetAspect.of(Aspect.CORRECTION, p.id(), correction.withRanges(everywhere)))));
  }

  private static Finding notCutOut(FilmState state, Placement p, String what, Mend mend) {
    return Finding.at(
            state.resolved().rangeOf(p.id()),
            Check.MATERIAL,
            Verdict.MUST,
            what + ": its subject is not cut out of its take")
        .about(p.id())
        .with(List.of(mend));
  }

  private static Check check(Cutting.Kind kind) {
    return switch (kind) {
      case OUT_OF_MATERIAL, ENDS_SHORT, STARTS_SHORT, TRANSITION_CROWDED, TAKE_MISSING ->
          Check.MATERIAL;
      default -> Check.CUTS;
    };
  }

  private static Verdict verdict(Cutting.Kind kind) {
    return switch (kind) {
      case TAKE_MISSING, BEAT_MISSING, WORD_MISSING, TIED_IN_CIRCLE, NOT_PLACED, LINE_PAST_END ->
          Verdict.MUST;
      default -> Verdict.LOOK;
    };
  }

  private List<Mend> mends(FilmState state, FilmView.ProblemView told) {
    List<Remedy> ways =
        told.kind() == Cutting.Kind.LINE_APART
            ? apart.remedies(state, told.place())
            : state.cutting().problems().stream()
                .filter(p -> p.kind() == told.kind() && p.place() == told.place())
                .flatMap(p -> remedies.remedies(state, p).stream())
                .toList();
    List<Mend> mends = new ArrayList<>();
    for (FilmView.RemedyView view : told.remedies()) {
      ways.stream()
          // A line that waits is settled with the voice, in Score.
          .filter(r -> r.kind() == view.kind() && r.kind() != Remedy.Kind.WAIT)
          .findFirst()
          .ifPresent(r -> mends.add(new Mend(view.name(), view.cost(), r.edit())));
    }
    return mends;
  }

  /** What Look tells of shots that are not like their key shot. */
  public List<Finding> looks(FilmState state) {
    LookView look = looks.of(state);
    if (look.key() == null && look.still() == null) {
      return List.of(
          Finding.of(Check.DRIFT, Verdict.LOOK, "no key shot is chosen that others look like"));
    }
    List<Finding> all = new ArrayList<>();
    int near = 0;
    int measured = 0;
    for (LookView.LookShot shot : look.shots()) {
      Drift now = shot.now();
      if (now == null || shot.keyOf() == LookView.KeyOf.FILM) {
        continue;
      }
      measured++;
      if (now.whole() <= look.close()) {
        near++;
        continue;
      }
      FrameRange at = state.resolved().rangeOf(shot.item());
      String said =
          shot.correction().leavesAll()
              ? String.format(
                  Locale.ROOT, "is %.1f from the key shot, and not matched to it", now.whole())
              : String.format(Locale.ROOT, "is %.1f from the key shot", now.whole());
      all.add(
          Finding.at(at, Check.DRIFT, Verdict.LOOK, said)
              .about(shot.item())
              .with(matched(state, shot)));
    }
    all.add(
        Finding.of(
            Check.DRIFT,
            Verdict.FINE,
            String.format(
                Locale.ROOT,
                "%d of %d shots within %.0f of the key shot",
                near,
                measured,
                look.close())));
    return all;
  }

  private List<Mend> matched(FilmState state, LookView.LookShot shot) {
    if (!shot.correction().leavesAll()) {
      return List.of();
    }
    // Worked out where it is asked for: it takes longer than all that is told here.
    return List.of(
        new Mend(
            "Match it",
            "",
            () ->
                SetAspect.of(
                    Aspect.CORRECTION, matching.of(state, List.of(shot.item()), STRENGTH))));
  }

  /** What Mix tells: how speech stands. */
  public List<Finding> heard(FilmState state) throws IOException {
    return MixChecks.of(state.resolved(), state.ducking(), mixes.measured(state).report());
  }

  /** What was heard of the whole mix. */
  public SoundTrace trace(FilmState state) throws IOException {
    return mixes.measured(state).trace();
  }
}
