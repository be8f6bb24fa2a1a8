package app.latethistle.server.stored;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Balance;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Held;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Material;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Recut;
import app.latethistle.core.film.Replace;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.words.SafeAreas;
import app.latethistle.document.ItemForms;
import app.latethistle.document.LookForms;
import app.latethistle.document.SoundForms;
import app.latethistle.document.TieForm;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/**
 * Edits as the first releases stored them: shots and cuts by their places, one kind of edit for
 * everything that is set, the picture's fade with the song. They are understood on the film as it
 * was before them.
 */
final class EditsOfFormat1 {
  /** What an edit of the cut was called. */
  private static final Map<String, String> LABELS =
      Map.ofEntries(
          Map.entry("RIPPLE", "ripple a cut"),
          Map.entry("ROLL", "roll a cut"),
          Map.entry("SLIDE", "slide a shot"),
          Map.entry("SPLIT", "split a shot"),
          Map.entry("INSERT", "insert a shot"),
          Map.entry("TAKE_OUT", "take out, closing the gap"),
          Map.entry("LEAVE_GAP", "take out, leaving a gap"),
          Map.entry("CARRY", "move with its time"),
          Map.entry("PASTE", "paste"),
          Map.entry("STRETCH", "stretch to the speed"),
          Map.entry("GROUP", "group shots"));

  private EditsOfFormat1() {}

  /** The edit on the film it was made on. */
  static Edit edit(JsonNode e, Film film) {
    String kind = e.get("edit").asString();
    int place = e.path("place").asInt(0);
    return switch (kind) {
      case "move-joint" ->
          SetAspect.of(Aspect.TIE, film.jointName(e.get("joint").asInt()), tie(e.get("tie")));
      case "slip" ->
          set(
              film,
              place,
              Aspect.SOURCE,
              new Material.Source(film.placementAt(place).take(), e.get("in").asLong()));
      case "choose-take" ->
          new Compound(
              "choose a take",
              List.of(
                  set(
                      film,
                      place,
                      Aspect.SOURCE,
                      new Material.Source(e.get("take").asString(), e.get("in").asLong())),
                  set(film, place, Aspect.FRAMING, framing(e))));
      case "set-framing" -> set(film, place, Aspect.FRAMING, framing(e));
      case "set-lock" ->
          set(film, place, Aspect.LOCK, e.get("locked").asBoolean())
              .called(e.get("locked").asBoolean() ? "lock a shot" : "unlock a shot");
      case "set-run" -> set(film, place, Aspect.RUN, run(e.get("run")));
      case "set-sound" -> set(film, place, Aspect.SOUND, sound(e.get("sound")));
      case "move-shot" -> move(film, e.get("from").asInt(), e.get("to").asInt());
      case "remove-shot" -> remove(film, place, e.get("joint").asInt());
      case "insert-shot" -> insert(film, place, e);
      case "set-song" -> song(e.get("song"));
      case "recut" -> recut(film, e);
      case "lay" -> put(ItemKind.OVERLAY, e, e.get("overlay"), EditsOfFormat1::overlay);
      case "lend" -> put(ItemKind.SOUND, e, e.get("sound"), EditsOfFormat1::filmSound);
      case "mark" -> put(ItemKind.MARKER, e, e.get("marker"), EditsOfFormat1::marker);
      case "revoice" ->
          new Revoice(
              e.get("line").asString(),
              e.get("number").asInt(),
              settled(e.get("before")),
              settled(e.get("after")));
      case "several" -> several(film, e);
      case "replace" -> new Replace(film(e.get("film")), e.get("label").asString());
      default ->
          throw new IllegalStateException("Nothing is known of a stored edit '" + kind + "'.");
    };
  }

  private static <T> SetAspect<Placement, T> set(
      Film film, int place, Aspect<Placement, T> aspect, T value) {
    return SetAspect.of(aspect, film.placementAt(place).id(), value);
  }

  private static Edit move(Film film, int from, int to) {
    List<Placement> placements = new ArrayList<>(film.placements());
    placements.add(to, placements.remove(from));
    return Recut.between("reorder shots", film, placements, film.joints());
  }

  private static Edit remove(Film film, int place, int joint) {
    List<Placement> placements = new ArrayList<>(film.placements());
    List<Joint> joints = new ArrayList<>(film.joints());
    placements.remove(place);
    if (placements.isEmpty()) {
      joints.clear();
    } else {
      joints.remove(joint);
    }
    return Recut.between("remove a shot", film, placements, joints);
  }

  private static Edit insert(Film film, int place, JsonNode e) {
    List<Placement> placements = new ArrayList<>(film.placements());
    List<Joint> joints = new ArrayList<>(film.joints());
    Placement fresh = placement(e.get("placement"));
    placements.add(place, fresh.withId(film.freshId(fresh.id())));
    joints.add(e.get("joint").asInt(), Joint.of(tie(e.get("tie"))));
    return Recut.between("bring back a shot", film, placements, joints);
  }

