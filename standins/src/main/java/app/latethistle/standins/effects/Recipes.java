package app.latethistle.standins.effects;

import static app.latethistle.standins.effects.Recipe.Kind.BED;
import static app.latethistle.standins.effects.Recipe.Kind.HIT;
import static app.latethistle.standins.effects.Recipe.Kind.MOVE;
import static app.latethistle.standins.effects.Recipe.Kind.RISER;
import static app.latethistle.standins.effects.Tape.flat;
import static app.latethistle.standins.effects.Tape.glide;
import static app.latethistle.standins.effects.Tape.rising;
import static app.latethistle.standins.effects.Tape.struck;
import static app.latethistle.standins.effects.Tape.swell;

import java.util.ArrayList;
import java.util.List;

/** All that can be made. */
final class Recipes {
  /** A bar of wood that lies free at both ends (Fletcher and Rossing, 2.7). */
  private static final double[] WOOD = {1, 2.76, 5.4, 8.93};

  private static final double[] PLATE = {1, 1.58, 2.24, 2.92, 3.46, 4.1, 5.3, 6.4};
  private static final double[] GLASS = {1, 2.32, 4.25, 6.63, 9.38};

  /** A church bell's hum, prime, tierce, quint, nominal and above (Fletcher and Rossing, 21.3). */
  private static final double[] BELL = {0.5, 1, 1.2, 1.5, 2, 2.5, 3, 4.2};

  private static final double[] SKIN = {1, 1.59, 2.14, 2.3};

  private static final List<Recipe> ALL = new ArrayList<>();

  static {
    weather();
    fires();
    steps();
    doors();
    soft();
    hard();
    living();
    bells();
    film();
    rooms();
  }

  private Recipes() {}

  static List<Recipe> all() {
    return List.copyOf(ALL);
  }

  private static void add(
      String name,
      Recipe.Kind kind,
      String words,
      double seconds,
      double peak,
      Recipe.Making making) {
    ALL.add(new Recipe(name, kind, List.of(words.split(" ")), seconds, peak, making));
  }

  private static void weather() {
    add("wind, soft", BED, "air breeze weather", 8, -14, t -> wind(t, 350, 0.12, 0.6));
    add("wind, gusty", BED, "air storm weather gust", 9, -9, t -> wind(t, 480, 0.3, 0.9));
    add("wind through a gap", BED, "air whistle draught door", 8, -12, t -> gap(t, 900));
    add("snow wind, far", BED, "winter cold blizzard air", 9, -16, t -> wind(t, 240, 0.1, 0.5));
    add("wind in wires", BED, "air hum whistle rigging", 8, -14, t -> gap(t, 420));
    add(
        "storm",
        BED,
        "wind rain weather thunder",
        9,
        -6,
        t -> {
          wind(t, 300, 0.35, 1);
          t.hiss(flat(0.12), 1_500, 9_000, 0.9);
        });
    add("water lapping", BED, "lake shore jetty waves sea", 9, -11, t -> lapping(t, 0.6));
    add("waves on a beach", BED, "sea surf shore water", 10, -8, t -> waves(t));
    add("stream", BED, "water brook river", 8, -14, t -> stream(t, 60));
    add(
        "waterfall",
        BED,
        "water river rush",
        8,
        -9,
        t -> t.hiss(flat(0.4), 150, 7_000, 0.9).hiss(t.wandering(3), 60, 700, 0.8));
    add(
        "drops of water",
        BED,
        "water drip cave cellar",
        6,
        -9,
        t -> t.grains(3, flat(1), s -> drop(t, s, 0.5)).space(1.6, 0.3));
    add("drop of water", HIT, "drip plop", 1, -6, t -> drop(t, 0.02, 1));
    add("splash, small", HIT, "water throw stone", 1.2, -6, t -> splash(t, 0.6));
    add("splash, large", HIT, "water fall jump", 2.2, -4, t -> splash(t, 1.4));
    add("bubbles", BED, "water under diving", 5, -9, t -> t.grains(14, flat(1), s -> bubble(t, s)));
    add("rain, soft", BED, "water weather", 8, -18, t -> rain(t, 60, 0.04));
    add("rain, heavy", BED, "water weather storm pouring", 8, -12, t -> rain(t, 300, 0.16));
    add(
        "rain on a roof",
        BED,
        "water tent weather",
        8,
        -12,
        t -> {
          rain(t, 40, 0.03);
          t.grains(
              70,
              flat(1),
              s ->
                  t.hit(
                      s,
                      t.between(0.05, 0.3),
                      t.between(-0.7, 0.7),
                      t.between(180, 420),
                      SKIN,
                      0.02,
                      0));
        });
    add(
        "rain on a window",
        BED,
        "water glass weather",
        8,
        -14,
        t -> {
          rain(t, 30, 0.02);
          t.grains(
              45,
              flat(1),
              s ->
                  t.hit(
                      s,
                      t.between(0.03, 0.2),
                      t.between(-0.6, 0.6),
                      t.between(1_400, 2_600),
                      GLASS,
                      0.008,
                      0.4));
        });
    add("thunder, near", HIT, "storm crack weather lightning", 5, -3, t -> thunder(t, 1));
    add("thunder, far", HIT, "storm rumble weather", 6, -6, t -> thunder(t, 0));
    add(
        "leaves",
        BED,
        "trees rustle wind forest",
        7,
        -15,
        t -> {
          Tape.At gust = t.wandering(0.3);
          t.grains(
              220,
              gust,
              s -> t.puff(s, t.between(0.02, 0.2), t.between(-0.9, 0.9), 2_500, 9_000, 0.01));
          t.hiss(gust.times(flat(0.03)), 1_500, 8_000, 0.9);
        });
    add(
        "ice cracks",
        HIT,
        "frozen lake snap",
        2,
        -6,
        t -> {
          t.puff(0.01, 1, 0, 700, 9_000, 0.01);
          t.tone(struck(0.01, 0.001, 0.12), glide(2_400, 180, 0.35), 0.2, 2, 0.4);
          t.grains(9, flat(1), s -> t.puff(s, 0.2, t.between(-1, 1), 1_500, 9_000, 0.004))
              .space(1.2, 0.3);
        });
  }

