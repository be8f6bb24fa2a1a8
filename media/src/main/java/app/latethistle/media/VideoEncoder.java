package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.release.Quality;
import app.latethistle.core.time.FrameRate;
import java.io.Closeable;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/** Encodes frames as H.264 in a process of its own. */
public final class VideoEncoder implements Closeable {
  private static final int CHUNK = 1 << 16;

  /** Frames that wait for the encoder at most. */
  private static final int WAITING = 8;

  private static final int PATIENCE_SECONDS = 300;
  private static final byte[] END = new byte[0];

  private final Child child;
  private final BlockingQueue<byte[]> full = new LinkedBlockingQueue<>();
  private final BlockingQueue<byte[]> empty = new LinkedBlockingQueue<>();
  private volatile IOException failure;

  private VideoEncoder(Child child) {
    this.child = child;
    for (int i = 0; i < WAITING; i++) {
      empty.add(new byte[0]);
    }
    Thread writer = new Thread(this::writeAll, "encoder-writer");
    writer.setDaemon(true);
    writer.start();
  }

  /**
   * A piece of a master, High profile; pieces of the same settings can be joined without loss.
   *
   * @param quality empty for without any loss, for what is going to be encoded again
   */
  public static VideoEncoder master(
      Path file, int width, int height, FrameRate rate, Optional<Quality> quality)
      throws IOException {
    List<String> command = input(width, height, rate);
    if (quality.isPresent()) {
      command.addAll(List.of("-c:v", "libx264", "-preset", "veryfast", "-profile:v", "high"));
      command.addAll(List.of("-crf", Integer.toString(rateFactor(quality.get()))));
    } else {
      command.addAll(List.of("-c:v", "libx264", "-preset", "ultrafast", "-qp", "0"));
    }
    command.addAll(List.of("-threads", "2"));
    command.addAll(output());
    command.addAll(List.of("-video_track_timescale", Integer.toString(timescale(rate))));
    command.addAll(List.of("-f", "mp4", "file:" + file.toAbsolutePath()));
    return new VideoEncoder(Child.start(command));
  }

  /** The encoder's constant rate factor; smaller is better (common practice, no source). */
  static int rateFactor(Quality quality) {
    return switch (quality) {
      case HIGH -> 16;
      case STANDARD -> 19;
      case SMALL -> 24;
    };
  }

  /**
   * A piece of the preview as an MPEG transport stream that begins at 0; {@link TransportTime} puts
   * it where it is in the film.
   */
  public static VideoEncoder preview(Path file, int width, int height, FrameRate rate)
      throws IOException {
    List<String> command = input(width, height, rate);
    command.addAll(List.of("-c:v", "libx264", "-preset", "ultrafast", "-tune", "zerolatency"));
    command.addAll(List.of("-crf", "21", "-threads", "2"));
    command.addAll(output());
    command.addAll(List.of("-muxdelay", "0", "-muxpreload", "0"));
    command.addAll(List.of("-f", "mpegts", "file:" + file.toAbsolutePath()));
    return new VideoEncoder(Child.start(command));
  }

  /** A time base in which every frame of the rate is a whole number of ticks. */
  static int timescale(FrameRate rate) {
    return rate.numerator() >= 1000 ? rate.numerator() : rate.numerator() * 1000;
  }

  static List<String> input(int width, int height, FrameRate rate) {
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
    command.addAll(List.of("-f", "rawvideo", "-pix_fmt", "yuv420p", "-s", width + "x" + height));
    command.addAll(List.of("-r", rate.toString(), "-color_range", "tv", "-colorspace", "bt709"));
    command.addAll(List.of("-color_primaries", "bt709", "-color_trc", "bt709"));
    command.addAll(List.of("-i", "pipe:0", "-an"));
    return command;
  }

  static List<String> output() {
    List<String> output = new ArrayList<>(List.of("-pix_fmt", "yuv420p"));
    output.addAll(colours());
    return output;
  }

  /** How colours are said to be written: BT.709, limited range. */
  static List<String> colours() {
    return List.of(
        "-color_range",
        "tv",
        "-colorspace",
        "bt709",
        "-color_primaries",
        "bt709",
        "-color_trc",
        "bt709");
  }

  /**
   * Encodes one more frame. It is copied, and written by a thread of its own, so that the next one
   * is drawn while the encoder takes this one.
   */
  public void write(Frame frame) throws IOException {
    byte[] copy = take(empty);
    if (copy.length != frame.data().length) {
      copy = new byte[frame.data().length];
    }
    System.arraycopy(frame.data(), 0, copy, 0, copy.length);
    full.add(copy);
  }

  /** The next buffer that the writer has done with. */
  private byte[] take(BlockingQueue<byte[]> queue) throws IOException {
    try {
      byte[] buffer = queue.poll(PATIENCE_SECONDS, TimeUnit.SECONDS);
      if (failure != null) {
        child.waitFor();
        throw new IOException("The encoder stopped: " + child.errorLine(), failure);
      }
      if (buffer == null) {
        throw new IOException("The encoder took no picture for " + PATIENCE_SECONDS + " seconds.");
      }
      return buffer;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("Interrupted while a picture was encoded.");
    }
  }

  private void writeAll() {
    try (OutputStream out = child.stdin()) {
      byte[] data = full.take();
      while (data != END) {
        for (int at = 0; at < data.length; at += CHUNK) {
          out.write(data, at, Math.min(CHUNK, data.length - at));
        }
        empty.add(data);
        data = full.take();
      }
    } catch (IOException e) {
      failure = e;
      empty.add(new byte[0]);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Says that no frame follows; the encoder goes on with what it has. */
  public void end() {
    full.add(END);
  }

  /** Waits until the file is whole. */
  public void await() throws IOException {
    if (child.waitFor() != 0) {
      throw new IOException("The encoder failed: " + child.errorLine());
    }
  }

  @Override
  public void close() {
    child.close();
    full.add(END);
  }
}
