package app.latethistle.server.stored;

import app.latethistle.core.film.Run;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Edges;
import app.latethistle.core.mix.Effect;
import app.latethistle.core.mix.Level;
import app.latethistle.core.mix.LevelLine;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.render.Program;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Fade;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.time.SampleRange;
import app.latethistle.document.ItemForms;
import app.latethistle.document.SamplesForm;
import app.latethistle.document.SoundForms;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * All that a render needs, as it was when a master was ordered: later edits do not change it.
 *
 * @param program what is drawn
 * @param mix what is heard
 * @param aim how loud it is to leave; empty for as it is mixed
 */
public record StoredOrder(Program program, Mix mix, Optional<LoudnessAim> aim) {
  private static final int FORMAT = 2;

  private record Order(StoredProgram program, Sound sound) {}

  /** Those stored first were as loud as they were mixed. */
  private record Sound(
      List<Piece> parts, long length, long fade, Aim aim, Map<String, List<Bend>> lines, Lid lid) {
    Mix.Faders faders() {
      Map<Bus, LevelLine> levels = new LinkedHashMap<>();
      if (lines != null) {
        lines.forEach((bus, line) -> levels.put(Bus.valueOf(bus), Bend.line(line)));
      }
      return new Mix.Faders(
          levels,
          lid == null ? LevelLine.FLAT : Bend.line(lid.line),
          lid != null && lid.speechBand);
    }
  }

  /** What music and clips are lowered by. */
  private record Lid(List<Bend> line, boolean speechBand) {}

  /** A point of a level's line. */
  private record Bend(long sample, double decibels) {
    static List<Bend> of(LevelLine line) {
      return line.points().stream().map(p -> new Bend(p.sample(), p.decibels())).toList();
    }

    static LevelLine line(List<Bend> bends) {
      return new LevelLine(
          bends.stream().map(b -> new LevelLine.Point(b.sample, b.decibels)).toList());
    }
  }

  /** How loud it is to leave. */
  private record Aim(double integrated, double ceiling) {}

  /** A part; those stored first only crossed with others, or not even that. */
  private record Piece(
      String bus,
      String media,
      long start,
      long end,
      Passage course,
      double gain,
      Long rise,
      Long fall,
      SoundForms.Fading in,
      SoundForms.Fading out,
      Doing effect) {
    Part get() {
      boolean early = in == null && out == null && Bus.valueOf(bus) == Bus.CLIPS;
      Edges edges =
          early
              ? Edges.crossing(rise == null ? 0 : rise, fall == null ? 0 : fall)
              : new Edges(in == null ? Fade.NONE : in.get(), out == null ? Fade.NONE : out.get());
      return new Part(
          Bus.valueOf(bus),
          media,
          new SampleRange(start, end),
          course.get(),
          gain,
          edges,
          effect == null ? Effect.none() : effect.get());
    }
  }

  /** What else is done to a part. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "effect")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Placed.class, name = "placed"),
    @JsonSubTypes.Type(value = Cared.class, name = "cared"),
    @JsonSubTypes.Type(value = Muffled.class, name = "muffled"),
    @JsonSubTypes.Type(value = Panned.class, name = "panned")
  })
  private sealed interface Doing {
    Effect get();

    static Doing of(Effect effect) {
      if (effect instanceof Effect.Placed p) {
        return new Placed(
            p.pan(),
            p.distance(),
            p.room().name(),
            p.equaliser().bands().stream().map(SoundForms.Filter::of).toList());
      }
      if (effect instanceof Effect.Cared c) {
        return new Cared(SoundForms.Care.of(c.how()));
      }
      if (effect instanceof Effect.Panned p) {
        return new Panned(
            of(p.first()),
            p.line().stream().map(Effect.Panned.Point::sample).toList(),
            p.line().stream().map(Effect.Panned.Point::pan).toList());
      }
      return effect instanceof Effect.Muffled ? new Muffled() : null;
    }
  }

  private record Placed(int pan, int distance, String room, List<SoundForms.Filter> filters)
      implements Doing {
    @Override
    public Effect get() {
      return new Effect.Placed(
          pan,
          distance,
          Room.valueOf(room),
          new Equaliser(filters.stream().map(SoundForms.Filter::get).toList()));
    }
  }

  /** It goes from left to right after what is done to it first; null for nothing. */
  private record Panned(Doing first, List<Long> samples, List<Double> pans) implements Doing {
    @Override
    public Effect get() {
      List<Effect.Panned.Point> line = new ArrayList<>();
      for (int i = 0; i < samples.size(); i++) {
        line.add(new Effect.Panned.Point(samples.get(i), pans.get(i)));
      }
      return new Effect.Panned(first == null ? Effect.none() : first.get(), line);
    }
  }

  private record Cared(SoundForms.Care how) implements Doing {
    @Override
    public Effect get() {
      return new Effect.Cared(how.get());
    }
  }

  private record Muffled() implements Doing {
    @Override
    public Effect get() {
      return new Effect.Muffled();
    }
  }

  /** Which samples of a medium. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "course")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Straight.class, name = "straight"),
    @JsonSubTypes.Type(value = Running.class, name = "running"),
    @JsonSubTypes.Type(value = Shaped.class, name = "shaped"),
    @JsonSubTypes.Type(value = Looped.class, name = "looped"),
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

  private record Shaped(SamplesForm part, boolean reversed, int stretch, double pitch)
      implements Passage {
    @Override
    public Course get() {
      return new Course.Shaped(part.range(), new Timing(reversed, stretch, pitch));
    }
  }

  private record Looped(long in, SamplesForm loop) implements Passage {
    @Override
    public Course get() {
      return new Course.Looped(in, loop.range());
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
                        null,
                        null,
                        SoundForms.Fading.of(p.edges().in()),
                        SoundForms.Fading.of(p.edges().out()),
                        Doing.of(p.effect())))
            .toList();
    Map<String, List<Bend>> lines = new LinkedHashMap<>();
    mix.faders().lines().forEach((bus, line) -> lines.put(bus.name(), Bend.of(line)));
    return Json.write(
        FORMAT,
        new Order(
            StoredProgram.of(program),
            new Sound(
                pieces,
                mix.length(),
                mix.fade(),
                aim.map(a -> new Aim(a.integrated(), a.ceiling())).orElse(null),
                lines,
                new Lid(Bend.of(mix.faders().lid()), mix.faders().speechBand()))));
  }

  private static Passage passage(Course course) {
    if (course instanceof Course.Straight straight) {
      return new Straight(straight.in());
    }
    if (course instanceof Course.Running r) {
      return new Running(
          ItemForms.Running.of(r.run()), r.in(), r.material(), r.lead(), r.picture());
    }
    if (course instanceof Course.Shaped s) {
      return new Shaped(
          SamplesForm.of(s.part()), s.time().reversed(), s.time().stretch(), s.time().pitch());
    }
    if (course instanceof Course.Looped l) {
      return new Looped(l.in(), SamplesForm.of(l.loop()));
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
    List<Part> parts = order.sound.parts.stream().map(Piece::get).toList();
    return new StoredOrder(
        order.program.get(),
        new Mix(parts, order.sound.length, order.sound.fade, Level.AS_MIXED, order.sound.faders()),
        Optional.ofNullable(order.sound.aim).map(a -> new LoudnessAim(a.integrated, a.ceiling)));
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
    return new StoredOrder(program, new Mix(parts, length, fade), Optional.empty());
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
        c.get("gain").asDouble(),
        Edges.crossing(0, 0),
        Effect.none());
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
