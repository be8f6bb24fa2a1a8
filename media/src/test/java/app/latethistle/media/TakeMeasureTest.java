package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.measure.CornerEdges;
import app.latethistle.core.measure.MoveVerdict;
import app.latethistle.core.measure.PictureMeter;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Takes made with ffmpeg's own filters, whose shift, zoom, turn, freezes and marks are known. */
class TakeMeasureTest {
  private static final int FRAMES = 72;

  /** One picture, held for as long as it is asked for. */
  private static final String LOOP = "loop=loop=-1:size=1,setpts=N/24/TB,fps=24,";

  @TempDir static Path folder;

  /** A still, rich in detail of all sizes, larger than the picture so that it can be moved. */
  @BeforeAll
  static void ground() throws IOException {
    String soft =
        "nullsrc=s=%dx%d,geq=lum='mod(abs(sin(X*12.9898+Y*78.233+%d)*43758.5453),1)*255'"
            + ":cb=128:cr=128,gblur=sigma=%d";
    for (int i = 0; i < 4; i++) {
      String coarse = String.format(Locale.ROOT, soft, 230, 140, 37 * i + 1, 2);
      String fine = String.format(Locale.ROOT, soft, 920, 560, 91 * i + 7, 2);
      Ffmpeg.run(
          "-filter_complex",
          coarse
              + ",scale=920:560,eq=contrast=4[a];"
              + fine
              + ",eq=contrast=1.2[b];[a][b]blend=all_mode=average,format=gray",
          "-frames:v",
          "1",
          folder.resolve("ground" + i + ".png").toString());
    }
  }

  private static Path clip(String name, int ground, String filters) throws IOException {
    Path file = folder.resolve(name + ".mp4");
    Ffmpeg.run(
        "-i",
        folder.resolve("ground" + ground + ".png").toString(),
        "-vf",
        LOOP + filters,
        "-frames:v",
        Integer.toString(FRAMES),
        "-pix_fmt",
        "yuv420p",
        "-crf",
        "20",
        "-preset",
        "veryfast",
        file.toString());
    return file;
  }

  private static PictureMeter.Measured measured(Path file) throws IOException {
    return TakeMeasure.measure(file, Probe.probe(file), n -> {});
  }

  private static TakeFacts facts(Path file) throws IOException {
    return measured(file).facts();
  }

  static Stream<Arguments> moves() {
    String n = "n/" + (FRAMES - 1);
    return Stream.of(
        move("pan right", "crop=640:360:x='60+3*n':y=100", new Travel(-213 / 640.0, 0, 1, 0)),
        move("pan left", "crop=640:360:x='200-2*n':y=100", new Travel(142 / 640.0, 0, 1, 0)),
        move("pan right", "crop=640:360:x='60+floor(n/2)':y=100", new Travel(-35 / 640.0, 0, 1, 0)),
        move("tilt down", "crop=640:360:x=100:y='20+2*n'", new Travel(0, -142 / 640.0, 1, 0)),
        move("tilt up", "crop=640:360:x=100:y='150-n'", new Travel(0, 71 / 640.0, 1, 0)),
        move("push in", zoom("1+0.4*" + n), new Travel(0, 0, 1.4, 0)),
        move("push in", zoom("1+0.05*" + n), new Travel(0, 0, 1.05, 0)),
        move("pull out", zoom("1.3-0.3*" + n), new Travel(0, 0, 1 / 1.3, 0)),
        move(
            "roll",
            "rotate=a='0.2*" + n + "',crop=640:360",
            new Travel(0, 0, 1, Math.toDegrees(0.2))),
        move("still", "crop=640:360", Travel.NONE));
  }

  private static Arguments move(String name, String filters, Travel known) {
    return Arguments.of(name, filters, known);
  }

  private static String zoom(String by) {
    String size = "trunc(640*(" + by + ")/2)*2";
    return "crop=800:450,scale=w='"
        + size
        + "':h=-2:eval=frame:flags=bicubic,crop=640:360:x='("
        + size
        + "-640)/2':y='("
        + size
        + "-640)*9/32'";
  }

