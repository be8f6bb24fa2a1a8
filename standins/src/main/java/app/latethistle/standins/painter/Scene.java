package app.latethistle.standins.painter;

import java.awt.GradientPaint;
import java.awt.geom.Rectangle2D;

/** The scenes of the drowned valley that the painter can paint. */
public enum Scene {
  DROWNED_VALLEY {
    @Override
    void paint(Canvas c) {
      c.sky(0x121E3E, 0x34507E, 0xC08A72, 400);
      c.stars(150, 300);
      c.moon(990, 120, 26);
      c.depth(0.1).ridge(1, 400, 120, 0x2A3D63, 0);
      c.mist(392, 60, 0xC9A08C, 0.35);
      c.depth(0.22).ridge(2, 405, 66, 0x16233F, 16);
      Things.steeple(c.depth(0.4), 470, 420, 70);
      Things.roof(c, 660, 420, 42);
      Things.roof(c, 760, 424, 30);
      c.depth(0.35).water(412, 0x0A1226, 0.72);
      c.depth(1).ridge(3, 760, 70, 0x070A14, 46);
      c.vignette(0.5);
    }
  },
  SUNKEN_ROOFS {
    @Override
    void paint(Canvas c) {
      c.sky(0x0D1730, 0x24406C, 0x4E6E98, 300);
      c.stars(120, 250);
      c.depth(0.1).ridge(4, 300, 150, 0x1E3155, 0);
      c.depth(0.2).ridge(5, 305, 60, 0x13203C, 14);
      c.mist(300, 40, 0x8FA9CC, 0.3);
      Things.steeple(c.depth(0.45), 900, 330, 96);
      Things.roof(c, 380, 330, 70);
      Things.roof(c, 590, 322, 48);
      Things.roof(c.depth(0.6), 170, 350, 96);
      c.depth(0.4).water(318, 0x081024, 0.66);
      Things.roof(c.depth(0.8), 720, 520, 150);
      Things.roof(c.depth(1), 250, 660, 190);
      c.vignette(0.55);
    }
  },
  CANDLE_LETTER {
    @Override
    void paint(Canvas c) {
      c.depth(0.1).rect(-300, -200, 1900, 1200, 0x120D12, 1);
      Rectangle2D window = new Rectangle2D.Double(140, 30, 330, 400);
      c.depth(0.25).shade(window, 0x1A2B4E, 0x0E1830);
      c.circle(260, 120, 1.5, 0xEAF0FF, 0.8);
      c.circle(380, 90, 1.2, 0xEAF0FF, 0.7);
      c.circle(330, 210, 1.4, 0xEAF0FF, 0.6);
      c.line(305, 30, 305, 430, 10, 0x1C1214, 1);
      c.line(140, 220, 470, 220, 10, 0x1C1214, 1);
      c.stroke(window, 16, 0x241718, 1);
      c.depth(0.7);
      c.g()
          .setPaint(
              new GradientPaint(
                  0, 470, Canvas.color(0x6A4226, 1), 0, 760, Canvas.color(0x24140E, 1)));
      c.g().fill(new Rectangle2D.Double(-300, 470, 1900, 500));
      for (int i = 0; i < 7; i++) {
        c.line(-300, 500 + i * 44, 1600, 506 + i * 46, 2, 0x1E100A, 0.5);
      }
      Things.letter(c.depth(0.85), 600, 590, 150, -0.12);
      Things.letter(c, 800, 640, 130, 0.2);
      Things.candle(c.depth(0.9), 930, 560, 105);
      c.depth(0.7).glow(930, 430, 900, 0xFFA64D, 0.16 * Things.flicker(c, 4));
      c.vignette(0.75);
    }
  },
  LANTERN_LIT {
    @Override
    void paint(Canvas c) {
      c.sky(0x0A1122, 0x17284A, 0x2C4468, 500);
      c.stars(70, 380);
      c.depth(0.2).ridge(6, 560, 130, 0x0C1528, 20);
      double lit = Math.min(1, Math.max(0, (c.seconds() - 0.5) * 1.6));
      Things.lantern(c.depth(0.4), 250, 430, 54, Math.max(0, lit - 0.25));
      Things.lantern(c.depth(1), 700, 370, 165, lit);
      c.snow(70, 20);
      c.vignette(0.6);
    }
  },
  STILT_HOUSE {
    @Override
    void paint(Canvas c) {
      c.sky(0x101B38, 0x2B4672, 0x7E86A0, 400);
      c.stars(110, 300);
      c.depth(0.1).ridge(7, 400, 130, 0x22355A, 0);
      c.depth(0.25).ridge(8, 410, 54, 0x14213D, 18);
      c.mist(405, 40, 0x9DB0CC, 0.25);
      Things.house(c.depth(0.5), 380, 430, 116, 1);
      Things.house(c, 640, 424, 64, 0.8);
      c.line(500, 300, 850, 300, 1.4, 0x0A0D18, 0.9);
      Things.balloon(c, 880, 176 + 5 * Math.sin(c.seconds()), 84);
      c.line(880, 330, 690, 416, 1.4, 0x0A0D18, 0.9);
      c.depth(0.5).water(426, 0x0A1226, 0.74);
      c.vignette(0.5);
    }
  },
  INTO_THE_ENVELOPE {
    @Override
    void paint(Canvas c) {
      c.depth(1);
      Things.crown(c);
      c.vignette(0.5);
    }
  },
  BASKET_LIFTS {
    @Override
    void paint(Canvas c) {
      c.sky(0x0D1832, 0x28446F, 0x5A7396, 470);
      c.stars(120, 380);
      c.depth(0.1).ridge(9, 480, 120, 0x1B2C4E, 0);
      c.depth(0.2).ridge(10, 490, 50, 0x111C36, 16);
      c.depth(0.3).water(480, 0x0A1226, 0.6);
      double up = 60 - 150 * c.part() * c.part();
      c.depth(0.9).line(470, 760, 600, 470 + up, 3, 0x1A120E, 1);
      c.line(810, 760, 690, 470 + up, 3, 0x1A120E, 1);
      Things.balloon(c, 640, 20 + up, 270);
      c.vignette(0.5);
    }
  },
  OVER_THE_STEEPLE {
    @Override
    void paint(Canvas c) {
      c.sky(0x0C1631, 0x27456F, 0x6C86A8, 430);
      c.stars(150, 340);
      c.moon(1030, 110, 24);
      c.depth(0.1).ridge(11, 430, 120, 0x1D3055, 0);
      c.depth(0.2).ridge(12, 436, 44, 0x14223E, 14);
      c.mist(432, 36, 0x9CB4D2, 0.28);
      Things.steeple(c.depth(0.5), 820, 452, 128);
      Things.roof(c, 640, 452, 44);
      Things.roof(c, 560, 450, 28);
      double x = 330 + 120 * c.part();
      Things.balloon(c, x, 190 + 6 * Math.sin(c.seconds() * 1.1), 104);
      c.depth(0.5).water(448, 0x0A1328, 0.76);
      c.vignette(0.45);
    }
  },
  FIRST_SNOW {
    @Override
    void paint(Canvas c) {
      c.sky(0x16223F, 0x3A5680, 0x8EA2BE, 470);
      c.depth(0.08).ridge(13, 480, 190, 0x3B5378, 0);
      c.depth(0.16).ridge(14, 520, 120, 0x293E62, 26);
      Things.balloon(c.depth(0.3), 460 + 30 * c.part(), 210, 46);
      c.mist(500, 70, 0xB9C8DE, 0.35);
      c.depth(0.4).ridge(15, 610, 110, 0x1A2946, 44);
      c.depth(0.8).ridge(16, 760, 120, 0x0E1729, 90);
      c.snow(190, 46);
      c.vignette(0.4);
    }
  },
  MAILBAG {
    @Override
    void paint(Canvas c) {
      c.sky(0x0B1224, 0x1A2C4E, 0x35507A, 560);
      c.depth(0.2).ridge(17, 600, 150, 0x0E182C, 40);
      Things.lantern(c.depth(0.5), 250, 330, 66, 1);
      c.depth(0.8).shade(new Rectangle2D.Double(-300, 600, 1900, 400), 0xB7C6DE, 0x5C6F92);
      c.glow(300, 620, 420, 0xFFA64D, 0.28);
      Things.mailbag(c.depth(1), 760, 660, 225, 0.35 + 0.65 * c.part());
      c.snow(130, 14);
      c.vignette(0.55);
    }
  },
  LANTERNS_FROM_ABOVE {
    @Override
    void paint(Canvas c) {
      c.depth(0.3).rect(-400, -300, 2100, 1400, 0x0B1730, 1);
      c.glow(640, 360, 900, 0x1F3E6E, 0.8);
      c.depth(0.6);
      Things.lanternsFromAbove(c);
      Things.balloonTop(c.depth(1), 470 + 160 * c.part(), 330, 96);
      c.vignette(0.55);
    }
  },
  JETTY {
    @Override
    void paint(Canvas c) {
      c.sky(0x0C1733, 0x2A4672, 0xA98474, 330);
      c.stars(130, 250);
      c.depth(0.08).ridge(18, 335, 110, 0x1B2C4E, 0);
      c.mist(332, 40, 0xC79A86, 0.35);
      c.depth(0.15).ridge(19, 340, 36, 0x121E38, 14);
      c.depth(0.3).water(338, 0x081022, 0.7);
      Things.jetty(c.depth(0.9), 338, 700);
      c.vignette(0.55);
    }
  },
  DOOR_SEVEN {
    @Override
    void paint(Canvas c) {
      Scene.wall(c, 0x2A3148);
      Things.door(c.depth(0.8), 640, 640, 290, 0x7A3B34, "7", 0);
      Things.lantern(c.depth(0.9), 930, 260, 46, 1);
      c.snow(80, 18);
      c.vignette(0.6);
    }
  },
  DOOR_TWENTY_FIVE {
    @Override
    void paint(Canvas c) {
      Scene.wall(c, 0x263546);
      Things.door(c.depth(0.8), 640, 640, 290, 0x2F5A5E, "25", 0);
      Things.lantern(c.depth(0.9), 350, 250, 46, 1);
      c.snow(80, -14);
      c.vignette(0.6);
    }
  },
  DOOR_FORTY_ONE {
    @Override
    void paint(Canvas c) {
      Scene.wall(c, 0x2E2A3E);
      double open = Math.min(1, Math.max(0, (c.seconds() - 0.8) * 0.42));
      Things.door(c.depth(0.8), 640, 640, 290, 0x55406E, "41", open * open * (3 - 2 * open) * 0.9);
      c.snow(80, 10);
      c.vignette(0.55);
    }
  },
  LETTERBOXES {
    @Override
    void paint(Canvas c) {
      c.sky(0x17233F, 0x3B5781, 0x9FB0C8, 430);
      c.depth(0.1).ridge(20, 430, 110, 0x32486E, 0);
      c.depth(0.2).ridge(21, 450, 70, 0x22355A, 30);
      c.mist(440, 70, 0xC7D3E4, 0.4);
      c.depth(0.5).ridge(22, 560, 60, 0x8EA2C4, 0);
      c.depth(0.9).ridge(23, 680, 50, 0xC6D2E6, 0);
      Things.letterbox(c.depth(0.6), 330, 560, 96, -0.06);
      Things.letterbox(c.depth(0.75), 560, 600, 130, 0.05);
      Things.letterbox(c.depth(0.95), 900, 660, 190, -0.03);
      c.snow(120, 30);
      c.vignette(0.4);
    }
  },
  STORM {
    @Override
    void paint(Canvas c) {
      double flash = Scene.flash(c.seconds());
      c.sky(0x0A0F1C, 0x1D2A42, 0x3A4A62, 470);
      c.wash(0xB9C8FF, 0.30 * flash);
      c.depth(0.1).ridge(24, 480, 150, 0x121B2E, 0);
      c.depth(0.25).ridge(25, 520, 90, 0x0C1424, 40);
      if (flash > 0.05) {
        Things.bolt(c.depth(0.1), 900, flash, 31);
      }
      double sway = 26 * Math.sin(c.seconds() * 2.3) + 10 * Math.sin(c.seconds() * 5.1);
      Things.balloon(c.depth(0.5), 520 + sway, 220 + 18 * Math.sin(c.seconds() * 1.9), 92);
      c.depth(0.5).water(560, 0x070C18, 0.5);
      c.snow(260, 420);
      c.vignette(0.65);
    }
  },
  SEALED_LETTER {
    @Override
    void paint(Canvas c) {
      c.depth(0.1).rect(-300, -200, 1900, 1200, 0x0C1222, 1);
      c.glow(420, 160, 800, 0x2C4A7A, 0.5);
      c.depth(0.5).glow(980, 620, 700, 0xFFA64D, 0.35 * Things.flicker(c, 2));
      Things.letter(c.depth(1), 640, 370 + 6 * Math.sin(c.seconds()), 300, -0.1 + 0.05 * c.part());
      c.snow(90, 22);
      c.vignette(0.6);
    }
  },
  SALT_PLAIN {
    @Override
    void paint(Canvas c) {
      Fair.plain(c, 400);
      Fair.wheel(c.depth(0.35), 720, 300, 84);
      Fair.carousel(c.depth(0.4), 600, 414, 62);
      Fair.bulbs(c, 540, 360, 800, 380, 14, 2.4);
      c.vignette(0.4);
    }
  },
  CAROUSEL {
    @Override
    void paint(Canvas c) {
      Fair.plain(c, 470);
      Fair.carousel(c.depth(0.8), 640, 590, 200);
      c.vignette(0.45);
    }
  },
  WOODEN_HORSE {
    @Override
    void paint(Canvas c) {
      Fair.plain(c, 430);
      Fair.bulbs(c.depth(0.4), 380, 200, 900, 230, 15, 7);
      double bob = 26 * Math.sin(c.seconds() * 2.4);
      Fair.horse(c.depth(0.9), 610, 400 + bob, 150, 0, -200);
      c.vignette(0.5);
    }
  },
  SALT_WHEEL {
    @Override
    void paint(Canvas c) {
      Fair.plain(c, 540);
      Fair.wheel(c.depth(0.6), 640, 330, 190);
      c.vignette(0.4);
    }
  },
  TICKET_BOOTH {
    @Override
    void paint(Canvas c) {
      Fair.plain(c, 480);
      Fair.booth(c.depth(0.8), 640, 610, 210);
      People.standing(c.depth(1), 520, 690, 240);
      c.vignette(0.5);
    }
  },
  SWINGS {
    @Override
    void paint(Canvas c) {
      Fair.plain(c, 560);
      Fair.swings(c.depth(0.7), 640, 640, 160);
      c.vignette(0.4);
    }
  },
  WALK_ON_SALT {
    @Override
    void paint(Canvas c) {
      Fair.plain(c, 380);
      Fair.carousel(c.depth(0.35), 690, 396, 44);
      People.walker(c.depth(0.9), 620, 640 - 30 * c.part(), 300 - 40 * c.part());
      c.vignette(0.4);
    }
  },
  STRING_OF_BULBS {
    @Override
    void paint(Canvas c) {
      c.sky(0x201A44, 0x5A3A6E, 0xC87A72, 700);
      c.stars(90, 500);
      for (int i = 0; i < 5; i++) {
        Fair.bulbs(
            c.depth(0.4 + 0.12 * i),
            360 - 60 * i,
            90 + 110 * i,
            940 + 50 * i,
            140 + 120 * i,
            11 + i,
            5 + 2.2 * i);
      }
      c.vignette(0.5);
    }
  },
  MIRROR {
    @Override
    void paint(Canvas c) {
      c.depth(0.2).rect(-300, -200, 1900, 1200, 0x241630, 1);
      c.glow(640, 360, 620, 0x7A3A5A, 0.6);
      Fair.bulbs(c.depth(0.5), 430, 40, 850, 40, 11, 8);
      Fair.mirror(c.depth(0.8), 640, 380, 260);
      c.vignette(0.55);
    }
  },
  NIGHT_POST {
    @Override
    void paint(Canvas c) {
      c.sky(0x101A38, 0x3A4E80, 0xE0A078, 420);
      c.stars(120, 250);
      c.glow(760, 420, 620, 0xF2B27E, 0.4);
      c.depth(0.1).ridge(26, 425, 130, 0x2B3A62, 0);
      c.depth(0.2).ridge(27, 432, 54, 0x18244A, 16);
      c.mist(424, 46, 0xE0B59C, 0.35);
      for (int i = 0; i < 9; i++) {
        Things.house(c.depth(0.4), 120 + i * 132, 446 + (i * 37 % 14), 17 + i * 29 % 9, 1);
      }
      Things.balloon(c.depth(0.5), 700 - 70 * c.part(), 190 - 26 * c.part(), 78);
      Things.balloon(c.depth(0.35), 300 - 24 * c.part(), 260, 26);
      Things.balloon(c, 1010 - 20 * c.part(), 226, 20);
      c.depth(0.45).water(448, 0x0C1430, 0.78);
      c.vignette(0.45);
    }
  },
  /** Somebody who walks away before an even green backing, to be cut out. */
  WALKER_BEFORE_GREEN {
    @Override
    void paint(Canvas c) {
      Scene.backing(c, 0x2FA349, 0.08);
      People.walker(c.depth(1), 640, 700, 640);
    }
  },
  /** The same standing, before a blue backing that is lit unevenly. */
  STANDING_BEFORE_BLUE {
    @Override
    void paint(Canvas c) {
      Scene.backing(c, 0x2E57C4, 0.22);
      People.standing(c.depth(1), 660, 700, 640);
    }
  };

