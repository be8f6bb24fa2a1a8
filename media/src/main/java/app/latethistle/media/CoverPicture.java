package app.latethistle.media;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The picture that stands for a film in its own MP4, where shelves of films show it. */
public final class CoverPicture {
  private static final int WIDE = 1280;
  private static final int SECONDS = 600;

  private CoverPicture() {}

  /**
   * Puts it in; nothing of the film is encoded anew.
   *
   * @param film an MP4, which is replaced
   * @param millis the moment of it whose picture stands for it
   */
  public static void put(Path film, long millis) throws IOException {
    Path cover = ContentStore.partOf(film.resolveSibling("cover"));
    Path part = ContentStore.partOf(film);
    String at = String.format(Locale.ROOT, "%.3f", millis / 1000.0);
    String small = "scale='min(" + WIDE + ",iw)':-2";
    try {
      ffmpeg(
          List.of("-ss", at, "-i", film.toString(), "-frames:v", "1", "-vf", small, "-q:v", "3"),
          List.of("-f", "mjpeg", cover.toString()));
      ffmpeg(
          List.of("-i", film.toString(), "-f", "image2", "-i", cover.toString()),
          List.of("-map", "0:v", "-map", "0:a?", "-map", "1:v", "-c", "copy"),
          List.of("-map_metadata", "0", "-map_chapters", "0"),
          List.of("-disposition:v:1", "attached_pic"),
          List.of("-movflags", "+faststart", "-f", "mp4", part.toString()));
      ContentStore.moveInto(part, film);
    } finally {
      Files.deleteIfExists(cover);
      Files.deleteIfExists(part);
    }
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
