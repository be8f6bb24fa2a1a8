package app.latethistle.document;

import app.latethistle.core.film.Balance;
import app.latethistle.core.film.BusLevel;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.MusicTurn;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Fade;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.Repeat;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.Timing;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.core.time.SampleRange;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** How a film's sounds are written. What is not said is as it usually is. */
public final class SoundForms {
  private SoundForms() {}

  /**
   * A sound beside the cut: of a take, counted in frames, or a file of its own, counted in samples.
   *
   * @param in the first frame or sample of it that is heard
   * @param length frames or samples that are heard
   * @param lands the file's sample that lands; its first that is heard if it is not said
   * @param loop what of the file is repeated
   * @param start what it lands on
   * @param offset samples later
   * @param until what it goes on to
   * @param gain in decibels
   */
  public record Sound(
      String id,
      String take,
      MediumForm media,
      String name,
      long in,
      long length,
      Long lands,
      SamplesForm loop,
      TieForm start,
      long offset,
      TieForm until,
      double gain,
      Heard heard,
      ItemForms.Followed follows) {
    public static Sound of(FilmSound sound) {
      String take = null;
      MediumForm media = null;
      String name = null;
      Long lands = null;
      long in;
      long length;
      if (sound.what() instanceof SoundMaterial.OfFile file) {
        media = MediumForm.ofHash(file.media());
        name = file.name();
        in = file.part().start();
        length = file.part().length();
        lands = file.lands();
      } else {
        SoundMaterial.OfTake of = (SoundMaterial.OfTake) sound.what();
        take = of.take();
        in = of.in();
        length = of.length();
      }
      return new Sound(
          sound.id(),
          take,
          media,
          name,
          in,
          length,
          lands,
          sound.what().loop().map(SamplesForm::of).orElse(null),
          TieForm.of(sound.when().at()),
          sound.when().offset(),
          sound.when().until().map(TieForm::of).orElse(null),
          sound.how().gain(),
          Heard.of(sound.how()),
          sound.follows().map(ItemForms.Followed::of).orElse(null));
    }

    public FilmSound get() {
      return new FilmSound(
          id,
          material(),
          landing(),
          heard().get(gain),
          Optional.ofNullable(follows).map(ItemForms.Followed::get));
    }

    @Override
    public Heard heard() {
      return heard == null ? Heard.of(Manner.PLAIN) : heard;
    }

    private SoundMaterial material() {
      if (media == null) {
        return new SoundMaterial.OfTake(Say.or(take, ""), in, length);
      }
      return new SoundMaterial.OfFile(
          media.sha256() == null ? media.path() : media.sha256(),
          Say.or(name, ""),
          SampleRange.ofLength(in, length),
          Say.or(lands, in),
          Optional.ofNullable(loop).map(SamplesForm::range));
    }

    private Landing landing() {
      return new Landing(start.get(), offset, Optional.ofNullable(until).map(TieForm::get));
    }

    Sound with(MediumForm other) {
      return new Sound(
          id, take, other, name, in, length, lands, loop, start, offset, until, gain, heard,
          follows);
    }
  }

  /** How a sound is heard, its gain apart. */
  public record Heard(
      Fading fadeIn,
      Fading fadeOut,
      int pan,
      int distance,
      String room,
      List<Filter> filters,
      boolean reversed,
      Integer stretch,
      double pitch,
      Again repeat) {
    public static Heard of(Manner how) {
      return new Heard(
          Fading.of(how.in()),
          Fading.of(how.out()),
          how.pan(),
          how.distance(),
          how.room() == Room.NONE ? null : how.room().name(),
          how.equaliser().bands().isEmpty()
              ? null
              : how.equaliser().bands().stream().map(Filter::of).toList(),
          how.time().reversed(),
          how.time().stretch(),
          how.time().pitch(),
          how.repeat().equals(Repeat.ONCE) ? null : Again.of(how.repeat()));
    }

    public Manner get(double gain) {
      return new Manner(
          gain,
          fadeIn == null ? Fade.NONE : fadeIn.get(),
          fadeOut == null ? Fade.NONE : fadeOut.get(),
          pan,
          distance,
          Say.or(Room.class, room, Room.NONE),
          new Equaliser(Say.or(filters).stream().map(Filter::get).toList()),
          new Timing(reversed, Say.or(stretch, Timing.PLAIN.stretch()), pitch),
          repeat == null ? Repeat.ONCE : repeat.get());
    }
  }

  /** A fade, in samples. */
  public record Fading(String shape, long samples) {
    public static Fading of(Fade fade) {
      return fade.samples() == 0 ? null : new Fading(fade.shape().name(), fade.samples());
    }

    public Fade get() {
      return new Fade(Say.or(Fade.Shape.class, shape, Fade.Shape.LINEAR), samples);
    }
  }

