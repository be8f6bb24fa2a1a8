package app.latethistle.server.release;

import app.latethistle.core.film.Placement;
import app.latethistle.core.release.Chapters;
import app.latethistle.core.release.Hint;
import app.latethistle.core.release.ReleaseSheet;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.Tags;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.StatedRights;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.StoredSheet;
import app.latethistle.server.story.StoryService;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The release sheets of productions, and what of them goes into files. */
@ServerOnly
@Service
public class Releases implements StatedRights {
  private static final int FIRST_TAGS = 5;

  private final ReleaseRows rows;
  private final Productions productions;
  private final StoryService stories;
  private final Shots shots;
  private final Assets assets;

  Releases(
      ReleaseRows rows, Productions productions, StoryService stories, Shots shots, Assets assets) {
    this.rows = rows;
    this.productions = productions;
    this.stories = stories;
    this.shots = shots;
    this.assets = assets;
  }

  /** A production's sheet; what is known from its story where nobody has written one. */
  public ReleaseSheet sheet(long productionId) {
    return rows.findById(productionId)
        .map(row -> StoredSheet.read(row.document()))
        .orElseGet(() -> first(productionId));
  }

  @Override
  public Map<String, String> statedRights(long productionId) {
    return sheet(productionId).rights();
  }

  private ReleaseSheet first(long productionId) {
    Story story = stories.state(productionId).story();
    String title = productions.get(productionId).title();
    return new ReleaseSheet(
        title.substring(0, Math.min(title.length(), ReleaseSheet.LONGEST_TITLE)),
        story.brief().subject(),
        /* chapters= */ true,
        tags(story).stream().limit(FIRST_TAGS).toList(),
        /* generated= */ true,
        Optional.empty(),
        Map.of());
  }

  /** Tags that the story gives: its form, its places and people. */
  static List<String> tags(Story story) {
    return Stream.of(
            Stream.of(story.brief().form().label()),
            story.sheets().places().stream().map(p -> p.name()),
            story.sheets().people().stream().map(p -> p.name()),
            story.shots().shots().stream().map(StoryShot::mood))
        .flatMap(Function.identity())
        .map(tag -> tag.strip().toLowerCase(Locale.ROOT))
        .filter(tag -> !tag.isEmpty() && tag.length() <= 30)
        .distinct()
        .toList();
  }

  /** Keeps a sheet. */
  @Transactional
  public void keep(long productionId, ReleaseSheet sheet) {
    productions.getLocked(productionId);
    rows.save(new ReleaseRow(productionId, StoredSheet.write(sheet)));
  }

  /** What the film is made of, each with the rights that are stated. */
  List<Assets.Asset> assets(FilmState state) {
    long id = state.production().id();
    return assets.of(state, stories.state(id).story(), statedRights(id));
  }

  /** The rights of all that a film uses, where nobody has said any the same ones. */
  public Map<String, String> rightsOfAll(FilmState state, String otherwise) {
    return assets(state).stream()
        .collect(Collectors.toMap(Assets.Asset::key, a -> a.isMissing() ? otherwise : a.rights()));
  }

  /** What is used and of which nobody has said under what rights, by its name. */
  public List<String> missingRights(FilmState state) {
    return assets(state).stream()
        .filter(Assets.Asset::isMissing)
        .map(a -> a.kind() + " “" + a.name() + "”")
        .toList();
  }

  /** Questions that the film's words raise. */
  List<Hint> hints(FilmState state) {
    Story story = stories.state(state.production().id()).story();
    return Hint.of(
        Stream.concat(
            story.texts(), state.film().titles().stream().map(title -> title.words().text())));
  }

  /** The chapters that the story's places give. */
  Chapters chapters(FilmState state) {
    long id = state.production().id();
    Story story = stories.state(id).story();
    Map<String, Shot> known =
        shots.findByProductionIdOrderById(id).stream()
            .collect(Collectors.toMap(s -> Long.toString(s.id()), s -> s));
    List<Chapters.Chapter> scenes = new ArrayList<>();
    List<Placement> cut = state.film().placements();
    for (int i = 0; i < cut.size(); i++) {
      Shot shot = cut.get(i).hasPicture() ? known.get(cut.get(i).shot()) : null;
      String where =
          shot == null ? "" : shot.wantedIn(story).map(StoryShot::where).orElse("").strip();
      if (!where.isEmpty()) {
        scenes.add(new Chapters.Chapter(state.cutting().frames().get(i), capital(where)));
      }
    }
    return Chapters.of(scenes, state.production().rate()).joined(state.cutting().length());
  }

  private static String capital(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  /** What is said of pictures and voices that are generated; "" if the sheet says nothing of it. */
  String disclosure(FilmState state, ReleaseSheet sheet) {
    Story story = stories.state(state.production().id()).story();
    return sheet.generated()
        ? ReleaseSheet.disclosure(/* pictures= */ true, assets.voices(state, story))
        : "";
  }

  /** The description as it is published: with chapters and disclosure under it. */
  String description(FilmState state, ReleaseSheet sheet) {
    Chapters chapters = chapters(state);
    return Stream.of(
            sheet.description().strip(),
            sheet.chapters() && chapters.list().size() > 1 ? chapters.text() : "",
            disclosure(state, sheet))
        .filter(part -> !part.isEmpty())
        .collect(Collectors.joining("\n\n"));
  }

  /**
   * What a file of a part of the film says of itself.
   *
   * @param part frames of the film
   */
  public Tags tags(FilmState state, FrameRange part) {
    ReleaseSheet sheet = sheet(state.production().id());
    FrameRate rate = state.production().rate();
    List<Tags.Chapter> marks = new ArrayList<>();
    List<Chapters.Chapter> chapters =
        sheet.chapters() ? chapters(state).list() : List.<Chapters.Chapter>of();
    for (int i = 0; i < chapters.size() && chapters.size() > 1; i++) {
      long end = i + 1 < chapters.size() ? chapters.get(i + 1).start() : state.cutting().length();
      String name = chapters.get(i).name();
      new FrameRange(chapters.get(i).start(), Math.max(end, chapters.get(i).start()))
          .intersect(part)
          .filter(seen -> !seen.isEmpty())
          .map(seen -> seen.shift(-part.start()))
          .ifPresent(
              seen ->
                  marks.add(
                      new Tags.Chapter(
                          Math.round(1000 * rate.secondsOf(seen.start())),
                          Math.round(1000 * rate.secondsOf(seen.end())),
                          name)));
    }
    OptionalLong cover =
        sheet.thumbnail().stream()
            .filter(frame -> part.contains(frame))
            .mapToLong(frame -> Math.round(1000 * rate.secondsOf(frame - part.start())))
            .findFirst();
    return new Tags(sheet.title(), disclosure(state, sheet), "eng", marks, cover);
  }
}
