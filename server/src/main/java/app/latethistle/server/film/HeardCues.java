package app.latethistle.server.film;

import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.SoundPlace;
import app.latethistle.core.interchange.CueSheet.Cue;
import app.latethistle.core.mix.MusicTurns;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.Song;
import app.latethistle.server.material.SoundRow;
import app.latethistle.server.material.SoundShelf;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What of a film is heard when, where it comes from and under what rights it is used. */
@ServerOnly
@Component
class HeardCues {
  private final SoundShelf shelf;
  private final Takes takes;
  private final StatedRights rights;

  HeardCues(SoundShelf shelf, Takes takes, StatedRights rights) {
    this.shelf = shelf;
    this.takes = takes;
    this.rights = rights;
  }

  /** The music first, where it does not stop, then sounds and the sounds of clips as they begin. */
  List<Cue> of(FilmState state) {
    long id = state.production().id();
    Map<String, String> stated = rights.statedRights(id);
    Stream<Cue> music =
        state.film().balance().level(Bus.MUSIC).muted()
            ? Stream.empty()
            : state.song().stream().flatMap(song -> music(state, song, stated));
    return Stream.concat(music, beside(state, stated)).toList();
  }

  private static Stream<Cue> music(FilmState state, Song song, Map<String, String> stated) {
    FrameRate rate = state.production().rate();
    return new MusicTurns(state.resolved())
        .heard().stream()
            .map(
                heard ->
                    new Cue(
                        "music",
                        song.title(),
                        new FrameRange(
                            rate.nearestFrame(heard.start()), rate.nearestFrame(heard.end())),
                        "brought in",
                        stated.getOrDefault(StatedRights.key("song", song.medium().hash()), "")));
  }

  private Stream<Cue> beside(FilmState state, Map<String, String> stated) {
    SoundShelf.Catalogue known = shelf.catalogue(state.production().id());
    Map<String, TakeEntry> entries = takes.byFilmId(state.production().id());
    Map<String, SoundPlace> places = state.cutting().beside().sounds();
    FrameRate rate = state.production().rate();
    return state.film().sounds().stream()
        .filter(sound -> places.containsKey(sound.id()))
        .map(
            sound -> {
              FrameRange at = frames(places.get(sound.id()), rate);
              return sound.what() instanceof SoundMaterial.OfFile file
                  ? ofShelf(file, at, known.of(file.media()), stated)
                  : ofClip(sound, at, entries, stated);
            })
        .sorted(Comparator.comparingLong(cue -> cue.at().start()));
  }

  private static FrameRange frames(SoundPlace place, FrameRate rate) {
    long start = Math.max(0, rate.nearestFrame(place.start()));
    return new FrameRange(start, Math.max(start, rate.nearestFrame(place.end())));
  }

  private static Cue ofShelf(
      SoundMaterial.OfFile file,
      FrameRange at,
      Optional<SoundRow> row,
      Map<String, String> stated) {
    String own = row.map(SoundRow::rights).orElse("");
    return new Cue(
        "sound",
        file.name(),
        at,
        row.map(SoundRow::source).orElse(""),
        stated.getOrDefault(StatedRights.key("sound", file.media()), own));
  }

  private static Cue ofClip(
      FilmSound sound, FrameRange at, Map<String, TakeEntry> entries, Map<String, String> stated) {
    TakeEntry take = entries.get(((SoundMaterial.OfTake) sound.what()).take());
    if (take == null) {
      return new Cue("clip", sound.what().name(), at, "", "");
    }
    String source = take.service().isEmpty() ? "brought in" : take.service();
    return new Cue(
        "clip",
        take.fileName(),
        at,
        source,
        stated.getOrDefault(StatedRights.key("pictures", source), ""));
  }
}
