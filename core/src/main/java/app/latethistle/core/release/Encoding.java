package app.latethistle.core.release;

/** How an output is written. */
public enum Encoding {
  /** H.264 and AAC, for nearly every place. */
  MP4("MP4, H.264 and AAC", ".mp4", Holds.FILM),
  /** Half as large, for what plays it; only where the machine can write it. */
  MP4_HEVC("MP4, H.265 and AAC", ".mp4", Holds.FILM),
  WEBM_VP9("WebM, VP9 and Opus", ".webm", Holds.FILM),
  WEBM_AV1("WebM, AV1 and Opus", ".webm", Holds.FILM),
  /** For further work elsewhere: 10 bits, 4:2:2, every frame by itself (SMPTE RDD 36). */
  MOV_422("MOV, 10-bit 4:2:2 (RDD 36) and PCM", ".mov", Holds.FILM),
  /** A loop for pages that play no films. */
  GIF("GIF, loops", ".gif", Holds.PICTURES),
  WEBP("WebP, loops", ".webp", Holds.PICTURES),
  /** A picture of each frame, zipped. */
  PNG("PNG pictures, zipped", ".zip", Holds.PICTURES),
  /** The picture with which the output's part of the film begins. */
  STILL("PNG, one picture", ".png", Holds.PICTURES),
  WAV("WAV, 48 kHz, 24 bit", ".wav", Holds.SOUND),
  FLAC("FLAC", ".flac", Holds.SOUND),
  MP3("MP3, 320 kbit/s", ".mp3", Holds.SOUND),
  OPUS("Opus, 160 kbit/s", ".opus", Holds.SOUND),
  /** The captions of each language as SRT and WebVTT, zipped. */
  CAPTIONS("SRT and WebVTT, zipped", ".zip", Holds.WORDS);

  /** What an output is made of. */
  public enum Holds {
    /** Pictures and sound. */
    FILM,
    PICTURES,
    SOUND,
    WORDS
  }

  private final String label;
  private final String suffix;
  private final Holds holds;

  Encoding(String label, String suffix, Holds holds) {
    this.label = label;
    this.suffix = suffix;
    this.holds = holds;
  }

  /** For people. */
  public String label() {
    return label;
  }

  /** What its file's name ends with, with the dot. */
  public String suffix() {
    return suffix;
  }

  public Holds holds() {
    return holds;
  }

  /** Whether it has pictures. */
  public boolean hasPictures() {
    return holds == Holds.FILM || holds == Holds.PICTURES;
  }

  /** Whether it has sound. */
  public boolean hasSound() {
    return holds == Holds.FILM || holds == Holds.SOUND;
  }

  /** What a wished size is to an encoding. */
  public enum Sizing {
    /** It cannot be chosen. */
    NONE,
    /** Met within 3 %, by the rate of its bits. */
    MET,
    /** Not gone over, by fewer and smaller pictures. */
    LIMIT
  }

  /** What a wished size is to it. */
  public Sizing sizing() {
    return switch (this) {
      case MP4, WEBM_VP9 -> Sizing.MET;
      case GIF, WEBP -> Sizing.LIMIT;
      default -> Sizing.NONE;
    };
  }
}
