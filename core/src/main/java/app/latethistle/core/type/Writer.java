package app.latethistle.core.type;

import app.latethistle.core.measure.Trail;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.words.ArrivalKind;
import app.latethistle.core.words.Fill;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.TitleWords;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Writes on frames. What a frame shows follows from the writing and the frame's number alone; words
 * that stand still are drawn once. Not for use by two threads at once.
 */
public final class Writer {
  /** How soft letters are at first that clear, in their size (no source). */
  private static final double SOFT = 0.25;

  /** How far letters reach out of their line, in their size, at most (no source). */
  private static final double OVERHANG = 0.15;

  private final Faces faces;
  private final int width;
  private final int height;
  private final IdentityHashMap<Writing, Ink> still = new IdentityHashMap<>();
  private final IdentityHashMap<Writing, Integer> spoken = new IdentityHashMap<>();
  private final Map<TitleWords, SetText> set = new HashMap<>();
  private WrittenTitle setFor;
  private Brush brush;

  /**
   * @param width of the frames, even
   * @param height even
   */
  public Writer(Faces faces, int width, int height) {
    this.faces = faces;
    this.width = width;
    this.height = height;
  }

  /** Writes on a frame what is seen in it. */
  public void draw(Writing writing, long number, Frame frame) {
    if (writing.range().contains(number)) {
      ink(writing, number).over(frame);
    }
  }

  /**
   * Writes on a frame in letters of a picture.
   *
   * @param picture as large as the frame; letters show what of it lies where they stand
   */
  public void draw(Writing writing, long number, Frame frame, Frame picture) {
    if (writing.range().contains(number)) {
      brush().fillWith(picture);
      Brush drawn = drawn(writing, number);
      drawn.fillWithColour();
      drawn.ink().over(frame);
    }
  }

  /** A writing alone, over nothing, in one of the frames in which it is seen. */
  public BufferedImage picture(Writing writing, long number) {
    return drawn(writing, number).picture();
  }

  private Brush drawn(Writing writing, long number) {
    return writing instanceof WrittenCaption caption
        ? drawn(caption, caption.spokenAt(number))
        : drawn((WrittenTitle) writing, number);
  }

  /** What a title takes up in a frame, as it has arrived. */
  public SetText set(WrittenTitle title, long number) {
    TitleWords words = title.words().counts() ? title.words().counted(1) : title.words();
    return set(title, words, number);
  }

  /** What a caption takes up. */
  public SetText set(WrittenCaption caption) {
    return SetText.onBottom(
        caption.lines(), caption.lettering(), caption.box(), width, height, faces);
  }

  /**
   * Whether a title that has arrived can be read over what is behind it. Nothing is asked of
   * logotypes (WCAG 2.2, success criterion 1.4.3).
   *
   * @param number of the frame
   * @param behind the frame without it, on which its plate and shadow are drawn
   */
  public Legibility legibility(WrittenTitle title, long number, Frame behind) {
    if (logotype(title).isPresent()) {
      return Legibility.NOT_ASKED;
    }
    SetText text = set(title, number);
    Lettering how = title.lettering();
    if (how.fill() == Fill.FILM) {
      return Legibility.of(behind, text, how.plate().colour());
    }
    Brush to = brush();
    for (SetLine line : text.lines()) {
      for (Letter letter : line.shaped().letters()) {
        draw(to, title, line, letter, Pose.THERE, new Point2D.Double(), new AffineTransform());
      }
    }
    to.shadow(how.shadow(), text.letterSize(), true);
    to.plate(how.plate(), text, 1);
    to.ink().over(behind);
    return Legibility.of(behind, text, how.colour());
  }

  private SetText set(WrittenTitle title, TitleWords words, long frame) {
    if (!title.equals(setFor)) {
      set.clear();
      setFor = title;
    }
    Trail.Place gone = title.along().at(frame);
    return set.computeIfAbsent(
            words, w -> SetText.of(w, title.lettering(), title.box(), width, height, faces))
        .moved(gone.x() * width, gone.y() * height);
  }

  private Ink ink(Writing writing, long frame) {
    if (writing instanceof WrittenCaption caption) {
      int word = caption.spokenAt(frame);
      if (!Integer.valueOf(word).equals(spoken.put(caption, word))) {
        still.put(caption, drawn(caption, word).ink());
      }
      return still.get(caption);
    }
    WrittenTitle title = (WrittenTitle) writing;
    return title.isStill(frame)
        ? still.computeIfAbsent(title, t -> drawn(title, frame).ink())
        : drawn(title, frame).ink();
  }

