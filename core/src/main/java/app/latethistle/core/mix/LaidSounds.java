package app.latethistle.core.mix;

import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.SoundPlace;
import app.latethistle.core.look.Shape;
import app.latethistle.core.marks.SeenTrail;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.Repeat;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Predicate;

/** The parts of what is laid beside a film's cut. */
final class LaidSounds {
  /** How different repeats are at most: decibels, half-tones and the share of a step. */
  private static final double MOST_LEVEL = 3;

  private static final double MOST_PITCH = 1;
  private static final double MOST_SHIFT = 0.1;

  private final Resolved film;
  private final Shape shape;
  private final Set<String> sounding;

  LaidSounds(Resolved film, Shape shape, Set<String> sounding) {
    this.film = film;
    this.shape = shape;
    this.sounding = sounding;
  }

  /** The parts of those sounds of the film that are meant. */
  List<Part> parts(Predicate<FilmSound> meant) {
    List<Part> parts = new ArrayList<>();
    for (FilmSound sound : film.film().sounds().stream().filter(meant).toList()) {
      SoundPlace place = film.cutting().beside().sounds().get(sound.id());
      String media = media(sound);
      if (place != null && media != null) {
        add(parts, sound, media, place);
      }
    }
    return parts;
  }

  /** The file of a sound; null if its clip is gone or silent. */
  private String media(FilmSound sound) {
    if (sound.what() instanceof SoundMaterial.OfFile file) {
      return file.media();
    }
    String take = ((SoundMaterial.OfTake) sound.what()).take();
    Take of = film.takes().get(take);
    return of == null || !sounding.contains(take) ? null : of.media();
  }

  private void add(List<Part> parts, FilmSound sound, String media, SoundPlace place) {
    Manner how = sound.how();
    Repeat repeat = how.repeat();
    SplittableRandom random = new SplittableRandom(repeat.seed());
    double vary = repeat.vary() / 100.0;
    for (int n = 0; n < repeat.times(); n++) {
      double softer = MOST_LEVEL * vary * random.nextDouble();
      double higher = MOST_PITCH * vary * (2 * random.nextDouble() - 1);
      double later = MOST_SHIFT * vary * (2 * random.nextDouble() - 1);
      Manner strike = how;
      long at = 0;
      if (n > 0) {
        double pitch = Math.max(-12, Math.min(12, how.time().pitch() + higher));
        strike =
            how.withGain(Math.max(-60, how.gain() - softer))
                .withTime(new Timing(how.time().reversed(), how.time().stretch(), pitch));
        at = n * repeat.every() + Math.round(later * repeat.every());
      }
      parts.add(part(sound, strike, media, place, at));
    }
  }

  private Part part(FilmSound sound, Manner how, String media, SoundPlace place, long later) {
    SampleRange heard = sound.what().heard(film.rate());
    boolean loops = sound.what().loop().isPresent() && sound.when().until().isPresent();
    Course course;
    if (!how.time().leavesAll()) {
      course = new Course.Shaped(heard, how.time());
    } else if (loops) {
      course = new Course.Looped(heard.start(), sound.what().loop().get());
    } else {
      course = new Course.Straight(heard.start());
    }
    Bus bus = sound.what() instanceof SoundMaterial.OfTake ? Bus.CLIPS : Bus.SOUNDS;
    SampleRange at = new SampleRange(place.start() + later, place.end() + later);
    Edges edges =
        bus == Bus.CLIPS
            ? Edges.crossing(how.in().samples(), how.out().samples())
            : new Edges(how.in(), how.out());
    return new Part(bus, media, at, course, how.gain(), edges, effect(sound, how, at));
  }

  private Effect effect(FilmSound sound, Manner how, SampleRange at) {
    return sound
        .follows()
        .flatMap(follows -> SeenTrail.of(film, follows, Optional.empty(), shape))
        .<Effect>map(
            trail ->
                new Effect.Panned(
                    Effect.Placed.of(0, how.distance(), how.room(), how.equaliser()),
                    line(trail, at)))
        .orElseGet(() -> Effect.Placed.of(how.pan(), how.distance(), how.room(), how.equaliser()));
  }

  /** Where a place is from left to right in the middle of each frame while a sound is heard. */
  private List<Effect.Panned.Point> line(SeenTrail trail, SampleRange at) {
    long first = film.rate().frameAt(at.start());
    long last = film.rate().frameAt(at.end());
    List<Effect.Panned.Point> line = new ArrayList<>();
    for (long frame = first; frame <= last; frame++) {
      long middle = (film.rate().sampleOf(frame) + film.rate().sampleOf(frame + 1)) / 2;
      double pan = Math.max(-1, Math.min(1, 2 * trail.at(frame).x() - 1));
      line.add(new Effect.Panned.Point(middle - at.start(), pan));
    }
    return line;
  }
}
