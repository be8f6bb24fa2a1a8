package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.look.Framing;
import app.latethistle.core.measure.CameraTravel;
import app.latethistle.core.measure.FocusFinder;
import app.latethistle.core.measure.Light;
import app.latethistle.core.measure.LightCourse;
import app.latethistle.core.measure.PlaceTracker;
import app.latethistle.core.measure.Trail;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.people.FaceFinder;
import app.latethistle.core.people.FaceFocus;
import app.latethistle.core.people.SeenFace;
import app.latethistle.core.picture.Backing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Framer;
import app.latethistle.core.picture.MeanColours;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.subject.FirstOutline;
import app.latethistle.core.subject.Guide;
import app.latethistle.core.subject.Silhouette;
import app.latethistle.core.subject.SoftEdge;
import app.latethistle.core.subject.SubjectCut;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.type.Faces;
import app.latethistle.media.ContentStore;
import app.latethistle.media.Jpeg;
import app.latethistle.media.MadeOnce;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.ProxyFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Pictures of takes from their light copies. */
@Component
public class Pictures {
  /** Indexes that are kept; one of a minute takes 12 kB. */
  private static final int KNOWN = 2000;

  private final ProxyPaths paths;
  private final Media media;
  private final ContentStore store;
  private final ColourTables tables;
  private final OwnFaces faces;
  private final Kept<String, ProxyFile> known = new Kept<>(KNOWN);
  private final MadeOnce made = new MadeOnce();

  Pictures(ProxyPaths paths, Media media, ContentStore store, ColourTables tables, OwnFaces faces) {
    this.faces = faces;
    this.tables = tables;
    this.paths = paths;
    this.media = media;
    this.store = store;
  }

  /** Frames of takes at a rate, for the compositor. */
  public PictureSource at(FrameRate rate) {
    return new PictureSource() {
      @Override
      public Reader open(String hash, FrameRange frames, Optional<Wish> wish) throws IOException {
        return proxy(hash, rate).reader(frames);
      }

      @Override
      public Faces faces() {
        return faces.all();
      }

      @Override
      public GivenTable table(String file) throws IOException {
        return tables.of(file);
      }
    };
  }

  /**
   * One frame of a take as a JPEG.
   *
   * @param height in pixels; the width follows the take's shape
   */
  public byte[] jpeg(String hash, FrameRate rate, long frame, int height) throws IOException {
    ProxyFile proxy = proxy(hash, rate);
    int h = Math.min(height, proxy.shape().height()) / 2 * 2;
    int w = Math.max(2, (int) Math.round(h * proxy.shape().aspect() / 2) * 2);
    try (PictureSource.Reader reader = proxy.reader(new FrameRange(frame, frame + 1))) {
      Frame small = new Frame(w, h);
      Framer.of(proxy.shape(), w, h, Framing.FILL).draw(reader.next(), small);
      return Jpeg.encode(small, 0.86f);
    }
  }

  /** Mean colours of one frame of a take. */
  public List<Float> meanColours(String hash, FrameRate rate, long frame) throws IOException {
    return MeanColours.of(proxy(hash, rate).frame(frame));
  }

  /** The colour of the backing in a frame of a take, as 0xRRGGBB; empty if it has none. */
  public Optional<Integer> backing(String hash, FrameRate rate, long frame) {
    return reading(hash, rate, proxy -> Backing.of(proxy.frame(frame)));
  }

  /** Something that is worked out from the pictures of a take. */
  @FunctionalInterface
  private interface Working<T> {
    T on(ProxyFile proxy) throws IOException;
  }

  /**
   * Works something out from a take's pictures.
   *
   * @throws UncheckedIOException if they cannot be read
   */
  private <T> T reading(String hash, FrameRate rate, Working<T> working) {
    try {
      return working.on(proxy(hash, rate));
    } catch (IOException e) {
      throw new UncheckedIOException("The pictures of a take could not be read.", e);
    }
  }

  /** How wide pictures are in which it is looked for what matters; enough to tell where. */
  private static final int LOOKED_AT = 96;

  /** In how many of the frames faces are looked for. */
  private static final int FACES_IN = 3;

