package app.latethistle.core.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Curve;
import app.latethistle.core.look.Curves;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Tones;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.look.View;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.type.Writing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A picture that changes with time; its frames are counted from its own start. */
public sealed interface Layer {

  /** Black. */
  record Black() implements Layer {
    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      key.put("black");
    }

    @Override
    public Layer at(Retiming to, long start) {
      return this;
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {}
  }

  /**
   * A take on screen.
   *
   * @param media SHA-256 of the take's file
   * @param material the take's length in frames; past its ends the last frame and the first are
   *     held
   * @param in the first of its frames that the run uses
   * @param run how it runs
   * @param length frames of its shot
   * @param framing how it meets the picture
   * @param seen the frames in which it is seen, counted from its shot's start: more than the shot
   *     has where a transition shows more; a move goes over all of them
   */
  record Footage(
      String media, long material, long in, Run run, long length, Framing framing, FrameRange seen)
      implements Layer {
    /** A take that is seen for as long as its shot is. */
    public Footage(String media, long material, long in, Run run, long length, Framing framing) {
      this(media, material, in, run, length, framing, new FrameRange(0, length));
    }

    /** The pictures of another file as these are shown. */
    Footage of(String file) {
      return new Footage(file, material, in, run, length, framing, seen);
    }

    /** The same take framed otherwise. */
    Footage framed(Framing other) {
      return new Footage(media, material, in, run, length, other, seen);
    }

    /** How much of its time is over in the middle of frame k, 0 to 1. */
    double time(long k) {
      return (k - seen.start() + 0.5) / seen.length();
    }

    /** The take's frame, with a fraction between two, that frame k shows. */
    double frame(long k) {
      return run.frame(in, material, k, length);
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      key.put("footage").put(media).put(material);
      key.put(framing.fit());
      framing
          .path()
          .ifPresent(
              path -> {
                key.put("path").put(path.easing()).put(path.from()).put(path.to());
                path.points().forEach(p -> writeKey(key, p));
                key.put(seen.start() - part.start()).put(seen.length());
              });
      if (run.plain()) {
        key.put("plain").put(in + part.start());
      } else {
        key.put("run").put(in).put(run.since() + part.start());
        key.put(run.over() == 0 ? length : run.over());
        key.put(run.way()).put(run.from()).put(run.to()).put(run.between());
      }
    }

    private static void writeKey(KeyWriter key, FramingPath.Point p) {
      View view = p.view();
      key.put(p.at()).put(view.size()).put(view.right()).put(view.down()).put(view.turn());
    }

    /**
     * {@inheritDoc} The take counts one frame less than it would, so that it does not run dry by
     * rounding.
     */
    @Override
    public Footage at(Retiming to, long start) {
      long newLength = to.length(start, length);
      long total = Math.max(1, to.frame(material) - 1);
      Run there =
          new Run(
              run.way(),
              run.from(),
              run.to(),
              run.between(),
              run.over() == 0 ? 0 : Math.max(1, to.frame(run.over())),
              to.frame(run.since()));
      return new Footage(
          media,
          total,
          Math.min(to.frame(in), total - 1),
          there,
          newLength,
          framing,
          to.range(seen, start));
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      visitor.visit(this, part, start);
    }
  }

  /**
   * Layers one after another; black where there is none.
   *
   * @param parts in order; neighbours share the frames of the passage between them, no others
   * @param passages in order
   */
  record Sequence(List<Part> parts, List<Passage> passages) implements Layer {
    public Sequence {
      parts = List.copyOf(parts);
      passages = List.copyOf(passages);
    }

    /** Layers with plain cuts between them. */
    public Sequence(List<Part> parts) {
      this(parts, List.of());
    }

    /** The last part that begins at a frame or before it, if it is seen there; null if not. */
    Part at(long frame) {
      int low = 0;
      int high = parts.size() - 1;
      while (low <= high) {
        int middle = (low + high) >>> 1;
        if (parts.get(middle).range.start() <= frame) {
          low = middle + 1;
        } else {
          high = middle - 1;
        }
      }
      return high >= 0 && parts.get(high).range.contains(frame) ? parts.get(high) : null;
    }

    /** The passage a frame lies in; null if in none. */
    Passage passageAt(long frame) {
      for (Passage passage : passages) {
        if (passage.range.contains(frame)) {
          return passage;
        }
      }
      return null;
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      key.put("sequence");
      parts.forEach(p -> p.writeKey(key, part));
      passages.forEach(p -> p.writeKey(key, part));
      key.put("end");
    }

    @Override
    public Layer at(Retiming to, long start) {
      return new Sequence(
          parts.stream().map(p -> p.at(to, start)).toList(),
          passages.stream().map(p -> p.at(to, start)).toList());
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      parts.forEach(p -> p.footage(part, start, visitor));
      passages.forEach(p -> p.footage(part, start, visitor));
    }
  }

