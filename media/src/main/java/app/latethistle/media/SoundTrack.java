package app.latethistle.media;

import app.latethistle.core.mix.Ducking;
import app.latethistle.core.mix.SongFade;
import app.latethistle.core.render.Fingerprint;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * The film's sound: the song from its start, for the film's length, lower where a line is spoken
 * over it, with its fade.
 *
 * @param song the song's file; null for a silent film
 * @param container what the file is; null for a silent film
 * @param start the sample of the song heard first
 * @param clips what is heard of clips, lowered under speech as the song is
 * @param voice the lines that are spoken
 * @param length samples of the film
 * @param fade samples over which the end fades
 */
public record SoundTrack(
    Path song,
    Container container,
    long start,
    List<ClipPart> clips,
    List<Speech> voice,
    long length,
    long fade) {

  /** A film without a song and without clips' sounds. */
  public static SoundTrack spoken(List<Speech> voice, long length) {
    return new SoundTrack(null, null, 0, List.of(), voice, length, 0);
  }

  /** Digits that are enough to tell tracks apart. */
  private static final int KEY_DIGITS = 32;

  /** Copies the lists. */
  public SoundTrack {
    clips = List.copyOf(clips);
    voice = List.copyOf(voice);
  }

  /** The film's samples, left and right in turn; silence where the song has ended. */
  public float[] samples(DecodedSounds sounds) throws IOException {
    float[] film = new float[Math.toIntExact(length * 2)];
    if (song != null) {
      float[] whole = sounds.stereo(song, container);
      int from = (int) Math.min(whole.length, start * 2);
      int count = Math.min(film.length, whole.length - from);
      System.arraycopy(whole, from, film, 0, count);
    }
    for (ClipPart clip : clips) {
      clip.addTo(film, sounds);
    }
    Ducking.apply(film, voice.stream().map(Speech::within).toList());
    for (Speech speech : voice) {
      speech.addTo(film, sounds);
    }
    SongFade.apply(film, fade);
    return film;
  }

  /** Encodes the whole as AAC in an m4a file, whose edit list carries the encoder's delay. */
  public void encodeM4a(Path file) throws IOException {
    List<String> command = input();
    command.addAll(List.of("-c:a", "aac", "-b:a", "256k"));
    command.addAll(List.of("-movflags", "+faststart", "-f", "ipod"));
    command.add("file:" + file.toAbsolutePath());
    encode(command, new DecodedSounds());
  }

  /**
   * Encodes the whole for HLS: one fragmented MP4 and a playlist of byte ranges of about two
   * seconds. As FLAC, which takes a twentieth of the time that AAC does, so that a changed film is
   * heard soon; and it has no delay.
   */
  public void encodeHls(Path folder, DecodedSounds sounds) throws IOException {
    Files.createDirectories(folder);
    List<String> command = input();
    command.addAll(List.of("-c:a", "flac", "-compression_level", "0", "-sample_fmt", "s16"));
    command.addAll(List.of("-f", "hls", "-hls_time", "2", "-hls_playlist_type", "vod"));
    // ffmpeg calls FLAC in MP4 experimental, though it is specified; both the encoder and the
    // container ask for leave.
    command.addAll(List.of("-hls_segment_type", "fmp4", "-strict", "-2"));
    command.addAll(List.of("-hls_segment_options", "strict=-2", "-hls_flags", "single_file"));
    command.addAll(List.of("-hls_segment_filename", folder.toAbsolutePath() + "/sound.mp4"));
    command.add(folder.toAbsolutePath() + "/sound.m3u8");
    encode(command, sounds);
  }

  private static List<String> input() {
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
    command.addAll(List.of("-f", "f32le", "-ar", Integer.toString(Samples.RATE), "-ac", "2"));
    command.addAll(List.of("-i", "pipe:0"));
    return command;
  }

  private void encode(List<String> command, DecodedSounds sounds) throws IOException {
    float[] film = samples(sounds);
    try (Child child = Child.start(command)) {
      try (OutputStream out = child.stdin()) {
        byte[] bytes = new byte[1 << 16];
        for (int at = 0; at < film.length; at += bytes.length / 4) {
          int n = Math.min(bytes.length / 4, film.length - at);
          ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer().put(film, at, n);
          out.write(bytes, 0, 4 * n);
        }
      }
      if (child.waitFor() != 0) {
        throw new IOException("The sound could not be encoded: " + child.errorLine());
      }
    }
  }

  /** A name that is equal only for tracks that sound the same, as files named by their bytes do. */
  public String key() {
    StringBuilder heard = new StringBuilder();
    heard.append(song == null ? "" : song.getFileName());
    heard.append(' ').append(start).append(' ').append(length).append(' ').append(fade);
    for (ClipPart clip : clips) {
      heard.append(' ').append(clip.key());
    }
    for (Speech speech : voice) {
      heard.append(' ').append(speech.key());
    }
    return Fingerprint.of(heard.toString()).substring(0, KEY_DIGITS);
  }
}