  private static void wind(Tape t, double hertz, double depth, double speed) {
    Tape.At gust = t.wandering(0.18 * speed);
    t.sweep(s -> 0.2 + depth * 2 * gust.at(s), s -> hertz * (0.6 + 1.1 * gust.at(s)), 0.9, 0.75);
    t.hiss(s -> 0.05 * gust.at(s), 900, 5_000, 0.9);
  }

  private static void gap(Tape t, double hertz) {
    Tape.At gust = t.wandering(0.25);
    t.sweep(s -> 0.7 * gust.at(s), s -> hertz * (0.75 + 0.5 * gust.at(s)), 14, 0.3);
    t.sweep(s -> 0.25 * gust.at(s), s -> 2.02 * hertz * (0.75 + 0.5 * gust.at(s)), 18, 0.3);
    wind(t, 300, 0.05, 0.8);
  }

  private static void lapping(Tape t, double perSecond) {
    t.hiss(flat(0.02), 300, 3_000, 0.9);
    t.grains(
        perSecond * 2.2,
        flat(1),
        s -> {
          double pan = t.between(-0.8, 0.8);
          double loud = t.between(0.2, 0.7);
          for (int n = 0; n < 14; n++) {
            double at = s + t.between(0, 0.5);
            t.puff(
                at,
                loud * t.between(0.1, 0.5),
                pan,
                250,
                t.between(900, 2_600),
                t.between(0.03, 0.12));
          }
          for (int n = 0; n < 3; n++) {
            bubble(t, s + t.between(0, 0.45));
          }
        });
  }

  private static void waves(Tape t) {
    for (double s = -1; s < t.seconds(); s += t.between(3.2, 4.8)) {
      double from = s;
      t.hiss(
          x -> {
            double u = (x - from) / 4.2;
            return u < 0 || u > 1 ? 0 : Math.pow(Math.sin(Math.PI * Math.sqrt(u)), 2);
          },
          120,
          4_200,
          0.9);
    }
    t.hiss(flat(0.06), 200, 2_000, 0.9);
  }

  private static void stream(Tape t, double bubbles) {
    t.hiss(s -> 0.1, 400, 5_000, 0.9);
    t.grains(bubbles, flat(1), s -> bubble(t, s));
  }

  /** A bubble rings ever higher as it comes up (Minnaert 1933). */
  private static void bubble(Tape t, double at) {
    double hertz = t.between(420, 1_500);
    double pan = t.between(-0.8, 0.8);
    double loud = t.between(0.05, 0.3);
    for (int n = 0; n < 4; n++) {
      t.hit(at + 0.006 * n, loud, pan, hertz * (1 + 0.09 * n), new double[] {1}, 0.012, 0);
    }
  }

  private static void drop(Tape t, double at, double level) {
    double hertz = t.between(900, 1_700);
    for (int n = 0; n < 5; n++) {
      t.hit(
          at + 0.004 * n,
          level * 0.5,
          t.between(-0.2, 0.2),
          hertz * (1 + 0.07 * n),
          new double[] {1},
          0.018,
          n == 0 ? 0.1 : 0);
    }
  }

  private static void splash(Tape t, double size) {
    t.puff(0.01, 1, 0, 200, 5_000, 0.05 * size);
    t.sweep(struck(0.02, 0.03, 0.22 * size).times(flat(0.8)), glide(1_800, 700, size), 0.8, 0.8);
    t.grains(60, struck(0.08, 0.05, 0.3 * size), s -> bubble(t, s));
    t.grains(50, struck(0.15, 0.05, 0.35 * size), s -> drop(t, s, 0.15));
  }

  private static void rain(Tape t, double drops, double hiss) {
    t.hiss(flat(hiss), 900, 10_000, 0.95);
    t.grains(
        drops,
        flat(1),
        s ->
            t.puff(
                s,
                t.between(0.02, 0.25),
                t.between(-1, 1),
                1_800,
                10_000,
                t.between(0.002, 0.006)));
  }

  private static void thunder(Tape t, int near) {
    if (near > 0) {
      t.puff(0.02, 1.2, 0, 300, 9_000, 0.05).puff(0.12, 0.8, 0.3, 200, 6_000, 0.09);
    }
    Tape.At roll = t.wandering(1.1);
    double rise = near > 0 ? 0.05 : 0.8;
    t.hiss(
        struck(0.05, rise, 1.3).times(s -> 0.4 + roll.at(s)).times(flat(3)),
        25,
        near > 0 ? 500 : 160,
        0.6);
  }

  private static void fires() {
    add("fire, small", BED, "flame campfire crackle", 8, -12, t -> fire(t, 14, 0.1));
    add("fire, large", BED, "flame blaze crackle burning", 8, -9, t -> fire(t, 40, 0.3));
    add("hearth", BED, "fire room crackle warm", 8, -14, t -> fire(t, 9, 0.06));
    add("embers", BED, "fire crackle glow", 6, -14, t -> fire(t, 22, 0.01));
    add("burner, long", MOVE, "balloon gas flame blast", 4, -5, t -> burner(t, 3.2));
    add("burner, short", MOVE, "balloon gas flame blast", 1.8, -5, t -> burner(t, 1));
    add(
        "match, strike",
        HIT,
        "light flame lantern match",
        1.4,
        -6,
        t -> {
          t.hiss(struck(0.05, 0.06, 0.1).times(flat(0.8)), 2_500, 12_000, 0.3);
          t.hiss(struck(0.16, 0.08, 0.35).times(flat(0.5)), 500, 6_000, 0.5);
          t.grains(40, struck(0.2, 0.1, 0.4), s -> t.puff(s, 0.2, 0, 2_000, 9_000, 0.002));
        });
    add(
        "lamp oil catches",
        HIT,
        "lantern flame wick light",
        2,
        -8,
        t -> {
          t.sweep(swell(0.15, 0.9).times(flat(0.9)), glide(300, 700, 0.8), 0.8, 0.5);
          t.hiss(struck(0.5, 0.2, 0.5).times(flat(0.1)), 800, 5_000, 0.5);
        });
    add(
        "candle flutters",
        BED,
        "flame draught wick near",
        5,
        -18,
        t -> {
          Tape.At flutter = t.wandering(5);
          t.sweep(s -> 0.3 * Math.pow(flutter.at(s), 3), flat(260), 1.2, 0.3);
          fire(t, 2, 0.005);
        });
    add(
        "fire is put out",
        HIT,
        "hiss steam water quench",
        2.5,
        -8,
        t ->
            t.hiss(struck(0.02, 0.03, 0.7), 1_500, 12_000, 0.7)
                .grains(60, struck(0, 0.1, 0.6), s -> bubble(t, s)));
    add(
        "fuse",
        BED,
        "spark burn hiss crackle",
        4,
        -14,
        t ->
            t.hiss(s -> 0.2, 3_000, 12_000, 0.2)
                .grains(
                    80, flat(1), s -> t.puff(s, 0.4, t.between(-0.3, 0.3), 3_000, 14_000, 0.001)));
  }

