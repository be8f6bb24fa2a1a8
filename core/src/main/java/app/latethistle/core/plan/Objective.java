package app.latethistle.core.plan;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.plan.CutPlanner.Request;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.SampleRange;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/**
 * What a cut costs, shot by shot, so that the best film is a shortest path. Weights are ours, set
 * by eye on the demo's films; each is in the units of {@link Term#LENGTH}, in which a shot half or
 * twice as long as it should be costs 0.48: the square of the ratio's natural logarithm.
 */
final class Objective {
  static final double IMPOSSIBLE = Double.POSITIVE_INFINITY;

  private static final double BEAT = 0.3;
  private static final double INSIDE_WORD = 1.5;
  private static final double BEFORE_PHRASE = 0.15;

  /** More than a bar of the wanted length: a shot is seen with its line before the film is long. */
  private static final double LINE_UNSEEN = 4;

  private static final double BORDER_UNCUT = 0.6;
  private static final double MOMENT_UNCUT = 0.3;
  private static final double NO_HANDLES = 0.25;
  private static final double ENERGY = 0.8;
  private static final double ALIKE = 0.9;
  private static final double MOTION = 0.12;
  private static final double SAME = 0.3;

  /**
   * What a bar less costs a film that ends too soon: more than any cut; where lines speak of shots,
   * less than a line whose shot is not seen.
   */
  private static final double BAR_SHORT = 40;

  private static final double BAR_SHORT_WITH_LINES = 3;

  /** The shortest a shot is made, in seconds, unless there are more shots than room. */
  private static final double SHORTEST_SECONDS = 0.5;

  private final List<CutPlanner.Wanted> shots;
  private final List<Moment> moments;
  private final Request request;

  /** The film's time at each moment, run quicker where the music is stronger. */
  private final double[] paced;

  /** The share of each shot of that time. */
  private final double[] share;

  /** The cost of a cut at each moment, by its kind and by the words there. */
  private final double[] beatCost;

  private final double[] wordCost;

  /** What a cut costs because another proposal has it too. */
  private final double[] sameCost;

  /** What lies uncut between the film's start and each moment, and what is at the moment itself. */
  private final double[] uncut;

  private final double[] here;

  /** The music's energy before each frame, added up. */
  private final double[] energy;

  /** The numbers of the locked shots. */
  private final int[] locked;

  private final double shortest;
  private final Total total = new Total();

  /** Shots in their order, which share the film's time by their material. */
  Objective(Request request, List<CutPlanner.Wanted> shots, List<Moment> moments) {
    this(request, shots, moments, 0);
  }

  /**
   * @param each the paced time each shot is to have, in frames; 0 to share out the film's
   */
  Objective(Request request, List<CutPlanner.Wanted> shots, List<Moment> moments, double each) {
    this.request = request;
    this.shots = shots;
    this.moments = moments;
    int m = moments.size();
    locked =
        IntStream.range(0, shots.size()).filter(i -> shots.get(i).fixed().isPresent()).toArray();
    shortest = SHORTEST_SECONDS * request.rate().perSecond();
    paced = new double[m];
    beatCost = new double[m];
    wordCost = new double[m];
    sameCost = new double[m];
    uncut = new double[m];
    here = new double[m];
    double[] before = sums(speeds());
    double whole = before[before.length - 1];
    List<Long> phrases = phrases();
    for (int b = 0; b < m; b++) {
      Moment moment = moments.get(b);
      paced[b] = before[(int) Math.min(before.length - 1, moment.frame())];
      beatCost[b] = shots.size() > 1 ? BEAT * request.pace().beats * moment.cost() : 0;
      wordCost[b] = words(moment, phrases);
      sameCost[b] = Proposals.isAmong(moment.frame(), request.unlike()) ? SAME : 0;
    }
    borders();
    share = each > 0 ? alike(each) : shares(whole * request.pace().least);
    energy = sums(energies());
  }

  /**
   * How quickly the film is to move at each frame, 1 in the mean: as drawn, or quicker the stronger
   * the music is.
   */
  private double[] speeds() {
    List<Section> sections = request.music().sections();
    List<Double> drawn = request.music().drawn();
    double mean = sections.stream().mapToDouble(Section::energy).average().orElse(0);
    return bySection(
        1,
        i ->
            drawn.isEmpty()
                ? Math.exp(request.pace().contrast * (sections.get(i).energy() - mean))
                : drawn.get(i));
  }

  /** The music's energy at each frame, 0 to 1 over the song's sections. */
  private double[] energies() {
    return bySection(0, i -> request.music().sections().get(i).energy());
  }

