package app.latethistle.media;

import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Finds out what a file holds, reading every packet of its first picture or sound stream. */
public final class Probe {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final int SECONDS = 60;
  private static final int LARGEST_SIDE = 8192;

  private Probe() {}

  /**
   * Reads a file's facts.
   *
   * @throws RefusedMedia if it cannot be used, with the reason for the person
   */
  public static MediaFacts probe(Path file) throws IOException {
    Container container = Container.of(file);
    Read read = read(file, container);
    JsonNode root = read.root;
    JsonNode picture = null;
    JsonNode sound = null;
    for (JsonNode stream : root.path("streams")) {
      boolean cover = stream.path("disposition").path("attached_pic").asInt(0) == 1;
      String type = stream.path("codec_type").asString("");
      if (type.equals("video") && !cover && picture == null) {
        picture = stream;
      } else if (type.equals("audio") && sound == null) {
        sound = stream;
      }
    }
    if (picture == null && sound == null) {
      throw new RefusedMedia("There is neither picture nor sound in this file.");
    }
    JsonNode used = picture == null ? sound : picture;
    List<Double> times = read.packets.of(used.path("index").asInt());
    if (times.isEmpty()) {
      throw new RefusedMedia("The file has no " + (picture == null ? "sound" : "pictures") + ".");
    }
    if (picture == null) {
      return sound(container, root, sound, times);
    }
    return picture(container, root, picture, sound != null, times);
  }

  /**
   * What a file says of itself.
   *
   * @param root its streams and its format
   * @param packets when theirs begin and end
   */
  private record Read(JsonNode root, PacketTimes packets) {}

  /** In one process, for starting another takes longer than reading most files. */
  private static Read read(Path file, Container container) throws IOException {
    byte[] answer;
    try {
      answer =
          Child.output(
              Sandbox.ffprobe(
                  file,
                  container,
                  List.of(
                      "-of",
                      "json=compact=1",
                      "-show_streams",
                      "-show_format",
                      "-show_entries",
                      "packet=stream_index,pts_time,duration_time")),
              new byte[0],
              SECONDS);
    } catch (RefusedMedia e) {
      throw e;
    } catch (IOException e) {
      throw new RefusedMedia(
          container == Container.MP4
              ? "The file is cut short or is not really a film: its index cannot be read."
              : "The file is damaged or is not what it claims to be.");
    }
    ObjectNode root = JSON.createObjectNode();
    PacketTimes packets = new PacketTimes();
    try (JsonParser parser = JSON.createParser(answer)) {
      parser.nextToken();
      for (String name = parser.nextName(); name != null; name = parser.nextName()) {
        parser.nextToken();
        if (name.equals("packets")) {
          while (parser.nextToken() != JsonToken.END_ARRAY) {
            packets.add(parser.<JsonNode>readValueAsTree());
          }
        } else {
          root.set(name, parser.<JsonNode>readValueAsTree());
        }
      }
    }
    return new Read(root, packets);
  }

  private static MediaFacts sound(
      Container container, JsonNode root, JsonNode stream, List<Double> times) throws RefusedMedia {
    double seconds = times.get(times.size() - 1) - Math.max(0, times.get(0));
    double claimed = number(root.path("format").path("duration").asString(""), 0);
    if (claimed > seconds + 0.5 && claimed > seconds * 1.02) {
      throw new RefusedMedia(
          String.format(
              Locale.ROOT,
              "The file is cut short: %.1f of %.1f seconds are there. Save it again whole.",
              seconds,
              claimed));
    }
    return new MediaFacts(
        MediaFacts.Kind.SOUND,
        container,
        stream.path("codec_name").asString(""),
        0,
        seconds,
        Optional.empty(),
        false,
        Optional.empty(),
        0,
        "",
        true);
  }

  private static MediaFacts picture(
      Container container, JsonNode root, JsonNode stream, boolean sound, List<Double> times)
      throws RefusedMedia {
    PictureShape shape = shape(stream, container.isStill());
    int rotation = rotation(stream);
    if (rotation % 180 == 90) {
      shape = shape.turned();
    }
    long frames = times.size() - 1L;
    if (container.isStill()) {
      return new MediaFacts(
          MediaFacts.Kind.STILL,
          container,
          stream.path("codec_name").asString(""),
          1,
          0,
          Optional.empty(),
          false,
          Optional.of(shape),
          rotation,
          colour(stream, shape),
          false);
    }
    checkWhole(root, stream, times);
    double seconds = times.get(times.size() - 1) - times.get(0);
    FrameRate mean = rate(stream, frames, seconds);
    if (times.get(times.size() - 1) <= times.get(times.size() - 2)) {
      seconds += mean.secondsOf(1);
    }
    return new MediaFacts(
        MediaFacts.Kind.CLIP,
        container,
        stream.path("codec_name").asString(""),
        frames,
        seconds,
        Optional.of(mean),
        isVariable(times),
        Optional.of(shape),
        rotation,
        colour(stream, shape),
        sound);
  }

