package app.latethistle.media.beats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Accompaniments that Debian's mma (GPL-2+) plays to chords in many grooves, at tempi usual for
 * them, every third without drums, with one of three sound fonts. Their tempo is known; that it is
 * counted at this level, and not at half of it, is a convention.
 */
final class Accompaniments {
  /**
   * A groove, its slowest and quickest usual tempo, and the beats of its bar.
   *
   * @param fold what it was used for, at other tempi and chords, when the weights were chosen
   */
  private record Groove(String name, int slow, int quick, int beats, Piece.Fold fold) {}

  private static final List<Groove> GROOVES =
      List.of(
          new Groove("8Beat", 90, 150, 4, Piece.Fold.FIT),
          new Groove("BasicRock", 95, 150, 4, Piece.Fold.REPORT),
          new Groove("50sRock", 110, 170, 4, Piece.Fold.CHOOSE),
          new Groove("60sRock", 110, 160, 4, Piece.Fold.REPORT),
          new Groove("Ballad", 62, 90, 4, Piece.Fold.CHOOSE),
          new Groove("Bebop", 150, 200, 4, Piece.Fold.REPORT),
          new Groove("BossaNova", 110, 150, 4, Piece.Fold.FIT),
          new Groove("Calypso", 110, 140, 4, Piece.Fold.REPORT),
          new Groove("CountrySwing", 120, 180, 4, Piece.Fold.FIT),
          new Groove("Folk", 90, 140, 4, Piece.Fold.FIT),
          new Groove("FoxTrot", 110, 170, 4, Piece.Fold.FIT),
          new Groove("GuitarBallad", 65, 95, 4, Piece.Fold.CHOOSE),
          new Groove("HillCountry", 100, 150, 4, Piece.Fold.CHOOSE),
          new Groove("JazzGuitar", 90, 150, 4, Piece.Fold.REPORT),
          new Groove("Polka", 110, 140, 4, Piece.Fold.REPORT),
          new Groove("PopBallad", 62, 90, 4, Piece.Fold.CHOOSE),
          new Groove("Rhumba", 100, 130, 4, Piece.Fold.CHOOSE),
          new Groove("RockBallad", 65, 90, 4, Piece.Fold.REPORT),
          new Groove("Samba", 95, 130, 4, Piece.Fold.CHOOSE),
          new Groove("SlowBlues", 60, 80, 4, Piece.Fold.REPORT),
          new Groove("SlowRock", 60, 85, 4, Piece.Fold.REPORT),
          new Groove("Ska", 120, 170, 4, Piece.Fold.FIT),
          new Groove("SoftRock", 85, 125, 4, Piece.Fold.CHOOSE),
          new Groove("Swing", 120, 190, 4, Piece.Fold.CHOOSE),
          new Groove("Tango", 110, 130, 4, Piece.Fold.CHOOSE),
          new Groove("FastBlues", 120, 180, 4, Piece.Fold.REPORT),
          new Groove("Dixie", 140, 200, 4, Piece.Fold.CHOOSE),
          new Groove("HipHop", 80, 105, 4, Piece.Fold.FIT),
          new Groove("March", 100, 130, 4, Piece.Fold.CHOOSE),
          new Groove("Merengue", 120, 150, 4, Piece.Fold.CHOOSE),
          new Groove("Mambo", 100, 130, 4, Piece.Fold.FIT),
          new Groove("Trance", 125, 145, 4, Piece.Fold.REPORT),
          new Groove("PianoBallad", 62, 92, 4, Piece.Fold.REPORT),
          new Groove("Bolero", 80, 100, 4, Piece.Fold.REPORT),
          new Groove("EasySwing", 110, 160, 4, Piece.Fold.CHOOSE),
          new Groove("Waltz", 90, 170, 3, Piece.Fold.FIT),
          new Groove("JazzWaltz", 110, 190, 3, Piece.Fold.FIT),
          new Groove("CountryWaltz", 90, 150, 3, Piece.Fold.FIT),
          new Groove("ArpeggioWaltz", 90, 150, 3, Piece.Fold.FIT),
          new Groove("PopWaltz", 95, 165, 3, Piece.Fold.CHOOSE),
          new Groove("FrenchWaltz", 95, 165, 3, Piece.Fold.CHOOSE),
          new Groove("Jazz54", 110, 170, 5, Piece.Fold.CHOOSE),
          new Groove("ModernJazzWaltz", 95, 165, 3, Piece.Fold.REPORT),
          new Groove("VieneseWaltz", 95, 165, 3, Piece.Fold.REPORT),
          new Groove("BroadwayWaltz", 95, 165, 3, Piece.Fold.REPORT));

  private static final List<List<String>> CHORDS =
      List.of(
          List.of("C", "Am", "F", "G"),
          List.of("Dm", "G", "C", "A7"),
          List.of("Em", "C", "G", "D"),
          List.of("C", "C", "F", "C", "G7", "F", "C", "G7"),
          List.of("Cm", "Ab", "Eb", "Bb"));

  private static final List<Path> FONTS =
      List.of(
          Rendered.FLUID,
          Path.of("/usr/share/sounds/sf2/TimGM6mb.sf2"),
          Path.of("/usr/share/sounds/sf3/MuseScore_General_Lite.sf3"));

  private Accompaniments() {}

  /** One a groove, a minute long. */
  static List<Piece> all() throws IOException {
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < GROOVES.size(); i++) {
      Groove groove = GROOVES.get(i);
      int tempo = groove.slow + i * 37 % (groove.quick - groove.slow + 1);
      String name = groove.name.toLowerCase(Locale.ROOT) + "-" + tempo;
      Path song = Files.createTempFile("accompaniment", ".mma");
      try {
        Files.writeString(song, song(groove, tempo, i));
        Path midi =
            Made.once(
                name + ".mid", part -> List.of("mma", "-f", part.toString(), song.toString()));
        pieces.add(
            new Piece(
                name,
                Piece.Kind.ACCOMPANIMENT,
                groove.fold,
                new Rendered(midi, FONTS.get(i / 3 % FONTS.size()))));
      } finally {
        Files.delete(song);
      }
    }
    return pieces;
  }

  private static String song(Groove groove, int tempo, int i) {
    StringBuilder song = new StringBuilder("Tempo " + tempo + "\nGroove " + groove.name + "\n");
    if (i / 9 % 3 == 2) {
      song.append("AllTracks DRUM Off\n");
    }
    List<String> chords = CHORDS.get(i % CHORDS.size());
    int bars = tempo / groove.beats / 8 * 8;
    for (int bar = 0; bar < bars; bar++) {
      song.append(bar + 1).append(' ').append(chords.get(bar % chords.size())).append('\n');
    }
    return song.toString();
  }
}
