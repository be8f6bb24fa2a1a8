package app.latethistle.media;

import app.latethistle.core.look.Fit;
import app.latethistle.core.picture.Region;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The filter chains that conform a clip by time to the film's rate and to BT.709. */
final class PictureFilters {
  private PictureFilters() {}

  /**
   * Input options and filters that give exactly the frames of a range, by time. The seek stops a
   * second early; the longest source frame must be shorter than that.
   */
  static List<String> seek(FrameRange frames, FrameRate rate) {
    double from = Math.max(0, rate.secondsOf(frames.start()) - 1);
    if (from == 0) {
      return List.of();
    }
    return List.of("-ss", String.format(Locale.ROOT, "%.9f", from), "-copyts", "-start_at_zero");
  }

  static String conform(MediaFacts facts, FrameRate rate, FrameRange frames) {
    List<String> filters = new ArrayList<>();
    if (facts.kind() == MediaFacts.Kind.CLIP) {
      filters.add("fps=" + rate + ":round=near");
      filters.add("trim=start_pts=" + frames.start() + ":end_pts=" + frames.end());
      filters.add("setpts=PTS-STARTPTS");
    }
    colour(facts, "tv").ifPresent(filters::add);
    filters.add("crop=trunc(iw/2)*2:trunc(ih/2)*2:0:0");
    filters.add("format=yuv420p");
    return String.join(",", filters);
  }

  /**
   * Filters that draw a clip into the film's picture with the filter kernel and the siting of
   * chroma that {@code core} has; empty where they could not place it as exactly.
   */
  static Optional<String> drawn(PictureShape clip, PictureSource.Wish wish) {
    boolean same = clip.width() == wish.width() && clip.height() == wish.height();
    if (same && clip.pixelAspect() == 1) {
      return Optional.of("null");
    }
    Fit fit = wish.framing().fit();
    boolean fills = Math.abs(clip.aspect() * wish.height() / wish.width() - 1) < 0.5 / wish.width();
    if (fits(fit, fills)) {
      Region place = Region.placeWhenFitting(clip, wish.width(), wish.height());
      String scale =
          "scale="
              + (int) place.width()
              + ":"
              + (int) place.height()
              // As our own scaler; chroma at the left of each pair, between rows.
              + ":flags=lanczos"
              + ":in_h_chr_pos=0:in_v_chr_pos=128:out_h_chr_pos=0:out_v_chr_pos=128";
      return Optional.of(
          fills
              ? scale
              : String.format(
                  Locale.ROOT,
                  "%s,pad=%d:%d:%d:%d:black",
                  scale,
                  wish.width(),
                  wish.height(),
                  (int) place.x(),
                  (int) place.y()));
    }
    return Optional.empty();
  }

  /** Cropping falls between pixels, and a soft backdrop is ours alone. */
  private static boolean fits(Fit fit, boolean fills) {
    return fills || fit == Fit.FIT;
  }

  /** A picture as red, green and blue of 8 bits, chroma as fine as the file has it. */
  static String fullColour(MediaFacts facts) {
    String plain = "flags=bicubic+accurate_rnd+full_chroma_int+full_chroma_inp,format=rgb24";
    if (facts.wide().isPresent()) {
      return facts.wide().get().filters(facts.isFull())
          + ",scale=in_color_matrix=bt709:in_range=tv:"
          + plain;
    }
    return "scale=" + coded(facts) + ":" + plain;
  }

  /** A conversion to BT.709 of the range given, if the clip is not that already. */
  static Optional<String> colour(MediaFacts facts, String range) {
    if (facts.wide().isPresent()) {
      String narrow = facts.wide().get().filters(facts.isFull());
      return Optional.of(
          range.equals("tv") ? narrow : narrow + ",scale=in_range=tv:out_range=" + range);
    }
    boolean there = facts.space().equals("bt709") && facts.isFull() == range.equals("pc");
    return there && !isRgb(facts)
        ? Optional.empty()
        : Optional.of("scale=" + coded(facts) + ":out_color_matrix=bt709:out_range=" + range);
  }

  /** How a file's colours are coded, as a scaler is told. */
  private static String coded(MediaFacts facts) {
    boolean rgb = isRgb(facts);
    String matrix = rgb || facts.space().equals("other") ? "auto" : facts.space();
    String range = rgb ? "auto" : facts.isFull() ? "pc" : "tv";
    return "in_color_matrix=" + matrix + ":in_range=" + range;
  }

  private static boolean isRgb(MediaFacts facts) {
    return facts.kind() == MediaFacts.Kind.STILL || facts.container() == Container.GIF;
  }
}
