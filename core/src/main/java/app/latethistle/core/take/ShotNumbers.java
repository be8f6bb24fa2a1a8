package app.latethistle.core.take;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What is odd about the numbers of clips: shots that are missing from an otherwise even row, and
 * takes that two files claim.
 *
 * @param missing shot numbers not seen, in order
 * @param doubled what stands twice, as "shot 3, take 1: a.mp4 and b.mp4"
 */
public record ShotNumbers(List<String> missing, List<String> doubled) {

  /** A file and the shot and take it claims. */
  public record Claim(String file, String scene, String shot, int take) {}

  /**
   * Looks at the claims of all clips. The step of each scene's row is the greatest number that
   * divides every distance (10 for 010, 020, 040); a row of one has no gaps.
   *
   * @param planned {@linkplain #name names} of shots that are known to have no clip yet, and so are
   *     not missing
   */
  public static ShotNumbers of(Collection<Claim> claims, Collection<String> planned) {
    Map<String, Set<String>> files = new HashMap<>();
    Map<String, TreeSet<Integer>> rows = new HashMap<>();
    for (Claim claim : claims) {
      if (claim.shot().isEmpty()) {
        continue;
      }
      String name = claim.scene().isEmpty() ? "" : "scene " + claim.scene() + ", ";
      files
          .computeIfAbsent(
              name + "shot " + claim.shot() + ", take " + claim.take(), k -> new TreeSet<>())
          .add(claim.file());
      if (claim.shot().matches("\\d+")) {
        rows.computeIfAbsent(name, k -> new TreeSet<>()).add(Integer.parseInt(claim.shot()));
      }
    }
    List<String> missing = new ArrayList<>();
    rows.forEach((scene, row) -> missing.addAll(missingIn(scene, row)));
    List<String> doubled = new ArrayList<>();
    files.forEach(
        (claim, names) -> {
          if (names.size() > 1) {
            doubled.add(claim + ": " + String.join(" and ", names));
          }
        });
    missing.removeAll(planned);
    missing.sort(NaturalOrder.INSTANCE);
    doubled.sort(NaturalOrder.INSTANCE);
    return new ShotNumbers(List.copyOf(missing), List.copyOf(doubled));
  }

  /** What a shot is called among the missing; its number may be written with noughts before it. */
  public static String name(String scene, String number) {
    String bare = number.replaceFirst("^0+(?=\\d)", "");
    return (scene.isEmpty() ? "" : "scene " + scene + ", ") + "shot " + bare;
  }

  private static List<String> missingIn(String scene, TreeSet<Integer> row) {
    int step = 0;
    for (int number : row) {
      step = gcd(step, number - row.first());
    }
    List<String> missing = new ArrayList<>();
    for (int n = row.first(); step > 0 && n < row.last(); n += step) {
      if (!row.contains(n)) {
        missing.add(scene + "shot " + n);
      }
    }
    // A row that is mostly holes is not a row: its numbers mean something else.
    return missing.size() > row.size() ? List.of() : missing;
  }

  private static int gcd(int a, int b) {
    return b == 0 ? a : gcd(b, a % b);
  }
}
