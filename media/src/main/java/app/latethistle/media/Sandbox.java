package app.latethistle.media;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * Builds command lines that read one untrusted file: limits from prlimit and, where the machine
 * allows it, a bubblewrap sandbox without network and with only that file in sight.
 */
public final class Sandbox {
  /** The one file and the pipe to us; nothing that a file names is opened. */
  private static final String PROTOCOLS = "file,pipe";

  private static final String MAX_PIXELS = "33177600";
  private static final String MAX_ALLOC = "134217728";

  /** A still may be so large, so that it can be brought to a workable size. */
  static final long LARGEST_STILL = 100_000_000;

  /** Eight bytes for each of its pixels. */
  private static final String STILL_ALLOC = Long.toString(8 * LARGEST_STILL);

  private static final long MAX_MEMORY = 3L << 30;
  private static final long MAX_OUTPUT = 1L << 20;
  private static final long MAX_FONT = 32L << 20;
  private static final int MAX_CPU_SECONDS = 1800;
  private static final String INSIDE = "/in/file";

  private static final class Holder {
    static final boolean BUBBLEWRAP = works();
  }

  private Sandbox() {}

  /** Whether file readers run in a sandbox on this machine; limits hold either way. */
  public static boolean isAvailable() {
    return Holder.BUBBLEWRAP;
  }

  /** ffmpeg reading one file; the options follow the input, output goes to standard output. */
  static List<String> ffmpeg(
      Path file, Container container, List<String> before, List<String> after) {
    List<String> command = wrap(file);
    command.addAll(List.of("ffmpeg", "-nostdin", "-v", "error"));
    command.addAll(List.of("-protocol_whitelist", PROTOCOLS));
    boolean still = container.isStill();
    command.addAll(List.of("-max_alloc", still ? STILL_ALLOC : MAX_ALLOC));
    command.addAll(List.of("-max_pixels", still ? Long.toString(LARGEST_STILL) : MAX_PIXELS));
    command.addAll(List.of("-threads", "2", "-f", container.demuxer()));
    command.addAll(before);
    command.addAll(List.of("-i", "file:" + seen(file)));
    command.addAll(after);
    return command;
  }

  /** ffprobe reading one file. */
  static List<String> ffprobe(Path file, Container container, List<String> options) {
    List<String> command = wrap(file);
    command.addAll(List.of("ffprobe", "-v", "error"));
    command.addAll(List.of("-max_alloc", container.isStill() ? STILL_ALLOC : MAX_ALLOC));
    command.addAll(List.of("-protocol_whitelist", PROTOCOLS));
    command.addAll(List.of("-f", container.demuxer()));
    command.addAll(options);
    command.add("file:" + seen(file));
    return command;
  }

  /**
   * The sanitizer of fonts reading one file; a font made anew goes to standard output.
   *
   * @param scratch a file that may be written where there is no sandbox
   */
  static List<String> sanitizer(Path file, Path scratch) {
    List<String> command = wrap(file, MAX_FONT);
    command.addAll(List.of("sh", "-c", "ots-sanitize \"$1\" \"$2\" >&2 && cat \"$2\"", "sh"));
    command.add(seen(file));
    command.add(isAvailable() ? "/tmp/font" : scratch.toAbsolutePath().toString());
    return command;
  }

  private static String seen(Path file) {
    return isAvailable() ? INSIDE : file.toAbsolutePath().toString();
  }

  private static List<String> wrap(Path file) {
    return wrap(file, MAX_OUTPUT);
  }

  private static List<String> wrap(Path file, long maxOutput) {
    List<String> command = new ArrayList<>();
    command.add("prlimit");
    command.add("--as=" + MAX_MEMORY);
    command.add("--fsize=" + maxOutput);
    command.add("--cpu=" + MAX_CPU_SECONDS);
    if (isAvailable()) {
      command.addAll(bubblewrap());
      command.addAll(List.of("--ro-bind", file.toAbsolutePath().toString(), INSIDE));
    }
    return command;
  }

  private static List<String> bubblewrap() {
    List<String> command = new ArrayList<>(List.of("bwrap", "--unshare-all", "--die-with-parent"));
    command.addAll(
        List.of("--new-session", "--cap-drop", "ALL", "--uid", "65534", "--gid", "65534"));
    command.addAll(List.of("--ro-bind", "/usr", "/usr", "--symlink", "usr/lib", "/lib"));
    command.addAll(List.of("--symlink", "usr/lib64", "/lib64", "--symlink", "usr/bin", "/bin"));
    for (String shared : List.of("/etc/alternatives", "/etc/ld.so.cache")) {
      if (Files.exists(Path.of(shared))) {
        command.addAll(List.of("--ro-bind", shared, shared));
      }
    }
    command.addAll(List.of("--tmpfs", "/tmp", "--proc", "/proc", "--dev", "/dev"));
    return command;
  }

  private static boolean works() {
    List<String> command = bubblewrap();
    command.addAll(List.of("ffmpeg", "-version"));
    try {
      Process process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      return process.waitFor(20, TimeUnit.SECONDS) && process.exitValue() == 0;
    } catch (IOException e) {
      return false;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }
}
