package app.latethistle.standins.demo;

import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Correction;
import app.latethistle.core.story.Story;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.StandInEncoder;
import app.latethistle.standins.band.Commission;
import app.latethistle.standins.band.HouseBand;
import app.latethistle.standins.painter.Clip;
import app.latethistle.standins.painter.Flaw;
import app.latethistle.standins.painter.Move;
import app.latethistle.standins.painter.Scene;
import app.latethistle.standins.painter.ScenePainter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;

/** The demo's clips and song. */
public final class NightPost {
  /** The production's title. */
  public static final String TITLE = "Night Post";

  /** The song's file. */
  public static final String SONG = "slow bellows.m4a";

  /** The file of the other candidate. */
  public static final String OTHER_SONG = "paper lanterns.m4a";

  /** The file of a take with a service's mark, which is framed out. */
  public static final String MARKED = "shot_080_take2 over the steeple.mp4";

  /** The file of a figure on a plain backing, which is laid into another shot. */
  public static final String CARRIER = "shot_120_take2 the carrier before green.mp4";

  private static final Commission PAPER_LANTERNS =
      new Commission("drums", Commission.Mood.WARM, 104, 60, false, 5);

  private static final FrameRate FPS_25 = FrameRate.of(25, 1);
  private static final FrameRate FPS_12 = FrameRate.of(12, 1);
  private static final FrameRate FPS_30 = FrameRate.of(30, 1);
  private static final FrameRate FPS_23_976 = FrameRate.of(24_000, 1001);

  /** What the services that made the clips do to colours: one is dim and warm, */
  private static final Correction DIM = Correction.of(new Basics(-45, 0, 22, 4, 12));

  /** one pale and cool, */
  private static final Correction PALE = Correction.of(new Basics(35, -18, -24, 0, -25));

  /** one hard and greenish. The others leave them. */
  private static final Correction HARD = Correction.of(new Basics(-15, 18, 4, -16, 0));

  /** Which service made the clips of a shot, by the shot's number. */
  private static final Map<String, Correction> CASTS =
      Map.ofEntries(
          Map.entry("020", PALE),
          Map.entry("030", DIM),
          Map.entry("050", HARD),
          Map.entry("060", DIM),
          Map.entry("070", PALE),
          Map.entry("090", HARD),
          Map.entry("100", PALE),
          Map.entry("110", DIM),
          Map.entry("140", PALE),
          Map.entry("150", DIM),
          Map.entry("160", HARD),
          Map.entry("180", PALE),
          Map.entry("190", DIM));

  private NightPost() {}

