package app.latethistle.media;

import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.InterruptedIOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * A child process with its standard error kept in the background, so that it never blocks on it.
 * Closing it ends it.
 */
final class Child implements Closeable {
  private static final int KEPT_ERROR = 16_384;

  /** So much is read of what a child prints, in bytes: ten hours of packets at 60 a second. */
  private static final int LONGEST_ANSWER = 48 << 20;

  private final Process process;
  private final Thread errorReader;
  private final ByteArrayOutputStream error = new ByteArrayOutputStream();

  private Child(Process process) {
    this.process = process;
    errorReader = new Thread(this::readError, "child-error");
    errorReader.setDaemon(true);
    errorReader.start();
  }

  static Child start(List<String> command) throws IOException {
    try {
      return new Child(new ProcessBuilder(command).start());
    } catch (IOException e) {
      throw new IOException(
          "Could not start "
              + command.get(0)
              + ": "
              + e.getMessage()
              + ". ./start installs what is missing: stop it and run it again.",
          e);
    }
  }

  /** Runs a command to its end and returns what it printed. */
  static String output(List<String> command, int seconds) throws IOException {
    return new String(output(command, new byte[0], seconds), StandardCharsets.UTF_8);
  }

  /** Runs a command to its end on some input, small enough for a pipe, and returns its output. */
  static byte[] output(List<String> command, byte[] input, int seconds) throws IOException {
    try (Child child = start(command)) {
      child.stdin().write(input);
      child.stdin().close();
      // A reader that blocks for ever would outlive the limit, so the process is ended first.
      Thread watchdog = child.endAfter(seconds);
      byte[] answer = child.stdout().readNBytes(LONGEST_ANSWER + 1);
      if (answer.length > LONGEST_ANSWER) {
        throw new IOException("It holds more parts than a film or song has.");
      }
      int status = child.waitFor();
      watchdog.interrupt();
      if (status != 0) {
        throw new IOException(child.errorLine());
      }
      return answer;
    }
  }

  InputStream stdout() {
    return process.getInputStream();
  }

  /** What it prints, line by line. */
  BufferedReader said() {
    return new BufferedReader(new InputStreamReader(stdout(), StandardCharsets.UTF_8));
  }

  OutputStream stdin() {
    return process.getOutputStream();
  }

  int waitFor() throws IOException {
    try {
      int status = process.waitFor();
      errorReader.join(1000);
      return status;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("Interrupted while waiting for a child process.");
    }
  }

  /** Whether it has ended. */
  boolean hasEnded() {
    return !process.isAlive();
  }

  /** All it said on standard error, up to some length. */
  String errorText() {
    synchronized (error) {
      return error.toString(StandardCharsets.UTF_8);
    }
  }

  /** The last line it said on standard error, without places of the machine. */
  String errorLine() {
    String[] lines = errorText().strip().split("\n");
    String last = MachinePlaces.replaced(lines[lines.length - 1].strip(), "the file");
    return last.isEmpty() ? "It ended without saying why." : last;
  }

  private Thread endAfter(int seconds) {
    Thread watchdog =
        new Thread(
            () -> {
              try {
                Thread.sleep(TimeUnit.SECONDS.toMillis(seconds));
                process.destroyForcibly();
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            },
            "child-watchdog");
    watchdog.setDaemon(true);
    watchdog.start();
    return watchdog;
  }

  private void readError() {
    byte[] buffer = new byte[4096];
    try (InputStream in = process.getErrorStream()) {
      int n = in.read(buffer);
      while (n >= 0) {
        synchronized (error) {
          if (error.size() < KEPT_ERROR) {
            error.write(buffer, 0, n);
          }
        }
        n = in.read(buffer);
      }
    } catch (IOException e) {
      // The process was ended; what it said until then is kept.
      return;
    }
  }

  @Override
  public void close() {
    process.destroyForcibly();
  }
}
