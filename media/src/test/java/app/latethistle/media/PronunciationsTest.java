package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PronunciationsTest {
  @TempDir Path folder;
  private Path dictionary;

  @BeforeEach
  void write() throws IOException {
    dictionary = folder.resolve("words.dict");
    Files.write(
        dictionary,
        List.of(
            "don't D OW N T",
            "night N AY T",
            "nightly N AY T L IY",
            "post P OW S T",
            "the DH AH",
            "the(2) DH IY"));
  }

  private List<String> of(String word) throws IOException {
    return Pronunciations.of(List.of(word), dictionary).get(0);
  }

  @Test
  void areAllThatTheDictionaryKnows() throws IOException {
    assertThat(of("the")).containsExactly("DH AH", "DH IY");
    assertThat(of("Night")).containsExactly("N AY T");
    assertThat(of("don’t")).containsExactly("D OW N T");
  }

  @Test
  void ofJoinedPartsFollowOneAnother() throws IOException {
    assertThat(of("Night-Post")).containsExactly("N AY T P OW S T");
    assertThat(of("the-night-the"))
        .containsExactly(
            "DH AH N AY T DH AH", "DH AH N AY T DH IY", "DH IY N AY T DH AH", "DH IY N AY T DH IY");
  }

  @Test
  void ofInventedNamesAndNumbersAreMadeUp() throws IOException {
    assertThat(of("Kestle")).containsExactly("K EH S AH L");
    assertThat(of("1912").get(0)).startsWith("N AY N T IY N").endsWith("T W EH L V");
    assertThat(of("Merrin-night").get(0)).startsWith("M EH R").endsWith("N AY T");
  }

  @Test
  void areNoneOfWhatIsNotSpoken() throws IOException {
    assertThat(of("…")).isEmpty();
  }

  @Test
  void areWrittenOverFromIpaLongestSignFirst() {
    assertThat(Pronunciations.written("tʃ_ˈɜː_tʃ")).isEqualTo("CH ER CH");
    assertThat(Pronunciations.written("f_ˈaɪɚ")).isEqualTo("F AY ER");
    assertThat(Pronunciations.written("b_ˈʌ_ʔ_n̩")).isEqualTo("B AH T AH N");
    assertThat(Pronunciations.written("ˈɔːɹ_s_ə_l_ɪ__ə")).isEqualTo("AO R S AH L IH AH");
  }
}