  /** The clips by file name, in the order of the film. */
  public static Map<String, Clip> clips() {
    Map<String, Clip> clips = new LinkedHashMap<>();
    put(clips, "shot_010_take1 the drowned valley.mp4", Scene.DROWNED_VALLEY, 1, Move.PAN_RIGHT);
    put(clips, "shot_020_take1 roofs under water.mp4", Scene.SUNKEN_ROOFS, 2, Move.PUSH_IN);
    clips.put(
        "shot_020_take2 roofs under water.mp4",
        Clip.of(Scene.SUNKEN_ROOFS, 12).move(Move.PAN_LEFT).flaw(Flaw.SOFT, Flaw.CORNER_MARK));
    put(clips, "shot_030_take1 a letter by candle.mp4", Scene.CANDLE_LETTER, 3, Move.PUSH_IN);
    put(clips, "shot_040_take1 the lantern is lit.mp4", Scene.LANTERN_LIT, 4, Move.STILL);
    put(clips, "shot_050_take1 the stilt house.mp4", Scene.STILT_HOUSE, 5, Move.PULL_OUT);
    clips.put(
        "shot_050_take2 the stilt house.mp4",
        Clip.of(Scene.STILT_HOUSE, 15).size(1024, 576).at(FPS_30, 5));
    put(clips, "shot_060_take1 into the envelope.mp4", Scene.INTO_THE_ENVELOPE, 6, Move.PUSH_IN);
    put(clips, "shot_070_take1 the basket lifts.mp4", Scene.BASKET_LIFTS, 7, Move.RISE);
    clips.put(
        "shot_070_take2 the basket lifts.mp4",
        Clip.of(Scene.BASKET_LIFTS, 17)
            .move(Move.PULL_OUT)
            .flaw(Flaw.FROZEN_END, Flaw.CORNER_MARK));
    clips.put(
        "shot_080_take1 over the steeple.mov",
        Clip.of(Scene.OVER_THE_STEEPLE, 8).at(FPS_23_976, 5));
    clips.put(MARKED, Clip.of(Scene.OVER_THE_STEEPLE, 18).flaw(Flaw.CORNER_MARK));
    put(clips, "shot_090_take1 first snow.mp4", Scene.FIRST_SNOW, 9, Move.PAN_RIGHT);
    clips.put("shot_090_take2 first snow.mp4", Clip.of(Scene.FIRST_SNOW, 19).at(FPS_25, 4));
    put(clips, "shot_100_take1 snow on the mailbag.mp4", Scene.MAILBAG, 10, Move.PUSH_IN);
    put(clips, "shot_110_take1 lanterns from above.mp4", Scene.LANTERNS_FROM_ABOVE, 11, Move.RISE);
    clips.put(
        "shot_110_take2 lanterns from above.mp4",
        Clip.of(Scene.LANTERNS_FROM_ABOVE, 21).at(FPS_12, 5));
    put(clips, "shot_120_take1 the jetty.mp4", Scene.JETTY, 12, Move.PUSH_IN);
    clips.put(CARRIER, Clip.of(Scene.WALKER_BEFORE_GREEN, 31));
    clips.put(
        "shot_120_take3 the carrier before blue.mp4", Clip.of(Scene.STANDING_BEFORE_BLUE, 32));
    put(clips, "shot_130_take1 door seven.mp4", Scene.DOOR_SEVEN, 13, Move.PUSH_IN);
    clips.put("shot_130_take2 door seven.mp4", Clip.of(Scene.DOOR_SEVEN, 23).size(720, 720));
    put(clips, "shot_140_take1 door twenty-five.webm", Scene.DOOR_TWENTY_FIVE, 14, Move.PAN_LEFT);
    put(clips, "shot_150_take1 door forty-one.mp4", Scene.DOOR_FORTY_ONE, 15, Move.STILL);
    clips.put(
        "shot_150_take2 door forty-one.mp4",
        Clip.of(Scene.DOOR_FORTY_ONE, 25).move(Move.PUSH_IN).flaw(Flaw.FLICKER, Flaw.CORNER_MARK));
    put(clips, "shot_160_take1 letterboxes.mp4", Scene.LETTERBOXES, 16, Move.PAN_RIGHT);
    put(clips, "shot_170_take1 the storm.mp4", Scene.STORM, 17, Move.STILL);
    clips.put(
        "shot_170_take2 the storm.mp4",
        Clip.of(Scene.STORM, 27).move(Move.PUSH_IN).flaw(Flaw.JUMP, Flaw.CORNER_MARK));
    put(clips, "shot_180_take1 the sealed letter.mp4", Scene.SEALED_LETTER, 18, Move.PUSH_IN);
    put(clips, "shot_190_take1 night post.mp4", Scene.NIGHT_POST, 19, Move.PULL_OUT);
    clips.replaceAll(
        (name, clip) -> clip.cast(CASTS.getOrDefault(name.substring(5, 8), Correction.NONE)));
    return clips;
  }

  /** Its story: script, shots, sheets. */
  public static Story story(double seconds) {
    return NightPostStory.story(seconds);
  }

  private static void put(Map<String, Clip> clips, String name, Scene scene, int seed, Move move) {
    clips.put(name, Clip.of(scene, seed).move(move));
  }

  /**
   * Makes all files in a folder.
   *
   * @param progress told each file's name when it is done
   */
  public static void make(Path folder, Consumer<String> progress) throws IOException {
    Files.createDirectories(folder);
    StandInEncoder.sound(folder.resolve(SONG), HouseBand.slowBellows());
    progress.accept(SONG);
    StandInEncoder.sound(folder.resolve(OTHER_SONG), PAPER_LANTERNS.play());
    progress.accept(OTHER_SONG);
    for (Map.Entry<String, Clip> entry : clips().entrySet()) {
      ScenePainter.paint(entry.getValue(), folder.resolve(entry.getKey()));
      progress.accept(entry.getKey());
    }
  }
}
