package app.latethistle.server.stored;

import app.latethistle.core.film.Run;
import app.latethistle.core.mix.Bus;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Crossing;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.render.Program;
import app.latethistle.core.time.SampleRange;
import app.latethistle.document.ItemForms;
import app.latethistle.document.SamplesForm;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * All that a render needs, as it was when a master was ordered: later edits do not change it.
 *
 * @param program what is drawn
 * @param mix what is heard
 */
public record StoredOrder(Program program, Mix mix) {
  private static final int FORMAT = 2;

  private record Order(StoredProgram program, Sound sound) {}

  private record Sound(List<Piece> parts, long length, long fade) {}

  /** A part; those stored first crossed with no other. */
  private record Piece(
      String bus,
      String media,
      long start,
      long end,
      Passage course,
      double gain,
      Long rise,
      Long fall) {
    Crossing crossing() {
      return new Crossing(rise == null ? 0 : rise, fall == null ? 0 : fall);
    }
  }

  /** Which samples of a medium. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "course")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Straight.class, name = "straight"),
    @JsonSubTypes.Type(value = Running.class, name = "running"),
    @JsonSubTypes.Type(value = Tightened.class, name = "tightened")
  })
  private sealed interface Passage {
    Course get();
  }

  private record Straight(long in) implements Passage {
    @Override
    public Course get() {
      return new Course.Straight(in);
    }
  }

  private record Running(ItemForms.Running run, long in, long material, long lead, long picture)
      implements Passage {
    @Override
    public Course get() {
      return new Course.Running(run.get(), in, material, lead, picture);
    }
  }

  private record Tightened(List<SamplesForm> cuts) implements Passage {
    @Override
    public Course get() {
      return new Course.Tightened(cuts.stream().map(SamplesForm::range).toList());
    }
  }

  /** The order as text. */
  public String write() {
    List<Piece> pieces =
        mix.parts().stream()
            .map(
                p ->
                    new Piece(
                        p.bus().name(),
                        p.media(),
                        p.at().start(),
                        p.at().end(),
                        passage(p.course()),
                        p.gain(),
                        p.crossing().rise(),
                        p.crossing().fall()))
            .toList();
    return Json.write(
        FORMAT, new Order(StoredProgram.of(program), new Sound(pieces, mix.length(), mix.fade())));
  }

  private static Passage passage(Course course) {
    if (course instanceof Course.Straight straight) {
      return new Straight(straight.in());
    }
    if (course instanceof Course.Running r) {
      return new Running(
          ItemForms.Running.of(r.run()), r.in(), r.material(), r.lead(), r.picture());
    }
    return new Tightened(((Course.Tightened) course).cuts().stream().map(SamplesForm::of).toList());
  }

  /** An order of any format. */
  public static StoredOrder read(String text) {
    JsonNode tree = Json.tree(text);
    if (Json.format(tree, FORMAT) == 1) {
      return ofFormat1(tree);
    }
    Order order = Json.as(tree, Order.class);
    List<Part> parts =
        order.sound.parts.stream()
            .map(
                p ->
                    new Part(
                        Bus.valueOf(p.bus),
                        p.media,
                        new SampleRange(p.start, p.end),
                        p.course.get(),
                        p.gain,
                        p.crossing()))
            .toList();
    return new StoredOrder(
        order.program.get(), new Mix(parts, order.sound.length, order.sound.fade));
  }

  /** A song and its start, clips and lines, each in a list of its own. */
  private static StoredOrder ofFormat1(JsonNode order) {
    JsonNode drawn = order.get("program");
    Program program = StoredProgram.ofFormat1(drawn);
    long length = program.rate().sampleOf(program.length());
    List<Part> parts = new ArrayList<>();
    String song = order.path("song").asString("");
    if (!song.isEmpty()) {
      parts.add(
          new Part(
              Bus.MUSIC,
              song,
              new SampleRange(0, length),
              new Course.Straight(order.path("songStart").asLong(0)),
              0));
    }
    order.path("clips").forEach(clip -> parts.add(clip(clip)));
    order.path("voice").forEach(line -> parts.add(line(line)));
    long fade = program.rate().sampleOf(drawn.path("fade").asLong(0));
    return new StoredOrder(program, new Mix(parts, length, fade));
  }

  private static Part clip(JsonNode c) {
    Run run = EditsOfFormat1.run(c.get("run"));
    long at = c.get("at").asLong();
    long length = c.get("length").asLong();
    long lead = c.get("lead").asLong();
    long end = at + length + c.get("tail").asLong();
    return new Part(
        Bus.CLIPS,
        c.get("clip").asString(),
        new SampleRange(at - lead, Math.max(at - lead, end)),
        new Course.Running(run, c.get("in").asLong(), c.get("material").asLong(), lead, length),
        c.get("gain").asDouble());
  }

  private static Part line(JsonNode line) {
    List<SampleRange> cuts =
        line.get("cuts").valueStream().map(cut -> Json.as(cut, SamplesForm.class).range()).toList();
    return new Part(
        Bus.VOICE,
        line.get("reading").asString(),
        SampleRange.ofLength(line.get("at").asLong(), line.get("length").asLong()),
        new Course.Tightened(cuts),
        line.get("gain").asDouble());
  }
}
