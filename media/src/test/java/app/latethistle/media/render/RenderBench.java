package app.latethistle.media.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.look.Framing;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.MotionBetween;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.Program;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.type.Writing;
import app.latethistle.core.type.WrittenCaption;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.media.Container;
import app.latethistle.media.Ffmpeg;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Originals;
import app.latethistle.media.Probe;
import app.latethistle.media.ShippedFaces;
import app.latethistle.media.SoundFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Measures masters from 720p clips to 1080p beside ffmpeg doing the same in one process of its own,
 * in turns: straight cuts, and a worked film ({@link GraphBench}). {@code ./bench render}.
 */
public final class RenderBench {
  private static final int CLIPS = 6;
  private static final int FRAMES = 72;

  /** Clips of the worked film: its grain takes the encoder long. */
  private static final int WORKED = 3;

  private static final int ROUNDS = 3;
  static final SoundSource NO_SOUNDS =
      (media, channels) -> {
        throw new IOException("nothing is heard");
      };
  static final MasterRender.Progress ON =
      new MasterRender.Progress() {
        @Override
        public void frames(long done) {}

        @Override
        public boolean isCancelled() {
          return false;
        }
      };

  private RenderBench() {}

  /** A film of the demo's clips: as many shots, of three seconds each. */
  private static final int SHOTS = 18;

  private static final int SHOT = 72;

  public static void main(String[] args) throws IOException {
    Path folder = Files.createTempDirectory("render-bench");
    try {
      List<Path> clips = clips(folder);
      List<Path> some = clips.subList(0, WORKED);
      List<Double> worked = new GraphBench(folder, some, probed(some)).measure(ROUNDS);
      double straight = straightCuts(folder, clips);
      double titled = titled(folder, clips);
      double ripple = rippleShare(folder, Path.of("..", "demo"));
      double slow = slowMotion();
      System.out.printf(
          Locale.ROOT,
          "{\"graph\": %.3f, \"limit\": %.3f, \"straightCuts\": %.3f, \"titled\": %.3f, \"rippleShare\": %.3f,"
              + " \"slowMotion\": %.3f,"
              + " \"workers\": %d, \"cores\": %d}%n",
          worked.get(0),
          worked.get(1),
          straight,
          titled,
          ripple,
          slow,
          MasterRender.AT_ONCE,
          Runtime.getRuntime().availableProcessors());
    } finally {
      delete(folder);
    }
  }

  /** A master of straight cuts beside ffmpeg alone: the median of the ratios of their times. */
  private static double straightCuts(Path folder, List<Path> clips) throws IOException {
    Map<String, Originals.Original> files = probed(clips);
    List<Double> ratios = new ArrayList<>();
    System.out.printf("%6s %10s %10s %7s%n", "round", "ours s", "ffmpeg s", "ratio");
    for (int round = 0; round <= ROUNDS; round++) {
      double ours = seconds(() -> ours(folder, files, List.of()));
      double theirs = seconds(() -> theirs(folder, clips));
      if (round > 0) {
        ratios.add(ours / theirs);
        System.out.printf("%6d %10.2f %10.2f %7.2f%n", round, ours, theirs, ours / theirs);
      }
    }
    ratios.sort(Comparator.naturalOrder());
    System.out.printf(
        "median ratio %.2f over %d rounds, %d frames%n",
        ratios.get(ROUNDS / 2), ROUNDS, CLIPS * FRAMES);
    return ratios.get(ROUNDS / 2);
  }

  /** The same master with words on it: the median of the ratios to the one without. */
  private static double titled(Path folder, List<Path> clips) throws IOException {
    Map<String, Originals.Original> files = probed(clips);
    List<Writing> words = words();
    List<Double> ratios = new ArrayList<>();
    for (int round = 0; round <= ROUNDS; round++) {
      double plain = seconds(() -> ours(folder, files, List.of()));
      double written = seconds(() -> ours(folder, files, words));
      if (round > 0) {
        ratios.add(written / plain);
        System.out.printf(
            "words: %.2f s, without %.2f s, ratio %.3f%n", written, plain, written / plain);
      }
    }
    ratios.sort(Comparator.naturalOrder());
    return ratios.get(ROUNDS / 2);
  }

