package app.latethistle.server.film;

import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.plan.Traits;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.server.material.Pictures;
import app.latethistle.server.material.TakeEntry;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** What the planner needs to know of takes: which part may be seen, and what is seen in it. */
@Component
class ShotTraits {
  private static final Logger LOG = LoggerFactory.getLogger(ShotTraits.class);

  private static final List<Float> UNKNOWN = List.of();

  private final Pictures pictures;
  private final Map<String, List<Float>> looks = new ConcurrentHashMap<>();

  ShotTraits(Pictures pictures) {
    this.pictures = pictures;
  }

  /** The part of a take without jumps, freezes and the like, in frames of the film's rate. */
  static FrameRange usable(TakeEntry take, FrameRate rate) {
    FrameRange whole = new FrameRange(0, take.frames());
    Optional<TakeFacts> facts = take.measured();
    if (facts.isEmpty() || take.isPlaceholder()) {
      return whole;
    }
    return facts.get().usableAt(rate, take.frames());
  }

  /** What is known of takes, by their ids. */
  Map<String, Traits> of(List<TakeEntry> takes, FrameRate rate) {
    List<Optional<TakeFacts>> facts = takes.stream().map(TakeEntry::measured).toList();
    double[] motions =
        facts.stream().mapToDouble(f -> f.map(ShotTraits::motion).orElse(0.0)).toArray();
    double most = Arrays.stream(motions).max().orElse(0);
    double least = Arrays.stream(motions).min().orElse(0);
    Map<String, Traits> traits = new HashMap<>();
    for (int i = 0; i < motions.length; i++) {
      TakeEntry take = takes.get(i);
      double energy = most > least ? (motions[i] - least) / (most - least) : 0.5;
      List<Float> look = looks.computeIfAbsent(take.medium().hash(), hash -> look(take, rate));
      traits.put(Long.toString(take.id()), traits(facts.get(i), energy, look));
    }
    return traits;
  }

  private static Traits traits(Optional<TakeFacts> measured, double energy, List<Float> look) {
    if (measured.isEmpty()) {
      return new Traits(-1, 0, 0, 0, look);
    }
    Travel travel = measured.get().travel();
    double zoom = Math.log(Math.max(0.01, travel.zoom()));
    return new Traits(energy, travel.right(), travel.down(), zoom, look);
  }

  /** Mean motion a second, whatever the file's rate. */
  private static double motion(TakeFacts facts) {
    double sum = 0;
    for (float m : facts.motion()) {
      sum += m;
    }
    return sum / Math.max(1, facts.motion().size()) * facts.rate();
  }

  private List<Float> look(TakeEntry take, FrameRate rate) {
    try {
      return pictures.meanColours(take.medium().hash(), rate, take.frames() / 2);
    } catch (IOException e) {
      LOG.warn("A take could not be looked at.", e);
      return UNKNOWN;
    }
  }
}
