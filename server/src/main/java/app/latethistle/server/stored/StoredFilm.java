package app.latethistle.server.stored;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.SongUse;
import java.util.List;

/** A film as it is stored. */
record StoredFilm(
    List<StoredItems.Shot> placements,
    List<StoredItems.Cut> joints,
    long songStart,
    StoredLook.Finished finish,
    List<StoredItems.Over> overlays,
    List<StoredItems.Sound> sounds,
    List<StoredItems.Note> markers) {

  static StoredFilm of(Film film) {
    return new StoredFilm(
        film.placements().stream().map(StoredItems.Shot::of).toList(),
        film.joints().stream().map(StoredItems.Cut::of).toList(),
        film.music().start(),
        StoredLook.Finished.of(film.finish()),
        film.overlays().stream().map(StoredItems.Over::of).toList(),
        film.sounds().stream().map(StoredItems.Sound::of).toList(),
        film.markers().stream().map(StoredItems.Note::of).toList());
  }

  Film get() {
    return new Film(
        placements.stream().map(StoredItems.Shot::get).toList(),
        joints.stream().map(StoredItems.Cut::get).toList(),
        new SongUse(songStart),
        finish.get(),
        overlays.stream().map(StoredItems.Over::get).toList(),
        sounds.stream().map(StoredItems.Sound::get).toList(),
        markers.stream().map(StoredItems.Note::get).toList());
  }
}
