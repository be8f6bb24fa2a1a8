package app.latethistle.core.type;

import app.latethistle.core.caption.LineBreaks;
import app.latethistle.core.caption.Sense;
import app.latethistle.core.words.Align;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Sets lines in one box: each paragraph broken into lines of like length, smaller where a word is
 * wider than the box.
 */
final class Typesetter {
  /** The gap between the two columns of credits, as a share of the letters. */
  private static final double GUTTER = 0.6;

  private static final int MOST_LINES = 200;

  private final Lettering lettering;
  private final Box box;
  private final int width;
  private final int height;
  private final Faces faces;
  private final double size;
  private final double room;

  Typesetter(Lettering lettering, Box box, int width, int height, Faces faces) {
    this.lettering = lettering;
    this.box = box;
    this.width = width;
    this.height = height;
    this.faces = faces;
    size = SetText.size(lettering, width, height);
    room = box.width() * width / 1000.0;
  }

  /** Paragraphs, each broken; where they stand is said later. */
  List<LooseLine> block(String text, double share) {
    List<List<String>> paragraphs = text.lines().map(WordBreaks::pieces).toList();
    double set = size * share;
    double widest =
        paragraphs.stream()
            .flatMap(List::stream)
            .mapToDouble(p -> shaper(size * share).shape(p.strip()).width())
            .max()
            .orElse(0);
    if (widest > room) {
      set *= room / widest;
    }
    Shaper shaper = shaper(set);
    List<LooseLine> lines = new ArrayList<>();
    for (List<String> pieces : paragraphs) {
      for (String line : broken(pieces, shaper)) {
        lines.add(LooseLine.of(shaper.shape(line), set));
      }
    }
    return lines;
  }

  /** A logotype in place of words; smaller where it would be wider than the box. */
  List<LooseLine> line(Logotype logotype, String words) {
    double wide = logotype.line(words, size).width();
    double set = wide > room ? size * room / wide : size;
    return List.of(LooseLine.of(logotype.line(words, set), set));
  }

  /** Lines that are broken already. */
  List<LooseLine> asBroken(List<String> broken) {
    Shaper shaper = shaper(size);
    double widest = broken.stream().mapToDouble(l -> shaper.shape(l).width()).max().orElse(0);
    double set = widest > room ? size * room / widest : size;
    Shaper fitting = shaper(set);
    return broken.stream().map(line -> LooseLine.of(fitting.shape(line), set)).toList();
  }

  /** "part: name" in two columns about the box's middle; a line without ": " stands in it. */
  List<LooseLine> columns(String text) {
    double set = size;
    for (String row : text.lines().toList()) {
      String[] sides = row.split(":\\s+", 2);
      double half =
          sides.length < 2
              ? shaper(size).shape(row).width() / 2
              : Math.max(shaper(size).shape(sides[0]).width(), shaper(size).shape(sides[1]).width())
                  + GUTTER * size / 2;
      set = Math.min(set, size * Math.min(1, room / 2 / Math.max(1, half)));
    }
    Shaper shaper = shaper(set);
    double middle = box.x() * width / 1000.0;
    List<LooseLine> lines = new ArrayList<>();
    for (String row : text.lines().toList()) {
      String[] sides = row.split(":\\s+", 2);
      ShapedLine left = shaper.shape(sides[0].strip());
      if (sides.length < 2) {
        lines.add(column(left, set, middle - left.width() / 2, false));
      } else {
        double gap = GUTTER * set / 2;
        lines.add(column(left, set, middle - gap - left.width(), true));
        lines.add(column(shaper.shape(sides[1].strip()), set, middle + gap, false));
      }
    }
    return lines;
  }

  private static LooseLine column(ShapedLine line, double size, double x, boolean shares) {
    return new LooseLine(line, size, OptionalDouble.of(x), shares);
  }

  private Shaper shaper(double pixels) {
    return new Shaper(faces, lettering, pixels);
  }

  private List<String> broken(List<String> pieces, Shaper shaper) {
    double[] upTo = new double[pieces.size() + 1];
    double[] bare = new double[pieces.size()];
    for (int i = 0; i < pieces.size(); i++) {
      upTo[i + 1] = upTo[i] + shaper.shape(pieces.get(i)).width();
      bare[i] = shaper.shape(pieces.get(i).strip()).width() + upTo[i];
    }
    LineBreaks breaks =
        new LineBreaks(
            pieces.size(),
            (int) room,
            (start, end) -> (int) Math.floor(bare[end - 1] - upTo[start]),
            end -> Sense.badness(pieces.get(end - 1).strip(), pieces.get(end).strip()) / 2);
    List<Integer> starts = breaks.fewest(Math.min(pieces.size(), MOST_LINES));
    List<String> lines = new ArrayList<>();
    for (int i = 0; i < starts.size(); i++) {
      int end = i + 1 < starts.size() ? starts.get(i + 1) : pieces.size();
      lines.add(String.join("", pieces.subList(starts.get(i), end)).strip());
    }
    return lines;
  }

  /**
   * Lines one under another.
   *
   * @param anchor which part of the block's height stands on the box's place
   */
  List<SetLine> placed(List<LooseLine> lines, double anchor) {
    double leading = lettering.spacing().leading() / 100.0;
    double y = 0;
    double last = 0;
    List<SetLine> placed = new ArrayList<>();
    for (LooseLine line : lines) {
      y = placed.isEmpty() ? SetLine.ABOVE * line.size() : y + last;
      placed.add(
          new SetLine(
              line.shaped(), line.x().orElseGet(() -> left(line.shaped())), y, line.size()));
      last = line.shares() ? 0 : leading * line.size();
    }
    double block = lines.isEmpty() ? 0 : y + SetLine.BELOW * lines.get(lines.size() - 1).size();
    double top = box.y() * height / 1000.0 - anchor * block;
    return placed.stream().map(line -> line.lower(top)).toList();
  }

  /** Where a line begins; quotation marks and stops hang outside of what is aligned. */
  private double left(ShapedLine line) {
    double before = hanging(line, true);
    double after = hanging(line, false);
    double own = line.width() - before - after;
    double from = box.x() * width / 1000.0 - room / 2;
    Align align = lettering.spacing().align();
    boolean right = line.leftwards() ? align == Align.START : align == Align.END;
    if (align == Align.MIDDLE) {
      return from + (room - own) / 2 - before;
    }
    return right ? from + room - own - before : from - before;
  }

  private static double hanging(ShapedLine line, boolean before) {
    if (line.letters().size() < 2) {
      return 0;
    }
    Letter end = line.letters().get(before ? 0 : line.letters().size() - 1);
    String marks = before ? "“‘\"'«„(" : "”’\"'».,-–";
    boolean hangs = marks.indexOf(line.text().codePointAt(end.at())) >= 0;
    return hangs ? end.advance() : 0;
  }
}
