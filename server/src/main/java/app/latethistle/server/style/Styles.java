package app.latethistle.server.style;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Treating;
import app.latethistle.core.marks.Badge;
import app.latethistle.core.marks.Marked;
import app.latethistle.core.release.ChannelStyle;
import app.latethistle.server.config.Missing;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.master.Outputs;
import app.latethistle.server.material.ColourTables;
import app.latethistle.server.material.OwnFaces;
import app.latethistle.server.material.OwnSounds;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.release.Releases;
import app.latethistle.server.services.ServiceDesk;
import app.latethistle.server.stored.StoredStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps styles of productions, and gives them to others. */
@ServerOnly
@Service
class Styles {
  private final StyleRows rows;
  private final Followers followers;
  private final FilmService films;
  private final Outputs outputs;
  private final Releases releases;
  private final ColourTables tables;
  private final OwnFaces faces;
  private final OwnSounds sounds;
  private final Takes takes;
  private final ServiceDesk services;

  Styles(
      StyleRows rows,
      Followers followers,
      FilmService films,
      Outputs outputs,
      Releases releases,
      ColourTables tables,
      OwnFaces faces,
      OwnSounds sounds,
      Takes takes,
      ServiceDesk services) {
    this.faces = faces;
    this.sounds = sounds;
    this.takes = takes;
    this.services = services;
    this.rows = rows;
    this.followers = followers;
    this.films = films;
    this.outputs = outputs;
    this.releases = releases;
    this.tables = tables;
  }

  List<StyleRow> all() {
    return rows.findAllByOrderById();
  }

  Optional<StyleRow> find(long id) {
    return rows.findById(id);
  }

  StyleRow get(long id) {
    return find(id).orElseThrow(() -> new Missing("There is no style " + id + "."));
  }

  /** The style a production has taken. */
  Optional<Follower> takenBy(long productionId) {
    return followers.findById(productionId);
  }

  /**
   * Keeps a production's style under a name, in place of what it was; the production follows it.
   */
  @Transactional
  public StyleRow keep(long productionId, String name) {
    Film film = films.state(productionId).film();
    ChannelStyle style =
        ChannelStyle.of(name, film, outputs.said(productionId), releases.sheet(productionId));
    StyleRow row =
        kept(
            new StoredStyle(
                style,
                tables.files(Treating.tables(style.treatments())),
                faces.forms(style.families()),
                sounds.of(productionId, heard(film)),
                services.profiles(used(productionId))));
    followers.save(new Follower(productionId, row));
    return row;
  }

  /** The files of the sounds that are laid in a film. */
  private static Set<String> heard(Film film) {
    return SoundMaterial.OfFile.in(film)
        .map(SoundMaterial.OfFile::media)
        .collect(Collectors.toSet());
  }

  /** The services of a production's takes. */
  private Set<String> used(long productionId) {
    return takes.byFilmId(productionId).values().stream()
        .map(TakeEntry::service)
        .collect(Collectors.toSet());
  }

  /** Keeps a style that came as a file, in place of one of the same name. */
  @Transactional
  public StyleRow keep(StoredStyle stored) {
    tables.bringIn(stored.tables());
    faces.bringIn(stored.faces());
    return kept(stored);
  }

  /**
   * Lets a production that came from elsewhere follow the style it came with, or the one here that
   * has its name.
   */
  @Transactional
  public void follow(long productionId, StoredStyle stored) {
    Optional<StyleRow> here = rows.findByName(stored.style().name());
    StyleRow row = here.orElseGet(() -> keep(stored));
    boolean same = row.document().equals(stored.write());
    followers.save(same ? new Follower(productionId, row) : Follower.ofAnother(productionId, row));
  }

  private StyleRow kept(StoredStyle stored) {
    String name = stored.style().name();
    StyleRow row = rows.findByName(name).orElseGet(() -> new StyleRow(name));
    row.set(stored);
    return rows.save(row);
  }

  /**
   * Gives a production a style: its film in one step that can be undone, outputs by their names,
   * the words of its sheet, sounds; and the desk the services that it has not.
   *
   * @param revision of the film that the person saw
   */
  @Transactional
  public void take(long productionId, long id, long revision) {
    StyleRow row = get(id);
    StoredStyle stored = row.stored();
    ChannelStyle style = stored.style();
    if (edit(style, films.state(productionId)).isPresent()) {
      films.edit(
          productionId,
          revision,
          state ->
              edit(style, state)
                  .orElseThrow(() -> new Refused("The film has this style already.")));
    }
    outputs.take(productionId, style.outputs());
    releases.keep(productionId, style.onto(releases.sheet(productionId)));
    sounds.bringIn(productionId, stored.sounds());
    services.add(stored.services());
    followers.save(new Follower(productionId, row));
  }

  private Optional<Edit> edit(ChannelStyle style, FilmState state) {
    List<Edit> edits = new ArrayList<>();
    style.onto(state.film()).ifPresent(edits::add);
    Optional<Badge> now = Badge.in(state.film());
    if (now.isPresent()
        && style.badge().filter(sign -> !sign.equals(now.get().sign())).isPresent()) {
      Marked marked = state.marked();
      if (!marked.seen().isEmpty()) {
        edits.add(new Badge(style.badge().get(), now.get().reach()).over(marked, faces.all()));
      }
    }
    return edits.isEmpty()
        ? Optional.empty()
        : Optional.of(new Compound("take the style of " + style.name(), edits));
  }

  /** Lets a production go on without its style; nothing of it changes. */
  @Transactional
  public void leave(long productionId) {
    followers.deleteById(productionId);
  }

  /** Throws a style away; productions keep what they took of it. */
  @Transactional
  public void remove(long id) {
    rows.delete(get(id));
  }
}
