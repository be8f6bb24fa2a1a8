/**
 * Takes: candidates for a shot, how files named by people gather into numbered shots, and how a
 * clip of any shape meets the film's picture.
 *
 * <pre>{@code
 * ClipName name = ClipName.parse("Scene 2 - shot 11 (take 3).mov");
 * name.scene();   // "2"
 * name.shot();    // "11"
 * name.take();    // 3
 * }</pre>
 */
package app.latethistle.core.take;
