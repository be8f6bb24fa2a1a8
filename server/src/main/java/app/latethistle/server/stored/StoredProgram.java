package app.latethistle.server.stored;

import app.latethistle.core.film.Run;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Treat;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.type.Along;
import app.latethistle.core.type.Writing;
import app.latethistle.core.type.WrittenCaption;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.document.ItemForms;
import app.latethistle.document.LookForms;
import app.latethistle.document.WordForms;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** What is drawn, as it is stored with an order. */
record StoredProgram(Node root, long length, String rate, int width, int height) {

  /** A layer. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "layer")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Black.class, name = "black"),
    @JsonSubTypes.Type(value = Footage.class, name = "footage"),
    @JsonSubTypes.Type(value = Sequence.class, name = "sequence"),
    @JsonSubTypes.Type(value = Stack.class, name = "stack"),
    @JsonSubTypes.Type(value = Excerpt.class, name = "excerpt"),
    @JsonSubTypes.Type(value = Keyed.class, name = "keyed"),
    @JsonSubTypes.Type(value = Matted.class, name = "matted"),
    @JsonSubTypes.Type(value = Corrected.class, name = "corrected"),
    @JsonSubTypes.Type(value = Treated.class, name = "treated"),
    @JsonSubTypes.Type(value = Written.class, name = "written"),
    @JsonSubTypes.Type(value = Faded.class, name = "faded")
  })
  sealed interface Node {
    Layer get();

    static Node of(Layer layer) {
      if (layer instanceof Layer.Footage f) {
        return new Footage(
            f.media(),
            f.material(),
            f.in(),
            ItemForms.Running.of(f.run()),
            f.length(),
            LookForms.Framed.of(f.framing()),
            StoredFrames.of(f.seen()));
      }
      if (layer instanceof Layer.Sequence sequence) {
        return new Sequence(
            sequence.parts().stream().map(Part::of).toList(),
            sequence.passages().stream().map(Passage::of).toList());
      }
      if (layer instanceof Layer.Stack stack) {
        return new Stack(
            of(stack.base()),
            stack.overs().stream()
                .map(o -> new Over(Part.of(o.part()), LookForms.Lying.of(o.lie(), o.mixing())))
                .toList());
      }
      if (layer instanceof Layer.Excerpt excerpt) {
        return new Excerpt(of(excerpt.layer()), excerpt.from());
      }
      if (layer instanceof Layer.Matted matted) {
        return new Matted(
            of(matted.layer()),
            LookForms.Cut.of(matted.matte()),
            matted.subject().map(Node::of).orElse(null));
      }
      if (layer instanceof Layer.Corrected c) {
        return new Corrected(
            of(c.layer()),
            LookForms.Corrected.of(c.correction()),
            c.parts().map(Corrected.Parts::of).orElse(null));
      }
      if (layer instanceof Layer.Treated t) {
        return new Treated(
            of(t.layer()),
            StoredFrames.of(t.range()),
            t.treats().stream().map(Treated.Step::of).toList(),
            t.chance().seed(),
            t.chance().count());
      }
      if (layer instanceof Layer.Written written) {
        return new Written(
            of(written.layer()), written.inscriptions().stream().map(Written.Words::of).toList());
      }
      if (layer instanceof Layer.Faded faded) {
        return new Faded(of(faded.layer()), faded.fade().frames(), faded.length());
      }
      if (layer instanceof Layer.Black) {
        return new Black();
      }
      throw new IllegalStateException("This layer cannot be stored: " + layer);
    }
  }

  record Black() implements Node {
    @Override
    public Layer get() {
      return new Layer.Black();
    }
  }

  record Footage(
      String media,
      long material,
      long in,
      ItemForms.Running run,
      long length,
      LookForms.Framed framing,
      StoredFrames seen)
      implements Node {
    @Override
    public Layer get() {
      return new Layer.Footage(
          media,
          material,
          in,
          run.get(),
          length,
          framing.get(),
          seen == null ? new FrameRange(0, length) : seen.get());
    }
  }

  /** Frames; the first is in it, the last is not. */
  record StoredFrames(long start, long end) {
    static StoredFrames of(FrameRange range) {
      return new StoredFrames(range.start(), range.end());
    }

    FrameRange get() {
      return new FrameRange(start, end);
    }
  }

  /** A part; one that was stored first begins to count where it is first seen. */
  record Part(long start, long end, Long from, Node layer) {
    static Part of(Layer.Part part) {
      return new Part(
          part.range().start(), part.range().end(), part.start(), Node.of(part.layer()));
    }