  private static void fire(Tape t, double crackles, double roar) {
    Tape.At breath = t.wandering(1.2);
    t.sweep(s -> roar * (0.4 + breath.at(s)), s -> 180 + 160 * breath.at(s), 0.7, 0.7);
    t.grains(
        crackles,
        flat(1),
        s -> {
          double loud = Math.pow(t.chance(), 3);
          t.puff(s, 0.1 + loud, t.between(-0.6, 0.6), 900, 11_000, t.between(0.001, 0.006));
        });
  }

  private static void burner(Tape t, double length) {
    Tape.At on =
        s ->
            s < 0.05 || s > length
                ? 0
                : Math.min(1, (s - 0.05) / 0.06) * Math.min(1, (length - s) / 0.3);
    t.sweep(on.times(flat(0.9)), s -> 320 + 40 * Math.sin(30 * s), 0.6, 0.6);
    t.hiss(on.times(flat(0.35)), 700, 9_000, 0.6);
    t.puff(0.05, 0.9, 0, 80, 900, 0.05);
  }

  private static void steps() {
    String[] grounds = {"snow", "wood", "stone", "gravel", "grass", "metal"};
    for (String ground : grounds) {
      add("step on " + ground, HIT, "foot walk footstep", 0.7, -8, t -> step(t, ground, 0.03));
      add(
          "steps on " + ground,
          BED,
          "feet walk footsteps walking",
          4.5,
          -8,
          t -> {
            for (double s = 0.1; s < 4.2; s += t.between(0.54, 0.6)) {
              step(t, ground, s);
            }
          });
    }
  }

  private static void step(Tape t, String ground, double at) {
    double heel = t.between(0.7, 1);
    double toe = at + t.between(0.08, 0.11);
    switch (ground) {
      case "snow" -> {
        for (int n = 0; n < 26; n++) {
          t.puff(
              at + t.between(0, 0.19),
              t.between(0.05, 0.3) * heel,
              0,
              500,
              4_200,
              t.between(0.004, 0.012));
        }
      }
      case "wood" -> {
        t.hit(at, 0.8 * heel, 0, t.between(95, 125), WOOD, 0.05, 0.5);
        t.hit(toe, 0.35, 0, t.between(140, 180), WOOD, 0.03, 0.4);
      }
      case "stone" -> {
        t.puff(at, 0.9 * heel, 0, 500, 6_500, 0.008).hit(at, 0.25, 0, 190, SKIN, 0.02, 0.4);
        t.puff(toe, 0.4, 0, 900, 8_000, 0.01);
      }
      case "gravel" -> {
        for (int n = 0; n < 34; n++) {
          t.puff(
              at + t.between(0, 0.2),
              t.between(0.05, 0.5) * heel,
              t.between(-0.3, 0.3),
              1_200,
              9_000,
              t.between(0.001, 0.004));
        }
        t.puff(at, 0.3, 0, 120, 600, 0.02);
      }
      case "grass" -> {
        t.puff(at, 0.3 * heel, 0, 100, 400, 0.03);
        for (int n = 0; n < 20; n++) {
          t.puff(
              at + t.between(0, 0.22),
              t.between(0.02, 0.12),
              t.between(-0.3, 0.3),
              2_500,
              9_000,
              0.008);
        }
      }
      default -> {
        t.hit(at, 0.6 * heel, 0, t.between(210, 260), PLATE, 0.14, 0.6);
        t.hit(toe, 0.25, 0, t.between(300, 340), PLATE, 0.1, 0.4);
      }
    }
  }

  private static void doors() {
    add(
        "door creaks, slow",
        MOVE,
        "hinge old wooden open",
        3,
        -9,
        t -> creak(t, 0.1, 2.6, 26, 60, 500));
    add(
        "door creaks, quick",
        MOVE,
        "hinge wooden open",
        1.2,
        -9,
        t -> creak(t, 0.05, 0.9, 60, 140, 700));
    add("door closes", HIT, "shut wooden soft", 1.2, -7, t -> thud(t, 0.1, 80, 0.5, true));
    add(
        "door slams",
        HIT,
        "shut bang wooden hard",
        1.8,
        -3,
        t -> {
          thud(t, 0.04, 62, 1, true);
          t.space(0.7, 0.25);
        });
    add(
        "heavy door",
        HIT,
        "shut iron gate cellar",
        2.6,
        -4,
        t -> {
          thud(t, 0.06, 48, 1, true);
          t.hit(0.07, 0.3, 0, 180, PLATE, 0.3, 0.2).space(1.5, 0.35);
        });
    add(
        "latch",
        HIT,
        "door click lock metal",
        0.6,
        -9,
        t ->
            t.hit(0.02, 0.5, 0, 1_900, PLATE, 0.02, 0.8).hit(0.1, 0.7, 0, 1_300, PLATE, 0.03, 0.7));
    add(
        "lock turns",
        HIT,
        "door key metal",
        1,
        -9,
        t -> {
          for (double s : new double[] {0.05, 0.2, 0.33, 0.48}) {
            t.hit(s, t.between(0.3, 0.7), 0, t.between(1_300, 2_300), PLATE, 0.02, 0.7);
          }
        });
    add("knock, once", HIT, "door wood knuckles", 0.8, -6, t -> knock(t, 0.02));
    add(
        "knock, twice",
        HIT,
        "door wood knuckles",
        1.2,
        -6,
        t -> {
          knock(t, 0.02);
          knock(t, 0.36);
        });
    add(
        "knock, three",
        HIT,
        "door wood knuckles",
        1.4,
        -6,
        t -> {
          knock(t, 0.02);
          knock(t, 0.27);
          knock(t, 0.6);
        });
    add(
        "handle rattles",
        MOVE,
        "door metal locked",
        1.5,
        -9,
        t ->
            t.grains(
                16,
                swell(0, 1.3),
                s -> t.hit(s, t.between(0.2, 0.6), 0, t.between(700, 1_600), PLATE, 0.03, 0.5)));
    add(
        "letter box",
        HIT,
        "door post flap metal letter",
        0.9,
        -8,
        t -> t.hit(0.03, 0.3, 0, 650, PLATE, 0.06, 0.5).hit(0.3, 0.8, 0, 520, PLATE, 0.09, 0.6));
  }

