package app.latethistle.document;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Treating;
import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.interchange.CubeText;
import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.FilmMix;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * All that a film is drawn and heard from.
 *
 * @param version of the format; {@value #VERSION}
 * @param title for people
 * @param picture the size of the film's picture
 * @param rate frames a second, as "24" or "24000/1001"
 * @param takes those that the film shows
 * @param song the film's song; null if it has none
 * @param voice the lines of its narration, in the order they are spoken
 * @param outputs ways in which it leaves; without any it leaves whole in its own size
 * @param tables the .cube files that its treatments look up in, by the SHA-256 of their text
 * @param faces what its words are set in that does not ship with the application
 * @param film what is cut
 */
public record FilmDocument(
    @JsonProperty("lateThistleFilm") int version,
    String title,
    Picture picture,
    String rate,
    List<TakeForm> takes,
    SongForm song,
    List<LineForm> voice,
    List<OutputForm> outputs,
    Map<String, String> tables,
    List<FaceForm> faces,
    FilmForm film) {
  /** The format that is written. */
  public static final int VERSION = 1;

  static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(SerializationFeature.INDENT_OUTPUT)
          .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_NULL))
          .build();

  /** The sides of a picture in pixels, even. */
  public record Picture(int width, int height) {}

  /** Copies the lists. */
  public FilmDocument {
    takes = List.copyOf(Say.or(takes));
    voice = List.copyOf(Say.or(voice));
    outputs = List.copyOf(Say.or(outputs));
    tables = tables == null || tables.isEmpty() ? null : Map.copyOf(tables);
    faces = faces == null || faces.isEmpty() ? null : List.copyOf(faces);
  }

  /**
   * Reads a document.
   *
   * @throws BrokenDocument if it is none, with each place that is wrong and what is wrong there
   */
  public static FilmDocument read(String json) throws IOException {
    FilmDocument document;
    try {
      JsonNode tree = MAPPER.readTree(json);
      PublishedSchema.FILM.check(tree);
      document = MAPPER.treeToValue(tree, FilmDocument.class);
    } catch (JacksonException e) {
      String where =
          e.getLocation() == null
              ? ""
              : "line "
                  + e.getLocation().getLineNr()
                  + ", column "
                  + e.getLocation().getColumnNr()
                  + ": ";
      throw new BrokenDocument(where + "this is not JSON: " + e.getOriginalMessage());
    }
    document.check();
    return document;
  }

  /** The document as JSON. */
  public String write() {
    return MAPPER.writeValueAsString(this) + "\n";
  }

  private void check() throws BrokenDocument {
    at("/rate", this::frameRate);
    Set<String> known = new LinkedHashSet<>();
    for (int i = 0; i < takes.size(); i++) {
      if (!known.add(takes.get(i).id())) {
        throw BrokenDocument.at("/takes/" + i + "/id", "another take has this id.");
      }
    }
    if (song != null) {
      at("/song", song::grid);
    }
    for (int i = 0; i < voice.size(); i++) {
      int line = i;
      at("/voice/" + i, () -> voice.get(line).get(line + 1));
    }
    each("/film/placements", film.placements(), ItemForms.Shot::get);
    each("/film/joints", film.joints(), ItemForms.Cut::get);
    each("/film/overlays", film.overlays(), ItemForms.Over::get);
    each("/film/sounds", film.sounds(), SoundForms.Sound::get);
    each("/film/markers", film.markers(), ItemForms.Note::get);
    at("/film", film::get);
    for (String table : Treating.tables(film.get())) {
      at("/tables/" + table, () -> table(table));
    }
    each("/faces", faces, FaceForm::bytes);
    shown("/film/placements/", Say.or(film.placements()), "", known);
    shown(
        "/film/overlays/",
        Say.or(film.overlays()).stream().map(ItemForms.Over::shot).toList(),
        "/shot",
        known);
    List<WordForms.Title> titles = Say.or(film.titles());
    for (int i = 0; i < titles.size(); i++) {
      if (titles.get(i).take() != null) {
        named("/film/titles/" + i, titles.get(i).take(), known);
      }
    }
  }

  private static void shown(
      String list, List<ItemForms.Shot> shots, String within, Set<String> takes)
      throws BrokenDocument {
    for (int i = 0; i < shots.size(); i++) {
      if (!shots.get(i).isGap()) {
        named(list + i + within, shots.get(i).take(), takes);
      }
    }
  }

  private static void named(String where, String take, Set<String> takes) throws BrokenDocument {
    if (!takes.contains(take)) {
      throw BrokenDocument.at(where + "/take", "there is no take '" + take + "' in /takes.");
    }
  }

  /** What is made of a part of the document, or refused. */
  @FunctionalInterface
  interface Made<T> {
    T get();
  }

  /** How a form becomes what it says. */
  @FunctionalInterface
  private interface Maker<F> {
    Object of(F form);
  }

  private static <F> void each(String list, List<F> forms, Maker<F> maker) throws BrokenDocument {
    for (int i = 0; i < Say.or(forms).size(); i++) {
      F form = forms.get(i);
      at(list + "/" + i, () -> maker.of(form));
    }
  }

  static <T> T at(String place, Made<T> made) throws BrokenDocument {
    try {
      return made.get();
    } catch (IllegalArgumentException e) {
      throw BrokenDocument.at(place, e.getMessage());
    }
  }

  /**
   * A table that its treatments look up in.
   *
   * @param file the SHA-256 of the .cube file's text
   * @throws IllegalArgumentException if the document has none, or what it has cannot be read
   */
  public GivenTable table(String file) {
    String text = tables == null ? null : tables.get(file);
    if (text == null) {
      throw new Refused("a treatment looks up in this table; give the text of its .cube file.");
    }
    return CubeText.parse(text);
  }

  /** Its own faces; none is an empty list. */
  public List<FaceForm> ownFaces() {
    return Say.or(faces);
  }

  /** Its frames a second. */
  public FrameRate frameRate() {
    return FrameRate.parse(rate);
  }

  /** The output of a name, or the first; one of the whole film if there is none. */
  public Optional<OutputForm> output(Optional<String> name) {
    if (name.isPresent()) {
      return outputs.stream().filter(o -> o.name().equals(name.get())).findFirst();
    }
    return Optional.of(
        outputs.isEmpty()
            ? OutputForm.whole("film", picture.width, picture.height)
            : outputs.get(0));
  }

  /** All files it uses. */
  public List<MediumForm> media() {
    return Stream.of(
            takes.stream().map(TakeForm::media),
            takes.stream().map(TakeForm::subject).filter(m -> m != null),
            Stream.ofNullable(song).map(SongForm::media),
            voice.stream().map(LineForm::media).filter(m -> m != null),
            Say.or(film.sounds()).stream().map(SoundForms.Sound::media).filter(m -> m != null))
        .flatMap(m -> m)
        .distinct()
        .toList();
  }

  /** The same with other names of its files. */
  public FilmDocument naming(Map<MediumForm, MediumForm> names) {
    return new FilmDocument(
        version,
        title,
        picture,
        rate,
        takes.stream().map(t -> t.with(names)).toList(),
        song == null ? null : song.with(names.get(song.media())),
        voice.stream().map(l -> l.media() == null ? l : l.with(names.get(l.media()))).toList(),
        outputs,
        tables,
        faces,
        film.naming(names));
  }

  /**
   * The film, resolved to frames.
   *
   * @param ready its takes by id, as the film counts them
   * @param levels of its song; asked for only where something follows them
   */
  public Resolved resolve(Map<String, Take> ready, Supplier<BandLevels> levels) {
    Film cut = film.get();
    List<Narration.Line> lines = new ArrayList<>();
    voice.forEach(line -> lines.add(line.get(lines.size() + 1)));
    BeatGrid grid = song == null ? BeatGrid.EMPTY : song.grid();
    return Resolved.of(cut, new Clocks(grid, new Narration(lines), levels), frameRate(), ready);
  }

  /**
   * What is heard of it. All its files are named by their hashes.
   *
   * @param sounding ids of takes whose own sound may be heard
   * @param trace how loud its song is over its time; asked for only where somebody speaks
   */
  public Mix mix(Resolved resolved, Set<String> sounding, Supplier<LoudnessTrace> trace) {
    return FilmMix.of(
        resolved,
        Shape.of(picture.width(), picture.height()),
        sounding,
        Optional.ofNullable(song).map(s -> new FilmMix.Song(s.media().sha256(), trace)),
        voice.stream()
            .map(
                line ->
                    line.media() == null
                        ? Optional.<FilmMix.Reading>empty()
                        : Optional.of(line.heard()))
            .toList());
  }
}