  private static Edit song(JsonNode song) {
    return new Compound(
        "change the song's start or fade",
        List.of(
            SetAspect.of(Aspect.MUSIC, "", new SongUse(song.get("start").asLong())),
            SetAspect.of(
                Aspect.FINISH, "", Finish.NONE.withEnd(new EndFade(song.get("fade").asLong())))));
  }

  private static Edit recut(Film film, JsonNode e) {
    List<Placement> placements =
        spliced(film.placements(), e, "place", "without", placements(e.get("placements")));
    List<Joint> joints =
        spliced(
            film.joints(),
            e,
            "joint",
            "withoutJoints",
            list(e.get("joints"), tie -> Joint.of(tie(tie))));
    return Recut.between(LABELS.get(e.get("kind").asString()), film, placements, joints);
  }

  private static <T> List<T> spliced(
      List<T> list, JsonNode e, String from, String without, List<T> with) {
    List<T> copy = new ArrayList<>(list);
    int start = e.get(from).asInt();
    copy.subList(start, start + e.get(without).asInt()).clear();
    copy.addAll(start, with);
    return copy;
  }

  private static Edit several(Film film, JsonNode e) {
    List<Edit> edits = new ArrayList<>();
    Film now = film;
    for (JsonNode part : e.get("edits")) {
      Edit edit = edit(part, now);
      now = edit.apply(now);
      edits.add(edit);
    }
    return new Compound(e.get("label").asString(), edits);
  }

  private static <I> Edit put(
      ItemKind.ListKind<I> kind, JsonNode e, JsonNode item, Function<JsonNode, I> read) {
    boolean gone = item == null || item.isNull();
    String label =
        switch (kind.toString()) {
          case "overlay" -> gone ? "take an overlay out" : "lay a shot over";
          case "sound" -> gone ? "take a sound out" : "detach a sound";
          default -> gone ? "take a marker out" : "set a marker";
        };
    return new Put<>(kind, e.get("id").asString(), gone ? null : read.apply(item), label);
  }

  /** A film; one that had no names for its shots gets them, each its own. */
  static Film film(JsonNode f) {
    List<Placement> placements = new ArrayList<>();
    HashSet<String> names = new HashSet<>();
    for (Placement placement : placements(f.get("placements"))) {
      String name = placement.id();
      for (int n = 2; !names.add(name); n++) {
        name = placement.id() + "~" + n;
      }
      placements.add(placement.withId(name));
    }
    JsonNode song = f.get("song");
    return new Film(
        placements,
        list(f.get("joints"), tie -> Joint.of(tie(tie))),
        new SongUse(song.get("start").asLong()),
        Finish.NONE.withEnd(new EndFade(song.get("fade").asLong())),
        list(f.get("overlays"), EditsOfFormat1::overlay),
        list(f.get("sounds"), EditsOfFormat1::filmSound),
        list(f.get("markers"), EditsOfFormat1::marker),
        Balance.USUAL,
        List.of(),
        List.of(),
        SafeAreas.USUAL);
  }

  private static List<Placement> placements(JsonNode nodes) {
    return list(nodes, EditsOfFormat1::placement);
  }

  private static <T> List<T> list(JsonNode nodes, Function<JsonNode, T> read) {
    return nodes == null || nodes.isNull() ? List.of() : nodes.valueStream().map(read).toList();
  }

  private static Placement placement(JsonNode p) {
    String shot = p.get("shot").asString();
    return new Placement(
        p.hasNonNull("id") ? p.get("id").asString() : shot,
        new Material(shot, p.get("take").asString(), p.get("in").asLong(), run(p.get("run"))),
        Appearance.of(framing(p).own()),
        sound(p.get("sound")),
        new Held(p.path("locked").asBoolean(false), p.path("group").asInt(0)));
  }

  private static ShapedFraming framing(JsonNode node) {
    return ShapedFraming.of(new Framing(Fit.valueOf(node.get("framing").asString())));
  }

  static Run run(JsonNode run) {
    return run == null || run.isNull()
        ? Run.PLAIN
        : new Run(
            Run.Way.valueOf(run.get("way").asString()),
            run.get("from").asInt(),
            run.get("to").asInt(),
            Run.Between.valueOf(run.get("between").asString()));
  }

  private static ClipSound sound(JsonNode sound) {
    return sound == null || sound.isNull()
        ? ClipSound.OFF
        : Json.as(sound, ItemForms.Heard.class).get();
  }

  private static Tie tie(JsonNode tie) {
    return Json.as(tie, TieForm.class).get();
  }

  private static Overlay overlay(JsonNode o) {
    return new Overlay(
        o.get("layer").asInt(),
        placement(o.get("placement")),
        new Overlay.Ties(tie(o.get("start")), tie(o.get("end"))),
        Json.as(o, LookForms.Lying.class).path(),
        Mixing.NORMAL);
  }

  private static FilmSound filmSound(JsonNode sound) {
    return Json.as(sound, SoundForms.Sound.class).get();
  }

  private static Marker marker(JsonNode marker) {
    return Json.as(marker, ItemForms.Note.class).get();
  }

  private static Revoice.Settled settled(JsonNode settled) {
    return Json.as(settled, StoredEdit.Line.class).get();
  }
}
