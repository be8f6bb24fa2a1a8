package app.latethistle.media.beats;

import app.latethistle.media.MidiTempoMap;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A MIDI file rendered with fluidsynth: its tempo map tells its beats.
 *
 * @param font the sound font
 */
record Rendered(Path midi, Path font) implements Piece.Source {
  private static final Path FIRST = Path.of("/usr/share/games/openttd/baseset/openmsx");
  private static final Path SECOND = Path.of("/usr/share/games/simutrans/music");
  static final Path FLUID = Path.of("/usr/share/sounds/sf2/FluidR3_GM.sf2");

  /**
   * Fourteen pieces of Debian's packages openttd-openmsx (GPL-2) and simutrans-data (Artistic-1.0)
   * whose tempo maps fit their drums, with fluid-soundfont-gm (MIT).
   */
  static List<Piece> ofGames() {
    List<Piece> pieces = new ArrayList<>();
    for (String name :
        List.of(
            "say_what_redfarn",
            "modern_motion",
            "run_for_your_life",
            "keep_on_rolling",
            "midnight_snow_run",
            "5432gone_redfarn")) {
      pieces.add(piece(FIRST.resolve(name + ".mid"), Piece.Fold.FIT));
    }
    for (String name :
        List.of(
            "03-Sunday-drivers",
            "48-Techno-movement",
            "17-The-Benevolent-Dictators-March",
            "25-Float-on-by",
            "29-Runaway",
            "52-Dreamy-Oriental-Nights",
            "15-The-Wayside-Blues",
            "50-Snowy-Road")) {
      pieces.add(piece(SECOND.resolve(name + ".mid"), Piece.Fold.CHOOSE));
    }
    return pieces;
  }

  private static Piece piece(Path midi, Piece.Fold fold) {
    String name = midi.getFileName().toString().replace(".mid", "");
    return new Piece(name, Piece.Kind.RENDER, fold, new Rendered(midi, FLUID));
  }

  @Override
  public Path wav() throws IOException {
    return Made.once(
        midi.getFileName().toString().replace(".mid", ".wav"),
        part ->
            List.of(
                "fluidsynth",
                "-ni",
                "-q",
                "-g",
                "0.4",
                "-r",
                "44100",
                "-F",
                part.toString(),
                font.toString(),
                midi.toString()));
  }

  private MidiTempoMap map() throws IOException {
    try (InputStream in = Files.newInputStream(midi)) {
      return MidiTempoMap.readPlayed(in);
    }
  }

  @Override
  public List<Double> beats() throws IOException {
    return map().beats();
  }

  @Override
  public List<Double> downbeats() throws IOException {
    return map().downbeats();
  }
}
