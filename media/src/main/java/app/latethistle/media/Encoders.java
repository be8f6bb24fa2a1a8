package app.latethistle.media;

import app.latethistle.core.release.Encoding;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What the ffmpeg of a machine can write.
 *
 * @param names of its encoders
 */
public record Encoders(Set<String> names) {
  /** A line of ffmpeg's list: flags, then the encoder's name. */
  private static final Pattern LINE = Pattern.compile("(?m)^ [VAS][A-Z.]{5} (\\S+) ");

  private static final int SECONDS = 30;

  /** Copies the set. */
  public Encoders {
    names = Set.copyOf(names);
  }

  /** What this machine's ffmpeg says. */
  public static Encoders ofMachine() throws IOException {
    String list = Child.output(List.of("ffmpeg", "-nostdin", "-v", "error", "-encoders"), SECONDS);
    return new Encoders(
        LINE.matcher(list)
            .results()
            .map((MatchResult found) -> found.group(1))
            .collect(Collectors.toSet()));
  }

  /** Whether an encoding can be written: some machines' ffmpeg has no H.265. */
  public boolean isWritten(Encoding encoding) {
    return encoding != Encoding.MP4_HEVC || names.contains(OutputFile.HEVC);
  }
}
