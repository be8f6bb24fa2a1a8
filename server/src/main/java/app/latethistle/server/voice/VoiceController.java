package app.latethistle.server.voice;

import app.latethistle.core.Refused;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Story;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.story.StoryService;
import app.latethistle.standins.narrator.Manner;
import app.latethistle.standins.narrator.Narrator;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Readings of the script's lines, and where the lines start. */
@RestController
@RequestMapping("/api/productions/{productionId}/voice")
class VoiceController {
  private final VoiceService voice;
  private final StoryService stories;
  private final FilmService films;
  private final Readings readings;

  VoiceController(VoiceService voice, StoryService stories, FilmService films, Readings readings) {
    this.voice = voice;
    this.stories = stories;
    this.films = films;
    this.readings = readings;
  }

  /** How the narrator is to read. */
  record Narration(String voice, double wordsPerMinute, Manner manner) {}

  /** Which reading is used. */
  record PickedReading(long reading) {}

  /** The longest pause to leave in lines, in seconds; null for the readings as they are. */
  record LongestPause(List<Integer> lines, @Schema(nullable = true) Double seconds) {}

  /** What a line's start is tied to. */
  record LineStart(VoiceLine.StartKind kind, @Schema(nullable = true) Double value) {}

  @GetMapping
  @Transactional(readOnly = true)
  public VoiceView voice(@PathVariable long productionId) {
    Story story = stories.state(productionId).story();
    List<SpokenLine> script = story.script().lines();
    Map<Integer, VoiceLine> settled = voice.settled(productionId, script);
    Map<Long, List<Reading>> byLine =
        readings
            .findByLineIdInAndRemovedFalseOrderByNumber(
                settled.values().stream().map(VoiceLine::id).toList())
            .stream()
            .collect(Collectors.groupingBy(Reading::lineId));
    return VoiceView.of(
        script, settled, byLine, films.state(productionId), story.delivery().wordsPerMinute());
  }

  @PostMapping("/lines/{number}/narrate")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void narrate(
      @PathVariable long productionId, @PathVariable int number, @RequestBody Narration asked)
      throws IOException {
    voice.narrate(
        productionId,
        number,
        Narrator.voice(asked.voice()),
        asked.wordsPerMinute(),
        asked.manner() == null ? Manner.EVEN : asked.manner());
  }

  /** Takes a file, or what was recorded in the page, as a reading; its bytes are the body. */
  @PostMapping("/lines/{number}/readings")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void reading(
      @PathVariable long productionId,
      @PathVariable int number,
      @RequestParam String name,
      @RequestParam(defaultValue = "false") boolean recorded,
      HttpServletRequest request)
      throws IOException {
    Reading.Source source = recorded ? Reading.Source.RECORDED : Reading.Source.FILE;
    voice.bringIn(productionId, number, source, name, request.getInputStream());
  }

  /** Parts one recording of all lines; its bytes are the body. */
  @PostMapping("/recording")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void recording(
      @PathVariable long productionId, @RequestParam String name, HttpServletRequest request)
      throws IOException {
    voice.part(productionId, name, request.getInputStream());
  }

  @PutMapping("/lines/{number}/pick")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void pick(
      @PathVariable long productionId, @PathVariable int number, @RequestBody PickedReading pick) {
    Reading reading = voice.reading(productionId, pick.reading());
    voice.settle(
        productionId,
        number,
        line -> {
          if (!reading.lineId().equals(line.id())) {
            throw new Refused(
                "Reading " + reading.number() + " is not one of line " + number + ".");
          }
          line.pick(reading.id());
        });
  }

  @PutMapping("/longest-pause")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void longest(@PathVariable long productionId, @RequestBody LongestPause longest) {
    Double seconds = longest.seconds();
    if (seconds != null && !(seconds >= 0.05 && seconds <= 10)) {
      throw new Refused(
          "A longest pause of " + Refused.number(seconds) + " s; 0.05 to 10 s can be kept.");
    }
    voice.tighten(productionId, longest.lines(), seconds);
  }

  @PutMapping("/lines/{number}/start")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void start(
      @PathVariable long productionId, @PathVariable int number, @RequestBody LineStart start) {
    Double value = start.value();
    if (start.kind() != VoiceLine.StartKind.AFTER && value == null) {
      throw new Refused("Say where line " + number + " is to start.");
    }
    if (value != null && !(value >= 0 && value <= 36_000)) {
      throw new Refused("Line " + number + " cannot start at " + Refused.number(value) + ".");
    }
    voice.settle(productionId, number, line -> line.tie(start.kind(), value));
  }

  @DeleteMapping("/readings/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long productionId, @PathVariable long id) {
    voice.remove(productionId, id);
  }

  /** A reading as WAV, tightened if a longest pause is given. */
  @GetMapping("/readings/{id}/sound.wav")
  ResponseEntity<byte[]> sound(
      @PathVariable long productionId,
      @PathVariable long id,
      @RequestParam(required = false) Double longest)
      throws IOException {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("audio/wav"))
        .cacheControl(CacheControl.noCache())
        .body(voice.wave(productionId, id, longest));
  }
}
