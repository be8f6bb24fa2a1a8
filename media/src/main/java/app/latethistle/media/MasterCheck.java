package app.latethistle.media;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a rendered master turned out to be, read back from the file.
 *
 * @param frames pictures decoded
 * @param seconds the picture's length
 * @param soundSeconds the sound's length
 * @param black ranges of black pictures, in frames
 * @param faults sentences for the person; empty if the master is as asked
 */
public record MasterCheck(
    long frames, double seconds, double soundSeconds, List<FrameRange> black, List<String> faults) {
  private static final Pattern BLACK = Pattern.compile("black_start:([0-9.]+) black_end:([0-9.]+)");

  /** A picture with 98 % of its luma under this share of full scale counts as black. */
  private static final double BLACK_LUMA = 0.02;

  /**
   * Decodes a master and compares.
   *
   * @param expected frames it must have
   * @param fadeFrames frames at its end that may be black
   */
  public static MasterCheck of(Path master, FrameRate rate, long expected, long fadeFrames)
      throws IOException {
    JsonNode root =
        JsonMapper.shared()
            .readTree(
                Child.output(
                    Sandbox.ffprobe(
                        master,
                        Container.MP4,
                        List.of("-of", "json", "-show_streams", "-count_frames")),
                    1800));
    long frames = 0;
    double seconds = 0;
    double soundSeconds = 0;
    for (JsonNode stream : root.path("streams")) {
      double length = Double.parseDouble(stream.path("duration").asString("0"));
      if (stream.path("codec_type").asString("").equals("video")) {
        frames = Long.parseLong(stream.path("nb_read_frames").asString("0"));
        seconds = length;
      } else {
        soundSeconds = length;
      }
    }
    List<FrameRange> black = black(master, rate);
    List<String> faults = new ArrayList<>();
    if (frames != expected) {
      faults.add("The file has " + frames + " frames; the film has " + expected + ".");
    }
    if (Math.abs(seconds - rate.secondsOf(expected)) > 0.002) {
      faults.add(
          String.format(
              "The picture runs %.3f s; the film runs %.3f s.", seconds, rate.secondsOf(expected)));
    }
    if (Math.abs(soundSeconds - seconds) > 0.030) {
      faults.add(
          String.format("The sound runs %.3f s beside %.3f s of picture.", soundSeconds, seconds));
    }
    for (FrameRange range : black) {
      if (range.start() < expected - fadeFrames) {
        faults.add("Black from frame " + range.start() + " for " + range.length() + " frames.");
      }
    }
    return new MasterCheck(frames, seconds, soundSeconds, black, List.copyOf(faults));
  }

  private static List<FrameRange> black(Path master, FrameRate rate) throws IOException {
    List<String> command =
        new ArrayList<>(
            Sandbox.ffmpeg(
                master,
                Container.MP4,
                List.of("-nostats", "-hide_banner"),
                List.of(
                    "-an",
                    "-vf",
                    "blackdetect=d=0.08:pic_th=0.98:pix_th=" + BLACK_LUMA,
                    "-f",
                    "null",
                    "-")));
    command.set(command.indexOf("-v") + 1, "info");
    List<FrameRange> ranges = new ArrayList<>();
    try (Child child = Child.start(command)) {
      child.waitFor();
      Matcher matcher = BLACK.matcher(child.errorText());
      while (matcher.find()) {
        long start = rate.framesIn(Double.parseDouble(matcher.group(1)));
        long end = rate.framesIn(Double.parseDouble(matcher.group(2)));
        ranges.add(new FrameRange(start, Math.max(start, end)));
      }
    }
    return List.copyOf(ranges);
  }
}
