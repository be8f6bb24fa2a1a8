package app.latethistle.media;

import app.latethistle.core.check.Check;
import app.latethistle.core.check.FileChecks;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.PictureTrace;
import app.latethistle.core.check.SoundTrace;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * What a finished file turned out to be, read back from it in one decoding.
 *
 * @param findings of its pictures and its sound
 */
public record FileCheck(List<Finding> findings) {
  /** Pictures are read at this longer side: smaller than what can be seen of a flash. */
  private static final int LONGER_SIDE = 320;

  public FileCheck {
    findings = List.copyOf(findings);
  }

  /**
   * Decodes a file and looks at it.
   *
   * @throws IOException if it cannot be looked at at all, with the reason
   */
  public static FileCheck of(Path file, FileChecks.Wanted wanted) throws IOException {
    MediaFacts facts = Probe.probe(file);
    List<Finding> all = new ArrayList<>();
    FrameRate rate = facts.rate().orElse(FrameRate.FPS_24);
    PictureTrace seen = null;
    if (facts.kind() == MediaFacts.Kind.CLIP) {
      seen = pictures(file, facts, rate, all);
      all.addAll(FileChecks.ofPictures(seen, wanted));
    }
    if (facts.sound() || facts.kind() == MediaFacts.Kind.SOUND) {
      SoundTrace.Reader reader = new SoundTrace.Reader();
      SongDecoder.stereo(
          file, facts.container(), (samples, count) -> reader.add(samples, count / 2));
      SoundTrace heard = reader.trace();
      if (seen != null) {
        all.add(0, FileChecks.length(seen, heard));
      }
      all.addAll(FileChecks.ofSound(heard, rate, wanted));
    } else {
      all.add(Finding.of(Check.LOUDNESS, Verdict.LOOK, "there is no sound in the file"));
    }
    return new FileCheck(all);
  }

  /** Those of a verdict, as one text; "" if there are none. */
  public String inWords(Verdict verdict) {
    return findings.stream()
        .filter(f -> f.verdict() == verdict)
        .map(Finding::said)
        .collect(Collectors.joining("; "));
  }

  /** Whether nothing must be put right. */
  public boolean passes() {
    return findings.stream().noneMatch(f -> f.verdict() == Verdict.MUST);
  }

  /** "1440 frames, picture and sound 60.000 s; decodes whole". */
  public String report() {
    String fine = inWords(Verdict.FINE);
    return fine.isEmpty() ? "" : fine.substring(0, 1).toUpperCase(Locale.ROOT) + fine.substring(1);
  }

  private static PictureTrace pictures(
      Path file, MediaFacts facts, FrameRate rate, List<Finding> all) throws IOException {
    double scale = Math.min(1, LONGER_SIDE / SmallPictures.longerSide(facts));
    SmallPictures small = SmallPictures.of(file, facts, scale);
    int width = small.width();
    int height = small.height();
    PictureTrace.Reader reader = new PictureTrace.Reader(rate);
    SmallPictures.Ended ended =
        small.decode(
            "",
            "yuv420p",
            Frame.size(width, height),
            data -> reader.add(new Frame(width, height, data)));
    all.add(
        ended.well() && !ended.complained()
            ? Finding.of(Check.WHOLE, Verdict.FINE, "decodes whole")
            : Finding.of(
                Check.WHOLE, Verdict.MUST, "the file does not decode whole: " + ended.said()));
    return reader.trace();
  }
}
