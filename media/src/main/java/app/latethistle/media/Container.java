package app.latethistle.media;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** The kinds of file that are read, told apart by their first bytes and never by their names. */
public enum Container {
  MP4("mov"),
  MATROSKA("matroska"),
  GIF("gif"),
  PNG("png_pipe"),
  JPEG("jpeg_pipe"),
  WEBP("webp_pipe"),
  WAV("wav"),
  FLAC("flac"),
  MP3("mp3"),
  OGG("ogg");

  private final String demuxer;

  Container(String demuxer) {
    this.demuxer = demuxer;
  }

  /** The one ffmpeg demuxer that may open it. */
  String demuxer() {
    return demuxer;
  }

  /** What the name of such a file usually ends with, without the dot. */
  public String ending() {
    return switch (this) {
      case MATROSKA -> "mkv";
      case JPEG -> "jpg";
      default -> name().toLowerCase(Locale.ROOT);
    };
  }

  /** Whether it is a still picture. */
  boolean isStill() {
    return this == PNG || this == JPEG || this == WEBP;
  }

  /**
   * Tells what a file is.
   *
   * @throws RefusedMedia if it is empty or none of these
   */
  public static Container of(Path file) throws IOException {
    byte[] head;
    try (InputStream in = Files.newInputStream(file)) {
      head = in.readNBytes(16);
    }
    if (head.length == 0) {
      throw new RefusedMedia("The file is empty.");
    }
    String text = new String(head, StandardCharsets.ISO_8859_1);
    if (text.startsWith("ftyp", 4)
        || text.startsWith("moov", 4)
        || text.startsWith("mdat", 4)
        || text.startsWith("wide", 4)
        || text.startsWith("free", 4)) {
      return MP4;
    }
    if (text.startsWith("\u001aE\u00df\u00a3")) {
      return MATROSKA;
    }
    if (text.startsWith("GIF8")) {
      return GIF;
    }
    if (text.startsWith("\u0089PNG")) {
      return PNG;
    }
    if (text.startsWith("\u00ff\u00d8\u00ff")) {
      return JPEG;
    }
    if (text.startsWith("RIFF")) {
      if (text.startsWith("WEBP", 8)) {
        return WEBP;
      }
      if (text.startsWith("WAVE", 8)) {
        return WAV;
      }
    }
    if (text.startsWith("fLaC")) {
      return FLAC;
    }
    if (text.startsWith("OggS")) {
      return OGG;
    }
    boolean frameSync = head.length > 1 && (head[0] & 0xff) == 0xff && (head[1] & 0xe6) == 0xe2;
    if (text.startsWith("ID3") || frameSync) {
      return MP3;
    }
    throw new RefusedMedia(
        "This is not a clip, picture or sound that can be read. Bring in MP4, MOV, WebM, MKV, GIF,"
            + " PNG, JPEG, WebP, WAV, FLAC, MP3, OGG or M4A.");
  }
}
