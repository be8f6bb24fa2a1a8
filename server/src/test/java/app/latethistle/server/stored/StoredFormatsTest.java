package app.latethistle.server.stored;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Balance;
import app.latethistle.core.film.BusLevel;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.Held;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Material;
import app.latethistle.core.film.MusicTurn;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Recut;
import app.latethistle.core.film.Replace;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.look.View;
import app.latethistle.core.measure.Light;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Edges;
import app.latethistle.core.mix.Effect;
import app.latethistle.core.mix.Level;
import app.latethistle.core.mix.LevelLine;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.music.OtherReading;
import app.latethistle.core.music.SungPart;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Treat;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Fade;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.Repeat;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.core.story.Brief;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.story.Story;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.type.Along;
import app.latethistle.core.type.WrittenCaption;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.SafeAreas;
import app.latethistle.core.words.Speakers;
import app.latethistle.core.words.Zone;
import app.latethistle.media.Container;
import app.latethistle.media.MediaFacts;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/** What is stored is read back the same, and what earlier releases stored still opens. */
class StoredFormatsTest {
  private static final Treatments TREATED =
      Treatments.of(
          new Treatment(TreatmentKind.GLOW, Treatment.usual(TreatmentKind.GLOW).dials(), true),
          Treatment.of(
              TreatmentKind.SHAKE,
              Dial.driven(1, new Drive(Drive.Source.DOWNBEATS, 12, 40, 350)),
              Dial.at(30)));
  private static final Matte KEYED =
      new Matte(
          List.of(new Key(0x20a040, 12, 5, 90, 40)),
          List.of(
              new Mask(
                  Mask.Kind.ELLIPSE,
                  List.of(new Mask.Spot(100, 200), new Mask.Spot(800, 900)),
                  15,
                  true)),
          Matte.Part.BACKGROUND,
          /* wrap= */ 25);
  private static final Placement SHOT =
      new Placement(
          "7~2",
          new Material("7", "31", 12, new Run(Run.Way.REVERSE, 50, 200, Run.Between.MOTION, 60, 4)),
          Appearance.of(Framing.SOFT)
              .withFraming(
                  ShapedFraming.of(Framing.SOFT)
                      .with(
                          Shape.of(9, 16),
                          Framing.along(
                              FramingPath.of(
                                      new View(1200, -30, 45, 250), View.WHOLE, Easing.SLOW_END)
                                  .part(0.25, 0.5)))
                      .withFocus(
                          Optional.of(
                              new Focus(
                                  List.of(
                                      new Focus.Point(0, 400, 300), new Focus.Point(500, 20, 999)),
                                  250,
                                  400,
                                  0.25,
                                  0.5))))
              .withTreatments(TREATED)
              .withMatte(KEYED),
          new ClipSound(true, 6, -3, -4),
          new Held(true, 2));
  private static final Tie WORD = new Tie.OnWord("4", 2, Tie.Edge.END, -1);
  private static final Transition PASSING =
      Transition.of(TransitionKind.LUMA, Span.quarterBeats(6))
          .lying(Transition.Lies.END)
          .withManner(TransitionKind.LUMA.usual().withSoftness(35).withPattern(LumaPattern.RINGS))
          .holding(true);
  private static final Lie LIE = new Lie(60, 300, 815, 185, 0);
  private static final Overlay OVERLAY =
      new Overlay(
          2,
          SHOT.withId("7~3"),
          new Overlay.Ties(Tie.onBeat(4), WORD),
          LiePath.of(LIE, LIE.turned(900), Easing.SLOW_START),
          Mixing.SCREEN);
  private static final FilmSound SOUND =
      new FilmSound(
          "7~4",
          new SoundMaterial.OfTake("31", 4, 40),
          Landing.on(Tie.onBeat(8)),
          Manner.PLAIN.withGain(-6));
  private static final Optional<Following> FOLLOWS =
      Optional.of(
          new Following(
              "31", new Trail(12, List.of(Trail.Spot.of(0.25, 0.5), Trail.Spot.of(0.26, 0.4)))));
  private static final Manner MANNER =
      new Manner(
          -4.5,
          new Fade(Fade.Shape.SLOW_BOTH, 480),
          new Fade(Fade.Shape.EQUAL_POWER, 9_600),
          -20,
          45,
          Room.NAVE,
          new Equaliser(
              List.of(
                  Equaliser.Band.cut(Equaliser.Kind.LOW_CUT, 120),
                  new Equaliser.Band(Equaliser.Kind.BELL, 2_000, -3, 1.5))),
          new Timing(true, 150, -3.5),
          new Repeat(4, 12_000, 30, 7));
  private static final FilmSound KNOCK =
      new FilmSound(
          "sound",
          new SoundMaterial.OfFile(
              "ab".repeat(32),
              "knock",
              new SampleRange(100, 90_000),
              4_800,
              Optional.of(new SampleRange(9_000, 60_000))),
          new Landing(Tie.onCut("7~2"), -120, Optional.of(WORD)),
          MANNER);
  private static final Balance BALANCE =
      Balance.USUAL
          .withLevel(
              Bus.SOUNDS, new BusLevel(-3, false, List.of(new BusLevel.Point(Tie.onBeat(2), -6))))
          .withRule(new DuckingRule(8, 300, 700, 900, true, true))
          .withByHand(Map.of("4", -2.0))
          .withCare(VoiceCare.GENTLE)
          .withAsked(Map.of("sound", new SteppingAside(6, 400)))
          .withTurns(List.of(new MusicTurn(MusicTurn.Kind.STOP, Tie.onBeat(3), Tie.onBeat(4))));
  private static final Marker MARKER = Marker.of("marker", Tie.free(90), "here the “door”");
  private static final FilmTitle TITLE = title();
  private static final FilmCaptions CAPTIONS = captions();
  private static final Film FILM =
      new Film(
          List.of(SHOT),
          List.of(Joint.START, new Joint(WORD, PASSING)),
          new SongUse(4800),
          Finish.NONE.withEnd(new EndFade(12)),
          List.of(OVERLAY),
          List.of(SOUND, KNOCK),
          List.of(MARKER),
          BALANCE,
          List.of(TITLE),
          List.of(CAPTIONS),
          SafeAreas.USUAL.with(
              Shape.of(9, 16),
              new SafeArea(40, 80, 150, 220, List.of(new Zone(860, 450, 1000, 800)))));

