package app.latethistle.core.voice;

import app.latethistle.core.signal.LogMel;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.Arrays;

/**
 * What speech sounds like every 5 ms, made comparable between speakers and rooms: the first twelve
 * cepstral coefficients of the log-mel bands with their slopes, each scaled to a mean of 0 and a
 * deviation of 1 over the frames that are loud enough to be speech, and the level beside them.
 */
final class SpeechFeatures {
  private static final int CEPSTRA = 12;

  /** Numbers a frame: the coefficients, their slopes, the level and its slope. */
  static final int SIZE = 2 * CEPSTRA + 2;

  /** Fine detail of the spectrum tells speakers apart rather than words, and counts less. */
  private static final double LIFTER = 0.4;

  /** Slopes are taken over so many frames to either side. */
  private static final int SLOPE = 4;

  private static final double SLOPE_WEIGHT = 0.5;
  private static final double LEVEL_WEIGHT = 1;

  /** How far speech lies above the noise before a frame counts as speech, as a part of the way. */
  private static final double SPEECH_FROM = 0.35;

  private final float[][] frames;
  private final float[] loud;
  private final double hop;

  private SpeechFeatures(float[][] frames, float[] loud, double hop) {
    this.frames = frames;
    this.loud = loud;
    this.hop = hop;
  }

  static SpeechFeatures of(MonoSound sound) {
    LogMel mel = LogMel.of(sound, LogMel.Grain.SPEECH);
    int count = mel.length();
    float[][] raw = new float[count][CEPSTRA + 1];
    for (int i = 0; i < count; i++) {
      cepstra(mel.frame(i), raw[i]);
    }
    float[] loud = loudness(raw);
    scale(raw, loud);
    float[][] frames = new float[count][SIZE];
    for (int i = 0; i < count; i++) {
      float[] before = raw[Math.max(0, i - SLOPE)];
      float[] after = raw[Math.min(count - 1, i + SLOPE)];
      for (int c = 0; c <= CEPSTRA; c++) {
        double weight = c == CEPSTRA ? LEVEL_WEIGHT : Math.pow(c + 1, -LIFTER);
        frames[i][2 * c] = (float) (weight * raw[i][c]);
        frames[i][2 * c + 1] = (float) (SLOPE_WEIGHT * weight * (after[c] - before[c]));
      }
    }
    return new SpeechFeatures(frames, loud, mel.hopSeconds());
  }

  /** The same with every {@code times} frames drawn into one, for a first rough look. */
  SpeechFeatures coarser(int times) {
    int count = (frames.length + times - 1) / times;
    float[][] means = new float[count][SIZE];
    float[] meanLoud = new float[count];
    for (int i = 0; i < count; i++) {
      int to = Math.min(frames.length, (i + 1) * times);
      for (int k = i * times; k < to; k++) {
        meanLoud[i] += loud[k] / (to - i * times);
        for (int c = 0; c < SIZE; c++) {
          means[i][c] += frames[k][c] / (to - i * times);
        }
      }
    }
    return new SpeechFeatures(means, meanLoud, hop * times);
  }

  int length() {
    return frames.length;
  }

  double hopSeconds() {
    return hop;
  }

  /** The frame nearest to a time. */
  int frameAt(double seconds) {
    return (int) Math.max(0, Math.min(frames.length - 1, Math.round(seconds / hop)));
  }

  /** Where a frame begins, in samples at 48 kHz. */
  long sampleAt(int frame) {
    return Samples.ofSeconds(frame * hop);
  }

  /** How loud a frame is between the reading's noise, 0, and its loud speech, 1. */
  float loud(int frame) {
    return loud[frame];
  }

  float[] frame(int frame) {
    return frames[frame];
  }

  /** The root mean square difference of two frames. */
  static double distance(float[] a, float[] b) {
    float sum = 0;
    for (int i = 0; i < SIZE; i++) {
      float d = a[i] - b[i];
      sum += d * d;
    }
    return Math.sqrt(sum / SIZE);
  }

  private static void cepstra(float[] bands, float[] out) {
    double sum = 0;
    for (float band : bands) {
      sum += band;
    }
    out[CEPSTRA] = (float) (sum / bands.length);
    for (int c = 0; c < CEPSTRA; c++) {
      double value = 0;
      for (int b = 0; b < bands.length; b++) {
        value += bands[b] * Math.cos(Math.PI * (c + 1) * (b + 0.5) / bands.length);
      }
      out[c] = (float) value;
    }
  }

  private static float[] loudness(float[][] raw) {
    float[] level = new float[raw.length];
    for (int i = 0; i < level.length; i++) {
      level[i] = raw[i][CEPSTRA];
    }
    float[] sorted = level.clone();
    Arrays.sort(sorted);
    float quiet = sorted[(int) (0.02 * (sorted.length - 1))];
    float full = Math.max(quiet + 0.2f, sorted[(int) (0.9 * (sorted.length - 1))]);
    for (int i = 0; i < level.length; i++) {
      level[i] = Math.max(0, Math.min(1, (level[i] - quiet) / (full - quiet)));
    }
    return level;
  }

  private static void scale(float[][] raw, float[] loud) {
    for (int c = 0; c <= CEPSTRA; c++) {
      double sum = 0;
      double squares = 0;
      int count = 0;
      for (int i = 0; i < raw.length; i++) {
        if (loud[i] >= SPEECH_FROM) {
          sum += raw[i][c];
          squares += raw[i][c] * raw[i][c];
          count++;
        }
      }
      double mean = sum / Math.max(1, count);
      double deviation = Math.sqrt(Math.max(1e-6, squares / Math.max(1, count) - mean * mean));
      for (float[] frame : raw) {
        frame[c] = (float) Math.max(-4, Math.min(4, (frame[c] - mean) / deviation));
      }
    }
  }
}