  /** What matters in some frames of a take: faces, if there are any; empty if nothing does. */
  public Optional<FocusFinder.Found> focus(String hash, FrameRate rate, List<Long> frames) {
    return reading(
        hash,
        rate,
        proxy -> {
          Optional<FocusFinder.Found> faces = faces(proxy, frames);
          return faces.isPresent() ? faces : standingOut(proxy, frames);
        });
  }

  private static Optional<FocusFinder.Found> faces(ProxyFile proxy, List<Long> frames)
      throws IOException {
    List<List<SeenFace>> faces = new ArrayList<>();
    for (int i = 0; i < FACES_IN; i++) {
      faces.add(FaceFinder.in(proxy.frame(frames.get((frames.size() - 1) * i / (FACES_IN - 1)))));
    }
    return FaceFocus.of(faces);
  }

  private static Optional<FocusFinder.Found> standingOut(ProxyFile proxy, List<Long> frames)
      throws IOException {
    int w = LOOKED_AT;
    int h = Math.max(2, (int) Math.round(w / proxy.shape().aspect() / 2) * 2);
    // Chroma is half as fine, so the frame is twice as large as what is looked at.
    Frame small = new Frame(2 * w, 2 * h);
    Frame luma = new Frame(w, h);
    Framer framer = Framer.of(proxy.shape(), small.width(), small.height(), Framing.FILL);
    Framer halved = Framer.of(proxy.shape(), luma.width(), luma.height(), Framing.FILL);
    FocusFinder finder = new FocusFinder(luma.width(), luma.height());
    for (long at : frames) {
      Frame frame = proxy.frame(at);
      framer.draw(frame, small);
      halved.draw(frame, luma);
      finder.add(
          Arrays.copyOfRange(luma.data(), 0, luma.offset(1)),
          Arrays.copyOfRange(small.data(), small.offset(1), small.offset(2)),
          Arrays.copyOfRange(small.data(), small.offset(2), small.data().length));
    }
    return finder.found();
  }

  /** The longer side of pictures whose colours are looked at. */
  private static final int COLOURS_AT = 360;

  /** Some frames of a take in colour, small. */
  public List<ColourPicture> colours(String hash, FrameRate rate, List<Long> frames) {
    return reading(hash, rate, proxy -> colours(proxy, frames));
  }

  private static List<ColourPicture> colours(ProxyFile proxy, List<Long> frames)
      throws IOException {
    List<ColourPicture> pictures = new ArrayList<>();
    for (long at : frames) {
      pictures.add(ColourPicture.of(proxy.frame(at)).atMost(COLOURS_AT));
    }
    return pictures;
  }

  /** What strokes on a frame of a take find there, as a JPEG that is light where the subject is. */
  public byte[] outline(String hash, FrameRate rate, Guide guide) {
    return reading(
        hash,
        rate,
        proxy -> {
          Frame frame = proxy.frame(guide.frame());
          ColourPicture small = ColourPicture.of(frame).atMost(SubjectCut.SMALL);
          Silhouette found = FirstOutline.of(small, guide);
          return Jpeg.encode(new SoftEdge(frame.width(), frame.height()).of(frame, found), 0.8f);
        });
  }

  /**
   * Where a place of a take that is pointed at in a frame goes in some others; in a still it stays.
   *
   * @throws IllegalArgumentException if there is nothing there that is known again
   */
  public Trail trail(
      String hash, FrameRate rate, long marked, double x, double y, FrameRange frames) {
    return reading(
        hash,
        rate,
        proxy -> {
          Frame first = proxy.frame(marked);
          PlaceTracker tracker =
              new PlaceTracker(
                  at -> Arrays.copyOf(proxy.frame(at).data(), first.offset(1)),
                  first.width(),
                  first.height());
          if (proxy.frames() == 1) {
            return new Trail(0, List.of(Trail.Spot.of(x, y)));
          }
          Trail trail = tracker.follow(marked, x, y, frames);
          if (trail.spots().size() == 1 && frames.length() > 1) {
            throw new Refused(
                "There is nothing to hold on to there; point at something with an edge or a"
                    + " pattern.");
          }
          return trail;
        });
  }

  /** How wide pictures are in which a camera's travel is followed. */
  private static final int FOLLOWED_AT = 320;