  /** A title that comes by letters in each shot, and captions over half of the time. */
  private static List<Writing> words() {
    Design design = Designs.named("Soft main title");
    List<Writing> words = new ArrayList<>();
    for (long i = 0; i < CLIPS; i++) {
      long landing = i * FRAMES + 20;
      words.add(
          new WrittenTitle(
              design.words(),
              design.lettering(),
              design.box(),
              design.movement(),
              new FrameRange(landing - 16, landing + 40),
              landing,
              List.of()));
      words.add(
          new WrittenCaption(
              List.of("Nobody remembers the year", "the valley filled."),
              CaptionStyle.USUAL.lettering(),
              CaptionStyle.USUAL.box().own(),
              0,
              FrameRange.ofLength(i * FRAMES + 30, FRAMES / 2),
              List.of()));
    }
    return words;
  }

  /** A master after the second shot was made half a second longer, as a share of the first one. */
  private static double rippleShare(Path folder, Path demo) throws IOException {
    List<Path> clips;
    try (Stream<Path> files = Files.list(demo)) {
      clips = files.filter(f -> f.toString().endsWith(".mp4")).sorted().limit(SHOTS).toList();
    }
    Path song;
    try (Stream<Path> files = Files.list(demo)) {
      song = files.filter(f -> f.toString().endsWith(".m4a")).sorted().findFirst().orElseThrow();
    }
    SoundFiles sounds =
        new SoundFiles(folder, media -> new SoundFiles.File(song, Container.of(song)));
    Map<String, Originals.Original> files = probed(clips);
    Path segments = Files.createDirectory(folder.resolve("demo-segments"));
    double first = seconds(() -> demo(folder, clips, files, 0, sounds, segments));
    double second = seconds(() -> demo(folder, clips, files, 12, sounds, segments));
    System.out.printf(
        "a demo of %d shots %.2f s; after its second shot is longer %.2f s%n",
        clips.size(), first, second);
    return second / first;
  }

  private static void demo(
      Path folder,
      List<Path> clips,
      Map<String, Originals.Original> files,
      long longer,
      SoundFiles sounds,
      Path segments)
      throws IOException {
    List<Layer.Part> parts = new ArrayList<>();
    long at = 0;
    for (int i = 0; i < clips.size(); i++) {
      long length = SHOT + (i == 1 ? longer : 0);
      parts.add(
          new Layer.Part(
              FrameRange.ofLength(at, length),
              new Layer.Footage(
                  "m" + i,
                  files.get("m" + i).facts().framesAt(FrameRate.FPS_24),
                  8,
                  Run.PLAIN,
                  length,
                  Framing.FILL)));
      at += length;
    }
    Program program = new Program(new Layer.Sequence(parts), at, FrameRate.FPS_24, 1920, 1080);
    long samples = FrameRate.FPS_24.sampleOf(at);
    Part music =
        new Part(Bus.MUSIC, "song", new SampleRange(0, samples), new Course.Straight(0), 0);
    new MasterRender(
            program,
            new Originals(files, FrameRate.FPS_24, Originals.NO_TABLES, ShippedFaces.all()),
            Optional.of(Quality.STANDARD),
            segments)
        .render(new Mix(List.of(music), samples, 0), sounds, folder.resolve("demo.mp4"), ON);
  }

  /**
   * Pictures of a shot slowed to a quarter, drawn along their motion, beside the same with the
   * motion sought for every picture.
   */
  private static double slowMotion() {
    int width = 1280;
    int height = 720;
    Frame[] frames = new Frame[4];
    for (int i = 0; i < frames.length; i++) {
      frames[i] = new Frame(width, height);
      frames[i].black();
      for (int p = 0; p < width * height; p++) {
        double x = p % width - 6.0 * i;
        double y = (double) (p / width) - 2.0 * i;
        frames[i].data()[p] =
            (byte) (110 + 60 * Math.sin(x / 23 + Math.cos(y / 31)) + 30 * Math.sin(y / 11));
      }
    }
    List<Double> ratios = new ArrayList<>();
    for (int round = 0; round <= ROUNDS; round++) {
      double kept = slow(frames, false);
      double anew = slow(frames, true);
      if (round > 0) {
        ratios.add(kept / anew);
      }
    }
    ratios.sort(Comparator.naturalOrder());
    System.out.printf("slowed along its motion, field kept a pair: %.2f%n", ratios.get(1));
    return ratios.get(ROUNDS / 2);
  }

  private static double slow(Frame[] frames, boolean anew) {
    MotionBetween motion = new MotionBetween(frames[0].width(), frames[0].height());
    Frame into = new Frame(frames[0].width(), frames[0].height());
    long start = System.nanoTime();
    long number = 0;
    for (int i = 0; i + 1 < frames.length; i++) {
      for (double share : new double[] {0.25, 0.5, 0.75}) {
        number += anew ? 1 : 0;
        motion.draw(anew ? number : i, frames[i], frames[i + 1], share, into);
      }
    }
    return (System.nanoTime() - start) / 1e9;
  }