  /** A value for each frame: that of its section, by number. */
  private double[] bySection(double elsewhere, IntToDoubleFunction value) {
    double[] values = new double[(int) Math.max(1, request.length())];
    Arrays.fill(values, elsewhere);
    List<Section> sections = request.music().sections();
    for (int i = 0; i < sections.size(); i++) {
      int from = (int) Math.max(0, frame(sections.get(i).start()));
      int to = (int) Math.min(values.length, frame(sections.get(i).end()));
      if (from < to) {
        Arrays.fill(values, from, to, value.applyAsDouble(i));
      }
    }
    return values;
  }

  private double[] alike(double each) {
    double[] out = new double[shots.size()];
    Arrays.fill(out, each);
    return out;
  }

  private long frame(long inSong) {
    return request.rate().nearestFrame(inSong - request.music().start());
  }

  /** The frames at which phrases begin. */
  private List<Long> phrases() {
    return request.voice().phrases().stream()
        .map(phrase -> request.rate().nearestFrame(phrase.get().at().start()))
        .toList();
  }

  /** What comes before each frame, added up; one more than there are frames. */
  private static double[] sums(double[] values) {
    double[] before = new double[values.length + 1];
    for (int f = 0; f < values.length; f++) {
      before[f + 1] = before[f] + values[f];
    }
    return before;
  }

  private double words(Moment moment, List<Long> phrases) {
    if (moment.frame() == 0) {
      return 0;
    }
    if (Cutting.framesInside(moment.frame(), request.voice(), request.rate()) > 0) {
      return INSIDE_WORD;
    }
    for (long phrase : phrases) {
      long ahead = phrase - moment.frame();
      if (ahead >= 0 && ahead <= request.rate().perSecond() / 4) {
        return -BEFORE_PHRASE;
      }
    }
    return 0;
  }

  private void borders() {
    double[] weight = new double[(int) request.length() + 2];
    for (Section section : request.music().heard()) {
      mark(weight, frame(section.start()), BORDER_UNCUT);
    }
    for (KeyMoment moment : request.music().moments()) {
      mark(weight, frame(moment.at()), MOMENT_UNCUT);
    }
    double[] before = sums(weight);
    for (int b = 0; b < moments.size(); b++) {
      int at = (int) moments.get(b).frame();
      // A cut a frame beside the border is on it.
      uncut[b] = before[Math.max(0, at - 1)];
      here[b] = before[Math.min(weight.length, at + 2)];
    }
  }

  private static void mark(double[] weight, long frame, double by) {
    if (frame > 0 && frame < weight.length - 1) {
      weight[(int) frame] = Math.max(weight[(int) frame], by);
    }
  }

  /** The film's paced time, shared out by usable length. */
  private double[] shares(double whole) {
    double[] out = new double[shots.size()];
    double left = whole;
    double material = 0;
    for (CutPlanner.Wanted shot : shots) {
      if (shot.fixed().isPresent()) {
        left -= shot.fixed().get().range().length();
      } else {
        material += shot.most();
      }
    }
    for (int i = 0; i < out.length; i++) {
      double part = material > 0 ? shots.get(i).most() * left / material : 1;
      out[i] = Math.max(1, part);
    }
    return out;
  }

  /** Whether a shot may be seen from one moment to another. */
  boolean allows(int shot, int from, int to) {
    CutPlanner.Wanted wanted = shots.get(shot);
    long start = moments.get(from).frame();
    long end = moments.get(to).frame();
    if (wanted.fixed().isPresent()) {
      return wanted.fixed().get().range().start() == start
          && wanted.fixed().get().range().end() == end;
    }
    // Offbeats make a cut tighter, not shots too short to be read.
    boolean off = moments.get(from).isOffbeat() || moments.get(to).isOffbeat();
    long least = Math.max(off ? (long) shortest : 1, wanted.shortest());
    return end - start <= wanted.most() && end - start >= least;
  }

  /** Whether a shot would be seen where a locked one is. */
  boolean crossesLocked(int shot, int from, int to) {
    long start = moments.get(from).frame();
    long end = moments.get(to).frame();
    for (int i : locked) {
      FrameRange range = shots.get(i).fixed().orElseThrow().range();
      if (i != shot && range.start() < end && start < range.end()) {
        return true;
      }
    }
    return false;
  }

  /** Whether no later end can be allowed if this one is too late. */
  boolean tooLong(int shot, int from, int to) {
    CutPlanner.Wanted wanted = shots.get(shot);
    long length = moments.get(to).frame() - moments.get(from).frame();
    return wanted.fixed().isEmpty()
        ? length > wanted.most()
        : moments.get(to).frame() > wanted.fixed().get().range().end();
  }

  /** Takes the parts of a cost, term by term. */
  interface Sum {
    void add(Term term, double cost);
  }