  /** Within 5 % of the known travel, and the direction never wrong above 1 % of the width. */
  @ParameterizedTest
  @MethodSource("moves")
  void measuresTheCamera(String name, String filters, Travel known) throws IOException {
    Travel found = facts(clip("move", 0, filters)).travel();
    double room = 0.05 * known.greatest() + 0.001;
    assertThat(found.right()).as("right").isCloseTo(known.right(), within(room));
    assertThat(found.down()).as("down").isCloseTo(known.down(), within(room));
    assertThat((found.zoom() - known.zoom()) / 2).as("zoom").isCloseTo(0, within(room));
    assertThat(Math.toRadians(found.turn() - known.turn()) / 2)
        .as("turn")
        .isCloseTo(0, within(room));
    assertThat(MoveVerdict.name(found)).isEqualTo(name);
  }

  @Test
  void holdsTheMoveAgainstWhatWasAsked() {
    Travel out = new Travel(0.01, 0, 0.84, 0);
    assertThat(MoveVerdict.of(CameraMove.PUSH_IN, out).inWords())
        .isEqualTo("asked push in, measured pull out 8 %");
    assertThat(MoveVerdict.of(CameraMove.PULL_OUT, out).match())
        .isEqualTo(MoveVerdict.Match.AS_ASKED);
    assertThat(MoveVerdict.of(CameraMove.STILL, out).match()).isEqualTo(MoveVerdict.Match.OTHER);
    Travel hardly = new Travel(-0.006, 0, 1, 0);
    assertThat(MoveVerdict.of(CameraMove.PAN_RIGHT, hardly).match())
        .isEqualTo(MoveVerdict.Match.WEAK);
    assertThat(MoveVerdict.of(CameraMove.PAN_LEFT, hardly).match())
        .isEqualTo(MoveVerdict.Match.OTHER);
    assertThat(MoveVerdict.of(CameraMove.RISE, new Travel(0, 0.09, 1.02, 0)).match())
        .isEqualTo(MoveVerdict.Match.AS_ASKED);
  }

  /** Spans as ffmpeg's own detector prints them, in frames. */
  private static List<FrameRange> detected(Path file, String filter, String start, String end)
      throws IOException {
    Process process =
        new ProcessBuilder(
                "ffmpeg", "-hide_banner", "-i", file.toString(), "-vf", filter, "-f", "null", "-")
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    List<Integer> starts = times(said, start);
    List<Integer> ends = times(said, end);
    List<FrameRange> spans = new ArrayList<>();
    for (int i = 0; i < starts.size(); i++) {
      spans.add(new FrameRange(starts.get(i), i < ends.size() ? ends.get(i) : FRAMES));
    }
    return spans;
  }

  private static List<Integer> times(String said, String key) {
    List<Integer> frames = new ArrayList<>();
    Matcher m = Pattern.compile(key + ":? ?([0-9.]+)").matcher(said);
    while (m.find()) {
      frames.add((int) Math.round(Double.parseDouble(m.group(1)) * 24));
    }
    return frames;
  }

  private static void same(List<FrameRange> ours, List<FrameRange> theirs) {
    assertThat(theirs).isNotEmpty();
    assertThat(ours).hasSameSizeAs(theirs);
    for (int i = 0; i < ours.size(); i++) {
      assertThat(ours.get(i).start()).isCloseTo(theirs.get(i).start(), within(2L));
      assertThat(ours.get(i).end()).isCloseTo(theirs.get(i).end(), within(2L));
    }
  }

  /** Held against freezedetect. */
  @ParameterizedTest
  @CsvSource({"40, 20", "40, 30", "5, 14"})
  void findsFrozenSpans(int from, int length) throws IOException {
    String held = "loop=" + (length - 1) + ":1:" + from + ",setpts=N/24/TB";
    Path file = clip("frozen", 1, "crop=640:360:x='60+3*n':y=100," + held);
    TakeFacts facts = facts(file);
    same(
        facts.frozen(), detected(file, "freezedetect=n=-60dB:d=0.5", "freeze_start", "freeze_end"));
    assertThat(facts.usable().start() == 0 || facts.usable().end() == FRAMES).isTrue();
    assertThat(facts.jumps()).isEmpty();
  }