  /**
   * How one part of a sequence becomes the next.
   *
   * @param range frames of the sequence in which both are seen
   * @param into which of its parts it becomes
   * @param kind what is seen
   * @param manner what else is said of it
   * @param luma the still that says which part comes first, if the manner has one
   */
  record Passage(
      FrameRange range,
      int into,
      TransitionKind kind,
      TransitionManner manner,
      Optional<Footage> luma) {
    /** A passage with the still that its manner says. */
    public Passage(FrameRange range, int into, TransitionKind kind, TransitionManner manner) {
      this(range, into, kind, manner, luma(range, manner));
    }

    private static Optional<Footage> luma(FrameRange range, TransitionManner manner) {
      return manner.picture().isEmpty()
          ? Optional.empty()
          : Optional.of(
              new Footage(manner.picture(), 1, 0, Run.PLAIN, range.length(), Framing.FILL));
    }

    /** How far it is, above 0 and below 1: half-way between its middle frames. */
    double share(long frame) {
      return (frame - range.start() + 0.5) / range.length();
    }

    private void writeKey(KeyWriter key, FrameRange part) {
      if (range.overlaps(part)) {
        key.put("passage").put(range.start() - part.start()).put(range.length());
        key.put(kind).put(manner.angle()).put(manner.softness()).put(manner.colour());
        key.put(manner.pattern());
        if (!manner.picture().isEmpty()) {
          key.put("luma").put(manner.picture());
        }
      }
    }

    private Passage at(Retiming to, long start) {
      return new Passage(to.range(range, start), into, kind, manner);
    }

    private void footage(FrameRange part, long from, Visitor visitor) {
      luma.ifPresent(
          still ->
              range
                  .intersect(part)
                  .ifPresent(
                      both ->
                          still.footage(
                              both.shift(-range.start()), from + range.start(), visitor)));
    }
  }

  /**
   * Layers that lie over another one.
   *
   * @param base what lies under them
   * @param overs lower ones first
   */
  record Stack(Layer base, List<Over> overs) implements Layer {
    public Stack {
      overs = List.copyOf(overs);
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      base.writeKey(key, part);
      for (Over over : overs) {
        if (over.part.range.overlaps(part)) {
          over.writeKey(key, part);
          over.part.writeKey(key, part);
        }
      }
    }

    @Override
    public Layer at(Retiming to, long start) {
      return new Stack(
          base.at(to, start),
          overs.stream().map(o -> new Over(o.part.at(to, start), o.lie, o.mixing)).toList());
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      base.footage(part, start, visitor);
      overs.forEach(o -> o.part.footage(part, start, visitor));
    }
  }

  /**
   * A layer that is seen from one of its frames on, drawn as in the whole of it.
   *
   * @param from the frame with which it begins
   */
  record Excerpt(Layer layer, long from) implements Layer {
    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      layer.writeKey(key, part.shift(from));
    }

