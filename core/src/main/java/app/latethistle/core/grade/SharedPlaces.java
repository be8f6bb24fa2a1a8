package app.latethistle.core.grade;

import boofcv.abst.feature.associate.AssociateDescription;
import boofcv.factory.feature.associate.ConfigAssociateGreedy;
import boofcv.factory.feature.associate.FactoryAssociation;
import boofcv.struct.feature.AssociatedIndex;
import boofcv.struct.feature.TupleDesc_F64;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.ddogleg.struct.FastAccess;

/**
 * Which places two pictures have in common, whatever was done to their colours: the one turn,
 * enlargement and move that most of their landmarks agree in (RANSAC: Fischler and Bolles 1981).
 */
final class SharedPlaces {
  /** How far a place may be missed: two pixels of a picture of 360, the size of its blobs. */
  private static final double NEAR = 2.5;

  /**
   * Places that have to agree. Two places fix a likeness, and of some hundred that were paired
   * wrongly hardly more than that agree with them by chance.
   */
  private static final int ENOUGH = 10;

  private static final int TRIALS = 2000;

  private SharedPlaces() {}

  /** Where places of a shot lie in the key; empty if not enough of them agree. */
  static Optional<Similarity> of(Landmarks shot, Landmarks key) {
    List<Similarity.Pair> pairs = pairs(shot, key);
    Random random = new Random(1);
    Similarity best = null;
    int most = ENOUGH - 1;
    for (int i = 0; i < TRIALS && pairs.size() >= ENOUGH; i++) {
      Similarity.Pair one = pairs.get(random.nextInt(pairs.size()));
      Similarity.Pair other = pairs.get(random.nextInt(pairs.size()));
      Similarity trial = Similarity.of(one, other);
      if (!(trial.enlargement() > 0.2 && trial.enlargement() < 5)) {
        continue;
      }
      int agreeing = 0;
      for (Similarity.Pair pair : pairs) {
        agreeing += trial.miss(pair) < NEAR * Math.max(1, trial.enlargement()) ? 1 : 0;
      }
      if (agreeing > most) {
        most = agreeing;
        best = trial;
      }
    }
    return Optional.ofNullable(best);
  }

  private static List<Similarity.Pair> pairs(Landmarks one, Landmarks other) {
    ConfigAssociateGreedy config = new ConfigAssociateGreedy(/* forwardsBackwards= */ true);
    config.scoreRatioThreshold = 0.85;
    AssociateDescription<TupleDesc_F64> associate =
        FactoryAssociation.greedy(config, FactoryAssociation.defaultScore(TupleDesc_F64.class));
    associate.setSource(one.descriptions);
    associate.setDestination(other.descriptions);
    associate.associate();
    List<Similarity.Pair> pairs = new ArrayList<>();
    FastAccess<AssociatedIndex> matches = associate.getMatches();
    for (int i = 0; i < matches.size; i++) {
      double[] from = one.places.get(matches.get(i).src);
      double[] to = other.places.get(matches.get(i).dst);
      pairs.add(new Similarity.Pair(from[0], from[1], to[0], to[1]));
    }
    return pairs;
  }
}
