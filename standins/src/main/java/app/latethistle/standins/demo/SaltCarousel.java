package app.latethistle.standins.demo;

import app.latethistle.core.story.Brief;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.Sheets;
import app.latethistle.core.story.ShotList;
import app.latethistle.core.story.Story;
import app.latethistle.media.StandInEncoder;
import app.latethistle.standins.band.SaltWaltz;
import app.latethistle.standins.painter.Clip;
import app.latethistle.standins.painter.Flaw;
import app.latethistle.standins.painter.Move;
import app.latethistle.standins.painter.Scene;
import app.latethistle.standins.painter.ScenePainter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** The second demo: a music video without a voice, upright, from a pool of takes. */
public final class SaltCarousel {
  /** The production's title. */
  public static final String TITLE = "Salt Carousel";

  /** The folder of its files. */
  public static final String FOLDER = "salt carousel";

  /** Its wanted length. */
  public static final double SECONDS = 40;

  private static final String SONG = "salt waltz.m4a";

  private static final String SCRIPT =
      """
      # Salt Carousel

      ## The salt plain
      - A fairground far out on a salt plain at dusk.
      - Somebody walks towards it, alone.

      ## The fair
      - A ticket booth with its light on.
      - Strings of bulbs come on.
      - The carousel begins to turn.
      - A wooden horse rises and sinks.
      - Swings fly out on their chains.
      - The wheel turns over the plain.
      - A mirror with a face that is not there.
      - The carousel again, faster.

      ## Dusk
      - The walker leaves.
      - The fair, very small, and dark.
      """;

  private static final String SHOTS =
      """
      010,4,push in,0,,the salt plain,wide,A fairground far out on a salt plain at dusk
      020,3.5,still,0,Ilva,the salt plain,lonely,"Somebody walks across the salt towards it, alone"
      030,3,push in,0,Ilva,the fair,warm,A ticket booth with its light on
      040,3,pan right,0,,the fair,warm,Strings of bulbs come on
      050,4,orbit,0,,the fair,giddy,The carousel begins to turn
      060,3,still,0,,the fair,giddy,A wooden horse rises and sinks
      070,3.5,tilt up,0,,the fair,free,Swings fly out on their chains
      080,3.5,pull out,0,,the fair,free,The wheel turns over the plain
      090,3,push in,0,Ilva,the fair,strange,A mirror with a face that is not there
      100,3.5,push in,0,,the fair,giddy,"The carousel again, faster"
      110,3,still,0,Ilva,the salt plain,lonely,The walker leaves over the salt
      120,3,pull out,0,,the salt plain,quiet,"The fair on the plain, very small, and dark"
      """;

  private SaltCarousel() {}

  /** The clips by file name. */
  public static Map<String, Clip> clips() {
    Map<String, Clip> clips = new LinkedHashMap<>();
    put(clips, "010 take 1 plain.mp4", clip(Scene.SALT_PLAIN, 1, Move.PUSH_IN));
    put(clips, "010 take 2 plain.mp4", clip(Scene.SALT_PLAIN, 21, Move.PAN_LEFT));
    put(clips, "020 take 1 walker.mp4", clip(Scene.WALK_ON_SALT, 2, Move.STILL));
    put(clips, "030 take 1 booth.mp4", clip(Scene.TICKET_BOOTH, 3, Move.PUSH_IN));
    put(clips, "040 take 1 bulbs.mp4", clip(Scene.STRING_OF_BULBS, 4, Move.PAN_RIGHT));
    put(
        clips,
        "040 take 2 bulbs.mp4",
        clip(Scene.STRING_OF_BULBS, 24, Move.PAN_RIGHT).flaw(Flaw.SOFT));
    put(clips, "050 take 1 carousel.mp4", clip(Scene.CAROUSEL, 5, Move.ORBIT));
    put(clips, "050 take 2 carousel.mp4", clip(Scene.CAROUSEL, 25, Move.PUSH_IN).flaw(Flaw.JUMP));
    put(clips, "060 take 1 horse.mp4", clip(Scene.WOODEN_HORSE, 6, Move.STILL));
    put(clips, "070 take 1 swings.mp4", clip(Scene.SWINGS, 7, Move.TILT_UP));
    put(clips, "080 take 1 wheel.mp4", clip(Scene.SALT_WHEEL, 8, Move.PULL_OUT));
    put(clips, "080 take 2 wheel.mp4", clip(Scene.SALT_WHEEL, 28, Move.STILL).flaw(Flaw.HALF_RATE));
    put(clips, "090 take 1 mirror.mp4", clip(Scene.MIRROR, 9, Move.PUSH_IN));
    put(clips, "100 take 1 carousel.mp4", clip(Scene.CAROUSEL, 10, Move.PUSH_IN));
    put(clips, "110 take 1 walker.mp4", clip(Scene.WALK_ON_SALT, 11, Move.STILL));
    return clips;
  }

  private static Clip clip(Scene scene, long seed, Move move) {
    return Clip.of(scene, seed).move(move).size(576, 1024);
  }

  private static void put(Map<String, Clip> clips, String name, Clip clip) {
    clips.put(name, clip);
  }

  /** Its story: shots, sheets, no voice. */
  public static Story story() {
    Sheets sheets =
        new Sheets(
            List.of(
                new Sheets.Person(
                    "Ilva", "dancer of thirty, dark hair pinned up", "long coat, rose scarf", "")),
            List.of(
                new Sheets.Place("the salt plain", "white cracked salt to the horizon, dusk"),
                new Sheets.Place("the fair", "old fairground, bulbs, rose and teal paint")),
            new Sheets.Look(
                "50 mm lens",
                "faded colour film",
                "last light and bulbs",
                "rose and teal",
                "dreamlike",
                "9:16"),
            List.of("crowds", "lettering"));
    return Story.empty(SECONDS)
        .withBrief(
            new Brief(
                Brief.Form.MUSIC_VIDEO,
                "a fairground on a salt plain at dusk",
                "",
                "no voice",
                SECONDS,
                ""))
        .withScript(SCRIPT, ScriptFormat.MARKDOWN)
        .withSheets(sheets)
        .withShots(new ShotList(DemoStory.shots(SHOTS)));
  }

  /** Makes all its files in a folder. */
  public static void make(Path folder, Consumer<String> progress) throws IOException {
    Files.createDirectories(folder);
    StandInEncoder.sound(folder.resolve(SONG), SaltWaltz.play());
    progress.accept(SONG);
    for (Map.Entry<String, Clip> entry : clips().entrySet()) {
      ScenePainter.paint(entry.getValue(), folder.resolve(entry.getKey()));
      progress.accept(entry.getKey());
    }
  }
}
