package app.latethistle.server.voice;

import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.SungPart;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.ReadingFacts;
import app.latethistle.core.voice.Tightening;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.Song;
import app.latethistle.server.stored.StoredReading;
import app.latethistle.standins.narrator.Narrator;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The voice of a production as Cues shows it. All times are seconds.
 *
 * @param slowest the fewest words a minute that the story's delivery calls for, and the most
 */
record VoiceView(
    List<VoiceLineView> lines,
    List<OverlapView> overlaps,
    List<SungOverlap> sungOverlaps,
    List<NarratorView> voices,
    double slowest,
    double fastest) {
  /** The longest pause proposed if nobody says. */
  static final double USUAL_LONGEST = 0.35;

  /** How far from the delivery's rate a reading may be. */
  private static final double RATE_ROOM = 0.15;

  /** A voice the narrator has. */
  record NarratorView(String name, String about) {}

  /** Two lines that sound at once. */
  record OverlapView(int first, int second, double seconds) {}

  /** A line that is spoken while somebody sings in the song, for so long. */
  record SungOverlap(int line, double seconds) {}

  /** A part of a reading. */
  record PartOfReading(double from, double to) {
    static List<PartOfReading> of(List<SampleRange> stretches) {
      return stretches.stream()
          .map(s -> new PartOfReading(Samples.toSeconds(s.start()), Samples.toSeconds(s.end())))
          .toList();
    }
  }

  /** A word in its reading. */
  record WordView(String text, double start, double end, double confidence, boolean doubtful) {}

  /**
   * A line.
   *
   * @param pick the reading that is used
   * @param longest the longest pause left in it; null if it is as it was read
   * @param starts where its first word is in the film; null without a reading
   * @param ends where its reading ends in the film
   * @param bar the bar its first word falls in, 0 if there is none, and the beat in it
   * @param problem what its start could not honour, or ""
   */
  record VoiceLineView(
      int number,
      String speaker,
      String text,
      @Schema(nullable = true) Long pick,
      @Schema(nullable = true) Double longest,
      VoiceLine.StartKind startKind,
      @Schema(nullable = true) Double startValue,
      @Schema(nullable = true) Double starts,
      @Schema(nullable = true) Double ends,
      int bar,
      int beat,
      String problem,
      List<ReadingView> readings) {}

  /**
   * A reading.
   *
   * @param stale whether the line's words have changed since it was read
   * @param cuts what tightening leaves out, whether it is taken or proposed
   * @param peaks base64 of one byte a span, {@code perSecond} spans a second
   */
  record ReadingView(
      long id,
      int number,
      Reading.Source source,
      String label,
      boolean stale,
      double seconds,
      double tightSeconds,
      List<WordView> words,
      List<PartOfReading> strays,
      List<PartOfReading> cuts,
      double fit,
      boolean matches,
      int found,
      ReadingFacts facts,
      int perSecond,
      String peaks) {}

  static VoiceView of(
      List<SpokenLine> script,
      Map<Integer, VoiceLine> settled,
      Map<Long, List<Reading>> readings,
      FilmState film,
      double rate) {
    VoiceClock clock = film.cutting().voice();
    Map<Integer, VoiceClock.Spoken> spoken =
        clock.lines().stream()
            .filter(VoiceClock.Spoken::isHeard)
            .collect(Collectors.toMap(VoiceClock.Spoken::number, Function.identity()));
    List<VoiceLineView> views = new ArrayList<>();
    for (SpokenLine line : script) {
      VoiceLine its = settled.get(line.number());
      List<Reading> read = its == null ? List.of() : readings.getOrDefault(its.id(), List.of());
      views.add(line(line, its, read, spoken.get(line.number()), film));
    }
    return new VoiceView(
        views,
        clock.overlaps().stream()
            .map(
                o ->
                    new OverlapView(
                        clock.lines().get(o.first()).number(),
                        clock.lines().get(o.second()).number(),
                        Samples.toSeconds(o.samples())))
            .toList(),
        sungOverlaps(clock, film),
        Narrator.VOICES.stream().map(v -> new NarratorView(v.name(), v.about())).toList(),
        rate * (1 - RATE_ROOM),
        rate * (1 + RATE_ROOM));
  }

  private static List<SungOverlap> sungOverlaps(VoiceClock clock, FilmState film) {
    List<SungPart> sung = film.song().map(Song::sung).orElse(List.of());
    long shift = film.film().music().start();
    List<SungOverlap> overlaps = new ArrayList<>();
    for (VoiceClock.Spoken line : clock.lines()) {
      long both =
          sung.stream()
              .mapToLong(s -> s.within(line.at().start() + shift, line.at().end() + shift))
              .sum();
      if (line.isHeard() && both > 0) {
        overlaps.add(new SungOverlap(line.number(), Samples.toSeconds(both)));
      }
    }
    return overlaps;
  }

  /**
   * @param spoken where it is heard; null without a reading
   */
  private static VoiceLineView line(
      SpokenLine line,
      VoiceLine settled,
      List<Reading> readings,
      VoiceClock.Spoken spoken,
      FilmState film) {
    BeatGrid grid = film.grid();
    OptionalLong first =
        spoken == null
            ? OptionalLong.empty()
            : spoken.words().stream()
                .filter(w -> w.at().length() > 0)
                .mapToLong(w -> w.at().start())
                .findFirst();
    long word = first.orElse(spoken == null ? 0 : spoken.at().start());
    int beat = -1;
    for (int i = 0;
        spoken != null && i < grid.size() && grid.sampleOf(i) <= word + film.film().music().start();
        i++) {
      beat = i;
    }
    double longest =
        settled == null || settled.longest() == null ? USUAL_LONGEST : settled.longest();
    return new VoiceLineView(
        line.number(),
        line.speaker(),
        line.text(),
        settled == null || spoken == null ? null : settled.pickId(),
        settled == null ? null : settled.longest(),
        settled == null ? VoiceLine.StartKind.AFTER : settled.startKind(),
        settled == null ? null : settled.startValue(),
        spoken == null ? null : Samples.toSeconds(word),
        spoken == null ? null : Samples.toSeconds(spoken.at().end()),
        beat < 0 ? 0 : grid.barOf(beat),
        beat < 0 ? 0 : grid.placeOf(beat),
        spoken == null ? "" : spoken.missing(),
        readings.stream().map(r -> reading(r, line, longest)).toList());
  }

  private static ReadingView reading(Reading r, SpokenLine line, double longest) {
    StoredReading.Heard heard = r.heard();
    Tightening tight = VoiceService.tightening(heard, longest);
    return new ReadingView(
        r.id(),
        r.number(),
        r.source(),
        r.label(),
        !r.text().equals(line.text()),
        Samples.toSeconds(heard.length()),
        Samples.toSeconds(heard.length() - tight.saved()),
        heard.alignment().words().stream()
            .map(
                w ->
                    new WordView(
                        w.text(),
                        Samples.toSeconds(w.start()),
                        Samples.toSeconds(w.end()),
                        w.confidence(),
                        w.isDoubtful()))
            .toList(),
        PartOfReading.of(heard.alignment().strays()),
        PartOfReading.of(tight.cuts()),
        heard.alignment().fit(),
        heard.alignment().matches(),
        heard.alignment().found(),
        heard.facts(),
        Reading.PEAKS_A_SECOND,
        Base64.getEncoder().encodeToString(r.peaks()));
  }
}
