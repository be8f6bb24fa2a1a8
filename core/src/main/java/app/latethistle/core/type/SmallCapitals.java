package app.latethistle.core.type;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Small capitals that a font has of its own (OpenType's feature {@code smcp}). Java's text layout
 * cannot be asked for them, so a font is made that has them where its small letters were: kerning
 * and marks are then those of the small capitals. Tables by the OpenType specification 1.9.
 */
final class SmallCapitals {
  private static final int SMCP = tag("smcp");
  private static final int CMAP = tag("cmap");
  private static final int GSUB = tag("GSUB");

  /** Kinds of lookups: one glyph for another, and one that lies farther away. */
  private static final int SINGLE = 1;

  private static final int EXTENSION = 7;

  private final ByteBuffer font;
  private final Map<Integer, ByteBuffer> tables = new TreeMap<>();

  private SmallCapitals(byte[] bytes) {
    font = ByteBuffer.wrap(bytes);
    int count = font.getShort(4) & 0xffff;
    for (int i = 0; i < count; i++) {
      int at = 12 + 16 * i;
      tables.put(font.getInt(at), slice(font, font.getInt(at + 8), font.getInt(at + 12)));
    }
  }

  /**
   * The font with its small capitals where its small letters are; empty if it has none.
   *
   * @param font OpenType or TrueType, one font alone
   */
  static Optional<byte[]> of(byte[] font) {
    try {
      SmallCapitals of = new SmallCapitals(font);
      if (!of.tables.containsKey(GSUB) || !of.tables.containsKey(CMAP)) {
        return Optional.empty();
      }
      Map<Integer, Integer> instead = of.substitutes();
      return instead.isEmpty() ? Optional.empty() : Optional.of(of.with(instead));
    } catch (BufferUnderflowException | IndexOutOfBoundsException e) {
      // Its tables point beside the file: what else it has is drawn all the same.
      return Optional.empty();
    }
  }

  private static int tag(String name) {
    return name.charAt(0) << 24 | name.charAt(1) << 16 | name.charAt(2) << 8 | name.charAt(3);
  }

  private static ByteBuffer slice(ByteBuffer of, int from, int length) {
    return of.slice(from, length);
  }

  private static ByteBuffer from(ByteBuffer of, int offset) {
    return slice(of, offset, of.limit() - offset);
  }

  private static int at(ByteBuffer of, int offset) {
    return of.getShort(offset) & 0xffff;
  }

  /** Small capitals by the glyphs they stand for. */
  private Map<Integer, Integer> substitutes() {
    ByteBuffer table = tables.get(GSUB);
    ByteBuffer features = from(table, at(table, 6));
    ByteBuffer lookups = from(table, at(table, 8));
    Map<Integer, Integer> instead = new HashMap<>();
    for (int i = 0; i < at(features, 0); i++) {
      if (features.getInt(2 + 6 * i) == SMCP) {
        ByteBuffer feature = from(features, at(features, 6 + 6 * i));
        for (int k = 0; k < at(feature, 2); k++) {
          lookUp(from(lookups, at(lookups, 2 + 2 * at(feature, 4 + 2 * k))), instead);
        }
      }
    }
    return instead;
  }

  private static void lookUp(ByteBuffer lookup, Map<Integer, Integer> into) {
    for (int i = 0; i < at(lookup, 4); i++) {
      ByteBuffer part = from(lookup, at(lookup, 6 + 2 * i));
      int kind = at(lookup, 0);
      if (kind == EXTENSION) {
        kind = at(part, 2);
        part = from(part, part.getInt(4));
      }
      if (kind == SINGLE) {
        single(part, into);
      }
    }
  }

  private static void single(ByteBuffer part, Map<Integer, Integer> into) {
    List<Integer> covered = covered(from(part, at(part, 2)));
    for (int i = 0; i < covered.size(); i++) {
      int glyph = covered.get(i);
      int other = at(part, 0) == 1 ? glyph + part.getShort(4) & 0xffff : at(part, 6 + 2 * i);
      into.putIfAbsent(glyph, other);
    }
  }

  private static List<Integer> covered(ByteBuffer coverage) {
    List<Integer> glyphs = new ArrayList<>();
    for (int i = 0; i < at(coverage, 2); i++) {
      if (at(coverage, 0) == 1) {
        glyphs.add(at(coverage, 4 + 2 * i));
      } else {
        for (int g = at(coverage, 4 + 6 * i); g <= at(coverage, 6 + 6 * i); g++) {
          glyphs.add(g);
        }
      }
    }
    return glyphs;
  }

  /** Glyphs by the code points they are shown for. */
  private SortedMap<Integer, Integer> shown() {
    ByteBuffer table = tables.get(CMAP);
    SortedMap<Integer, Integer> shown = new TreeMap<>();
    for (int i = 0; i < at(table, 2); i++) {
      int platform = at(table, 4 + 8 * i);
      int encoding = at(table, 6 + 8 * i);
      ByteBuffer part = from(table, table.getInt(8 + 8 * i));
      boolean unicode = platform == 0 || (platform == 3 && (encoding == 1 || encoding == 10));
      if (unicode && at(part, 0) == 12) {
        groups(part, shown);
      } else if (unicode && at(part, 0) == 4) {
        segments(part, shown);
      }
    }
    return shown;
  }

  private static void groups(ByteBuffer part, Map<Integer, Integer> into) {
    for (int i = 0; i < part.getInt(12); i++) {
      int at = 16 + 12 * i;
      for (int c = part.getInt(at); c <= part.getInt(at + 4); c++) {
        into.putIfAbsent(c, part.getInt(at + 8) + c - part.getInt(at));
      }
    }
  }

  private static void segments(ByteBuffer part, Map<Integer, Integer> into) {
    int twice = at(part, 6);
    for (int i = 0; i < twice; i += 2) {
      int end = at(part, 14 + i);
      int start = at(part, 16 + twice + i);
      int delta = at(part, 16 + 2 * twice + i);
      int here = 16 + 3 * twice + i;
      int range = at(part, here);
      for (int c = start; c <= end && c < 0xffff; c++) {
        int glyph = range == 0 ? c : at(part, here + range + 2 * (c - start));
        if (glyph != 0) {
          into.putIfAbsent(c, glyph + delta & 0xffff);
        }
      }
    }
  }

  /** The font with glyphs in place of its small letters'. */
  private byte[] with(Map<Integer, Integer> instead) {
    SortedMap<Integer, Integer> shown = shown();
    shown.replaceAll(
        (point, glyph) ->
            Character.isLowerCase(point) ? instead.getOrDefault(glyph, glyph) : glyph);
    tables.put(CMAP, mapped(shown));
    int head = 12 + 16 * tables.size();
    int length = head + tables.values().stream().mapToInt(t -> t.limit() + 3 & ~3).sum();
    ByteBuffer made = ByteBuffer.allocate(length);
    made.put(font.slice(0, 12));
    made.putShort(4, (short) tables.size());
    int next = head;
    for (Map.Entry<Integer, ByteBuffer> table : tables.entrySet()) {
      ByteBuffer bytes = table.getValue();
      made.putInt(table.getKey()).putInt(sum(bytes)).putInt(next).putInt(bytes.limit());
      made.slice(next, bytes.limit()).put(bytes.duplicate().rewind());
      next += bytes.limit() + 3 & ~3;
    }
    return made.array();
  }

  /** A character map of format 12, each code point a group of its own. */
  private static ByteBuffer mapped(SortedMap<Integer, Integer> shown) {
    ByteBuffer map = ByteBuffer.allocate(12 + 16 + 12 * shown.size());
    map.putShort((short) 0).putShort((short) 1).putShort((short) 3).putShort((short) 10).putInt(12);
    map.putShort((short) 12).putShort((short) 0).putInt(16 + 12 * shown.size()).putInt(0);
    map.putInt(shown.size());
    shown.forEach((point, glyph) -> map.putInt(point).putInt(point).putInt(glyph));
    return map.rewind();
  }

  private static int sum(ByteBuffer table) {
    int sum = 0;
    for (int i = 0; i < table.limit(); i++) {
      sum += (table.get(i) & 0xff) << (24 - 8 * (i % 4));
    }
    return sum;
  }
}
