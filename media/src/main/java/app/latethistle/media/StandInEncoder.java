package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;

/** Writes small files for the stand-in services, small rather than quick. */
public final class StandInEncoder implements Closeable {
  private final Child child;

  private StandInEncoder(Child child) {
    this.child = child;
  }

  /** Opens a clip: WebM (VP9) if the name says so, else H.264 in MP4 or MOV. */
  public static StandInEncoder open(Path file, int width, int height, FrameRate rate)
      throws IOException {
    List<String> command = VideoEncoder.input(width, height, rate);
    if (file.toString().endsWith(".webm")) {
      command.addAll(List.of("-c:v", "libvpx-vp9", "-crf", "36", "-b:v", "0", "-cpu-used", "4"));
    } else {
      command.addAll(List.of("-c:v", "libx264", "-preset", "slow", "-crf", "25"));
      command.addAll(List.of("-movflags", "+faststart"));
    }
    command.addAll(VideoEncoder.output());
    command.add("file:" + file.toAbsolutePath());
    return new StandInEncoder(Child.start(command));
  }

  /** Writes stereo sound, left and right in turn at 48 kHz, as AAC. */
  public static void sound(Path file, float[] stereo) throws IOException {
    List<String> command = raw(2);
    command.addAll(List.of("-c:a", "aac", "-b:a", "176k"));
    command.addAll(List.of("-movflags", "+faststart", "file:" + file.toAbsolutePath()));
    pass(command, stereo);
  }

  /** Writes stereo sound, left and right in turn at 48 kHz, without any loss but to 16 bits. */
  public static void flac(Path file, float[] stereo) throws IOException {
    List<String> command = raw(2);
    command.addAll(List.of("-c:a", "flac", "-sample_fmt", "s16"));
    command.add("file:" + file.toAbsolutePath());
    pass(command, stereo);
  }

  /** Adds mono sound at 48 kHz to a clip that has none. */
  public static void addSound(Path clip, float[] mono) throws IOException {
    boolean web = clip.toString().endsWith(".webm");
    Path whole = clip.resolveSibling("sounding " + clip.getFileName());
    List<String> command = raw(1);
    command.addAll(List.of("-i", "file:" + clip.toAbsolutePath(), "-map", "1:v", "-map", "0:a"));
    command.addAll(List.of("-c:v", "copy", "-c:a", web ? "libopus" : "aac", "-b:a", "96k"));
    if (!web) {
      command.addAll(List.of("-movflags", "+faststart"));
    }
    command.add("file:" + whole.toAbsolutePath());
    pass(command, mono);
    Files.move(whole, clip, StandardCopyOption.REPLACE_EXISTING);
  }

  /** A command that reads samples of so many channels. */
  private static List<String> raw(int channels) {
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y", "-f", "f32le"));
    command.addAll(List.of("-ar", Integer.toString(Samples.RATE)));
    command.addAll(List.of("-ac", Integer.toString(channels), "-i", "pipe:0"));
    return command;
  }

  private static void pass(List<String> command, float[] samples) throws IOException {
    try (StandInEncoder encoder = new StandInEncoder(Child.start(command))) {
      ByteBuffer bytes = ByteBuffer.allocate(4 * samples.length).order(ByteOrder.LITTLE_ENDIAN);
      bytes.asFloatBuffer().put(samples);
      encoder.child.stdin().write(bytes.array());
      encoder.finish();
    }
  }

  /** Encodes one more frame. */
  public void write(Frame frame) throws IOException {
    child.stdin().write(frame.data());
  }

  /** Waits until the file is whole. */
  public void finish() throws IOException {
    OutputStream in = child.stdin();
    in.close();
    if (child.waitFor() != 0) {
      throw new IOException("The clip could not be written: " + child.errorLine());
    }
  }

  @Override
  public void close() {
    child.close();
  }
}
