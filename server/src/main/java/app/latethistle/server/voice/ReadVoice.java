package app.latethistle.server.voice;

import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Tightening;
import app.latethistle.server.film.ReadLine;
import app.latethistle.server.film.Voice;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.stored.StoredReading;
import app.latethistle.server.story.StoryService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The lines of a script as they are settled and read, for the film. */
@Component
class ReadVoice implements Voice {
  private final StoryService stories;
  private final VoiceLines settled;
  private final Readings readings;
  private final Shots shots;

  ReadVoice(StoryService stories, VoiceLines settled, Readings readings, Shots shots) {
    this.stories = stories;
    this.settled = settled;
    this.readings = readings;
    this.shots = shots;
  }

  @Override
  public List<ReadLine> lines(long productionId) {
    List<VoiceLine> kept = settled.findByProductionIdOrderById(productionId);
    if (kept.isEmpty()) {
      return List.of();
    }
    Story story = stories.state(productionId).story();
    Map<Long, Reading> picked =
        readings
            .findAllById(kept.stream().map(VoiceLine::pickId).filter(Objects::nonNull).toList())
            .stream()
            .collect(Collectors.toMap(Reading::id, Function.identity()));
    Map<Integer, Shot> byStory = byStory(productionId);
    Map<Integer, Set<String>> shots = shotsOfLines(story, byStory);
    double gap = story.delivery().gap();
    List<SpokenLine> script = story.script().lines();
    Map<Integer, VoiceLine> matched = LineMatch.match(script, kept);
    List<ReadLine> lines = new ArrayList<>();
    for (SpokenLine line : script) {
      VoiceLine its = matched.get(line.number());
      Reading pick = its == null ? null : picked.get(its.pickId());
      Set<String> seen = shots.getOrDefault(line.number(), Set.of());
      lines.add(pick == null ? unread(line, gap, seen) : read(line, its, pick, byStory, gap, seen));
    }
    return lines;
  }

  private static ReadLine unread(SpokenLine line, double gap, Set<String> seen) {
    Narration.Line silent =
        new Narration.Line(
            "unread " + line.number(),
            line.number(),
            line.text(),
            List.of(),
            0,
            new Narration.Start.After(gap),
            line.speaker());
    return new ReadLine(silent, null, List.of(), 0, seen);
  }

  private static ReadLine read(
      SpokenLine line,
      VoiceLine its,
      Reading pick,
      Map<Integer, Shot> byStory,
      double gap,
      Set<String> seen) {
    StoredReading.Heard heard = pick.heard();
    Tightening tight =
        its.longest() == null ? Tightening.NONE : VoiceService.tightening(heard, its.longest());
    List<Narration.Word> words =
        tight.words(heard.alignment().words()).stream()
            .map(w -> new Narration.Word(w.text(), new SampleRange(w.start(), w.end())))
            .toList();
    Narration.Line placed =
        new Narration.Line(
            Long.toString(its.id()),
            line.number(),
            line.text(),
            words,
            tight.at(heard.length()),
            start(its, byStory, gap),
            line.speaker());
    return new ReadLine(placed, pick.medium(), tight.cuts(), heard.facts().loudness(), seen);
  }

  private static Narration.Start start(VoiceLine line, Map<Integer, Shot> byStory, double gap) {
    Double value = line.startValue();
    if (value == null) {
      return new Narration.Start.After(gap);
    }
    return switch (line.startKind()) {
      case AFTER -> new Narration.Start.After(value);
      case BAR -> new Narration.Start.OnBar((int) Math.round(value));
      case FREE -> new Narration.Start.At(Samples.ofSeconds(value));
      case SHOT -> {
        Shot shot = byStory.get((int) Math.round(value));
        yield new Narration.Start.WithShot(shot == null ? "" : Long.toString(shot.id()));
      }
    };
  }

  private Map<Integer, Shot> byStory(long productionId) {
    return shots.findByProductionIdOrderById(productionId).stream()
        .filter(s -> s.storyShot() != null)
        .collect(Collectors.toMap(Shot::storyShot, Function.identity(), (a, b) -> a));
  }

  /** The shots that each line speaks of, by the line's number. */
  private static Map<Integer, Set<String>> shotsOfLines(Story story, Map<Integer, Shot> byStory) {
    Map<Integer, Set<String>> shots = new HashMap<>();
    for (StoryShot shot : story.shots().shots()) {
      Shot its = byStory.get(shot.id());
      if (its != null && shot.line() > 0) {
        shots.computeIfAbsent(shot.line(), k -> new HashSet<>()).add(Long.toString(its.id()));
      }
    }
    return shots;
  }

  @Override
  public Revoice startingWith(String line, int number, String shot) {
    VoiceLine kept = settled.findById(Long.valueOf(line)).orElseThrow();
    Shot its = shots.findById(Long.valueOf(shot)).orElseThrow();
    Revoice.Settled now = kept.settled();
    Revoice.Settled then =
        new Revoice.Settled(
            now.reading(),
            VoiceLine.StartKind.SHOT.name(),
            its.storyShot().doubleValue(),
            now.longest());
    return new Revoice(line, number, now, then);
  }

  @Override
  public void settle(String line, Revoice.Settled wanted) {
    VoiceLine kept = settled.findById(Long.valueOf(line)).orElse(null);
    if (kept == null) {
      return;
    }
    Long reading = wanted.reading().isEmpty() ? null : Long.valueOf(wanted.reading());
    if (reading == null || readings.existsById(reading)) {
      kept.pick(reading);
    }
    kept.tie(VoiceLine.StartKind.valueOf(wanted.start()), wanted.value());
    kept.tighten(wanted.longest());
    settled.flush();
  }
}
