/**
 * Content credentials after the C2PA's technical specification 2.1: a signed statement within a
 * file of where it is from, bound to the file's bytes, so that whoever reads it sees whether it is
 * as it left. From memory of the specification; held against the C2PA's own reader.
 *
 * <p>{@link app.latethistle.media.credentials.SigningKey} signs; it is made when it is first needed
 * and kept with the media. {@link app.latethistle.media.credentials.ContentCredentials} puts the
 * statement into a file of boxes ({@link app.latethistle.media.credentials.BoxedFile}: MP4, MOV) or
 * a JPEG, beside the same as the IPTC has it ({@link app.latethistle.media.credentials.XmpPacket},
 * not signed by itself). The statement itself is a {@link
 * app.latethistle.media.credentials.Manifest}, written as boxes of {@link
 * app.latethistle.media.credentials.Jumbf}.
 *
 * <pre>{@code
 * ContentCredentials credentials = new ContentCredentials(folder);
 * credentials.put(film, "The Night Post");           // last: a change afterwards breaks the seal
 * byte[] thumbnail = credentials.in(jpeg, "The Night Post");
 * }</pre>
 */
package app.latethistle.media.credentials;
