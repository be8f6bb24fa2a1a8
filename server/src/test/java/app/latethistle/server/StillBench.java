package app.latethistle.server;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Measures how long an edit takes to show: the edit's answer and the still of a frame it changed,
 * 640 wide, over HTTP. {@code ./bench stills}
 */
public final class StillBench {
  private static final int WARM = 60;
  private static final int ROUNDS = 300;

  private StillBench() {}

  public static void main(String[] args) {
    try (RunningServer server = RunningServer.fresh()) {
      EditedFilm cut = EditedFilm.make(server.api(), 18);
      Random random = new Random(8);
      List<Double> whole = new ArrayList<>();
      List<Double> stills = new ArrayList<>();
      for (int round = 0; round < WARM + ROUNDS; round++) {
        int place = random.nextInt(cut.film.get("shots").size());
        long start = System.nanoTime();
        if (round % 3 == 0) {
          int to = random.nextInt(cut.film.get("shots").size());
          cut.edit("move-shot", Map.of("from", place, "to", to));
        } else {
          cut.edit("slip", Map.of("place", place, "in", random.nextInt(20)));
        }
        long edited = System.nanoTime();
        long frame = cut.shot(place).get("start").asLong() + random.nextInt(20);
        String path = cut.path + "/preview/" + cut.film.get("revision") + "/frames/" + frame;
        if (cut.api.get(path + ".jpg").status() != 200) {
          throw new IllegalStateException("no still at " + path);
        }
        long shown = System.nanoTime();
        if (round >= WARM) {
          whole.add((shown - start) / 1e6);
          stills.add((shown - edited) / 1e6);
        }
      }
      print("edit to still", whole);
      print("still alone", stills);
    }
    System.exit(0);
  }

  private static void print(String name, List<Double> millis) {
    Collections.sort(millis);
    System.out.printf(
        "%-14s p50 %5.0f ms, p95 %5.0f ms, most %5.0f ms, %d rounds%n",
        name,
        millis.get(millis.size() / 2),
        millis.get(millis.size() * 95 / 100),
        millis.get(millis.size() - 1),
        millis.size());
  }
}