  private static void knock(Tape t, double at) {
    t.hit(at, 0.9, 0, t.between(165, 185), WOOD, 0.045, 0.45);
    t.hit(at, 0.4, 0.1, t.between(88, 96), SKIN, 0.07, 0);
  }

  private static void thud(Tape t, double at, double hertz, double level, boolean latch) {
    t.hit(at, level, 0, hertz, SKIN, 0.09, 0.3);
    t.hit(at, 0.5 * level, 0, hertz * 3.1, WOOD, 0.05, 0.5);
    if (latch) {
      t.hit(at + 0.035, 0.3 * level, 0.1, 1_200, PLATE, 0.025, 0.6);
    }
  }

  /** Sticks and slips: ever so often a little jolt sets the wood ringing. */
  private static void creak(
      Tape t, double from, double to, double slow, double quick, double hertz) {
    double s = from;
    double body = t.between(0.85, 1.15) * hertz;
    while (s < to) {
      double along = (s - from) / (to - from);
      double rate = slow + (quick - slow) * Math.sin(Math.PI * along) * t.between(0.7, 1.3);
      t.hit(
          s,
          Math.sin(Math.PI * along) * t.between(0.25, 0.6),
          0,
          body * (1 + 0.25 * along),
          WOOD,
          0.008,
          0.12);
      s += 1 / rate * t.between(0.85, 1.15);
    }
  }

  private static void soft() {
    add(
        "cloth rustles",
        MOVE,
        "coat clothes fabric move",
        1.5,
        -16,
        t -> rustle(t, 60, 600, 5_000, 0.02));
    add(
        "cloth flaps",
        BED,
        "flag sail wind fabric",
        4,
        -10,
        t -> {
          for (double s = 0.05; s < 3.9; s += t.between(0.14, 0.34)) {
            t.puff(s, t.between(0.3, 1), t.between(-0.4, 0.4), 120, 1_600, t.between(0.02, 0.05));
          }
        });
    add(
        "coat is put on",
        MOVE,
        "cloth clothes fabric sleeve",
        2.2,
        -15,
        t -> rustle(t, 90, 300, 3_500, 0.035));
    add(
        "paper is turned",
        HIT,
        "page book letter leaf",
        0.9,
        -13,
        t -> {
          t.sweep(swell(0.02, 0.5).times(flat(0.6)), glide(2_500, 5_500, 0.5), 0.9, 0.5);
          t.puff(0.5, 0.5, 0.3, 1_500, 9_000, 0.02);
        });
    add("paper crumples", MOVE, "letter crush", 1.6, -9, t -> rustle(t, 150, 1_800, 11_000, 0.004));
    add(
        "letter slides",
        HIT,
        "paper envelope door post",
        0.9,
        -13,
        t -> t.sweep(swell(0.02, 0.75), glide(1_800, 3_600, 0.7), 0.8, 0.3));
    add(
        "envelope is torn",
        MOVE,
        "paper letter rip open",
        1,
        -9,
        t ->
            t.grains(
                260, swell(0, 0.8), s -> t.puff(s, t.between(0.2, 0.7), 0, 1_500, 11_000, 0.002)));
    add(
        "letters fall",
        HIT,
        "paper stack post drop",
        1.2,
        -10,
        t -> {
          t.puff(0.04, 0.8, 0, 120, 1_600, 0.03);
          t.grains(
              30,
              struck(0.05, 0.02, 0.25),
              s -> t.puff(s, t.between(0.1, 0.4), t.between(-0.4, 0.4), 900, 8_000, 0.012));
        });
    add(
        "pen writes",
        BED,
        "paper write scratch letter",
        3,
        -18,
        t -> {
          for (double s = 0.1; s < 2.8; s += t.between(0.12, 0.26)) {
            double from = s;
            t.sweep(
                swell(from, from + 0.1).times(flat(t.between(0.3, 0.8))), flat(4_200), 1.4, 0.1);
          }
        });
    add("stamp on paper", HIT, "post letter thump", 0.8, -7, t -> thud(t, 0.03, 120, 0.8, false));
    add(
        "rope creaks",
        MOVE,
        "ship boat strain basket",
        2.4,
        -10,
        t -> creak(t, 0.1, 2.1, 30, 55, 320));
    add("rope tightens", MOVE, "strain pull knot", 1.6, -10, t -> creak(t, 0.1, 1.4, 25, 120, 450));
    add(
        "rope slides",
        MOVE,
        "pulley run line",
        1.6,
        -12,
        t ->
            t.sweep(swell(0.05, 1.5), glide(700, 1_900, 1.4), 1, 0.3)
                .grains(90, swell(0, 1.5), s -> t.puff(s, 0.15, 0, 900, 5_000, 0.003)));
    add(
        "rope snaps",
        HIT,
        "break whip crack",
        1.2,
        -5,
        t -> {
          t.puff(0.03, 1, 0, 500, 10_000, 0.012);
          t.sweep(struck(0.04, 0.02, 0.18).times(flat(0.6)), glide(3_000, 400, 0.4), 1.2, 0.6);
        });
    add(
        "bag is set down",
        HIT,
        "sack thump leather",
        0.9,
        -8,
        t -> {
          t.puff(0.03, 0.9, 0, 60, 700, 0.05);
          rustle(t, 40, 500, 4_000, 0.02);
        });
  }

  private static void rustle(Tape t, double perSecond, double low, double high, double decay) {
    t.grains(
        perSecond,
        swell(0, t.seconds()),
        s ->
            t.puff(
                s,
                t.between(0.1, 0.8),
                t.between(-0.5, 0.5),
                low,
                high,
                decay * t.between(0.6, 1.6)));
  }

