package app.latethistle.media;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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

  /** A conversion to BT.709 of the range given, if the clip is not that already. */
  static java.util.Optional<String> colour(MediaFacts facts, String range) {
    boolean full = facts.colour().endsWith(" full");
    String space = facts.colour().replace(" full", "");
    boolean rgb = facts.kind() == MediaFacts.Kind.STILL || facts.container() == Container.GIF;
    if (space.equals("bt709") && full == range.equals("pc") && !rgb) {
      return java.util.Optional.empty();
    }
    String in = space.equals("other") || rgb ? "auto" : space;
    String inRange = rgb ? "auto" : full ? "pc" : "tv";
    return java.util.Optional.of(
        "scale=in_color_matrix="
            + in
            + ":in_range="
            + inRange
            + ":out_color_matrix=bt709:out_range="
            + range);
  }
}
