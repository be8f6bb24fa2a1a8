package app.latethistle.server.film;

import app.latethistle.core.film.MusicTurn;
import app.latethistle.core.mix.MixReport;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.VoiceCare;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A film's sounds and how they stand to each other; moments are samples of the film at 48 kHz.
 *
 * @param laid in the order they land
 * @param lines of the voice that are heard
 * @param lid what music and clips are lowered by, from point to point
 * @param astray ambience that is not heard wherever the film is in its place
 * @param turns what happens to the music, in the film's order of them
 */
record MixView(
    long revision,
    long length,
    List<Laid> laid,
    List<Fader> buses,
    DuckingRule rule,
    VoiceCare care,
    List<LineLow> lines,
    List<Bend> lid,
    List<Turning> turns,
    List<Wanted> wanted,
    List<Astray> astray) {

  /**
   * A sound beside the cut.
   *
   * @param sound the shelf's name for it; null if it is a clip's, or not there any more
   * @param kind HIT, BED, RISER or MOVE; CLIP for a clip's own
   * @param says what it lands on, in words
   * @param place null if what it is tied to is not there
   * @param over the shot it lands in, by its id; "" outside the film
   * @param asked how music and clips step aside for it; null if they do not
   * @param follows the place it is heard from; null for none
   */
  record Laid(
      String id,
      String name,
      @Schema(nullable = true) Long sound,
      String kind,
      String media,
      TieView at,
      long offset,
      @Schema(nullable = true) TieView until,
      String says,
      @Schema(nullable = true) LaidPlace place,
      String over,
      @Schema(nullable = true) SteppingAside asked,
      Manner how,
      @Schema(nullable = true) FollowedView follows) {}

  /** Samples of a sound's first, of what lands, and after its last. */
  record LaidPlace(long start, long landing, long end) {}

  /** A bus's level. */
  record Fader(Bus bus, double gain, boolean muted, List<FaderPoint> line) {}

  /**
   * A point of a level's line.
   *
   * @param says what it is tied to, in words
   * @param sample null if what it is tied to is not there
   */
  record FaderPoint(TieView at, double gain, String says, @Schema(nullable = true) Long sample) {}

  /** A line, and what music and clips are lowered by under it. */
  record LineLow(
      String id, int number, long start, long end, double byRule, double gain, boolean byHand) {}

  /**
   * A turn of the music.
   *
   * @param says from what to what, in words
   * @param start its first sample; null if what it is tied to is not there
   * @param end the sample at which the music is as it was
   */
  record Turning(
      MusicTurn.Kind kind,
      TieView from,
      TieView until,
      String says,
      @Schema(nullable = true) Long start,
      @Schema(nullable = true) Long end) {}

  /**
   * A place's ambience that is not heard in all of it.
   *
   * @param sound the shelf's name for it; null if it is not there any more
   * @param item a shot of the place, by its id in the film
   */
  record Astray(String name, String place, @Schema(nullable = true) Long sound, String item) {}

  /** A point of the lid. */
  record Bend(long sample, double decibels) {}

  /**
   * A sound that the story asks for.
   *
   * @param shot its number
   * @param item the shot in the cut, by its id; null if it is not there
   * @param laid the sound that was laid for it; null if none was
   */
  record Wanted(
      String shot,
      @Schema(nullable = true) String item,
      String name,
      String search,
      State state,
      @Schema(nullable = true) String laid) {}

  /** How far a wanted sound has come. */
  enum State {
    /** Nothing on the shelf fits. */
    WANTED,
    /** Something on the shelf does. */
    FOUND,
    /** It is laid in its shot. */
    PLACED
  }

  /**
   * What is measured of the whole mix; silence is -90.
   *
   * @param momentary the loudness of 400 ms each tenth of a second, in LUFS
   * @param shortTerm the same of 3 s
   * @param held moments that the limiter lowers
   */
  record HeardMix(
      long revision,
      double integrated,
      double range,
      double momentaryMax,
      double shortTermMax,
      double truePeak,
      double monoLoss,
      List<Double> momentary,
      List<Double> shortTerm,
      List<MixReport.Held> held,
      List<LineStand> voice) {}

  /**
   * How a line stands.
   *
   * @param over LU by which it stands over all else; 60 where nothing else is heard
   * @param hard the words that are hard to hear
   */
  record LineStand(String id, int number, double over, List<String> hard) {}
}
