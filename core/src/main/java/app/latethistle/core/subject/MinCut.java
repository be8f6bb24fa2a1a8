package app.latethistle.core.subject;

import java.util.Arrays;

/**
 * Parts the pixels of a picture in two at the least cost: each pixel has a cost of being on either
 * side, each pair of neighbours (eight of a pixel) one of being parted. The cheapest parting is a
 * minimum cut, found by the maximum flow of Boykov and Kolmogorov 2004, "An Experimental Comparison
 * of Min-Cut/Max-Flow Algorithms for Energy Minimization in Vision".
 */
final class MinCut {
  /** How many directions a neighbour lies in; the opposite of one is four on. */
  private static final int WAYS = 8;

  private static final byte TERMINAL = 8;
  private static final byte ORPHAN = 9;
  private static final byte NONE = 10;
  private static final byte FREE = 0;
  private static final byte SOURCE = 1;
  private static final byte SINK = 2;

  private final int width;
  private final int height;
  private final int row;
  private final int[] step;
  private final int[][] room = new int[WAYS][];
  private final int[] terminal;
  private final byte[] tree;
  private final byte[] parent;
  private final int[] distance;
  private final int[] stamp;
  private final IntRing active;
  private final IntRing orphans;
  private final boolean[] queued;
  private int time;
  private long flow;

  /** Where the neighbours of a pixel lie that an edge is said for: right, and three below. */
  enum Way {
    RIGHT(0),
    BELOW_RIGHT(1),
    BELOW(2),
    BELOW_LEFT(3);

    private final int place;

    Way(int place) {
      this.place = place;
    }
  }

  MinCut(int width, int height) {
    this.width = width;
    this.height = height;
    // A rim without edges saves asking whether a neighbour is there.
    row = width + 2;
    int all = row * (height + 2);
    step = new int[] {1, row + 1, row, row - 1, -1, -row - 1, -row, -row + 1};
    for (int way = 0; way < WAYS; way++) {
      room[way] = new int[all];
    }
    terminal = new int[all];
    tree = new byte[all];
    parent = new byte[all];
    distance = new int[all];
    stamp = new int[all];
    queued = new boolean[all];
    active = new IntRing(all);
    orphans = new IntRing(all);
  }

  private int node(int pixel) {
    return (pixel / width + 1) * row + pixel % width + 1;
  }

  /**
   * What a pixel costs on either side; costs are added to those said before.
   *
   * @param ifOut what it costs outside, 0 or more
   * @param ifIn what it costs inside, 0 or more
   */
  void pixel(int pixel, int ifOut, int ifIn) {
    terminal[node(pixel)] += ifOut - ifIn;
    flow += Math.min(ifOut, ifIn);
  }

  /** What it costs to part a pixel from a neighbour; nothing if there is none. */
  void edge(int pixel, Way way, int cost) {
    int from = node(pixel);
    int to = from + step[way.place];
    int column = to % row;
    int line = to / row;
    if (column >= 1 && column <= width && line >= 1 && line <= height) {
      room[way.place][from] = cost;
      room[opposite(way.place)][to] = cost;
    }
  }

  private static int opposite(int way) {
    return (way + WAYS / 2) % WAYS;
  }

  /**
   * Parts them.
   *
   * @return what the parting costs, where no pixel's costs were said twice
   */
  long part() {
    Arrays.fill(parent, NONE);
    for (int i = 0; i < terminal.length; i++) {
      if (terminal[i] != 0) {
        tree[i] = terminal[i] > 0 ? SOURCE : SINK;
        parent[i] = TERMINAL;
        distance[i] = 1;
        activate(i);
      }
    }
    while (!active.isEmpty()) {
      int i = active.first();
      int way = tree[i] == FREE ? -1 : grow(i);
      if (way < 0) {
        active.take();
        queued[i] = false;
        continue;
      }
      time++;
      augment(i, way);
      while (!orphans.isEmpty()) {
        adopt(orphans.take());
      }
    }
    return flow;
  }

  /** Whether a pixel is inside, once they are parted. */
  boolean isIn(int pixel) {
    return tree[node(pixel)] == SOURCE;
  }

  private void activate(int i) {
    if (!queued[i]) {
      queued[i] = true;
      active.put(i);
    }
  }

