package app.latethistle.server.preview;

import app.latethistle.core.Refused;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.look.Shape;
import app.latethistle.core.marks.SeenFocus;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.render.FilmWritings;
import app.latethistle.core.render.Layer;
import app.latethistle.core.render.Program;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Legibility;
import app.latethistle.core.type.PublisherRoom;
import app.latethistle.core.type.ReadingAid;
import app.latethistle.core.type.WrittenTitle;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.SafeArea;
import app.latethistle.core.words.TitleKind;
import app.latethistle.core.words.Zone;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.Kept;
import app.latethistle.server.material.OwnFaces;
import io.swagger.v3.oas.annotations.media.Schema;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Whether a title can be read where it stands, measured on the very frames behind it. */
@ServerOnly
@Component
public class TitleSights {
  /** Frames that are looked at, over all in which it stands whole. */
  private static final int LOOKED_AT = 6;

  private static final int KEPT = 200;

  private final PreviewService previews;
  private final OwnFaces faces;
  private final FaceSights people;
  private final Kept<String, TitleSight> known = new Kept<>(KEPT);

  TitleSights(PreviewService previews, OwnFaces faces, FaceSights people) {
    this.faces = faces;
    this.people = people;
    this.previews = previews;
  }

  /**
   * How a title can be read.
   *
   * @param needed contrast that is needed
   * @param least of the worst letter, in the worst tenth of its pixels, over all frames
   * @param median of the letter in the middle of them all
   * @param frames that were looked at
   * @param outside the safe area, in lines of a picture 1080 high; 0 if it is inside
   * @param over shots whose focus it lies over, by their ids
   * @param covers whether it lies over somebody's face; not asked of what goes behind layers
   * @param crowds whether it lies where its publisher lays things
   * @param area what it takes up
   */
  public record TitleSight(
      double needed,
      double least,
      double median,
      List<Long> frames,
      double outside,
      List<String> over,
      boolean covers,
      boolean crowds,
      SightBox area,
      List<SightLetter> letters,
      List<SightRemedy> remedies) {
    /** Whether it stands where words are seen, over nothing that is not to be covered. */
    private static boolean clear(TitleSight sight) {
      return sight.outside < 1 && sight.over.isEmpty() && !sight.covers && !sight.crowds;
    }
  }

  /** A place on the picture, in thousandths of its width and height. */
  public record SightBox(int x, int y, int width, int height) {
    static SightBox of(Rectangle2D box, Frame frame) {
      return new SightBox(
          (int) Math.round(1000 * box.getX() / frame.width()),
          (int) Math.round(1000 * box.getY() / frame.height()),
          (int) Math.round(1000 * box.getWidth() / frame.width()),
          (int) Math.round(1000 * box.getHeight() / frame.height()));
    }
  }

  public record SightLetter(String text, double ratio, SightBox box) {}

  /**
   * What helps.
   *
   * @param lettering how the title is then set; null if as now
   * @param box where it then stands; null if where it does now
   * @param ratio the least contrast then
   */
  public record SightRemedy(
      ReadingAid.Kind kind,
      @Schema(nullable = true) Lettering lettering,
      @Schema(nullable = true) Box box,
      double ratio) {}

  /**
   * How a title can be read; of one that turns, its page that can be read worst.
   *
   * @param other the shape it is seen in; empty for the film's own
   */
  public TitleSight of(FilmState state, FilmTitle found, Optional<Shape> other) throws IOException {
    FilmState without = state.withoutTitle(found.id());
    Program program = previews.program(without, other);
    Optional<Shape> foreign = other.filter(s -> !s.equals(state.shape()));
    Shape shape = Shape.of(program.width(), program.height());
    SafeArea safe = state.film().safe().of(other.orElseGet(state::shape));
    List<TitleSight> pages = new ArrayList<>();
    FilmWritings writings = new FilmWritings(state.resolved(), foreign, shape);
    for (WrittenTitle page : writings.pages(found)) {
      List<Long> frames = frames(page, program.length());
      FrameRange seen = new FrameRange(frames.get(0), frames.get(frames.size() - 1) + 1);
      Pictures pictures =
          new Pictures(
              program,
              writings.picture(found, page).map(letters -> of(program, letters)),
              found.layer() == FilmTitle.TOP);
      pages.add(
          page(pictures, page, frames, SeenFocus.in(state.resolved(), foreign, shape, seen), safe));
    }
    return pages.stream()
        .min(
            Comparator.comparing(TitleSight::clear)
                .thenComparingDouble(sight -> sight.least() / sight.needed()))
        .orElseThrow(
            () -> new Refused("What this title is tied to is not in the film; land it anew."));
  }

  /**
   * What is seen of a page.
   *
   * @param behind the film without the title
   * @param letters what is seen in its letters, in the film's frames
   * @param overAll whether it lies over all of that
   */
  private record Pictures(Program behind, Optional<Program> letters, boolean overAll) {}

