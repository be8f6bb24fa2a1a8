package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/**
 * How a sound comes in or goes out.
 *
 * @param shape its curve
 * @param samples over which it does, 0 to 60 s
 */
public record Fade(Shape shape, long samples) {
  /** There at once. */
  public static final Fade NONE = new Fade(Shape.LINEAR, 0);

  private static final long LONGEST = 60L * 48_000;

  /** A curve from 0 to 1. */
  public enum Shape {
    /** Evenly in amplitude. */
    LINEAR {
      @Override
      double at(double t) {
        return t;
      }
    },
    /** A quarter of a sine: two that cross and have nothing in common stay as loud as one. */
    EQUAL_POWER {
      @Override
      double at(double t) {
        return Math.sin(Math.PI / 2 * t);
      }
    },
    /** Late: the square. */
    SLOW_START {
      @Override
      double at(double t) {
        return t * t;
      }
    },
    /** Early: the square, turned round. */
    SLOW_END {
      @Override
      double at(double t) {
        return t * (2 - t);
      }
    },
    /** Half of a cosine's wave. */
    SLOW_BOTH {
      @Override
      double at(double t) {
        return (1 - Math.cos(Math.PI * t)) / 2;
      }
    };

    abstract double at(double t);
  }

  /**
   * @throws IllegalArgumentException if the length is out of its range
   */
  public Fade {
    if (samples < 0 || samples > LONGEST) {
      throw new Refused("A fade lasts from 0 to 60 s.");
    }
  }

  /**
   * The factor at a time from the silent end.
   *
   * @param within samples from it
   */
  public double factor(double within) {
    return within >= samples ? 1 : shape.at(Math.max(0, within / samples));
  }
}