  private static FilmTitle title() {
    FilmTitle title =
        FilmTitle.of(
            "title",
            Designs.named("Name at the edge"),
            new Standing(Tie.onCut("7~2"), 40, Optional.of(WORD)));
    return title.withBox(title.box().with(Shape.of(9, 16), new Box(400, 300, 800)));
  }

  private static FilmCaptions captions() {
    return FilmCaptions.in("de")
        .withTexts(Map.of("3", "Lass ihn ziehen."))
        .withSounds(Map.of("sound", "[es klopft]"))
        .withOwn(List.of(new FilmCaptions.Own(new FrameRange(3, 40), "eins")))
        .withStyle(
            CaptionStyle.USUAL
                .withSpeakers(Speakers.COLOURS)
                .burnedInto(true, List.of(Shape.of(9, 16))));
  }

  static List<Edit> edits() {
    Edit source = SetAspect.of(Aspect.SOURCE, "7~2", new Material.Source("31", 9));
    return List.of(
        source,
        SetAspect.of(Aspect.RUN, Map.of("7~2", SHOT.run(), "7~3", Run.at(50))),
        SetAspect.of(Aspect.FRAMING, "7~2", SHOT.framing()),
        SetAspect.of(Aspect.TREATMENTS, "7~2", TREATED),
        SetAspect.of(Aspect.MATTE, "7~2", KEYED),
        SetAspect.of(
            Aspect.LEVELLING,
            "7~2",
            new Levelling("a", 12, List.of(new Light(3, -2, 0), Light.SAME), 80)),
        SetAspect.of(Aspect.CORRECTION, "7~2", Correction.of(new Basics(50, 10, -20, 5, 15))),
        SetAspect.of(Aspect.SOUND, "7~2", SHOT.heard()),
        SetAspect.of(Aspect.LOCK, "7~2", true).called("lock a shot"),
        SetAspect.of(Aspect.GROUP, "7~2", 4),
        SetAspect.of(Aspect.TIE, Film.END, WORD),
        SetAspect.of(Aspect.TRANSITION, Map.of(Film.END, Transition.CUT, "7~2", PASSING)),
        SetAspect.of(Aspect.LAYER, "7~3", 3),
        SetAspect.of(Aspect.TIES, "7~3", OVERLAY.ties()),
        SetAspect.of(Aspect.LIE, "7~3", OVERLAY.lie()),
        SetAspect.of(Aspect.MIXING, "7~3", OVERLAY.mixing()),
        SetAspect.of(Aspect.SAFE, Film.END, FILM.safe()),
        SetAspect.of(Aspect.WORDS, "title", TITLE.words()),
        SetAspect.of(Aspect.LETTERING, "title", TITLE.lettering()),
        SetAspect.of(Aspect.BOX, "title", TITLE.box()),
        SetAspect.of(Aspect.MOVEMENT, "title", TITLE.movement()),
        SetAspect.of(Aspect.STANDING, "title", TITLE.when()),
        SetAspect.of(Aspect.TITLE_LAYER, "title", 2),
        SetAspect.of(Aspect.TITLE_FOLLOWS, Map.of("title", FOLLOWS, "badge", Optional.empty())),
        SetAspect.of(
            Aspect.TITLE_PICTURE, Map.of("title", Optional.of("7"), "badge", Optional.empty())),
        SetAspect.of(Aspect.SOUND_FOLLOWS, "sound", FOLLOWS),
        SetAspect.of(Aspect.TEXTS, CAPTIONS.id(), CAPTIONS.texts()),
        SetAspect.of(Aspect.CAPTION_STYLE, CAPTIONS.id(), CAPTIONS.style()),
        Put.title(TITLE),
        Put.captions(CAPTIONS),
        Put.away(ItemKind.CAPTIONS, CAPTIONS.id()),
        SetAspect.of(Aspect.MUSIC, "", new SongUse(48)),
        SetAspect.of(
            Aspect.FINISH, "", Finish.NONE.withEnd(new EndFade(7)).withTreatments(TREATED)),
        new Recut(
            "split a shot",
            "",
            List.of("7~2"),
            List.of(SHOT, SHOT.withId("8")),
            Map.of("8", Joint.of(Tie.onBeat(3)))),
        Put.overlay(OVERLAY),
        Put.away(ItemKind.OVERLAY, "7~3"),
        Put.sound(SOUND),
        Put.sound(KNOCK),
        SetAspect.of(Aspect.LANDING, "sound", KNOCK.when()),
        SetAspect.of(Aspect.MANNER, Map.of("sound", MANNER, "7~4", Manner.PLAIN)),
        SetAspect.of(Aspect.MATERIAL, "sound", KNOCK.what()),
        SetAspect.of(Aspect.BALANCE, "", BALANCE),
        SetAspect.of(Aspect.BALANCE, "", Balance.USUAL),
        Put.marker(MARKER),
        new Compound("both", List.of(source, Put.away(ItemKind.MARKER, "marker"))),
        new Revoice(
            "4",
            2,
            new Revoice.Settled("", "AFTER", null, null),
            new Revoice.Settled("9", "BAR", 3.0, 0.2)),
        new Replace(FILM, "follow the beats"));
  }

