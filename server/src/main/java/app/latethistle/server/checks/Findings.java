package app.latethistle.server.checks;

import app.latethistle.core.check.Check;
import app.latethistle.core.check.FileChecks;
import app.latethistle.core.check.FilmChecks;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.Mend;
import app.latethistle.core.check.SoundTrace;
import app.latethistle.core.check.Spelling;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.mix.Limiter;
import app.latethistle.core.story.Story;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.TitleKind;
import app.latethistle.media.MediaFacts;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmFindings;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.master.OutputFindings;
import app.latethistle.server.material.OwnFaces;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.preview.FilmTraces;
import app.latethistle.server.preview.TitleSights;
import app.latethistle.server.release.Releases;
import app.latethistle.server.story.StoryService;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Looks at films: at once what needs neither pictures nor sound, the rest where it is asked for.
 */
@Component
@ServerOnly
class Findings {
  /** How long one request reads pictures. */
  private static final Duration PATIENCE = Duration.ofSeconds(2);

  private final FilmFindings rooms;
  private final FilmTraces traces;
  private final TitleSights sights;
  private final Takes takes;
  private final StoryService stories;
  private final Releases releases;
  private final OutputFindings outputs;
  private final OwnFaces faces;

  Findings(
      FilmFindings rooms,
      FilmTraces traces,
      TitleSights sights,
      Takes takes,
      StoryService stories,
      Releases releases,
      OutputFindings outputs,
      OwnFaces faces) {
    this.faces = faces;
    this.rooms = rooms;
    this.traces = traces;
    this.sights = sights;
    this.takes = takes;
    this.stories = stories;
    this.releases = releases;
    this.outputs = outputs;
  }

  /** Findings, and how far the looking is. */
  record Looked(List<Finding> findings, int done, int of) {
    static Looked whole(List<Finding> findings) {
      return new Looked(findings, 1, 1);
    }
  }

  /** What is told of a group of checks. */
  Looked of(CheckGroup group, FilmState state) throws IOException {
    return switch (group) {
      case FILM -> Looked.whole(film(state));
      case PICTURES -> pictures(state);
      case SOUND -> Looked.whole(sound(state));
    };
  }

  private List<Finding> film(FilmState state) {
    List<Finding> all = new ArrayList<>(rooms.cut(state));
    all.addAll(FilmChecks.of(state.resolved(), state.production().shape(), known(state)));
    all.addAll(outputs.of(state));
    List<String> missing = releases.missingRights(state);
    missing.forEach(
        what ->
            all.add(Finding.of(Check.RIGHTS, Verdict.MUST, what + ": its rights are not stated")));
    if (missing.isEmpty()) {
      all.add(Finding.of(Check.RIGHTS, Verdict.FINE, "the rights of all that is used are stated"));
    }
    return all;
  }

  private FilmChecks.Known known(FilmState state) {
    List<TakeEntry> all = takes.findByProductionIdOrderById(state.production().id());
    Set<String> slates =
        all.stream()
            .filter(TakeEntry::isPlaceholder)
            .map(take -> Long.toString(take.id()))
            .collect(Collectors.toSet());
    return new FilmChecks.Known(
        slates, new Spelling(script(state)), faces.all(), state.production().targetSeconds());
  }

  /** All that is written of a film before it is cut. */
  private Stream<String> script(FilmState state) {
    Story story = stories.state(state.production().id()).story();
    return Stream.concat(Stream.of(state.production().title()), story.texts());
  }

  private Looked pictures(FilmState state) throws IOException {
    FilmTraces.Reading reading = traces.read(state, PATIENCE);
    if (reading.trace().isEmpty()) {
      return new Looked(List.of(), reading.done(), reading.of());
    }
    FileChecks.Wanted wanted =
        new FileChecks.Wanted(
            Optional.empty(), reading.black(), still(state), Optional.empty(), Limiter.CEILING);
    List<Finding> all = new ArrayList<>();
    for (Finding f : FileChecks.ofPictures(reading.trace().get(), wanted)) {
      all.add(f.at().map(at -> f.about(shotAt(state, at))).orElse(f));
    }
    all.addAll(rooms.looks(state));
    int before = all.size();
    for (FilmTitle title : state.film().titles()) {
      TitlePlace place = state.cutting().beside().titles().get(title.id());
      // A badge hides a mark; whether it can be read there is all the same.
      if (place != null && title.words().kind() != TitleKind.BADGE) {
        all.addAll(sight(title, place, sights.of(state, title, Optional.empty())));
      }
    }
    if (all.size() == before && !state.film().titles().isEmpty()) {
      all.add(Finding.of(Check.TITLES, Verdict.FINE, "titles can be read where they stand"));
    }
    return new Looked(all, reading.done(), reading.of());
  }

