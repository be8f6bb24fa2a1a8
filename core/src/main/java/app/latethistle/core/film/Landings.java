package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.words.Arrival;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;

/**
 * Where sounds land, to the sample, and titles, to the frame: a beat where the song has it, a word
 * where it is said, a cut on its frame's first sample. They may be tied to each other; those that
 * go in a circle have no place.
 */
final class Landings {
  private final Film film;
  private final List<Long> joints;
  private final VoiceClock voice;
  private final BeatGrid grid;
  private final FrameRate rate;
  private final Map<String, SoundPlace> places = new HashMap<>();
  private final Map<String, TitlePlace> titles = new HashMap<>();
  private final Set<String> asked = new HashSet<>();

  Landings(Film film, List<Long> joints, VoiceClock voice, BeatGrid grid, FrameRate rate) {
    this.film = film;
    this.joints = joints;
    this.voice = voice;
    this.grid = grid;
    this.rate = rate;
  }

  /** The place of each sound that has one, by its id. */
  Map<String, SoundPlace> places() {
    film.sounds().forEach(this::place);
    return Map.copyOf(places);
  }

  /** The place of each title that has one, by its id. */
  Map<String, TitlePlace> titles() {
    film.titles().forEach(this::place);
    return Map.copyOf(titles);
  }

  /** The frame on which a title lands. */
  private OptionalLong place(FilmTitle title) {
    TitlePlace known = titles.get(title.id());
    if (known != null) {
      return OptionalLong.of(known.landing());
    }
    if (!asked.add(title.id())) {
      return OptionalLong.empty();
    }
    OptionalLong lands = frame(title.when().lands());
    if (lands.isEmpty()) {
      return lands;
    }
    long landing = lands.getAsLong();
    OptionalLong end =
        title
            .when()
            .until()
            .map(this::frame)
            .orElse(OptionalLong.of(landing + title.when().frames()));
    if (end.isEmpty() || end.getAsLong() <= landing) {
      return OptionalLong.empty();
    }
    Arrival in = title.movement().in();
    long start = in.isAtOnce() ? landing : landing - in.frames();
    titles.put(title.id(), new TitlePlace(start, landing, end.getAsLong()));
    return lands;
  }

  /** The film's frame that a tie means: as a cut that is tied so. */
  private OptionalLong frame(Tie tie) {
    if (!(tie instanceof Tie.OnItem)) {
      return Cutting.frameOf(tie, film.music(), voice, grid, rate);
    }
    OptionalLong sample = sample(tie);
    return sample.isEmpty() ? sample : OptionalLong.of(rate.nearestFrame(sample.getAsLong()));
  }

  private OptionalLong place(FilmSound sound) {
    SoundPlace known = places.get(sound.id());
    if (known != null) {
      return OptionalLong.of(known.landing());
    }
    if (!asked.add(sound.id())) {
      return OptionalLong.empty();
    }
    OptionalLong at = sample(sound.when().at());
    OptionalLong until =
        sound.when().until().map(this::sample).orElse(OptionalLong.of(Long.MAX_VALUE));
    if (at.isEmpty() || until.isEmpty()) {
      return OptionalLong.empty();
    }
    long landing = at.getAsLong() + sound.when().offset();
    long start = landing - sound.lead(rate);
    long own = start + sound.how().time().samples(sound.what().heard(rate).length());
    boolean goesOn = sound.what().loop().isPresent() && sound.when().until().isPresent();
    long end = goesOn ? until.getAsLong() : Math.min(own, until.getAsLong());
    if (end <= start) {
      return OptionalLong.empty();
    }
    places.put(sound.id(), new SoundPlace(start, landing, end));
    return OptionalLong.of(landing);
  }

  /** The film's sample that a tie means; empty if what it is tied to has no place. */
  OptionalLong sample(Tie tie) {
    if (tie instanceof Tie.OnBeat on) {
      return on.beat() >= grid.size()
          ? OptionalLong.empty()
          : OptionalLong.of(
              grid.sampleOf(on.beat()) - film.music().start() + rate.sampleOf(on.offset()));
    }
    if (tie instanceof Tie.OnWord on) {
      OptionalLong said = voice.at(on);
      return said.isEmpty() ? said : OptionalLong.of(said.getAsLong() + rate.sampleOf(on.offset()));
    }
    if (tie instanceof Tie.OnItem on) {
      return item(on);
    }
    return OptionalLong.of(rate.sampleOf(((Tie.Free) tie).frame()));
  }

  private OptionalLong item(Tie.OnItem on) {
    return switch (on.kind()) {
      case CUT -> {
        int joint = film.indexOfJoint(on.id());
        yield joint < 0 || joint >= joints.size()
            ? OptionalLong.empty()
            : OptionalLong.of(rate.sampleOf(joints.get(joint)));
      }
      case MARKER -> film.marker(on.id()).map(m -> sample(m.at())).orElse(OptionalLong.empty());
      case SOUND -> film.sound(on.id()).map(this::place).orElse(OptionalLong.empty());
      case TITLE -> {
        OptionalLong frame = film.title(on.id()).map(this::place).orElse(OptionalLong.empty());
        yield frame.isEmpty() ? frame : OptionalLong.of(rate.sampleOf(frame.getAsLong()));
      }
    };
  }
}