    Layer.Part get() {
      return new Layer.Part(new FrameRange(start, end), from == null ? start : from, layer.get());
    }
  }

  record Passage(long start, long end, int into, String kind, LookForms.Way way) {
    static Passage of(Layer.Passage p) {
      return new Passage(
          p.range().start(),
          p.range().end(),
          p.into(),
          p.kind().name(),
          LookForms.Way.of(p.manner()));
    }

    Layer.Passage get() {
      return new Layer.Passage(
          new FrameRange(start, end), into, TransitionKind.valueOf(kind), way.get());
    }
  }

  /** Parts; those stored first had no passages between them. */
  record Sequence(List<Part> parts, List<Passage> passages) implements Node {
    @Override
    public Layer get() {
      return new Layer.Sequence(
          parts.stream().map(Part::get).toList(),
          passages == null ? List.of() : passages.stream().map(Passage::get).toList());
    }
  }

  record Over(Part part, LookForms.Lying lie) {}

  record Stack(Node base, List<Over> overs) implements Node {
    @Override
    public Layer get() {
      return new Layer.Stack(
          base.get(),
          overs.stream()
              .map(o -> new Layer.Over(o.part.get(), o.lie.path(), o.lie.mixed()))
              .toList());
    }
  }

  record Excerpt(Node of, long from) implements Node {
    @Override
    public Layer get() {
      return new Layer.Excerpt(of.get(), from);
    }
  }

  /** Colours alone that are taken out, as mattes were stored first. */
  record Keyed(Node of, List<LookForms.Backing> keys) implements Node {
    @Override
    public Layer get() {
      return new Layer.Matted(
          of.get(), Matte.NONE.withKeys(keys.stream().map(LookForms.Backing::get).toList()));
    }
  }

  /** Of those stored first nothing is said of a subject. */
  record Matted(Node of, LookForms.Cut matte, Node subject) implements Node {
    @Override
    public Layer get() {
      return new Layer.Matted(
          of.get(),
          LookForms.Cut.get(matte),
          Optional.ofNullable(subject).map(s -> (Layer.Footage) s.get()));
    }
  }

  /** Those stored first had no ranges in parts of the picture. */
  record Corrected(Node of, LookForms.Corrected correction, Parts parts) implements Node {
    /** A take's shape and the pictures of its subject, if that is asked for. */
    record Parts(int width, int height, double pixelAspect, Node subject) {
      static Parts of(Layer.Parts parts) {
        PictureShape shape = parts.shape();
        return new Parts(
            shape.width(),
            shape.height(),
            shape.pixelAspect(),
            parts.subject().map(Node::of).orElse(null));
      }

      Layer.Parts get() {
        return new Layer.Parts(
            new PictureShape(width, height, pixelAspect),
            Optional.ofNullable(subject).map(s -> (Layer.Footage) s.get()));
      }
    }

    @Override
    public Layer get() {
      return new Layer.Corrected(
          of.get(), correction.get(), Optional.ofNullable(parts).map(Parts::get));
    }
  }

  record Treated(Node of, StoredFrames range, List<Step> steps, long seed, long count)
      implements Node {
    /**
     * A treatment and the values of its parameters, each one a frame or one for all; those stored
     * first looked nothing up.
     */
    record Step(String kind, List<List<Integer>> values, String table) {
      static Step of(Treat treat) {
        return new Step(
            treat.kind().name(),
            treat.tracks().stream().map(Treat.Track::values).toList(),
            treat.table());
      }

      Treat get() {
        return new Treat(
            TreatmentKind.valueOf(kind),
            values.stream().map(Treat.Track::new).toList(),
            table == null ? "" : table);
      }
    }

    @Override
    public Layer get() {
      return new Layer.Treated(
          of.get(),
          range.get(),
          steps.stream().map(Step::get).toList(),
          new Layer.Chance(seed, count));
    }
  }

  /** A layer and what is written on it. */
  record Written(Node of, List<Words> words) implements Node {
    /** How far a title goes with what it follows. */
    record Gone(long from, List<Double> right, List<Double> down) {
      static Gone of(Along along) {
        return along.steps().isEmpty()
            ? null
            : new Gone(
                along.from(),
                along.steps().stream().map(Trail.Place::x).toList(),
                along.steps().stream().map(Trail.Place::y).toList());
      }

