package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Lettered;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Treating;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.document.FilmDocument;
import app.latethistle.document.FilmForm;
import app.latethistle.document.LineForm;
import app.latethistle.document.MediumForm;
import app.latethistle.document.OutputForm;
import app.latethistle.document.SongForm;
import app.latethistle.document.TakeForm;
import app.latethistle.server.material.ColourTables;
import app.latethistle.server.material.OwnFaces;
import java.util.List;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Makes films documents of their own. */
@Component
class FilmDocuments {
  private final ColourTables tables;
  private final OwnFaces faces;

  FilmDocuments(ColourTables tables, OwnFaces faces) {
    this.tables = tables;
    this.faces = faces;
  }

  /** The document of a film as it is. */
  FilmDocument of(FilmState state) {
    PictureShape picture = state.production().shape();
    Film film = shown(state);
    return new FilmDocument(
        FilmDocument.VERSION,
        state.production().title(),
        new FilmDocument.Picture(picture.width(), picture.height()),
        state.production().rate().toString(),
        used(film, state.resolved())
            .map(state.takes()::get)
            .filter(Objects::nonNull)
            .map(
                t ->
                    new TakeForm(
                        t.id(),
                        MediumForm.ofHash(t.media()),
                        t.frames(),
                        state.sounding().contains(t.id()),
                        t.subject().map(MediumForm::ofHash).orElse(null),
                        TakeForm.MarkForm.of(t.marks())))
            .toList(),
        state.song().map(s -> SongForm.of(s.medium().hash(), state.grid())).orElse(null),
        state.lines().stream().map(FilmDocuments::line).toList(),
        OtherShape.of(picture).stream()
            .map(s -> OutputForm.whole(s.name(), s.width(), s.height()))
            .toList(),
        Treating.tables(film).stream()
            .collect(
                Collectors.toMap(
                    t -> t, t -> tables.text(t).orElse(""), (one, other) -> one, TreeMap::new)),
        faces.forms(Lettered.families(film)),
        FilmForm.of(film));
  }

  /** The film without what is not seen or heard, because its take is gone. */
  private static Film shown(FilmState state) {
    Film film = state.film();
    List<Placement> cut =
        film.placements().stream().map(p -> isThere(p, state) ? p : Placement.gap(p.id())).toList();
    return film.withCut(cut, film.joints())
        .withOverlays(film.overlays().stream().filter(o -> isThere(o.placement(), state)).toList())
        .withTitles(
            film.titles().stream()
                .map(t -> t.withPicture(t.picture().filter(state.takes()::containsKey)))
                .toList())
        .withSounds(
            film.sounds().stream()
                .filter(
                    s ->
                        !(s.what() instanceof SoundMaterial.OfTake of)
                            || state.takes().containsKey(of.take()))
                .toList());
  }

  private static boolean isThere(Placement p, FilmState state) {
    return !p.hasPicture() || state.takes().containsKey(p.take());
  }

  private static LineForm line(ReadLine read) {
    MediumForm medium = read.medium() == null ? null : MediumForm.ofHash(read.medium().hash());
    return LineForm.of(read.line(), medium, read.cuts(), read.loudness());
  }

  /** The takes of a film, in the order in which it first names them, whatever their ids. */
  private static Stream<String> used(Film film, Resolved resolved) {
    return Stream.of(
            film.shots().map(Placement::take),
            film.sounds().stream()
                .map(FilmSound::what)
                .filter(SoundMaterial.OfTake.class::isInstance)
                .map(what -> ((SoundMaterial.OfTake) what).take()),
            film.joints().stream()
                .map(joint -> joint.transition().manner().picture())
                .flatMap(picture -> resolved.takeOfFile(picture).stream())
                .map(Take::id),
            film.titles().stream().flatMap(title -> title.picture().stream()))
        .flatMap(named -> named)
        .distinct();
  }
}
