package app.latethistle.server.preview;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.RangePick;
import app.latethistle.core.grade.Scopes;
import app.latethistle.core.look.ColourRange;
import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.render.Segmentation;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.SampleRange;
import app.latethistle.media.ContentStore;
import app.latethistle.media.FragmentedMp4;
import app.latethistle.media.Jpeg;
import app.latethistle.media.MadeOnce;
import app.latethistle.media.SoundEncoder;
import app.latethistle.media.TransportTime;
import app.latethistle.media.VideoEncoder;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.FilmSoundFiles;
import app.latethistle.server.material.Pictures;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

  /** The longer side of a transition's small picture, and how many of them are shown. */
  private static final int TILE = 144;

  private static final int STRIP = 12;

  private final ContentStore store;
  private final Pictures pictures;
  private final SoundSource sounds;
  private final MadeOnce made = new MadeOnce();
  private final ExecutorService ahead =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "preview-ahead");
            thread.setDaemon(true);
            return thread;
          });

  PreviewService(ContentStore store, Pictures pictures, FilmSoundFiles sounds) {
    this.store = store;
    this.pictures = pictures;
    this.sounds = sounds;
  }

  @PreDestroy
  void stop() {
    ahead.shutdownNow();
  }

  /** The film's program at preview size: 640 on its longer side. */
  Program program(FilmState state, Optional<Shape> shape) {
    if (shape.isEmpty()) {
      return program(state, LONG_SIDE);
    }
    Shape other = shape.get();
    double scale = (double) LONG_SIDE / Math.max(other.across(), other.down());
    return state.program(other, even(other.across() * scale), even(other.down() * scale));
  }

  /** The same in its own shape at another size. */
  static Program program(FilmState state, int longSide) {
    PictureShape film = state.production().shape();
    double scale = (double) longSide / Math.max(film.width(), film.height());
    return state.program(even(film.width() * scale), even(film.height() * scale));
  }

  private static int even(double value) {
    return Math.max(2, (int) Math.round(value / 2) * 2);
  }

  /** One frame as a JPEG; frames past the end are the last. */
  byte[] still(FilmState state, Optional<Shape> shape, long frame) throws IOException {
    return still(program(state, shape), frame, 0.88f);
  }

  /** The same, small. */
  byte[] tile(FilmState state, long frame) throws IOException {
    return still(program(state, TILE), frame, 0.8f);
  }

  /** What an engineer's scopes show of one frame. */
  Scopes scopes(FilmState state, Optional<Shape> shape, long frame) throws IOException {
    return drawn(program(state, shape), frame, Scopes::of);
  }

  /** The range of colours that is meant by a place in a frame, from 0 to 1 each way. */
  ColourRange range(FilmState state, Optional<Shape> shape, long frame, double x, double y)
      throws IOException {
    return drawn(
        program(state, shape), frame, picture -> RangePick.at(ColourPicture.of(picture), x, y));
  }

  private byte[] still(Program program, long frame, float quality) throws IOException {
    return drawn(program, frame, picture -> Jpeg.encode(picture, quality));
  }

  /** Copies of frames of a program. */
  List<Frame> frames(Program program, List<Long> numbers) throws IOException {
    List<Frame> frames = new ArrayList<>();
    for (long number : numbers) {
      frames.add(
          drawn(
              program,
              number,
              picture -> {
                Frame copy = new Frame(picture.width(), picture.height());
                copy.copy(picture);
                return copy;
              }));
    }
    return frames;
  }

  /** What is made of a frame, which is valid only meanwhile. */
  private interface Made<T> {
    T of(Frame picture) throws IOException;
  }

  private <T> T drawn(Program program, long frame, Made<T> made) throws IOException {
    if (program.length() == 0) {
      throw new Refused("The film is empty; make the first cut.");
    }
    long at = Math.max(0, Math.min(program.length() - 1, frame));
    List<T> drawn = new ArrayList<>();
    new Compositor(program, pictures.at(program.rate()))
        .draw(new FrameRange(at, at + 1), picture -> drawn.add(made.of(picture)));
    return drawn.get(0);
  }

  /**
   * A joint's transition as a strip of pictures, the first to the last of it; of a plain cut the
   * two beside it.
   */
  byte[] transition(FilmState state, int joint) throws IOException {
    FrameRange seen = state.cutting().overlaps().get(joint).frames();
    int count = seen.isEmpty() ? 2 : (int) Math.min(STRIP, seen.length());
    Program program = program(state, TILE);
    int width = program.width();
    int height = program.height();
    Compositor compositor = new Compositor(program, pictures.at(program.rate()));
    Frame strip = new Frame(width * count, height);
    for (int i = 0; i < count; i++) {
      long at =
          seen.isEmpty()
              ? state.cutting().frames().get(joint) - 1 + i
              : seen.start() + (2 * i + 1) * seen.length() / (2 * count);
      int x = i * width;
      compositor.draw(new FrameRange(at, at + 1), picture -> strip.paste(picture, x, 0));
    }
    return Jpeg.encode(strip, 0.8f);
  }

  /** The parts in which the film's pictures are played. */
  List<Segment> segments(Program program) {
    return Segmentation.PREVIEW.of(program);
  }

  /**
   * A segment where it is in the film, rendered now if it is not kept; the next one is begun behind
   * it.
   *
   * @return an MPEG transport stream
   */
  byte[] segment(Program program, List<Segment> segments, int index) throws IOException {
    byte[] stream = Files.readAllBytes(rendered(program, segments.get(index)));
    if (index + 1 < segments.size()) {
      begin(() -> rendered(program, segments.get(index + 1)));
    }
    double start = program.rate().secondsOf(segments.get(index).range().start());
    TransportTime.shift(stream, Math.round(start * TransportTime.TICKS));
    return stream;
  }

  /** What may be wanted next. */
  private interface Making {
    Path make() throws IOException;
  }

  private void begin(Making next) {
    ahead.execute(
        () -> {
          try {
            next.make();
          } catch (IOException e) {
            // It will be asked for, and fail where somebody sees it.
            LOG.debug("A part could not be made ahead.", e);
          }
        });
  }

  private Path rendered(Program program, Segment segment) throws IOException {
    return made.get(
        store.derived("preview", segment.key() + ".ts"), file -> render(program, segment, file));
  }

  private void render(Program program, Segment segment, Path file) throws IOException {
    Path part = ContentStore.partOf(file);
    try (VideoEncoder encoder =
        VideoEncoder.preview(part, program.width(), program.height(), program.rate())) {
      new Compositor(program, pictures.at(program.rate())).draw(segment.range(), encoder::write);
      encoder.end();
      encoder.await();
      ContentStore.moveInto(part, file);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /** A part of the film's sound: its samples, and a name that tells it from all others. */
  record SoundPart(int index, SampleRange range, String key) {}

  /** The parts in which the film's sound is played. */
  List<SoundPart> sounds(Mix mix) {
    List<SoundPart> parts = new ArrayList<>();
    for (long at = 0; at < mix.length(); at += SoundEncoder.PART) {
      SampleRange range = new SampleRange(at, Math.min(mix.length(), at + SoundEncoder.PART));
      parts.add(new SoundPart(parts.size(), range, mix.key(range)));
    }
    return parts;
  }

  /** What a player needs before the first part. */
  byte[] soundHead() throws IOException {
    Mix silence = Mix.silence(SoundEncoder.PART);
    SampleRange range = new SampleRange(0, SoundEncoder.PART);
    return sound(silence, new SoundPart(0, range, silence.key(range))).init();
  }

  /**
   * A part of the sound where it is in the film, made now if it is not kept; the next one is begun
   * behind it.
   */
  byte[] sound(Mix mix, List<SoundPart> parts, int index) throws IOException {
    SoundPart part = parts.get(index);
    byte[] moved = sound(mix, part).later(part.range().start());
    if (index + 1 < parts.size()) {
      begin(() -> encoded(mix, parts.get(index + 1)));
    }
    return moved;
  }

  private FragmentedMp4 sound(Mix mix, SoundPart part) throws IOException {
    return FragmentedMp4.of(Files.readAllBytes(encoded(mix, part)));
  }

  private Path encoded(Mix mix, SoundPart part) throws IOException {
    return made.get(
        store.derived("heard", part.key() + ".mp4"),
        file -> SoundEncoder.part(mix, part.range(), sounds, file));
  }
}
