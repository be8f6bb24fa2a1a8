package app.latethistle.core.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What lies beside a cut, where it is and what of its file it is; 24 frames of 2000 samples. */
class FilmStrandsTest {
  private static final long FRAME = 2_000;

  private static final FilmStrands.Files FILES =
      new FilmStrands.Files() {
        @Override
        public Optional<String> song() {
          return Optional.of("song.flac");
        }

        @Override
        public String take(Take take) {
          return take.id();
        }

        @Override
        public Optional<FilmStrands.Reading> reading(VoiceClock.Spoken line) {
          SampleRange pause = new SampleRange(10 * FRAME, 14 * FRAME);
          return Optional.of(new FilmStrands.Reading("line.wav", List.of(pause)));
        }
      };

  private static FilmSound sound(String id, SampleRange part, long lands, Landing when) {
    Optional<SampleRange> loop =
        when.until().map(u -> new SampleRange(part.start(), part.start() + part.length() / 2));
    return new FilmSound(
        id, new SoundMaterial.OfFile(id, id, part, lands, loop), when, Manner.PLAIN);
  }

  private static Resolved film(List<FilmSound> sounds) {
    Narration.Line line =
        new Narration.Line("l", 1, List.of(), 20 * FRAME, new Narration.Start.At(30 * FRAME));
    Film film =
        Films.cut(
                List.of(Placement.of("s0", "a0", 0, Framing.FILL)),
                List.of(Tie.free(0), Tie.free(100)))
            .withMusic(new SongUse(5 * FRAME))
            .withSounds(sounds);
    Clocks clocks =
        new Clocks(BeatGrid.EMPTY, new Narration(List.of(line)), () -> BandLevels.EMPTY);
    return Resolved.of(film, clocks, Films.resolved(film).rate(), Films.resolved(film).takes());
  }

  private static Strand strand(List<Strand> all, String name) {
    return all.stream().filter(s -> s.name().equals(name)).findFirst().orElseThrow();
  }

  @Test
  void songVoiceAndSoundsLieWhereTheyAreHeard() {
    FilmSound early = sound("early", new SampleRange(0, 8 * FRAME), 6 * FRAME, at(2));
    FilmSound bed =
        sound(
            "bed",
            new SampleRange(FRAME, 9 * FRAME),
            FRAME,
            Landing.between(Tie.free(40), Tie.free(58)));
    List<Strand> all = FilmStrands.of(film(List.of(early, bed)), FILES);
    assertThat(strand(all, "Music").pieces())
        .containsExactly(new Strand.Laid("song.flac", NamedFile.of("song.flac"), 0, 5, 100));
    // What tightening left out of a reading parts it in two.
    assertThat(strand(all, "Voice").pieces())
        .containsExactly(
            new Strand.Laid("line 1", NamedFile.of("line.wav"), 30, 0, 10),
            new Strand.Laid("line 1", NamedFile.of("line.wav"), 40, 14, 10));
    List<Strand.Laid> sounds = strand(all, "Sounds").pieces();
    // Four of its frames lie before the film.
    assertThat(sounds.get(0)).isEqualTo(new Strand.Laid("early", NamedFile.of("early"), 0, 4, 4));
    // Once through, then its loop of four frames again and again, to the frame it goes on to.
    assertThat(sounds.subList(1, sounds.size()))
        .extracting(Strand.Laid::at, Strand.Laid::from, Strand.Laid::frames)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(40.0, 1.0, 8.0),
            org.assertj.core.groups.Tuple.tuple(48.0, 1.0, 4.0),
            org.assertj.core.groups.Tuple.tuple(52.0, 1.0, 4.0),
            org.assertj.core.groups.Tuple.tuple(56.0, 1.0, 2.0));
  }

  private static Landing at(long frame) {
    return Landing.on(Tie.free(frame));
  }

  /** Whatever is heard at once: none over another in its track, none beside the film, none lost. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void piecesOfATrackFollowEachOther(long seed) {
    Random random = new Random(seed);
    List<FilmSound> sounds = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      long length = 1_000L + random.nextInt(60_000);
      sounds.add(sound("x" + i, new SampleRange(0, length), length / 3, at(random.nextInt(99))));
    }
    List<Strand> tracks =
        FilmStrands.of(film(sounds), FILES).stream()
            .filter(s -> s.name().startsWith("Sounds"))
            .toList();
    for (Strand track : tracks) {
      double end = 0;
      for (Strand.Laid piece : track.pieces()) {
        assertThat(piece.at()).isGreaterThanOrEqualTo(end - 1e-6);
        end = piece.at() + piece.frames();
      }
      assertThat(end).isLessThanOrEqualTo(100 + 1e-6);
    }
    assertThat(tracks.stream().mapToInt(t -> t.pieces().size()).sum()).isEqualTo(sounds.size());
  }
}
