package app.latethistle.server.demo;

import app.latethistle.core.film.Balance;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.MusicTurn;
import app.latethistle.core.film.Tie;
import app.latethistle.core.sound.Fade;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.Repeat;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.server.material.SoundRow;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The sounds of both demos, from the shelf: on their cuts, their bars and their words. */
final class DemoSounds {
  private static final Fade SOFT = new Fade(Fade.Shape.EQUAL_POWER, 24_000);

  /** Where sounds come from. */
  interface Shelf {
    /** The sound of a name; empty if it cannot be had. */
    Optional<SoundRow> sound(String name);
  }

  private static final long HALF_A_SECOND = 24_000;

  private static final SteppingAside LAST = new SteppingAside(6, 600);

  private final Shelf shelf;
  private final Map<String, String> shots;
  private final List<FilmSound> laid = new ArrayList<>();

  private DemoSounds(Shelf shelf, Map<String, String> shots) {
    this.shelf = shelf;
    this.shots = shots;
  }

  /**
   * "Night Post" with its sounds; the music stops for a beat before bar 17 and makes room for the
   * last boom.
   *
   * @param shots the names of shots in the film by their numbers
   * @param downbeat the song's first
   * @param lines the names of the voice's lines, in order
   */
  static Film nightPost(
      Film film, Shelf shelf, Map<String, String> shots, int downbeat, List<String> lines) {
    DemoSounds sounds = new DemoSounds(shelf, shots);
    sounds.valley(downbeat);
    sounds.balloon(downbeat);
    sounds.village(downbeat, lines);
    Tie drop = beat(downbeat, 17);
    Balance balance =
        film.balance()
            .withCare(VoiceCare.GENTLE)
            .withTurns(
                List.of(
                    new MusicTurn(MusicTurn.Kind.STOP, Tie.onBeat(downbeat + 4 * 16 - 1), drop)));
    return film.withSounds(sounds.laid).withBalance(balance.withAsked(sounds.asked()));
  }

  /**
   * "Salt Carousel" with what is heard of the plain and the fair; the music grows dull before the
   * carousel turns.
   */
  static Film saltCarousel(Film film, Shelf shelf, Map<String, String> shots) {
    DemoSounds sounds = new DemoSounds(shelf, shots);
    sounds.bed("wind, soft", "010", "030", quiet(-10));
    Repeat walking = new Repeat(6, 30_000, 60, 7);
    sounds.hit("step on gravel", sounds.cut("020"), 0, quiet(-14).withRepeat(walking));
    sounds.bed("fairground, far", "020", "040", quiet(-12).withDistance(70));
    sounds.hit("switch clicks", sounds.cut("030"), HALF_A_SECOND, quiet(-10));
    sounds.hit("lamp oil catches", sounds.cut("040"), 0, quiet(-12).withPan(-40));
    sounds.bed("gears", "050", "070", quiet(-16));
    sounds.hit("wood creaks", sounds.cut("060"), HALF_A_SECOND, quiet(-12).withPan(20));
    sounds.hit("chain rattles", sounds.cut("070"), 0, quiet(-12));
    sounds.hit("whoosh, airy", sounds.cut("070"), HALF_A_SECOND, quiet(-14).withPan(-30));
    sounds.bed("motor hums", "080", "090", quiet(-16).withDistance(40));
    sounds.hit("glass rings", sounds.cut("090"), 0, quiet(-12).withRoom(Room.HALL));
    sounds.hit("riser, 2 s", sounds.cut("100"), 0, quiet(-14));
    sounds.hit("impact, wood", sounds.cut("100"), 0, quiet(-12));
    sounds.bed("wind, soft", "110", Film.END, quiet(-8));
    sounds.hit("handbell", sounds.cut("120"), 0, quiet(-14).withDistance(80).withRoom(Room.VALLEY));
    return film.withSounds(sounds.laid)
        .withBalance(
            film.balance()
                .withTurns(
                    List.of(
                        new MusicTurn(
                            MusicTurn.Kind.MUFFLE, sounds.cut("040"), sounds.cut("050")))));
  }

