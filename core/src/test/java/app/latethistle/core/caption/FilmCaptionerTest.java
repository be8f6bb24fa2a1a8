package app.latethistle.core.caption;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.words.Align;
import app.latethistle.core.words.CaptionKind;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Speakers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Who speaks, and what else is heard, in a film's captions; frames are of 24 a second. */
class FilmCaptionerTest {
  private static final long RATE = 48_000;

  /** Maren at 2 s, Pike at 6 s and Maren at 10 s, three words in a second and a half each. */
  private static Resolved film(Map<String, Double> sounds) {
    List<Narration.Line> lines = new ArrayList<>();
    String[] speakers = {"Maren", "Pike", "Maren"};
    for (int i = 0; i < speakers.length; i++) {
      List<Word> words = new ArrayList<>();
      for (String word : List.of("the", "water", "came")) {
        long at = words.size() * RATE / 2;
        words.add(new Word(word, new SampleRange(at, at + RATE / 2)));
      }
      Narration.Start start = new Narration.Start.At((2 + 4L * i) * RATE);
      lines.add(
          new Narration.Line(
              "l" + i, i + 1, "the water came", words, 3 * RATE / 2, start, speakers[i]));
    }
    List<FilmSound> laid = new ArrayList<>();
    sounds.forEach(
        (id, at) ->
            laid.add(
                new FilmSound(
                    id,
                    new SoundMaterial.OfFile(
                        "m", id, new SampleRange(0, RATE), 0, Optional.empty()),
                    Landing.on(Tie.free(Math.round(24 * at))),
                    Manner.PLAIN)));
    Film film =
        Films.cut(
                List.of(
                    Placement.of("s0", "a0", 0, Framing.FILL),
                    Placement.of("s1", "a1", 0, Framing.FILL)),
                List.of(Tie.free(0), Tie.free(200), Tie.free(400)))
            .withSounds(laid);
    Clocks clocks = new Clocks(BeatGrid.EMPTY, new Narration(lines), () -> BandLevels.EMPTY);
    return Resolved.of(film, clocks, Films.resolved(film).rate(), Films.resolved(film).takes());
  }

  private static FilmCaptioner captioner(Resolved film, FilmCaptions said) {
    return new FilmCaptioner(film, said, Shape.of(16, 9));
  }

  private static FilmCaptions telling(Speakers speakers) {
    return FilmCaptions.in("en").withStyle(CaptionStyle.USUAL.withSpeakers(speakers));
  }

  private static List<String> texts(FilmCaptioner captioner) {
    return captioner.captions().stream().map(c -> String.join(" / ", c.lines())).toList();
  }

  @Test
  void whoSpeaksIsToldWhereItChanges() {
    Resolved film = film(Map.of());
    assertThat(texts(captioner(film, telling(Speakers.NAMES))))
        .containsExactly("Maren: the water came", "Pike: the water came", "Maren: the water came");
    assertThat(texts(captioner(film, telling(Speakers.UNTOLD)))).containsOnly("the water came");
    FilmCaptioner colours = captioner(film, telling(Speakers.COLOURS));
    // The dash tells those who do not see the colour.
    assertThat(texts(colours))
        .containsExactly("the water came", "\u2013 the water came", "\u2013 the water came");
    assertThat(colours.captions())
        .extracting(colours::speaker)
        .containsExactly("Maren", "Pike", "Maren");
    assertThat(texts(captioner(film, telling(Speakers.PLACES)))).isEqualTo(texts(colours));
    CaptionStyle sides = telling(Speakers.PLACES).style();
    assertThat(Stream.of(-1, 0, 1, 2).map(n -> sides.lettering(n).spacing().align()))
        .containsExactly(Align.MIDDLE, Align.START, Align.END, Align.MIDDLE);
    CaptionStyle style = telling(Speakers.COLOURS).style();
    assertThat(style.lettering(colours.speakers().indexOf("Maren"))).isEqualTo(style.lettering());
    assertThat(style.lettering(colours.speakers().indexOf("Pike")).colour())
        .isNotEqualTo(style.lettering().colour());
  }

  @Test
  void soundsAreToldWhereThereIsRoom() {
    Map<String, Double> at = new TreeMap<>(Map.of("gap", 0.5, "over", 2.5, "late", 11.9));
    FilmCaptions said =
        FilmCaptions.in("en")
            .withSounds(
                Map.of("gap", "[bell]", "over", "[knock]", "late", "[thunder]", "gone", "[rain]"));
    FilmCaptioner captioner = captioner(film(at), said);
    assertThat(texts(captioner))
        .containsExactly(
            "[bell]", "[knock] / the water came", "the water came", "the water came", "[thunder]");
    assertThat(captioner.crowded()).isEmpty();
    assertThat(captioner.captions().get(0).at().start()).isEqualTo(12);
    // In one line at once none stands over what is said: it comes soon after, or not at all.
    FilmCaptions one = said.withStyle(CaptionStyle.USUAL.withKind(CaptionKind.ONE_LINE));
    assertThat(texts(captioner(film(at), one))).doesNotContain("[knock] / the water came");
    FilmCaptions words = said.withStyle(CaptionStyle.USUAL.withKind(CaptionKind.ONE_WORD));
    assertThat(captioner(film(Map.of("over", 2.1)), words).crowded()).containsExactly("over");
  }

  /** Whatever is heard when: nothing is lost in silence, and captions follow each other. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void eachSoundIsToldOrCrowdedAndNothingOverlaps(long seed) {
    Random random = new Random(seed);
    Map<String, Double> at = new TreeMap<>();
    Map<String, String> said = new TreeMap<>();
    for (int i = 0; i < 8; i++) {
      at.put("x" + i, 15 * random.nextDouble());
      said.put("x" + i, "[sound " + i + "]");
    }
    FilmCaptioner captioner = captioner(film(at), FilmCaptions.in("en").withSounds(said));
    List<Caption> captions = captioner.captions();
    List<String> lines = captions.stream().flatMap(c -> c.lines().stream()).toList();
    said.forEach(
        (id, text) ->
            assertThat(lines.contains(text)).as(id).isNotEqualTo(captioner.crowded().contains(id)));
    for (int i = 1; i < captions.size(); i++) {
      assertThat(captions.get(i).at().start())
          .isGreaterThanOrEqualTo(captions.get(i - 1).at().end());
    }
    assertThat(lines.stream().filter(l -> l.equals("the water came"))).hasSize(3);
  }
}
