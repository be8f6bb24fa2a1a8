package app.latethistle.core.mix;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.VoiceCare;
import java.util.List;
import java.util.Optional;

/** What is done to a part of the mix beside its gain. */
public sealed interface Effect {
  /** Nothing. */
  static Effect none() {
    return new Plain();
  }

  /** The sound after it, without its echoes. */
  SoundSource.Sound on(SoundSource.Sound sound);

  /** Samples that it rings on for after the sound itself has ended, without its echoes. */
  default long rings() {
    return 0;
  }

  /** What answers it with echoes. */
  default Optional<Walls> walls() {
    return Optional.empty();
  }

  /** What of a sound the walls hear. */
  default SoundSource.Sound toWalls(SoundSource.Sound sound) {
    return sound;
  }

  /** Samples that are heard after the sound itself has ended. */
  default long tail() {
    return rings() + walls().map(w -> w.length() - 1L).orElse(0L);
  }

  /** Writes all that can change a sample. */
  void writeKey(KeyWriter key);

  /** Nothing is done. */
  record Plain() implements Effect {
    @Override
    public SoundSource.Sound on(SoundSource.Sound sound) {
      return sound;
    }

    @Override
    public void writeKey(KeyWriter key) {
      key.put("plain");
    }
  }

  /**
   * It is heard from somewhere, through filters.
   *
   * @param pan from -100, left, to 100, right
   * @param distance from 0, near, to 100, far
   * @param room where
   * @param equaliser its filters
   */
  record Placed(int pan, int distance, Room room, Equaliser equaliser) implements Effect {
    /** What places a sound so; nothing if it is as it was recorded. */
    static Effect of(int pan, int distance, Room room, Equaliser equaliser) {
      Placed placed = new Placed(pan, distance, room, equaliser);
      return placed.equals(new Placed(0, 0, Room.NONE, Equaliser.NONE)) ? none() : placed;
    }

    @Override
    public SoundSource.Sound on(SoundSource.Sound sound) {
      return panned(
          rings() > 0
              ? new FilteredSound(
                  sound, StraightWay.rings(this), channels -> StraightWay.run(this, channels))
              : sound);
    }

    @Override
    public SoundSource.Sound toWalls(SoundSource.Sound sound) {
      return panned(
          equaliser.bands().isEmpty()
              ? sound
              : new FilteredSound(
                  sound, Between.RING, channels -> Equalising.run(equaliser, channels)));
    }

    private SoundSource.Sound panned(SoundSource.Sound sound) {
      return pan == 0 ? sound : new PannedSound(sound, List.of(new Panned.Point(0, pan / 100.0)));
    }

    @Override
    public long rings() {
      return StraightWay.rings(this);
    }

    @Override
    public Optional<Walls> walls() {
      return room.hasWalls() ? Optional.of(new Walls(room)) : Optional.empty();
    }

    @Override
    public void writeKey(KeyWriter key) {
      key.put("placed").put(pan).put(distance).put(room).put(equaliser.bands().size());
      equaliser.bands().forEach(b -> key.put(b.kind()).put(b.hertz()).put(b.gain()).put(b.q()));
    }
  }

  /**
   * It goes from left to right while it is heard, as loud together everywhere; so does what the
   * walls hear.
   *
   * @param first what is done to it before
   * @param line where it is at some of its samples; it goes straight between them, and stays before
   *     the first and after the last
   */
  record Panned(Effect first, List<Point> line) implements Effect {
    /**
     * Where it is.
     *
     * @param sample counted from the part's first
     * @param pan from -1, left, to 1, right
     */
    public record Point(long sample, double pan) {}

    /** Copies the list, which has a point at least. */
    public Panned {
      line = List.copyOf(line);
    }

    @Override
    public SoundSource.Sound on(SoundSource.Sound sound) {
      return new PannedSound(first.on(sound), line);
    }

    @Override
    public SoundSource.Sound toWalls(SoundSource.Sound sound) {
      return new PannedSound(first.toWalls(sound), line);
    }

    @Override
    public long rings() {
      return first.rings();
    }

    @Override
    public Optional<Walls> walls() {
      return first.walls();
    }

    @Override
    public void writeKey(KeyWriter key) {
      first.writeKey(key);
      key.put("panned").put(line.size());
      line.forEach(p -> key.put(p.sample).put(p.pan));
    }
  }

  /**
   * It is a voice that is cared for.
   *
   * @param how as the film asks
   */
  record Cared(VoiceCare how) implements Effect {
    @Override
    public SoundSource.Sound on(SoundSource.Sound sound) {
      return new CaredVoice(sound, how);
    }

    @Override
    public void writeKey(KeyWriter key) {
      key.put("cared").put(how.rumble() ? 1 : 0).put(how.even());
      key.put(how.hiss()).put(how.sharp()).put(how.breaths());
    }
  }

  /** It grows dull towards its end. */
  record Muffled() implements Effect {
    @Override
    public SoundSource.Sound on(SoundSource.Sound sound) {
      return new MuffledSound(sound);
    }

    @Override
    public void writeKey(KeyWriter key) {
      key.put("muffled");
    }
  }
}