  abstract void paint(Canvas c);

  /** Whether it is a backing with something before it, which nobody sees by chance. */
  boolean isBacking() {
    return this == WALKER_BEFORE_GREEN || this == STANDING_BEFORE_BLUE;
  }

  /** A cloth of one colour, lit from the left. */
  private static void backing(Canvas c, int rgb, double unevenness) {
    c.depth(0).rect(-300, -250, 1900, 1300, rgb, 1);
    c.glow(420, 260, 1100, 0xFFFFFF, unevenness);
  }

  /** A plank wall in the snow at night. */
  private static void wall(Canvas c, int rgb) {
    c.depth(0.6).shade(new Rectangle2D.Double(-300, -250, 1900, 1000), rgb, 0x10131E);
    for (int i = 0; i < 20; i++) {
      c.line(-300 + i * 96, -250, -300 + i * 96, 700, 3, 0x0A0C14, 0.55);
    }
    c.depth(0.8).shade(new Rectangle2D.Double(-300, 622, 1900, 400), 0xB9C7DF, 0x51648A);
  }

  /** How bright the lightning is: two strokes, each gone in half a second. */
  private static double flash(double seconds) {
    double light = 0;
    for (double at : new double[] {1.2, 1.45, 3.4}) {
      double since = seconds - at;
      light = Math.max(light, since < 0 ? 0 : Math.exp(-since * 7));
    }
    return light;
  }
}
