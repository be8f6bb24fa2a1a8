package app.latethistle.core;

import java.util.List;

/** How a message tells a list that may be long: the first of it, and how many more there are. */
public final class FirstFew {
  private FirstFew() {}

  /**
   * Such as "a, b, and 3 more".
   *
   * @param most how many are told at most, 1 or more
   * @param between what stands between two of them
   */
  public static String of(List<String> parts, int most, String between) {
    int more = parts.size() - most;
    return more > 0
        ? String.join(between, parts.subList(0, most)) + between + "and " + more + " more"
        : String.join(between, parts);
  }
}