  private Brush brush() {
    if (brush == null) {
      brush = new Brush(width, height);
    }
    brush.clear();
    return brush;
  }

  private Brush drawn(WrittenTitle title, long frame) {
    TitleWords words =
        title.words().counts() ? title.words().counted(title.counted(frame)) : title.words();
    SetText text = set(title, words, frame);
    Brush to = brush();
    Optional<Logotype> logotype = logotype(title);
    logotype.ifPresent(to::fillWith);
    boolean film = title.lettering().fill() == Fill.FILM;
    Entering entering = new Entering(title, text, frame);
    if (film) {
      to.plate(title.lettering().plate(), text, entering.mean());
    }
    AffineTransform rolled = AffineTransform.getTranslateInstance(0, rolled(title, text, frame));
    int index = 0;
    for (SetLine line : text.lines()) {
      for (Letter letter : line.shaped().letters()) {
        Pose pose = entering.pose(index++);
        if (pose.opacity() > 0) {
          draw(to, title, line, letter, pose, entering.middle(index - 1), rolled);
        }
      }
    }
    if (!film) {
      to.shadow(title.lettering().shadow(), text.letterSize(), false);
    }
    boolean clears =
        title.movement().in().kind() == ArrivalKind.CLEAR
            || title.movement().out().kind() == ArrivalKind.CLEAR;
    if (clears && entering.mean() < 1) {
      to.blur(SOFT * text.letterSize() * (1 - entering.mean()));
    }
    if (!film) {
      to.plate(title.lettering().plate(), text, entering.mean());
    }
    if (logotype.isPresent()) {
      to.fillWithColour();
    }
    return to;
  }

  private Optional<Logotype> logotype(WrittenTitle title) {
    return faces.logotype(title.lettering().face().family());
  }

  private void draw(
      Brush to,
      WrittenTitle title,
      SetLine line,
      Letter letter,
      Pose pose,
      Point2D middle,
      AffineTransform rolled) {
    double size = line.size();
    Rectangle2D box = line.box();
    double off = line.x() + letter.x() + letter.advance() / 2 - box.getCenterX();
    AffineTransform place = new AffineTransform(rolled);
    place.translate(pose.right() * size + pose.spread() * off, pose.down() * size);
    if (pose.size() != 1) {
      place.translate(middle.getX(), middle.getY());
      place.scale(pose.size(), pose.size());
      place.translate(-middle.getX(), -middle.getY());
    }
    place.translate(line.x(), line.y());
    if (pose.shown() < 1) {
      double reach = box.getWidth() + 2 * OVERHANG * size;
      double shown = pose.shown() * reach;
      double from = box.getX() - OVERHANG * size;
      double left = line.shaped().leftwards() ? from + reach - shown : from;
      to.within(new Rectangle2D.Double(left, box.getY() - size, shown, box.getHeight() + 2 * size));
    }
    Shape outline = place.createTransformedShape(letter.outline());
    to.letter(outline, title.lettering(), size, title.lettering().colour(), pose);
    if (pose.shown() < 1) {
      to.within(null);
    }
  }

  /** How far down a title is that runs up through the picture. */
  private double rolled(WrittenTitle title, SetText text, long frame) {
    if (!title.movement().rolls()) {
      return 0;
    }
    Rectangle2D box = text.box();
    long over = Math.max(1, title.range().end() - title.landing());
    double share = (frame - title.landing() + 0.5) / over;
    double from = height - box.getY();
    double to = -box.getMaxY();
    return from + (to - from) * share;
  }

  private Brush drawn(WrittenCaption caption, int spokenWord) {
    SetText text = set(caption);
    Brush to = brush();
    int before = 0;
    for (SetLine line : text.lines()) {
      for (Letter letter : line.shaped().letters()) {
        int word = before + Units.wordAt(line.shaped().text(), letter.at());
        boolean marked = word == spokenWord && !caption.spoken().isEmpty();
        to.letter(
            AffineTransform.getTranslateInstance(line.x(), line.y())
                .createTransformedShape(letter.outline()),
            caption.lettering(),
            line.size(),
            marked ? caption.marked() : caption.lettering().colour(),
            Pose.THERE);
      }
      before += Units.words(line.shaped().text());
    }
    to.shadow(caption.lettering().shadow(), text.letterSize(), false);
    to.plate(caption.lettering().plate(), text, 1);
    return to;
  }
}