  @ParameterizedTest
  @MethodSource("edits")
  void anEditIsReadBackTheSame(Edit edit) {
    String text = StoredEdit.write(edit);
    assertThat(text).startsWith("{\"format\":2,");
    assertThat(StoredEdit.read(text).on(FILM)).isEqualTo(edit);
  }

  private static List<String> example(String name) throws IOException {
    try (InputStream in = StoredFormatsTest.class.getResourceAsStream("1/" + name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }

  /**
   * A log of edits of every kind, taken from a store of format 1, and the film it came to there.
   */
  @Test
  void aLogOfFormat1BecomesTheSameFilm() throws IOException {
    List<Function<Film, Edit>> edits = new ArrayList<>();
    for (String body : example("edits.jsonl")) {
      edits.add(StoredEdit.read(body)::on);
    }
    EditLog log = EditLog.replay(edits, edits.size());
    JsonNode then = Json.tree(String.join("\n", example("film-after-edits.json")));
    Film film = log.film();
    assertThat(film.placements()).hasSize(then.get("shots").size());
    for (int i = 0; i < film.placements().size(); i++) {
      Placement shot = film.placements().get(i);
      JsonNode was = then.get("shots").get(i);
      assertThat(shot.id()).isEqualTo(was.get("id").asString());
      assertThat(shot.shot()).isEqualTo(number(was, "shotId"));
      assertThat(shot.take()).isEqualTo(number(was, "takeId"));
      assertThat(shot.in()).isEqualTo(was.get("in").asLong());
      assertThat(shot.framing().own().fit().name()).isEqualTo(was.get("framing").asString());
      assertThat(shot.locked()).isEqualTo(was.get("locked").asBoolean());
      assertThat(shot.held().group()).isEqualTo(was.get("group").asInt());
      assertThat(shot.run().way().name()).isEqualTo(was.get("way").asString());
      assertThat(shot.run().from()).isEqualTo(was.get("from").asInt());
      assertThat(shot.run().to()).isEqualTo(was.get("to").asInt());
      assertThat(shot.heard().on()).isEqualTo(was.get("on").asBoolean());
      assertThat(shot.heard().gain()).isEqualTo(was.get("gain").asInt());
    }
    assertThat(film.music().start()).isEqualTo(Math.round(then.get("songStart").asDouble() * 48e3));
    assertThat(film.finish().end().frames()).isEqualTo(then.get("fade").asLong());
    assertThat(film.overlays()).hasSize(then.get("overlays").asInt());
    assertThat(film.sounds()).hasSize(then.get("sounds").asInt());
    assertThat(film.markers()).hasSize(then.get("markers").size());
    // All of it is undone and done again.
    EditLog back = log;
    while (!back.undoLabel().isEmpty()) {
      back = back.undo();
    }
    assertThat(back.film()).isEqualTo(Film.EMPTY);
    while (!back.redoLabel().isEmpty()) {
      back = back.redo();
    }
    assertThat(back.film()).isEqualTo(film);
    assertThat(log.undoLabel()).isNotEmpty();
  }

  private static String number(JsonNode node, String name) {
    long number = node.get(name).asLong();
    return number == 0 ? "" : Long.toString(number);
  }

  /** Joints were stored as plain cuts, and setting one said nothing of it. */
  @Test
  void jointsStoredWithoutTransitionsArePlainCuts() {
    String edit =
        StoredEdit.write(SetAspect.of(Aspect.TRANSITION, Film.END, PASSING))
            .replaceFirst("\\{\"kind\":\"LUMA\".*?\"holds\":true}", "{}");
    assertThat(edit).contains("{}");
    SetAspect<?, ?> read = (SetAspect<?, ?>) StoredEdit.read(edit).on(FILM);
    assertThat(read.values().get(Film.END)).isEqualTo(Transition.CUT);
  }

  /** Treatments were stored with nothing to say. */
  @Test
  void treatmentsStoredWithoutAnythingAreNone() {
    String edit =
        StoredEdit.write(SetAspect.of(Aspect.TREATMENTS, "7~2", TREATED))
            .replaceFirst("\\{\"list\":\\[.*]}", "{}");
    assertThat(edit).contains("{\"7~2\":{}}");
    SetAspect<?, ?> read = (SetAspect<?, ?>) StoredEdit.read(edit).on(FILM);
    assertThat(read.values().get("7~2")).isEqualTo(Treatments.NONE);
  }

  /** Mattes were stored before there were masks, lies before there were paths. */
  @Test
  void mattesAndLiesOfTheFirstFormatAreRead() {
    String matte =
        StoredEdit.write(SetAspect.of(Aspect.MATTE, "7~2", KEYED))
            .replaceFirst(
                "\\{\"keys\":.*\"wrap\":25}",
                "{\"keys\":[{\"colour\":2138176,\"tolerance\":12,\"softness\":5,\"spill\":90,"
                    + "\"shadow\":40}]}");
    assertThat(matte).doesNotContain("wrap");
    SetAspect<?, ?> read = (SetAspect<?, ?>) StoredEdit.read(matte).on(FILM);
    assertThat(read.values().get("7~2")).isEqualTo(Matte.of(new Key(0x20a040, 12, 5, 90, 40)));
    String lie =
        StoredEdit.write(SetAspect.of(Aspect.LIE, "7~3", OVERLAY.lie()))
            .replaceFirst(
                "\\{\"opacity\":null.*\"mixing\":\"NORMAL\"}",
                "{\"opacity\":60,\"size\":30,\"x\":95,\"y\":5}");
    assertThat(lie).doesNotContain("mixing");
    SetAspect<?, ?> lies = (SetAspect<?, ?>) StoredEdit.read(lie).on(FILM);
    assertThat(lies.values().get("7~3")).isEqualTo(LiePath.still(LIE));
  }

  @Test
  void otherEditsOfFormat1Open() throws IOException {
    List<String> bodies = example("other-edits.jsonl");
    Revoice voiced = (Revoice) StoredEdit.read(bodies.get(0)).on(Film.EMPTY);
    assertThat(voiced.after()).isEqualTo(new Revoice.Settled("4", "BAR", 3.0, 0.25));
    Film film = ((Replace) StoredEdit.read(bodies.get(1)).on(Film.EMPTY)).film();
    // Shots had no names, and a tie before the first beat could be stored.
    assertThat(film.placements()).extracting(Placement::id).containsExactly("7", "7~2");
    assertThat(film.ties()).containsExactly(Tie.free(0), Tie.onBeat(0), Tie.onBeat(8));
    assertThat(film.finish().end()).isEqualTo(new EndFade(24));
    assertThat(StoredEdit.read(bodies.get(2)).on(film)).isInstanceOf(Put.class);
    Replace version = (Replace) StoredEdit.read(example("film-version.json").get(0)).on(Film.EMPTY);
    assertThat(version.film().placements()).hasSizeGreaterThan(10);
    assertThat(version.label()).isEqualTo("go back to before the end");
  }

  @Test
  void anOrderIsReadBackTheSameAndOneOfFormat1Opens() throws IOException {
    Layer.Footage shot =
        new Layer.Footage(
            "m",
            90,
            7,
            SHOT.run(),
            30,
            SHOT.framing().others().get(Shape.of(9, 16)),
            new FrameRange(-4, 33));
    Program program =
        new Program(
            new Layer.Faded(
                new Layer.Treated(
                    new Layer.Written(
                        new Layer.Stack(
                            new Layer.Sequence(
                                List.of(
                                    new Layer.Part(new FrameRange(0, 24), shot),
                                    new Layer.Part(
                                        new FrameRange(18, 30),
                                        21,
                                        new Layer.Matted(
                                            new Layer.Excerpt(shot, 2), KEYED, Optional.of(shot)))),
                                List.of(
                                    new Layer.Passage(
                                        new FrameRange(18, 24),
                                        1,
                                        PASSING.kind(),
                                        PASSING.manner()))),
                            List.of(
                                new Layer.Over(
                                    new Layer.Part(
                                        new FrameRange(3, 9),
                                        new Layer.Corrected(
                                            shot,
                                            Correction.of(new Basics(40, -10, 12, 3, -20)),
                                            Optional.of(
                                                new Layer.Parts(
                                                    new PictureShape(1440, 1080, 4 / 3.0),
                                                    Optional.of(shot))))),
                                    OVERLAY.lie(),
                                    OVERLAY.mixing()))),
                        List.of(
                            new Layer.Inscription(
                                new WrittenTitle(
                                    TITLE.words(),
                                    TITLE.lettering(),
                                    TITLE.box().own(),
                                    TITLE.movement(),
                                    new FrameRange(4, 20),
                                    9,
                                    List.of(9L, 14L),
                                    new Along(
                                        4,
                                        List.of(
                                            new Trail.Place(0.1, -0.02), new Trail.Place(0, 0)))),
                                Optional.of(new Layer.Part(new FrameRange(4, 20), shot))),
                            Layer.Inscription.plain(
                                new WrittenCaption(
                                    List.of("eins", "zwei"),
                                    CaptionStyle.USUAL.lettering(),
                                    new Box(500, 930, 860),
                                    0xffd75e,
                                    new FrameRange(2, 8),
                                    List.of(2L, 5L))))),
                    new FrameRange(2, 5),
                    List.of(
                        new Treat(
                            TreatmentKind.SHAKE,
                            List.of(
                                new Treat.Track(List.of(0, 8000, 3)),
                                new Treat.Track(List.of(20_000))),
                            "")),
                    new Layer.Chance(-77, 4)),
                new EndFade(12),
                30),
            30,
            FrameRate.of(30000, 1001),
            1280,
            720);
    SampleRange at = new SampleRange(-5, 4_000);
    Mix mix =
        new Mix(
            List.of(
                new Part(Bus.MUSIC, "a", at, new Course.Straight(7), 0),
                new Part(
                    Bus.MUSIC,
                    "a",
                    at,
                    new Course.Straight(8),
                    0,
                    Edges.NONE,
                    new Effect.Muffled()),
                new Part(
                    Bus.SOUNDS,
                    "d",
                    at,
                    new Course.Straight(8),
                    0,
                    Edges.NONE,
                    new Effect.Panned(
                        Effect.none(),
                        List.of(new Effect.Panned.Point(-4, -0.5), new Effect.Panned.Point(9, 1)))),
                new Part(
                    Bus.CLIPS,
                    "b",
                    at,
                    new Course.Running(SHOT.run(), 1, 2, 3, 4),
                    -3.5,
                    Edges.crossing(400, 500),
                    Effect.none()),
                new Part(
                    Bus.SOUNDS,
                    "d",
                    at,
                    new Course.Shaped(at.shift(5), MANNER.time()),
                    -1,
                    new Edges(MANNER.in(), MANNER.out()),
                    new Effect.Placed(-20, 45, Room.NAVE, MANNER.equaliser())),
                new Part(Bus.SOUNDS, "e", at, new Course.Looped(9, at.shift(5)), 0),
                new Part(
                    Bus.VOICE,
                    "f",
                    at,
                    new Course.Straight(0),
                    0,
                    Edges.NONE,
                    new Effect.Cared(VoiceCare.GENTLE)),
                new Part(Bus.VOICE, "c", at, new Course.Tightened(List.of(at)), 6)),
            48_000,
            480,
            Level.AS_MIXED,
            new Mix.Faders(
                Map.of(Bus.SOUNDS, LevelLine.level(-4)),
                new LevelLine(List.of(new LevelLine.Point(5, 0), new LevelLine.Point(90, -7.5))),
                true));
    StoredOrder order = new StoredOrder(program, mix, Optional.of(new LoudnessAim(-14, -1.5)));
    assertThat(StoredOrder.read(order.write())).isEqualTo(order);
    // Whatever can be done to a part, or be its course, is among them.
    assertThat(mix.parts().stream().<Class<?>>map(p -> p.effect().getClass()))
        .contains(Effect.class.getPermittedSubclasses());
    assertThat(mix.parts().stream().<Class<?>>map(p -> p.course().getClass()))
        .contains(Course.class.getPermittedSubclasses());

    StoredOrder old = StoredOrder.read(example("master-order.json").get(0));
    assertThat(old.program().length()).isEqualTo(1405);
    assertThat(old.program().width()).isEqualTo(1280);
    assertThat(old.program().media()).hasSizeGreaterThan(10).allMatch(m -> m.length() == 64);
    assertThat(old.mix().length()).isEqualTo(1405 * 2_000);
    assertThat(old.mix().parts()).extracting(Part::bus).contains(Bus.MUSIC, Bus.CLIPS, Bus.VOICE);
    assertThat(StoredOrder.read(old.write())).isEqualTo(old);
  }

  @Test
  void factsOfFormat1OpenAndAreWrittenAgain() throws IOException {
    for (String text : example("media-facts.jsonl")) {
      MediaFacts facts = StoredFacts.read(text);
      assertThat(StoredFacts.read(StoredFacts.write(facts))).isEqualTo(facts);
    }
    MediaFacts clip = StoredFacts.read(example("media-facts.jsonl").get(0));
    assertThat(clip.container()).isEqualTo(Container.MP4);
    assertThat(clip.rate()).contains(FrameRate.FPS_24);
    assertThat(clip.shape().orElseThrow().height()).isEqualTo(1024);
    var measured = StoredFacts.readMeasured(example("take-facts.json").get(0));
    assertThat(measured.frames()).isEqualTo(60);
    assertThat(measured.usable()).isNotNull();
    assertThat(StoredFacts.readMeasured(StoredFacts.writeMeasured(measured)))
        .usingRecursiveComparison()
        .isEqualTo(measured);
  }

  @Test
  void songsOfFormat1OpenAndAreWrittenAgain() throws IOException {
    var grid = StoredSong.readGrid(example("beat-grid.json").get(0));
    assertThat(grid.samples()[1]).isEqualTo(55_084);
    assertThat(StoredSong.readGrid(StoredSong.write(grid)).samples()).isEqualTo(grid.samples());
    assertThat(StoredSong.readGrid(StoredSong.write(grid)).surenesses())
        .isEqualTo(grid.surenesses());
    assertThat(grid.other()).isEmpty();
    var doubtful = grid.orElse(OtherReading.HALF_A_BEAT_LATER);
    assertThat(StoredSong.readGrid(StoredSong.write(doubtful)).other())
        .contains(OtherReading.HALF_A_BEAT_LATER);
    var parts = StoredSong.readParts(example("song-parts.json").get(0));
    assertThat(parts.sections()).hasSize(4);
    assertThat(parts.moments()).hasSize(3);
    assertThat(StoredSong.readParts(StoredSong.write(parts))).isEqualTo(parts);
    List<SungPart> sung = StoredSong.readSung(example("sung.json").get(0));
    assertThat(sung).containsExactly(new SungPart(48_000, 96_000));
    assertThat(StoredSong.readSung(StoredSong.writeSung(sung))).isEqualTo(sung);
    List<Double> pace = StoredSong.readPace(example("pace.json").get(0));
    assertThat(pace).containsOnly(1.5).hasSize(5);
    assertThat(StoredSong.readPace(StoredSong.writePace(pace))).isEqualTo(pace);
    var corrections = StoredCorrections.read(example("corrections.json").get(0));
    assertThat(corrections).hasSize(10);
    assertThat(StoredCorrections.read(StoredCorrections.write(corrections))).isEqualTo(corrections);
    String map =
        "[{\"correction\":\"tempo-map\",\"beats\":[0,24000,48000,72000],\"beatsPerBar\":3,\"firstDownbeat\":1}]";
    assertThat(StoredCorrections.read(StoredCorrections.write(StoredCorrections.read(map))))
        .isEqualTo(StoredCorrections.read(map));
  }

  @Test
  void readingsOfFormat1OpenAndAreWrittenAgain() throws IOException {
    StoredReading.Heard heard = StoredReading.read(example("reading.json").get(0));
    assertThat(heard.length()).isEqualTo(95_794);
    assertThat(heard.alignment().words()).hasSize(4);
    assertThat(heard.facts().loudness()).isNegative();
    assertThat(StoredReading.read(StoredReading.write(heard))).isEqualTo(heard);
  }

  @Test
  void whatANewerReleaseStoredIsRefusedWithWhatToDo() {
    assertThatIllegalStateException()
        .isThrownBy(() -> StoredEdit.read("{\"format\":99,\"edit\":\"set\"}"))
        .withMessageContaining("newer release");
  }

  @Test
  void aStoryOfFormat1OpensAndIsWrittenAgain() throws IOException {
    Story story = StoredStory.read(example("story.json").get(0));
    assertThat(story.brief().form()).isEqualTo(Brief.Form.TRAILER);
    assertThat(story.format()).isEqualTo(ScriptFormat.MARKDOWN);
    assertThat(story.script().lines()).hasSize(6);
    assertThat(story.shots().shots()).hasSize(19);
    assertThat(story.shots().get(1).move()).isEqualTo(CameraMove.PAN_RIGHT);
    assertThat(story.sheets().person("maren").orElseThrow().clothes()).contains("red scarf");
    assertThat(story.lexicon().sounds()).containsKey("kitchen");
    assertThat(story.sounds()).hasSize(28);
    assertThat(StoredStory.read(StoredStory.write(story))).isEqualTo(story);
  }

  @Test
  void aServiceOfFormat1OpensWithWhatItTakes() throws IOException {
    ServiceProfile then = StoredService.read(example("service.json").get(0));
    assertThat(then.inputs())
        .containsExactlyInAnyOrder(ServiceProfile.Input.EXCLUSION, ServiceProfile.Input.SEED);
    assertThat(then).isEqualTo(ServiceProfile.USUAL.get(0));
  }

  @Test
  void everyUsualServiceIsReadBackTheSame() {
    for (ServiceProfile profile : ServiceProfile.USUAL) {
      assertThat(StoredService.read(StoredService.write(profile))).isEqualTo(profile);
    }
  }
}
