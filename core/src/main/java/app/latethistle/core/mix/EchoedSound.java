package app.latethistle.core.mix;

import app.latethistle.core.signal.Convolution;
import app.latethistle.core.time.SampleRange;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;

/**
 * The echoes of all parts of a bus that sound within the same walls. The spectra of what the walls
 * heard are kept as long as it echoes, so memory grows with the room and not with the film.
 */
final class EchoedSound implements Heard {
  private static final int BLOCK = Convolution.BLOCK;

  private final OpenParts parts;
  private final List<Convolution> ears;
  private final BlockedSound blocks = new BlockedSound(2, this::make);
  private final float[][][] spectra;
  private final long[] numbers;
  private float[] before = new float[2 * BLOCK];
  private float[] now = new float[2 * BLOCK];
  private long last = Long.MIN_VALUE;

  /**
   * @param parts as the walls hear them
   */
  EchoedSound(Walls walls, OpenParts parts) {
    this.parts = parts;
    ears = walls.echoes();
    spectra = new float[ears.get(0).blocks() + 1][2][];
    numbers = new long[spectra.length];
    Arrays.fill(numbers, Long.MIN_VALUE);
  }

  @Override
  public float[] read(SampleRange range) throws IOException {
    float[] stereo = new float[2 * (int) range.length()];
    blocks.read(range.start(), stereo, stereo.length / 2);
    return stereo;
  }

  @Override
  public void closeAllBefore(long sample) throws IOException {
    parts.closeAllBefore(sample);
  }

  @Override
  public void close() throws IOException {
    parts.close();
  }

  private void make(long number, float[] target) throws IOException {
    for (long n = number - ears.get(0).blocks() + 1; n <= number; n++) {
      hear(n);
    }
    for (int ear = 0; ear < 2; ear++) {
      fold(number, ear, target);
    }
  }

  private void fold(long number, int ear, float[] target) {
    float[] result = new float[2 * BLOCK];
    ears.get(ear).apply(back -> spectra[slot(number - back)][ear], result);
    for (int i = 0; i < BLOCK; i++) {
      target[2 * i + ear] = result[BLOCK + i];
    }
  }

  private int slot(long number) {
    return (int) Math.floorMod(number, (long) spectra.length);
  }

  /** Sees to it that the spectra of what the walls hear in a block are there. */
  private void hear(long number) throws IOException {
    int slot = slot(number);
    if (numbers[slot] == number) {
      return;
    }
    if (last != number - 1) {
      take(number - 1, now);
    }
    float[] older = before;
    before = now;
    now = older;
    take(number, now);
    last = number;
    numbers[slot] = number;
    for (int side = 0; side < 2; side++) {
      spectra[slot][side] = spectrum(side);
    }
  }

  /** What the walls hear in a block. */
  private void take(long number, float[] stereo) throws IOException {
    Arrays.fill(stereo, 0);
    parts.add(SampleRange.ofLength(number * BLOCK, BLOCK), stereo);
  }

  private float[] spectrum(int side) {
    float[] input = new float[2 * BLOCK];
    boolean any = false;
    for (int i = 0; i < BLOCK; i++) {
      input[i] = before[2 * i + side];
      input[BLOCK + i] = now[2 * i + side];
      any |= input[i] != 0 || input[BLOCK + i] != 0;
    }
    return any ? Convolution.spectrum(input) : null;
  }
}
