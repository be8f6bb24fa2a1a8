package app.latethistle.core.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Films;
import app.latethistle.core.film.Joins;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Timecode;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The cut as others read it. */
class PieceListTest {
  private static final PieceList.Names NAMES =
      new PieceList.Names() {
        @Override
        public String shot(Placement shot) {
          return shot.id();
        }

        @Override
        public String file(Take take) {
          return take.id() + ".mp4";
        }
      };

  /** However a film is cut, its pieces follow each other and are as long as it. */
  @Test
  void piecesFollowEachOther() {
    for (int seed = 0; seed < 200; seed++) {
      Resolved film = Films.resolved(Films.film(new Random(seed)));
      PieceList cut = PieceList.of("Film", film, NAMES);
      long at = 0;
      for (PieceList.Piece piece : cut.pieces()) {
        assertThat(piece.at().start()).isEqualTo(at);
        at = piece.at().end();
      }
      assertThat(at).isEqualTo(film.cutting().length());
    }
  }

  private static PieceList two() {
    Resolved film =
        Films.resolved(
            Films.cut(
                List.of(
                    Placement.of("s0", "a0", 10, Framing.FILL),
                    Placement.of("s1", "a1", 20, Framing.FILL)),
                List.of(Tie.free(0), Tie.free(48), Tie.free(96))));
    Transition dissolve = Transition.of(TransitionKind.DISSOLVE, Span.frames(12));
    return PieceList.of(
        "Night Post", film.with(Joins.set(film, List.of(1), dissolve).apply(film.film())), NAMES);
  }

  /**
   * An hour begins the record; a dissolve names both files, its length, and begins before the cut.
   */
  @Test
  void anEditListHasEventsAndDissolves() {
    List<String> lines = EditList.of(two()).lines().toList();
    assertThat(lines.get(0)).isEqualTo("TITLE: NIGHT POST");
    assertThat(lines.get(1)).isEqualTo("FCM: NON-DROP FRAME");
    assertThat(lines.get(2))
        .isEqualTo("001  AX       V     C        00:00:00:10 00:00:02:04 01:00:00:00 01:00:01:18");
    assertThat(lines.get(3)).isEqualTo("* FROM CLIP NAME: a0.mp4");
    assertThat(lines.get(4))
        .matches("002  AX       V     C        (\\S+) \\1 01:00:01:18 01:00:01:18");
    assertThat(lines.get(5))
        .isEqualTo("002  AX       V     D    012 00:00:00:14 00:00:02:20 01:00:01:18 01:00:04:00");
    assertThat(lines).contains("* FROM CLIP NAME: a0.mp4", "* TO CLIP NAME: a1.mp4");
  }

  /** However a film is cut, each event is recorded where the one before ends. */
  @Test
  void recordsFollowEachOther() {
    Pattern event = Pattern.compile("\\d{3}  AX .+? (\\d\\d:\\S+) (\\S+) (\\S+) (\\S+)");
    for (int seed = 0; seed < 100; seed++) {
      String text =
          EditList.of(PieceList.of("F", Films.resolved(Films.film(new Random(seed))), NAMES));
      long end = 24L * 3600;
      for (String line : text.lines().toList()) {
        Matcher found = event.matcher(line);
        if (found.matches()) {
          assertThat(frame(found.group(3))).isEqualTo(end);
          end = frame(found.group(4));
        }
      }
    }
  }

  private static long frame(String timecode) {
    String[] parts = timecode.split(":");
    long seconds =
        Long.parseLong(parts[0]) * 3600 + Long.parseLong(parts[1]) * 60 + Long.parseLong(parts[2]);
    long frame = 24 * seconds + Long.parseLong(parts[3]);
    assertThat(Timecode.of(frame, FrameRate.FPS_24).toString()).isEqualTo(timecode);
    return frame;
  }

  @Test
  void aTableHasARowForEachShot() {
    List<String> rows = ShotTable.of(two()).lines().toList();
    assertThat(rows).hasSize(3);
    assertThat(rows.get(2)).startsWith("s1,a1.mp4,00:00:00:20,").endsWith(",48,2.000,100,12");
  }
}