  /** Adds all up, whatever the term: for the inner loop, which asks millions of times. */
  private static final class Total implements Sum {
    private double cost;

    @Override
    public void add(Term term, double more) {
      cost += more;
    }
  }

  /** What a shot costs from one moment to another, the cut at its end with it. */
  double cost(int shot, int from, int to) {
    total.cost = 0;
    add(shot, from, to, total);
    return total.cost;
  }

  /** The same, term by term. */
  void add(int shot, int from, int to, Sum sum) {
    CutPlanner.Wanted wanted = shots.get(shot);
    long length = moments.get(to).frame() - moments.get(from).frame();
    double off = Math.log((paced[to] - paced[from]) / share[shot]);
    sum.add(Term.LENGTH, off * off);
    sum.add(Term.SHORT, length < shortest ? 4 * (shortest - length) / shortest : 0);
    sum.add(Term.BEAT, beatCost[to]);
    sum.add(Term.WORD, wordCost[to] + saidWith(wanted, from, to));
    sum.add(Term.SAME, sameCost[to]);
    sum.add(Term.LINE, unseen(wanted, from, to));
    sum.add(Term.BORDER, Math.max(0, uncut[to] - here[from]));
    boolean tight = length > wanted.usable().length() - 2 * wanted.handles();
    sum.add(Term.HANDLES, tight ? NO_HANDLES : 0);
    sum.add(Term.ENERGY, energyApart(wanted, from, to));
  }

  /** How far a shot's motion is from the energy of the music it is on. */
  private double energyApart(CutPlanner.Wanted wanted, int from, int to) {
    if (wanted.traits().energy() < 0 || request.music().heard().isEmpty()) {
      return 0;
    }
    int start = (int) moments.get(from).frame();
    int end = (int) Math.min(energy.length - 1, moments.get(to).frame());
    double mean = end > start ? (energy[end] - energy[start]) / (end - start) : 0;
    double apart = wanted.traits().energy() - mean;
    return ENERGY * apart * apart;
  }

  /** What it costs that one shot follows another. */
  double beside(int shot, int next) {
    return alike(shot, next) + motion(shot, next);
  }

  double alike(int shot, int next) {
    return ALIKE * shots.get(shot).traits().likeness(shots.get(next).traits());
  }

  double motion(int shot, int next) {
    return -MOTION * shots.get(shot).traits().carries(shots.get(next).traits());
  }

  /** What it costs to end inside a word that is said with a shot, wherever it starts. */
  private double saidWith(CutPlanner.Wanted wanted, int from, int to) {
    if (wanted.said().isEmpty()) {
      return 0;
    }
    long cut =
        request.rate().sampleOf(moments.get(to).frame())
            - request.rate().sampleOf(moments.get(from).frame());
    // A frame beside a word's edge is on it.
    long edge = request.rate().sampleOf(1);
    for (SampleRange word : wanted.said()) {
      if (cut > word.start() + edge && cut < word.end() - edge) {
        return INSIDE_WORD;
      }
    }
    return 0;
  }

  private double unseen(CutPlanner.Wanted wanted, int from, int to) {
    if (wanted.lines().isEmpty()) {
      return 0;
    }
    long start = request.rate().sampleOf(moments.get(from).frame());
    long end = request.rate().sampleOf(moments.get(to).frame());
    double cost = 0;
    for (VoiceClock.Spoken line : request.voice().lines()) {
      if (line.isHeard() && wanted.lines().contains(line.id())) {
        long seen = Math.min(end, line.at().end()) - Math.max(start, line.at().start());
        cost += LINE_UNSEEN * (1 - (double) Math.max(0, seen) / line.at().length());
      }
    }
    return cost;
  }

  /**
   * What it costs to end at each moment: as many bars are missed as come after it, up to the first
   * at which the pace lets the film end. Impossible where the film may not end.
   */
  double[] ends() {
    boolean lockedEnd = shots.get(shots.size() - 1).fixed().isPresent();
    double least = request.pace().least * request.length();
    long enough =
        moments.stream()
            .filter(b -> b.bar() && b.frame() >= least)
            .mapToLong(Moment::frame)
            .findFirst()
            .orElse(request.length());
    boolean spoken = shots.stream().anyMatch(s -> !s.lines().isEmpty());
    double barShort = spoken ? BAR_SHORT_WITH_LINES : BAR_SHORT;
    double[] ends = new double[moments.size()];
    int missed = 0;
    for (int b = moments.size() - 1; b >= 0; b--) {
      Moment moment = moments.get(b);
      boolean may = b > 0 && (moment.bar() || lockedEnd);
      ends[b] = may ? barShort * missed : IMPOSSIBLE;
      missed += moment.bar() && moment.frame() <= enough ? 1 : 0;
    }
    return ends;
  }
}
