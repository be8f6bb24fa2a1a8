package app.latethistle.server.voice;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.signal.Peaks;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Alignment;
import app.latethistle.core.voice.LongReading;
import app.latethistle.core.voice.ModelReading;
import app.latethistle.core.voice.Pauses;
import app.latethistle.core.voice.ReadingFacts;
import app.latethistle.core.voice.Tightening;
import app.latethistle.media.ContentStore;
import app.latethistle.media.ModelVoice;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WaveFile;
import app.latethistle.media.WordFinder;
import app.latethistle.server.config.Missing;
import app.latethistle.server.film.VoiceChanged;
import app.latethistle.server.history.History;
import app.latethistle.server.material.BringIn;
import app.latethistle.server.material.Medium;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import app.latethistle.server.stored.StoredReading;
import app.latethistle.server.story.StoryService;
import app.latethistle.standins.narrator.Manner;
import app.latethistle.standins.narrator.Narrator;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes readings in, finds their words, and keeps what is settled of each line. */
@Service
public class VoiceService {
  private final Productions productions;
  private final StoryService stories;
  private final VoiceLines lines;
  private final Readings readings;
  private final BringIn bringIn;
  private final ContentStore store;
  private final TransactionTemplate transaction;
  private final ApplicationEventPublisher events;
  private final History history;

  VoiceService(
      Productions productions,
      StoryService stories,
      VoiceLines lines,
      Readings readings,
      BringIn bringIn,
      ContentStore store,
      TransactionTemplate transaction,
      ApplicationEventPublisher events,
      History history) {
    this.productions = productions;
    this.stories = stories;
    this.lines = lines;
    this.readings = readings;
    this.bringIn = bringIn;
    this.store = store;
    this.transaction = transaction;
    this.events = events;
    this.history = history;
  }

  /** The script's lines. */
  public List<SpokenLine> script(long productionId) {
    return stories.state(productionId).story().script().lines();
  }

  /** What is settled of each line, by its number. */
  Map<Integer, VoiceLine> settled(long productionId, List<SpokenLine> script) {
    return LineMatch.match(script, lines.findByProductionIdOrderById(productionId));
  }

  /** Lets the narrator read a line. */
  public void narrate(
      long productionId, int number, Narrator.Voice voice, double rate, Manner manner)
      throws IOException {
    SpokenLine line = line(script(productionId), number);
    MonoSound sound = Narrator.read(line.text(), voice, rate, manner);
    String label =
        String.format(Locale.ROOT, "%s, %.0f words a minute", voice.name(), rate)
            + (manner == Manner.EVEN ? "" : ", " + manner.name().toLowerCase(Locale.ROOT));
    byte[] wave = WaveFile.bytes(sound.samples(), 1, sound.rate());
    Medium medium =
        bringIn.bringInSound(productionId, label + ".wav", new ByteArrayInputStream(wave));
    enter(productionId, line, Reading.Source.NARRATOR, label, medium);
  }

  /** Takes a file or a recording as a reading of a line. */
  void bringIn(long productionId, int number, Reading.Source source, String name, InputStream bytes)
      throws IOException {
    SpokenLine line = line(script(productionId), number);
    enter(productionId, line, source, name, bringIn.bringInSound(productionId, name, bytes));
  }

