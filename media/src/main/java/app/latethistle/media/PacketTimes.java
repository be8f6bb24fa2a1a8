package app.latethistle.media;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** When the packets of a file's streams begin, and when the last of each ends. */
final class PacketTimes {
  private final Map<Integer, List<Double>> starts = new HashMap<>();
  private final Map<Integer, Double> ends = new HashMap<>();

  /** Takes one as ffprobe writes it; what has no time begins where those before it end. */
  void add(JsonNode packet) {
    int stream = packet.path("stream_index").asInt(-1);
    List<Double> its = starts.computeIfAbsent(stream, s -> new ArrayList<>());
    double end = ends.getOrDefault(stream, 0.0);
    double start = Probe.number(packet.path("pts_time").asString(""), end);
    its.add(start);
    double length = Probe.number(packet.path("duration_time").asString(""), 0);
    ends.put(stream, Math.max(end, start + length));
  }

  /** Starts of a stream's packets in order, and then the end of the last; none if it has none. */
  List<Double> of(int stream) {
    List<Double> times = new ArrayList<>(starts.getOrDefault(stream, List.of()));
    Collections.sort(times);
    if (!times.isEmpty()) {
      times.add(Math.max(ends.get(stream), times.get(times.size() - 1)));
    }
    return times;
  }
}
