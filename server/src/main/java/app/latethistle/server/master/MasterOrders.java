package app.latethistle.server.master;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.release.Encoding;
import app.latethistle.core.release.Output;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.Program;
import app.latethistle.core.render.Segment;
import app.latethistle.core.time.FrameRange;
import app.latethistle.media.ContentStore;
import app.latethistle.media.CoverPicture;
import app.latethistle.media.Jpeg;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Originals;
import app.latethistle.media.OutputFile;
import app.latethistle.media.SoundEncoder;
import app.latethistle.media.Tags;
import app.latethistle.media.credentials.ContentCredentials;
import app.latethistle.server.material.ColourTables;
import app.latethistle.server.material.FilmSoundFiles;
import app.latethistle.server.material.Media;
import app.latethistle.server.material.OwnFaces;
import app.latethistle.server.stored.StoredOrder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.stereotype.Component;

/** Turns what was ordered into renders over the files of the store. */
@Component
class MasterOrders {
  private final Media media;
  private final ContentStore store;
  private final ColourTables tables;
  private final SoundSource sounds;
  private final Path masters;
  private final Path segments;
  private final Path samples;
  private final OwnFaces faces;
  private final ContentCredentials credentials;

  MasterOrders(
      Media media,
      ContentStore store,
      FilmSoundFiles sounds,
      ColourTables tables,
      OwnFaces faces,
      ContentCredentials credentials)
      throws IOException {
    this.credentials = credentials;
    this.faces = faces;
    this.tables = tables;
    this.media = media;
    this.store = store;
    this.sounds = sounds;
    masters = store.derived("masters");
    segments = store.derived("segments");
    samples = store.derived("samples");
  }

  /** Where a master's file lies. */
  Path fileOf(Master master) {
    return masters.resolve(master.id() + master.encoding().suffix());
  }

  /** Where a master's sound lies until it is joined with the pictures. */
  Path soundOf(Master master) {
    return masters.resolve(master.id() + (master.isJoined() ? "-sound.m4a" : "-sound.flac"));
  }

  /** Writes a master's file of its parts, which have all been made. */
  void write(Master master, MasterRender.Progress progress) throws IOException {
    join(master, progress);
    OptionalLong cover = master.tags().cover();
    // A file whose size is asked for has no room for it.
    if (cover.isPresent() && CoverPicture.fits(master.encoding()) && master.megabytes().isEmpty()) {
      CoverPicture.put(fileOf(master), master.encoding(), picture(master, cover.getAsLong()));
    }
    if (!master.tags().comment().isEmpty() && isMadeOfBoxes(master.encoding())) {
      credentials.put(fileOf(master), master.tags().title());
    }
  }

  /** A moment of a master, in milliseconds, as a JPEG. */
  private byte[] picture(Master master, long millis) throws IOException {
    Program program = master.order().program();
    long frame = Math.min(program.length() - 1, program.rate().framesIn(millis / 1000.0));
    Frame drawn = new Frame(program.width(), program.height());
    new Compositor(program, originals(program))
        .draw(new FrameRange(frame, frame + 1), picture -> drawn.copy(picture));
    return Jpeg.encode(drawn, 0.92f);
  }

  /** Whether a file says in a box of its own where it is from. */
  private static boolean isMadeOfBoxes(Encoding encoding) {
    return encoding == Encoding.MP4
        || encoding == Encoding.MP4_HEVC
        || encoding == Encoding.MOV_422;
  }

  private void join(Master master, MasterRender.Progress progress) throws IOException {
    Path file = fileOf(master);
    Encoding encoding = master.encoding();
    Optional<Path> sound =
        encoding.hasSound() ? Optional.of(soundOf(master)) : Optional.<Path>empty();
    if (master.isJoined()) {
      render(master).join(sound, master.tags(), file);
      return;
    }
    Path drawn = masters.resolve(master.id() + "-pictures.mp4");
    try {
      if (encoding.hasPictures()) {
        render(master).join(Optional.empty(), Tags.NONE, drawn);
      }
      new OutputFile(
              encoding,
              master.quality(),
              master.megabytes(),
              master.rate(),
              master.frames(),
              master.tags())
          .write(
              encoding.hasPictures() ? Optional.of(drawn) : Optional.empty(),
              sound,
              file,
              progress);
    } finally {
      Files.deleteIfExists(drawn);
    }
  }

  /**
   * Where a few seconds of an output lie as they are written in its file; named after all that they
   * depend on.
   */
  Path sampleOf(Ordering ordering, List<Segment> some) {
    Output output = ordering.output();
    KeyWriter key = new KeyWriter().put(output.encoding()).put(output.quality());
    some.forEach(segment -> key.put(segment.key()));
    return samples.resolve(key.hash() + output.encoding().suffix());
  }

  /** Writes them, of segments that have been made. */
  void writeSample(Ordering ordering, List<Segment> some, MasterRender.Progress progress)
      throws IOException {
    Output output = ordering.output();
    Path sample = sampleOf(ordering, some);
    if (Files.exists(sample)) {
      return;
    }
    Path drawn = ContentStore.partOf(sample.resolveSibling("drawn.mp4"));
    try {
      render(ordering).join(some, drawn);
      new OutputFile(
              output.encoding(),
              output.quality(),
              output.megabytes(),
              ordering.program().rate(),
              some.stream().mapToLong(segment -> segment.range().length()).sum(),
              Tags.NONE)
          .write(Optional.of(drawn), Optional.empty(), sample, progress);
    } finally {
      Files.deleteIfExists(drawn);
    }
  }

  /** Removes what a master needed until its file was there. */
  void removeParts(Master master) throws IOException {
    Files.deleteIfExists(soundOf(master));
  }

  /** The render of a master. */
  MasterRender render(Master master) {
    return render(
        master.order().program(),
        OutputFile.drawnAt(master.encoding(), master.quality(), master.megabytes()));
  }

  /** The render of what is ordered. */
  MasterRender render(Ordering ordering) {
    Output output = ordering.output();
    return render(
        ordering.program(),
        OutputFile.drawnAt(output.encoding(), output.quality(), output.megabytes()));
  }

  /** The render of a program. */
  private MasterRender render(Program program, Optional<Quality> quality) {
    return new MasterRender(program, originals(program), quality, segments);
  }

  private Originals originals(Program program) {
    Map<String, Originals.Original> files = new HashMap<>();
    for (String hash : program.media()) {
      files.put(
          hash,
          new Originals.Original(store.path(hash), media.findById(hash).orElseThrow().facts()));
    }
    return new Originals(files, program.rate(), tables::of, faces.all());
  }

  /** Makes the sound of a master, unless it is there. */
  void makeSound(Master master) throws IOException {
    Path sound = soundOf(master);
    if (Files.exists(sound)) {
      return;
    }
    StoredOrder order = master.order();
    Path part = ContentStore.partOf(sound);
    try {
      Mix mixed = order.mix();
      Optional<LoudnessAim> aim = order.aim();
      SoundEncoder.Lowered mix =
          by ->
              aim.isPresent()
                  ? aim.get().lowered(by).reachedBy(mixed, sounds)
                  : SoundEncoder.lowered(mixed, by);
      if (master.isJoined()) {
        SoundEncoder.m4a(mix, sounds, part);
      } else {
        OutputFile.writeSound(master.encoding(), mix, sounds, part);
      }
      ContentStore.moveInto(part, sound);
    } finally {
      Files.deleteIfExists(part);
    }
  }
}