  private static void hard() {
    add(
        "wood creaks",
        MOVE,
        "floor board old plank",
        1.2,
        -10,
        t -> creak(t, 0.05, 0.9, 20, 50, 380));
    add(
        "plank falls",
        HIT,
        "wood board drop",
        1.4,
        -5,
        t -> {
          for (double s : new double[] {0.04, 0.2, 0.3, 0.36}) {
            t.hit(s, 1.1 - 2 * s, 0, 240, WOOD, 0.08, 0.5);
          }
        });
    add(
        "wood cracks",
        HIT,
        "break branch snap",
        1,
        -5,
        t -> {
          t.puff(0.02, 1, 0, 600, 9_000, 0.006);
          t.grains(
              50,
              struck(0.02, 0.005, 0.1),
              s -> t.hit(s, t.between(0.1, 0.6), 0, t.between(500, 1_400), WOOD, 0.01, 0.4));
        });
    add(
        "crate slides",
        MOVE,
        "wood box drag floor",
        1.8,
        -9,
        t -> {
          t.sweep(swell(0.05, 1.7), flat(320), 0.7, 0.3);
          creak(t, 0.1, 1.6, 45, 70, 260);
        });
    add(
        "metal clangs",
        HIT,
        "iron bang bar",
        2.4,
        -5,
        t -> t.hit(0.02, 1, 0, 340, PLATE, 0.5, 0.5));
    add(
        "metal scrapes",
        MOVE,
        "iron blade drag",
        1.6,
        -8,
        t ->
            t.sweep(swell(0.02, 1.5), t.wandering(4).times(flat(2_600)), 8, 0.3)
                .sweep(swell(0.02, 1.5), flat(5_200), 10, 0.4));
    add(
        "chain rattles",
        BED,
        "metal iron links",
        2.6,
        -9,
        t ->
            t.grains(
                28,
                swell(0, 2.5),
                s ->
                    t.hit(
                        s,
                        t.between(0.2, 0.7),
                        t.between(-0.3, 0.3),
                        t.between(1_500, 3_200),
                        PLATE,
                        0.04,
                        0.4)));
    add(
        "coin falls",
        HIT,
        "metal money drop spin",
        1.6,
        -8,
        t -> {
          double s = 0.03;
          for (double gap = 0.22; gap > 0.02; gap *= 0.72) {
            t.hit(s, 0.5 + gap, 0, 3_300, PLATE, 0.07, 0.3);
            s += gap;
          }
        });
    add(
        "bucket is set down",
        HIT,
        "metal tin handle",
        1.3,
        -7,
        t -> t.hit(0.03, 0.9, 0, 230, PLATE, 0.18, 0.5).hit(0.22, 0.3, 0.2, 900, PLATE, 0.06, 0.4));
    add(
        "hinge squeaks",
        MOVE,
        "metal door gate",
        1.4,
        -10,
        t ->
            t.tone(
                swell(0.05, 1.2),
                s -> 1_300 + 250 * Math.sin(2 * Math.PI * 1.3 * s) + 40 * Math.sin(130 * s),
                0,
                5,
                0.7));
    add(
        "anvil",
        HIT,
        "metal hammer smith ring",
        2.6,
        -5,
        t -> t.hit(0.02, 1, 0, 780, PLATE, 0.7, 0.6));
    add(
        "glass clinks",
        HIT,
        "toast bottle cup",
        1.4,
        -8,
        t -> t.hit(0.02, 0.9, 0, 2_300, GLASS, 0.22, 0.2));
    add(
        "glass breaks",
        HIT,
        "window smash shatter",
        2,
        -4,
        t -> {
          t.puff(0.02, 1, 0, 1_200, 12_000, 0.02);
          t.grains(
              120,
              struck(0.03, 0.01, 0.35),
              s ->
                  t.hit(
                      s,
                      t.between(0.05, 0.45),
                      t.between(-0.8, 0.8),
                      t.between(2_000, 6_500),
                      GLASS,
                      0.05,
                      0.3));
        });
    add("glass rings", HIT, "rim tone", 3.5, -9, t -> t.hit(0.02, 0.8, 0, 1_050, GLASS, 1.2, 0.02));
    add(
        "bottle is set down",
        HIT,
        "glass table",
        0.7,
        -9,
        t -> t.hit(0.02, 0.5, 0, 1_300, GLASS, 0.05, 0.3).hit(0.02, 0.6, 0, 130, SKIN, 0.03, 0.2));
    add(
        "stone falls",
        HIT,
        "rock drop",
        1.2,
        -5,
        t -> {
          thud(t, 0.03, 90, 1, false);
          t.puff(0.03, 0.8, 0, 700, 7_000, 0.008).puff(0.3, 0.4, 0.2, 600, 6_000, 0.007);
        });
    add(
        "gears",
        BED,
        "clockwork machine mechanism",
        4,
        -10,
        t -> {
          for (double s = 0.05; s < 3.9; s += 0.125) {
            t.hit(s, t.between(0.5, 0.7), 0, 1_500, PLATE, 0.012, 0.6);
          }
        });
  }

