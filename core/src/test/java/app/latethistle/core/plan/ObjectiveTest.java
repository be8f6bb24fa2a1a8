package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.Films;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.film.Voices;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What each term of a cut's cost says. At 120 BPM and 24 frames a bar has 48 frames. */
class ObjectiveTest {
  private static final BeatGrid GRID = BeatGrid.even(120, 0, 64, 4);

  private Pace pace = Pace.EVEN;
  private List<Section> sections = List.of();
  private List<KeyMoment> keyMoments = List.of();
  private VoiceClock voice = VoiceClock.SILENT;
  private double seconds = 16;

  private static CutPlanner.Wanted shot(int i) {
    return CutPlanner.Wanted.of(Placement.of("s" + i, "t" + i, 0, Framing.FILL), 200);
  }

  private static List<CutPlanner.Wanted> shots(int count) {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      shots.add(shot(i));
    }
    return shots;
  }

  /** Locks a shot from one beat to another. */
  private static void lock(List<CutPlanner.Wanted> shots, int i, int from, int to) {
    FrameRange range = new FrameRange(12L * from, 12L * to);
    CutPlanner.Fixed fixed = new CutPlanner.Fixed(range, Tie.onBeat(from), Tie.onBeat(to));
    shots.set(i, shot(i).fixedAt(fixed));
  }

  private final class Asked {
    final List<Moment> moments;
    final Objective objective;

    Asked(List<CutPlanner.Wanted> shots) {
      CutPlanner.Request request =
          new CutPlanner.Request(
              shots,
              new CutPlanner.Music(GRID, sections, keyMoments, 0),
              voice,
              Films.RATE,
              Films.RATE.framesIn(seconds),
              pace);
      moments = Moment.of(request);
      objective = new Objective(request, shots, moments);
    }

    int at(long frame) {
      for (int i = 0; i < moments.size(); i++) {
        if (moments.get(i).frame() == frame) {
          return i;
        }
      }
      throw new AssertionError("no moment at " + frame);
    }

    Map<Term, Double> terms(int shot, long from, long to) {
      Map<Term, Double> terms = new EnumMap<>(Term.class);
      objective.add(shot, at(from), at(to), (term, cost) -> terms.merge(term, cost, Double::sum));
      double sum = terms.values().stream().mapToDouble(x -> x).sum();
      assertThat(objective.cost(shot, at(from), at(to))).isCloseTo(sum, within(1e-12));
      return terms;
    }

    double term(Term term, int shot, long from, long to) {
      return terms(shot, from, to).get(term);
    }
  }

  @Test
  void aShotHalfOrTwiceAsLongAsItsShareCostsTheSquareOfTheLogarithm() {
    // Eight shots share 16 s: 48 frames each.
    Asked asked = new Asked(shots(8));
    double octave = Math.log(2) * Math.log(2);
    assertThat(asked.term(Term.LENGTH, 0, 48, 96)).isCloseTo(0, within(1e-9));
    assertThat(asked.term(Term.LENGTH, 0, 48, 72)).isCloseTo(octave, within(1e-9));
    assertThat(asked.term(Term.LENGTH, 0, 48, 144)).isCloseTo(octave, within(1e-9));
  }

  @Test
  void theShareOfAShotGoesByItsMaterial() {
    List<CutPlanner.Wanted> shots = shots(3);
    shots.set(1, shots.get(1).lasting(0, 100));
    shots.set(2, shots.get(2).lasting(0, 100));
    // 16 s are 384 frames: 192, 96 and 96 of them.
    Asked asked = new Asked(shots);
    assertThat(asked.term(Term.LENGTH, 0, 0, 192)).isCloseTo(0, within(1e-9));
    assertThat(asked.term(Term.LENGTH, 1, 0, 96)).isCloseTo(0, within(1e-9));
    // A locked shot takes its own length from all.
    lock(shots, 2, 20, 32);
    asked = new Asked(shots);
    // 240 frames are left: 160 and 80 of them; the cuts here are a twentieth longer.
    double twentieth = Math.log(1.05) * Math.log(1.05);
    assertThat(asked.term(Term.LENGTH, 0, 0, 168)).isCloseTo(twentieth, within(1e-9));
    assertThat(asked.term(Term.LENGTH, 1, 0, 84)).isCloseTo(twentieth, within(1e-9));
  }

  @Test
  void aShotUnderHalfASecondIsShort() {
    pace = Pace.BRISK;
    Asked asked = new Asked(shots(8));
    assertThat(asked.term(Term.SHORT, 0, 48, 60)).isZero();
    assertThat(asked.term(Term.SHORT, 0, 48, 54)).isCloseTo(2, within(1e-9));
    assertThat(asked.objective.allows(0, asked.at(48), asked.at(54))).isFalse();
    assertThat(asked.objective.allows(0, asked.at(48), asked.at(66))).isTrue();
    assertThat(asked.objective.allows(0, asked.at(48), asked.at(60))).isTrue();
  }

  @Test
  void cutsCostByTheirPlaceInTheBarAndByThePace() {
    Asked even = new Asked(shots(8));
    assertThat(even.term(Term.BEAT, 0, 0, 48)).isZero();
    assertThat(even.term(Term.BEAT, 0, 0, 72)).isCloseTo(0.15, within(1e-9));
    assertThat(even.term(Term.BEAT, 0, 0, 60)).isCloseTo(0.27, within(1e-9));
    pace = Pace.CALM;
    assertThat(new Asked(shots(8)).term(Term.BEAT, 0, 0, 60)).isCloseTo(0.54, within(1e-9));
    pace = Pace.BRISK;
    Asked brisk = new Asked(shots(8));
    assertThat(brisk.term(Term.BEAT, 0, 0, 60)).isCloseTo(0.081, within(1e-9));
    assertThat(brisk.term(Term.BEAT, 0, 0, 54)).isCloseTo(0.18, within(1e-9));
    // A single shot has no cut but the film's end.
    assertThat(new Asked(shots(1)).term(Term.BEAT, 0, 0, 60)).isZero();
  }

  @Test
  void onlyOffbeatsAreOffbeats() {
    pace = Pace.BRISK;
    Asked asked = new Asked(shots(2));
    for (Moment moment : asked.moments) {
      assertThat(moment.isOffbeat()).as("%d", moment.frame()).isEqualTo(moment.frame() % 12 == 6);
      assertThat(moment.bar())
          .isEqualTo(moment.frame() % 48 == 0 && moment.tie() instanceof Tie.OnBeat);
    }
    pace = Pace.EVEN;
    assertThat(new Asked(shots(2)).moments).noneMatch(Moment::isOffbeat);
  }

  @Test
  void aCutInsideAWordCostsAndOneJustBeforeAPhraseIsGood() {
    // "a" from 1.9 to 2.1 s: the downbeat at frame 48 falls into it.
    voice = Voices.placed(Voices.at("a bell", 0.2, 1.9));
    Asked asked = new Asked(shots(8));
    assertThat(asked.term(Term.WORD, 0, 0, 48)).isCloseTo(1.5, within(1e-9));
    assertThat(asked.term(Term.WORD, 0, 0, 36)).isZero();
    // The phrase begins at frame 46; two frames before it is a moment of its own.
    long before = Films.RATE.nearestFrame(voice.phrases().get(0).get().at().start()) - 2;
    assertThat(asked.term(Term.WORD, 0, 0, before)).isCloseTo(-0.15, within(1e-9));
    // The start of the film is no cut.
    voice = Voices.placed(Voices.at("a bell", 0.5, -0.2));
    assertThat(new Asked(shots(8)).moments.get(0).frame()).isZero();
  }

  @Test
  void aLineIsToBeSpokenWhileItsShotIsSeen() {
    // Two words of 0.9 s: the line is heard from 2.1 s on.
    voice = Voices.placed(Voices.at("a bell", 0.9, 2));
    VoiceClock.Spoken line = voice.lines().get(0);
    List<CutPlanner.Wanted> shots = shots(8);
    shots.set(0, shots.get(0).spokenOf(Set.of(line.id())));
    Asked asked = new Asked(shots);
    assertThat(asked.term(Term.LINE, 0, 0, 192)).isCloseTo(0, within(1e-9));
    assertThat(asked.term(Term.LINE, 0, 192, 240)).isCloseTo(4, within(1e-9));
    double seen = (double) (Films.RATE.sampleOf(72) - line.at().start()) / line.at().length();
    assertThat(asked.term(Term.LINE, 0, 0, 72)).isCloseTo(4 * (1 - seen), within(1e-9));
    assertThat(asked.term(Term.LINE, 1, 0, 72)).as("not its line").isZero();
  }

  @Test
  void wordsThatStartWithAShotAreNotCutWhereverItStands() {
    List<CutPlanner.Wanted> shots = shots(8);
    // A word from 1.8 to 2.2 s after the shot's first frame; 48 frames fall into it.
    shots.set(
        0,
        shots
            .get(0)
            .saying(List.of(new SampleRange(Samples.ofSeconds(1.8), Samples.ofSeconds(2.2)))));
    Asked asked = new Asked(shots);
    assertThat(asked.term(Term.WORD, 0, 0, 48)).isCloseTo(1.5, within(1e-9));
    assertThat(asked.term(Term.WORD, 0, 96, 144)).isCloseTo(1.5, within(1e-9));
    assertThat(asked.term(Term.WORD, 0, 0, 36)).isZero();
    assertThat(asked.term(Term.WORD, 0, 0, 60)).isZero();
    assertThat(asked.term(Term.WORD, 1, 0, 48)).isZero();
    // A frame beside a word's edge is on it: from 46 frames less than one sample.
    shots.set(
        0,
        shots
            .get(0)
            .saying(List.of(new SampleRange(Films.RATE.sampleOf(47), Films.RATE.sampleOf(70)))));
    assertThat(new Asked(shots).term(Term.WORD, 0, 0, 48)).isZero();
  }

  @Test
  void whatIsNotCutCosts() {
    sections =
        List.of(
            new Section(0, Samples.ofSeconds(4), 'A', Section.Name.QUIET, 0.5),
            new Section(Samples.ofSeconds(4), Samples.ofSeconds(16), 'B', Section.Name.FULL, 0.5));
    keyMoments = List.of(new KeyMoment(Samples.ofSeconds(10), KeyMoment.Kind.DROP));
    Asked asked = new Asked(shots(8));
    assertThat(asked.term(Term.BORDER, 0, 48, 96)).as("cut on the border").isZero();
    assertThat(asked.term(Term.BORDER, 0, 96, 144)).as("begun on the border").isZero();
    assertThat(asked.term(Term.BORDER, 0, 48, 144)).isCloseTo(0.6, within(1e-9));
    assertThat(asked.term(Term.BORDER, 0, 192, 288)).isCloseTo(0.3, within(1e-9));
    assertThat(asked.term(Term.BORDER, 0, 48, 288)).isCloseTo(0.9, within(1e-9));
    assertThat(asked.term(Term.BORDER, 0, 144, 192)).isZero();
  }

  @Test
  void aShotIsToBeAsStrongAsItsMusic() {
    sections =
        List.of(
            new Section(0, Samples.ofSeconds(4), 'A', Section.Name.QUIET, 0.2),
            new Section(Samples.ofSeconds(4), Samples.ofSeconds(16), 'B', Section.Name.FULL, 1));
    List<CutPlanner.Wanted> shots = shots(8);
    shots.set(0, shots.get(0).looking(new Traits(0.7, 0, 0, 0, List.of())));
    Asked asked = new Asked(shots);
    assertThat(asked.term(Term.ENERGY, 0, 0, 48)).isCloseTo(0.8 * 0.25, within(1e-9));
    assertThat(asked.term(Term.ENERGY, 0, 96, 144)).isCloseTo(0.8 * 0.09, within(1e-9));
    // Half of it quiet, half strong: 0.6 in the mean.
    assertThat(asked.term(Term.ENERGY, 0, 48, 144)).isCloseTo(0.8 * 0.01, within(1e-9));
    assertThat(asked.term(Term.ENERGY, 1, 0, 48)).as("not measured").isZero();
  }

  @Test
  void aShotWithoutSpareMaterialAtItsEndsIsTight() {
    List<CutPlanner.Wanted> shots = shots(8);
    shots.set(0, shots.get(0).within(new FrameRange(10, 70)).sparing(6));
    Asked asked = new Asked(shots);
    assertThat(asked.term(Term.HANDLES, 0, 0, 48)).isZero();
    assertThat(asked.term(Term.HANDLES, 0, 0, 60)).isCloseTo(0.25, within(1e-9));
    assertThat(asked.objective.allows(0, asked.at(0), asked.at(60))).isTrue();
    assertThat(asked.objective.allows(0, asked.at(0), asked.at(72))).isFalse();
    assertThat(asked.objective.tooLong(0, asked.at(0), asked.at(60))).isFalse();
    assertThat(asked.objective.tooLong(0, asked.at(0), asked.at(72))).isTrue();
  }

  @Test
  void aLockedShotStaysAndNothingCrossesIt() {
    List<CutPlanner.Wanted> shots = shots(3);
    lock(shots, 1, 8, 12);
    Asked asked = new Asked(shots);
    assertThat(asked.objective.allows(1, asked.at(96), asked.at(144))).isTrue();
    assertThat(asked.objective.allows(1, asked.at(96), asked.at(132))).isFalse();
    assertThat(asked.objective.allows(1, asked.at(84), asked.at(144))).isFalse();
    assertThat(asked.objective.crossesLocked(0, asked.at(0), asked.at(96))).isFalse();
    assertThat(asked.objective.crossesLocked(0, asked.at(0), asked.at(108))).isTrue();
    assertThat(asked.objective.crossesLocked(2, asked.at(132), asked.at(192))).isTrue();
    assertThat(asked.objective.crossesLocked(2, asked.at(144), asked.at(192))).isFalse();
    assertThat(asked.objective.crossesLocked(1, asked.at(96), asked.at(144))).isFalse();
    assertThat(asked.objective.tooLong(1, asked.at(96), asked.at(144))).isFalse();
    assertThat(asked.objective.tooLong(1, asked.at(96), asked.at(156))).isTrue();
  }

  @Test
  void shotsBesideOneAnother() {
    List<CutPlanner.Wanted> shots = shots(3);
    shots.set(0, shots.get(0).looking(new Traits(0.5, 0.2, 0, 0, List.of(100f))));
    shots.set(1, shots.get(1).looking(new Traits(0.5, 0.1, 0, 0, List.of(118f))));
    Objective objective = new Asked(shots).objective;
    assertThat(objective.alike(0, 1)).isCloseTo(0.45, within(1e-9));
    assertThat(objective.motion(0, 1)).isCloseTo(-0.12, within(1e-9));
    assertThat(objective.beside(0, 1)).isCloseTo(0.33, within(1e-9));
    assertThat(objective.beside(0, 2)).isZero();
  }

  @Test
  void aFilmEndsOnABarAndEachBarItLacksCosts() {
    Asked even = new Asked(shots(4));
    double[] ends = even.objective.ends();
    assertThat(ends[even.at(0)]).isInfinite();
    assertThat(ends[even.at(60)]).isInfinite();
    assertThat(ends[even.at(384)]).isZero();
    assertThat(ends[even.at(336)]).isEqualTo(40);
    assertThat(ends[even.at(240)]).isEqualTo(120);
    // A brisk film may end a seventh sooner: from frame 329 on.
    pace = Pace.BRISK;
    Asked brisk = new Asked(shots(4));
    ends = brisk.objective.ends();
    assertThat(ends[brisk.at(384)]).isZero();
    assertThat(ends[brisk.at(336)]).isZero();
    assertThat(ends[brisk.at(288)]).isEqualTo(40);
    // Where the last shot is locked it may end where that does.
    List<CutPlanner.Wanted> shots = shots(2);
    lock(shots, 1, 25, 31);
    pace = Pace.EVEN;
    Asked locked = new Asked(shots);
    assertThat(locked.objective.ends()[locked.at(372)]).isEqualTo(40);
  }

  @Test
  void theFilmIsPacedByItsMusic() {
    sections =
        List.of(
            new Section(0, Samples.ofSeconds(8), 'A', Section.Name.QUIET, 0.2),
            new Section(Samples.ofSeconds(8), Samples.ofSeconds(16), 'B', Section.Name.FULL, 0.8));
    Asked asked = new Asked(shots(8));
    // The same length weighs more where the film runs quicker; both halves share the whole.
    double quick = Math.exp(0.42);
    double slow = Math.exp(-0.42);
    double share = (192 * quick + 192 * slow) / 8;
    assertThat(asked.term(Term.LENGTH, 0, 0, 48))
        .isCloseTo(Math.pow(Math.log(48 * slow / share), 2), within(1e-9));
    assertThat(asked.term(Term.LENGTH, 0, 192, 240))
        .isCloseTo(Math.pow(Math.log(48 * quick / share), 2), within(1e-9));
  }
}