  /** A filter. */
  public record Filter(String kind, double hertz, double gain, Double q) {
    public static Filter of(Equaliser.Band band) {
      return new Filter(band.kind().name(), band.hertz(), band.gain(), band.q());
    }

    public Equaliser.Band get() {
      return new Equaliser.Band(
          Say.one(Equaliser.Kind.class, kind), hertz, gain, Say.or(q, Equaliser.Band.FLAT));
    }
  }

  /** Strikes that follow the first. */
  public record Again(int times, long every, int vary, long seed) {
    static Again of(Repeat repeat) {
      return new Again(repeat.times(), repeat.every(), repeat.vary(), repeat.seed());
    }

    Repeat get() {
      return new Repeat(times, every, vary, seed);
    }
  }

  /** How sounds stand to each other. */
  public record Balanced(
      Map<String, Fader> buses,
      Rule ducking,
      Map<String, Double> byHand,
      Care voice,
      Map<String, Aside> asked,
      List<Turn> turns) {
    /** Nothing said: all is as it usually is. */
    public static final Balanced USUAL = new Balanced(null, null, null, null, null, null);

    public static Balanced of(Balance balance) {
      if (balance.equals(Balance.USUAL)) {
        return null;
      }
      Map<String, Fader> buses = new LinkedHashMap<>();
      balance.levels().forEach((bus, level) -> buses.put(bus.name(), Fader.of(level)));
      Map<String, Aside> asked = new LinkedHashMap<>();
      balance.asked().forEach((id, aside) -> asked.put(id, Aside.of(aside)));
      return new Balanced(
          buses,
          Rule.of(balance.rule()),
          balance.byHand(),
          Care.of(balance.care()),
          asked.isEmpty() ? null : asked,
          balance.turns().isEmpty() ? null : balance.turns().stream().map(Turn::of).toList());
    }

    public Balance get() {
      Map<Bus, BusLevel> levels = new LinkedHashMap<>();
      if (buses != null) {
        buses.forEach((bus, fader) -> levels.put(Say.one(Bus.class, bus), fader.get()));
      }
      return new Balance(
          levels,
          ducking == null ? DuckingRule.USUAL : ducking.get(),
          Say.or(byHand, Map.of()),
          voice == null ? VoiceCare.NONE : voice.get(),
          aside(),
          Say.or(turns).stream().map(Turn::get).toList());
    }

    private Map<String, SteppingAside> aside() {
      Map<String, SteppingAside> all = new LinkedHashMap<>();
      if (asked != null) {
        asked.forEach((id, aside) -> all.put(id, aside.get()));
      }
      return all;
    }
  }

  /** How music steps aside for a sound or a title. */
  public record Aside(double by, int held) {
    static Aside of(SteppingAside aside) {
      return new Aside(aside.by(), aside.held());
    }

    SteppingAside get() {
      return new SteppingAside(by, held);
    }
  }

  /** What happens to the music for a while. */
  public record Turn(String kind, TieForm from, TieForm until) {
    static Turn of(MusicTurn turn) {
      return new Turn(turn.kind().name(), TieForm.of(turn.from()), TieForm.of(turn.until()));
    }

    MusicTurn get() {
      return new MusicTurn(Say.one(MusicTurn.Kind.class, kind), from.get(), until.get());
    }
  }

  /** A bus's level. */
  public record Fader(double gain, boolean muted, List<Point> line) {
    static Fader of(BusLevel level) {
      return new Fader(
          level.gain(),
          level.muted(),
          level.line().stream().map(p -> new Point(TieForm.of(p.at()), p.gain())).toList());
    }

    BusLevel get() {
      return new BusLevel(
          gain,
          muted,
          Say.or(line).stream().map(p -> new BusLevel.Point(p.at.get(), p.gain)).toList());
    }
  }

  /** A point of a level's line. */
  public record Point(TieForm at, double gain) {}

  /** How music steps aside. */
  public record Rule(
      Double over, Integer early, Integer late, Integer gap, boolean onBeat, boolean speechBand) {
    static Rule of(DuckingRule rule) {
      return new Rule(
          rule.over(), rule.early(), rule.late(), rule.gap(), rule.onBeat(), rule.speechBand());
    }

    DuckingRule get() {
      DuckingRule usual = DuckingRule.USUAL;
      return new DuckingRule(
          Say.or(over, usual.over()),
          Say.or(early, usual.early()),
          Say.or(late, usual.late()),
          Say.or(gap, usual.gap()),
          onBeat,
          speechBand);
    }
  }

  /** What is done to readings. */
  public record Care(boolean rumble, int even, int hiss, int sharp, int breaths) {
    public static Care of(VoiceCare care) {
      return new Care(care.rumble(), care.even(), care.hiss(), care.sharp(), care.breaths());
    }

    public VoiceCare get() {
      return new VoiceCare(rumble, even, hiss, sharp, breaths);
    }
  }
}
