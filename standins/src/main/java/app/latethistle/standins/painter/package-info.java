/**
 * The scene painter: a small stand-in for services that make clips from prompts. It paints seeded
 * scenes of the drowned valley with camera moves, and the flaws such clips usually have.
 *
 * <pre>{@code
 * Clip clip = Clip.of(Scene.OVER_THE_STEEPLE, 7).move(Move.PUSH_IN).size(1280, 720);
 * ScenePainter.paint(clip, Path.of("shot_080_take1.mp4"));
 * }</pre>
 */
package app.latethistle.standins.painter;
