package app.latethistle.cli;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.type.SetText;
import app.latethistle.core.type.Writer;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.media.ShippedFaces;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import javax.imageio.ImageIO;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Draws a title. */
@Command(name = "title", description = "Draws a title over nothing, as a PNG picture with opacity.")
final class TitleCommand implements Callable<Integer> {
  /** How long a title stays whose end nobody said, in seconds. */
  private static final long STAYS = 4;

  @Spec private CommandSpec spec;

  @Option(names = "--text", required = true, paramLabel = "T", description = "Its words.")
  private String text;

  @Option(
      names = "--second",
      defaultValue = "",
      paramLabel = "T",
      description = "Words under them.")
  private String second;

  @Option(names = "--design", required = true, paramLabel = "NAME", description = "One of ours.")
  private String design;

  @Option(names = "--size", required = true, paramLabel = "WxH", description = "In pixels.")
  private String size;

  @Option(
      names = "--at",
      paramLabel = "SECONDS",
      description = "Since it began to come; as it has landed if nothing is said.")
  private Double at;

  @Option(names = "--out", required = true, paramLabel = "FILE.png", description = "The picture.")
  private Path out;

  @Override
  public Integer call() throws IOException {
    Design like = Designs.named(design);
    int[] sides = sides();
    FrameRate rate = FrameRate.FPS_24;
    Arrival in = like.movement().in();
    long landing = in.isAtOnce() ? 0 : in.frames();
    long end = landing + rate.framesIn(STAYS);
    WrittenTitle title =
        new WrittenTitle(
            like.saying(text.replace("\\n", "\n"), second),
            like.lettering(),
            like.box(),
            like.movement(),
            new FrameRange(0, end),
            landing,
            List.of());
    long frame = at == null ? landing : rate.framesIn(at);
    if (frame < 0 || frame >= end) {
      throw new Refused(
          "--at "
              + Refused.number(at)
              + ": this title is seen from 0 to "
              + Refused.number(rate.secondsOf(end))
              + " s.");
    }
    Writer writer = new Writer(ShippedFaces.all(), sides[0], sides[1]);
    SetText set = writer.set(title, frame);
    ImageIO.write(writer.picture(title, frame), "png", out.toFile());
    for (int missing : set.missing()) {
      spec.commandLine()
          .getErr()
          .printf(
              "no face has '%s' (U+%04X); a box stands for it%n",
              Character.toString(missing), missing);
    }
    return 0;
  }

  private int[] sides() {
    String[] parts = size.split("x", -1);
    try {
      int width = Integer.parseInt(parts[0]);
      int height = Integer.parseInt(parts[parts.length - 1]);
      boolean fits = width % 2 == 0 && height % 2 == 0 && width >= 16 && height >= 16;
      if (parts.length == 2 && fits && width <= 7680 && height <= 7680) {
        return new int[] {width, height};
      }
    } catch (NumberFormatException e) {
      // Said below.
    }
    throw new Refused(
        "--size " + size + ": give two even numbers from 16 to 7680, such as 1920x1080.");
  }
}
