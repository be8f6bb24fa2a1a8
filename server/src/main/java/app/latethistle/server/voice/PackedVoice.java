package app.latethistle.server.voice;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.Media;
import app.latethistle.server.pack.Arrivals;
import app.latethistle.server.pack.PackedPart;
import app.latethistle.server.production.Production;
import app.latethistle.server.stored.Embedded;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What is settled of a production's lines, and their readings but those that were taken out. */
@ServerOnly
@Component
@Order(PackedVoice.AFTER_STORY)
class PackedVoice implements PackedPart {
  static final int AFTER_STORY = 3;

  private final VoiceLines lines;
  private final Readings readings;
  private final Media media;

  PackedVoice(VoiceLines lines, Readings readings, Media media) {
    this.lines = lines;
    this.readings = readings;
    this.media = media;
  }

  record PackedLine(
      long id,
      String text,
      VoiceLine.StartKind start,
      Double value,
      Double longest,
      List<PackedReading> readings) {}

  record PackedReading(
      boolean used,
      int number,
      Reading.Source source,
      String label,
      String text,
      String sha256,
      JsonNode heard,
      String outline) {}

  private record Lines(List<PackedLine> lines) {}

  @Override
  public String name() {
    return "voice";
  }

  private Map<Long, List<Reading>> byLine(List<VoiceLine> all) {
    return readings
        .findByLineIdInAndRemovedFalseOrderByNumber(all.stream().map(VoiceLine::id).toList())
        .stream()
        .collect(Collectors.groupingBy(Reading::lineId));
  }

  @Override
  public Map<String, String> files(Production production) {
    Map<String, String> files = new LinkedHashMap<>();
    byLine(lines.findByProductionIdOrderById(production.id()))
        .forEach(
            (line, its) ->
                its.forEach(
                    r -> files.putIfAbsent(r.medium().hash(), "line " + line + " " + r.label())));
    return files;
  }

  @Override
  public Object pack(Production production, Set<String> files) {
    List<VoiceLine> all = lines.findByProductionIdOrderById(production.id());
    Map<Long, List<Reading>> its = byLine(all);
    return all.stream().map(l -> l.packed(its.getOrDefault(l.id(), List.of()))).toList();
  }

  @Override
  public void unpack(Production made, JsonNode part, Arrivals arrivals) {
    for (PackedLine packed : Embedded.as(Embedded.tree(Map.of("lines", part)), Lines.class).lines) {
      VoiceLine line = lines.save(new VoiceLine(made.id(), packed));
      arrivals.call(Arrivals.Kind.LINE, packed.id, line.id());
      for (PackedReading read : packed.readings) {
        Arrivals.File file = arrivals.file(read.sha256);
        Reading reading =
            readings.save(new Reading(line.id(), read, media.enter(file.stored(), file.facts())));
        if (read.used) {
          line.pick(reading.id());
        }
      }
    }
  }
}
