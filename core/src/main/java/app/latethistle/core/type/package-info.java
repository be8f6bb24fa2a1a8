/**
 * Letters: from words to what stands on the picture, at any size from the same values.
 *
 * <p>{@link app.latethistle.core.type.Faces} knows the faces there are. {@link
 * app.latethistle.core.type.Shaper} makes a line's {@link app.latethistle.core.type.Letter}s, from
 * whichever faces have them and in the order they are seen; {@link
 * app.latethistle.core.type.SetText} breaks words into lines in a box. A {@link
 * app.latethistle.core.type.Writing} is a title or a caption in its time; {@link
 * app.latethistle.core.type.Writer} draws it as {@link app.latethistle.core.type.Ink}, which is
 * laid over frames, and keeps what does not change from frame to frame. {@link
 * app.latethistle.core.type.Legibility} measures whether it can be read over what is behind it.
 *
 * <pre>{@code
 * Design design = Designs.named("Soft main title");
 * SetText set = SetText.of(design.words(), design.lettering(), design.box(), 1920, 1080, faces);
 * List<Integer> missing = set.missing();              // code points that no face has
 * Writing title = WrittenTitle.still(design.words(), design.lettering(), design.box());
 * new Writer(faces, 1920, 1080).draw(title, 0, frame);
 * }</pre>
 */
package app.latethistle.core.type;
