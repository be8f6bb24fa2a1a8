package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.interchange.GatheredCut;
import app.latethistle.core.interchange.ReadCut;
import app.latethistle.core.time.FrameRate;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * Reads an OpenTimelineIO timeline (the published schemas, Clip.2 and Marker.1 too): the first
 * track of pictures with its clips, gaps, transitions, speeds and markers. What it does not
 * understand it tells.
 */
public final class TimelineReader {
  private static final String SCHEMA = "OTIO_SCHEMA";

  private final FrameRate rate;
  private final GatheredCut cut;

  private TimelineReader(String title, FrameRate rate) {
    this.rate = rate;
    cut = new GatheredCut(title, rate);
  }

  /**
   * Reads a timeline.
   *
   * @param rate of the film it is for; times at other rates are brought to its nearest frames
   * @throws IllegalArgumentException if it is none, or has no track of pictures
   */
  public static ReadCut read(String json, FrameRate rate) {
    JsonNode whole;
    try {
      whole = FilmDocument.MAPPER.readTree(json);
    } catch (JacksonException e) {
      throw new Refused("This is not JSON: " + e.getOriginalMessage());
    }
    if (!schema(whole).startsWith("Timeline.")) {
      throw new Refused("This is no OpenTimelineIO timeline: it begins with no Timeline.");
    }
    TimelineReader reader = new TimelineReader(whole.path("name").asString(""), rate);
    JsonNode pictures = null;
    for (JsonNode track : whole.path("tracks").path("children")) {
      boolean video = track.path("kind").asString("").equals("Video");
      if (video && pictures == null) {
        pictures = track;
      } else {
        reader.cut.unread(
            "The track '"
                + track.path("name").asString("")
                + "' is not read; only the first track of pictures is.");
      }
    }
    if (pictures == null) {
      throw new Refused("The timeline has no track of pictures.");
    }
    reader.track(pictures);
    return reader.cut.read();
  }

  private static String schema(JsonNode node) {
    return node.path(SCHEMA).asString("");
  }

  private void track(JsonNode track) {
    long mixed = 0;
    for (JsonNode child : track.path("children")) {
      String kind = schema(child).replaceFirst("\\.\\d+$", "");
      switch (kind) {
        case "Clip" -> {
          clip(child, mixed);
          mixed = 0;
        }
        case "Gap" -> {
          cut.gapUpTo(cut.end() + frames(child.path("source_range").path("duration")));
          mixed = 0;
        }
        case "Transition" ->
            mixed = frames(child.path("in_offset")) + frames(child.path("out_offset"));
        default -> cut.unread("A " + kind + " in the track of pictures is not read.");
      }
    }
    markers(track, 0);
  }

  private void clip(JsonNode clip, long mixed) {
    JsonNode file = file(clip);
    String url = file.path("target_url").asString("");
    String name = clip.path("name").asString("");
    String called =
        url.isEmpty() ? name : url.substring(url.replace('\\', '/').lastIndexOf('/') + 1);
    JsonNode range =
        clip.path("source_range").isObject()
            ? clip.path("source_range")
            : file.path("available_range");
    int speed = 100;
    for (JsonNode effect : clip.path("effects")) {
      String kind = schema(effect);
      if (kind.startsWith("FreezeFrame.")) {
        speed = 0;
      } else if (kind.startsWith("LinearTimeWarp.")) {
        speed = (int) Math.round(100 * effect.path("time_scalar").asDouble(1));
      } else {
        cut.unread("The effect '" + effect.path("name").asString(kind) + "' is not read.");
      }
    }
    long start = frames(range.path("start_time"));
    long available = frames(file.path("available_range").path("start_time"));
    markers(clip, cut.end() - start);
    cut.add(
        name,
        Optional.of(called),
        Math.max(0, start - available),
        frames(range.path("duration")),
        speed,
        cut.endsWithShot() ? mixed : 0);
  }

  /** What a clip is of; of several the one that is in use. */
  private static JsonNode file(JsonNode clip) {
    if (clip.path("media_references").isObject()) {
      return clip.path("media_references")
          .path(clip.path("active_media_reference_key").asString("DEFAULT_MEDIA"));
    }
    return clip.path("media_reference");
  }

  private void markers(JsonNode of, long shift) {
    for (JsonNode marker : of.path("markers")) {
      long at = frames(marker.path("marked_range").path("start_time")) + shift;
      cut.mark(Math.max(0, at), marker.path("name").asString(""));
    }
  }

  private long frames(JsonNode time) {
    double its = time.path("rate").asDouble(0);
    double value = time.path("value").asDouble(0);
    if (!(its > 0) || Double.isNaN(value) || Math.abs(value) > 1e9) {
      return 0;
    }
    return Math.round(value * rate.perSecond() / its);
  }
}
