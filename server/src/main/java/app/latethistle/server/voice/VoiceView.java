package app.latethistle.server.voice;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.SungPart;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.LineTimes;
import app.latethistle.core.voice.ReadingFacts;
import app.latethistle.core.voice.SpokenWord;
import app.latethistle.core.voice.Stretch;
import app.latethistle.core.voice.Tightening;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Song;
import app.latethistle.standins.narrator.Narrator;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;

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
    static List<PartOfReading> of(List<Stretch> stretches) {
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
      Map<Integer, Shot> shots,
      double rate,
      double gap) {
    List<Row> rows = new ArrayList<>();
    for (SpokenLine line : script) {
      rows.add(Row.of(line, settled.get(line.number()), readings, film, shots, gap));
    }
    LineTimes times = LineTimes.of(rows.stream().map(Row::placed).toList());
    List<VoiceLineView> views = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      views.add(rows.get(i).view(times.places().get(i), film));
    }
    return new VoiceView(
        views,
        times.overlaps().stream()
            .map(
                o ->
                    new OverlapView(
                        script.get(o.first()).number(),
                        script.get(o.second()).number(),
                        Samples.toSeconds(o.samples())))
            .toList(),
        sungOverlaps(script, times.places(), film),
        Narrator.VOICES.stream().map(v -> new NarratorView(v.name(), v.about())).toList(),
        rate * (1 - RATE_ROOM),
        rate * (1 + RATE_ROOM));
  }

  private static List<SungOverlap> sungOverlaps(
      List<SpokenLine> script, List<LineTimes.Place> places, FilmState film) {
    List<SungPart> sung = film.song().map(Song::sung).orElse(List.of());
    long shift = film.film().song().start();
    List<SungOverlap> overlaps = new ArrayList<>();
    for (int i = 0; i < places.size(); i++) {
      long from = places.get(i).start() + shift;
      long to = places.get(i).end() + shift;
      long both = sung.stream().mapToLong(s -> s.within(from, to)).sum();
      if (both > 0) {
        overlaps.add(new SungOverlap(script.get(i).number(), Samples.toSeconds(both)));
      }
    }
    return overlaps;
  }

  /** A line with its readings, ready to be placed. */
  private record Row(
      SpokenLine line,
      VoiceLine settled,
      List<Reading> readings,
      LineTimes.Line placed,
      long onset,
      String problem) {

    static Row of(
        SpokenLine line,
        VoiceLine settled,
        Map<Long, List<Reading>> all,
        FilmState film,
        Map<Integer, Shot> shots,
        double usualGap) {
      List<Reading> its = settled == null ? List.of() : all.getOrDefault(settled.id(), List.of());
      Reading pick =
          its.stream().filter(r -> r.id().equals(settled.pickId())).findFirst().orElse(null);
      if (pick == null) {
        LineTimes.Line nothing = new LineTimes.Line(0, 0, OptionalLong.empty(), usualGap);
        return new Row(line, settled, its, nothing, 0, "");
      }
      Reading.Heard heard = pick.heard();
      Tightening tight =
          settled.longest() == null
              ? Tightening.NONE
              : VoiceService.tightening(heard, settled.longest());
      long onset =
          heard.words().stream()
              .filter(SpokenWord::isHeard)
              .mapToLong(w -> tight.at(w.start()))
              .findFirst()
              .orElse(0);
      Double value = settled.startValue();
      OptionalLong at = OptionalLong.empty();
      String problem = "";
      if (settled.startKind() == VoiceLine.StartKind.BAR && value != null) {
        at = bar(film, (int) Math.round(value));
        problem = at.isEmpty() ? "the song has no bar " + Math.round(value) : "";
      } else if (settled.startKind() == VoiceLine.StartKind.SHOT && value != null) {
        at = shot(film, shots.get((int) Math.round(value)));
        problem = at.isEmpty() ? "its shot is not in the film" : "";
      } else if (settled.startKind() == VoiceLine.StartKind.FREE && value != null) {
        at = OptionalLong.of(Samples.ofSeconds(value));
      }
      double gap =
          settled.startKind() == VoiceLine.StartKind.AFTER && value != null ? value : usualGap;
      return new Row(
          line,
          settled,
          its,
          new LineTimes.Line(tight.at(heard.length()), onset, at, gap),
          onset,
          problem);
    }

    private static OptionalLong bar(FilmState film, int bar) {
      BeatGrid grid = film.grid();
      int beat = grid.firstDownbeat() + (bar - 1) * grid.beatsPerBar();
      if (bar < 1 || beat >= grid.size()) {
        return OptionalLong.empty();
      }
      return OptionalLong.of(Math.max(0, grid.sampleOf(beat) - film.film().song().start()));
    }

    private static OptionalLong shot(FilmState film, Shot shot) {
      Cutting cutting = film.cutting();
      for (int i = 0; shot != null && i < film.film().placements().size(); i++) {
        if (film.film().placements().get(i).shot().equals(Long.toString(shot.id()))) {
          return OptionalLong.of(film.production().rate().sampleOf(cutting.rangeOf(i).start()));
        }
      }
      return OptionalLong.empty();
    }

    VoiceLineView view(LineTimes.Place place, FilmState film) {
      boolean there = placed.length() > 0;
      long word = place.start() + onset;
      BeatGrid grid = film.grid();
      long inSong = word + film.film().song().start();
      int beat = -1;
      for (int i = 0; there && i < grid.size() && grid.sampleOf(i) <= inSong; i++) {
        beat = i;
      }
      double longest =
          settled == null || settled.longest() == null ? USUAL_LONGEST : settled.longest();
      return new VoiceLineView(
          line.number(),
          line.speaker(),
          line.text(),
          settled == null || !there ? null : settled.pickId(),
          settled == null ? null : settled.longest(),
          settled == null ? VoiceLine.StartKind.AFTER : settled.startKind(),
          settled == null ? null : settled.startValue(),
          there ? Samples.toSeconds(word) : null,
          there ? Samples.toSeconds(place.end()) : null,
          beat < 0 ? 0 : grid.barOf(beat),
          beat < 0 ? 0 : grid.placeOf(beat),
          problem,
          readings.stream().map(r -> reading(r, longest)).toList());
    }

    private ReadingView reading(Reading r, double longest) {
      Reading.Heard heard = r.heard();
      Tightening tight = VoiceService.tightening(heard, longest);
      return new ReadingView(
          r.id(),
          r.number(),
          r.source(),
          r.label(),
          !r.text().equals(line.text()),
          Samples.toSeconds(heard.length()),
          Samples.toSeconds(heard.length() - tight.saved()),
          heard.words().stream()
              .map(
                  w ->
                      new WordView(
                          w.text(),
                          Samples.toSeconds(w.start()),
                          Samples.toSeconds(w.end()),
                          w.confidence(),
                          w.isDoubtful()))
              .toList(),
          PartOfReading.of(heard.strays()),
          PartOfReading.of(tight.cuts()),
          heard.fit(),
          heard.alignment().matches(),
          heard.alignment().found(),
          heard.facts(),
          Reading.PEAKS_A_SECOND,
          Base64.getEncoder().encodeToString(r.peaks()));
    }
  }
}
