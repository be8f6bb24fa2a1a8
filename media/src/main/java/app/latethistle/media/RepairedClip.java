package app.latethistle.media;

import app.latethistle.core.release.Quality;
import app.latethistle.core.repair.Clip;
import app.latethistle.core.repair.Mending;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Makes a clip whose pictures are put right, with the sound of the one it is made of. */
public final class RepairedClip {
  /** What is kept of each picture would not fit into memory. */
  private static final long MOST_FRAMES = 1200;

  private static final int PATIENCE_SECONDS = 120;

  private RepairedClip() {}

  /**
   * Makes it, in a Matroska file.
   *
   * @param rate at which it is read; the film's, or its own
   * @param all done one after the other
   * @throws RefusedMedia if it cannot be, with a sentence for the person
   */
  public static void make(
      Path original,
      MediaFacts facts,
      FrameRate rate,
      List<Mending> all,
      Path target,
      Clip.Progress progress)
      throws IOException {
    long frames = facts.framesAt(rate);
    if (facts.kind() != MediaFacts.Kind.CLIP) {
      throw new RefusedMedia("Only clips are put right so; make a clip of the still first.");
    }
    if (frames > MOST_FRAMES) {
      throw new RefusedMedia(
          "It has " + frames + " frames; up to " + MOST_FRAMES + " are worked on. Cut it shorter.");
    }
    try (WorkFolder work = WorkFolder.make()) {
      Path from = original;
      MediaFacts of = facts;
      Optional<FrameRange> kept = Optional.empty();
      for (int i = 0; i < all.size(); i++) {
        int done = i;
        boolean last = i == all.size() - 1;
        Path to = work.path().resolve(i + ".mp4");
        Optional<Quality> quality = last ? Optional.of(Quality.HIGH) : Optional.empty();
        pass(
            new ClipFile(from, of, rate),
            all.get(i),
            quality,
            to,
            share -> progress.at((done + share) / all.size()));
        from = to;
        of = Probe.probe(to);
        kept = within(kept, all.get(i).kept());
      }
      List<String> part = kept.map(piece -> soundOf(piece, rate)).orElse(List.of());
      withSound(from, original, facts, part, work.path(), target);
    }
  }

  private static void pass(
      ClipFile clip, Mending one, Optional<Quality> quality, Path to, Clip.Progress progress)
      throws IOException {
    try (VideoEncoder encoder =
        VideoEncoder.master(to, clip.width(), clip.height(), clip.rate(), quality)) {
      one.mend(clip, (number, frame) -> encoder.write(frame), progress);
      encoder.end();
      encoder.await();
    }
  }

  /** What is kept of the original once a piece is kept of what was kept before. */
  private static Optional<FrameRange> within(
      Optional<FrameRange> before, Optional<FrameRange> piece) {
    long start = before.map(FrameRange::start).orElse(0L);
    return piece.map(range -> range.shift(start)).or(() -> before);
  }

  /** Which part of the original's sound goes with the pictures that are kept. */
  private static List<String> soundOf(FrameRange kept, FrameRate rate) {
    return List.of(
        "-af",
        String.format(
            Locale.ROOT,
            "atrim=start=%.6f:end=%.6f,asetpts=PTS-STARTPTS",
            rate.secondsOf(kept.start()),
            rate.secondsOf(kept.end())));
  }

  /** Lays the original's sound beside the pictures, as it is but for how much of it. */
  private static void withSound(
      Path pictures, Path original, MediaFacts facts, List<String> part, Path work, Path target)
      throws IOException {
    List<String> command =
        new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y", "-i", "file:" + pictures));
    if (facts.sound()) {
      Path sound = work.resolve("sound.mkv");
      try (Child child =
              Child.start(
                  Sandbox.ffmpeg(
                      original,
                      facts.container(),
                      List.of(),
                      Stream.concat(
                              part.stream(),
                              Stream.of("-vn", "-c:a", "flac", "-f", "matroska", "pipe:1"))
                          .toList()));
          OutputStream out = Files.newOutputStream(sound)) {
        child.stdout().transferTo(out);
        if (child.waitFor() != 0) {
          throw new IOException("Its sound could not be read: " + child.errorLine());
        }
      }
      command.addAll(List.of("-i", "file:" + sound, "-map", "0:v", "-map", "1:a"));
    }
    command.addAll(List.of("-c", "copy", "-f", "matroska", "file:" + target.toAbsolutePath()));
    Child.output(command, PATIENCE_SECONDS);
  }
}