  private static void living() {
    add("engine idles", BED, "motor car boat", 6, -9, t -> engine(t, flat(24)));
    add(
        "engine starts",
        MOVE,
        "motor car boat",
        3.5,
        -7,
        t ->
            engine(
                t, s -> s < 0.9 ? 7 + 2 * Math.sin(20 * s) : 22 + 20 * Math.exp(-(s - 0.9) * 2)));
    add(
        "motor hums",
        BED,
        "machine electric fan",
        6,
        -16,
        t -> t.tone(flat(0.3), flat(100), 0, 8, 0.55).hiss(flat(0.03), 200, 3_000, 0.6));
    add("crowd murmurs", BED, "people voices room walla", 8, -14, t -> murmur(t, 26));
    add(
        "crowd, far",
        BED,
        "people voices fair outside",
        8,
        -20,
        t -> {
          murmur(t, 40);
          t.space(1.5, 0.4);
        });
    add(
        "applause",
        BED,
        "people clap hands audience",
        6,
        -9,
        t ->
            t.grains(
                260,
                swell(-0.5, 6.5),
                s ->
                    t.puff(
                        s,
                        t.between(0.1, 0.6),
                        t.between(-1, 1),
                        700,
                        5_000,
                        t.between(0.004, 0.01))));
    add(
        "breath",
        MOVE,
        "breathe person sigh",
        1.8,
        -16,
        t -> t.sweep(swell(0.05, 1.6), glide(1_500, 900, 1.6), 1.1, 0.2));
    add("bird chirps", HIT, "nature small call", 0.6, -12, t -> chirp(t, 0.03, 3_800));
    add(
        "birds",
        BED,
        "nature morning song forest",
        8,
        -14,
        t ->
            t.grains(
                1.6,
                flat(1),
                s -> {
                  double f = t.between(2_600, 5_200);
                  for (int n = 0; n < 4; n++) {
                    chirp(t, s + 0.13 * n, f);
                  }
                }));
    add(
        "owl",
        HIT,
        "bird night call hoot",
        2.2,
        -12,
        t -> {
          t.tone(swell(0.1, 0.5), flat(430), 0, 1, 0.2)
              .tone(swell(0.9, 1.7), s -> 430 - 30 * (s - 0.9), 0, 1, 0.2)
              .space(1.5, 0.2);
        });
    add(
        "gulls",
        BED,
        "bird sea harbour call",
        5,
        -13,
        t ->
            t.grains(
                0.9,
                flat(1),
                s -> {
                  for (int n = 0; n < 3; n++) {
                    double at = s + 0.34 * n;
                    t.tone(
                        swell(at, at + 0.3),
                        x -> 1_500 - 700 * (x - at),
                        t.between(-0.7, 0.7),
                        5,
                        0.6);
                  }
                }));
    add(
        "crickets",
        BED,
        "insects night summer",
        6,
        -18,
        t ->
            t.tone(
                    s ->
                        0.4
                            * Math.pow(Math.max(0, Math.sin(2 * Math.PI * 14 * s)), 2)
                            * (Math.sin(2 * Math.PI * 1.1 * s) > 0 ? 1 : 0.1),
                    flat(4_300),
                    0.4,
                    0,
                    0)
                .tone(
                    s -> 0.3 * Math.pow(Math.max(0, Math.sin(2 * Math.PI * 15.3 * s + 1)), 2),
                    flat(4_550),
                    -0.5,
                    0,
                    0));
    add(
        "horse walks",
        BED,
        "hooves animal steps",
        4,
        -8,
        t -> {
          for (double s = 0.1; s < 3.8; s += 0.31) {
            t.hit(s, t.between(0.5, 0.9), 0, t.between(420, 520), WOOD, 0.02, 0.3);
          }
        });
    add("heartbeat, slow", BED, "heart pulse tension", 4.5, -5, t -> heart(t, 1));
    add("heartbeat, quick", BED, "heart pulse tension fast", 3.6, -5, t -> heart(t, 0.55));
  }

  private static void engine(Tape t, Tape.At turns) {
    t.tone(flat(0.5), turns, 0, 24, 0.82);
    t.tone(flat(0.3), s -> turns.at(s) * 1.503, 0.2, 18, 0.78);
    t.hiss(s -> 0.06 * (1 + Math.sin(2 * Math.PI * turns.at(s) * s)), 200, 2_500, 0.6);
  }

  /** Voices nobody understands: pulses through three bands that move as vowels do. */
  private static void murmur(Tape t, int people) {
    for (int p = 0; p < people; p++) {
      double pitch = t.between(95, 230);
      double rate = t.between(2.5, 4.5);
      double phase = t.between(0, 6);
      double loud = t.between(0.1, 0.4);
      Tape.At talk =
          s ->
              loud
                  * Math.pow(Math.max(0, Math.sin(rate * s + phase)), 0.6)
                  * Math.max(0, Math.sin(0.7 * s + phase));
      t.tone(
          talk.times(flat(0.25)),
          s -> pitch * (1 + 0.08 * Math.sin(1.3 * rate * s + phase)),
          t.between(-0.9, 0.9),
          8,
          0.72);
    }
    t.hiss(t.wandering(1.5).times(flat(0.05)), 300, 2_200, 0.9);
  }

  private static void chirp(Tape t, double at, double hertz) {
    t.tone(
        swell(at, at + 0.09),
        s -> hertz * (1 + 0.25 * Math.sin(60 * (s - at))),
        t.between(-0.6, 0.6),
        0,
        0);
  }

  private static void heart(Tape t, double every) {
    for (double s = 0.05; s < t.seconds() - 0.5; s += every) {
      t.hit(s, 1, 0, 48, SKIN, 0.06, 0.03);
      t.hit(s + 0.28 * Math.sqrt(every), 0.6, 0, 56, SKIN, 0.05, 0.02);
    }
  }

