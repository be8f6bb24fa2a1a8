package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Balance;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.mix.FilmMix;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.core.time.SampleRange;
import app.latethistle.media.MixFiles;
import app.latethistle.media.WorkFolder;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.FilmSoundFiles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.EnumSet;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** One thing of a film's sound, to be heard by itself. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class HearingController {
  private static final String WAVE = "audio/wav";

  private final FilmService films;
  private final FilmSoundFiles sounds;

  HearingController(FilmService films, FilmSoundFiles sounds) {
    this.films = films;
    this.sounds = sounds;
  }

  /** A sound as it is heard in the film, with nothing else: from its first sample on. */
  @GetMapping(path = "/hear-sound.wav", produces = WAVE)
  byte[] sound(@PathVariable long productionId, @RequestParam String sound) throws IOException {
    FilmState state = films.state(productionId);
    Mix alone = FilmMix.alone(state.resolved(), state.shape(), state.sounding(), sound);
    long start = alone.parts().stream().mapToLong(p -> p.heard().start()).min().orElse(0);
    long end = alone.parts().stream().mapToLong(p -> p.heard().end()).max().orElse(0);
    SampleRange heard =
        new SampleRange(Math.max(0, start), Math.min(alone.length(), Math.max(0, end)));
    if (heard.isEmpty()) {
      throw new Refused("That sound is not heard in the film; land it on something that is there.");
    }
    return wave(state, alone.part(heard));
  }

  /**
   * A line as it is read, at the loudness of every other, so that what is done to it is judged by
   * itself.
   *
   * @param cared with what the film does to readings, or without
   */
  @GetMapping(path = "/hear-line.wav", produces = WAVE)
  byte[] line(
      @PathVariable long productionId, @RequestParam String line, @RequestParam boolean cared)
      throws IOException {
    FilmState state = films.state(productionId);
    VoiceClock.Spoken spoken =
        state.cutting().voice().lines().stream()
            .filter(l -> l.id().equals(line) && l.isHeard() && !l.at().isEmpty())
            .findFirst()
            .orElseThrow(() -> new Refused("That line is not heard in the film."));
    VoiceCare care = cared ? state.film().balance().care() : VoiceCare.NONE;
    Film plain = state.film().withBalance(Balance.USUAL.withCare(care));
    Mix voice = state.of(plain).mix().only(EnumSet.of(Bus.VOICE)).part(spoken.at());
    return wave(state, new LoudnessAim(Part.VOICE_LOUDNESS, -1).reachedBy(voice, sounds));
  }

  private byte[] wave(FilmState state, Mix mix) throws IOException {
    LocalDateTime now = LocalDateTime.now(ZoneId.systemDefault());
    try (WorkFolder folder = WorkFolder.make()) {
      Path file = folder.path().resolve("heard.wav");
      new MixFiles(mix, sounds, state.production().title(), now).whole(file);
      return Files.readAllBytes(file);
    }
  }
}
