package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Balance;
import app.latethistle.core.film.BusLevel;
import app.latethistle.core.film.MusicTurn;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.DuckingRule;
import app.latethistle.core.sound.SteppingAside;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.server.config.ServerOnly;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How the film's sounds stand to each other. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class BalanceController {
  private final FilmEdits edits;

  BalanceController(FilmEdits edits) {
    this.edits = edits;
  }

  record SetRule(long revision, DuckingRule rule) {}

  record SetCare(long revision, VoiceCare care) {}

  /** Lowers music and clips under a line by hand; null by the rule again. */
  record ByHand(long revision, String line, @Schema(nullable = true) Double gain) {}

  /** How loud a bus is; its line stays. */
  record SetBus(long revision, Bus bus, double gain, boolean muted) {}

  /**
   * Puts a point on a bus's line.
   *
   * @param was the point that it takes the place of, by what that is tied to; null for one more
   * @param at what it is tied to; null takes the other out
   */
  record SetPoint(
      long revision,
      Bus bus,
      @Schema(nullable = true) TieView was,
      @Schema(nullable = true) TieView at,
      double gain) {}

  /** Has music and clips step aside for sounds and titles as they land; null no longer. */
  record AskAside(
      long revision, List<String> items, @Schema(nullable = true) SteppingAside asked) {}

  /** What happens to the music from one moment to another. */
  record Turn(MusicTurn.Kind kind, TieView from, TieView until) {
    MusicTurn get() {
      if (kind == null || from == null || until == null) {
        throw new Refused("Say what happens to the music, from when, and until when.");
      }
      return new MusicTurn(kind, from.get(), until.get());
    }
  }

  /**
   * Has something happen to the music.
   *
   * @param was what happened to it instead; null for one more
   */
  record TurnMusic(long revision, Turn turn, @Schema(nullable = true) Turn was) {}

  /** Lets something happen to it no longer. */
  record TurnOut(long revision, Turn turn) {}

  @PostMapping("/set-rule")
  FilmView rule(@PathVariable long productionId, @RequestBody SetRule s) {
    return balance(
        productionId, s.revision(), "change how music steps aside", b -> b.withRule(s.rule()));
  }

  @PostMapping("/set-voice-care")
  FilmView care(@PathVariable long productionId, @RequestBody SetCare s) {
    return balance(productionId, s.revision(), "care for the voice", b -> b.withCare(s.care()));
  }

  @PostMapping("/bend-lid")
  FilmView bend(@PathVariable long productionId, @RequestBody ByHand h) {
    return balance(
        productionId,
        h.revision(),
        "lower music by hand",
        b -> {
          Map<String, Double> byHand = new LinkedHashMap<>(b.byHand());
          if (h.gain() == null) {
            byHand.remove(h.line());
          } else {
            byHand.put(h.line(), h.gain());
          }
          return b.withByHand(byHand);
        });
  }

  @PostMapping("/set-bus")
  FilmView bus(@PathVariable long productionId, @RequestBody SetBus s) {
    return balance(
        productionId,
        s.revision(),
        "change a level",
        b -> b.withLevel(s.bus(), new BusLevel(s.gain(), s.muted(), b.level(s.bus()).line())));
  }

  @PostMapping("/set-point")
  FilmView point(@PathVariable long productionId, @RequestBody SetPoint s) {
    return balance(
        productionId,
        s.revision(),
        "change a level's line",
        b -> {
          BusLevel level = b.level(s.bus());
          List<BusLevel.Point> line = new ArrayList<>(level.line());
          Stream.of(s.was(), s.at())
              .filter(Objects::nonNull)
              .forEach(tie -> line.removeIf(p -> p.at().equals(tie.get())));
          if (s.at() != null) {
            line.add(new BusLevel.Point(s.at().get(), s.gain()));
          }
          return b.withLevel(s.bus(), new BusLevel(level.gain(), level.muted(), line));
        });
  }

  @PostMapping("/ask-aside")
  FilmView aside(@PathVariable long productionId, @RequestBody AskAside a) {
    return balance(
        productionId,
        a.revision(),
        "have music step aside",
        b -> {
          Map<String, SteppingAside> asked = new LinkedHashMap<>(b.asked());
          for (String item : a.items()) {
            if (a.asked() == null) {
              asked.remove(item);
            } else {
              asked.put(item, a.asked());
            }
          }
          return b.withAsked(asked);
        });
  }

  @PostMapping("/turn-music")
  FilmView turn(@PathVariable long productionId, @RequestBody TurnMusic t) {
    return turns(
        productionId,
        t.revision(),
        now ->
            Stream.concat(
                t.was() == null ? now : without(now, t.was()), Stream.of(t.turn().get())));
  }

  @PostMapping("/turn-out")
  FilmView turnOut(@PathVariable long productionId, @RequestBody TurnOut t) {
    return turns(productionId, t.revision(), now -> without(now, t.turn()));
  }

  private static Stream<MusicTurn> without(Stream<MusicTurn> turns, Turn one) {
    MusicTurn gone = one.get();
    return turns.filter(turn -> !turn.equals(gone));
  }

  private FilmView turns(
      long productionId, long revision, UnaryOperator<Stream<MusicTurn>> change) {
    return balance(
        productionId,
        revision,
        "turn the music",
        b -> b.withTurns(change.apply(b.turns().stream()).distinct().toList()));
  }

  private FilmView balance(
      long productionId, long revision, String label, UnaryOperator<Balance> change) {
    return edits.make(
        productionId,
        revision,
        film ->
            SetAspect.of(Aspect.BALANCE, "", change.apply(film.film().balance())).called(label));
  }
}