  private void valley(int downbeat) {
    bed("harbour at night", "010", "030", quiet(-6));
    hit("church bell", beat(downbeat, 1), 0, quiet(-12).withDistance(55).withRoom(Room.VALLEY));
    bed("water lapping", "020", "030", quiet(-9));
    hit("paper is turned", cut("030"), HALF_A_SECOND, quiet(-3));
    bed("candle flutters", "030", "040", quiet(-2));
    hit("pen writes", cut("030"), 2 * HALF_A_SECOND, quiet(-8));
    hit("match, strike", beat(downbeat, 5), 0, quiet(-3));
    hit("lamp oil catches", beat(downbeat, 5), HALF_A_SECOND, quiet(-8));
  }

  private void balloon(int downbeat) {
    hit("burner, short", cut("050"), 0, quiet(-10).withDistance(35));
    hit("envelope is torn", cut("060"), 0, quiet(-9));
    hit("burner, long", beat(downbeat, 7), 0, quiet(-7));
    hit("rope creaks", cut("070"), HALF_A_SECOND, quiet(-7).withPan(-30));
    bed("wind, soft", "070", "090", quiet(-9));
    hit("burner, short", cut("080"), 2 * HALF_A_SECOND, quiet(-14).withDistance(60));
    bed("snow wind, far", "090", "110", quiet(-3));
    hit("lamp oil catches", cut("110"), 0, quiet(-8));
    hit("wood creaks", cut("120"), 0, quiet(-8).withPan(25));
    Repeat running = new Repeat(8, 15_000, 60, 3);
    hit("step on wood", cut("120"), 0, quiet(-9).withRepeat(running).withDistance(15));
    hit("riser, 4 s", beat(downbeat, 17), 0, quiet(-9));
    hit("impact", beat(downbeat, 17), 0, quiet(-8));
  }

  private void village(int downbeat, List<String> lines) {
    hit("door closes", cut("130"), 0, quiet(-6).withRoom(Room.STAIRWELL));
    hit("latch", cut("140"), 0, quiet(-6));
    hit("door slams", cut("150"), 0, quiet(-6).withRoom(Room.VALLEY).withDistance(20));
    bed("night outside", "160", "170", quiet(0));
    hit("thunder, near", beat(downbeat, 19), 0, quiet(-9));
    bed("storm", "170", "180", quiet(-10));
    hit("rope tightens", cut("170"), HALF_A_SECOND, quiet(-9).withPan(30));
    hit("stamp on paper", cut("180"), 0, quiet(-5));
    if (lines.size() >= 6) {
      // "Whoever finds this: knock twice."
      Tie twice = new Tie.OnWord(lines.get(5), 4, Tie.Edge.END, 3);
      hit("knock, twice", twice, 0, quiet(-4).withRoom(Room.CABIN));
    }
    hit("letters fall", cut("180"), 4 * HALF_A_SECOND, quiet(-9));
    hit("burner, long", cut("190"), 0, quiet(-12).withDistance(40));
    hit("boom, far", cut("190"), 0, quiet(-9));
  }

  /** The music steps aside for the boom that ends the film. */
  private Map<String, SteppingAside> asked() {
    return laid.isEmpty() ? Map.of() : Map.of(laid.get(laid.size() - 1).id(), LAST);
  }

  private static Manner quiet(double gain) {
    return Manner.PLAIN.withGain(gain);
  }

  private static Tie beat(int downbeat, int bar) {
    return Tie.onBeat(downbeat + 4 * (bar - 1));
  }

  private Tie cut(String shot) {
    return Tie.onCut(shots.getOrDefault(shot, Film.END));
  }

  private void bed(String name, String from, String to, Manner how) {
    lay(name, Landing.between(cut(from), cut(to)), how.withFades(SOFT, SOFT));
  }

  private void hit(String name, Tie at, long later, Manner how) {
    lay(name, new Landing(at, later, Optional.empty()), how);
  }

  private void lay(String name, Landing when, Manner how) {
    shelf
        .sound(name)
        .ifPresent(
            row ->
                laid.add(new FilmSound("sound~" + (laid.size() + 1), row.material(), when, how)));
  }
}
