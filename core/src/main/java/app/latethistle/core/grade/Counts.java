package app.latethistle.core.grade;

/** How many samples fall into each cell of a grid. */
public final class Counts {
  private final int width;
  private final int height;
  private final int[] cells;

  Counts(int width, int height) {
    this.width = width;
    this.height = height;
    cells = new int[width * height];
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  /**
   * How many fell into a cell.
   *
   * @param x from the left
   * @param y from below: higher levels are higher
   */
  public int at(int x, int y) {
    return cells[y * width + x];
  }

  void add(int x, int y) {
    cells[y * width + x]++;
  }
}