  /** Held against blackdetect. */
  @ParameterizedTest
  @CsvSource({"0, 10", "50, 8", "60, 10"})
  void findsBlackSpans(int from, int length) throws IOException {
    String black =
        "drawbox=c=black:t=fill:enable='between(n," + from + "," + (from + length - 1) + ")'";
    Path file = clip("black", 2, "crop=640:360:x='60+3*n':y=100," + black);
    same(
        facts(file).black(),
        detected(file, "blackdetect=d=0.1:pic_th=0.98:pix_th=0.1", "black_start", "black_end"));
  }

  /** Held against scdet: a cut to another picture. */
  @ParameterizedTest
  @CsvSource({"1, 30", "2, 45", "3, 12"})
  void findsJumps(int other, int at) throws IOException {
    Path a = clip("before", 0, "crop=640:360:x='60+2*n':y=100");
    Path b = clip("after", other, "crop=640:360:x='60+2*n':y=100,format=yuv420p,eq=brightness=0.2");
    Path file = folder.resolve("jump.mp4");
    Ffmpeg.run(
        "-i",
        a.toString(),
        "-i",
        b.toString(),
        "-filter_complex",
        "[0]trim=end_frame="
            + at
            + "[x];[1]trim=start_frame="
            + at
            + ",setpts=PTS-STARTPTS[y];[x][y]concat,settb=1/24,setpts=N",
        file.toString());
    TakeFacts facts = facts(file);
    List<FrameRange> cuts = detected(file, "scdet=t=10", "lavfi.scd.time", "lavfi.scd.time");
    assertThat(cuts).extracting(FrameRange::start).hasSize(1);
    assertThat(facts.jumps()).hasSize(1);
    assertThat(facts.jumps().get(0)).isCloseTo((int) cuts.get(0).start(), within(2));
    assertThat(facts.usable())
        .isEqualTo(at > FRAMES / 2 ? new FrameRange(0, at) : new FrameRange(at, FRAMES));
  }

  @Test
  void findsALeapWithinOnePicture() throws IOException {
    Path file = clip("leap", 3, "crop=640:360:x='60+2*n+30*gte(n,50)':y=100");
    TakeFacts facts = facts(file);
    assertThat(facts.jumps()).containsExactly(50);
    // The leap is no travel of the camera.
    assertThat(facts.travel().right()).isCloseTo(-(71 * 2 - 2) / 640.0, within(0.01));
  }

  @Test
  void findsFlickerButNotAFade() throws IOException {
    String moving = "crop=640:360:x='60+2*n':y=100,";
    TakeFacts flickering =
        facts(
            clip(
                "flicker",
                1,
                moving + "eq=brightness='0.08*lt(mod(n,7),2)*between(n,30,70)':eval=frame"));
    assertThat(flickering.flicker()).hasSize(1);
    assertThat(flickering.flicker().get(0).start()).isBetween(28L, 37L);
    assertThat(flickering.flicker().get(0).end()).isBetween(64L, 73L);
    assertThat(flickering.jumps()).isEmpty();
    TakeFacts fading = facts(clip("fade", 1, moving + "eq=brightness='-0.4*n/71':eval=frame"));
    assertThat(fading.flicker()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"12, 12", "8, 8", "24, 24"})
  void countsTheRealRate(int rate, double real) throws IOException {
    Path file = clip("rate", 2, "crop=640:360:x='60+3*n':y=100,fps=" + rate + ",fps=24");
    assertThat(facts(file).realRate()).isCloseTo(real, within(0.6));
  }

  @Test
  void tellsASoftTakeFromASharpOne() throws IOException {
    String moving = "crop=640:360:x='60+2*n':y=100";
    double sharp = facts(clip("sharp", 0, moving)).sharpness();
    TakeFacts soft = facts(clip("soft", 0, moving + ",gblur=sigma=3"));
    assertThat(soft.sharpness()).isLessThan(0.8 * sharp);
    TakeFacts dip = facts(clip("dip", 0, moving + ",gblur=sigma=3:enable='between(n,40,56)'"));
    assertThat(dip.softest()).isBetween(36, 56);
  }

