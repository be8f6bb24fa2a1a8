package app.latethistle.server.film;

import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.grade.ColourChange;
import app.latethistle.core.grade.ColourTreatment;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.interchange.BeatMap;
import app.latethistle.core.interchange.CaptionFormat;
import app.latethistle.core.interchange.CubeText;
import app.latethistle.core.interchange.CueSheet;
import app.latethistle.core.interchange.EditList;
import app.latethistle.core.interchange.FilmCaptionText;
import app.latethistle.core.interchange.FilmStrands;
import app.latethistle.core.interchange.PieceList;
import app.latethistle.core.interchange.ShotTable;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Shape;
import app.latethistle.core.story.Csv;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Timecode;
import app.latethistle.document.Timeline;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.Song;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What of a film other programs read, as texts. */
@ServerOnly
@Component
class OpenFormats {
  /** Entries along each side of a table that leaves. */
  static final int TABLE_SIZE = 33;

  private final Takes takes;
  private final LookViews looks;
  private final HeardCues heard;

  OpenFormats(Takes takes, LookViews looks, HeardCues heard) {
    this.takes = takes;
    this.looks = looks;
    this.heard = heard;
  }

  /** The cut. */
  PieceList cut(FilmState state) {
    Map<String, String> labels = looks.labels(state);
    Map<String, TakeEntry> entries = takes.byFilmId(state.production().id());
    return PieceList.of(
        state.production().title(),
        state.resolved(),
        new PieceList.Names() {
          @Override
          public String shot(Placement shot) {
            return labels.getOrDefault(shot.id(), shot.id());
          }

          @Override
          public String file(Take take) {
            return fileName(entries, take);
          }
        });
  }

  /** The film as an OpenTimelineIO timeline: its cut, and what lies beside it. */
  String timeline(FilmState state) {
    Map<String, TakeEntry> entries = takes.byFilmId(state.production().id());
    Map<String, ReadLine> lines = new HashMap<>();
    state.lines().forEach(line -> lines.put(line.line().id(), line));
    FilmStrands.Files files =
        new FilmStrands.Files() {
          @Override
          public Optional<String> song() {
            return state.song().map(Song::title);
          }

          @Override
          public String take(Take take) {
            return fileName(entries, take);
          }

          @Override
          public Optional<FilmStrands.Reading> reading(VoiceClock.Spoken line) {
            return Optional.ofNullable(lines.get(line.id()))
                .map(of -> new FilmStrands.Reading("line " + line.number(), of.cuts()));
          }
        };
    return Timeline.of(cut(state), FilmStrands.of(state.resolved(), files));
  }

  private static String fileName(Map<String, TakeEntry> entries, Take take) {
    return Optional.ofNullable(entries.get(take.id()))
        .map(TakeEntry::fileName)
        .orElse(take.media());
  }

  /** What is heard when, as CSV. */
  String cues(FilmState state) {
    return CueSheet.of(heard.of(state), state.production().rate());
  }

  /**
   * Captions of a language.
   *
   * @param other the shape in which they are broken; the film's own if empty
   */
  String captions(FilmState state, String language, CaptionFormat form, Optional<Shape> other) {
    FilmCaptions said = state.film().captionsIn(language);
    FrameRange whole = new FrameRange(0, state.cutting().length());
    return new FilmCaptionText(state.resolved(), said, state.shape(), other, whole).write(form);
  }

  /** Markers, as CSV. */
  String markers(FilmState state) {
    FrameRate rate = state.production().rate();
    StringBuilder text =
        new StringBuilder(Csv.write(List.of("frame", "timecode", "note", "by", "done")));
    for (Marker marker : state.film().markers()) {
      long frame = state.cutting().beside().markers().getOrDefault(marker.id(), 0L);
      text.append(
          Csv.write(
              List.of(
                  Long.toString(frame),
                  Timecode.of(Math.max(0, frame), rate).toString(),
                  marker.note(),
                  marker.by(),
                  marker.done() ? "done" : "")));
    }
    return text.toString();
  }

  /** The film's look: a table of each shot that is corrected, and one of the finish. */
  Map<String, String> looks(FilmState state) {
    Map<String, ColourChange> changes = new LinkedHashMap<>();
    looks
        .labels(state)
        .forEach(
            (item, label) -> {
              Correction correction = state.shot(item).how().correction();
              if (!correction.leavesAll()) {
                changes.put(free(label, changes), Grading.of(correction));
              }
            });
    changes.put("finish", ColourTreatment.of(state.film().finish().treatments()));
    Map<String, String> tables = new LinkedHashMap<>();
    changes.forEach(
        (name, change) ->
            tables.put(
                name.replaceAll("[\\\\/:*?\"<>|]", "_") + ".cube",
                CubeText.of(name, change, TABLE_SIZE)));
    return tables;
  }

  /** A name that is not taken: of shots that are seen more than once the next ones are counted. */
  private static String free(String name, Map<String, ?> taken) {
    String free = name;
    for (int i = 2; taken.containsKey(free); i++) {
      free = name + " (" + i + ")";
    }
    return free;
  }

  /** All of them, by their names in a folder. */
  Map<String, String> all(FilmState state) {
    Map<String, String> all = new LinkedHashMap<>();
    PieceList cut = cut(state);
    all.put("timeline.otio", timeline(state));
    all.put("cut.edl", EditList.of(cut));
    all.put("shots.csv", ShotTable.of(cut));
    all.put("cues.csv", cues(state));
    all.put("markers.csv", markers(state));
    if (state.grid().size() > 0) {
      all.put("beats.csv", BeatMap.of(state.grid()));
    }
    for (FilmCaptions said : state.film().inEveryLanguage()) {
      for (CaptionFormat form : CaptionFormat.values()) {
        all.put(
            "captions/" + said.language() + "." + form.ending(),
            captions(state, said.language(), form, Optional.empty()));
      }
    }
    looks(state).forEach((name, table) -> all.put("looks/" + name, table));
    return all;
  }
}
