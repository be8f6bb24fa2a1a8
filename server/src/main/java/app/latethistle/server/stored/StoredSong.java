package app.latethistle.server.stored;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.OtherReading;
import app.latethistle.core.music.Section;
import app.latethistle.core.music.SungPart;
import app.latethistle.document.SamplesForm;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import tools.jackson.databind.JsonNode;

/** What was heard of a song and told of it, as it is stored. */
public final class StoredSong {
  /** Format 1 had no number; lists stood bare. */
  private static final int FORMAT = 2;

  private StoredSong() {}

  private record Grid(
      List<Long> beats,
      List<Float> sureness,
      int beatsPerBar,
      int firstDownbeat,
      double confidence,
      String other) {}

  private record Sounding(long start, long end, String kind, String name, double energy) {}

  private record Moment(long at, String kind) {}

  private record Heard(List<Sounding> sections, List<Moment> moments) {}

  private record Sung(List<SamplesForm> sung) {}

  private record Paces(List<Double> speeds) {}

  /** Sections and key moments. */
  public record Parts(List<Section> sections, List<KeyMoment> moments) {
    /** Of a song that was not listened to. */
    public static final Parts NONE = new Parts(List.of(), List.of());
  }

  /** Beats as text. */
  public static String write(BeatGrid grid) {
    return Json.write(
        FORMAT,
        new Grid(
            LongStream.of(grid.samples()).boxed().toList(),
            IntStream.range(0, grid.size()).mapToObj(grid::sureness).toList(),
            grid.beatsPerBar(),
            grid.firstDownbeat(),
            grid.confidence(),
            grid.other().map(Enum::name).orElse(null)));
  }

  /** Beats of any format. */
  public static BeatGrid readGrid(String text) {
    Grid g = Json.as(checked(text), Grid.class);
    float[] sureness = new float[g.sureness.size()];
    for (int i = 0; i < sureness.length; i++) {
      sureness[i] = g.sureness.get(i);
    }
    BeatGrid grid =
        new BeatGrid(
            g.beats.stream().mapToLong(b -> b).toArray(),
            sureness,
            g.beatsPerBar,
            g.firstDownbeat,
            g.confidence);
    return g.other == null ? grid : grid.orElse(OtherReading.valueOf(g.other));
  }

  private static JsonNode checked(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    return tree;
  }

  /** Sections and key moments as text. */
  public static String write(Parts parts) {
    return Json.write(
        FORMAT,
        new Heard(
            parts.sections.stream()
                .map(
                    s ->
                        new Sounding(
                            s.start(),
                            s.end(),
                            Character.toString(s.kind()),
                            s.name().name(),
                            s.energy()))
                .toList(),
            parts.moments.stream().map(m -> new Moment(m.at(), m.kind().name())).toList()));
  }

  /** Sections and key moments of any format. */
  public static Parts readParts(String text) {
    Heard h = Json.as(checked(text), Heard.class);
    return new Parts(
        h.sections.stream()
            .map(
                s ->
                    new Section(
                        s.start, s.end, s.kind.charAt(0), Section.Name.valueOf(s.name), s.energy))
            .toList(),
        h.moments.stream().map(m -> new KeyMoment(m.at, KeyMoment.Kind.valueOf(m.kind))).toList());
  }

  /** Where somebody sings, as text. */
  public static String writeSung(List<SungPart> parts) {
    return Json.write(
        FORMAT, new Sung(parts.stream().map(p -> new SamplesForm(p.start(), p.end())).toList()));
  }

  /** Where somebody sings, of any format. */
  public static List<SungPart> readSung(String text) {
    JsonNode tree = checked(text);
    JsonNode list = tree.isArray() ? tree : tree.get("sung");
    return list.valueStream()
        .map(p -> Json.as(p, SamplesForm.class))
        .map(p -> new SungPart(p.start(), p.end()))
        .toList();
  }

  /** A drawn pace as text. */
  public static String writePace(List<Double> speeds) {
    return Json.write(FORMAT, new Paces(speeds));
  }

  /** A drawn pace of any format. */
  public static List<Double> readPace(String text) {
    JsonNode tree = checked(text);
    JsonNode list = tree.isArray() ? tree : tree.get("speeds");
    return list.valueStream().map(JsonNode::asDouble).toList();
  }
}
