package app.latethistle.core.check;

import app.latethistle.core.mix.Limiter;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.render.Program;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.time.Timecode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is told of pictures and sound that were read, of a film or of any file. */
public final class FileChecks {
  /** Seconds a picture may stand still before somebody should look at it. */
  private static final double STANDS = 0.5;

  /** Pictures repeated by chance are few; from this share on it is a change of rate. */
  private static final double OFTEN = 0.02;

  /** Silence at an end of this many seconds belongs to coming and going. */
  private static final double ENDS = 1;

  /** Seconds by which sound and picture may differ: a frame of the sound's encoder. */
  private static final double APART = 0.03;

  /** Decibels and LU by which a level may miss what was asked for; encoders move peaks a little. */
  private static final double NEAR = 0.5;

  private FileChecks() {}

  /**
   * What is wanted.
   *
   * @param frames that it is to have
   * @param black ranges that may be black
   * @param still ranges that may stand still
   * @param loudness in LUFS
   * @param ceiling of true peaks in dBTP
   */
  public record Wanted(
      Optional<Long> frames,
      List<FrameRange> black,
      List<FrameRange> still,
      Optional<Double> loudness,
      double ceiling) {
    /** Nothing but what holds for any film: true peaks under -1 dBTP (EBU R 128). */
    public static final Wanted ANYTHING =
        new Wanted(Optional.empty(), List.of(), List.of(), Optional.empty(), -1);

    /** What a program's film is to be; as loud as was asked for, if anything was. */
    public static Wanted of(Program program, Optional<LoudnessAim> aim) {
      return new Wanted(
          Optional.of(program.length()),
          program.plannedBlack(),
          List.of(),
          aim.map(LoudnessAim::integrated),
          aim.map(LoudnessAim::ceiling).orElse(Limiter.CEILING));
    }

    public Wanted {
      black = List.copyOf(black);
      still = List.copyOf(still);
    }
  }

  /** What is told of pictures; one finding at least of each check. */
  public static List<Finding> ofPictures(PictureTrace seen, Wanted wanted) {
    List<Finding> all = new ArrayList<>();
    FrameRate rate = seen.rate();
    wanted
        .frames()
        .filter(frames -> frames != seen.length())
        .ifPresent(
            frames ->
                all.add(
                    Finding.of(
                        Check.LENGTH,
                        Verdict.MUST,
                        Said.of("%d frames, not %d", seen.length(), frames))));
    tell(
        all,
        Check.BLACK,
        Verdict.MUST,
        unplanned(seen.black(), wanted.black()),
        range -> "black for " + seconds(range, rate),
        wanted.black().isEmpty() ? "nowhere black" : "black only where planned");
    tell(
        all,
        Check.FROZEN,
        Verdict.LOOK,
        unplanned(seen.frozen((int) rate.framesIn(STANDS)), wanted.still()),
        range -> "stands still for " + seconds(range, rate),
        "nothing stands still unplanned");
    List<Integer> repeated = seen.repeated();
    all.add(
        repeated.size() > OFTEN * seen.length()
            ? Finding.at(
                new FrameRange(repeated.get(0), repeated.get(0) + 1),
                Check.REPEATED,
                Verdict.LOOK,
                Said.of(
                    "%d of %d frames repeat the one before: its rate was changed",
                    repeated.size(), seen.length()))
            : Finding.of(Check.REPEATED, Verdict.FINE, "no frame shown twice by a rate change"));
    tell(
        all,
        Check.FLASHES,
        Verdict.MUST,
        Flashes.in(seen),
        range -> "more than three flashes a second for " + seconds(range, rate),
        "no flashes above three a second");
    tell(
        all,
        Check.LEVELS,
        Verdict.LOOK,
        seen.outside(),
        range -> "colours out of range for " + seconds(range, rate),
        "colours within range");
    return all;
  }

  /** What is told of a sound; one finding at least of each check. */
  public static List<Finding> ofSound(SoundTrace heard, FrameRate rate, Wanted wanted) {
    List<Finding> all = new ArrayList<>();
    if (Double.isInfinite(heard.integrated())) {
      all.add(Finding.of(Check.LOUDNESS, Verdict.LOOK, "nothing is heard"));
      return all;
    }
    boolean near =
        wanted.loudness().map(aim -> Math.abs(aim - heard.integrated()) <= NEAR).orElse(true);
    String is = Said.of("%.1f LUFS, range %.1f LU", heard.integrated(), heard.range());
    all.add(
        near
            ? Finding.of(Check.LOUDNESS, Verdict.FINE, is)
            : Finding.of(
                Check.LOUDNESS,
                Verdict.MUST,
                is + Said.of(", not the %.1f LUFS asked for", wanted.loudness().orElseThrow())));
    boolean over = heard.truePeak() > wanted.ceiling() + NEAR;
    all.add(
        Finding.of(
            Check.PEAK,
            over ? Verdict.MUST : Verdict.FINE,
            Said.of("true peaks at %.1f dBTP, ", heard.truePeak())
                + Said.of(over ? "over %.1f" : "limit %.1f", wanted.ceiling())));
    List<FrameRange> silent =
        heard.silent().stream()
            .filter(range -> !isEnd(range, heard.length()))
            .map(range -> Finding.frames(range, rate))
            .toList();
    tell(
        all,
        Check.SILENCE,
        Verdict.LOOK,
        silent,
        range -> "silence for " + seconds(range, rate),
        "no silence inside");
    tell(
        all,
        Check.CLICKS,
        Verdict.LOOK,
        heard.clicks().stream().map(c -> Finding.frames(new SampleRange(c, c + 1), rate)).toList(),
        range -> "a click at " + Timecode.of(range.start(), rate),
        "no clicks");
    return all;
  }

  /** Whether picture and sound end together. */
  public static Finding length(PictureTrace seen, SoundTrace heard) {
    double picture = seen.rate().secondsOf(seen.length());
    double sound = Samples.toSeconds(heard.length());
    boolean fine = Math.abs(picture - sound) <= APART;
    String is =
        fine
            ? Said.of("%d frames, picture and sound %.3f s", seen.length(), picture)
            : Said.of("picture %.3f s, sound %.3f s", picture, sound);
    return Finding.of(Check.LENGTH, fine ? Verdict.FINE : Verdict.MUST, is);
  }

  private static boolean isEnd(SampleRange range, long length) {
    return (range.start() == 0 || range.end() == length)
        && Samples.toSeconds(range.length()) <= ENDS;
  }

  /** What of some ranges does not lie in those that are planned. */
  private static List<FrameRange> unplanned(List<FrameRange> found, List<FrameRange> planned) {
    return found.stream()
        .filter(range -> planned.stream().noneMatch(plan -> plan.contains(range)))
        .toList();
  }

  private interface Words {
    String of(FrameRange range);
  }

  private static void tell(
      List<Finding> all,
      Check check,
      Verdict verdict,
      List<FrameRange> found,
      Words words,
      String fine) {
    found.forEach(range -> all.add(Finding.at(range, check, verdict, words.of(range))));
    if (found.isEmpty()) {
      all.add(Finding.of(check, Verdict.FINE, fine));
    }
  }

  private static String seconds(FrameRange range, FrameRate rate) {
    return Said.of("%.1f s", rate.secondsOf(range.length()));
  }
}
