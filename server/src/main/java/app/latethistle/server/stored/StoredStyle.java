package app.latethistle.server.stored;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Finish;
import app.latethistle.core.release.ChannelStyle;
import app.latethistle.core.words.Design;
import app.latethistle.document.FaceForm;
import app.latethistle.document.FilmForm;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * A channel's style as a text, with the tables of colours it looks up in and the faces it sets in.
 * What of it is a film's is written as a film is, without shots, so that its schema is the film's.
 */
public record StoredStyle(ChannelStyle style, List<ColourFile> tables, List<FaceForm> faces) {
  private static final int FORMAT = 1;

  /** Copies the lists. */
  public StoredStyle {
    tables = List.copyOf(tables);
    faces = List.copyOf(faces);
  }

  private record Form(
      String name,
      String badge,
      FilmForm film,
      List<JsonNode> outputs,
      List<String> tags,
      List<ColourFile> tables,
      List<FaceForm> faces) {}

  public String write() {
    return Json.write(
        FORMAT,
        new Form(
            style.name(),
            style.badge().orElse(null),
            FilmForm.of(film(style)),
            style.outputs().stream().map(o -> Json.tree(StoredOutput.write(o))).toList(),
            style.tags(),
            tables,
            faces));
  }

  /** A film of no shots that has all of a style that a film can have. */
  private static Film film(ChannelStyle style) {
    List<FilmTitle> titles = new ArrayList<>();
    for (Design design : style.designs()) {
      titles.add(FilmTitle.of(design.name(), design, Standing.of(Tie.free(0), 1)));
    }
    return Film.EMPTY
        .withFinish(Finish.NONE.withTreatments(style.treatments()).withEnd(style.end()))
        .withCaptions(List.of(FilmCaptions.in(FilmCaptions.READ).withStyle(style.captions())))
        .withTitles(titles);
  }

  /**
   * A style of any format.
   *
   * @throws IllegalArgumentException if it is none, with a sentence for the person
   */
  public static StoredStyle read(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    Form form = Brought.needed("content", Json.as(tree, Form.class));
    Film film = Brought.needed("film", form.film).get();
    ChannelStyle style =
        new ChannelStyle(
            form.name,
            Optional.ofNullable(form.badge),
            film.titles().stream().map(FilmTitle::design).toList(),
            film.captionsIn(FilmCaptions.READ).style(),
            film.finish().treatments(),
            film.finish().end(),
            Brought.needed("outputs", form.outputs).stream()
                .map(o -> StoredOutput.read(o.toString()))
                .toList(),
            Brought.needed("tags", form.tags));
    // Those written first had no faces of their own.
    List<FaceForm> faces = form.faces == null ? List.of() : form.faces;
    return new StoredStyle(style, Brought.needed("tables", form.tables), faces);
  }
}
