package app.latethistle.media.render;

import app.latethistle.core.film.Run;
import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.grade.Signal;
import app.latethistle.core.look.Easing;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.LiePath;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.TransitionManner;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.View;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.render.Treat;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Ffmpeg;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Originals;
import app.latethistle.media.ShippedFaces;
import app.latethistle.media.VideoEncoder;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * A worked film (dissolves, a move, a layer, a table of colours, vignette and grain over all)
 * beside ffmpeg's filter graph with its own filters for the same, and beside encoding our finished
 * frames alone.
 */
final class GraphBench {
  private static final int FRAMES = 72;
  private static final int DISSOLVE = 12;
  private static final int WIDE = 1920;
  private static final int HIGH = 1080;
  private static final int TABLE_SIDE = 17;

  /**
   * As much as ffmpeg's noise of 8: both change luma by 4.2 codes from frame to frame, as a
   * standard deviation. More would measure how the encoder takes noise.
   */
  private static final int GRAIN = 20;

  private static final String TABLE = "table";

  private final Path folder;
  private final List<Path> clips;
  private final Originals originals;
  private final int length;

  /**
   * @param files the clips as m0, m1 and so on, 96 frames of 1280x720 at 24 a second each
   */
  GraphBench(Path folder, List<Path> clips, Map<String, Originals.Original> files) {
    this.folder = folder;
    this.clips = List.copyOf(clips);
    originals = new Originals(files, FrameRate.FPS_24, file -> table(), ShippedFaces.all());
    length = clips.size() * FRAMES;
  }

  /**
   * Measures in turns.
   *
   * @return the median ratio of ffmpeg's time to ours, and of that of encoding alone to ours
   */
  List<Double> measure(int rounds) throws IOException {
    Files.writeString(folder.resolve("table.cube"), cube());
    finishedFrames();
    double[] graph = new double[rounds];
    double[] limit = new double[rounds];
    for (int round = 0; round <= rounds; round++) {
      double ours = RenderBench.seconds(this::ours);
      double theirs = RenderBench.seconds(this::theirs);
      double alone = RenderBench.seconds(this::encodedAlone);
      if (round > 0) {
        graph[round - 1] = theirs / ours;
        limit[round - 1] = alone / ours;
        System.out.printf(
            "worked: ours %.2f s, ffmpeg's graph %.2f s (%.2f), encoding alone %.2f s (%.2f)%n",
            ours, theirs, theirs / ours, alone, alone / ours);
      }
    }
    Arrays.sort(graph);
    Arrays.sort(limit);
    return List.of(graph[rounds / 2], limit[rounds / 2]);
  }

  private static Treat treat(TreatmentKind kind, String table, double... values) {
    List<Treat.Track> tracks = new ArrayList<>();
    for (double value : values) {
      tracks.add(new Treat.Track(List.of((int) Math.round(1000 * value))));
    }
    return new Treat(kind, tracks, table);
  }

  private Program program() {
    List<Layer.Part> parts = new ArrayList<>();
    List<Layer.Passage> passages = new ArrayList<>();
    for (int i = 0; i < clips.size(); i++) {
      long start = (long) i * FRAMES;
      long before = i == 0 ? 0 : DISSOLVE / 2;
      long after = i == clips.size() - 1 ? 0 : DISSOLVE / 2;
      FrameRange seen = new FrameRange(-before, FRAMES + after);
      Framing framing =
          i == 0
              ? Framing.along(FramingPath.of(View.WHOLE, View.enlarged(1120), Easing.EVEN))
              : Framing.FILL;
      parts.add(
          new Layer.Part(
              seen.shift(start),
              start,
              new Layer.Footage("m" + i, FRAMES + 24, 12, Run.PLAIN, FRAMES, framing, seen)));
      if (i > 0) {
        passages.add(
            new Layer.Passage(
                FrameRange.ofLength(start - DISSOLVE / 2, DISSOLVE),
                i,
                TransitionKind.DISSOLVE,
                TransitionManner.PLAIN));
      }
    }
    Layer cut = new Layer.Sequence(parts, passages);
    Layer over = new Layer.Footage("m1", FRAMES + 24, 12, Run.PLAIN, FRAMES, Framing.FILL);
    Layer stack =
        new Layer.Stack(
            cut,
            List.of(
                new Layer.Over(
                    new Layer.Part(FrameRange.ofLength(2L * FRAMES, FRAMES), over),
                    LiePath.still(new Lie(80, 300, 750, 250, 0)),
                    Mixing.NORMAL)));
    Layer all =
        new Layer.Treated(
            stack,
            new FrameRange(0, length),
            List.of(
                treat(TreatmentKind.TABLE, TABLE, 100),
                treat(TreatmentKind.VIGNETTE, "", 40, 55, 75),
                treat(TreatmentKind.GRAIN, "", GRAIN, 16, 60, 40)),
            new Layer.Chance(1, 0));
    return new Program(all, length, FrameRate.FPS_24, WIDE, HIGH);
  }

  private MasterRender render(Path segments) {
    return new MasterRender(program(), originals, Optional.of(Quality.STANDARD), segments);
  }

  private void ours() throws IOException {
    Path segments = folder.resolve("worked");
    render(segments)
        .render(
            Mix.silence(FrameRate.FPS_24.sampleOf(length)),
            RenderBench.NO_SOUNDS,
            folder.resolve("worked.mp4"),
            RenderBench.ON);
    RenderBench.delete(segments);
  }

