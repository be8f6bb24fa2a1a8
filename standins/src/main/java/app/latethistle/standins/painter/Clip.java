package app.latethistle.standins.painter;

import app.latethistle.core.look.Correction;
import app.latethistle.core.time.FrameRate;
import java.util.Set;

/**
 * A clip to paint.
 *
 * @param seed what varies between takes of the same scene
 * @param strength of the move; 1 is as usual
 * @param flaws what is wrong with it
 * @param seconds its length
 * @param moveSeconds how long the move takes; it goes on at its last speed in a longer clip
 * @param cast what the service that made it does to colours
 */
public record Clip(
    Scene scene,
    long seed,
    Move move,
    double strength,
    Set<Flaw> flaws,
    int width,
    int height,
    FrameRate rate,
    double seconds,
    double moveSeconds,
    Correction cast) {

  /** A still 1280x720 clip of five seconds at 24 frames a second, without flaws. */
  public static Clip of(Scene scene, long seed) {
    return new Clip(
        scene, seed, Move.STILL, 1, Set.of(), 1280, 720, FrameRate.FPS_24, 5, 5, Correction.NONE);
  }

  public Clip move(Move newMove) {
    return move(newMove, 1);
  }

  public Clip move(Move newMove, double newStrength) {
    return new Clip(
        scene, seed, newMove, newStrength, flaws, width, height, rate, seconds, moveSeconds, cast);
  }

  public Clip flaw(Flaw... newFlaws) {
    return new Clip(
        scene,
        seed,
        move,
        strength,
        Set.of(newFlaws),
        width,
        height,
        rate,
        seconds,
        moveSeconds,
        cast);
  }

  public Clip size(int newWidth, int newHeight) {
    return new Clip(
        scene, seed, move, strength, flaws, newWidth, newHeight, rate, seconds, moveSeconds, cast);
  }

  public Clip at(FrameRate newRate, double newSeconds) {
    return new Clip(
        scene, seed, move, strength, flaws, width, height, newRate, newSeconds, newSeconds, cast);
  }

  /** The same clip in the colours of another service. */
  public Clip cast(Correction newCast) {
    return new Clip(
        scene, seed, move, strength, flaws, width, height, rate, seconds, moveSeconds, newCast);
  }

  /** The same clip, going on for longer. */
  public Clip goingOn(double newSeconds) {
    return new Clip(
        scene, seed, move, strength, flaws, width, height, rate, newSeconds, moveSeconds, cast);
  }

  boolean has(Flaw flaw) {
    return flaws.contains(flaw);
  }

  /** The number of frames it has. */
  public long frames() {
    return rate.framesIn(seconds);
  }
}
