package app.latethistle.core.release;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.LoudnessAim;
import java.util.List;
import java.util.Optional;

/**
 * What a kind of place asks for, to begin an output with.
 *
 * @param name of the kind of place, 1 to 60 letters
 * @param output of the whole film, tied to nothing
 */
public record Preset(String name, Output output) {
  private static final int LONGEST = 60;

  /** Kinds of places that most films go to: common practice, no source. */
  public static final List<Preset> SHIPPED =
      List.of(
          new Preset(
              "Wide film",
              Output.of("{film}", Encoding.MP4).withPictures(in(16, 9, Optional.of(1080)))),
          new Preset(
              "Upright short, up to 60 s",
              Output.of("{film}, upright", Encoding.MP4)
                  .withPictures(in(9, 16, Optional.of(1080)))
                  .withPart(new Output.Part(Optional.empty(), Optional.empty(), Optional.of(60)))),
          new Preset(
              "Square loop",
              new Output(
                  new NamePattern("{film}, loop"),
                  Encoding.WEBP,
                  Quality.STANDARD,
                  Optional.of(8.0),
                  in(1, 1, Optional.of(480)),
                  new Output.Part(Optional.empty(), Optional.empty(), Optional.of(15)),
                  Optional.empty(),
                  /* ticked= */ true)),
          new Preset(
              "Archive",
              new Output(
                  new NamePattern("{film}, archive"),
                  Encoding.MOV_422,
                  Quality.HIGH,
                  Optional.empty(),
                  Output.Pictures.AS_FILM,
                  Output.Part.WHOLE,
                  Optional.<LoudnessAim>empty(),
                  /* ticked= */ true)));

  /**
   * Takes blanks off the name's ends.
   *
   * @throws IllegalArgumentException if it has no name, or its output is tied to a film
   */
  public Preset {
    name = name == null ? "" : name.strip();
    if (name.isEmpty() || name.length() > LONGEST) {
      throw new Refused("Give the preset a name of up to " + LONGEST + " letters.");
    }
    if (output.part().from().isPresent() || output.part().to().isPresent()) {
      throw new Refused("A preset is for any film; a part of one film cannot be kept in it.");
    }
  }

  private static Output.Pictures in(int across, int down, Optional<Integer> lines) {
    return new Output.Pictures(
        Optional.of(Shape.of(across, down)), lines, Optional.empty(), Optional.empty());
  }
}
