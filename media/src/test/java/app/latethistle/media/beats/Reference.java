package app.latethistle.media.beats;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A public beat tracker that is run as a program beside ours, on the same file. */
enum Reference {
  /** Debian's aubio-tools (GPL-3). */
  AUBIO {
    @Override
    List<String> command(Path wav) {
      return List.of("aubio", "beat", "-i", wav.toString());
    }
  },
  /** npm's music-tempo 1.0.3 (MIT), put into {@code target/references} by ./bench. */
  MUSIC_TEMPO {
    @Override
    List<String> command(Path wav) {
      return List.of("node", "src/test/js/music-tempo.cjs", wav.toString());
    }
  };

  abstract List<String> command(Path wav);

  /** Beat times in seconds; none if the program fails on the file. */
  List<Double> beats(Path wav) throws IOException {
    Process process =
        new ProcessBuilder(command(wav)).redirectError(ProcessBuilder.Redirect.DISCARD).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    List<Double> beats = new ArrayList<>();
    for (String line : said.lines().toList()) {
      beats.add(Double.valueOf(line.strip()));
    }
    return beats;
  }
}
