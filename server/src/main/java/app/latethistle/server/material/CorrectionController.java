package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.AddBorder;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.CountBars;
import app.latethistle.core.music.DoubleTempo;
import app.latethistle.core.music.FollowTempoMap;
import app.latethistle.core.music.HalfBeatLater;
import app.latethistle.core.music.HalveTempo;
import app.latethistle.core.music.HoldTempo;
import app.latethistle.core.music.MarkSung;
import app.latethistle.core.music.MoveBeat;
import app.latethistle.core.music.MoveBorder;
import app.latethistle.core.music.MoveDownbeat;
import app.latethistle.core.music.RemoveBorder;
import app.latethistle.core.music.SongCorrection;
import app.latethistle.core.music.TapBeats;
import app.latethistle.core.time.Samples;
import app.latethistle.media.MidiTempoMap;
import app.latethistle.server.history.History;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Puts right where a song's beats and bars are. Times are seconds of the song. */
@RestController
@RequestMapping("/api/productions/{productionId}/songs/{songId}")
@ResponseStatus(HttpStatus.NO_CONTENT)
public class CorrectionController {
  private final Productions productions;
  private final Songs songs;
  private final History history;
  private final ApplicationEventPublisher events;

  CorrectionController(
      Productions productions, Songs songs, History history, ApplicationEventPublisher events) {
    this.productions = productions;
    this.songs = songs;
    this.history = history;
    this.events = events;
  }

  /**
   * What is put right.
   *
   * @param name halve, double, half-beat-later, downbeat, bars, move-beat, hold-tempo, add-border,
   *     remove-border, move-border, sung, not-sung or taps
   * @param at where: of the downbeat, of the beat or border that moves, where a span begins
   * @param to where the beat or border moves to, or the span ends
   * @param count beats in a bar
   * @param taps when the person tapped
   */
  record CorrectionAsked(
      String name,
      @Schema(nullable = true) Double at,
      @Schema(nullable = true) Double to,
      @Schema(nullable = true) Integer count,
      @Schema(nullable = true) List<Double> taps) {

    SongCorrection correction() {
      return switch (name) {
        case "halve" -> new HalveTempo();
        case "double" -> new DoubleTempo();
        case "half-beat-later" -> new HalfBeatLater();
        case "downbeat" -> new MoveDownbeat(sample(at));
        case "bars" -> new CountBars(count == null ? 0 : count);
        case "move-beat" -> new MoveBeat(sample(at), sample(to));
        case "add-border" -> new AddBorder(sample(at));
        case "remove-border" -> new RemoveBorder(sample(at));
        case "move-border" -> new MoveBorder(sample(at), sample(to));
        case "hold-tempo" -> new HoldTempo(sample(at), sample(to));
        case "sung" -> new MarkSung(sample(at), sample(to), true);
        case "not-sung" -> new MarkSung(sample(at), sample(to), false);
        case "taps" ->
            new TapBeats(
                (taps == null ? List.<Double>of() : taps)
                    .stream().map(Samples::ofSeconds).toList());
        default -> throw new Refused("There is no correction '" + name + "'.");
      };
    }

    private static long sample(Double seconds) {
      if (seconds == null || !Double.isFinite(seconds)) {
        throw new Refused("Say where in the song, in seconds.");
      }
      return Samples.ofSeconds(Math.max(0, seconds));
    }
  }

  @PostMapping("/corrections")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void correct(
      @PathVariable long productionId,
      @PathVariable long songId,
      @RequestBody CorrectionAsked wrong) {
    change(productionId, songId, wrong.correction());
  }

  private static void requireRoom(SongCorrection correction, BeatGrid grid) {
    boolean tempo = correction instanceof HalveTempo || correction instanceof DoubleTempo;
    if (tempo && correction.apply(grid).size() == grid.size()) {
      throw new Refused(
          String.format(
              Locale.ROOT,
              "It counts %.0f beats a minute; a tempo is between %.0f and %.0f.",
              grid.bpm(),
              SongCorrection.SLOWEST,
              SongCorrection.QUICKEST));
    }
  }

  /** Takes beats and bars from a MIDI file whose time is the song's; its bytes are the body. */
  @PostMapping("/tempo-map")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void tempoMap(
      @PathVariable long productionId, @PathVariable long songId, HttpServletRequest request)
      throws IOException {
    MidiTempoMap map = MidiTempoMap.read(request.getInputStream());
    change(productionId, songId, within(map, songs.get(productionId, songId)));
  }

  /** What of a tempo map lies within a song, counted in the bars it mostly has. */
  private static SongCorrection within(MidiTempoMap map, Song song) {
    List<Double> beats =
        map.beats().stream().filter(b -> b < song.medium().facts().seconds()).toList();
    int first =
        Math.max(0, beats.indexOf(map.downbeats().isEmpty() ? -1.0 : map.downbeats().get(0)));
    int perBar = map.usualBar();
    return new FollowTempoMap(
        beats.stream().map(Samples::ofSeconds).toList(), perBar, first % perBar);
  }

  private void change(long productionId, long songId, SongCorrection correction) {
    productions.getLocked(productionId);
    Song song = songs.get(productionId, songId);
    song.requireListenedTo();
    BeatGrid before = song.grid();
    requireRoom(correction, before);
    song.correct(correction);
    songs.flush();
    history.did(productionId, correction.label(), new Deed.BeatsCorrected(songId));
    events.publishEvent(new GridChanged(productionId, songId, before, song.grid()));
  }
}
