package app.latethistle.core.story;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Answers as writing services give them, in shapes that were seen (common practice, no source): the
 * scenes, what is seen and what is said are the same in all of them.
 */
class AnswersTest {
  private static final List<String> SCENES = List.of("The Pier", "The Bell");
  private static final List<String> SEEN =
      List.of("Black water under a pier.", "A bell sways in the fog.");
  private static final List<String> SAID =
      List.of("Narrator: The water came at night.", "Maren: It stayed.");

  static Stream<String> answers() {
    return Stream.of(
        """
        **Scene 1: The Pier**

        *Visual:* Black water under a pier.

        **Narrator:** The water came at night.

        **Scene 2: The Bell**

        *Visual:* A bell sways in the fog.

        **Maren:** It stayed.
        """,
        """
        Sure! Here is your script:

        ## Scene 1: The Pier
        **Visual:** Black water under a pier.
        **Narrator (V.O.):** "The water came at night."

        ## Scene 2: The Bell
        **Visual:** A bell sways in the fog.
        **Maren:** "It stayed."

        Let me know if you would like another tone!
        """,
        """
        ### 🎬 Scene 1 – The Pier
        - **Visual:** Black water under a pier.
        - **Narrator:** The water came at night.

        ### 🎬 Scene 2 – The Bell
        - **Visual:** A bell sways in the fog.
        - **Maren:** It stayed.
        """,
        """
        | Scene | Visual | Voiceover |
        |---|---|---|
        | 1: The Pier | Black water under a pier. | The water came at night. |
        | 2: The Bell | A bell sways in the fog. | Maren: It stayed. |
        """,
        """
        | Scene | Visuals | Speaker | Dialogue | Duration |
        | :--- | :--- | :--- | :--- | ---: |
        | **The Pier** | Black water under a pier. | Narrator | "The water came at night." | 4 s |
        | **The Bell** | A bell sways in the fog. | Maren | "It stayed." | 3 s |
        """,
        """
        1. **Scene 1: The Pier**
           - Visual: Black water under a pier.
           - Narrator: The water came at night.
        2. **Scene 2: The Bell**
           - Visual: A bell sways in the fog.
           - **Maren:** It stayed.
        """,
        """
        Scene 1: The Pier
        Visual: Black water under a pier.
        Narrator: The water came at night.

        Scene 2: The Bell
        Visual: A bell sways in the fog.
        Maren: It stayed.
        """,
        """
        Scene 1: The Pier (0:00-0:04)
        [Visual: Black water under a pier.]
        Narrator: The water came at night.

        Scene 2: The Bell (0:04-0:07)
        [Visual: A bell sways in the fog.]
        Maren: It stayed.
        """,
        """
        **Title: The Drowned Valley**

        **Scene 1: The Pier**
        **Video:**
        Black water under a pier.
        **Voiceover:**
        "The water came at night."

        ---

        **Scene 2: The Bell**
        **Video:**
        A bell sways in the fog.
        **Maren:**
        "It stayed."
        """,
        """
        # The Drowned Valley

        ## Scene 1: The Pier

        **Visuals:**
        - Black water under a pier.

        **Narration:**
        > The water came at night.

        ## Scene 2: The Bell

        **Visuals:**
        - A bell sways in the fog.

        **Maren:**
        > It stayed.
        """,
        """
        **[Scene 1: The Pier]**

        (Visual: Black water under a pier.)

        **VO:** The water came at night.

        **[Scene 2: The Bell]**

        (Visual: A bell sways in the fog.)

        **Maren:** It stayed.

        *Word count: 11*
        """,
        """
        ```
        Scene 1: The Pier
        Visual: Black water under a pier.
        V.O.: The water came at night.

        Scene 2: The Bell
        Visual: A bell sways in the fog.
        Maren: It stayed.
        ```
        """,
        """
        SCENE 1: The Pier

        VISUAL: Black water under a pier.

        NARRATOR: The water came at night.

        SFX: waves

        SCENE 2: The Bell

        VISUAL: A bell sways in the fog.

        MAREN: It stayed.

        MUSIC: fades out
        """,
        """
        [0:00-0:04] Scene 1: The Pier
        [0:00-0:04] Visual: Black water under a pier.
        [0:00-0:04] Narrator: The water came at night.
        [0:04-0:07] Scene 2: The Bell
        [0:04-0:07] Visual: A bell sways in the fog.
        [0:04-0:07] Maren: It stayed.
        """,
        """
        ***Scene 1: The Pier***

        _Visual description:_ Black water under a pier.

        __Narrator:__ “The water came at night.”

        ***Scene 2: The Bell***

        _Visual description:_ A bell sways in the fog.

        __Maren (quietly):__ “It stayed.”
        """,
        """
        ## Part 1: The Pier

        * Shot: Black water under a pier.
        * Voice-over: The water came at night.

        ## Part 2: The Bell

        * Shot: A bell sways in the fog.
        * **Maren**: It stayed.
        """,
        """
        Scene,Visual,Speaker,Line
        The Pier,Black water under a pier.,Narrator,The water came at night.
        The Bell,A bell sways in the fog.,Maren,It stayed.
        """,
        """
        **Scene 1 (0:00–0:04): The Pier**
        📷 Visual: Black water under a pier.
        🎙️ Narrator: The water came at night.
        🎵 Music: low strings

        **Scene 2 (0:04–0:07): The Bell**
        📷 Visual: A bell sways in the fog.
        🎙️ Maren: It stayed.
        """,
        """
        Certainly. A short film in two scenes:

        **Scene One: The Pier**

        **Image:** Black water under a pier.
        **Narration:** The water came at night.
        **Duration:** 4 seconds

        **Scene Two: The Bell**

        **Image:** A bell sways in the fog.
        **Maren:** It stayed.
        **Duration:** 3 seconds
        """,
        """
        1) Scene 1: The Pier
        Visual: Black water under a pier.
        Narrator: The water came at night.

        2) Scene 2: The Bell
        Visual: A bell sways in the fog.
        Maren: It stayed.
        """);
  }

