package app.latethistle.media;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a rendered master turned out to be, read back from the file in one decoding.
 *
 * @param frames pictures decoded
 * @param seconds the picture's length
 * @param soundSeconds the sound's length
 * @param black ranges of black pictures, in frames
 * @param faults sentences for the person; empty if the master is as asked
 */
public record MasterCheck(
    long frames, double seconds, double soundSeconds, List<FrameRange> black, List<String> faults) {
  /** A picture with 98 % of its luma under this share of full scale counts as black. */
  private static final String BLACK = "blackdetect=d=0.08:pic_th=0.98:pix_th=0.02";

  /** What the decoder says of the pictures. */
  private static final class Decoded {
    long frames;
    final List<FrameRange> black = new ArrayList<>();
    String complaint = "";
  }

  /**
   * Decodes a master and compares.
   *
   * @param expected frames it must have
   * @param planned ranges that may be black: gaps, and the fade at its end
   * @throws IOException if it cannot be looked at, with the reason
   */
  public static MasterCheck of(Path master, FrameRate rate, long expected, List<FrameRange> planned)
      throws IOException {
    JsonNode root =
        JsonMapper.shared()
            .readTree(
                Child.output(
                    Sandbox.ffprobe(master, Container.MP4, List.of("-of", "json", "-show_streams")),
                    60));
    double seconds = 0;
    double soundSeconds = 0;
    for (JsonNode stream : root.path("streams")) {
      double length = Double.parseDouble(stream.path("duration").asString("0"));
      if (stream.path("codec_type").asString("").equals("video")) {
        seconds = length;
      } else {
        soundSeconds = length;
      }
    }
    Decoded decoded = decode(master, rate);
    List<String> faults = new ArrayList<>();
    if (!decoded.complaint.isEmpty()) {
      faults.add("The file does not decode whole: " + decoded.complaint);
    }
    if (decoded.frames != expected) {
      faults.add("The file has " + decoded.frames + " frames; the film has " + expected + ".");
    }
    if (Math.abs(seconds - rate.secondsOf(expected)) > 0.002) {
      faults.add(
          said(
              "The picture runs %.3f s; the film runs %.3f s.", seconds, rate.secondsOf(expected)));
    }
    if (Math.abs(soundSeconds - seconds) > 0.030) {
      faults.add(said("The sound runs %.3f s beside %.3f s of picture.", soundSeconds, seconds));
    }
    for (FrameRange range : decoded.black) {
      if (planned.stream().noneMatch(p -> p.contains(range))) {
        faults.add("Black from frame " + range.start() + " for " + range.length() + " frames.");
      }
    }
    return new MasterCheck(
        decoded.frames, seconds, soundSeconds, List.copyOf(decoded.black), List.copyOf(faults));
  }

  /** "1440 frames, picture 60.000 s, sound 60.000 s, no unplanned black." */
  public String report() {
    return said(
        "%d frames, picture %.3f s, sound %.3f s, no unplanned black.",
        frames, seconds, soundSeconds);
  }

  private static String said(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }

  private static Decoded decode(Path master, FrameRate rate) throws IOException {
    List<String> command =
        Sandbox.ffmpeg(
            master,
            Container.MP4,
            List.of("-nostats", "-progress", "pipe:1"),
            List.of(
                "-vf",
                BLACK + ",metadata=mode=print:file=-",
                "-fps_mode",
                "passthrough",
                "-f",
                "null",
                "-"));
    Decoded decoded = new Decoded();
    long blackFrom = -1;
    try (Child child = Child.start(command);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(child.stdout(), StandardCharsets.UTF_8))) {
      String line = lines.readLine();
      while (line != null) {
        if (line.startsWith("frame=")) {
          decoded.frames = Long.parseLong(line.substring("frame=".length()).strip());
        } else if (line.startsWith("lavfi.black_start=")) {
          blackFrom = frameAt(line, rate);
        } else if (line.startsWith("lavfi.black_end=") && blackFrom >= 0) {
          decoded.black.add(new FrameRange(blackFrom, Math.max(blackFrom, frameAt(line, rate))));
          blackFrom = -1;
        }
        line = lines.readLine();
      }
      boolean ended = child.waitFor() == 0;
      decoded.complaint = ended && child.errorText().isBlank() ? "" : child.errorLine();
    }
    if (blackFrom >= 0) {
      decoded.black.add(new FrameRange(blackFrom, Math.max(blackFrom, decoded.frames)));
    }
    return decoded;
  }

  private static long frameAt(String line, FrameRate rate) {
    return rate.framesIn(Double.parseDouble(line.substring(line.indexOf('=') + 1).strip()));
  }
}
