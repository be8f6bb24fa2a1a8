package app.latethistle.server.preview;

import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.media.ContentStore;
import app.latethistle.media.DecodedSounds;
import app.latethistle.media.Jpeg;
import app.latethistle.media.SoundTrack;
import app.latethistle.media.VideoEncoder;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.Pictures;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Renders stills and preview segments from light copies. */
@Service
class PreviewService {
  private static final Logger LOG = LoggerFactory.getLogger(PreviewService.class);
  private static final int LONG_SIDE = 640;

  private final ContentStore store;
  private final Pictures pictures;
  private final DecodedSounds sounds = new DecodedSounds();
  private final Map<String, Object> locks = new ConcurrentHashMap<>();
  private final ExecutorService ahead =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "preview-ahead");
            thread.setDaemon(true);
            return thread;
          });

  PreviewService(ContentStore store, Pictures pictures) {
    this.store = store;
    this.pictures = pictures;
  }

  @PreDestroy
  void stop() {
    ahead.shutdownNow();
  }

  /** The film's program at preview size: 640 on its longer side. */
  Program program(FilmState state) {
    PictureShape film = state.production().shape();
    double scale = (double) LONG_SIDE / Math.max(film.width(), film.height());
    return state.program(even(film.width() * scale), even(film.height() * scale));
  }

  private static int even(double value) {
    return Math.max(2, (int) Math.round(value / 2) * 2);
  }

  /** One frame as a JPEG; frames past the end are the last. */
  byte[] still(FilmState state, long frame) throws IOException {
    Program program = program(state);
    if (program.length() == 0) {
      throw new IllegalArgumentException("The film is empty; make the first cut.");
    }
    long at = Math.max(0, Math.min(program.length() - 1, frame));
    byte[][] jpeg = new byte[1][];
    new Compositor(program, pictures.at(program.rate()))
        .draw(new FrameRange(at, at + 1), picture -> jpeg[0] = Jpeg.encode(picture, 0.88f));
    return jpeg[0];
  }

  /** A segment's file, rendered now if it is not kept; the next one is begun behind it. */
  Path segment(Program program, int index) throws IOException {
    List<Segment> segments = program.segments();
    Path file = rendered(program, segments.get(index));
    if (index + 1 < segments.size()) {
      Segment next = segments.get(index + 1);
      ahead.execute(
          () -> {
            try {
              rendered(program, next);
            } catch (IOException e) {
              // It will be asked for, and fail where somebody sees it.
              LOG.debug("A segment could not be rendered ahead.", e);
            }
          });
    }
    return file;
  }

  private Path rendered(Program program, Segment segment) throws IOException {
    Path file = store.derived("preview", segment.hash() + ".ts");
    synchronized (locks.computeIfAbsent(segment.hash(), k -> new Object())) {
      if (!Files.exists(file)) {
        render(program, segment, file);
      }
    }
    locks.remove(segment.hash());
    return file;
  }

  private void render(Program program, Segment segment, Path file) throws IOException {
    Path part = ContentStore.partOf(file);
    double start = program.rate().secondsOf(segment.range().start());
    try (VideoEncoder encoder =
        VideoEncoder.preview(part, program.width(), program.height(), program.rate(), start)) {
      new Compositor(program, pictures.at(program.rate())).draw(segment.range(), encoder::write);
      encoder.end();
      encoder.await();
      ContentStore.moveInto(part, file);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /** The folder that holds the film's sound for HLS, made now if it is not kept. */
  Path sound(FilmState state) throws IOException {
    SoundTrack track = state.sound(store);
    String key = track.key();
    Path folder = store.derived("heard", key);
    synchronized (locks.computeIfAbsent(key, k -> new Object())) {
      if (!Files.exists(folder.resolve("sound.m3u8"))) {
        track.encodeHls(folder, sounds);
      }
    }
    locks.remove(key);
    return folder;
  }
}