  private static PictureShape shape(JsonNode stream, boolean still) throws RefusedMedia {
    int width = stream.path("width").asInt(0);
    int height = stream.path("height").asInt(0);
    if (width < 16 || height < 16) {
      throw new RefusedMedia(
          "Its picture is " + width + "x" + height + " pixels; 16x16 is the smallest used.");
    }
    if (still && (long) width * height > Sandbox.LARGEST_STILL) {
      throw new RefusedMedia(
          String.format(
              Locale.ROOT,
              "Its picture is %dx%d, %d million pixels; a still may have up to %d. Save it smaller.",
              width,
              height,
              (long) width * height / 1_000_000,
              Sandbox.LARGEST_STILL / 1_000_000));
    }
    if (!still && (width > LARGEST_SIDE || height > LARGEST_SIDE)) {
      throw new RefusedMedia(
          "Its picture is " + width + "x" + height + " pixels; no side may exceed 8192.");
    }
    String[] aspect = stream.path("sample_aspect_ratio").asString("1:1").split(":");
    double pixel = 1;
    if (aspect.length == 2) {
      double over = number(aspect[1], 1);
      pixel = over > 0 ? number(aspect[0], 1) / over : 1;
    }
    return new PictureShape(width, height, pixel > 0.1 && pixel < 10 ? pixel : 1);
  }

  private static int rotation(JsonNode stream) {
    for (JsonNode data : stream.path("side_data_list")) {
      if (data.has("rotation")) {
        return Math.floorMod(-data.path("rotation").asInt(0), 360);
      }
    }
    return 0;
  }

  /** What the header promises must be there: an index may outlive the pictures it lists. */
  private static void checkWhole(JsonNode root, JsonNode stream, List<Double> times)
      throws RefusedMedia {
    long promised = (long) number(stream.path("nb_frames").asString(""), 0);
    long frames = times.size() - 1L;
    if (promised > frames + 1) {
      throw new RefusedMedia(
          "The file is cut short: "
              + frames
              + " of "
              + promised
              + " pictures are there. Save it"
              + " again whole.");
    }
    double claimed = number(root.path("format").path("duration").asString(""), 0);
    double end = times.get(times.size() - 1);
    boolean soundToo = root.path("streams").size() > 1;
    if (!soundToo && claimed > end + 0.5 && claimed > end * 1.1) {
      throw new RefusedMedia(
          String.format(
              Locale.ROOT,
              "The file is cut short: %.1f of %.1f seconds are there. Save it again whole.",
              end,
              claimed));
    }
  }

  private static FrameRate rate(JsonNode stream, long frames, double seconds) throws RefusedMedia {
    String text = stream.path("avg_frame_rate").asString("0/0");
    try {
      return FrameRate.parse(text);
    } catch (IllegalArgumentException e) {
      try {
        return FrameRate.of((int) Math.round(frames * 1000 / Math.max(seconds, 0.001)), 1000);
      } catch (IllegalArgumentException unusable) {
        throw new RefusedMedia("Its frame rate cannot be told; save it at 24 frames a second.");
      }
    }
  }

  private static boolean isVariable(List<Double> times) {
    List<Double> gaps = new ArrayList<>();
    for (int i = 1; i + 1 < times.size(); i++) {
      gaps.add(times.get(i) - times.get(i - 1));
    }
    if (gaps.size() < 2) {
      return false;
    }
    Collections.sort(gaps);
    double median = gaps.get(gaps.size() / 2);
    return gaps.get(gaps.size() - 1) > median * 1.2 || gaps.get(0) < median * 0.8;
  }

  /** Untagged pictures of 720 lines or more are taken as BT.709, smaller ones as BT.601. */
  private static String colour(JsonNode stream, PictureShape shape) {
    String space = stream.path("color_space").asString("unknown");
    boolean full =
        stream.path("color_range").asString("").equals("pc")
            || stream.path("pix_fmt").asString("").startsWith("yuvj");
    Optional<WideColour> wide =
        WideColour.of(
            stream.path("color_primaries").asString(""),
            stream.path("color_transfer").asString(""));
    if (wide.isPresent()) {
      return wide.get().written() + (full ? " full" : "");
    }
    String name =
        switch (space) {
          case "bt709" -> "bt709";
          case "smpte170m", "bt470bg" -> "bt601";
          case "unknown", "unspecified", "" ->
              Math.min(shape.width(), shape.height()) >= 720 ? "bt709" : "bt601";
          default -> "other";
        };
    return full ? name + " full" : name;
  }

  static double number(String text, double otherwise) {
    try {
      return Double.parseDouble(text);
    } catch (NumberFormatException e) {
      return otherwise;
    }
  }
}
