package app.latethistle.core.render;

import app.latethistle.core.grade.GradeTables;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.picture.Cutout;
import app.latethistle.core.picture.Fade;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Matting;
import app.latethistle.core.picture.Overlaying;
import app.latethistle.core.picture.TransitionPainter;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Writer;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Makes the film's frames from decoded frames of its takes. What a frame shows follows from the
 * program and its number; drawing in order only saves opening files again.
 */
public final class Compositor {
  /** Frames before a reel's turn at which its decoder is started. */
  private static final int AHEAD = 24;

  private final Program program;
  private final PictureSource source;
  private final Frame canvas;
  private final IdentityHashMap<Layer.Footage, Reel> reels = new IdentityHashMap<>();
  private final Map<Layer.Passage, TransitionPainter> painters = new HashMap<>();
  private final IdentityHashMap<Layer.Treated, Treater> treaters = new IdentityHashMap<>();
  private final GradeTables tables = new GradeTables();
  private final IdentityHashMap<Layer.Corrected, Corrector> correctors = new IdentityHashMap<>();
  private final IdentityHashMap<Layer.Matted, Matting> mattings = new IdentityHashMap<>();
  private final IdentityHashMap<Layer.Over, Overlaying> overlayings = new IdentityHashMap<>();

  private Writer writer;

  /** Where finished frames go. */
  @FunctionalInterface
  public interface Sink {
    /** Takes a frame, which is valid only during the call and not to be changed. */
    void accept(Frame frame) throws IOException;
  }

  public Compositor(Program program, PictureSource source) {
    this.program = program;
    this.source = source;
    canvas = new Frame(program.width(), program.height());
  }

  /** Draws a range of the film. */
  public void draw(FrameRange range, Sink sink) throws IOException {
    Deque<Reel> coming = new ArrayDeque<>(reels(range));
    List<Reel> open = new ArrayList<>();
    try {
      for (long f = range.start(); f < range.end(); f++) {
        while (!coming.isEmpty() && coming.peek().from() <= f + AHEAD) {
          Reel next = coming.remove();
          open.add(next);
          next.open();
        }
        close(open, f);
        sink.accept(draw(program.root(), f));
      }
    } finally {
      reels.clear();
      treaters.clear();
      tables.clear();
      correctors.clear();
      mattings.clear();
      overlayings.clear();
      close(open, Long.MAX_VALUE);
    }
  }

  /** Reels for all that a range shows, as they begin. */
  private List<Reel> reels(FrameRange range) {
    Set<Layer.Footage> over = Collections.newSetFromMap(new IdentityHashMap<>());
    laidOver(program.root(), over);
    List<Reel> ordered = new ArrayList<>();
    program
        .root()
        .footage(
            range,
            0,
            (footage, seen, start) -> {
              boolean laid = over.contains(footage);
              Reel reel = new Reel(footage, seen, start, laid, program, source);
              reels.put(footage, reel);
              ordered.add(reel);
            });
    ordered.sort(Comparator.comparingLong(Reel::from));
    return ordered;
  }

  private static void laidOver(Layer layer, Set<Layer.Footage> found) {
    if (layer instanceof Layer.Excerpt excerpt) {
      laidOver(excerpt.layer(), found);
    } else if (layer instanceof Layer.Faded faded) {
      laidOver(faded.layer(), found);
    } else if (layer instanceof Layer.Written written) {
      laidOver(written.layer(), found);
    } else if (layer instanceof Layer.Treated treated) {
      laidOver(treated.layer(), found);
    } else if (layer instanceof Layer.Corrected corrected) {
      laidOver(corrected.layer(), found);
    } else if (layer instanceof Layer.Stack stack) {
      laidOver(stack.base(), found);
      for (Layer.Over over : stack.overs()) {
        footage(over).ifPresent(found::add);
        if (over.part().layer() instanceof Layer.Matted matted) {
          matted.subject().ifPresent(found::add);
        }
        corrected(over)
            .flatMap(Layer.Corrected::parts)
            .flatMap(Layer.Parts::subject)
            .ifPresent(found::add);
      }
    }
  }

