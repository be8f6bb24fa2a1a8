package app.latethistle.media.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.story.Words;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Aligner;
import app.latethistle.core.voice.Alignment;
import app.latethistle.core.voice.LongReading;
import app.latethistle.core.voice.ModelReading;
import app.latethistle.core.voice.Pauses;
import app.latethistle.core.voice.SpokenWord;
import app.latethistle.core.voice.Tightening;
import app.latethistle.media.ModelVoice;
import app.latethistle.media.WordFinder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Words found by alignment, held against the times the synthesisers themselves report. */
class WordsInSpeechTest {
  @TempDir Path folder;

  /** Errors of the words' starts, in ms, smallest first. */
  private static double[] errors(List<KnownSpeech> spoken) throws IOException {
    List<Double> errors = new ArrayList<>();
    for (KnownSpeech line : spoken) {
      List<SpokenWord> words = Aligner.align(line.sound(), ModelVoice.read(line.text())).words();
      line.starts()
          .forEach(
              (place, start) -> {
                double found = Samples.toSeconds(words.get(place).start());
                errors.add(1000 * Math.abs(found - start));
              });
    }
    assertThat(errors).hasSizeGreaterThan(80);
    return errors.stream().mapToDouble(e -> e).sorted().toArray();
  }

  private static double share(double[] sorted, double share) {
    return sorted[(int) (share * (sorted.length - 1))];
  }

  @ParameterizedTest
  @CsvSource({"gmw/en-US,130,30", "gmw/en-US,220,75"})
  void findsTheWordsOfItsOwnVoiceAtOtherRatesAndPitches(String voice, int rate, int pitch)
      throws IOException {
    double[] errors = errors(KnownSpeech.espeak(voice, rate, pitch, folder));
    assertThat(share(errors, 0.5)).as("median").isLessThan(25);
    assertThat(share(errors, 0.95)).as("95 %%").isLessThan(80);
  }

  @ParameterizedTest
  @CsvSource({"gmw/en-US+f3,165,50", "gmw/en-GB-scotland+m5,190,45"})
  void findsTheWordsOfOtherVoices(String voice, int rate, int pitch) throws IOException {
    double[] errors = errors(KnownSpeech.espeak(voice, rate, pitch, folder));
    assertThat(share(errors, 0.5)).as("median").isLessThan(50);
    assertThat(share(errors, 0.95)).as("95 %%").isLessThan(120);
  }

  @Test
  void findsTheWordsOfAnotherSynthesiser() throws IOException {
    double[] errors = errors(KnownSpeech.festival(folder));
    assertThat(share(errors, 0.5)).as("median").isLessThan(50);
    assertThat(share(errors, 0.95)).as("95 %%").isLessThan(150);
  }

  @Test
  void saysWhereAReadingDoesNotMatchItsText() throws IOException {
    List<KnownSpeech> spoken = KnownSpeech.espeak("gmw/en-US+f3", 165, 50, folder);
    KnownSpeech keeper = spoken.get(6);
    Alignment right = Aligner.align(keeper.sound(), ModelVoice.read(keeper.text()));
    assertThat(right.matches()).as("%s", right).isTrue();

    Alignment missing =
        Aligner.align(
            keeper.sound(), ModelVoice.read(keeper.text().replace("boats", "boats seventy")));
    assertThat(missing.words().stream().filter(SpokenWord::isDoubtful).map(SpokenWord::text))
        .contains("seventy")
        .hasSizeLessThan(3);

    Alignment longer =
        Aligner.align(keeper.sound(), ModelVoice.read("The old keeper counts the boats again."));
    assertThat(longer.strays()).isNotEmpty();
    assertThat(Samples.toSeconds(longer.strays().get(0).start())).isBetween(1.6, 2.6);

    Alignment other = Aligner.align(keeper.sound(), ModelVoice.read(spoken.get(10).text()));
    assertThat(other.matches()).isFalse();
    assertThat(other.fit()).isLessThan(right.fit() / 2);
  }

  @Test
  void doubtsHardlyAWordThatAnotherSynthesiserSaysAndNoticesWhatItDoesNotSay() throws IOException {
    int words = 0;
    int doubted = 0;
    int noticed = 0;
    List<KnownSpeech> spoken = KnownSpeech.festival(folder);
    for (KnownSpeech line : spoken) {
      Alignment right = WordFinder.find(line.sound(), line.text());
      words += right.words().size();
      doubted += (int) right.words().stream().filter(SpokenWord::isDoubtful).count();
      List<String> written = new ArrayList<>(Words.of(line.text()));
      written.set(written.size() / 2, "carefully");
      Alignment other = WordFinder.find(line.sound(), String.join(" ", written));
      noticed += other.words().get(written.size() / 2).isDoubtful() ? 1 : 0;
    }
    assertThat(doubted).as("doubted of %d words that are said", words).isLessThanOrEqualTo(1);
    assertThat(noticed).as("of %d words that are not", spoken.size()).isGreaterThan(9);
  }

  @Test
  void partsALongRecordingIntoItsLines() throws IOException {
    List<KnownSpeech> spoken = KnownSpeech.espeak("gmw/en", 170, 45, folder);
    List<ModelReading> models = new ArrayList<>();
    float[] all = new float[0];
    List<Double> begins = new ArrayList<>();
    int rate = spoken.get(0).sound().rate();
    for (KnownSpeech line : spoken) {
      int at = all.length;
      begins.add((double) at / rate);
      all = Arrays.copyOf(all, at + line.sound().samples().length + rate / 2);
      System.arraycopy(line.sound().samples(), 0, all, at, line.sound().samples().length);
      models.add(ModelVoice.read(line.text()));
    }
    List<SampleRange> parts = LongReading.part(new MonoSound(all, rate), models);
    assertThat(parts).hasSameSizeAs(spoken);
    for (int i = 1; i < parts.size(); i++) {
      // Each border lies in the half second of silence and what the line before ends in.
      assertThat(Samples.toSeconds(parts.get(i).start()))
          .as(spoken.get(i).text())
          .isBetween(begins.get(i) - 0.9, begins.get(i) + 0.05);
    }
  }

  @Test
  void tightensPausesWithoutTouchingAWord() throws IOException {
    for (KnownSpeech line : KnownSpeech.espeak("gmw/en-US+f3", 120, 45, folder)) {
      Alignment found = Aligner.align(line.sound(), ModelVoice.read(line.text()));
      long length = Samples.ofSeconds(line.sound().seconds());
      Tightening tight = Tightening.to(Pauses.of(line.sound()), found.words(), 0.1, length);
      for (SampleRange cut : tight.cuts()) {
        assertThat(found.words()).noneMatch(w -> w.start() < cut.end() && w.end() > cut.start());
        for (double start : line.starts().values()) {
          // Where the synthesiser itself says a word begins, nothing is cut either: 60 ms are for
          // the silence in which a "p" or "t" builds up, which it counts to the word.
          long at = Samples.ofSeconds(start + 0.06);
          assertThat(at < cut.start() || at >= cut.end()).as("cut at %d", at).isTrue();
        }
      }
    }
  }
}
