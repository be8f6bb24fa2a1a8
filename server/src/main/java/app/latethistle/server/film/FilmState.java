package app.latethistle.server.film;

import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.render.Program;
import app.latethistle.core.take.Take;
import app.latethistle.core.voice.Stretch;
import app.latethistle.media.ContentStore;
import app.latethistle.media.SoundTrack;
import app.latethistle.media.Speech;
import app.latethistle.server.material.Song;
import app.latethistle.server.production.Production;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A production's film at one revision, resolved.
 *
 * @param takes the takes that are ready, by id
 * @param lines the script's lines with their readings
 * @param song the chosen song, if it has been listened to
 */
public record FilmState(
    Production production,
    EditLog log,
    BeatGrid grid,
    Map<String, Take> takes,
    Optional<Song> song,
    List<ReadLine> lines,
    Cutting cutting) {

  static FilmState of(
      Production production,
      EditLog log,
      Map<String, Take> takes,
      Optional<Song> song,
      List<ReadLine> lines) {
    BeatGrid grid = song.map(Song::grid).orElse(BeatGrid.EMPTY);
    Narration narration = new Narration(lines.stream().map(ReadLine::line).toList());
    Cutting cutting = Cutting.of(log.film(), new Clocks(grid, narration), production.rate(), takes);
    return new FilmState(production, log, grid, takes, song, lines, cutting);
  }

  private static Narration narration(List<ReadLine> lines) {
    return new Narration(lines.stream().map(ReadLine::line).toList());
  }

  /** Where the lines are heard that stay when the film is cut again. */
  VoiceClock steadyVoice() {
    return VoiceClock.of(
        narration(lines).apartFromShots(), film(), cutting.frames(), grid, production.rate());
  }

  /** The same production with another film. */
  FilmState of(Film film) {
    return of(production, EditLog.of(film), takes, song, lines);
  }

  public Film film() {
    return log.film();
  }

  /** What is drawn, at the size given. */
  public Program program(int width, int height) {
    return Program.of(film(), cutting, takes, production.rate(), width, height);
  }

  /** What is heard. */
  public SoundTrack sound(ContentStore store) {
    long length = production.rate().sampleOf(cutting.length());
    long fade = production.rate().sampleOf(film().song().fade());
    List<Speech> voice = spoken().stream().map(part -> part.speech(store)).toList();
    return song.map(
            s ->
                new SoundTrack(
                    store.path(s.medium().hash()),
                    s.medium().facts().container(),
                    film().song().start(),
                    voice,
                    length,
                    fade))
        .orElseGet(() -> new SoundTrack(null, null, 0, voice, length, fade));
  }

  /** The lines that are spoken in it. */
  public List<SpokenPart> spoken() {
    List<SpokenPart> spoken = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      ReadLine line = lines.get(i);
      Stretch at = cutting.voice().lines().get(i).at();
      if (line.medium() != null) {
        spoken.add(
            new SpokenPart(
                line.medium().hash(),
                line.medium().facts().container(),
                line.cuts(),
                at.start(),
                at.length(),
                Speech.gainFor(line.loudness())));
      }
    }
    return spoken;
  }

  /** The hash of the song's file, or "". */
  public String songHash() {
    return song.map(s -> s.medium().hash()).orElse("");
  }
}