  /** The shot of the cut in which most of a range lies. */
  private static String shotAt(FilmState state, FrameRange at) {
    int place = state.cutting().placeAt(Math.min(state.cutting().length() - 1, at.start()));
    return place < 0 ? "" : state.film().placements().get(place).id();
  }

  /** Where the film may stand still: pictures that are held, and stills that nothing moves. */
  private List<FrameRange> still(FilmState state) {
    Set<String> stills = new HashSet<>();
    for (TakeEntry take : takes.findByProductionIdOrderById(state.production().id())) {
      if (take.medium() != null && take.medium().facts().kind() == MediaFacts.Kind.STILL) {
        stills.add(Long.toString(take.id()));
      }
    }
    List<FrameRange> still = new ArrayList<>();
    List<Placement> cut = state.film().placements();
    for (int i = 0; i < cut.size(); i++) {
      Placement p = cut.get(i);
      boolean held = p.run().way() == Run.Way.HOLD;
      if (!p.hasPicture() || held || stills.contains(p.take())) {
        FrameRange range = state.cutting().seenOf(i);
        still.add(new FrameRange(Math.max(0, range.start() - 1), range.end() + 1));
      }
    }
    return still;
  }

  private static List<Finding> sight(
      FilmTitle title, TitlePlace place, TitleSights.TitleSight sight) {
    String name = title.called() + " ";
    List<Finding> found = new ArrayList<>();
    if (sight.least() < sight.needed()) {
      String said =
          String.format(
              Locale.ROOT, "%.1f:1 over its picture, %.1f needed", sight.least(), sight.needed());
      found.add(finding(title, place, name + said, sight));
    }
    if (sight.outside() >= 1) {
      String said = String.format(Locale.ROOT, "%.0f px outside the safe area", sight.outside());
      found.add(finding(title, place, name + said, sight));
    }
    if (!sight.over().isEmpty()) {
      found.add(finding(title, place, name + "lies over the focus of its shot", sight));
    }
    if (sight.covers()) {
      found.add(finding(title, place, name + "lies over a face", sight));
    }
    if (sight.crowds()) {
      found.add(finding(title, place, name + "lies where its publisher lays things", sight));
    }
    return found;
  }

  private static Finding finding(
      FilmTitle title, TitlePlace place, String said, TitleSights.TitleSight sight) {
    List<Mend> mends = sight.remedies().stream().map(remedy -> mend(title, remedy)).toList();
    return Finding.at(place.range(), Check.TITLES, Verdict.LOOK, said)
        .about(title.id())
        .with(mends);
  }

  private static Mend mend(FilmTitle title, TitleSights.SightRemedy remedy) {
    String label =
        switch (remedy.kind()) {
          case SHADOW -> "Shade it";
          case PLATE -> "Plate under it";
          case MOVE -> "Move it";
        };
    String then = String.format(Locale.ROOT, "%.1f:1 then", remedy.ratio());
    return new Mend(
        label,
        then,
        remedy.lettering() != null
            ? SetAspect.of(Aspect.LETTERING, title.id(), remedy.lettering())
            : SetAspect.of(Aspect.BOX, title.id(), title.box().withOwn(remedy.box())));
  }

  private List<Finding> sound(FilmState state) throws IOException {
    SoundTrace trace = rooms.trace(state);
    List<Finding> all = new ArrayList<>();
    for (Finding f :
        FileChecks.ofSound(trace, state.production().rate(), FileChecks.Wanted.ANYTHING)) {
      all.add(f.at().map(at -> f.about(shotAt(state, at))).orElse(f));
    }
    all.addAll(rooms.heard(state));
    return all;
  }
}
