package app.latethistle.document;

import app.latethistle.core.interchange.NamedFile;
import app.latethistle.core.interchange.PieceList;
import app.latethistle.core.interchange.Strand;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * A cut as an OpenTimelineIO timeline: one track of pictures with clips, gaps and transitions,
 * markers on it, and what lies beside it on tracks of pictures and sound (the published schemas
 * Timeline.1, Stack.1, Track.1, Clip.1, Gap.1, Transition.1, Marker.2, ExternalReference.1,
 * LinearTimeWarp.1, FreezeFrame.1). Metadata of a file have its SHA-256.
 */
public final class Timeline {
  /** Under which a timeline's metadata has what is our own. */
  static final String OWN = "late-thistle";

  /** The SHA-256 of a file's bytes. */
  static final String HASH = "sha256";

  private static final String SCHEMA = "OTIO_SCHEMA";
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private final PieceList cut;
  private final double rate;

  private Timeline(PieceList cut) {
    this.cut = cut;
    rate = cut.rate().perSecond();
  }

  /**
   * The timeline as JSON.
   *
   * @param beside what lies over the cut, from the lowest up, and what is heard
   */
  public static String of(PieceList cut, List<Strand> beside) {
    Timeline timeline = new Timeline(cut);
    List<Object> tracks = new ArrayList<>();
    tracks.add(timeline.pictures());
    beside.stream().filter(Strand::seen).map(timeline::strand).forEach(tracks::add);
    beside.stream().filter(s -> !s.seen()).map(timeline::strand).forEach(tracks::add);
    Map<String, Object> stack = item("Stack.1", "tracks");
    stack.put("children", tracks);
    Map<String, Object> whole = item("Timeline.1", cut.title());
    whole.put("global_start_time", null);
    whole.put("tracks", stack);
    return JSON.writeValueAsString(whole);
  }

  private static Map<String, Object> item(String schema, String name) {
    Map<String, Object> item = new LinkedHashMap<>();
    item.put(SCHEMA, schema);
    item.put("name", name);
    item.put("metadata", Map.of());
    return item;
  }

  private Map<String, Object> time(long frames) {
    return time((double) frames);
  }

  private Map<String, Object> time(double frames) {
    Map<String, Object> time = new LinkedHashMap<>();
    time.put(SCHEMA, "RationalTime.1");
    time.put("value", frames);
    time.put("rate", rate);
    return time;
  }

  private Map<String, Object> range(long start, long frames) {
    return range((double) start, (double) frames);
  }

  private Map<String, Object> range(double start, double frames) {
    Map<String, Object> range = new LinkedHashMap<>();
    range.put(SCHEMA, "TimeRange.1");
    range.put("start_time", time(start));
    range.put("duration", time(frames));
    return range;
  }

  private Map<String, Object> pictures() {
    List<Object> children = new ArrayList<>();
    for (PieceList.Piece piece : cut.pieces()) {
      FrameRange mixes = piece.mixes();
      if (!mixes.isEmpty() && !children.isEmpty()) {
        Map<String, Object> transition = item("Transition.1", "");
        transition.put("transition_type", "SMPTE_Dissolve");
        transition.put("in_offset", time(piece.at().start() - mixes.start()));
        transition.put("out_offset", time(mixes.end() - piece.at().start()));
        children.add(transition);
      }
      children.add(piece.file().isPresent() ? clip(piece) : gap((double) piece.at().length()));
    }
    Map<String, Object> track = track("Video", "Video", children);
    List<Object> markers = new ArrayList<>();
    for (PieceList.Mark mark : cut.markers()) {
      Map<String, Object> marker = item("Marker.2", mark.note());
      marker.put("marked_range", range(mark.frame(), 1));
      marker.put("color", "PURPLE");
      markers.add(marker);
    }
    track.put("markers", markers);
    return track;
  }

  private static Map<String, Object> track(String name, String kind, List<Object> children) {
    Map<String, Object> track = item("Track.1", name);
    track.put("kind", kind);
    track.put("source_range", null);
    track.put("effects", List.of());
    track.put("markers", List.of());
    track.put("children", children);
    return track;
  }

  private Map<String, Object> gap(double frames) {
    Map<String, Object> gap = item("Gap.1", "");
    gap.put("source_range", range(0.0, frames));
    gap.put("effects", List.of());
    gap.put("markers", List.of());
    return gap;
  }

  private Map<String, Object> clip(PieceList.Piece piece) {
    List<Object> effects = new ArrayList<>();
    if (piece.speed() == 0) {
      Map<String, Object> freeze = item("FreezeFrame.1", "");
      freeze.put("effect_name", "FreezeFrame");
      freeze.put("time_scalar", 0.0);
      effects.add(freeze);
    } else if (piece.speed() != 100) {
      Map<String, Object> warp = item("LinearTimeWarp.1", "");
      warp.put("effect_name", "LinearTimeWarp");
      warp.put("time_scalar", piece.speed() / 100.0);
      effects.add(warp);
    }
    return clip(
        piece.name(),
        range(piece.source().start(), piece.at().length()),
        effects,
        file(piece.file().orElseThrow(), range(0, piece.material())));
  }

  private static Map<String, Object> clip(
      String name, Object source, List<Object> effects, Object file) {
    Map<String, Object> clip = item("Clip.1", name);
    clip.put("source_range", source);
    clip.put("effects", effects);
    clip.put("markers", List.of());
    clip.put("media_reference", file);
    return clip;
  }

  private static Map<String, Object> file(NamedFile named, Object available) {
    Map<String, Object> file = item("ExternalReference.1", named.name());
    if (!named.sha256().isEmpty()) {
      file.put("metadata", Map.of(OWN, Map.of(HASH, named.sha256())));
    }
    file.put("target_url", named.name());
    file.put("available_range", available);
    return file;
  }

  private Map<String, Object> strand(Strand strand) {
    List<Object> children = new ArrayList<>();
    double at = 0;
    for (Strand.Laid piece : strand.pieces()) {
      if (piece.at() > at) {
        children.add(gap(piece.at() - at));
      }
      children.add(
          clip(
              piece.name(),
              range(piece.from(), piece.frames()),
              List.of(),
              file(piece.file(), null)));
      at = piece.at() + piece.frames();
    }
    return track(strand.name(), strand.seen() ? "Video" : "Audio", children);
  }
}
