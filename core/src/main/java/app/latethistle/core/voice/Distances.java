package app.latethistle.core.voice;

/**
 * How unlike each frame of a reading is to each frame of a model, where 1 is what two frames of
 * speech taken at random differ by.
 */
final class Distances {
  private static final int PAIRS_TRIED = 4000;

  private final SpeechFeatures reading;
  private final SpeechFeatures model;
  private final float[][] rows;
  private final double random;

  /**
   * @param kept whether what was worked out is kept, for paths that go over it several times; four
   *     bytes a pair
   */
  Distances(SpeechFeatures reading, SpeechFeatures model, boolean kept) {
    this.reading = reading;
    this.model = model;
    rows = kept ? new float[reading.length()][] : new float[0][];
    random = random();
  }

  SpeechFeatures reading() {
    return reading;
  }

  SpeechFeatures model() {
    return model;
  }

  float of(int frame, int modelFrame) {
    if (rows.length == 0) {
      return apart(frame, modelFrame);
    }
    float[] row = rows[frame];
    if (row == null) {
      row = new float[model.length()];
      for (int m = 0; m < row.length; m++) {
        row[m] = apart(frame, m);
      }
      rows[frame] = row;
    }
    return row[modelFrame];
  }

  /** The power of 1.5 lets near frames stand out more than a plain difference does. */
  private float apart(int frame, int modelFrame) {
    double d = SpeechFeatures.distance(reading.frame(frame), model.frame(modelFrame)) / random;
    return (float) (d * Math.sqrt(d));
  }

  private double random() {
    double sum = 0;
    int pairs = 0;
    for (int i = 0; i < PAIRS_TRIED; i++) {
      int a = (int) (i * 7919L % reading.length());
      int b = (int) ((i * 104_729L + 31) % model.length());
      if (reading.loud(a) > WordPath.QUIET_UP_TO && model.loud(b) > WordPath.QUIET_UP_TO) {
        sum += SpeechFeatures.distance(reading.frame(a), model.frame(b));
        pairs++;
      }
    }
    return pairs == 0 ? 1 : sum / pairs;
  }
}
