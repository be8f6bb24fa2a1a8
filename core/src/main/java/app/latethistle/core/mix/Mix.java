package app.latethistle.core.mix;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.time.SampleRange;
import java.util.List;

/**
 * A film resolved to what is heard.
 *
 * @param parts in no order
 * @param length of the film in samples
 * @param fade samples over which the end fades
 */
public record Mix(List<Part> parts, long length, long fade) {
  /** Raised whenever the same mix would give other samples. */
  private static final int ENGINE = 1;

  /** Silence. */
  public static Mix silence(long length) {
    return new Mix(List.of(), length, 0);
  }

  public Mix {
    parts = List.copyOf(parts);
  }

  /** A part of it, heard as in the whole; it fades only if the whole ends with it. */
  public Mix part(SampleRange range) {
    return new Mix(
        parts.stream()
            .map(
                p ->
                    new Part(
                        p.bus(),
                        p.media(),
                        p.at().shift(-range.start()),
                        p.course(),
                        p.gain(),
                        p.crossing()))
            .toList(),
        range.length(),
        range.end() == length ? Math.min(fade, range.length()) : 0);
  }

  /** Where something is said. */
  List<SampleRange> speech() {
    return parts.stream()
        .filter(p -> p.bus() == Bus.VOICE)
        .map(Part::at)
        .filter(at -> !at.isEmpty())
        .map(at -> new SampleRange(Math.max(0, at.start()), Math.max(0, at.end())))
        .toList();
  }

  /** The files that are heard. */
  public List<String> media() {
    return parts.stream().map(Part::media).distinct().toList();
  }

  /** A name for a range of it, wherever in the film it lies: the same only where it sounds so. */
  public String key(SampleRange range) {
    KeyWriter key = new KeyWriter().put("mix").put(ENGINE).put(range.length());
    // The limiter hears a little of what comes before and after.
    SampleRange heard = new SampleRange(range.start() - Limiter.REACH, range.end() + Limiter.REACH);
    for (Part part : parts) {
      part.at()
          .intersect(heard)
          .ifPresent(
              both -> {
                key.put("part").put(part.bus()).put(part.media()).put(part.gain());
                key.put(both.start() - range.start()).put(both.length());
                // How near its ends are matters only as far as they are heard.
                Crossing crossing = part.crossing();
                long since = both.start() - part.at().start();
                long left = part.at().end() - both.end();
                key.put(Math.min(Math.max(Limiter.REACH, crossing.rise()), since));
                key.put(Math.min(Math.max(Limiter.REACH, crossing.fall()), left));
                if (since < crossing.rise() || left < crossing.fall()) {
                  key.put("crossing").put(crossing.rise()).put(crossing.fall());
                }
                part.course().writeKey(key, both.start() - part.at().start());
              });
    }
    for (SampleRange low : new Ducking(speech()).reaching(heard)) {
      key.put("low").put(low.start() - range.start()).put(low.end() - range.start());
    }
    if (fade > 0 && length - fade < heard.end()) {
      key.put("fade").put(fade).put(length - range.start());
    }
    return key.put("end").put(Math.min(length - range.start(), heard.end() - range.start())).hash();
  }
}
