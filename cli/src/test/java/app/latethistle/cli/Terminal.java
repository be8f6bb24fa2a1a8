package app.latethistle.cli;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** Runs commands and keeps what they print. */
final class Terminal {
  private Terminal() {}

  /** What a command printed, and its exit code. */
  record Said(int code, String out, String err) {
    /** All of it. */
    String all() {
      return out + err;
    }
  }

  static Said run(String... arguments) {
    PrintStream out = System.out;
    PrintStream err = System.err;
    ByteArrayOutputStream outBytes = new ByteArrayOutputStream();
    ByteArrayOutputStream errBytes = new ByteArrayOutputStream();
    System.setOut(new PrintStream(outBytes, true, StandardCharsets.UTF_8));
    System.setErr(new PrintStream(errBytes, true, StandardCharsets.UTF_8));
    try {
      int code = Thistle.run(arguments);
      return new Said(
          code,
          outBytes.toString(StandardCharsets.UTF_8),
          errBytes.toString(StandardCharsets.UTF_8));
    } finally {
      System.setOut(out);
      System.setErr(err);
    }
  }
}
