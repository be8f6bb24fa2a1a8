package app.latethistle.core.mix;

import app.latethistle.core.film.Balance;
import app.latethistle.core.film.BusLevel;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Shape;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Supplier;

/** Makes the mix of a film: its song, its clips, its voice and the sounds that are laid. */
public final class FilmMix {
  private final Resolved film;
  private final Set<String> sounding;
  private final Optional<Song> song;
  private final List<Optional<Reading>> readings;

  private FilmMix(
      Resolved film, Set<String> sounding, Optional<Song> song, List<Optional<Reading>> readings) {
    this.film = film;
    this.sounding = sounding;
    this.song = song;
    this.readings = readings;
  }

  /**
   * The file of a line that is read.
   *
   * @param media SHA-256 of it
   * @param cuts what is left out of it, in its samples
   * @param loudness in LUFS; it is left as loud as it is if that is not finite
   */
  public record Reading(String media, List<SampleRange> cuts, double loudness) {
    public Reading {
      cuts = List.copyOf(cuts);
    }

    /** How loud it is heard before its bus, in LUFS. */
    double heard() {
      return Double.isFinite(loudness) ? loudness + Part.voiceGain(loudness) : Part.VOICE_LOUDNESS;
    }
  }

  /**
   * The file of a film's song.
   *
   * @param media SHA-256 of it
   * @param trace how loud it is over its time; asked for only where somebody speaks
   */
  public record Song(String media, Supplier<LoudnessTrace> trace) {}

  /**
   * The mix of a film.
   *
   * @param shape of its pictures, in which places are seen that sounds go with
   * @param sounding takes whose clips have a sound of their own
   * @param song of the film
   * @param readings of the lines of the film's narration, in their order
   */
  public static Mix of(
      Resolved film,
      Shape shape,
      Set<String> sounding,
      Optional<Song> song,
      List<Optional<Reading>> readings) {
    return new FilmMix(film, sounding, song, readings).mix(shape);
  }

  /** A sound that is laid, as it is heard in the film, with nothing else. */
  public static Mix alone(Resolved film, Shape shape, Set<String> sounding, String sound) {
    return new Mix(
        new LaidSounds(film, shape, sounding).parts(s -> s.id().equals(sound)),
        film.rate().sampleOf(film.cutting().length()),
        0);
  }

  /** How the film's music steps aside for its voice, and for what else asks. */
  public static Ducking ducking(
      Resolved film, Optional<Song> song, List<Optional<Reading>> readings) {
    return new FilmMix(film, Set.of(), song, readings).ducking();
  }

  private Mix mix(Shape shape) {
    FrameRate rate = film.rate();
    Balance balance = film.film().balance();
    long length = rate.sampleOf(film.cutting().length());
    List<Part> parts = new ArrayList<>();
    MusicTurns turns = new MusicTurns(film);
    song.ifPresent(heard -> parts.addAll(turns.parts(heard.media)));
    parts.addAll(new FilmSounds(film, shape, sounding).parts());
    parts.addAll(voice(balance.care()));
    parts.removeIf(part -> balance.level(part.bus()).muted());
    Map<Bus, LevelLine> lines = new EnumMap<>(Bus.class);
    for (Bus bus : Bus.values()) {
      lines.put(bus, line(bus));
    }
    lines.merge(Bus.MUSIC, turns.stops(), LevelLine::plus);
    return new Mix(
        parts,
        length,
        rate.sampleOf(film.film().finish().end().frames()),
        Level.AS_MIXED,
        new Mix.Faders(
            lines,
            (balance.level(Bus.VOICE).muted() ? aside(Ducking.NONE) : ducking()).lid(),
            balance.rule().speechBand()));
  }

  private List<Part> voice(VoiceCare care) {
    List<Part> parts = new ArrayList<>();
    Effect effect = care.leavesAll() ? Effect.none() : new Effect.Cared(care);
    for (int i = 0; i < readings.size(); i++) {
      SampleRange at = film.cutting().voice().lines().get(i).at();
      readings
          .get(i)
          .ifPresent(
              reading ->
                  parts.add(
                      new Part(
                          Bus.VOICE,
                          reading.media,
                          at,
                          new Course.Tightened(reading.cuts),
                          Part.voiceGain(reading.loudness),
                          Edges.NONE,
                          effect)));
    }
    return parts;
  }

  /** A bus's line over the film, its gain in it. */
  private LevelLine line(Bus bus) {
    BusLevel level = film.film().balance().level(bus);
    List<LevelLine.Point> points = new ArrayList<>();
    for (BusLevel.Point point : level.line()) {
      film.sampleOf(point.at())
          .ifPresent(at -> points.add(new LevelLine.Point(at, point.gain() + level.gain())));
    }
    return points.isEmpty() ? LevelLine.level(level.gain()) : new LevelLine(points);
  }

  private Ducking ducking() {
    Balance balance = film.film().balance();
    List<Ducking.Need> needs = new ArrayList<>();
    LevelLine music = line(Bus.MUSIC);
    LevelLine voice = line(Bus.VOICE);
    for (int i = 0; i < readings.size(); i++) {
      VoiceClock.Spoken line = film.cutting().voice().lines().get(i);
      if (readings.get(i).isPresent() && line.at().end() > 0) {
        SampleRange at =
            new SampleRange(Math.max(0, line.at().start()), Math.max(0, line.at().end()));
        double spoken = readings.get(i).get().heard() + voice.mean(at);
        needs.add(new Ducking.Need(line.id(), at, needed(at, spoken, music)));
      }
    }
    return aside(
        needs.isEmpty()
            ? Ducking.NONE
            : Ducking.of(balance.rule(), balance.byHand(), needs, this::beatBefore));
  }

  /** The same, and aside for the sounds and titles that ask for it. */
  private Ducking aside(Ducking voice) {
    Balance balance = film.film().balance();
    Ducking all = voice;
    for (Map.Entry<String, SteppingAside> asked : balance.asked().entrySet()) {
      OptionalLong landing = landing(asked.getKey());
      if (landing.isPresent()) {
        all = all.aside(balance.rule(), landing.getAsLong(), asked.getValue());
      }
    }
    return all;
  }

  private OptionalLong landing(String id) {
    Tie.OnItem.Kind kind =
        film.film().title(id).isPresent() ? Tie.OnItem.Kind.TITLE : Tie.OnItem.Kind.SOUND;
    return film.sampleOf(new Tie.OnItem(kind, id));
  }

  /** What a line asks of the music under it; as much as it stands over it where none is known. */
  private double needed(SampleRange at, double spoken, LevelLine music) {
    double over = film.film().balance().rule().over();
    LoudnessTrace trace = song.map(s -> s.trace.get()).orElse(LoudnessTrace.UNKNOWN);
    if (!trace.isKnown()) {
      return -over;
    }
    double playing = trace.in(at.shift(film.film().music().start())) + music.mean(at);
    return playing == Loudness.SILENT ? 0 : Math.max(-60, Math.min(0, spoken - over - playing));
  }

  private long beatBefore(long sample) {
    BeatGrid grid = film.clocks().grid();
    long at = sample + film.film().music().start();
    long before = sample;
    for (int beat = 0; beat < grid.size() && grid.sampleOf(beat) <= at; beat++) {
      before = grid.sampleOf(beat) - film.film().music().start();
    }
    return before;
  }
}