  /** Parts one recording of all lines, in their order, into a reading of each. */
  void part(long productionId, String name, InputStream bytes) throws IOException {
    List<SpokenLine> script = script(productionId);
    List<ModelReading> models = new ArrayList<>();
    List<SpokenLine> spoken = new ArrayList<>();
    for (SpokenLine line : script) {
      if (line.words() > 0) {
        models.add(ModelVoice.read(Delivery.said(line.text())));
        spoken.add(line);
      }
    }
    if (spoken.isEmpty()) {
      throw new Refused("The script has no lines; write them in Story first.");
    }
    Medium whole = bringIn.bringInSound(productionId, name, bytes);
    MonoSound recording = SongDecoder.reading(store.path(whole.hash()), whole.facts().container());
    List<SampleRange> parts = LongReading.part(recording, models);
    List<Entered> all = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      int from = (int) Math.min(recording.samples().length, parts.get(i).start());
      int to = (int) Math.min(recording.samples().length, parts.get(i).end());
      if (to <= from) {
        continue;
      }
      byte[] wave =
          WaveFile.bytes(Arrays.copyOfRange(recording.samples(), from, to), 1, Samples.RATE);
      Medium medium = bringIn.bringInSound(productionId, name, new ByteArrayInputStream(wave));
      all.add(heard(spoken.get(i), Reading.Source.FILE, name, medium));
    }
    transaction.executeWithoutResult(
        status -> {
          history.call("part " + name + " into lines");
          all.forEach(entered -> keep(productionId, entered));
        });
  }

  /** A reading that was listened to, before it is kept. */
  private record Entered(
      SpokenLine line,
      Reading.Source source,
      String label,
      Medium medium,
      StoredReading.Heard heard,
      Peaks peaks) {}

  private void enter(
      long productionId, SpokenLine line, Reading.Source source, String label, Medium medium)
      throws IOException {
    Entered entered = heard(line, source, label, medium);
    transaction.executeWithoutResult(status -> keep(productionId, entered));
  }

  private Entered heard(SpokenLine line, Reading.Source source, String label, Medium medium)
      throws IOException {
    MonoSound sound = SongDecoder.reading(store.path(medium.hash()), medium.facts().container());
    MonoSound coarse = SongDecoder.mono(store.path(medium.hash()), medium.facts().container());
    Alignment found = WordFinder.find(coarse, line.text());
    StoredReading.Heard heard =
        new StoredReading.Heard(
            sound.samples().length, found, Pauses.of(sound), ReadingFacts.of(sound, found.words()));
    Peaks peaks = Peaks.of(sound, Reading.PEAKS_A_SECOND);
    return new Entered(line, source, label, medium, heard, peaks);
  }

  /** Keeps a reading as its line's pick. */
  private void keep(long productionId, Entered entered) {
    SpokenLine line = entered.line();
    VoiceLine kept = settledLine(productionId, line.number());
    int last =
        readings.findByLineIdIn(List.of(kept.id())).stream()
            .mapToInt(Reading::number)
            .max()
            .orElse(0);
    Reading reading =
        readings.save(
            new Reading(
                    kept.id(),
                    last + 1,
                    entered.source(),
                    entered.label(),
                    line.text(),
                    entered.medium())
                .with(entered.heard(), entered.peaks()));
    String again = kept.pickId() == null ? "" : " again";
    history.did(
        productionId, "read line " + line.number() + again, new Deed.ReadingKept(reading.id()));
    change(kept, line.number(), k -> k.pick(reading.id()));
  }

  /** Leaves no longer pause in lines; null for the readings as they are. */
  @Transactional
  public void tighten(long productionId, List<Integer> numbers, Double seconds) {
    productions.getLocked(productionId);
    if (numbers.size() > 1) {
      history.call(seconds == null ? "keep the pauses" : "tighten pauses");
    }
    for (int number : numbers) {
      settle(productionId, number, line -> line.tighten(seconds));
    }
  }

  /** Changes what is settled of a line. */
  @Transactional
  public void settle(long productionId, int number, Consumer<VoiceLine> change) {
    change(settledLine(productionId, number), number, change);
  }

  private void change(VoiceLine line, int number, Consumer<VoiceLine> change) {
    Revoice.Settled before = line.settled();
    change.accept(line);
    Revoice.Settled after = line.settled();
    if (!after.equals(before)) {
      String id = Long.toString(line.id());
      events.publishEvent(
          new VoiceChanged(line.productionId(), new Revoice(id, number, before, after)));
    }
  }

  /** Starts a line on a bar of the song, from 1. */
  @Transactional
  public void startOnBar(long productionId, int number, int bar) {
    settle(productionId, number, line -> line.tie(VoiceLine.StartKind.BAR, (double) bar));
  }

  private VoiceLine settledLine(long productionId, int number) {
    productions.getLocked(productionId);
    List<SpokenLine> script = script(productionId);
    SpokenLine line = line(script, number);
    VoiceLine kept = settled(productionId, script).get(number);
    if (kept == null) {
      return lines.save(new VoiceLine(productionId, line.text()));
    }
    kept.say(line.text());
    return kept;
  }

  /** A reading of a production. */
  Reading reading(long productionId, long id) {
    return readings
        .findById(id)
        .filter(r -> !r.isRemoved())
        .filter(
            r ->
                lines
                    .findById(r.lineId())
                    .filter(l -> l.productionId() == productionId)
                    .isPresent())
        .orElseThrow(() -> new Missing("There is no reading " + id + " here."));
  }

  /** Takes a reading out; the newest of the others becomes the pick if it was. */
  @Transactional
  public void remove(long productionId, long id) {
    productions.getLocked(productionId);
    Reading gone = reading(productionId, id);
    VoiceLine line = lines.findById(gone.lineId()).orElseThrow();
    gone.remove(true);
    readings.flush();
    int number = numberOf(productionId, line);
    history.did(
        productionId,
        "take out reading " + gone.number() + " of line " + number,
        new Deed.ReadingRemoved(id));
    if (gone.id().equals(line.pickId())) {
      List<Reading> left = readings.findByLineIdInAndRemovedFalseOrderByNumber(List.of(line.id()));
      Long next = left.isEmpty() ? null : left.get(left.size() - 1).id();
      change(line, number, l -> l.pick(next));
    }
  }

  /** The number of a line in the script as it is; 0 if it is not in it any more. */
  private int numberOf(long productionId, VoiceLine line) {
    return settled(productionId, script(productionId)).entrySet().stream()
        .filter(entry -> entry.getValue().id().equals(line.id()))
        .mapToInt(Map.Entry::getKey)
        .findFirst()
        .orElse(0);
  }

  /** What is left out of a reading if no pause is to be longer. */
  static Tightening tightening(StoredReading.Heard heard, double longest) {
    return Tightening.to(heard.pauses(), heard.alignment().words(), longest, heard.length());
  }

  /** A reading as a WAV file, tightened if a longest pause is given. */
  byte[] wave(long productionId, long id, Double longest) throws IOException {
    Reading reading = reading(productionId, id);
    Medium medium = reading.medium();
    MonoSound sound = SongDecoder.reading(store.path(medium.hash()), medium.facts().container());
    float[] samples = sound.samples();
    if (longest != null) {
      samples = tightening(reading.heard(), longest).apply(samples, 1);
    }
    return WaveFile.bytes(samples, 1, Samples.RATE);
  }

  private static SpokenLine line(List<SpokenLine> script, int number) {
    return script.stream()
        .filter(l -> l.number() == number)
        .findFirst()
        .orElseThrow(() -> new Missing("The script has no line " + number + "."));
  }
}