  private static void bells() {
    add(
        "bell, small",
        HIT,
        "ring chime shop",
        3,
        -9,
        t -> t.hit(0.02, 0.8, 0, 1_760, BELL, 0.8, 0.08));
    add("bell, large", HIT, "ring toll tower", 6, -7, t -> t.hit(0.02, 1, 0, 330, BELL, 2.2, 0.1));
    add(
        "church bell",
        HIT,
        "ring toll tower village",
        7,
        -7,
        t -> {
          t.hit(0.02, 1, 0, 220, BELL, 3, 0.1);
          t.space(2.5, 0.15);
        });
    add(
        "handbell",
        HIT,
        "ring call",
        2.2,
        -8,
        t -> {
          for (double s = 0.02; s < 1; s += 0.2) {
            t.hit(s, 0.7, 0, 1_200, BELL, 0.35, 0.1);
          }
        });
    add(
        "buoy bell",
        BED,
        "sea harbour ring water",
        7,
        -9,
        t -> {
          for (double s = 0.2; s < 6; s += t.between(0.9, 1.7)) {
            t.hit(s, t.between(0.4, 0.9), 0, 520, BELL, 1.1, 0.1);
          }
          lapping(t, 0.3);
        });
    add(
        "chime",
        HIT,
        "clock ring door music",
        4,
        -9,
        t -> t.hit(0.02, 0.8, -0.2, 660, BELL, 1.4, 0.04).hit(0.5, 0.8, 0.2, 523, BELL, 1.6, 0.04));
    add(
        "gong",
        HIT,
        "ring metal large",
        7,
        -5,
        t ->
            t.hit(0.02, 1, 0, 92, PLATE, 3, 0.1)
                .hiss(struck(0.05, 0.3, 0.8).times(flat(0.15)), 800, 5_000, 0.8));
    add(
        "music box",
        HIT,
        "tune toy ring",
        3,
        -11,
        t -> {
          double[] f = {1_047, 1_319, 1_568, 2_093};
          for (int n = 0; n < 4; n++) {
            t.hit(0.02 + 0.25 * n, 0.6, 0, f[n], GLASS, 0.4, 0.06);
          }
        });
    add(
        "switch clicks",
        HIT,
        "button light",
        0.4,
        -10,
        t -> t.hit(0.02, 0.8, 0, 1_700, PLATE, 0.006, 0.9));
    add(
        "key clicks",
        HIT,
        "type button writer",
        0.4,
        -10,
        t -> t.hit(0.02, 0.6, 0, 700, WOOD, 0.012, 0.9).puff(0.09, 0.3, 0, 1_500, 8_000, 0.003));
    add(
        "shutter clicks",
        HIT,
        "camera photograph",
        0.5,
        -10,
        t -> t.puff(0.02, 0.8, 0, 1_500, 9_000, 0.004).puff(0.1, 0.7, 0, 1_000, 7_000, 0.006));
    add(
        "clock ticks",
        BED,
        "time watch tock",
        5,
        -12,
        t -> {
          for (int n = 0; n < 9; n++) {
            t.hit(0.1 + 0.5 * n, 0.6, 0, n % 2 == 0 ? 2_100 : 1_750, WOOD, 0.008, 0.6);
          }
        });
    add(
        "tick",
        HIT,
        "clock click time",
        0.4,
        -9,
        t -> t.hit(0.02, 0.8, 0, 2_200, WOOD, 0.009, 0.7));
  }

  private static void film() {
    add("boom, deep", HIT, "impact low trailer hit", 5, -2, t -> boom(t, 46, 1.3, 0.5));
    add("boom, short", HIT, "impact low trailer hit", 2.2, -2, t -> boom(t, 58, 0.4, 0.5));
    add(
        "boom, far",
        HIT,
        "impact low rumble trailer",
        5,
        -6,
        t -> {
          boom(t, 40, 1.4, 0);
          t.space(3, 0.4);
        });
    add(
        "boom, two",
        HIT,
        "impact low trailer double",
        4,
        -2,
        t -> {
          boom(t, 50, 0.7, 0.5);
          t.hit(0.6, 0.9, 0, 48, SKIN, 0.6, 0.1);
        });
    add("impact", HIT, "hit trailer slam", 3, -2, t -> impact(t, 0.6));
    add(
        "impact, metal",
        HIT,
        "hit trailer clang",
        4,
        -3,
        t -> {
          impact(t, 0.4);
          t.hit(0.02, 0.9, 0, 190, PLATE, 1, 0.3).space(2.5, 0.3);
        });
    add(
        "impact, wood",
        HIT,
        "hit trailer knock",
        2.5,
        -3,
        t -> {
          impact(t, 0.3);
          t.hit(0.02, 0.9, 0, 130, WOOD, 0.12, 0.5).space(1.8, 0.3);
        });
    add(
        "impact, glass",
        HIT,
        "hit trailer ice",
        3.5,
        -4,
        t -> {
          impact(t, 0.3);
          t.hit(0.02, 0.7, 0.1, 1_400, GLASS, 0.7, 0.2).space(2.5, 0.3);
        });
    add(
        "impact, reversed",
        RISER,
        "hit trailer swell",
        2.5,
        -4,
        t -> {
          impact(t, 0.8);
          t.space(2, 0.4).backwards();
        });
    for (double seconds : new double[] {2, 4, 8}) {
      String length = ", " + (int) seconds + " s";
      add(
          "riser" + length,
          RISER,
          "rise build tension trailer noise",
          seconds,
          -4,
          t ->
              t.sweep(rising(seconds, 2.2), glide(220, 7_500, seconds), 1.6, 0.8)
                  .tone(rising(seconds, 3).times(flat(0.25)), glide(70, 560, seconds), 0, 6, 0.6));
      add(
          "riser, tone" + length,
          RISER,
          "rise build tension trailer pitch",
          seconds,
          -5,
          t ->
              t.tone(rising(seconds, 1.8).times(flat(0.4)), glide(110, 880, seconds), -0.4, 5, 0.55)
                  .tone(
                      rising(seconds, 1.8).times(flat(0.4)),
                      glide(111.5, 890, seconds),
                      0.4,
                      5,
                      0.55));
      add(
          "fall" + length,
          MOVE,
          "drop down descend trailer",
          seconds,
          -5,
          t ->
              t.sweep(struck(0.02, 0.02, seconds / 2.4), glide(6_000, 120, seconds), 1.6, 0.8)
                  .tone(
                      struck(0.02, 0.05, seconds / 2).times(flat(0.3)),
                      glide(400, 45, seconds),
                      0,
                      4,
                      0.5));
    }
    add(
        "riser, beating",
        RISER,
        "rise build tension pulse",
        4,
        -4,
        t ->
            t.tone(
                    s ->
                        rising(4, 1.6).at(s)
                            * 0.5
                            * (0.5 + 0.5 * Math.sin(2 * Math.PI * (2 + 2.5 * s) * s)),
                    flat(98),
                    0,
                    10,
                    0.75)
                .sweep(rising(4, 3).times(flat(0.5)), glide(500, 5_000, 4), 2, 0.8));
    whoosh("whoosh, short", 0.7, 0.35, 600, 3_800, 1.4);
    whoosh("whoosh, long", 2, 1.15, 300, 2_800, 1.2);
    whoosh("whoosh, low", 1.6, 0.8, 90, 620, 1);
    whoosh("whoosh, airy", 1.3, 0.7, 1_500, 8_000, 0.9);
    whoosh("whoosh, tight", 0.45, 0.2, 900, 5_200, 2.4);
    add(
        "whoosh, two",
        MOVE,
        "pass air transition",
        1.6,
        -7,
        t ->
            t.sweep(swell(0.05, 0.8), glide(500, 3_000, 0.6), 1.4, 0.8)
                .sweep(swell(0.7, 1.5), glide(2_800, 500, 1.5), 1.4, 0.8));
    add(
        "sub drop",
        MOVE,
        "low bass fall trailer",
        2.5,
        -3,
        t -> t.tone(struck(0.01, 0.01, 1), glide(95, 28, 1.8), 0, 1, 0.2));
    add(
        "sub drop, long",
        MOVE,
        "low bass fall trailer",
        5,
        -3,
        t -> t.tone(struck(0.01, 0.02, 2.2), glide(85, 24, 4), 0, 1, 0.2));
    add(
        "swell, reversed, 2 s",
        RISER,
        "reverse build cymbal trailer",
        2,
        -6,
        t -> {
          t.hiss(struck(0.01, 0.005, 0.6), 1_800, 13_000, 0.8).backwards();
        });
    add(
        "swell, reversed, 4 s",
        RISER,
        "reverse build cymbal trailer",
        4,
        -6,
        t -> {
          t.hiss(struck(0.01, 0.005, 1.2), 900, 12_000, 0.8)
              .hit(0.01, 0.5, 0, 240, PLATE, 1.6, 0)
              .backwards();
        });
    add(
        "bell, reversed",
        RISER,
        "reverse build ring trailer",
        4,
        -7,
        t -> {
          t.hit(0.01, 1, 0, 440, BELL, 1.3, 0);
          t.space(3, 0.3).backwards();
        });
    add(
        "brakes",
        MOVE,
        "stop screech train",
        1.8,
        -8,
        t ->
            t.tone(swell(0.03, 1.7), s -> 2_100 - 240 * s + 30 * Math.sin(200 * s), 0, 3, 0.5)
                .hiss(swell(0, 1.6).times(flat(0.2)), 1_500, 7_000, 0.6));
    add(
        "glitch",
        HIT,
        "digital error stutter",
        0.8,
        -9,
        t -> {
          for (int n = 0; n < 9; n++) {
            double at = 0.02 + 0.07 * n;
            t.tone(
                s -> s > at && s < at + 0.04 ? 0.5 : 0,
                flat(t.between(200, 3_000)),
                t.between(-0.6, 0.6),
                6,
                0.8);
          }
        });
  }

