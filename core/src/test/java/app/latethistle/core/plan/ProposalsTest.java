package app.latethistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ProposalsTest {
  private static final FrameRate RATE = FrameRate.FPS_24;

  private static List<CutPlanner.Wanted> shots(int count, Random random, int least, int more) {
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      int frames = least + (more == 0 ? 0 : random.nextInt(more));
      shots.add(CutPlanner.Wanted.of(Placement.of("s" + i, "t" + i, 0, Framing.FILL), frames));
    }
    return shots;
  }

  private static CutPlanner.Request request(
      List<CutPlanner.Wanted> shots, CutPlanner.Music music, VoiceClock voice, double seconds) {
    return new CutPlanner.Request(shots, music, voice, RATE, RATE.framesIn(seconds), Pace.EVEN);
  }

  private static CutPlanner.Music even(double bpm) {
    return new CutPlanner.Music(BeatGrid.even(bpm, 0, 400, 4), List.of(), List.of(), 0);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void differFromEachOtherOrSayThatTheyDoNot(long seed) {
    Random random = new Random(seed);
    CutPlanner.Request request =
        request(
            shots(6 + random.nextInt(10), random, 60, 140),
            even(70 + random.nextInt(90)),
            VoiceClock.SILENT,
            20 + random.nextInt(30));
    List<Proposals.Proposal> all = Proposals.of(new OrderedCut(), request);
    assertThat(all).extracting(Proposals.Proposal::pace).containsExactly(Pace.values());
    List<Proposals.Proposal> before = new ArrayList<>();
    for (Pace pace : List.of(Pace.EVEN, Pace.CALM, Pace.BRISK)) {
      Proposals.Proposal one = Proposals.at(pace, new OrderedCut(), request);
      assertThat(all).contains(one);
      boolean like = before.stream().anyMatch(b -> Proposals.common(b.plan(), one.plan()) > 0.8);
      assertThat(one.like().isPresent()).isEqualTo(like);
      before.add(one);
    }
    assertThat(all.get(1).plan()).isEqualTo(new OrderedCut().plan(request.at(Pace.EVEN)));
  }

  /** Clips of six seconds each, with room to choose. */
  @Test
  void takeAnotherWayWhereLikeClipsWouldBeCutAlike() {
    CutPlanner.Request request =
        request(shots(12, new Random(1), 150, 0), even(120), VoiceClock.SILENT, 48);
    assertThat(new OrderedCut().plan(request.at(Pace.CALM)).frames())
        .as("of itself the second is the first")
        .isEqualTo(new OrderedCut().plan(request.at(Pace.EVEN)).frames());
    List<Proposals.Proposal> all = Proposals.of(new OrderedCut(), request);
    assertThat(all).allMatch(p -> p.like().isEmpty());
    assertThat(Proposals.common(all.get(0).plan(), all.get(1).plan())).isLessThanOrEqualTo(0.8);
  }

  @Test
  void sayThatClipsWhichMustBeSeenWholeLeaveNoOtherWay() {
    CutPlanner.Request request =
        request(shots(4, new Random(1), 96, 0), even(120), VoiceClock.SILENT, 16);
    List<Proposals.Proposal> all = Proposals.of(new OrderedCut(), request);
    assertThat(all.get(0).like()).contains(Pace.EVEN);
  }

  @Test
  void moveAsDrawnWithoutMusic() {
    List<Double> speeds = List.of(0.5, 0.5, 0.5, 0.5, 2.0, 2.0, 2.0, 2.0);
    List<CutPlanner.Wanted> shots = shots(20, new Random(1), 400, 0);
    long length = RATE.framesIn(40);
    CutPlanner.Request request =
        request(shots, CutPlanner.Music.none(RATE, length, speeds), VoiceClock.SILENT, 40);
    List<Long> frames = new OrderedCut().plan(request).frames();
    long early = frames.stream().filter(f -> f > 0 && f <= length / 2).count();
    assertThat(early).isBetween(3L, 5L);
    assertThat(frames).hasSize(21);
    CutPlanner.Request evenly =
        request(shots, CutPlanner.Music.none(RATE, length, List.of()), VoiceClock.SILENT, 40);
    assertThat(new OrderedCut().plan(evenly).frames())
        .filteredOn(f -> f > 0 && f <= length / 2)
        .hasSize(10);
  }

  /**
   * Narrations that are shorter than the film, over a shot for each line and some without: most
   * lines are heard over their own shots, at the cost of the film's wanted length if need be.
   */
  @Test
  void keepShotsWithTheirLines() {
    int seen = 0;
    int all = 0;
    for (int seed = 100; seed < 120; seed++) {
      Random random = new Random(seed);
      int lines = 6 + random.nextInt(8);
      List<VoiceClock.Spoken> spoken = new ArrayList<>();
      double at = random.nextDouble();
      for (int i = 0; i < lines; i++) {
        double seconds = 1.5 + 3 * random.nextDouble();
        SampleRange range = new SampleRange(Samples.ofSeconds(at), Samples.ofSeconds(at + seconds));
        Narration.Word word = new Narration.Word("bell", range);
        spoken.add(new VoiceClock.Spoken("l" + i, i + 1, "", range, List.of(word), "", ""));
        at += seconds + 0.3 + 0.4 * random.nextDouble();
      }
      List<CutPlanner.Wanted> shots = shots(lines + 3, random, 120, 120);
      List<Integer> places =
          random.ints(0, lines + 3).distinct().limit(lines).sorted().boxed().toList();
      for (int i = 0; i < lines; i++) {
        int place = places.get(i);
        shots.set(place, shots.get(place).spokenOf(Set.of("l" + i)));
      }
      double seconds = at * (1 + 0.4 * random.nextDouble());
      CutPlan plan =
          new OrderedCut()
              .plan(
                  request(
                      shots,
                      even(80 + random.nextInt(60)),
                      new VoiceClock(spoken, List.of()),
                      seconds));
      for (int i = 0; i < lines; i++) {
        int place = places.get(i);
        SampleRange line = spoken.get(i).at();
        if (place + 1 < plan.frames().size()) {
          long from = Math.max(line.start(), RATE.sampleOf(plan.frames().get(place)));
          long to = Math.min(line.end(), RATE.sampleOf(plan.frames().get(place + 1)));
          seen += to - from >= line.length() / 2 ? 1 : 0;
        }
        all++;
      }
    }
    assertThat((double) seen / all).isGreaterThan(0.85);
  }
}
