package app.latethistle.server.film;

import app.latethistle.core.FirstFew;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Tie;
import app.latethistle.core.interchange.NamedFile;
import app.latethistle.core.interchange.Strand;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.server.material.SoundRow;
import app.latethistle.server.material.TakeEntry;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongFunction;

/**
 * Brings in what lies beside a foreign cut: tracks of pictures as layers, from the lowest up; of
 * sound what is found among the sounds and takes, and where the song begins.
 */
final class BringBeside {
  private static final int NAMED = 3;

  private final FoundFiles files;
  private final FrameRate rate;
  private final Placing placing;
  private final LongFunction<Tie> ties;
  private final List<String> left;
  private final List<Overlay> overlays = new ArrayList<>();
  private final List<FilmSound> sounds = new ArrayList<>();
  private SongUse music;

  /** Makes the placements of a cut's takes, each with a name of its own. */
  @FunctionalInterface
  interface Placing {
    Placement of(TakeEntry take, long in, Run run);
  }

  /**
   * @param ties what a frame of the film is tied to
   * @param left is told what cannot be brought in
   */
  BringBeside(
      FoundFiles files,
      FrameRate rate,
      Placing placing,
      LongFunction<Tie> ties,
      List<String> left) {
    this.files = files;
    this.rate = rate;
    this.placing = placing;
    this.ties = ties;
    this.left = left;
  }

  /** The film with what tracks have, instead of what lay beside its cut. */
  Film onto(Film film, List<Strand> tracks) {
    music = film.music();
    int layer = 0;
    for (Strand track : tracks) {
      if (!track.seen()) {
        hear(track);
      } else if (layer < Overlay.LAYERS) {
        layer++;
        lay(track, layer);
      } else {
        left.add(
            "The track '"
                + track.name()
                + "' is not brought in: "
                + Overlay.LAYERS
                + " layers lie over a cut.");
      }
    }
    return film.withOverlays(overlays).withSounds(sounds).withMusic(music);
  }

  private void lay(Strand track, int layer) {
    List<NamedFile> missing = new ArrayList<>();
    for (Strand.Laid piece : track.pieces()) {
      long start = Math.round(piece.at());
      long end = Math.round(piece.at() + piece.frames());
      Optional<TakeEntry> found = files.take(piece.file());
      if (found.isEmpty()) {
        missing.add(piece.file());
      } else if (end > start) {
        Placement shown = placing.of(found.get(), Math.round(piece.from()), Run.PLAIN);
        overlays.add(Overlay.whole(layer, shown, ties.apply(start), ties.apply(end)));
      }
    }
    tell(track, missing);
  }

  private void hear(Strand track) {
    List<NamedFile> missing = new ArrayList<>();
    for (Strand.Laid piece : track.pieces()) {
      Optional<SoundMaterial> what = material(piece);
      if (what.isPresent()) {
        String id = "sound" + (sounds.size() + 1);
        sounds.add(new FilmSound(id, what.get(), landing(piece, what.get()), Manner.PLAIN));
      } else if (files.isSong(piece.file())) {
        music = new SongUse(Math.max(0, samples(piece.from() - piece.at())));
      } else {
        missing.add(piece.file());
      }
    }
    tell(track, missing);
  }

  private Optional<SoundMaterial> material(Strand.Laid piece) {
    Optional<SoundRow> sound = files.sound(piece.file());
    if (sound.isPresent()
        && sound.get().material() instanceof SoundMaterial.OfFile of
        && samples(piece.from()) < of.part().end()) {
      long first = samples(piece.from());
      long end = Math.min(of.part().end(), first + Math.max(1, samples(piece.frames())));
      long lands = Math.max(first, Math.min(end, of.lands()));
      return Optional.of(
          new SoundMaterial.OfFile(
              of.media(), of.name(), new SampleRange(first, end), lands, Optional.empty()));
    }
    return files
        .take(piece.file())
        .map(files::take)
        .filter(take -> piece.from() < take.frames())
        .map(take -> ofTake(take, piece));
  }

  private static SoundMaterial ofTake(Take take, Strand.Laid piece) {
    long in = Math.min(Math.round(piece.from()), take.frames() - 1);
    long length = Math.max(1, Math.round(piece.frames()));
    return new SoundMaterial.OfTake(take.id(), in, Math.min(take.frames() - in, length));
  }

  /** Where it lands, by the sample, after the frame that this falls on. */
  private Landing landing(Strand.Laid piece, SoundMaterial what) {
    long lands = samples(piece.at()) + what.lands(rate) - what.heard(rate).start();
    long frame = rate.frameAt(lands);
    return new Landing(Tie.free(frame), lands - rate.sampleOf(frame), Optional.empty());
  }

  private long samples(double frames) {
    return Math.round(frames * Samples.RATE / rate.perSecond());
  }

  private void tell(Strand track, List<NamedFile> missing) {
    if (missing.isEmpty()) {
      return;
    }
    List<String> names = missing.stream().map(NamedFile::name).distinct().toList();
    left.add(
        "Not here, of the track '" + track.name() + "': " + FirstFew.of(names, NAMED, ", ") + ".");
  }
}