  private static void whoosh(
      String name, double seconds, double peak, double low, double high, double q) {
    add(
        name,
        MOVE,
        "pass air transition swish",
        seconds,
        -6,
        t -> {
          Tape.At level =
              s ->
                  s < peak
                      ? Math.pow(Math.max(0, s / peak), 2.2)
                      : Math.pow(Math.max(0, (seconds - s) / (seconds - peak)), 1.8);
          t.sweep(level, s -> low + (high - low) * level.at(s), q, 0.6);
        });
  }

  private static void boom(Tape t, double hertz, double decay, double crack) {
    t.tone(struck(0.015, 0.004, decay), s -> hertz * (1 + 1.4 * Math.exp(-s * 22)), 0, 2, 0.25);
    t.hiss(struck(0.015, 0.01, decay * 0.7).times(flat(0.5)), 25, 180, 0.5);
    t.puff(0.015, crack, 0, 200, 4_000, 0.02);
  }

  private static void impact(Tape t, double decay) {
    boom(t, 60, decay, 0.9);
    t.hiss(struck(0.015, 0.002, 0.09), 150, 7_000, 0.6);
    t.hit(0.015, 0.5, 0, 110, SKIN, 0.2, 0.4).space(1.8, 0.25);
  }

  private static void rooms() {
    add("drone, dark", BED, "low tone tension atmosphere", 10, -12, t -> drone(t, 55, 0.7));
    add("drone, warm", BED, "tone calm atmosphere pad", 10, -13, t -> drone(t, 98, 0.55));
    add(
        "drone, cold",
        BED,
        "tone winter atmosphere high",
        10,
        -15,
        t -> {
          drone(t, 147, 0.8);
          t.sweep(flat(0.1), t.wandering(0.2).times(flat(4_000)), 6, 0.9);
        });
    add(
        "drone, uneasy",
        BED,
        "tone tension atmosphere horror",
        10,
        -13,
        t -> {
          drone(t, 69, 0.75);
          drone(t, 73.4, 0.7);
        });
    add(
        "room tone, small",
        BED,
        "silence quiet inside air",
        8,
        -40,
        t -> t.hiss(flat(1), 60, 900, 0.5).tone(flat(0.05), flat(50), 0, 2, 0.4));
    add(
        "room tone, hall",
        BED,
        "silence quiet inside large air",
        8,
        -38,
        t -> t.hiss(t.wandering(0.2), 40, 600, 0.9));
    add(
        "night outside",
        BED,
        "silence quiet outdoors air ambience",
        8,
        -34,
        t -> {
          t.hiss(t.wandering(0.15), 80, 1_200, 0.9);
          t.hiss(flat(0.05), 3_000, 8_000, 0.9);
        });
    add(
        "cellar air",
        BED,
        "silence quiet underground room tone",
        8,
        -36,
        t -> {
          t.hiss(flat(1), 30, 260, 0.7).tone(flat(0.2), flat(41), 0, 3, 0.5);
        });
    add(
        "harbour at night",
        BED,
        "sea water ambience quiet outdoors",
        10,
        -20,
        t -> {
          lapping(t, 0.35);
          t.hiss(t.wandering(0.2).times(flat(0.15)), 80, 900, 0.9);
        });
    add(
        "fairground, far",
        BED,
        "carousel ambience people music",
        10,
        -18,
        t -> {
          murmur(t, 16);
          t.space(2, 0.4);
        });
  }

  /** Its tones lie half a hertz apart, so that all of it comes again every two seconds. */
  private static void drone(Tape t, double hertz, double bright) {
    double low = Math.round(hertz * 2) / 2.0;
    Tape.At breath = t.wandering(0.12);
    for (int n = 0; n < 3; n++) {
      double own = low + 0.5 * (n - 1);
      double pan = 0.6 * (n - 1);
      t.tone(s -> 0.25 * (0.75 + 0.25 * breath.at(s)), s -> own, pan, 9, bright);
    }
    t.tone(flat(0.25), flat(low / 2), 0, 1, 0.3);
  }
}
