package app.latethistle.media;

import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Decodes a clip whole without keeping it, to know that it is whole and how long it is. */
public final class ClipCheck {
  private static final Pattern FRAME = Pattern.compile("frame=\\s*(\\d+)");

  private ClipCheck() {}

  /**
   * How many frames of the film a clip makes.
   *
   * @throws RefusedMedia if pictures are missing or damaged
   */
  public static long frames(Path file, MediaFacts facts, FrameRate rate) throws IOException {
    if (facts.kind() == MediaFacts.Kind.STILL) {
      return facts.framesAt(rate);
    }
    String report;
    try {
      report =
          Child.output(
              Sandbox.ffmpeg(
                  file,
                  facts.container(),
                  List.of("-xerror"),
                  List.of(
                      "-an",
                      "-vf",
                      "fps=" + rate + ":round=near",
                      "-progress",
                      "pipe:1",
                      "-f",
                      "null",
                      "-")),
              1800);
    } catch (IOException e) {
      throw new RefusedMedia("The file is damaged: " + e.getMessage());
    }
    long frames = 0;
    Matcher matcher = FRAME.matcher(report);
    while (matcher.find()) {
      frames = Long.parseLong(matcher.group(1));
    }
    requireWhole(frames, facts.framesAt(rate));
    return frames;
  }

  /**
   * Compares what was decoded with what should have been. Rounding of the last frame's length may
   * cost one frame, and two at odd rates.
   */
  static void requireWhole(long frames, long expected) throws RefusedMedia {
    if (frames < expected - 2 || frames == 0) {
      throw new RefusedMedia(
          "The file is damaged or cut short: "
              + frames
              + " of "
              + expected
              + " frames can be decoded. Save it again whole.");
    }
  }
}
