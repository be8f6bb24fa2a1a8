package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Output;
import app.latethistle.core.render.Segment;
import app.latethistle.core.time.FrameRange;
import app.latethistle.media.MasterRender;
import app.latethistle.media.OutputFile;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.OtherShape;
import app.latethistle.server.film.TieWords;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Says what outputs are as the film is now, and what there is of them. */
@Component
class OutputViews {
  private final Masters masters;
  private final MasterOrders orders;
  private final TieWords ties;

  OutputViews(Masters masters, MasterOrders orders, TieWords ties) {
    this.masters = masters;
    this.orders = orders;
    this.ties = ties;
  }

  /**
   * An output.
   *
   * @param called its name; as it is said, if it cannot be made
   * @param label how it is written, in words
   * @param shape of its pictures: "9:16"
   * @param part in words: "the whole film", "downbeat of bar 8 to the end"
   * @param start the film's first frame that is in it
   * @param end the frame after the last
   * @param frames of the output, at its own rate
   * @param bytes how large its file will be, by what is made of it; null if nothing is
   * @param measurable whether a few seconds of it can be made to tell that
   * @param fault why it cannot be made; null if it can
   * @param master the last one of it; null if there is none
   * @param stale whether the film has changed since
   * @param toRender segments that are not made yet
   * @param segments how many there are
   */
  record OutputView(
      long id,
      OutputSaid said,
      String called,
      String label,
      String shape,
      int width,
      int height,
      boolean pictures,
      boolean sound,
      String part,
      long start,
      long end,
      long frames,
      @Schema(nullable = true) Long bytes,
      boolean measurable,
      @Schema(nullable = true) String fault,
      @Schema(nullable = true) MasterController.MasterView master,
      boolean stale,
      int toRender,
      int segments) {}

  OutputView of(OutputRow row, FilmState state) {
    Output output = row.output();
    Optional<Master> last = masters.findFirstByOutputIdOrderByIdDesc(row.id());
    Now now = now(output, state, last);
    return new OutputView(
        row.id(),
        OutputSaid.of(output),
        now.called,
        output.encoding().label(),
        OtherShape.nameOf(output.pictures().shape().orElse(state.shape())),
        now.width,
        now.height,
        output.encoding().hasPictures(),
        output.encoding().hasSound(),
        part(output, state),
        now.part.start(),
        now.part.end(),
        now.frames,
        now.bytes,
        now.measurable,
        now.fault,
        last.map(MasterController.MasterView::of).orElse(null),
        last.isPresent() && !now.isLast,
        now.made.segments - now.made.count,
        now.made.segments);
  }

  /** What an output is as the film is now, or why it cannot be made. */
  private record Now(
      String called,
      int width,
      int height,
      FrameRange part,
      long frames,
      Long bytes,
      boolean measurable,
      boolean isLast,
      Made made,
      String fault) {}

  private Now now(Output output, FilmState state, Optional<Master> last) {
    try {
      Ordering ordering = Ordering.of(output, state);
      Optional<MasterRender> render =
          output.encoding().hasPictures() ? Optional.of(orders.render(ordering)) : Optional.empty();
      Made made = render.map(OutputViews::made).orElse(Made.NOTHING);
      return new Now(
          ordering.called(),
          ordering.program().width(),
          ordering.program().height(),
          ordering.part(),
          ordering.program().length(),
          bytes(ordering, render, made, last),
          Measuring.suits(ordering),
          last.filter(master -> master.isOf(ordering)).isPresent(),
          made,
          null);
    } catch (Refused e) {
      return new Now(
          output.name().text(),
          0,
          0,
          new FrameRange(0, 0),
          0,
          null,
          /* measurable= */ false,
          /* isLast= */ false,
          Made.NOTHING,
          e.getMessage());
    }
  }

  private String part(Output output, FilmState state) {
    Output.Part part = output.part();
    if (output.encoding() == Encoding.STILL) {
      return part.from().map(tie -> ties.says(state, tie)).orElse("the first picture");
    }
    if (part.from().isEmpty() && part.to().isEmpty()) {
      return "the whole film";
    }
    return part.from().map(tie -> ties.says(state, tie)).orElse("the start")
        + " to "
        + part.to().map(tie -> ties.says(state, tie)).orElse("the end");
  }

  /** What there is of segments. */
  private record Made(int count, int segments, long frames, long bytes) {
    static final Made NOTHING = new Made(0, 0, 0, 0);
  }

  private static Made made(MasterRender render) {
    int count = 0;
    long frames = 0;
    long bytes = 0;
    List<Segment> segments = render.segments();
    try {
      for (Segment segment : segments) {
        if (render.isMade(segment)) {
          count++;
          frames += segment.range().length();
          bytes += render.bytesOf(segment);
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new Made(count, segments.size(), frames, bytes);
  }

  /**
   * How large a file will be: as wished, by its own rate, by the segments that are made or a few of
   * them as they are written, or by the last file of the same output.
   */
  private Long bytes(
      Ordering ordering, Optional<MasterRender> render, Made made, Optional<Master> last) {
    Output output = ordering.output();
    Encoding encoding = output.encoding();
    long length = ordering.program().length();
    double sound = ordering.program().rate().secondsOf(length) * OutputFile.soundBits(encoding) / 8;
    if (output.megabytes().isPresent()) {
      return Math.round(output.megabytes().get() * 1e6);
    }
    if (!encoding.hasPictures() && sound > 0) {
      return Math.round(sound);
    }
    Made by =
        OutputFile.isJoined(encoding, output.megabytes())
            ? made
            : render.map(r -> sample(ordering, r)).orElse(Made.NOTHING);
    if (by.frames > 0) {
      return Math.round((double) by.bytes / by.frames * length + sound);
    }
    return last.filter(m -> m.bytes() != null && m.frames() > 0)
        .filter(m -> m.encoding() == encoding && m.quality() == output.quality())
        .map(m -> Math.round((double) m.bytes() / m.frames() * length))
        .orElse(null);
  }

  /** A few segments as they were written to measure; nothing if they were not. */
  private Made sample(Ordering ordering, MasterRender render) {
    if (!Measuring.suits(ordering)) {
      return Made.NOTHING;
    }
    List<Segment> segments = Measuring.some(render.segments());
    Path sample = orders.sampleOf(ordering, segments);
    try {
      return Files.exists(sample)
          ? new Made(
              segments.size(),
              segments.size(),
              segments.stream().mapToLong(segment -> segment.range().length()).sum(),
              Files.size(sample))
          : Made.NOTHING;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