  private static Program of(Program film, Layer.Part letters) {
    return new Program(
        new Layer.Sequence(List.of(letters)),
        film.length(),
        film.rate(),
        film.width(),
        film.height());
  }

  private TitleSight page(
      Pictures pictures,
      WrittenTitle written,
      List<Long> frames,
      List<SeenFocus> focuses,
      SafeArea safe)
      throws IOException {
    KeyWriter key = new KeyWriter();
    FrameRange seen = new FrameRange(frames.get(0), frames.get(frames.size() - 1) + 1);
    key.put(pictures.behind.key(seen));
    pictures.letters.ifPresent(letters -> key.put(letters.key(seen)));
    key.put(pictures.overAll ? 1 : 0);
    for (SeenFocus focus : focuses) {
      key.put(focus.shot()).put(focus.place().left()).put(focus.place().top());
      key.put(focus.place().right()).put(focus.place().bottom());
    }
    key.put(safe.left()).put(safe.top()).put(safe.right()).put(safe.bottom());
    for (Zone zone : safe.zones()) {
      key.put(zone.left()).put(zone.top()).put(zone.right()).put(zone.bottom());
    }
    written.writeKey(key, seen);
    String name = key.hash();
    Optional<TitleSight> before = known.get(name);
    if (before.isPresent()) {
      return before.get();
    }
    TitleSight now = measured(pictures, written, frames, focuses, safe);
    known.put(name, now);
    return now;
  }

  private TitleSight measured(
      Pictures pictures,
      WrittenTitle written,
      List<Long> frames,
      List<SeenFocus> focuses,
      SafeArea safe)
      throws IOException {
    Program program = pictures.behind;
    List<Frame> without = previews.frames(program, frames);
    List<Frame> within =
        pictures.letters.isEmpty() ? List.of() : previews.frames(pictures.letters.get(), frames);
    List<ReadingAid.Behind> behind = new ArrayList<>();
    for (int i = 0; i < without.size(); i++) {
      behind.add(
          new ReadingAid.Behind(
              frames.get(i),
              without.get(i),
              within.isEmpty() ? Optional.empty() : Optional.of(within.get(i))));
    }
    Shape shape = Shape.of(program.width(), program.height());
    List<Rectangle2D> someone = pictures.overAll ? faces(program, frames, without) : List.of();
    List<Rectangle2D> room = new ArrayList<>(safe.parts());
    if (written.words().kind() == TitleKind.END) {
      room.addAll(PublisherRoom.of(shape));
    }
    ReadingAid aid =
        new ReadingAid(
            faces.all(),
            behind,
            Stream.of(room, someone, focuses.stream().map(SeenFocus::part).toList())
                .flatMap(List::stream)
                .toList(),
            safe);
    Legibility now = aid.measure(written);
    Frame frame = behind.get(0).frame();
    double outside = aid.outside(written);
    List<String> over =
        focuses.stream()
            .filter(focus -> aid.covers(written, focus.part()))
            .map(SeenFocus::shot)
            .distinct()
            .toList();
    boolean covers = someone.stream().anyMatch(part -> aid.covers(written, part));
    boolean crowds = room.stream().anyMatch(part -> aid.covers(written, part));
    boolean stands = outside < 1 && over.isEmpty() && !covers && !crowds;
    return new TitleSight(
        now.needed(),
        now.least(),
        now.median(),
        frames,
        outside * 1080 / Math.min(frame.width(), frame.height()),
        over,
        covers,
        crowds,
        SightBox.of(aid.box(written), frame),
        now.letters().stream()
            .map(l -> new SightLetter(l.text(), l.ratio(), SightBox.of(l.box(), frame)))
            .toList(),
        now.suffices() && stands ? List.of() : remedies(aid, written, now));
  }

  /** Where faces are in any of some frames. */
  private List<Rectangle2D> faces(Program program, List<Long> frames, List<Frame> drawn)
      throws IOException {
    return people.in(program, frames, drawn).stream()
        .flatMap(List::stream)
        .map(face -> face.place().part())
        .toList();
  }

  private static List<SightRemedy> remedies(ReadingAid aid, WrittenTitle title, Legibility now) {
    return aid.remedies(title, now).stream()
        .map(
            r ->
                new SightRemedy(
                    r.kind(),
                    r.lettering().equals(title.lettering()) ? null : r.lettering(),
                    r.box().equals(title.box()) ? null : r.box(),
                    r.ratio()))
        .toList();
  }

  /** Some of the frames in which it stands whole, as far as the film goes. */
  private static List<Long> frames(WrittenTitle title, long length) {
    long from = Math.max(0, Math.min(length - 1, title.landing()));
    long to = Math.max(from + 1, Math.min(length, title.leaves()));
    long count = Math.min(LOOKED_AT, to - from);
    List<Long> frames = new ArrayList<>();
    for (long i = 0; i < count; i++) {
      frames.add(from + i * (to - 1 - from) / Math.max(1, count - 1));
    }
    return frames;
  }
}