  /** The take that lies over others. */
  private static Optional<Layer.Footage> footage(Layer.Over over) {
    Layer plain = unmatted(over);
    Layer bare = plain instanceof Layer.Corrected corrected ? corrected.take() : plain;
    return bare instanceof Layer.Footage footage ? Optional.of(footage) : Optional.empty();
  }

  private static Optional<Layer.Corrected> corrected(Layer.Over over) {
    return unmatted(over) instanceof Layer.Corrected corrected
        ? Optional.of(corrected)
        : Optional.empty();
  }

  private static Layer unmatted(Layer.Over over) {
    Layer layer = over.part().layer();
    return untreated(layer instanceof Layer.Matted matted ? matted.layer() : layer);
  }

  private static Layer untreated(Layer layer) {
    return layer instanceof Layer.Treated treated ? treated.layer() : layer;
  }

  /** A frame of a layer: the canvas, or a reel's own frame. */
  private Frame draw(Layer layer, long k) throws IOException {
    return draw(seen(layer, k));
  }

  private Frame draw(Seen seen) throws IOException {
    Layer layer = seen.layer;
    long k = seen.k;
    if (layer instanceof Layer.Footage footage) {
      return reels.get(footage).draw(k);
    }
    if (layer instanceof Layer.Sequence sequence) {
      Layer.Passage passage = sequence.passageAt(k);
      return passage == null ? black() : draw(sequence, passage, k);
    }
    if (layer instanceof Layer.Stack stack) {
      return draw(stack, k);
    }
    if (layer instanceof Layer.Written written) {
      return draw(written, k);
    }
    if (layer instanceof Layer.Matted matted) {
      Frame frame = draw(matted.layer(), k);
      Optional<Layer.Footage> subject = matted.subject();
      return mattings
          .computeIfAbsent(matted, l -> new Matting(l.matte(), frame.width(), frame.height()))
          .draw(frame, subject.isEmpty() ? null : reels.get(subject.get()).draw(k));
    }
    if (layer instanceof Layer.Corrected correct) {
      return correctors
          .computeIfAbsent(correct, l -> new Corrector(l, tables))
          .draw(draw(correct.layer(), k), k, reels::get);
    }
    if (layer instanceof Layer.Treated treated) {
      return draw(treated, k);
    }
    if (layer instanceof Layer.Faded faded) {
      Frame frame = ours(draw(faded.layer(), k));
      Fade.toBlack(frame, faded.fade().gain(k, faded.length()));
      return frame;
    }
    return black();
  }

  private Frame draw(Layer.Treated treated, long k) throws IOException {
    Treater treater =
        treaters.computeIfAbsent(treated, t -> new Treater(t, program.rate(), tables, source));
    Seen seen = seen(treated.layer(), k);
    if (treater.beginsWithColour()
        && seen.layer instanceof Layer.Corrected under
        && under.parts().isEmpty()) {
      return treater.draw(draw(under.layer(), seen.k), k, under.correction());
    }
    return treater.draw(draw(seen), k, Correction.NONE);
  }

  /** A layer and one of its frames. */
  private record Seen(Layer layer, long k) {}

  /** What a layer shows of those under it in a frame, as far as it does nothing to them there. */
  private static Seen seen(Layer layer, long k) {
    if (layer instanceof Layer.Sequence sequence && sequence.passageAt(k) == null) {
      Layer.Part part = sequence.at(k);
      return part == null ? new Seen(layer, k) : seen(part.layer(), k - part.start());
    }
    if (layer instanceof Layer.Stack stack
        && stack.overs().stream().noneMatch(o -> o.part().range().contains(k))) {
      return seen(stack.base(), k);
    }
    if (layer instanceof Layer.Excerpt excerpt) {
      return seen(excerpt.layer(), k + excerpt.from());
    }
    if (layer instanceof Layer.Written written
        && written.inscriptions().stream().noneMatch(i -> i.writing().range().contains(k))) {
      return seen(written.layer(), k);
    }
    if (layer instanceof Layer.Treated treated && !treated.range().contains(k)) {
      return seen(treated.layer(), k);
    }
    if (layer instanceof Layer.Faded faded && faded.fade().gain(k, faded.length()) >= 1) {
      return seen(faded.layer(), k);
    }
    return new Seen(layer, k);
  }