  private void finishedFrames() throws IOException {
    for (Segment segment : render(folder).segments()) {
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(raw(segment)))) {
        new Compositor(program(), originals)
            .draw(segment.range(), picture -> out.write(picture.data()));
      }
    }
  }

  private Path raw(Segment segment) {
    return folder.resolve("finished" + segment.index() + ".yuv");
  }

  /** Encodes the finished frames in the same pieces, as many at once. */
  private void encodedAlone() throws IOException {
    ExecutorService threads = Executors.newFixedThreadPool(MasterRender.AT_ONCE);
    try {
      List<Future<?>> works = new ArrayList<>();
      for (Segment segment : render(folder).segments()) {
        works.add(
            threads.submit(
                () -> {
                  encodeAlone(segment);
                  return null;
                }));
      }
      for (Future<?> work : works) {
        work.get();
      }
    } catch (InterruptedException | ExecutionException e) {
      throw new IOException(e);
    } finally {
      threads.shutdownNow();
    }
  }

  private void encodeAlone(Segment segment) throws IOException {
    Path made = folder.resolve("alone" + segment.index() + ".mp4");
    Frame frame = new Frame(WIDE, HIGH);
    try (VideoEncoder encoder =
            VideoEncoder.master(made, WIDE, HIGH, FrameRate.FPS_24, Optional.of(Quality.STANDARD));
        DataInputStream in = new DataInputStream(Files.newInputStream(raw(segment)))) {
      for (long i = 0; i < segment.range().length(); i++) {
        in.readFully(frame.data());
        encoder.write(frame);
      }
      encoder.end();
      encoder.await();
    }
  }

  /** The same with ffmpeg's own filters, and the encoder's settings of ours. */
  private void theirs() throws IOException {
    List<String> command = new ArrayList<>();
    StringBuilder graph = new StringBuilder();
    for (int i = 0; i < clips.size(); i++) {
      command.addAll(List.of("-i", clips.get(i).toString()));
      int from = i == 0 ? 12 : 12 - DISSOLVE / 2;
      int to = 12 + FRAMES + (i == clips.size() - 1 ? 0 : DISSOLVE / 2);
      graph.append(
          String.format(
              Locale.ROOT,
              "[%d:v]trim=start_frame=%d:end_frame=%d,setpts=PTS-STARTPTS,%s,fps=24,settb=1/24[v%d];",
              i,
              from,
              to,
              i == 0
                  ? "scale=1920:1080:flags=bicubic,zoompan=z='1+0.12*on/78':d=1:s=1920x1080:fps=24"
                      + ":x='iw/2-iw/zoom/2':y='ih/2-ih/zoom/2'"
                  : "scale=1920:1080:flags=bicubic",
              i));
    }
    String last = "v0";
    for (int i = 1; i < clips.size(); i++) {
      double offset = (i * FRAMES - DISSOLVE / 2) / 24.0;
      graph.append(
          String.format(
              Locale.ROOT,
              "[%s][v%d]xfade=transition=fade:duration=0.5:offset=%.6f[x%d];",
              last,
              i,
              offset,
              i));
      last = "x" + i;
    }
    command.addAll(List.of("-i", clips.get(1).toString()));
    graph.append(
        String.format(
            Locale.ROOT,
            "[%d:v]trim=start_frame=12:end_frame=84,setpts=PTS-STARTPTS+6/TB,"
                + "scale=576:324:flags=bicubic,format=yuva420p,colorchannelmixer=aa=0.8[o];"
                + "[%s][o]overlay=x=1152:y=108:eof_action=pass,format=gbrp,lut3d=%s,"
                + "format=yuv420p,vignette,noise=alls=8:allf=t[v]",
            clips.size(),
            last,
            folder.resolve("table.cube")));
    command.addAll(
        List.of("-f", "lavfi", "-t", Integer.toString(length / 24), "-i", "anullsrc=r=48000"));
    command.addAll(List.of("-filter_complex", graph.toString(), "-map", "[v]"));
    command.addAll(List.of("-map", Integer.toString(clips.size() + 1), "-r", "24"));
    command.addAll(List.of("-c:v", "libx264", "-preset", "veryfast", "-crf", "19"));
    command.addAll(List.of("-threads", "2", "-pix_fmt", "yuv420p", "-c:a", "aac"));
    command.addAll(List.of("-movflags", "+faststart", folder.resolve("graph.mp4").toString()));
    Ffmpeg.run(command.toArray(new String[0]));
  }

  /** A table that warms the light and cools the dark a little. */
  private static double[] looked(int red, int green, int blue) {
    double r = red / (TABLE_SIDE - 1.0);
    double g = green / (TABLE_SIDE - 1.0);
    double b = blue / (TABLE_SIDE - 1.0);
    return new double[] {0.02 + 0.98 * r, 0.98 * g + 0.02 * r, 0.06 + 0.88 * b};
  }

  private static GivenTable table() {
    List<Float> values = new ArrayList<>();
    each(
        (r, g, b) -> {
          for (double value : looked(r, g, b)) {
            values.add((float) value);
          }
        });
    return new GivenTable(TABLE_SIDE, true, new Signal(0, 0, 0), new Signal(1, 1, 1), values);
  }

  private static String cube() {
    StringBuilder text = new StringBuilder("LUT_3D_SIZE " + TABLE_SIDE + "\n");
    each(
        (r, g, b) -> {
          double[] v = looked(r, g, b);
          text.append(String.format(Locale.ROOT, "%.6f %.6f %.6f%n", v[0], v[1], v[2]));
        });
    return text.toString();
  }

  private interface Place {
    void at(int red, int green, int blue);
  }

  /** Red goes round first, as in .cube files. */
  private static void each(Place place) {
    for (int b = 0; b < TABLE_SIDE; b++) {
      for (int g = 0; g < TABLE_SIDE; g++) {
        for (int r = 0; r < TABLE_SIDE; r++) {
          place.at(r, g, b);
        }
      }
    }
  }
}
