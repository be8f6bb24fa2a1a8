package app.latethistle.core.voice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Readings by a voice that is far from the model's, judged by a recogniser. */
class RecognisedTest {
  private static final int RATE = 22_050;
  private static final List<String> TEXT =
      List.of("Nobody", "remembers", "the", "year", "the", "valley", "filled");

  /** So likely is a frame of what is said, and of what is not. */
  private static final double RIGHT = -1.6;

  private static final double WRONG = -8;

  /** Bursts of noise, one a word of a third of a second, with rests between them. */
  private static MonoSound bursts(int seed, int words) {
    Random random = new Random(seed);
    float[] samples = new float[words * RATE / 2];
    for (int i = 0; i < samples.length; i++) {
      boolean spoken = i % (RATE / 2) < RATE / 3;
      double ring = Math.sin(i * (0.02 + 0.1 * (seed * 31 + i / (RATE / 2)) % 0.3));
      samples[i] = (float) ((spoken ? 0.3 : 0.0005) * ring * random.nextGaussian());
    }
    return new MonoSound(samples, RATE);
  }

  private static ModelReading model() {
    List<ModelReading.Word> words = new ArrayList<>();
    for (int i = 0; i < TEXT.size(); i++) {
      words.add(new ModelReading.Word(TEXT.get(i), 0.5 * i, 0.5 * i + 0.33));
    }
    return new ModelReading(bursts(1, TEXT.size()), words);
  }

  private static List<Recogniser.Heard> heard() {
    List<Recogniser.Heard> heard = new ArrayList<>();
    for (int i = 0; i < TEXT.size(); i++) {
      heard.add(new Recogniser.Heard(0.5 * i, 0.5 * i + 0.33, 33 * RIGHT));
    }
    return heard;
  }

  private static Alignment judged(List<Recogniser.Heard> heard) throws IOException {
    MonoSound reading = bursts(2, TEXT.size());
    assertThat(Aligner.align(reading, model()).fit()).isLessThan(0.3);
    return LongReading.align(reading, List.of(model()), (sound, words) -> heard);
  }

  @Test
  void areRightWhereAllIsAsLikelyAsSpeechIs() throws IOException {
    Alignment found = judged(heard());
    assertThat(found.matches()).as("%s", found).isTrue();
    assertThat(found.found()).isEqualTo(TEXT.size());
    assertThat(Samples.toSeconds(found.words().get(3).start())).isCloseTo(1.5, within(1e-3));
  }

  @Test
  void doubtAWordThatIsNotSaidAndNoOther() throws IOException {
    List<Recogniser.Heard> heard = heard();
    heard.set(5, new Recogniser.Heard(2.5, 2.83, 33 * WRONG));
    Alignment found = judged(heard);
    assertThat(found.words().stream().filter(SpokenWord::isDoubtful))
        .extracting(SpokenWord::text)
        .containsExactly("valley");
  }

  @Test
  void forgiveAShortWordWhatALongOneIsNotForgiven() throws IOException {
    List<Recogniser.Heard> heard = heard();
    heard.set(2, new Recogniser.Heard(1, 1.08, 8 * -5));
    assertThat(judged(heard).words().get(2).isDoubtful()).isFalse();
    heard.set(2, new Recogniser.Heard(1, 1.33, 33 * -5));
    assertThat(judged(heard).words().get(2).isDoubtful()).isTrue();
  }

  @Test
  void missAWordThatIsLeftOutOrSqueezedIn() throws IOException {
    List<Recogniser.Heard> heard = heard();
    heard.set(3, new Recogniser.Heard(0, 0, 0));
    heard.set(6, new Recogniser.Heard(3, 3.06, 6 * -15));
    Alignment found = judged(heard);
    assertThat(found.words().stream().filter(w -> !w.isHeard()))
        .extracting(SpokenWord::text)
        .containsExactly("year", "filled");
    // What is said there instead belongs to no word.
    assertThat(found.strays()).isNotEmpty();
    assertThat(found.matches()).isFalse();
  }

  @Test
  void areNotAskedForWhereTheVoiceIsTheModels() throws IOException {
    Alignment found =
        LongReading.align(
            model().sound(),
            List.of(model()),
            (sound, words) -> {
              throw new AssertionError("asked for a voice that is known");
            });
    assertThat(found.matches()).isTrue();
  }

  @Test
  void areAsTheModelFindsThemWhereNothingIsRecognised() throws IOException {
    MonoSound reading = bursts(2, TEXT.size());
    Alignment own = Aligner.align(reading, model());
    assertThat(LongReading.align(reading, List.of(model()), Recogniser.NONE)).isEqualTo(own);
    // And where what is recognised speaks for another text.
    List<Recogniser.Heard> unlikely = new ArrayList<>();
    heard().forEach(h -> unlikely.add(new Recogniser.Heard(h.start(), h.end(), 33 * WRONG)));
    assertThat(judged(unlikely)).isEqualTo(own);
  }
}