  private Frame draw(Layer.Written written, long k) throws IOException {
    Frame frame = draw(written.layer(), k);
    for (Layer.Inscription one : written.inscriptions()) {
      if (one.writing().range().contains(k)) {
        if (writer == null) {
          writer = new Writer(source.faces(), program.width(), program.height());
        }
        frame = ours(frame);
        if (one.picture().isPresent()) {
          writer.draw(one.writing(), k, frame, part(one.picture().get(), k));
        } else {
          writer.draw(one.writing(), k, frame);
        }
      }
    }
    return frame;
  }

  private Frame part(Layer.Part part, long k) throws IOException {
    return part == null ? black() : draw(part.layer(), k - part.start());
  }

  /** Both its shots, each from its own reel or black, drawn into the canvas. */
  private Frame draw(Layer.Sequence sequence, Layer.Passage passage, long k) throws IOException {
    Frame one = beside(sequence.parts().get(passage.into() - 1), k);
    Frame other = beside(sequence.parts().get(passage.into()), k);
    TransitionPainter painter = painters.get(passage);
    if (painter == null) {
      painter = painter(passage, k);
      painters.put(passage, painter);
    }
    painter.draw(one, other, passage.share(k), canvas);
    return canvas;
  }

  private TransitionPainter painter(Layer.Passage passage, long k) throws IOException {
    int width = program.width();
    int height = program.height();
    return passage.luma().isPresent()
        ? TransitionPainter.by(
            reels.get(passage.luma().get()).draw(k - passage.range().start()), passage.manner())
        : TransitionPainter.of(passage.kind(), passage.manner(), width, height);
  }

  /** A part's frame that is not the canvas. */
  private Frame beside(Layer.Part part, long k) throws IOException {
    Frame frame = part(part, k);
    if (frame != canvas) {
      return frame;
    }
    Frame own = new Frame(canvas.width(), canvas.height());
    own.copy(canvas);
    return own;
  }

  private Frame draw(Layer.Stack stack, long k) throws IOException {
    List<Layer.Over> seen = new ArrayList<>();
    // What another covers whole is not drawn.
    int covering = -1;
    for (Layer.Over over : stack.overs()) {
      if (over.part().range().contains(k)) {
        seen.add(over);
        covering = covers(over) ? seen.size() - 1 : covering;
      }
    }
    Frame frame = covering >= 0 ? over(seen.get(covering), k) : draw(stack.base(), k);
    for (Layer.Over over : seen.subList(covering + 1, seen.size())) {
      Frame upper = over(over, k);
      frame = ours(frame);
      Cutout cutout = Cutout.whole(upper);
      double wrap = 0;
      if (over.part().layer() instanceof Layer.Matted matted) {
        cutout = mattings.get(matted).drawn();
        wrap = matted.matte().wrap() / 100.0;
      }
      overlayings
          .computeIfAbsent(over, o -> new Overlaying(program.width(), program.height()))
          .draw(
              cutout,
              over.moment(k),
              new Overlaying.Manner(over.lie().isStill(), over.mixing(), wrap),
              canvas);
    }
    return frame;
  }

  /** Whether nothing under it is seen. */
  private static boolean covers(Layer.Over over) {
    return over.lie().isStill()
        && over.lie().first().equals(Lie.WHOLE)
        && over.mixing() == Mixing.NORMAL
        && !(over.part().layer() instanceof Layer.Matted)
        && footage(over).filter(f -> f.framing().fit() != Fit.FIT).isPresent();
  }

  private Frame over(Layer.Over over, long k) throws IOException {
    return draw(over.part().layer(), k - over.part().start());
  }

  private Frame black() {
    canvas.black();
    return canvas;
  }

  /** The canvas with a frame on it, which may be changed. */
  private Frame ours(Frame frame) {
    if (frame != canvas) {
      canvas.copy(frame);
    }
    return canvas;
  }

  private static void close(List<Reel> open, long before) throws IOException {
    IOException first = null;
    for (int i = open.size() - 1; i >= 0; i--) {
      if (open.get(i).to() <= before) {
        try {
          open.remove(i).close();
        } catch (IOException e) {
          first = first == null ? e : first;
        }
      }
    }
    if (first != null) {
      throw first;
    }
  }
}
