package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.interchange.GatheredCut;
import app.latethistle.core.interchange.NamedFile;
import app.latethistle.core.interchange.ReadCut;
import app.latethistle.core.interchange.Strand;
import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * Reads an OpenTimelineIO timeline (the published schemas, Clip.2 and Marker.1 too): the first
 * track of pictures with its clips, gaps, transitions, speeds and markers as the cut, other tracks
 * as clips with rests between them. What it does not understand it tells.
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
    boolean cut = false;
    for (JsonNode track : whole.path("tracks").path("children")) {
      String kind = track.path("kind").asString("");
      if (kind.equals("Video") && !cut) {
        reader.track(track);
        cut = true;
      } else if (kind.equals("Video") || kind.equals("Audio")) {
        reader.beside(track, kind.equals("Video"));
      } else {
        reader.cut.unread("The track '" + track.path("name").asString("") + "' is not read.");
      }
    }
    if (!cut) {
      throw new Refused("The timeline has no track of pictures.");
    }
    return reader.cut.read();
  }

  private static String schema(JsonNode node) {
    return node.path(SCHEMA).asString("");
  }

  /** Its schema without the version. */
  private static String kind(JsonNode node) {
    return schema(node).replaceFirst("\\.\\d+$", "");
  }

  private void track(JsonNode track) {
    long mixed = 0;
    for (JsonNode child : track.path("children")) {
      String kind = kind(child);
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

  /** A track over the cut, or one of sound: where pieces of files lie on it. */
  private void beside(JsonNode track, boolean seen) {
    String called = track.path("name").asString("");
    List<Strand.Laid> pieces = new ArrayList<>();
    double at = 0;
    for (JsonNode child : track.path("children")) {
      String kind = kind(child);
      JsonNode range = range(child);
      double frames = time(range.path("duration"));
      switch (kind) {
        case "Clip" -> {
          for (JsonNode effect : child.path("effects")) {
            unread(effect);
          }
          double from = time(range.path("start_time")) - starts(child);
          if (frames > 0) {
            String name = child.path("name").asString("");
            pieces.add(new Strand.Laid(name, file(child), at, Math.max(0, from), frames));
          }
          at += frames;
        }
        case "Gap" -> at += frames;
        default -> cut.unread("A " + kind + " in the track '" + called + "' is not read.");
      }
    }
    if (!pieces.isEmpty()) {
      cut.beside(new Strand(called, seen, pieces));
    }
  }

  private void clip(JsonNode clip, long mixed) {
    JsonNode range = range(clip);
    int speed = 100;
    for (JsonNode effect : clip.path("effects")) {
      String kind = schema(effect);
      if (kind.startsWith("FreezeFrame.")) {
        speed = 0;
      } else if (kind.startsWith("LinearTimeWarp.")) {
        speed = (int) Math.round(100 * effect.path("time_scalar").asDouble(1));
      } else {
        unread(effect);
      }
    }
    long start = frames(range.path("start_time"));
    markers(clip, cut.end() - start);
    cut.add(
        clip.path("name").asString(""),
        Optional.of(file(clip)),
        Math.max(0, start - Math.round(starts(clip))),
        frames(range.path("duration")),
        speed,
        cut.endsWithShot() ? mixed : 0);
  }

  private void unread(JsonNode effect) {
    cut.unread("The effect '" + effect.path("name").asString(schema(effect)) + "' is not read.");
  }

  /** The part of its file that is used; all that there is if it does not say. */
  private static JsonNode range(JsonNode child) {
    return child.path("source_range").isObject()
        ? child.path("source_range")
        : reference(child).path("available_range");
  }

  /** The first frame of a clip's file, as its times are counted. */
  private double starts(JsonNode clip) {
    return time(reference(clip).path("available_range").path("start_time"));
  }

  private static NamedFile file(JsonNode clip) {
    JsonNode file = reference(clip);
    String url = file.path("target_url").asString("");
    String name =
        url.isEmpty()
            ? clip.path("name").asString("")
            : url.substring(url.replace('\\', '/').lastIndexOf('/') + 1);
    String hash = file.path("metadata").path(Timeline.OWN).path(Timeline.HASH).asString("");
    return new NamedFile(name, hash);
  }

  /** What a clip is of; of several the one that is in use. */
  private static JsonNode reference(JsonNode clip) {
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
    return Math.round(time(time));
  }

  /** A time in frames of the film. */
  private double time(JsonNode time) {
    double its = time.path("rate").asDouble(0);
    double value = time.path("value").asDouble(0);
    if (!(its > 0) || Double.isNaN(value) || Math.abs(value) > 1e9) {
      return 0;
    }
    return value * rate.perSecond() / its;
  }
}
