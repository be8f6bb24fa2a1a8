package app.latethistle.core.mix;

import java.io.Closeable;
import java.io.IOException;

/** Where decoded sounds of media come from. */
public interface SoundSource {
  /**
   * Opens a medium's sound.
   *
   * @param media SHA-256 of the file's bytes
   * @param channels 1 or 2
   * @throws IOException if it cannot be had, naming the file
   */
  Sound open(String media, int channels) throws IOException;

  /** Samples at 48 kHz, full scale -1 to 1, channels in turn. */
  interface Sound extends Closeable {
    /** 1 or 2. */
    int channels();

    /** How many samples each channel has. */
    long length();

    /**
     * Reads from a sample on, over what is in the target; zeros before the first and after the
     * last.
     *
     * @param frames samples of each channel
     */
    void read(long from, float[] target, int frames) throws IOException;
  }
}