  @ParameterizedTest
  @MethodSource("answers")
  void allSayTheSame(String answer) {
    Script script = read(answer);
    assertThat(texts(script, ScriptElement.Kind.SCENE)).isEqualTo(SCENES);
    assertThat(texts(script, ScriptElement.Kind.ACTION)).isEqualTo(SEEN);
    assertThat(script.lines().stream().map(l -> l.speaker() + ": " + l.text())).isEqualTo(SAID);
    assertThat(script.lines().get(0).narration()).isTrue();
    assertThat(script.lines().get(1).narration()).isFalse();
  }

  private static Script read(String answer) {
    String text = WrittenAnswer.script(answer);
    return Script.parse(text, ScriptFormat.guess("", text));
  }

  private static List<String> texts(Script script, ScriptElement.Kind kind) {
    return script.elements().stream()
        .filter(e -> e.kind() == kind)
        .map(ScriptElement::text)
        .toList();
  }

  /** A name and a line in scripts with and without capital letters, with either colon. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "مارن: جاء الماء ليلاً.",
        "מארן: המים באו בלילה.",
        "Марен: Вода пришла ночью.",
        "Μάρεν: Το νερό ήρθε τη νύχτα.",
        "मारेन: पानी रात में आया।",
        "马伦：水在夜里来了。",
        "マーレン：水は夜に来た。"
      })
  void speakersAreKnownInEveryScript(String line) {
    String name = line.split("[:：]")[0];
    for (String text : List.of(line, "**" + line.replaceFirst("([:：])", "$1**"))) {
      Script script = Script.parse("## 1\n\n" + text + "\n", ScriptFormat.MARKDOWN);
      assertThat(script.lines()).hasSize(1);
      assertThat(script.lines().get(0).speaker()).isEqualTo(name);
      assertThat(script.lines().get(0).text()).doesNotContain(name).doesNotContain("：");
      assertThat(Script.parse(text, ScriptFormat.PLAIN).lines().get(0).speaker()).isEqualTo(name);
    }
  }

  @Test
  void narratorsAreKnownInOtherScripts() {
    for (String name :
        List.of("旁白", "ナレーション", "الراوي", "קריין", "Рассказчик", "Αφηγητής", "वाचक")) {
      String colon = name.codePointAt(0) > 0x3000 ? "：" : ": ";
      assertThat(Script.parse(name + colon + "……水 вода\n", ScriptFormat.PLAIN).lines().get(0))
          .as(name)
          .matches(SpokenLine::narration);
    }
  }

  @Test
  void aColonInASentenceIsNoSpeaker() {
    Script script =
        Script.parse("Maren sees it at 12:30 and waits.\n\nNarrator: Yes.\n", ScriptFormat.PLAIN);
    assertThat(script.lines()).hasSize(1);
  }
}
