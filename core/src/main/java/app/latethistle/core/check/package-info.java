/**
 * Whether a film may leave: what is read of its pictures and its sound, and what follows.
 *
 * <p>A {@link app.latethistle.core.check.PictureTrace} is read frame by frame from small pictures
 * of a film or of any file, a {@link app.latethistle.core.check.SoundTrace} block by block from its
 * sound; neither keeps more than a few numbers of each. {@link
 * app.latethistle.core.check.FileChecks} says what of it must be put right, what to look at and
 * what is fine, each as a {@link app.latethistle.core.check.Finding}.
 *
 * <pre>{@code
 * PictureTrace.Reader reader = new PictureTrace.Reader(FrameRate.FPS_24);
 * pictures.forEach(reader::add);
 * PictureTrace seen = reader.trace();
 * seen.black();                                             // ranges of black pictures
 * seen.frozen(12);                                          // that stand still for 12 frames or more
 * Flashes.in(seen);                                         // more than three flashes in a second
 * }</pre>
 */
package app.latethistle.core.check;
