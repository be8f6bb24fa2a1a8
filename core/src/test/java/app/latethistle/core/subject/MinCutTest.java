package app.latethistle.core.subject;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.stream.LongStream;
import org.jgrapht.alg.flow.PushRelabelMFImpl;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class MinCutTest {
  private static final int WIDE = 9;
  private static final int HIGH = 7;

  static LongStream seeds() {
    return LongStream.rangeClosed(1, 40);
  }

  /** Held against the push-relabel maximum flow of JGraphT 1.5.2 on pictures of random costs. */
  @ParameterizedTest
  @MethodSource("seeds")
  void thePartingCostsWhatTheMaximumFlowIs(long seed) {
    Random random = new Random(seed);
    MinCut cut = new MinCut(WIDE, HIGH);
    SimpleDirectedWeightedGraph<Integer, DefaultWeightedEdge> graph =
        new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
    int source = -1;
    int sink = -2;
    graph.addVertex(source);
    graph.addVertex(sink);
    int[] ifOut = new int[WIDE * HIGH];
    int[] ifIn = new int[WIDE * HIGH];
    for (int i = 0; i < WIDE * HIGH; i++) {
      graph.addVertex(i);
      ifOut[i] = random.nextInt(50);
      ifIn[i] = random.nextInt(50);
      cut.pixel(i, ifOut[i], ifIn[i]);
      weigh(graph, source, i, ifOut[i]);
      weigh(graph, i, sink, ifIn[i]);
    }
    int[][] costs = new int[WIDE * HIGH][WIDE * HIGH];
    for (int y = 0; y < HIGH; y++) {
      for (int x = 0; x < WIDE; x++) {
        for (MinCut.Way way : MinCut.Way.values()) {
          int dx = way == MinCut.Way.BELOW ? 0 : way == MinCut.Way.BELOW_LEFT ? -1 : 1;
          int dy = way == MinCut.Way.RIGHT ? 0 : 1;
          int cost = random.nextInt(25);
          cut.edge(y * WIDE + x, way, cost);
          if (x + dx >= 0 && x + dx < WIDE && y + dy < HIGH) {
            int other = (y + dy) * WIDE + x + dx;
            costs[y * WIDE + x][other] = cost;
            weigh(graph, y * WIDE + x, other, cost);
            weigh(graph, other, y * WIDE + x, cost);
          }
        }
      }
    }

    long cost = cut.part();

    double flow = new PushRelabelMFImpl<>(graph).getMaximumFlowValue(source, sink);
    assertThat((double) cost).isEqualTo(flow);
    assertThat(costOf(cut, ifOut, ifIn, costs)).isEqualTo(cost);
  }

  private static void weigh(
      SimpleDirectedWeightedGraph<Integer, DefaultWeightedEdge> graph,
      int from,
      int to,
      int weight) {
    graph.setEdgeWeight(graph.addEdge(from, to), weight);
  }

  /** What the sides that it says cost, added up. */
  private static long costOf(MinCut cut, int[] ifOut, int[] ifIn, int[][] costs) {
    long sum = 0;
    for (int i = 0; i < ifOut.length; i++) {
      sum += cut.isIn(i) ? ifIn[i] : ifOut[i];
      for (int j = 0; j < ifOut.length; j++) {
        sum += cut.isIn(i) != cut.isIn(j) ? costs[i][j] : 0;
      }
    }
    return sum;
  }
}
