package app.latethistle.media;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
    try {
      take(film, millis, cover);
      Child.output(
          List.of(
              "ffmpeg",
              "-nostdin",
              "-v",
              "error",
              "-y",
              "-i",
              film.toString(),
              "-f",
              "image2",
              "-i",
              cover.toString(),
              "-map",
              "0:v",
              "-map",
              "0:a?",
              "-map",
              "1:v",
              "-c",
              "copy",
              "-map_metadata",
              "0",
              "-map_chapters",
              "0",
              "-disposition:v:1",
              "attached_pic",
              "-movflags",
              "+faststart",
              "-f",
              "mp4",
              part.toString()),
          SECONDS);
      ContentStore.moveInto(part, film);
    } finally {
      Files.deleteIfExists(cover);
      Files.deleteIfExists(part);
    }
  }

  private static void take(Path film, long millis, Path target) throws IOException {
    String at = String.format(Locale.ROOT, "%.3f", millis / 1000.0);
    Child.output(
        List.of(
            "ffmpeg",
            "-nostdin",
            "-v",
            "error",
            "-y",
            "-ss",
            at,
            "-i",
            film.toString(),
            "-frames:v",
            "1",
            "-vf",
            "scale='min(" + WIDE + ",iw)':-2",
            "-q:v",
            "3",
            "-f",
            "mjpeg",
            target.toString()),
        SECONDS);
  }
}
