package app.latethistle.core.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Lie;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;

/** A picture that changes with time; its frames are counted from its own start. */
public sealed interface Layer {

  /** Black. */
  record Black() implements Layer {
    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      key.put("black");
    }

    @Override
    public Layer at(Retiming to, long start, long length) {
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
   * @param length frames it is on screen
   * @param framing how it meets the picture
   */
  record Footage(String media, long material, long in, Run run, long length, Framing framing)
      implements Layer {

    /** The take's frame, with a fraction between two, that frame k shows. */
    double frame(long k) {
      return run.frame(in, material, k, length);
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      key.put("footage").put(media).put(material);
      key.put(framing.fit());
      if (run.plain()) {
        key.put("plain").put(in + part.start());
      } else {
        key.put("run").put(in).put(run.since() + part.start());
        key.put(run.over() == 0 ? length : run.over());
        key.put(run.way()).put(run.from()).put(run.to()).put(run.between());
      }
    }

    /**
     * {@inheritDoc} The take counts one frame less than it would, so that it does not run dry by
     * rounding.
     */
    @Override
    public Layer at(Retiming to, long start, long newLength) {
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
          media, total, Math.min(to.frame(in), total - 1), there, newLength, framing);
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      visitor.visit(this, part, start);
    }
  }

  /**
   * Layers one after another; black where there is none.
   *
   * @param parts in order, none over another
   */
  record Sequence(List<Part> parts) implements Layer {
    public Sequence {
      parts = List.copyOf(parts);
    }

    /** The part at a frame; null if there is none. */
    Part at(long frame) {
      int low = 0;
      int high = parts.size() - 1;
      while (low <= high) {
        int middle = (low + high) >>> 1;
        Part part = parts.get(middle);
        if (part.range.contains(frame)) {
          return part;
        }
        if (frame < part.range.start()) {
          high = middle - 1;
        } else {
          low = middle + 1;
        }
      }
      return null;
    }

    @Override
    public void writeKey(KeyWriter key, FrameRange part) {
      key.put("sequence");
      parts.forEach(p -> p.writeKey(key, part));
      key.put("end");
    }

    @Override
    public Layer at(Retiming to, long start, long length) {
      return new Sequence(parts.stream().map(p -> p.at(to, start)).toList());
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      parts.forEach(p -> p.footage(part, start, visitor));
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
          key.put("over").put(over.lie.opacity()).put(over.lie.size());
          key.put(over.lie.x()).put(over.lie.y());
          over.part.writeKey(key, part);
        }
      }
    }

    @Override
    public Layer at(Retiming to, long start, long length) {
      return new Stack(
          base.at(to, start, length),
          overs.stream().map(o -> new Over(o.part.at(to, start), o.lie)).toList());
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      base.footage(part, start, visitor);
      overs.forEach(o -> o.part.footage(part, start, visitor));
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
    public Layer at(Retiming to, long start, long newLength) {
      return new Faded(
          layer.at(to, start, newLength), new EndFade(to.frame(fade.frames())), newLength);
    }

    @Override
    public void footage(FrameRange part, long start, Visitor visitor) {
      layer.footage(part, start, visitor);
    }
  }

  /** A layer that is seen for some frames of another. */
  record Part(FrameRange range, Layer layer) {
    private void writeKey(KeyWriter key, FrameRange part) {
      range
          .intersect(part)
          .ifPresent(
              both -> {
                key.put("at").put(both.start() - part.start()).put(both.length());
                layer.writeKey(key, both.shift(-range.start()));
              });
    }

    private Part at(Retiming to, long start) {
      FrameRange there =
          new FrameRange(
              to.frame(start + range.start()) - to.frame(start),
              to.frame(start + range.end()) - to.frame(start));
      return new Part(there, layer.at(to, start + range.start(), there.length()));
    }

    private void footage(FrameRange part, long start, Visitor visitor) {
      range
          .intersect(part)
          .ifPresent(
              both -> layer.footage(both.shift(-range.start()), start + range.start(), visitor));
    }
  }

  /** A layer that lies over others for some frames. */
  record Over(Part part, Lie lie) {}

  /** From the frames of one rate to those of another, each to the one nearest to its time. */
  record Retiming(FrameRate from, FrameRate to) {
    long frame(long frame) {
      return to.nearestFrame(from.sampleOf(frame));
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

  /** Writes all that can change a pixel of some of its frames, counted from the first of them. */
  void writeKey(KeyWriter key, FrameRange part);

  /**
   * The same on the frames of another rate.
   *
   * @param start the film's frame at which it starts
   * @param length frames it lasts at the other rate
   */
  Layer at(Retiming to, long start, long length);

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
