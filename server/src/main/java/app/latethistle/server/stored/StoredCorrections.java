package app.latethistle.server.stored;

import app.latethistle.core.music.AddBorder;
import app.latethistle.core.music.CountBars;
import app.latethistle.core.music.DoubleTempo;
import app.latethistle.core.music.FollowTempoMap;
import app.latethistle.core.music.HalfBeatLater;
import app.latethistle.core.music.HalveTempo;
import app.latethistle.core.music.HoldTempo;
import app.latethistle.core.music.MarkSung;
import app.latethistle.core.music.MoveBeat;
import app.latethistle.core.music.MoveBorder;
import app.latethistle.core.music.MoveDownbeat;
import app.latethistle.core.music.RemoveBorder;
import app.latethistle.core.music.SongCorrection;
import app.latethistle.core.music.TapBeats;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** What a person put right in a song, as it is stored. */
public final class StoredCorrections {
  /** Format 1 had no number; the list stood bare. */
  private static final int FORMAT = 2;

  private StoredCorrections() {}

  /** One of them; of its values only those that it has. */
  private record One(
      String correction,
      Long at,
      Long from,
      Long to,
      Integer beats,
      Boolean sung,
      List<Long> taps,
      Integer firstDownbeat) {
    static One of(String name) {
      return new One(name, null, null, null, null, null, null, null);
    }

    static One at(String name, long at) {
      return new One(name, at, null, null, null, null, null, null);
    }

    static One span(String name, long from, long to, Boolean sung) {
      return new One(name, null, from, to, null, sung, null, null);
    }

    static One list(String name, List<Long> taps, Integer beats, Integer firstDownbeat) {
      return new One(name, null, null, null, beats, null, taps, firstDownbeat);
    }
  }

  private record All(List<One> corrections) {}

  /** Corrections as text, oldest first. */
  public static String write(List<SongCorrection> corrections) {
    return Json.write(
        FORMAT, new All(corrections.stream().map(StoredCorrections::stored).toList()));
  }

  private static One stored(SongCorrection c) {
    if (c instanceof HalveTempo) {
      return One.of("halve");
    }
    if (c instanceof DoubleTempo) {
      return One.of("double");
    }
    if (c instanceof HalfBeatLater) {
      return One.of("half-beat-later");
    }
    if (c instanceof MoveDownbeat d) {
      return One.at("downbeat", d.at());
    }
    if (c instanceof CountBars b) {
      return One.list("bars", null, b.beats(), null);
    }
    if (c instanceof MoveBeat m) {
      return One.span("move-beat", m.from(), m.to(), null);
    }
    if (c instanceof HoldTempo h) {
      return One.span("hold-tempo", h.from(), h.to(), null);
    }
    if (c instanceof TapBeats t) {
      return One.list("taps", t.at(), null, null);
    }
    if (c instanceof FollowTempoMap t) {
      return One.list("tempo-map", t.beats(), t.beatsPerBar(), t.firstDownbeat());
    }
    if (c instanceof AddBorder b) {
      return One.at("add-border", b.at());
    }
    if (c instanceof RemoveBorder b) {
      return One.at("remove-border", b.at());
    }
    if (c instanceof MoveBorder m) {
      return One.span("move-border", m.from(), m.to(), null);
    }
    MarkSung s = (MarkSung) c;
    return One.span("sung", s.from(), s.to(), s.sung());
  }

  /** Corrections of any format. */
  public static List<SongCorrection> read(String text) {
    JsonNode tree = Json.tree(text);
    if (Json.format(tree, FORMAT) == 1) {
      return tree.valueStream().map(StoredCorrections::ofFormat1).toList();
    }
    return Json.as(tree, All.class).corrections.stream()
        .map(StoredCorrections::correction)
        .toList();
  }

  /** Taps were stored as "at", the beats of a tempo map as "beats". */
  private static SongCorrection ofFormat1(JsonNode c) {
    String name = c.get("correction").asString();
    return switch (name) {
      case "taps" -> new TapBeats(longs(c.get("at")));
      case "tempo-map" ->
          new FollowTempoMap(
              longs(c.get("beats")), c.get("beatsPerBar").asInt(), c.get("firstDownbeat").asInt());
      default -> correction(Json.as(c, One.class));
    };
  }

  private static List<Long> longs(JsonNode list) {
    return list.valueStream().map(JsonNode::asLong).toList();
  }

  private static SongCorrection correction(One c) {
    return switch (c.correction) {
      case "halve" -> new HalveTempo();
      case "double" -> new DoubleTempo();
      case "half-beat-later" -> new HalfBeatLater();
      case "downbeat" -> new MoveDownbeat(c.at);
      case "bars" -> new CountBars(c.beats);
      case "move-beat" -> new MoveBeat(c.from, c.to);
      case "hold-tempo" -> new HoldTempo(c.from, c.to);
      case "taps" -> new TapBeats(c.taps);
      case "tempo-map" -> new FollowTempoMap(c.taps, c.beats, c.firstDownbeat);
      case "add-border" -> new AddBorder(c.at);
      case "remove-border" -> new RemoveBorder(c.at);
      case "move-border" -> new MoveBorder(c.from, c.to);
      case "sung" -> new MarkSung(c.from, c.to, c.sung);
      default ->
          throw new IllegalStateException(
              "Nothing is known of a stored correction '" + c.correction + "'.");
    };
  }
}
