package app.latethistle.core.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * Follows the camera through a take. Frames are held against a key frame as long as enough of it is
 * seen, so that small errors do not add up from frame to frame; then the frame before becomes the
 * key.
 */
final class CameraTrack {
  private static final double LEAST_OVERLAP = 0.72;
  private static final double LEAST_AGREEING = 0.35;
  private static final double WELL_AGREEING = 0.5;

  /** A change of speed from one frame to the next, in widths, that is looked at again. */
  private static final double SUDDEN = 0.006;

  private PictureAlignment key;
  private PictureAlignment before;
  private Gray[] last;
  private Travel sinceKey = Travel.NONE;
  private Travel speed = Travel.NONE;
  private final List<Step> steps = new ArrayList<>();
  private final List<Sample> samples = new ArrayList<>();

  /** Frames between samples, and how many are kept at most. */
  private static final int SAMPLE_EVERY = 12;

  private static final int MOST_SAMPLES = 40;

  /** A frame kept to hold the whole movement against standing still. */
  private static final class Sample {
    private final int frame;
    private final PictureAlignment reference;
    private final Gray[] picture;

    Sample(int frame, PictureAlignment reference, Gray[] picture) {
      this.frame = frame;
      this.reference = reference;
      this.picture = picture;
    }
  }

  /**
   * From one frame to the next.
   *
   * @param travel how the picture moved
   * @param residual how much it differs then, in codes
   * @param sure whether the movement could be told
   */
  record Step(Travel travel, double residual, boolean sure) {}

  /** Takes the next frame, of about 320 pixels. */
  void add(Gray picture) {
    Gray[] now = PictureAlignment.pyramid(picture);
    follow(now);
    if (steps.size() % SAMPLE_EVERY == 0 && samples.size() < MOST_SAMPLES) {
      samples.add(new Sample(steps.size(), before, now));
    }
  }

  private void follow(Gray[] now) {
    if (last == null) {
      begin(now);
      return;
    }
    if (!key.hasDetail()) {
      // Nothing to hold on to, such as black: the next frame with detail begins anew.
      steps.add(new Step(Travel.NONE, difference(now), false));
      begin(now);
      return;
    }
    PictureAlignment.Fit whole = key.fit(now, sinceKey.then(speed));
    Travel moved = sinceKey.inverse().then(whole.travel());
    boolean holds =
        whole.overlap() >= LEAST_OVERLAP
            && whole.agreeing() >= WELL_AGREEING
            && speed.inverse().then(moved).greatest() < SUDDEN;
    if (holds) {
      sinceKey = whole.travel();
      steps.add(new Step(moved, before.judge(now, moved).residual(), true));
    } else {
      fromLast(now);
    }
    speed = steps.get(steps.size() - 1).travel();
    last = now;
    before = new PictureAlignment(now);
  }

  /**
   * The key frame no longer tells, or something sudden happened: the frame before becomes the key.
   */
  private void fromLast(Gray[] now) {
    key = before;
    PictureAlignment.Fit step = before.fit(now, speed);
    if (step.agreeing() < LEAST_AGREEING) {
      PictureAlignment.Fit still = before.fit(now, Travel.NONE);
      step = still.residual() < step.residual() ? still : step;
    }
    boolean sure = step.agreeing() >= LEAST_AGREEING && step.travel().greatest() < 0.35;
    if (!sure) {
      key = new PictureAlignment(now);
    }
    sinceKey = sure ? step.travel() : Travel.NONE;
    steps.add(new Step(sinceKey, step.residual(), sure));
  }

  private void begin(Gray[] now) {
    last = now;
    key = new PictureAlignment(now);
    before = key;
    sinceKey = Travel.NONE;
    speed = Travel.NONE;
  }

  private double difference(Gray[] now) {
    return now[0].difference(last[0]);
  }

  /** From each frame to the next. */
  List<Step> steps() {
    return steps;
  }

  /**
   * Whether the camera stands after all: over a second, pictures agree no worse if nothing is
   * assumed to have moved. Rain, water or a crowd may fill a picture and still not be the camera.
   */
  boolean stands() {
    double moving = 0;
    double standing = 0;
    int pairs = 0;
    for (int i = 0; i + 2 < samples.size(); i++) {
      Sample a = samples.get(i);
      Sample b = samples.get(i + 2);
      if (!a.reference.hasDetail()) {
        continue;
      }
      Travel travel = Travel.NONE;
      for (int k = a.frame; k < b.frame; k++) {
        travel = travel.then(steps.get(k).travel());
      }
      moving += a.reference.judge(b.picture, travel).agreeing();
      standing += a.reference.judge(b.picture, Travel.NONE).agreeing();
      pairs++;
    }
    return pairs > 0 && standing >= moving;
  }
}
