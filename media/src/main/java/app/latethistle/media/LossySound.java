package app.latethistle.media;

import app.latethistle.core.release.Encoding;
import java.util.List;
import java.util.Optional;

/**
 * How the sound of an output is encoded where something of it is lost.
 *
 * @param codec the options of its encoder
 * @param format ffmpeg's name of a container that holds it
 * @param container the same for the decoder
 */
record LossySound(List<String> codec, String format, Container container) {
  /** Bits a second beside pictures. */
  static final int BITS = 192_000;

  private static final LossySound AAC =
      new LossySound(List.of("-c:a", "aac", "-b:a", BITS + ""), "mp4", Container.MP4);
  private static final LossySound OPUS =
      new LossySound(List.of("-c:a", "libopus", "-b:a", BITS + ""), "webm", Container.MATROSKA);
  private static final LossySound MP3 =
      new LossySound(List.of("-c:a", "libmp3lame", "-b:a", "320k"), "mp3", Container.MP3);
  private static final LossySound OPUS_ALONE =
      new LossySound(List.of("-c:a", "libopus", "-b:a", "160k"), "ogg", Container.OGG);

  /** That of an encoding; empty if nothing is lost, or it has no sound. */
  static Optional<LossySound> of(Encoding encoding) {
    return switch (encoding) {
      case MP4, MP4_HEVC -> Optional.of(AAC);
      case WEBM_VP9, WEBM_AV1 -> Optional.of(OPUS);
      case MP3 -> Optional.of(MP3);
      case OPUS -> Optional.of(OPUS_ALONE);
      default -> Optional.empty();
    };
  }
}
