package app.latethistle.server.film;

import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.render.Program;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.voice.Stretch;
import app.latethistle.media.ClipPart;
import app.latethistle.media.Container;
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
 * @param sounding what the clips are that have a sound of their own, by take
 * @param lines the script's lines with their readings
 * @param song the chosen song, if it has been listened to
 */
public record FilmState(
    Production production,
    EditLog log,
    BeatGrid grid,
    Map<String, Take> takes,
    Map<String, Container> sounding,
    Optional<Song> song,
    List<ReadLine> lines,
    Cutting cutting) {

  static FilmState of(
      Production production,
      EditLog log,
      Map<String, Take> takes,
      Map<String, Container> sounding,
      Optional<Song> song,
      List<ReadLine> lines) {
    BeatGrid grid = song.map(Song::grid).orElse(BeatGrid.EMPTY);
    Clocks clocks = new Clocks(grid, narration(lines));
    Cutting cutting = Cutting.of(log.film(), clocks, production.rate(), takes);
    return new FilmState(production, log, grid, takes, sounding, song, lines, cutting);
  }

  private static Narration narration(List<ReadLine> lines) {
    return new Narration(lines.stream().map(ReadLine::line).toList());
  }

  /** Where the lines are heard that stay when the film is cut again. */
  VoiceClock steadyVoice() {
    return VoiceClock.of(
        narration(lines).apartFromShots(), film(), cutting.frames(), grid, production.rate());
  }

  /** The words that are said with a shot, in samples after its first frame. */
  List<Stretch> saidWith(String shot) {
    Narration said = narration(lines).startingWith(shot);
    return VoiceClock.of(said, Film.EMPTY, List.of(), grid, production.rate()).lines().stream()
        .flatMap(line -> line.words().stream())
        .map(Narration.Word::at)
        .toList();
  }

  /** The same production with another film. */
  FilmState of(Film film) {
    return with(EditLog.of(film));
  }

  /** The same production with other edits. */
  FilmState with(EditLog other) {
    return of(production, other, takes, sounding, song, lines);
  }

  /** What edits are worked out on. */
  public Resolved resolved() {
    return new Resolved(
        film(), new Clocks(grid, narration(lines)), production.rate(), takes, cutting);
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
    List<ClipPart> clips = heardClips().stream().map(clip -> clip.part(store)).toList();
    List<Speech> voice = spoken().stream().map(part -> part.speech(store)).toList();
    return song.map(
            s ->
                new SoundTrack(
                    store.path(s.medium().hash()),
                    s.medium().facts().container(),
                    film().song().start(),
                    clips,
                    voice,
                    length,
                    fade))
        .orElseGet(() -> new SoundTrack(null, null, 0, clips, voice, length, fade));
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

  /** What is heard of clips: with their pictures, and detached from them. */
  public List<HeardClip> heardClips() {
    List<HeardClip> heard = new ArrayList<>();
    for (int i = 0; i < film().placements().size(); i++) {
      heard(heard, film().placements().get(i), cutting.rangeOf(i));
    }
    for (Overlay overlay : film().overlays()) {
      FrameRange range = cutting.beside().overlays().get(overlay.name());
      if (range != null) {
        heard(heard, overlay.placement(), range);
      }
    }
    for (FilmSound sound : film().sounds()) {
      Long start = cutting.beside().sounds().get(sound.id());
      if (start != null && sounding.containsKey(sound.take())) {
        FrameRange range = new FrameRange(start, start + sound.length());
        ClipSound plain = new ClipSound(true, 0, 0, sound.gain());
        heard.add(clip(takes.get(sound.take()), Run.PLAIN, sound.in(), range, plain));
      }
    }
    return heard;
  }

  private void heard(List<HeardClip> heard, Placement shot, FrameRange range) {
    if (shot.sound().on() && sounding.containsKey(shot.take())) {
      heard.add(clip(takes.get(shot.take()), shot.run(), shot.in(), range, shot.sound()));
    }
  }

  private HeardClip clip(Take take, Run run, long in, FrameRange range, ClipSound sound) {
    FrameRate rate = production.rate();
    long at = rate.sampleOf(range.start());
    return new HeardClip(
        take.media(),
        sounding.get(take.id()),
        run,
        rate.sampleOf(in),
        rate.sampleOf(take.frames()),
        at,
        rate.sampleOf(range.end()) - at,
        rate.sampleOf(sound.lead()),
        rate.sampleOf(sound.tail()),
        sound.gain());
  }

  /** The hash of the song's file, or "". */
  public String songHash() {
    return song.map(s -> s.medium().hash()).orElse("");
  }
}
