/**
 * What is right and wrong with a take, measured from its pictures: its real picture rate, spans
 * that stand still, are black or flicker, jumps, sharpness, motion, the camera's move, marks burned
 * into a corner, and the part that can be used.
 *
 * <p>How the light changes through a shot is measured when it is to be made even ({@link
 * app.latethistle.core.measure.LightCourse}), in colour and about 320 pixels wide.
 *
 * <p>A {@link app.latethistle.core.measure.PlaceTracker} follows a place that was pointed at;
 * titles and sounds go with its {@link app.latethistle.core.measure.Trail}.
 *
 * <p>Pictures come in one by one as grey planes of about 640 pixels on the longer side, full range
 * (0 is black, 255 white). Positions are in parts of the picture's width and height, so that they
 * hold at any size.
 *
 * <pre>{@code
 * PictureMeter meter = new PictureMeter(640, 360, 24);
 * for (byte[] plane : planes) {
 *   meter.add(plane);
 * }
 * TakeFacts facts = meter.finish().facts();
 * MoveVerdict.of(CameraMove.PUSH_IN, facts.travel()).inWords();  // "asked push in, measured pull out 8 %"
 * }</pre>
 */
package app.latethistle.core.measure;
