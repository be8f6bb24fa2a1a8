package app.latethistle.core.type;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;
import java.util.List;
import java.util.function.LongUnaryOperator;

/**
 * A caption in its time.
 *
 * @param lines as they are broken
 * @param lettering how they are set
 * @param box where they stand in this shape: the bottom of the last line
 * @param marked the colour of the word that is spoken: red, green, blue in 24 bits
 * @param range the frames it stands
 * @param spoken the first frame of each of its words, from which it is marked; empty for none
 */
public record WrittenCaption(
    List<String> lines,
    Lettering lettering,
    Box box,
    int marked,
    FrameRange range,
    List<Long> spoken)
    implements Writing {
  public WrittenCaption {
    lines = List.copyOf(lines);
    spoken = List.copyOf(spoken);
  }

  /** The place of the word that is spoken, from 0; -1 for none. */
  int spokenAt(long frame) {
    int word = -1;
    while (word + 1 < spoken.size() && spoken.get(word + 1) <= frame) {
      word++;
    }
    return word;
  }

  /** The same elsewhere. */
  WrittenCaption in(Box other) {
    return new WrittenCaption(lines, lettering, other, marked, range, spoken);
  }

  @Override
  public WrittenCaption at(LongUnaryOperator to) {
    return new WrittenCaption(
        lines,
        lettering,
        box,
        marked,
        new FrameRange(to.applyAsLong(range.start()), to.applyAsLong(range.end())),
        spoken.stream().map(to::applyAsLong).toList());
  }

  @Override
  public void writeKey(KeyWriter key, FrameRange part) {
    range
        .intersect(part)
        .ifPresent(
            seen -> {
              key.put("caption").put(lines.size());
              lines.forEach(key::put);
              WritingKeys.put(key, lettering, box);
              key.put(seen.start() - part.start()).put(seen.length());
              if (!spoken.isEmpty()) {
                key.put(marked).put(spoken.size());
                // What was spoken before the part looks the same however long ago it was.
                spoken.forEach(s -> key.put(Math.max(-1, s - part.start())));
              }
            });
  }
}
