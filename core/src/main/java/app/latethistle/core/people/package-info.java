/**
 * Whose faces a picture shows, and where: titles keep clear of them, shapes are cropped round them,
 * thumbnails have some. Who it is, is neither asked nor known.
 *
 * <p>A picture is brought to 416 pixels on its longer side, goes through a small trained network of
 * convolutions ({@link app.latethistle.core.people.FaceNet}), and what it answers for each place is
 * turned to boxes, of which those that mean the same face are taken together ({@link
 * app.latethistle.core.people.FaceFinder}). The network and its weights are those that are
 * published with the npm packages face-api.js (2018) and {@literal @}vladmandic/face-api (1.7.15,
 * MIT; "tiny face detector", trained on photographs by their author); the form of its answers is
 * that of Redmon and Farhadi 2016, "YOLO9000: Better, Faster, Stronger". Nothing of it was trained
 * or fitted here.
 *
 * <pre>{@code
 * List<SeenFace> faces = FaceFinder.in(frame);
 * faces.get(0).place();  // in parts of the picture's sides
 * }</pre>
 */
package app.latethistle.core.people;