  /** Marks overlaid at known boxes are found at IoU 0.6 in 9 of 10; none in 20 clean takes. */
  @Test
  void findsMarksAndOnlyMarks() throws IOException {
    Path mark = folder.resolve("mark.png");
    int found = 0;
    StringBuilder told = new StringBuilder();
    for (int i = 0; i < 10; i++) {
      int w = 50 + 7 * i;
      int h = 16 + 2 * (i % 4);
      int x = i % 2 == 0 ? 640 - w - 12 - i : 10 + i;
      int y = i % 3 == 0 ? 9 + i : 360 - h - 10;
      Ffmpeg.run(
          "-f",
          "lavfi",
          "-i",
          "color=white:s="
              + w
              + "x"
              + h
              + ",format=rgba,geq=r=255:g=255:b=255:a='"
              + (0.6 + 0.04 * (i % 5))
              + "*255*(lt(mod(X,12),6)+lt(abs(Y-"
              + h / 2
              + "),2)*gte(mod(X,12),6))'",
          "-frames:v",
          "1",
          mark.toString());
      String moving = i % 2 == 0 ? "crop=640:360:x='60+3*n':y=100" : zoom("1+0.2*n/71");
      Path file = folder.resolve("marked.mp4");
      Ffmpeg.run(
          "-i",
          folder.resolve("ground" + i % 4 + ".png").toString(),
          "-i",
          mark.toString(),
          "-filter_complex",
          "[0]" + LOOP + moving + "[m];[m][1]overlay=" + x + ":" + y,
          "-frames:v",
          Integer.toString(FRAMES),
          "-pix_fmt",
          "yuv420p",
          "-preset",
          "veryfast",
          file.toString());
      // The pattern's last bar may end before the box does.
      int seen = w - 1 - (w - 1) % 12 + Math.min(6, 1 + (w - 1) % 12);
      Box known =
          new Box(x / 640.0, y / 360.0, (x + Math.max(seen, w - 6)) / 640.0, (y + h) / 360.0);
      List<Box> boxes = facts(file).marks();
      boolean hit = boxes.size() == 1 && boxes.get(0).overlap(known) >= 0.6;
      found += hit ? 1 : 0;
      told.append(i).append(' ').append(known).append(' ').append(boxes).append('\n');
    }
    assertThat(found).as(told.toString()).isGreaterThanOrEqualTo(9);
    for (int i = 0; i < 20; i++) {
      String moving =
          switch (i % 5) {
            case 0 -> "crop=640:360:x='60+3*n':y=" + 5 * i;
            case 1 -> "crop=640:360:x=" + 10 * i + ":y='20+2*n'";
            case 2 -> zoom("1+0.3*n/71");
            case 3 -> zoom("1.2-0.2*n/71");
            default -> "rotate=a='0.1*n/71',crop=640:360";
          };
      assertThat(facts(clip("clean", i % 4, moving)).marks()).as("clean %d", i).isEmpty();
    }
  }

  /** Where the camera stands still a mark shows only by standing in all takes of a service. */
  @Test
  void findsAMarkThatStillTakesShare() throws IOException {
    List<CornerEdges> edges = new ArrayList<>();
    List<CornerEdges> clean = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      String mark = ",drawbox=x=560:y=325:w=55:h=17:c=white@0.7:t=2";
      Path file = clip("still", i, "crop=640:360:x=" + 40 * i + ":y=100" + mark);
      assertThat(measured(file).facts().marks()).isEmpty();
      edges.add(CornerEdges.ofBytes(measured(file).edges().toBytes()));
      clean.add(measured(clip("bare", i, "crop=640:360:x=" + 50 * i + ":y=100")).edges());
    }
    assertThat(CornerEdges.shared(clean)).isEmpty();
    assertThat(CornerEdges.shared(edges)).hasSize(1);
    Box known = new Box(560 / 640.0, 325 / 360.0, 615 / 640.0, 342 / 360.0);
    assertThat(CornerEdges.shared(edges).get(0).overlap(known)).isGreaterThan(0.6);
  }

  @Test
  void measuresAStill() throws IOException {
    Path still = folder.resolve("ground0.png");
    assertThat(Files.exists(still)).isTrue();
    TakeFacts facts = facts(still);
    assertThat(facts.frames()).isEqualTo(1);
    assertThat(facts.travel()).isEqualTo(Travel.NONE);
    assertThat(facts.usable()).isEqualTo(new FrameRange(0, 1));
  }
}
