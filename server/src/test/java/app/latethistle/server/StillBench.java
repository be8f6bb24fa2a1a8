package app.latethistle.server;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Measures how long an edit takes to show: the edit's answer and the still of a frame it changed,
 * 640 wide, over HTTP; and a still with a number of its shot's correction moved. {@code ./bench
 * stills}
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
      print("one number", moved(cut, random));
    }
    System.exit(0);
  }

  /** Stills of shots as one of their five numbers is moved. */
  private static List<Double> moved(EditedFilm cut, Random random) {
    List<Double> millis = new ArrayList<>();
    JsonNode shots = cut.api.get(cut.path + "/film/look").json().get("shots");
    for (int round = 0; round < WARM + ROUNDS; round++) {
      JsonNode shot = shots.get(random.nextInt(shots.size()));
      ObjectNode correction = (ObjectNode) shot.get("correction").deepCopy();
      ((ObjectNode) correction.get("basics"))
          .put("exposure", random.nextInt(101) - 50)
          .put("warmth", random.nextInt(41) - 20)
          .put("saturation", random.nextInt(41) - 20);
      String query =
          "?item="
              + shot.get("item").asString()
              + "&correction="
              + URLEncoder.encode(correction.toString(), StandardCharsets.UTF_8);
      String frames = cut.path + "/preview/" + cut.film.get("revision") + "/frames/";
      long start = System.nanoTime();
      String still = frames + shot.get("frame").asLong() + "/corrected.jpg" + query;
      if (cut.api.get(still).status() != 200) {
        throw new IllegalStateException("no still at " + still);
      }
      if (round >= WARM) {
        millis.add((System.nanoTime() - start) / 1e6);
      }
    }
    return millis;
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
