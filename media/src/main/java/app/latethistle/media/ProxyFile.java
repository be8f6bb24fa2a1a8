package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.io.BufferedOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongConsumer;

/**
 * A light copy of a clip at the film's rate: one JPEG a frame, then an index, so that any frame is
 * read and decoded in a few milliseconds without a process.
 *
 * <p>The file: the JPEGs one after another; for each its offset as 8 bytes; the number of frames as
 * 8 bytes; big-endian.
 */
public final class ProxyFile {
  private static final int COVER_WIDTH = 640;
  private static final int COVER_HEIGHT = 360;

  private final Path path;
  private final long[] offsets;
  private final PictureShape shape;

  private ProxyFile(Path path, long[] offsets, PictureShape shape) {
    this.path = path;
    this.offsets = offsets;
    this.shape = shape;
  }

  /** The shape of a clip's proxy: just large enough to fill 640x360 or 360x640, never larger. */
  public static PictureShape shapeOf(PictureShape clip) {
    double seenWidth = clip.width() * clip.pixelAspect();
    boolean upright = seenWidth < clip.height();
    double scale =
        Math.max(
            (upright ? COVER_HEIGHT : COVER_WIDTH) / seenWidth,
            (double) (upright ? COVER_WIDTH : COVER_HEIGHT) / clip.height());
    if (!upright && seenWidth < clip.height() * 1.2) {
      scale = Math.max(COVER_WIDTH / seenWidth, (double) COVER_WIDTH / clip.height());
    }
    scale = Math.min(scale, 1);
    return PictureShape.of(even(seenWidth * scale), even(clip.height() * scale));
  }

  private static int even(double value) {
    return Math.max(2, (int) Math.round(value / 2) * 2);
  }

  /**
   * Decodes a clip whole, counts what comes out against what its facts promise, and keeps the copy.
   *
   * @param progress told how many frames are done
   * @return the number of frames at the film's rate
   * @throws RefusedMedia if pictures are missing or damaged
   */
  public static long make(
      Path original, MediaFacts facts, FrameRate rate, Path target, LongConsumer progress)
      throws IOException {
    PictureShape shape = shapeOf(facts.shape().orElseThrow());
    List<String> filters = new ArrayList<>();
    if (facts.kind() == MediaFacts.Kind.CLIP) {
      filters.add("fps=" + rate + ":round=near");
    }
    PictureFilters.colour(facts, "tv").ifPresent(filters::add);
    // JPEG has its chroma in the middle of each four pixels, films have it at the left of each
    // pair.
    filters.add(
        "scale="
            + shape.width()
            + ":"
            + shape.height()
            + ":flags=bicubic:in_h_chr_pos=0:in_v_chr_pos=128:out_h_chr_pos=128:out_v_chr_pos=128"
            + ":in_range=tv:out_range=pc,format=yuvj420p");
    List<String> command =
        Sandbox.ffmpeg(
            original,
            facts.container(),
            List.of("-xerror"),
            List.of(
                "-an",
                "-vf",
                String.join(",", filters),
                "-c:v",
                "mjpeg",
                "-q:v",
                "4",
                "-f",
                "image2pipe",
                "pipe:1"));
    Path part = ContentStore.partOf(target);
    try (Child child = Child.start(command)) {
      List<Long> offsets;
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
        offsets = copyPictures(child.stdout(), out, progress);
        DataOutputStream index = new DataOutputStream(out);
        for (long offset : offsets) {
          index.writeLong(offset);
        }
        index.writeLong(offsets.size());
        index.flush();
      }
      checkCount(child, facts, rate, offsets.size());
      ContentStore.moveInto(part, target);
      return facts.kind() == MediaFacts.Kind.STILL ? facts.framesAt(rate) : offsets.size();
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static void checkCount(Child child, MediaFacts facts, FrameRate rate, long frames)
      throws IOException {
    int status = child.waitFor();
    long expected = facts.kind() == MediaFacts.Kind.STILL ? 1 : facts.framesAt(rate);
    if (status != 0) {
      throw new RefusedMedia("The file is damaged: " + child.errorLine());
    }
    ClipCheck.requireWhole(frames, expected);
  }

  /** Copies a stream of JPEGs and returns where each begins; 0xFFD9 ends one and nothing else. */
  private static List<Long> copyPictures(InputStream in, OutputStream out, LongConsumer progress)
      throws IOException {
    List<Long> offsets = new ArrayList<>();
    byte[] buffer = new byte[1 << 16];
    long at = 0;
    long start = 0;
    int before = 0;
    int n = in.read(buffer);
    while (n >= 0) {
      for (int i = 0; i < n; i++) {
        int value = buffer[i] & 0xff;
        if (before == 0xff && value == 0xd9) {
          offsets.add(start);
          start = at + i + 1;
          progress.accept(offsets.size());
        }
        before = value;
      }
      out.write(buffer, 0, n);
      at += n;
      n = in.read(buffer);
    }
    if (start != at) {
      throw new RefusedMedia("The file ends in the middle of a picture.");
    }
    return offsets;
  }

  /**
   * Reads the index of a proxy, which is then read from any thread. Nothing is kept open, so that a
   * film of hundreds of takes plays.
   */
  public static ProxyFile open(Path path, PictureShape shape) throws IOException {
    try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "r")) {
      if (file.length() < 16) {
        throw damaged();
      }
      file.seek(file.length() - 8);
      long count = file.readLong();
      if (count < 1 || count > file.length() / 8) {
        throw damaged();
      }
      long indexAt = file.length() - 8 - 8 * count;
      byte[] index = new byte[(int) (8 * count)];
      file.seek(indexAt);
      file.readFully(index);
      long[] offsets = new long[(int) count + 1];
      ByteBuffer.wrap(index).asLongBuffer().get(offsets, 0, (int) count);
      offsets[(int) count] = indexAt;
      return new ProxyFile(path, offsets, shape);
    }
  }

  private static IOException damaged() {
    return new IOException("The light copy of a take is damaged.");
  }

  /** The number of pictures in it. */
  public long frames() {
    return offsets.length - 1L;
  }

  /** The shape of its pictures. */
  public PictureShape shape() {
    return shape;
  }

  /** A frame, decoded; past the end, the last. */
  public Frame frame(long index) throws IOException {
    try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "r")) {
      return Jpeg.decode(jpeg(file, index));
    }
  }

  /** The JPEG of a frame; past the end, of the last. */
  private byte[] jpeg(RandomAccessFile file, long frame) throws IOException {
    int i = (int) Math.max(0, Math.min(frames() - 1, frame));
    byte[] data = new byte[(int) (offsets[i + 1] - offsets[i])];
    file.seek(offsets[i]);
    file.readFully(data);
    return data;
  }

  /** Frames of a range in order. */
  public PictureSource.Reader reader(FrameRange range) throws IOException {
    RandomAccessFile file = new RandomAccessFile(path.toFile(), "r");
    return new PictureSource.Reader() {
      private long next = range.start();

      @Override
      public PictureShape shape() {
        return shape;
      }

      @Override
      public boolean isDrawn() {
        return false;
      }

      @Override
      public Frame next() throws IOException {
        return Jpeg.decode(jpeg(file, next++));
      }

      @Override
      public void close() throws IOException {
        file.close();
      }
    };
  }
}
