package app.latethistle.media.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.look.Framing;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.Program;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Ffmpeg;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Originals;
import app.latethistle.media.Probe;
import app.latethistle.media.Quality;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Measures a master of straight cuts from 720p clips to 1080p beside ffmpeg doing the same decode,
 * scale and encode in one process of its own, in turns: {@code ./bench render}.
 */
public final class RenderBench {
  private static final int CLIPS = 6;
  private static final int FRAMES = 72;
  private static final int ROUNDS = 3;
  private static final SoundSource NO_SOUNDS =
      (media, channels) -> {
        throw new IOException("nothing is heard");
      };
  private static final MasterRender.Progress ON =
      new MasterRender.Progress() {
        @Override
        public void frames(long done) {}

        @Override
        public boolean isCancelled() {
          return false;
        }
      };

  private RenderBench() {}

  public static void main(String[] args) throws IOException {
    Path folder = Files.createTempDirectory("render-bench");
    try {
      List<Path> clips = clips(folder);
      List<Double> ratios = new ArrayList<>();
      System.out.printf("%6s %10s %10s %7s%n", "round", "ours s", "ffmpeg s", "ratio");
      for (int round = 0; round <= ROUNDS; round++) {
        double ours = seconds(() -> ours(folder, clips));
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
    } finally {
      delete(folder);
    }
  }

  private interface Work {
    void run() throws IOException;
  }

  private static double seconds(Work work) throws IOException {
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

  private static void ours(Path folder, List<Path> clips) throws IOException {
    Map<String, Originals.Original> files = new HashMap<>();
    List<Layer.Part> parts = new ArrayList<>();
    for (int i = 0; i < CLIPS; i++) {
      files.put("m" + i, new Originals.Original(clips.get(i), Probe.probe(clips.get(i))));
      FrameRange range = FrameRange.ofLength((long) i * FRAMES, FRAMES);
      parts.add(
          new Layer.Part(
              range, new Layer.Footage("m" + i, FRAMES + 24, 12, Run.PLAIN, FRAMES, Framing.FILL)));
    }
    Program program =
        new Program(new Layer.Sequence(parts), (long) CLIPS * FRAMES, FrameRate.FPS_24, 1920, 1080);
    Path segments = folder.resolve("segments");
    Mix silence = Mix.silence(FrameRate.FPS_24.sampleOf(program.length()));
    new MasterRender(program, new Originals(files, FrameRate.FPS_24), Quality.STANDARD, segments)
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

  private static void delete(Path folder) throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(path);
      }
    }
  }
}
