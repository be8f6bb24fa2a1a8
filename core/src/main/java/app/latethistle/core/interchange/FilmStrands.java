package app.latethistle.core.interchange;

import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.SoundPlace;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.interchange.Strand.Laid;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What a film has beside its cut, as tracks that other programs read: layers, the song, the voice,
 * sounds. Where each lies and what of its file it is; not what is done to it.
 */
public final class FilmStrands {
  private static final SampleRange EMPTY = new SampleRange(0, 0);

  private final Resolved film;
  private final Files files;
  private final FrameRate rate;

  /** What files are called. */
  public interface Files {
    /** The song's; empty without one. */
    Optional<String> song();

    /** A take's. */
    String take(Take take);

    /** What is used of a line's reading; empty if it is not read. */
    Optional<Reading> reading(VoiceClock.Spoken line);
  }

  /**
   * A line's reading.
   *
   * @param file its name
   * @param cuts what is left out of it, in its samples
   */
  public record Reading(String file, List<SampleRange> cuts) {}

  private FilmStrands(Resolved film, Files files) {
    this.film = film;
    this.files = files;
    this.rate = film.rate();
  }

  /** The tracks of a film, layers first, from the lowest up. */
  public static List<Strand> of(Resolved film, Files files) {
    FilmStrands strands = new FilmStrands(film, files);
    List<Strand> all = new ArrayList<>(strands.layers());
    strands.files.song().map(strands::song).ifPresent(all::add);
    all.addAll(Strand.packed("Voice", false, strands.voice()));
    all.addAll(Strand.packed("Sounds", false, strands.sounds()));
    return all;
  }

  private List<Strand> layers() {
    Map<Integer, List<Laid>> layers = new TreeMap<>();
    for (Overlay overlay : film.film().overlays()) {
      Placement shot = overlay.placement();
      Take take = shot.hasPicture() ? film.takes().get(shot.take()) : null;
      FrameRange at = film.cutting().beside().overlays().get(overlay.name());
      if (take != null && at != null && at.start() >= 0) {
        long from = shot.run().shown(shot.in(), take.frames(), at.length()).start();
        NamedFile file = new NamedFile(files.take(take), take.media());
        layers
            .computeIfAbsent(overlay.layer(), layer -> new ArrayList<>())
            .add(new Laid(file.name(), file, at.start(), from, at.length()));
      }
    }
    List<Strand> strands = new ArrayList<>();
    layers.forEach(
        (layer, pieces) -> strands.addAll(Strand.packed("Layer " + layer, true, pieces)));
    return strands;
  }

  private Strand song(String file) {
    double from = frames(film.film().music().start());
    double length = film.cutting().length();
    return new Strand("Music", false, List.of(new Laid(file, NamedFile.of(file), 0, from, length)));
  }

  private List<Laid> voice() {
    List<Laid> pieces = new ArrayList<>();
    for (VoiceClock.Spoken line : film.cutting().voice().lines()) {
      Reading reading = line.isHeard() ? files.reading(line).orElse(null) : null;
      if (reading != null) {
        String name = "line " + line.number();
        NamedFile file = NamedFile.of(reading.file());
        long at = line.at().start();
        long from = 0;
        for (SampleRange cut : reading.cuts()) {
          add(pieces, name, file, at, new SampleRange(from, cut.start()));
          at += cut.start() - from;
          from = cut.end();
        }
        long rest = Math.max(0, line.at().end() - at);
        add(pieces, name, file, at, SampleRange.ofLength(from, rest));
      }
    }
    return pieces;
  }

  private List<Laid> sounds() {
    List<Laid> pieces = new ArrayList<>();
    for (FilmSound sound : film.film().sounds()) {
      SoundPlace place = film.cutting().beside().sounds().get(sound.id());
      if (place != null && sound.what() instanceof SoundMaterial.OfFile file) {
        long at = place.start();
        SampleRange pass = file.part();
        while (at < place.end() && !pass.isEmpty()) {
          long length = Math.min(pass.length(), place.end() - at);
          add(
              pieces,
              file.name(),
              new NamedFile(file.name(), file.media()),
              at,
              SampleRange.ofLength(pass.start(), length));
          at += length;
          pass = sound.when().until().isPresent() ? file.loop().orElse(EMPTY) : EMPTY;
        }
      }
    }
    return pieces;
  }

  /** Adds what of a piece lies in the film. */
  private void add(List<Laid> pieces, String name, NamedFile file, long at, SampleRange heard) {
    long before = Math.max(0, -at);
    long after = Math.max(0, at + heard.length() - rate.sampleOf(film.cutting().length()));
    long length = heard.length() - before - after;
    if (length > 0) {
      double begins = frames(at + before);
      pieces.add(new Laid(name, file, begins, frames(heard.start() + before), frames(length)));
    }
  }

  private double frames(long samples) {
    return samples * rate.perSecond() / Samples.RATE;
  }
}
