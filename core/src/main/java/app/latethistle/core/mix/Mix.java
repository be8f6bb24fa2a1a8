package app.latethistle.core.mix;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.signal.Convolution;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.time.SampleRange;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A film resolved to what is heard.
 *
 * @param parts in no order
 * @param length of the film in samples
 * @param fade samples over which the end fades
 * @param level how loud it is made as a whole
 * @param faders how loud each bus is over the film
 */
public record Mix(List<Part> parts, long length, long fade, Level level, Faders faders) {
  /** Raised whenever the same mix would give other samples. */
  private static final int ENGINE = 4;

  /** Samples before and after a range that must be known to make it. */
  static final int REACH = Limiter.REACH + SpeechBand.HALF;

  /**
   * How loud each bus is over the film.
   *
   * @param lines by bus; those that are not there are as they are mixed
   * @param lid what music and clips are lowered by under the voice
   * @param speechBand whether only where speech lies
   */
  public record Faders(Map<Bus, LevelLine> lines, LevelLine lid, boolean speechBand) {
    /** All as it is mixed. */
    public static final Faders FLAT = new Faders(Map.of(), LevelLine.FLAT, false);

    /** Copies the lines, without those that change nothing. */
    public Faders {
      Map<Bus, LevelLine> some = new EnumMap<>(Bus.class);
      lines.forEach(
          (bus, line) -> {
            if (!line.equals(LevelLine.FLAT)) {
              some.put(bus, line);
            }
          });
      lines = Collections.unmodifiableMap(some);
    }

    LevelLine line(Bus bus) {
      return lines.getOrDefault(bus, LevelLine.FLAT);
    }

    Faders shift(long by) {
      Map<Bus, LevelLine> moved = new EnumMap<>(Bus.class);
      lines.forEach((bus, line) -> moved.put(bus, line.shift(by)));
      return new Faders(moved, lid.shift(by), speechBand);
    }
  }

  /** As loud as it is mixed. */
  public Mix(List<Part> parts, long length, long fade) {
    this(parts, length, fade, Level.AS_MIXED, Faders.FLAT);
  }

  public Mix {
    parts = List.copyOf(parts);
  }

  /** Silence. */
  public static Mix silence(long length) {
    return new Mix(List.of(), length, 0);
  }

  /** The same at another level. */
  public Mix with(Level other) {
    return new Mix(parts, length, fade, other, faders);
  }

  /** The same with other faders. */
  public Mix with(Faders other) {
    return new Mix(parts, length, fade, level, other);
  }

  /** Some buses of it alone. */
  public Mix only(Set<Bus> buses) {
    return new Mix(
        parts.stream().filter(p -> buses.contains(p.bus())).toList(), length, fade, level, faders);
  }

  /** The same with music and clips as loud as where nobody speaks. */
  public Mix withoutDucking() {
    return with(new Faders(faders.lines(), LevelLine.FLAT, false));
  }

  /** A part of it, heard as in the whole; it fades only if the whole ends with it. */
  public Mix part(SampleRange range) {
    return new Mix(
        parts.stream().map(p -> p.shift(-range.start())).toList(),
        range.length(),
        range.end() == length ? Math.min(fade, range.length()) : 0,
        level,
        faders.shift(-range.start()));
  }

  /** The files that are heard. */
  public List<String> media() {
    return parts.stream().map(Part::media).distinct().toList();
  }

  /** A name for a range of it, wherever in the film it lies: the same only where it sounds so. */
  public String key(SampleRange range) {
    KeyWriter key = new KeyWriter().put("mix").put(ENGINE).put(range.length());
    // The limiter hears a little of what comes before and after.
    SampleRange heard = new SampleRange(range.start() - REACH, range.end() + REACH);
    for (Part part : parts) {
      part.heard().intersect(heard).ifPresent(both -> put(key, part, both, range.start()));
    }
    for (Bus bus : Bus.values()) {
      if (parts.stream().anyMatch(p -> p.bus() == bus && p.heard().intersect(heard).isPresent())) {
        key.put(bus);
        faders.line(bus).writeKey(key, heard, range.start());
        if (bus.ducks()) {
          key.put(faders.speechBand ? 1 : 0);
          faders.lid.writeKey(key, heard, range.start());
        }
      }
    }
    if (!level.equals(Level.AS_MIXED)) {
      key.put("level").put(level.gain()).put(level.ceiling());
    }
    if (fade > 0 && length - fade < heard.end()) {
      key.put("fade").put(fade).put(length - range.start());
    }
    return key.put("end").put(Math.min(length - range.start(), heard.end() - range.start())).hash();
  }

  private static void put(KeyWriter key, Part part, SampleRange both, long zero) {
    key.put("part").put(part.bus()).put(part.media()).put(part.gain());
    key.put(both.start() - zero).put(both.length());
    part.effect().writeKey(key);
    if (part.effect().walls().isPresent()) {
      // Echoes are made in blocks of the film, whose place rounds their samples.
      key.put(Math.floorMod(zero, (long) Convolution.BLOCK));
    }
    Edges edges = part.edges();
    long since = both.start() - part.at().start();
    long left = part.at().end() - both.end();
    // How near its ends are matters only as far as they are heard, or an effect keeps them.
    boolean whole = !part.effect().equals(Effect.none());
    boolean comes = since < edges.in().samples() || since <= 0;
    boolean goes = left < edges.out().samples() || left <= 0;
    if (whole || comes) {
      key.put("comes").put(since);
    }
    if (whole || goes) {
      key.put("goes").put(left);
    }
    if (whole || comes || goes) {
      edges.writeKey(key);
    }
    part.course().writeKey(key, since);
  }
}