  interface Work {
    void run() throws IOException;
  }

  static double seconds(Work work) throws IOException {
    long start = System.nanoTime();
    work.run();
    return (System.nanoTime() - start) / 1e9;
  }

  private static List<Path> clips(Path folder) throws IOException {
    List<Path> clips = new ArrayList<>();
    for (int i = 0; i < CLIPS; i++) {
      Path clip = folder.resolve("clip" + i + ".mp4");
      String source =
          i % 2 == 0
              ? "mandelbrot=s=1280x720:r=24:start_scale=" + (1.0 / (i + 1))
              : "testsrc2=s=1280x720:r=24";
      Ffmpeg.run(
          "-f",
          "lavfi",
          "-i",
          source,
          "-frames:v",
          Integer.toString(FRAMES + 24),
          "-pix_fmt",
          "yuv420p",
          "-c:v",
          "libx264",
          "-crf",
          "20",
          clip.toString());
      clips.add(clip);
    }
    return clips;
  }

  /** The clips with what a probe found, which is known when a master is ordered. */
  private static Map<String, Originals.Original> probed(List<Path> clips) throws IOException {
    Map<String, Originals.Original> files = new HashMap<>();
    for (int i = 0; i < clips.size(); i++) {
      files.put("m" + i, new Originals.Original(clips.get(i), Probe.probe(clips.get(i))));
    }
    return files;
  }

  private static void ours(Path folder, Map<String, Originals.Original> files, List<Writing> words)
      throws IOException {
    List<Layer.Part> parts = new ArrayList<>();
    for (int i = 0; i < CLIPS; i++) {
      FrameRange range = FrameRange.ofLength((long) i * FRAMES, FRAMES);
      parts.add(
          new Layer.Part(
              range, new Layer.Footage("m" + i, FRAMES + 24, 12, Run.PLAIN, FRAMES, Framing.FILL)));
    }
    Layer cut = new Layer.Sequence(parts);
    Layer film =
        words.isEmpty()
            ? cut
            : new Layer.Written(cut, words.stream().map(Layer.Inscription::plain).toList());
    Program program = new Program(film, (long) CLIPS * FRAMES, FrameRate.FPS_24, 1920, 1080);
    Path segments = folder.resolve("segments");
    Mix silence = Mix.silence(FrameRate.FPS_24.sampleOf(program.length()));
    new MasterRender(
            program,
            new Originals(files, FrameRate.FPS_24, Originals.NO_TABLES, ShippedFaces.all()),
            Optional.of(Quality.STANDARD),
            segments)
        .render(silence, NO_SOUNDS, folder.resolve("ours.mp4"), ON);
    delete(segments);
  }

  /** The same encoder settings as {@code VideoEncoder.master} at standard quality. */
  private static void theirs(Path folder, List<Path> clips) throws IOException {
    List<String> command = new ArrayList<>();
    StringBuilder graph = new StringBuilder();
    for (int i = 0; i < CLIPS; i++) {
      command.addAll(List.of("-i", clips.get(i).toString()));
      graph.append('[').append(i).append(":v]trim=start_frame=12:end_frame=").append(12 + FRAMES);
      graph.append(",setpts=PTS-STARTPTS,scale=1920:1080:flags=bicubic[v").append(i).append("];");
    }
    for (int i = 0; i < CLIPS; i++) {
      graph.append("[v").append(i).append(']');
    }
    graph.append("concat=n=").append(CLIPS).append("[v]");
    command.addAll(
        List.of(
            "-f", "lavfi", "-t", Integer.toString(CLIPS * FRAMES / 24), "-i", "anullsrc=r=48000"));
    command.addAll(List.of("-filter_complex", graph.toString(), "-map", "[v]"));
    command.addAll(List.of("-map", Integer.toString(CLIPS), "-r", "24", "-c:v", "libx264"));
    command.addAll(List.of("-preset", "veryfast", "-crf", "19", "-threads", "2"));
    command.addAll(List.of("-pix_fmt", "yuv420p", "-c:a", "aac", "-movflags", "+faststart"));
    command.add(folder.resolve("theirs.mp4").toString());
    Ffmpeg.run(command.toArray(new String[0]));
  }

  static void delete(Path folder) throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(path);
      }
    }
  }
}
