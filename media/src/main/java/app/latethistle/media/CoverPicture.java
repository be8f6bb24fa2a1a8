package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.release.Encoding;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Set;

/**
 * The picture that stands for a film in its own file, where shelves of films and sounds show it.
 */
public final class CoverPicture {
  /** What can carry one: WebM, MOV as ffmpeg writes it, and waves cannot. */
  private static final Set<Encoding> CARRIERS =
      Set.of(Encoding.MP4, Encoding.MP4_HEVC, Encoding.FLAC, Encoding.MP3, Encoding.OPUS);

  private static final int WIDE = 1280;
  private static final int SECONDS = 600;

  /** The front cover (RFC 9639, section 8.8: picture types). */
  private static final int FRONT = 3;

  private static final int BITS = 24;

  private CoverPicture() {}

  /** Whether a file can carry one. */
  public static boolean fits(Encoding encoding) {
    return CARRIERS.contains(encoding);
  }

  /**
   * Puts it in; nothing of the film is encoded anew.
   *
   * @param file of an encoding that can carry it, which is replaced
   * @param jpeg the picture; it is made smaller if it is wider than 1280 pixels
   */
  public static void put(Path file, Encoding encoding, byte[] jpeg) throws IOException {
    Path drawn = ContentStore.partOf(file.resolveSibling("drawn"));
    Path cover = ContentStore.partOf(file.resolveSibling("cover"));
    Path part = ContentStore.partOf(file);
    String small = "scale='min(" + WIDE + ",iw)':-2";
    try {
      Files.write(drawn, jpeg);
      ffmpeg(
          List.of("-f", "mjpeg", "-i", drawn.toString(), "-vf", small, "-q:v", "3"),
          List.of("-f", "mjpeg", cover.toString()));
      switch (encoding) {
        case MP4, MP4_HEVC ->
            attached(file, cover, part, List.of("-movflags", "+faststart", "-f", "mp4"));
        case FLAC -> attached(file, cover, part, List.of("-f", "flac"));
        case MP3 -> attached(file, cover, part, List.of("-id3v2_version", "3", "-f", "mp3"));
        case OPUS -> commented(file, cover, part);
        default -> throw new IllegalArgumentException(encoding + " carries no picture.");
      }
      ContentStore.moveInto(part, file);
    } finally {
      Files.deleteIfExists(drawn);
      Files.deleteIfExists(cover);
      Files.deleteIfExists(part);
    }
  }

  /** As one more stream, which players take for what it is. */
  private static void attached(Path file, Path cover, Path part, List<String> form)
      throws IOException {
    ffmpeg(
        List.of("-i", file.toString(), "-f", "image2", "-i", cover.toString()),
        List.of("-map", "0", "-map", "1:v", "-c", "copy"),
        List.of("-map_metadata", "0", "-map_chapters", "0"),
        List.of("-disposition:v:" + (form.contains("mp4") ? 1 : 0), "attached_pic"),
        form,
        List.of(part.toString()));
  }

  /**
   * As a comment, in the form that FLAC has (RFC 7845 leaves it to that): Ogg has no such stream.
   */
  private static void commented(Path file, Path cover, Path part) throws IOException {
    Path comments = ContentStore.partOf(file.resolveSibling("comments"));
    try {
      String block = Base64.getEncoder().encodeToString(block(Files.readAllBytes(cover)));
      Files.writeString(
          comments, ";FFMETADATA1\nMETADATA_BLOCK_PICTURE=" + block.replace("=", "\\=") + "\n");
      ffmpeg(
          List.of("-i", file.toString(), "-f", "ffmetadata", "-i", comments.toString()),
          List.of("-map", "0", "-c", "copy", "-map_metadata", "1", "-map_chapters", "0"),
          List.of("-f", "ogg", part.toString()));
    } finally {
      Files.deleteIfExists(comments);
    }
  }

  /** A picture as FLAC's metadata have it (RFC 9639, section 8.8). */
  private static byte[] block(byte[] jpeg) throws IOException {
    byte[] type = "image/jpeg".getBytes(StandardCharsets.US_ASCII);
    Frame picture = Jpeg.decode(jpeg);
    ByteBuffer block = ByteBuffer.allocate(8 * Integer.BYTES + type.length + jpeg.length);
    block.putInt(FRONT).putInt(type.length).put(type).putInt(0);
    block.putInt(picture.width()).putInt(picture.height()).putInt(BITS).putInt(0);
    return block.putInt(jpeg.length).put(jpeg).array();
  }

  @SafeVarargs
  @SuppressWarnings("varargs") // they are only read
  private static void ffmpeg(List<String>... options) throws IOException {
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-v", "error", "-y"));
    for (List<String> some : options) {
      command.addAll(some);
    }
    Child.output(command, SECONDS);
  }
}
