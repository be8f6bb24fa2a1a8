package app.latethistle.document;

import app.latethistle.core.film.Balance;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.look.Finish;
import java.util.List;
import java.util.Map;

/** How a film is written. What is not said is not there. */
public record FilmForm(
    List<ItemForms.Shot> placements,
    List<ItemForms.Cut> joints,
    long songStart,
    LookForms.Finished finish,
    List<ItemForms.Over> overlays,
    List<SoundForms.Sound> sounds,
    List<ItemForms.Note> markers,
    SoundForms.Balanced balance,
    List<WordForms.Title> titles,
    List<WordForms.Captions> captions,
    List<WordForms.Safe> safe) {

  public static FilmForm of(Film film) {
    return new FilmForm(
        film.placements().stream().map(ItemForms.Shot::of).toList(),
        film.joints().stream().map(ItemForms.Cut::of).toList(),
        film.music().start(),
        LookForms.Finished.of(film.finish()),
        film.overlays().stream().map(ItemForms.Over::of).toList(),
        film.sounds().stream().map(SoundForms.Sound::of).toList(),
        film.markers().stream().map(ItemForms.Note::of).toList(),
        SoundForms.Balanced.of(film.balance()),
        film.titles().stream().map(WordForms.Title::of).toList(),
        film.captions().stream().map(WordForms.Captions::of).toList(),
        WordForms.Safe.of(film.safe()));
  }

  public Film get() {
    return new Film(
        Say.or(placements).stream().map(ItemForms.Shot::get).toList(),
        Say.or(joints).stream().map(ItemForms.Cut::get).toList(),
        new SongUse(songStart),
        finish == null ? Finish.NONE : finish.get(),
        Say.or(overlays).stream().map(ItemForms.Over::get).toList(),
        Say.or(sounds).stream().map(SoundForms.Sound::get).toList(),
        Say.or(markers).stream().map(ItemForms.Note::get).toList(),
        balance == null ? Balance.USUAL : balance.get(),
        Say.or(titles).stream().map(WordForms.Title::get).toList(),
        Say.or(captions).stream().map(WordForms.Captions::get).toList(),
        WordForms.Safe.get(safe));
  }

  /** The same with other names of its sounds' files. */
  FilmForm naming(Map<MediumForm, MediumForm> names) {
    return new FilmForm(
        placements,
        joints,
        songStart,
        finish,
        overlays,
        Say.or(sounds).stream()
            .map(s -> s.media() == null ? s : s.with(names.get(s.media())))
            .toList(),
        markers,
        balance,
        titles,
        captions,
        safe);
  }
}
