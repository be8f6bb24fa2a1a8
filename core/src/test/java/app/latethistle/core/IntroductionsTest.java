package app.latethistle.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collector;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The example in each package's introduction compiles, given what it speaks of. */
class IntroductionsTest {
  private static final Path CORE = Path.of("src/main/java/app/latethistle/core");
  private static final Pattern EXAMPLE =
      Pattern.compile("<pre>\\{@code\n(.*?)\\}</pre>", Pattern.DOTALL);

  /** What an example speaks of without saying where it is from. */
  private static final Map<String, String> GIVEN =
      Map.ofEntries(
          Map.entry("check", "List<Frame> pictures"),
          Map.entry("caption", "List<Narration.Word> spoken"),
          Map.entry("film", "Film film, Resolved resolved"),
          Map.entry(
              "grade",
              "Frame frame, Frame into, List<ColourPicture> key, List<ColourPicture> shot"),
          Map.entry("people", "app.latethistle.core.picture.Frame frame"),
          Map.entry("interchange", "Correction correction, String text, String xml"),
          Map.entry(
              "marks",
              "Film film, Resolved resolved, PictureShape picture,"
                  + " Map<String, List<app.latethistle.core.take.Box>> marks,"
                  + " Faces faces"),
          Map.entry("measure", "List<byte[]> planes"),
          Map.entry("mix", "String hash, long length, SoundSource source"),
          Map.entry("music", "float[] samples"),
          Map.entry("repair", "Clip clip"),
          Map.entry("picture", "Frame source, Frame target"),
          Map.entry("plan", "CutPlanner.Request request"),
          Map.entry("release", "Resolved resolved"),
          Map.entry("render", "Resolved resolved, PictureSource source"),
          Map.entry("subject", "app.latethistle.core.repair.Clip clip"),
          Map.entry("signal", "MonoSound sound"),
          Map.entry("type", "Faces faces, Frame frame"),
          Map.entry("voice", "MonoSound reading, ModelReading model, long length"),
          Map.entry("work", "List<java.io.File> files"));

  static List<String> packages() throws IOException {
    try (Stream<Path> folders = Files.list(CORE)) {
      return folders
          .filter(Files::isDirectory)
          .map(folder -> folder.getFileName().toString())
          .sorted()
          .toList();
    }
  }

  @ParameterizedTest
  @MethodSource("packages")
  void itsExampleCompiles(String name) throws IOException {
    String text = Files.readString(CORE.resolve(name).resolve("package-info.java"));
    Matcher example = EXAMPLE.matcher(text);
    assertThat(example.find()).as("%s has no example", name).isTrue();
    String body =
        example.group(1).lines().map(line -> line.replaceFirst("^ \\* ?", "")).collect(lines());
    String imports =
        packages().stream()
            .filter(other -> !other.equals(name))
            .map(other -> "import app.latethistle.core." + other + ".*;")
            .collect(lines());
    String source =
        "package app.latethistle.core."
            + name
            + ";\nimport java.util.*;\n"
            + imports
            + "\nclass Example {\n  void sum(float[] stereo) {}\n"
            + "  void show(app.latethistle.core.picture.Frame frame) {}\n"
            + "  void example("
            + GIVEN.getOrDefault(name, "")
            + ") throws Exception {\n"
            + body
            + "\n  }\n}\n";
    assertThat(errors(source)).as(source).isEmpty();
  }

  private static Collector<CharSequence, ?, String> lines() {
    return Collectors.joining("\n");
  }

  private static List<String> errors(String source) throws IOException {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    DiagnosticCollector<JavaFileObject> found = new DiagnosticCollector<>();
    JavaFileObject file =
        new SimpleJavaFileObject(URI.create("string:///Example.java"), JavaFileObject.Kind.SOURCE) {
          @Override
          public CharSequence getCharContent(boolean ignoreErrors) {
            return source;
          }
        };
    Path out = Files.createTempDirectory("examples");
    compiler
        .getTask(
            null,
            null,
            found,
            List.of("-d", out.toString(), "-cp", Path.of("target/classes").toString()),
            null,
            List.of(file))
        .call();
    try (Stream<Path> made = Files.walk(out)) {
      made.sorted(Comparator.reverseOrder()).forEach(path -> path.toFile().delete());
    }
    return found.getDiagnostics().stream()
        .filter(d -> d.getKind() == Diagnostic.Kind.ERROR)
        .map(d -> d.getLineNumber() + ": " + d.getMessage(Locale.ROOT))
        .toList();
  }
}
