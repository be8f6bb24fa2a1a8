package app.latethistle.core.subject;

/** A queue of at most so many numbers. */
final class IntRing {
  private final int[] values;
  private int from;
  private int count;

  IntRing(int most) {
    values = new int[most];
  }

  boolean isEmpty() {
    return count == 0;
  }

  void put(int value) {
    values[(from + count++) % values.length] = value;
  }

  int first() {
    return values[from];
  }

  int take() {
    int value = values[from];
    from = (from + 1) % values.length;
    count--;
    return value;
  }
}
