package app.latethistle.server.stored;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Finish;
import app.latethistle.core.marks.Sign;
import app.latethistle.core.release.ChannelStyle;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.words.Design;
import app.latethistle.document.FaceForm;
import app.latethistle.document.FilmForm;
import app.latethistle.document.WordForms;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * A channel's style as a text. What of it is a film's is written as a film is, without shots, so
 * that its schema is the film's.
 *
 * @param tables of colours that it looks up in
 * @param faces that it sets in
 * @param sounds that are used again
 * @param services that pictures are asked of, with what their terms say of their marks
 */
public record StoredStyle(
    ChannelStyle style,
    List<ColourFile> tables,
    List<FaceForm> faces,
    List<SoundFile> sounds,
    List<ServiceProfile> services) {
  private static final int FORMAT = 1;

  /** Copies the lists. */
  public StoredStyle {
    tables = List.copyOf(tables);
    faces = List.copyOf(faces);
    sounds = List.copyOf(sounds);
    services = List.copyOf(services);
  }

  private record Form(
      String name,
      String badge,
      WordForms.Face badgeFace,
      FilmForm film,
      List<JsonNode> outputs,
      String description,
      List<String> tags,
      List<ColourFile> tables,
      List<FaceForm> faces,
      List<SoundFile> sounds,
      List<JsonNode> services) {}

  public String write() {
    return Json.write(
        FORMAT,
        new Form(
            style.name(),
            style.badge().map(Sign::text).orElse(null),
            style.badge().map(sign -> WordForms.Face.of(sign.face())).orElse(null),
            FilmForm.of(film(style)),
            style.outputs().stream().map(o -> Json.tree(StoredOutput.write(o))).toList(),
            style.description(),
            style.tags(),
            tables,
            faces,
            sounds,
            services.stream().map(s -> Json.tree(StoredService.write(s))).toList()));
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
            Optional.ofNullable(form.badge).map(said -> sign(said, form.badgeFace)),
            film.titles().stream().map(FilmTitle::design).toList(),
            film.captionsIn(FilmCaptions.READ).style(),
            film.finish().treatments(),
            film.finish().end(),
            Brought.needed("outputs", form.outputs).stream()
                .map(o -> StoredOutput.read(o.toString()))
                .toList(),
            Objects.requireNonNullElse(form.description, ""),
            Brought.needed("tags", form.tags));
    return new StoredStyle(
        style,
        Brought.needed("tables", form.tables),
        some(form.faces),
        some(form.sounds),
        some(form.services).stream().map(s -> StoredService.read(s.toString())).toList());
  }

  /** Those written first had the usual face. */
  private static Sign sign(String text, WordForms.Face face) {
    return face == null ? Sign.of(text) : new Sign(text, face.get());
  }

  /** Those written first had no faces, sounds and services. */
  private static <T> List<T> some(List<T> list) {
    return list == null ? List.of() : list;
  }
}
