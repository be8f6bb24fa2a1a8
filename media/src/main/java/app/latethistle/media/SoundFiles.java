package app.latethistle.media;

import app.latethistle.core.key.Fingerprint;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.work.AllCores;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.List;

/**
 * Sounds of files, decoded once into files of plain samples from which any part is read, so that
 * memory does not grow with how long they are. Safe for several threads.
 */
public final class SoundFiles implements SoundSource {
  private final Path folder;
  private final Finder files;
  private final MadeOnce made = new MadeOnce();

  /** A file and what it is. */
  public record File(Path path, Container container) {}

  /** Finds files by what they are called. */
  @FunctionalInterface
  public interface Finder {
    /**
     * The file of a name.
     *
     * @throws IOException if there is none, with a sentence for the person
     */
    File file(String media) throws IOException;
  }

  /**
   * @param folder where decoded sounds are kept; it exists
   */
  public SoundFiles(Path folder, Finder files) {
    this.folder = folder;
    this.files = files;
  }

  @Override
  public Sound open(String media, int channels) throws IOException {
    return new Decoded(
        FileChannel.open(decoded(media, channels), StandardOpenOption.READ), channels);
  }

  /** Decodes all that a mix needs, on all cores: each file waits for a process of its own. */
  public void decodeAll(Mix mix) throws IOException {
    record Needed(String media, int channels) {}
    List<Needed> all =
        mix.parts().stream()
            .map(p -> new Needed(p.media(), p.bus().channels()))
            .distinct()
            .toList();
    AllCores.of(all, needed -> decoded(needed.media, needed.channels));
  }

  private Path decoded(String media, int channels) throws IOException {
    Path decoded = folder.resolve(Fingerprint.of(media).substring(0, 40) + "-" + channels + ".f32");
    made.get(decoded, to -> decode(media, channels, to));
    return decoded;
  }

  private void decode(String media, int channels, Path to) throws IOException {
    File file = files.file(media);
    SongDecoder.toFile(file.path(), file.container(), channels, to);
  }

  /** A file of samples, as little-endian floats, channels in turn. */
  private static final class Decoded implements Sound {
    private final FileChannel channel;
    private final int channels;
    private final long length;
    private ByteBuffer buffer = ByteBuffer.allocate(0);

    Decoded(FileChannel channel, int channels) throws IOException {
      this.channel = channel;
      this.channels = channels;
      length = channel.size() / Float.BYTES / channels;
    }

    @Override
    public int channels() {
      return channels;
    }

    @Override
    public long length() {
      return length;
    }

    @Override
    public void read(long from, float[] target, int frames) throws IOException {
      long first = Math.max(0, Math.min(length, from));
      long last = Math.max(first, Math.min(length, from + frames));
      Arrays.fill(target, 0, frames * channels, 0);
      int bytes = (int) (last - first) * channels * Float.BYTES;
      if (bytes == 0) {
        return;
      }
      if (buffer.capacity() < bytes) {
        buffer = ByteBuffer.allocate(bytes).order(ByteOrder.LITTLE_ENDIAN);
      }
      buffer.clear().limit(bytes);
      long at = first * channels * Float.BYTES;
      while (buffer.hasRemaining()) {
        int n = channel.read(buffer, at + buffer.position());
        if (n < 0) {
          throw new IOException("A decoded sound became shorter; play the film again.");
        }
      }
      buffer.flip();
      buffer.asFloatBuffer().get(target, (int) (first - from) * channels, bytes / Float.BYTES);
    }

    @Override
    public void close() throws IOException {
      channel.close();
    }
  }
}