      Along get() {
        List<Trail.Place> steps = new ArrayList<>();
        for (int i = 0; i < right.size(); i++) {
          steps.add(new Trail.Place(right.get(i), down.get(i)));
        }
        return new Along(from, steps);
      }
    }

    /**
     * A title, which has something to say, or a caption, which has lines; those stored first had no
     * picture in their letters.
     */
    record Words(
        WordForms.Said said,
        List<String> lines,
        WordForms.Lettered lettering,
        WordForms.Placed box,
        WordForms.Moving movement,
        int marked,
        StoredFrames range,
        long landing,
        List<Long> moments,
        Gone gone,
        Part picture) {
      static Words of(Layer.Inscription one) {
        if (one.writing() instanceof WrittenTitle t) {
          return new Words(
              WordForms.Said.of(t.words()),
              null,
              WordForms.Lettered.of(t.lettering()),
              WordForms.Placed.of(t.box()),
              WordForms.Moving.of(t.movement()),
              0,
              StoredFrames.of(t.range()),
              t.landing(),
              t.landings(),
              Gone.of(t.along()),
              one.picture().map(Part::of).orElse(null));
        }
        WrittenCaption c = (WrittenCaption) one.writing();
        return new Words(
            null,
            c.lines(),
            WordForms.Lettered.of(c.lettering()),
            WordForms.Placed.of(c.box()),
            null,
            c.marked(),
            StoredFrames.of(c.range()),
            0,
            c.spoken(),
            null,
            null);
      }

      Layer.Inscription get() {
        return new Layer.Inscription(writing(), Optional.ofNullable(picture).map(Part::get));
      }

      private Writing writing() {
        return said == null
            ? new WrittenCaption(lines, lettering.get(), box.get(), marked, range.get(), moments)
            : new WrittenTitle(
                said.get(),
                lettering.get(),
                box.get(),
                movement.get(),
                range.get(),
                landing,
                moments,
                gone == null ? Along.NOTHING : gone.get());
      }
    }

    @Override
    public Layer get() {
      return new Layer.Written(of.get(), words.stream().map(Words::get).toList());
    }
  }

  record Faded(Node of, long fade, long length) implements Node {
    @Override
    public Layer get() {
      return new Layer.Faded(of.get(), new EndFade(fade), length);
    }
  }

  static StoredProgram of(Program program) {
    return new StoredProgram(
        Node.of(program.root()),
        program.length(),
        program.rate().toString(),
        program.width(),
        program.height());
  }

  Program get() {
    return new Program(root.get(), length, FrameRate.parse(rate), width, height);
  }

  /** A program of format 1: a list of spans, each with the layer it lies on. */
  static Program ofFormat1(JsonNode p) {
    List<Layer.Part> cut = new ArrayList<>();
    List<JsonNode> over = new ArrayList<>();
    long end = p.path("length").asLong(0);
    for (JsonNode span : p.get("spans")) {
      boolean above = span.path("lie").path("layer").asInt(0) > 0;
      if (above) {
        over.add(span);
      } else {
        cut.add(span(span));
      }
      end = Math.max(end, span.get("range").get("end").asLong());
    }
    Layer layers = new Layer.Sequence(cut);
    if (!over.isEmpty()) {
      over.sort(Comparator.comparingInt(s -> s.get("lie").get("layer").asInt()));
      layers = new Layer.Stack(layers, over.stream().map(StoredProgram::above).toList());
    }
    long fade = p.path("fade").asLong(0);
    if (fade > 0) {
      layers = new Layer.Faded(layers, new EndFade(fade), end);
    }
    JsonNode rate = p.get("rate");
    return new Program(
        layers,
        end,
        FrameRate.of(rate.get("numerator").asInt(), rate.get("denominator").asInt()),
        p.get("width").asInt(),
        p.get("height").asInt());
  }

  private static Layer.Over above(JsonNode span) {
    JsonNode lie = span.get("lie");
    return new Layer.Over(span(span), Json.as(lie, LookForms.Lying.class).path(), Mixing.NORMAL);
  }

  private static Layer.Part span(JsonNode span) {
    FrameRange range =
        new FrameRange(
            span.get("range").get("start").asLong(), span.get("range").get("end").asLong());
    Run run = EditsOfFormat1.run(span.get("run"));
    return new Layer.Part(
        range,
        new Layer.Footage(
            span.get("media").asString(),
            span.get("frames").asLong(),
            span.get("in").asLong(),
            run,
            range.length(),
            new Framing(Fit.valueOf(span.get("framing").asString()))));
  }
}