  /** How the camera moved from the first of some frames of a take to each of them. */
  public List<Travel> travel(String hash, FrameRate rate, List<Long> frames) {
    return reading(hash, rate, proxy -> travel(proxy, frames));
  }

  private static List<Travel> travel(ProxyFile proxy, List<Long> frames) throws IOException {
    int h = Math.max(2, (int) Math.round(FOLLOWED_AT / proxy.shape().aspect() / 2) * 2);
    Frame small = new Frame(FOLLOWED_AT, h);
    Framer framer = Framer.of(proxy.shape(), FOLLOWED_AT, h, Framing.FILL);
    CameraTravel travel = new CameraTravel(FOLLOWED_AT, h);
    for (long at : frames) {
      framer.draw(proxy.frame(at), small);
      travel.add(Arrays.copyOf(small.data(), small.offset(1)));
    }
    return travel.fromFirst();
  }

  /** The light of each of some frames of a take that follow each other. */
  public List<Light> light(String hash, FrameRate rate, FrameRange frames) {
    return reading(hash, rate, proxy -> light(proxy, frames));
  }

  private static List<Light> light(ProxyFile proxy, FrameRange frames) throws IOException {
    int h = Math.max(4, (int) Math.round(FOLLOWED_AT / proxy.shape().aspect() / 4) * 4);
    Frame small = new Frame(FOLLOWED_AT, h);
    Framer framer = Framer.of(proxy.shape(), FOLLOWED_AT, h, Framing.FILL);
    LightCourse course = new LightCourse(FOLLOWED_AT, h);
    try (PictureSource.Reader reader = proxy.reader(frames)) {
      for (long i = 0; i < frames.length(); i++) {
        framer.draw(reader.next(), small);
        course.add(
            Arrays.copyOf(small.data(), small.offset(1)),
            Arrays.copyOfRange(small.data(), small.offset(1), small.offset(2)),
            Arrays.copyOfRange(small.data(), small.offset(2), small.data().length));
      }
    }
    return course.lights();
  }

  /** Pictures in a strip, and in each of its rows. */
  private static final int STRIP = 24;

  private static final int STRIP_ROW = 8;
  private static final int STRIP_HEIGHT = 112;

  /** Pictures from all over a take in rows of eight, as a JPEG. */
  public byte[] strip(String hash, FrameRate rate, long frames) throws IOException {
    ProxyFile proxy = proxy(hash, rate);
    int h = STRIP_HEIGHT;
    int w = Math.max(2, (int) Math.round(h * proxy.shape().aspect() / 2) * 2);
    Frame sheet = new Frame(w * STRIP_ROW, h * (STRIP / STRIP_ROW));
    Framer framer = Framer.of(proxy.shape(), w, h, Framing.FILL);
    Frame small = new Frame(w, h);
    for (int i = 0; i < STRIP; i++) {
      framer.draw(proxy.frame(i * Math.max(0, frames - 1) / (STRIP - 1)), small);
      sheet.paste(small, i % STRIP_ROW * w, i / STRIP_ROW * h);
    }
    return Jpeg.encode(sheet, 0.8f);
  }

  private ProxyFile proxy(String hash, FrameRate rate) throws IOException {
    String key = hash + " " + rate;
    Optional<ProxyFile> proxy = known.get(key);
    if (proxy.isPresent()) {
      return proxy.get();
    }
    ProxyFile opened = opened(hash, rate);
    known.put(key, opened);
    return opened;
  }

  /** A light copy's index; the copy is made again from its original if it is not there. */
  private ProxyFile opened(String hash, FrameRate rate) throws IOException {
    MediaFacts facts =
        media
            .findById(hash)
            .orElseThrow(() -> new IOException("The file of a take is not in the store any more."))
            .facts();
    Path copy = paths.of(hash, rate);
    made.get(copy, to -> make(hash, facts, rate, to));
    return ProxyFile.open(copy, ProxyFile.shapeOf(facts.shape().orElseThrow()));
  }

  private void make(String hash, MediaFacts facts, FrameRate rate, Path copy) throws IOException {
    Path original = store.path(hash);
    if (!Files.exists(original)) {
      throw new IOException(
          "The file of a take is gone from the store; bring it in again in Takes.");
    }
    ProxyFile.make(original, facts, rate, copy, done -> {});
  }
}
