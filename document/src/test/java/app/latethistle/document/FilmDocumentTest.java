package app.latethistle.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.film.Balance;
import app.latethistle.core.film.BusLevel;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Held;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Material;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Appearance;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.ColourGroup;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Curve;
import app.latethistle.core.look.Curves;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Drive;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.LookKey;
import app.latethistle.core.look.LumaPattern;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Parameter;
import app.latethistle.core.look.PicturePart;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Tones;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.look.View;
import app.latethistle.core.measure.Light;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Fade;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.Repeat;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.ArrivalKind;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Movement;
import app.latethistle.core.words.Order;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.SafeAreas;
import app.latethistle.core.words.Unit;
import app.latethistle.core.words.Zone;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class FilmDocumentTest {
  /** Which table treatments look up in. */
  /** What is not chosen stands in no document by itself. */
  private static final TreatmentKind[] CHOSEN =
      Arrays.stream(TreatmentKind.values())
          .filter(TreatmentKind::chosen)
          .toArray(TreatmentKind[]::new);

  private static final String TABLE = "2c".repeat(32);

  private static final String SHORT =
      """
      {
        "lateThistleFilm": 1,
        "picture": {"width": 640, "height": 360},
        "rate": "24",
        "takes": [{"id": "lamp", "media": {"path": "lamp.mp4"}}],
        "film": {
          "placements": [{"id": "010", "take": "lamp"}],
          "joints": [
            {"at": {"tie": "free", "frame": 0}},
            {"at": {"tie": "free", "frame": 48}}
          ]
        }
      }
      """;

  private static <E> E one(Random random, E[] values) {
    return values[random.nextInt(values.length)];
  }

  private static Tie tie(Random random) {
    return switch (random.nextInt(3)) {
      case 0 -> new Tie.OnBeat(random.nextInt(40), random.nextInt(9) - 4);
      case 1 -> new Tie.OnWord("line", random.nextInt(2), one(random, Tie.Edge.values()), 2);
      default -> Tie.free(random.nextInt(500));
    };
  }

  private static Treatments treatments(Random random) {
    List<Treatment> list = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      TreatmentKind kind = one(random, CHOSEN);
      List<Dial> dials = new ArrayList<>();
      for (Parameter p : kind.parameters()) {
        dials.add(
            random.nextBoolean()
                ? Dial.at(p.usual())
                : Dial.driven(p.usual(), drive(random, p.usual())));
      }
      String table = kind == TreatmentKind.TABLE ? TABLE : "";
      list.add(new Treatment(kind, dials, random.nextBoolean(), table));
    }
    return new Treatments(list);
  }

  private static Drive drive(Random random, int to) {
    Drive.Source source = one(random, Drive.Source.values());
    return source == Drive.Source.WORD
        ? Drive.on(new Drive.Word("line", random.nextInt(2)), to, 300)
        : new Drive(source, to, 40, 300);
  }

  private static Levelling levelling(Random random) {
    List<Light> lights =
        random
            .ints(random.nextInt(3), -Light.MOST, Light.MOST + 1)
            .mapToObj(some -> new Light(some, -some, some / 2))
            .toList();
    return lights.isEmpty()
        ? Levelling.NONE
        : new Levelling("media", random.nextInt(9), lights, random.nextInt(101));
  }

  private static Framing framing(Random random) {
    return random.nextBoolean()
        ? new Framing(one(random, Fit.values()))
        : Framing.along(
            FramingPath.of(
                    new View(1000 + random.nextInt(7000), 40, -30, random.nextInt(900)),
                    View.WHOLE,
                    one(random, Easing.values()))
                .part(0.25, 0.5));
  }

  private static Placement shot(Random random, String id) {
    if (random.nextInt(6) == 0) {
      return Placement.gap(id);
    }
    ShapedFraming framing =
        ShapedFraming.of(framing(random))
            .with(Shape.of(9, 16), framing(random))
            .withFocus(
                Optional.of(new Focus(List.of(new Focus.Point(0, 400, 1000)), 200, 300, 0, 0.75)));
    Matte matte =
        random.nextBoolean()
            ? Matte.NONE
            : new Matte(
                List.of(new Key(random.nextInt(1 << 24), 12, 5, 90, 40)),
                List.of(Mask.usual(one(random, Mask.Kind.values()))),
                one(random, Matte.Part.values()),
                random.nextInt(101));
    Run run =
        new Run(
            one(random, Run.Way.values()),
            25 + random.nextInt(300),
            100,
            one(random, Run.Between.values()),
            random.nextInt(90),
            random.nextInt(30));
    return new Placement(
        id,
        new Material("shot " + id, "take " + id, random.nextInt(20), run),
        new Appearance(framing, treatments(random), matte, levelling(random), correction(random)),
        new ClipSound(random.nextBoolean(), 3, -2, -6),
        new Held(random.nextBoolean(), random.nextInt(3)));
  }

  private static Optional<LookKey> key(Random random) {
    return switch (random.nextInt(3)) {
      case 0 -> Optional.of(new LookKey.OfShot("p1"));
      case 1 -> Optional.of(new LookKey.Still("5e".repeat(32)));
      default -> Optional.empty();
    };
  }

  private static PicturePart part(Random random) {
    return new PicturePart(
        List.of(Mask.usual(one(random, Mask.Kind.values()))), one(random, Matte.Part.values()));
  }

  private static Correction correction(Random random) {
    if (random.nextBoolean()) {
      return Correction.NONE;
    }
    Curve curve = new Curve(List.of(new Curve.Point(0, 20), new Curve.Point(1000, 900)));
    Curves curves = new Curves(Curve.STRAIGHT, curve, Curve.STRAIGHT, Curve.STRAIGHT);
    return new Correction(
        new Basics(random.nextInt(200), -12, 30, -5, 44),
        new Tones(50, random.nextInt(100), -20, 30, 10, 25, curves),
        random.nextBoolean()
            ? List.of()
            : List.of(
                new ColourRange(
                    210,
                    30,
                    20,
                    300,
                    5,
                    90,
                    40,
                    random.nextBoolean() ? PicturePart.WHOLE : part(random),
                    new Basics(10, 0, -8, 0, 20))),
        new Cdl(
            new Cdl.Triple(1.1, 0.9, random.nextDouble()),
            Cdl.Triple.all(-0.02),
            Cdl.Triple.all(0.8),
            1.2));
  }

  private static Transition transition(Random random) {
    TransitionKind kind = one(random, TransitionKind.values());
    return kind == TransitionKind.CUT
        ? Transition.CUT
        : new Transition(
            kind,
            new Span(1 + random.nextInt(20), one(random, Span.Unit.values())),
            one(random, Transition.Lies.values()),
            new TransitionManner(
                random.nextInt(360),
                20,
                random.nextInt(1 << 24),
                one(random, LumaPattern.values()),
                random.nextBoolean() ? "" : "ab".repeat(32)),
            random.nextBoolean());
  }

  private static Film film(Random random) {
    List<Placement> placements = new ArrayList<>();
    List<Joint> joints = new ArrayList<>(List.of(Joint.START));
    for (int i = 0; i < 3; i++) {
      placements.add(shot(random, "p" + i));
      joints.add(new Joint(tie(random), transition(random)));
    }
    Overlay over =
        Overlay.whole(1 + random.nextInt(3), shot(random, "over"), tie(random), tie(random))
            .withLie(
                LiePath.of(
                    new Lie(random.nextInt(101), 300, -400, 1200, random.nextInt(9000)),
                    Lie.WHOLE,
                    one(random, Easing.values())))
            .withMixing(one(random, Mixing.values()));
    return new Film(
        placements,
        joints,
        new SongUse(random.nextInt(90_000)),
        new Finish(
            treatments(random),
            new EndFade(random.nextInt(40)),
            key(random),
            random.nextBoolean()
                ? List.of()
                : List.of(new ColourGroup("the crossing", "2", List.of("1", "2")))),
        List.of(over),
        List.of(
            new FilmSound(
                "birds",
                new SoundMaterial.OfTake("take p0", 4, 30),
                Landing.on(tie(random)),
                Manner.PLAIN.withGain(-3)),
            knock(random)),
        List.of(
            new Marker(
                "here",
                tie(random),
                "the lamp \"goes\" out",
                random.nextBoolean() ? "Ines" : "",
                random.nextBoolean())),
        random.nextBoolean()
            ? Balance.USUAL
            : Balance.USUAL
                .withLevel(
                    one(random, Bus.values()),
                    new BusLevel(-3.5, false, List.of(new BusLevel.Point(Tie.onBeat(4), -6))))
                .withRule(new DuckingRule(12, 100, 800, 700, random.nextBoolean(), true))
                .withByHand(Map.of("line", -2.5))
                .withCare(VoiceCare.GENTLE),
        List.of(title(random)),
        random.nextBoolean()
            ? List.of()
            : List.of(
                FilmCaptions.in("de")
                    .withTexts(Map.of("line", "Lass ihn ziehen."))
                    .withOwn(List.of(new FilmCaptions.Own(new FrameRange(3, 40), "eins\nzwei")))
                    .withStyle(
                        CaptionStyle.USUAL
                            .withKind(one(random, CaptionKind.values()))
                            .burnedInto(random.nextBoolean(), List.of(Shape.of(9, 16))))),
        random.nextBoolean()
            ? SafeAreas.USUAL
            : SafeAreas.USUAL.with(
                Shape.of(9, 16),
                new SafeArea(
                    random.nextInt(401),
                    0,
                    random.nextInt(401),
                    9,
                    random.nextBoolean()
                        ? List.of()
                        : List.of(new Zone(random.nextInt(900), 450, 1000, 800)))));
  }

  private static FilmTitle title(Random random) {
    Design design = Designs.ALL.get(random.nextInt(Designs.ALL.size()));
    Standing standing =
        new Standing(
            Tie.onCut("p1"),
            1 + random.nextInt(90),
            random.nextBoolean() ? Optional.empty() : Optional.of(tie(random)));
    FilmTitle title = FilmTitle.of("title", design, standing).withLayer(random.nextInt(5));
    Arrival in =
        new Arrival(
            one(random, ArrivalKind.values()),
            one(random, Unit.values()),
            one(random, Order.values()),
            random.nextInt(480),
            random.nextInt());
    return title
        .withBox(title.box().with(Shape.of(9, 16), new Box(random.nextInt(1000), -400, 700)))
        .withMovement(
            new Movement(
                in,
                Arrival.NONE,
                random.nextBoolean() ? Movement.Course.ROLLS : Movement.Course.TURNS))
        .withPicture(random.nextBoolean() ? Optional.empty() : Optional.of("take over"));
  }

  private static FilmSound knock(Random random) {
    Manner how =
        new Manner(
            -2.5,
            new Fade(one(random, Fade.Shape.values()), 480),
            new Fade(one(random, Fade.Shape.values()), random.nextInt(9_000)),
            random.nextInt(201) - 100,
            random.nextInt(101),
            one(random, Room.values()),
            new Equaliser(
                List.of(
                    Equaliser.Band.cut(Equaliser.Kind.LOW_CUT, 90),
                    new Equaliser.Band(Equaliser.Kind.BELL, 1_000, -4, 1.5))),
            new Timing(random.nextBoolean(), 50 + random.nextInt(151), -2.5),
            new Repeat(1 + random.nextInt(64), 24_000, random.nextInt(101), 5));
    return new FilmSound(
        "knock",
        new SoundMaterial.OfFile(
            "0".repeat(64),
            "a knock",
            new SampleRange(10, 48_000),
            4_000,
            random.nextBoolean() ? Optional.empty() : Optional.of(new SampleRange(1_000, 40_000))),
        new Landing(
            random.nextBoolean() ? Tie.onCut("p1") : tie(random),
            random.nextInt(4_000) - 2_000,
            random.nextBoolean() ? Optional.empty() : Optional.of(Tie.onCut(Film.END))),
        how);
  }

  private static FilmDocument document(Film film) {
    List<Narration.Word> words =
        List.of(
            new Narration.Word("Night", new SampleRange(100, 9000)),
            new Narration.Word("post", new SampleRange(9500, 20_000)));
    Narration.Line line =
        new Narration.Line("line", 1, words, 24_000, new Narration.Start.WithShot("shot p1"));
    List<Placement> shown = film.shots().filter(Placement::hasPicture).toList();
    return new FilmDocument(
        FilmDocument.VERSION,
        "Night Post",
        new FilmDocument.Picture(1920, 1080),
        "24000/1001",
        shown.stream()
            .map(
                p ->
                    new TakeForm(
                        p.take(),
                        MediumForm.ofHash("0a".repeat(32)),
                        90L,
                        true,
                        MediumForm.ofHash("0b".repeat(32)),
                        List.of(new TakeForm.MarkForm(0.9, 0.9, 0.98, 0.97))))
            .toList(),
        SongForm.of("1b".repeat(32), BeatGrid.even(120, 0.25, 60, 4)),
        List.of(
            LineForm.of(
                line,
                new MediumForm(null, "night.wav"),
                List.of(new SampleRange(5, 10)),
                Double.NEGATIVE_INFINITY)),
        List.of(OutputForm.whole("film", 1920, 1080), new OutputForm("up", 608, 1080, 24L, 72L)),
        Map.of(TABLE, "LUT_1D_SIZE 2\n1 1 1\n0 0 0\n"),
        List.of(FaceForm.of("Harbour", true, false, "own", new byte[] {0, 1, 0, 0})),
        FilmForm.of(film));
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void aFilmComesBackAsItWasWritten(int seed) throws IOException {
    Film film = film(new Random(seed));
    FilmDocument written = document(film);
    FilmDocument read = FilmDocument.read(written.write());
    assertThat(read).isEqualTo(written);
    assertThat(read.film().get()).isEqualTo(film);
    Resolved resolved = read.resolve(Map.of(), () -> BandLevels.EMPTY);
    assertThat(resolved.clocks().grid().size()).isEqualTo(60);
    assertThat(resolved.clocks().narration().lines().get(0).words()).hasSize(2);
  }

  @Test
  void whatIsNotSaidIsAsItUsuallyIs() throws IOException {
    FilmDocument read = FilmDocument.read(SHORT);
    Placement only = read.film().get().placements().get(0);
    assertThat(only).isEqualTo(Placement.of("010", "lamp", 0, Framing.FILL));
    assertThat(read.output(Optional.empty()).orElseThrow().width()).isEqualTo(640);
    Take lamp = new Take("lamp", "m", 60, PictureShape.of(640, 360));
    Resolved film = read.resolve(Map.of("lamp", lamp), () -> BandLevels.EMPTY);
    assertThat(film.cutting().length()).isEqualTo(48);
    assertThat(film.cutting().problems()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"take\": \"lamp\"          | \"take\": \"lamb\"       | /film/placements/0/take: there is no take 'lamb'",
        "\"take\": \"lamp\"          | \"tale\": \"lamp\"       | /film/placements/0",
        "\"rate\": \"24\"            | \"rate\": \"fast\"       | /rate",
        "\"rate\": \"24\"            | \"rate\": \"24/0\"       | /rate",
        "\"height\": 360             | \"height\": 361          | /picture/height",
        "\"tie\": \"free\", \"frame\": 48 | \"tie\": \"dusk\"  | /film/joints/1/at",
        "\"frame\": 48               | \"frame\": -4            | /film/joints/1/at",
        "\"lateThistleFilm\": 1      | \"lateThistleFilm\": 2   | /lateThistleFilm",
        "\"media\": {\"path\": \"lamp.mp4\"} | \"media\": {}    | /takes/0/media",
        "\"rate\": \"24\",           | \"rate\": \"24\"         | line 5",
        "\"take\": \"lamp\"} | \"take\": \"lamp\"}, {\"id\": \"020\"} | 2 shots need 3 joints",
      })
  void whatIsWrongIsToldWithItsPlace(String right, String wrong, String told) {
    assertThat(SHORT).contains(right);
    assertThatThrownBy(() -> FilmDocument.read(SHORT.replace(right, wrong)))
        .isInstanceOf(BrokenDocument.class)
        .hasMessageContaining(told);
  }

  /** Whatever is changed in a document, it is read or refused with a place, never a fault. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
  void aDamagedDocumentIsReadOrRefused(int seed) {
    Random random = new Random(seed);
    JsonMapper mapper = JsonMapper.shared();
    int refused = 0;
    for (int i = 0; i < 60; i++) {
      JsonNode tree = mapper.readTree(document(film(random)).write());
      damage(tree, random);
      try {
        FilmDocument.read(mapper.writeValueAsString(tree)).film().get();
      } catch (IOException e) {
        assertThat(e).isInstanceOf(BrokenDocument.class).hasMessageStartingWith("/");
        refused++;
      }
    }
    assertThat(refused).isGreaterThan(20);
  }

  private static void damage(JsonNode node, Random random) {
    List<Runnable> ways = new ArrayList<>();
    JsonNode[] deeper = new JsonNode[1];
    if (node instanceof ObjectNode object && !object.isEmpty()) {
      List<String> names = List.copyOf(object.propertyNames());
      String name = names.get(random.nextInt(names.size()));
      deeper[0] = object.get(name);
      ways.add(() -> object.remove(name));
      ways.add(() -> object.put(name, "dusk"));
      ways.add(() -> object.put(name, -7));
      ways.add(() -> object.putNull(name));
    } else if (node instanceof ArrayNode array && !array.isEmpty()) {
      int at = random.nextInt(array.size());
      deeper[0] = array.get(at);
      ways.add(() -> array.remove(at));
      ways.add(() -> array.set(at, array.get(0)));
      ways.add(() -> array.add(90));
    }
    boolean goesDeeper =
        deeper[0] != null
            && deeper[0].isContainer()
            && !deeper[0].isEmpty()
            && random.nextInt(5) > 0;
    if (goesDeeper) {
      damage(deeper[0], random);
    } else {
      ways.get(random.nextInt(ways.size())).run();
    }
  }

  /** The names in the schema are those that core knows. */
  @Test
  void theSchemaKnowsEveryName() {
    List<List<String>> known = new ArrayList<>();
    JsonMapper.shared()
        .readTree(PublishedSchema.FILM.json())
        .findValues("enum")
        .forEach(e -> known.add(e.valueStream().map(JsonNode::asString).toList()));
    List<Enum<?>[]> names =
        List.of(
            CHOSEN,
            TransitionKind.values(),
            LumaPattern.values(),
            Fit.values(),
            Easing.values(),
            Span.Unit.values(),
            Transition.Lies.values(),
            Run.Way.values(),
            Run.Between.values(),
            Tie.Edge.values(),
            Drive.Source.values(),
            Mixing.values(),
            Mask.Kind.values());
    for (Enum<?>[] values : names) {
      assertThat(known).contains(Arrays.stream(values).map(Enum::name).toList());
    }
  }

  /** What is told to people is what core takes, and their example is read. */
  @Test
  void theDescriptionIsTrue() throws IOException {
    String text = Files.readString(Path.of("..", "docs", "film-document.md"));
    for (TreatmentKind kind : CHOSEN) {
      assertThat(text)
          .contains(
              kind.parameters().stream()
                  .map(p -> p.name() + " " + p.least() + " to " + p.most() + " (" + p.usual() + ")")
                  .collect(Collectors.joining(", ", "| " + kind + " | ", " |")));
    }
    String example = text.substring(text.indexOf("```json") + 7);
    FilmDocument read = FilmDocument.read(example.substring(0, example.indexOf("```")));
    assertThat(read.resolve(Map.of(), () -> BandLevels.EMPTY).cutting().length()).isEqualTo(64);
  }
}
