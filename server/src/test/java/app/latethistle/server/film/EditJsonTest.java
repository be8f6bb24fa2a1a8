package app.latethistle.server.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Lay;
import app.latethistle.core.film.Lend;
import app.latethistle.core.film.Mark;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Recut;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.Several;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.Tie;
import app.latethistle.core.take.Framing;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class EditJsonTest {
  private static final Placement SHOT =
      new Placement(
          "7~2",
          "7",
          "31",
          12,
          Framing.SOFT,
          true,
          new Run(Run.Way.REVERSE, 50, 200, Run.Between.MOTION),
          new ClipSound(true, 6, -3, -4),
          2);

  static List<Edit> edits() {
    Tie word = new Tie.OnWord("4", 2, Tie.Edge.END, -1);
    Overlay overlay = new Overlay(2, SHOT, Tie.onBeat(4), word, 60, 30, 95, 5);
    FilmSound sound = new FilmSound("7~3", "31", 4, Tie.onBeat(8), 40, -6);
    Marker marker = new Marker("marker", Tie.free(90), "here the “door”");
    Film film =
        new Film(
            List.of(SHOT),
            List.of(Tie.free(0), word),
            new SongUse(4800, 12),
            List.of(overlay),
            List.of(sound),
            List.of(marker));
    return List.of(
        new Edit.SetRun(3, SHOT.run()),
        new Edit.SetSound(3, SHOT.sound()),
        new Recut(Recut.Kind.SPLIT, 1, 1, List.of(SHOT), 2, 0, List.of(word, Tie.onBeat(3))),
        new Lay("7~2", overlay),
        new Lay("7~2", null),
        new Lend("7~3", sound),
        new Mark("marker", marker),
        new Several("both", List.of(new Edit.Slip(0, 3), new Mark("marker", null))),
        new Edit.Replace(film, "follow the beats"));
  }

  @ParameterizedTest
  @MethodSource("edits")
  void whatIsStoredIsReadBackTheSame(Edit edit) {
    assertThat(EditJson.read(EditJson.write(edit))).isEqualTo(edit);
  }

  /** Written out as an earlier release stored it, before shots had runs, sounds and names. */
  @Test
  void olderFilmsAreRead() {
    String stored =
        "{\"edit\":\"replace\",\"film\":{\"placements\":[{\"shot\":\"7\",\"take\":\"31\",\"in\":12,"
            + "\"framing\":\"FILL\",\"locked\":false}],\"joints\":[{\"tie\":\"free\",\"frame\":0},"
            + "{\"tie\":\"beat\",\"beat\":8,\"offset\":0}],\"song\":{\"start\":0,\"fade\":24}},"
            + "\"label\":\"make the first cut\"}";
    Film film =
        new Film(
            List.of(Placement.of("7", "31", 12, Framing.FILL, false)),
            List.of(Tie.free(0), Tie.onBeat(8)),
            new SongUse(0, 24));
    assertThat(EditJson.read(stored)).isEqualTo(new Edit.Replace(film, "make the first cut"));
  }
}