    @Override
    public Layer at(Retiming to, long start) {
      return new Excerpt(layer.at(to, start - from), to.frame(from));
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      layer.footage(part.shift(from), start - from, visitor);
    }
  }

  /**
   * A layer to whose picture things are done.
   *
   * @param range the frames of it in which they are done
   * @param treats the first is done first
   * @param chance what is left to it hangs on
   */
  record Treated(Layer layer, FrameRange range, List<Treat> treats, Chance chance)
      implements Layer {
    public Treated {
      treats = List.copyOf(treats);
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      layer.writeKey(key, part);
      range
          .intersect(part)
          .ifPresent(
              both -> {
                key.put("treated").put(both.start() - part.start()).put(both.length());
                treats.forEach(t -> t.writeKey(key, both.shift(-range.start())));
                if (treats.stream().anyMatch(t -> t.kind().moves())) {
                  key.put(chance.seed).put(chance.count + part.start());
                }
                key.put("end");
              });
    }

    @Override
    public Layer at(Retiming to, long start) {
      FrameRange there = to.range(range, start);
      return new Treated(
          layer.at(to, start),
          there,
          treats.stream().map(t -> t.over(there.length())).toList(),
          new Chance(chance.seed, to.frame(chance.count)));
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      layer.footage(part, start, visitor);
    }
  }

  /**
   * A layer on which is written.
   *
   * @param inscriptions the first is written first; their frames are the layer's
   */
  record Written(Layer layer, List<Inscription> inscriptions) implements Layer {
    public Written {
      inscriptions = List.copyOf(inscriptions);
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      layer.writeKey(key, part);
      inscriptions.forEach(one -> one.writeKey(key, part));
    }

    @Override
    public Layer at(Retiming to, long start) {
      return new Written(
          layer.at(to, start), inscriptions.stream().map(one -> one.at(to, start)).toList());
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      layer.footage(part, start, visitor);
      inscriptions.forEach(one -> one.picture.ifPresent(p -> p.footage(part, start, visitor)));
    }
  }

  /**
   * What is written on a layer.
   *
   * @param picture what is seen in the letters of a title as long as it is; empty if they are of
   *     what its lettering says
   */
  record Inscription(Writing writing, Optional<Part> picture) {
    /** Letters of what their lettering says. */
    public static Inscription plain(Writing writing) {
      return new Inscription(writing, Optional.empty());
    }

    private void writeKey(KeyWriter key, FrameRange part) {
      writing.writeKey(key, part);
      picture
          .filter(p -> p.range.overlaps(part))
          .ifPresent(
              p -> {
                key.put("lettered");
                p.writeKey(key, part);
              });
    }

    private Inscription at(Retiming to, long start) {
      long base = to.frame(start);
      return new Inscription(
          writing.at(k -> to.frame(start + k) - base), picture.map(p -> p.at(to, start)));
    }
  }

  /**
   * A layer whose colours are corrected.
   *
   * @param parts what has to be known of it where the correction has ranges that are meant in a
   *     part of the picture
   */
  record Corrected(Layer layer, Correction correction, Optional<Parts> parts) implements Layer {
    /** A layer that is corrected all over. */
    public Corrected(Layer layer, Correction correction) {
      this(layer, correction, Optional.empty());
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      layer.writeKey(key, part);
      key.put("corrected");
      writeKey(key, correction.basics());
      Tones tones = correction.tones();
      key.put(tones.pivot()).put(tones.blacks()).put(tones.whites());
      key.put(tones.shoulder()).put(tones.toe()).put(tones.vibrance());
      Curves curves = tones.curves();
      for (Curve curve : List.of(curves.luma(), curves.red(), curves.green(), curves.blue())) {
        key.put("curve");
        curve.points().forEach(p -> key.put(p.from()).put(p.to()));
      }
      for (ColourRange range : correction.ranges()) {
        key.put("range").put(range.hue()).put(range.width());
        key.put(range.weakest()).put(range.strongest());
        key.put(range.darkest()).put(range.lightest()).put(range.softness());
        if (!range.where().whole()) {
          Layer.writeKey(key, range.where().masks());
          key.put(range.where().of());
        }
        writeKey(key, range.basics());
      }
      parts.flatMap(Parts::subject).ifPresent(footage -> footage.writeKey(key, part));
      Cdl cdl = correction.cdl();
      key.put("list").put(cdl.saturation());
      for (Cdl.Triple triple : List.of(cdl.slope(), cdl.offset(), cdl.power())) {
        key.put(triple.red()).put(triple.green()).put(triple.blue());
      }
    }

    private static void writeKey(KeyWriter key, Basics five) {
      key.put(five.exposure()).put(five.contrast()).put(five.warmth());
      key.put(five.tint()).put(five.saturation());
    }

    @Override
    public Layer at(Retiming to, long start) {
      return new Corrected(
          layer.at(to, start),
          correction,
          parts.map(p -> new Parts(p.shape, p.subject.map(footage -> footage.at(to, start)))));
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      layer.footage(part, start, visitor);
      parts.flatMap(Parts::subject).ifPresent(footage -> footage.footage(part, start, visitor));
    }

    /** The take under it. */
    Footage take() {
      return (Footage) (layer instanceof Treated treated ? treated.layer() : layer);
    }
  }

  /**
   * What tells parts of a take's picture.
   *
   * @param shape of the take
   * @param subject the pictures that say how opaque its subject is, if it is asked for
   */
  record Parts(PictureShape shape, Optional<Footage> subject) {}

  /**
   * What is left to chance is the same each time it is drawn.
   *
   * @param seed of what is treated
   * @param count of frames at the layer's first one; a shot that is split goes on counting
   */
  record Chance(long seed, long count) {}

  /**
   * A layer of whose picture a part stays; it lies over others, or over black.
   *
   * @param subject the pictures that say how opaque its subject is, if the matte asks for them
   */
  record Matted(Layer layer, Matte matte, Optional<Footage> subject) implements Layer {
    /** A layer whose matte asks for no subject. */
    public Matted(Layer layer, Matte matte) {
      this(layer, matte, Optional.empty());
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      layer.writeKey(key, part);
      for (Key k : matte.keys()) {
        key.put("keyed").put(k.colour()).put(k.tolerance()).put(k.softness());
        key.put(k.spill()).put(k.shadow());
      }
      Layer.writeKey(key, matte.masks());
      subject.ifPresent(
          footage -> {
            key.put(matte.part());
            footage.writeKey(key, part);
          });
      key.put("wrap").put(matte.wrap());
    }

    @Override
    public Layer at(Retiming to, long start) {
      return new Matted(layer.at(to, start), matte, subject.map(footage -> footage.at(to, start)));
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      layer.footage(part, start, visitor);
      subject.ifPresent(footage -> footage.footage(part, start, visitor));
    }
  }

  /**
   * A layer that fades to black at its end.
   *
   * @param length of it in frames
   */
  record Faded(Layer layer, EndFade fade, long length) implements Layer {
    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      layer.writeKey(key, part);
      if (!part.isEmpty() && fade.gain(part.end() - 1, length) < 1) {
        key.put("fade").put(fade.frames()).put(length - part.start());
      }
    }

    @Override
    public Layer at(Retiming to, long start) {
      return new Faded(
          layer.at(to, start), new EndFade(to.frame(fade.frames())), to.length(start, length));
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      layer.footage(part, start, visitor);
    }
  }

  /**
   * A layer that is seen for some frames of another.
   *
   * @param range the frames of the other
   * @param start the frame at which the layer's own count begins; it may be seen before that
   */
  record Part(FrameRange range, long start, Layer layer) {
    /** A layer seen from its own start on. */
    public Part(FrameRange range, Layer layer) {
      this(range, range.start(), layer);
    }

    private void writeKey(KeyWriter key, FrameRange part) {
      range
          .intersect(part)
          .ifPresent(
              both -> {
                key.put("at").put(both.start() - part.start()).put(both.length());
                layer.writeKey(key, both.shift(-start));
              });
    }

    private Part at(Retiming to, long from) {
      return new Part(
          to.range(range, from),
          to.frame(from + start) - to.frame(from),
          layer.at(to, from + start));
    }

    private void footage(FrameRange part, long from, Visitor visitor) {
      range
          .intersect(part)
          .ifPresent(both -> layer.footage(both.shift(-start), from + start, visitor));
    }
  }

  /**
   * A layer that lies over others for some frames.
   *
   * @param lie where it lies over all of them
   */
  record Over(Part part, LiePath lie, Mixing mixing) {
    /** One that stays where it is and hides what lies under it. */
    public Over(Part part, Lie lie) {
      this(part, LiePath.still(lie), Mixing.NORMAL);
    }

    /** Where it lies in a frame of the others. */
    LiePath.Moment moment(long frame) {
      return lie.at((frame - part.range.start() + 0.5) / part.range.length());
    }

    private void writeKey(KeyWriter key, FrameRange of) {
      key.put("over").put(mixing).put(lie.easing());
      for (LiePath.Point p : lie.points()) {
        key.put(p.at()).put(p.lie().opacity()).put(p.lie().size());
        key.put(p.lie().x()).put(p.lie().y()).put(p.lie().turn());
      }
      if (!lie.isStill()) {
        key.put(part.range.start() - of.start()).put(part.range.length());
      }
    }
  }

  /** From the frames of one rate to those of another, each to the one nearest to its time. */
  record Retiming(FrameRate from, FrameRate to) {
    long frame(long frame) {
      return to.nearestFrame(from.sampleOf(frame));
    }

    /** Frames that something from a frame of the film on lasts there. */
    long length(long start, long length) {
      return frame(start + length) - frame(start);
    }

    /** A range counted from a frame of the film. */
    FrameRange range(FrameRange range, long start) {
      long base = frame(start);
      return new FrameRange(frame(start + range.start()) - base, frame(start + range.end()) - base);
    }
  }

  /** Told of the footage that is seen. */
  interface Visitor {
    /**
     * A take that is seen.
     *
     * @param part frames of it, from its own start
     * @param start the film's frame of its own start
     */
    void visit(Footage footage, FrameRange part, long start);
  }

  private static void writeKey(KeyWriter key, List<Mask> masks) {
    for (Mask mask : masks) {
      key.put("mask").put(mask.kind()).put(mask.softness()).put(mask.outside() ? 1 : 0);
      mask.points().forEach(p -> key.put(p.x()).put(p.y()));
    }
  }

  /** Writes all that can change a pixel of some of its frames, counted from the first of them. */
  void writeKey(KeyWriter key, FrameRange part);

  /**
   * The same on the frames of another rate.
   *
   * @param start the film's frame at which it starts
   */
  Layer at(Retiming to, long start);

  /**
   * Tells what footage is seen in some of its frames.
   *
   * @param start the film's frame at which it starts
   */
  void footage(FrameRange part, long start, Visitor visitor);

  /** The hashes of all files that are seen in some of its frames. */
  default List<String> media(FrameRange part) {
    List<String> media = new ArrayList<>();
    footage(part, 0, (footage, seen, start) -> media.add(footage.media()));
    return media.stream().distinct().toList();
  }
}
