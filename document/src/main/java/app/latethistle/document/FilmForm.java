package app.latethistle.document;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.look.Finish;
import java.util.List;

/** How a film is written. What is not said is not there. */
public record FilmForm(
    List<ItemForms.Shot> placements,
    List<ItemForms.Cut> joints,
    long songStart,
    LookForms.Finished finish,
    List<ItemForms.Over> overlays,
    List<ItemForms.Sound> sounds,
    List<ItemForms.Note> markers) {

  public static FilmForm of(Film film) {
    return new FilmForm(
        film.placements().stream().map(ItemForms.Shot::of).toList(),
        film.joints().stream().map(ItemForms.Cut::of).toList(),
        film.music().start(),
        LookForms.Finished.of(film.finish()),
        film.overlays().stream().map(ItemForms.Over::of).toList(),
        film.sounds().stream().map(ItemForms.Sound::of).toList(),
        film.markers().stream().map(ItemForms.Note::of).toList());
  }

  public Film get() {
    return new Film(
        Say.or(placements).stream().map(ItemForms.Shot::get).toList(),
        Say.or(joints).stream().map(ItemForms.Cut::get).toList(),
        new SongUse(songStart),
        finish == null ? Finish.NONE : finish.get(),
        Say.or(overlays).stream().map(ItemForms.Over::get).toList(),
        Say.or(sounds).stream().map(ItemForms.Sound::get).toList(),
        Say.or(markers).stream().map(ItemForms.Note::get).toList());
  }
}