  /** What can still flow along a way out of a node of a tree, in that tree's direction. */
  private int onward(int i, int way, byte side) {
    return side == SOURCE ? room[way][i] : room[opposite(way)][i + step[way]];
  }

  /** Lets a tree grow from a node; the way to a node of the other tree, or -1. */
  private int grow(int i) {
    for (int way = 0; way < WAYS; way++) {
      if (onward(i, way, tree[i]) == 0) {
        continue;
      }
      int j = i + step[way];
      if (tree[j] == FREE) {
        tree[j] = tree[i];
        parent[j] = (byte) opposite(way);
        stamp[j] = stamp[i];
        distance[j] = distance[i] + 1;
        activate(j);
      } else if (tree[j] != tree[i]) {
        return way;
      } else if (stamp[j] <= stamp[i] && distance[j] > distance[i]) {
        parent[j] = (byte) opposite(way);
        stamp[j] = stamp[i];
        distance[j] = distance[i] + 1;
      }
    }
    return -1;
  }

  /** Sends all that can flow along the path through an edge between the trees. */
  private void augment(int met, int metWay) {
    boolean forth = tree[met] == SOURCE;
    int from = forth ? met : met + step[metWay];
    int way = forth ? metWay : opposite(metWay);
    int to = from + step[way];
    int most = Math.min(room[way][from], Math.min(room(from, SOURCE), room(to, SINK)));
    room[way][from] -= most;
    room[opposite(way)][to] += most;
    send(from, SOURCE, most);
    send(to, SINK, most);
    flow += most;
  }

  /** The least that fits between a node and its tree's terminal. */
  private int room(int node, byte side) {
    int most = Integer.MAX_VALUE;
    int i = node;
    while (parent[i] != TERMINAL) {
      int up = parent[i];
      most = Math.min(most, inward(i, up, side));
      i += step[up];
    }
    return Math.min(most, Math.abs(terminal[i]));
  }

  /** What can still flow between a node and its parent, in the tree's direction. */
  private int inward(int i, int up, byte side) {
    return side == SOURCE ? room[opposite(up)][i + step[up]] : room[up][i];
  }

  private void send(int node, byte side, int amount) {
    int i = node;
    while (parent[i] != TERMINAL) {
      int up = parent[i];
      int over = i + step[up];
      int by = side == SOURCE ? amount : -amount;
      room[opposite(up)][over] -= by;
      room[up][i] += by;
      if (inward(i, up, side) == 0) {
        orphan(i);
      }
      i = over;
    }
    terminal[i] -= side == SOURCE ? amount : -amount;
    if (terminal[i] == 0) {
      orphan(i);
    }
  }

  private void orphan(int i) {
    parent[i] = ORPHAN;
    orphans.put(i);
  }

  /** Finds a new parent for a node, or sets it free. */
  private void adopt(int i) {
    byte side = tree[i];
    int best = -1;
    int least = Integer.MAX_VALUE;
    for (int way = 0; way < WAYS; way++) {
      int j = i + step[way];
      if (tree[j] == side && parent[j] != NONE && inward(i, way, side) > 0) {
        int far = toTerminal(j);
        if (far < least) {
          least = far;
          best = way;
        }
      }
    }
    if (best >= 0) {
      parent[i] = (byte) best;
      stamp[i] = time;
      distance[i] = least + 1;
      return;
    }
    for (int way = 0; way < WAYS; way++) {
      int j = i + step[way];
      if (tree[j] == side && parent[j] != NONE) {
        if (inward(i, way, side) > 0) {
          activate(j);
        }
        if (parent[j] < TERMINAL && j + step[parent[j]] == i) {
          orphan(j);
        }
      }
    }
    tree[i] = FREE;
    parent[i] = NONE;
  }

  /** How far a node's terminal is; as far as can be if it has lost it. */
  private int toTerminal(int node) {
    int far = 0;
    for (int i = node; ; i += step[parent[i]]) {
      if (stamp[i] == time) {
        far += distance[i];
        break;
      }
      far++;
      if (parent[i] == TERMINAL) {
        stamp[i] = time;
        distance[i] = 1;
        break;
      }
      if (parent[i] == ORPHAN) {
        return Integer.MAX_VALUE;
      }
    }
    int left = far;
    for (int i = node; stamp[i] != time; i += step[parent[i]]) {
      stamp[i] = time;
      distance[i] = left--;
    }
    return far;
  }
}
