package app.latethistle.core.story;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.story.ScriptElement.Kind;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScriptTest {
  private static List<String> told(String text, ScriptFormat format) {
    return Script.parse(text, format).elements().stream()
        .map(e -> e.kind() + "|" + e.speaker() + "|" + e.text() + "|" + e.line())
        .toList();
  }

  /** The elements and their rules as the Fountain syntax describes them (from memory, 1.1). */
  @Test
  void readsFountain() {
    String text =
        """
        Title: The Ferry
        Author: nobody
            and somebody

        # Act one

        EXT. JETTY - NIGHT #1#

        Water, black and _still_. [[note: hold
        this]] A lantern *swings*.

        MAREN (V.O.)
        (quiet)
        The water came at night.

        @McTavish
        And **stayed**.

        JOON ^
        It did.

        !MAREN
        walks on.

        .SNIPER ROOF

        ...not a scene.

        CUT TO:

        > FADE OUT.

        > THE END <
        ===
        ~la la
        /* cut
        out */
        INT. HOUSE - DAY

        NO LINE FOLLOWS

        Last.
        """;
    assertThat(told(text, ScriptFormat.FOUNTAIN))
        .containsExactly(
            "TITLE||The Ferry|1",
            "NOTE||Act one|5",
            "SCENE||EXT. JETTY - NIGHT|7",
            "ACTION||Water, black and still. A lantern swings.|9",
            "NARRATION|Maren|The water came at night.|12",
            "DIALOGUE|McTavish|And stayed.|16",
            "DIALOGUE|Joon|It did.|19",
            "ACTION||MAREN walks on.|22",
            "SCENE||SNIPER ROOF|25",
            "ACTION||...not a scene.|27",
            "TRANSITION||CUT TO:|29",
            "TRANSITION||FADE OUT.|31",
            "ACTION||THE END|33",
            "NOTE||la la|35",
            "SCENE||INT. HOUSE - DAY|38",
            "ACTION||NO LINE FOLLOWS|40",
            "ACTION||Last.|42");
  }

  @Test
  void readsMarkdown() {
    String text =
        """
        # Night ferry

        ## The jetty
        - Above: a lantern swings over black water
        > The water came at night.

        **Maren:** I counted *every* bell.
        <!-- not this -->
        She turns
        to the door.
        """;
    assertThat(told(text, ScriptFormat.MARKDOWN))
        .containsExactly(
            "TITLE||Night ferry|1",
            "SCENE||The jetty|3",
            "ACTION||Above: a lantern swings over black water|4",
            "NARRATION|Narrator|The water came at night.|5",
            "DIALOGUE|Maren|I counted every bell.|7",
            "ACTION||She turns to the door.|9");
  }

  @Test
  void aCommentOverSeveralLinesMovesNone() {
    String text =
        "# Ferry\n<!-- not\nthis\nnor this -->\n> The water came.\n<!-- a --> <!-- b -->\nA bell.\n";
    assertThat(told(text, ScriptFormat.MARKDOWN))
        .containsExactly(
            "TITLE||Ferry|1", "NARRATION|Narrator|The water came.|5", "ACTION||A bell.|7");
  }

  @Test
  void takesUnmarkedTextAsNarrationOnlyIfNothingIsMarked() {
    assertThat(told("The water came.\n\n[A bell under water.]\n\nIt stayed.", ScriptFormat.PLAIN))
        .containsExactly(
            "NARRATION|Narrator|The water came.|1",
            "ACTION||A bell under water.|3",
            "NARRATION|Narrator|It stayed.|5");
    assertThat(
            told("Scene 1: Jetty\nA bell.\n\nNarrator: It stayed.\nMAREN: No.", ScriptFormat.PLAIN))
        .containsExactly(
            "SCENE||Jetty|1",
            "ACTION||A bell.|2",
            "NARRATION|Narrator|It stayed.|4",
            "DIALOGUE|Maren|No.|5");
  }

  @Test
  void readsTables() {
    String text =
        "Scene;Seen;Speaker;Line\nJetty;\"A \"\"bell\"\"; wet\";;It came.\nJetty;;Maren;No.\n";
    assertThat(told(text, ScriptFormat.CSV))
        .containsExactly(
            "SCENE||Jetty|2",
            "ACTION||A \"bell\"; wet|2",
            "NARRATION|Narrator|It came.|2",
            "DIALOGUE|Maren|No.|3");
    assertThatThrownBy(() -> Script.parse("a,b\n1,2", ScriptFormat.CSV))
        .hasMessageContaining("'action' or 'line'");
    assertThatThrownBy(() -> Script.parse("line\n\"open", ScriptFormat.CSV))
        .hasMessageContaining("line 2");
  }

  @ParameterizedTest
  @CsvSource({
    "a.fountain, x, FOUNTAIN",
    "'', INT. HOUSE, FOUNTAIN",
    "'', ## House, MARKDOWN",
    "'', 'scene,line', CSV",
    "notes.txt, Just words., PLAIN"
  })
  void guessesTheFormat(String name, String text, ScriptFormat format) {
    assertThat(ScriptFormat.guess(name, text)).isEqualTo(format);
  }

  @Test
  void countsWordsAndSeconds() {
    assertThat(Words.of("Twenty-five doors; Maren’s bell, 3.5 m.")).hasSize(7);
    assertThat(Words.sentences("Dr. Vane waits. Does he? Yes… 3.5 bells!")).hasSize(4);
    Delivery delivery = new Delivery(120, 0.5);
    assertThat(delivery.secondsOf("one two three four (pause 2s) five six")).isEqualTo(5);
    List<SpokenLine> lines =
        Script.parse("Narrator: one two.\nNarrator: one two.", ScriptFormat.PLAIN).lines();
    assertThat(delivery.secondsOf(lines)).isEqualTo(2.5);
    assertThatThrownBy(() -> Delivery.of(5)).hasMessageContaining("30 to 300");
  }

  @Test
  void offersTheCutsThatLoseLeastAndFit() {
    Script script =
        Script.parse(
            """
            Narrator: The water came at night, which nobody had really expected, and it stayed.
            Narrator: Maren kept the lanterns. Maren kept the lanterns lit.
            Narrator: Forty-one letters found their doors.
            """,
            ScriptFormat.PLAIN);
    Delivery delivery = Delivery.of(100);
    List<Shortening.Cut> cuts = Shortening.offer(script.lines(), delivery, 2);
    assertThat(cuts.stream().mapToDouble(Shortening.Cut::seconds).sum()).isGreaterThanOrEqualTo(2);
    assertThat(cuts.get(0).text()).isEqualTo("really");
    assertThat(cuts.get(1).text()).isEqualTo("Maren kept the lanterns.");
    assertThat(cuts.get(1).left()).isEqualTo("Maren kept the lanterns lit.");
    for (Shortening.Cut cut : cuts) {
      SpokenLine line = script.lines().get(cut.line() - 1);
      double rest = cut.left().isEmpty() ? -delivery.gap() : delivery.secondsOf(cut.left());
      assertThat(delivery.secondsOf(line) - rest)
          .isCloseTo(cut.seconds(), org.assertj.core.data.Offset.offset(1e-9));
    }
    assertThat(Shortening.offer(script.lines(), delivery, 0)).isEmpty();
    assertThat(Shortening.offer(script.lines(), delivery, 1000)).hasSize(3);
  }

  @Test
  void readsAnAnswerWithoutTheTalkAroundIt() {
    String answer =
        """
        Sure! Here is your script:

        ## The jetty
        - A lantern swings
        Narrator: It came.

        Let me know if you want changes!
        """;
    String script = WrittenAnswer.script(answer);
    assertThat(told(script, ScriptFormat.MARKDOWN))
        .containsExactly(
            "SCENE||The jetty|1", "ACTION||A lantern swings|2", "NARRATION|Narrator|It came.|3");
    assertThatThrownBy(() -> WrittenAnswer.script("  ")).hasMessageContaining("No scenes");
  }

  @Test
  void asksForWhatItCanReadBack() {
    Brief brief = new Brief(Brief.Form.TRAILER, "a ferry", "", "no jokes", 60, "");
    String request = brief.request(Delivery.of(80));
    assertThat(request).contains("60 seconds", "about 70 in all", "Subject: a ferry", "no jokes");
    String form = request.substring(request.indexOf("## "));
    assertThat(Script.parse(form, ScriptFormat.MARKDOWN).elements())
        .extracting(ScriptElement::kind)
        .contains(Kind.SCENE, Kind.ACTION, Kind.NARRATION, Kind.DIALOGUE);
  }

  /** What is offered can be taken out of the text, and the line is then what was said. */
  @ParameterizedTest
  @CsvSource({"MARKDOWN", "PLAIN"})
  void takesOfferedCutsOutOfTheText(ScriptFormat format) {
    String text =
        """
        ## Valley
        - A bell
        Narrator: The water *came* at night, which nobody had really expected, and it stayed.

        Narrator: Maren kept the lanterns. Maren kept them lit – all of them – for years.

        Narrator: Only this.
        """;
    Script script = Script.parse(text, format);
    Delivery delivery = Delivery.of(100);
    for (double over : new double[] {0.5, 3, 8, 100}) {
      for (Shortening.Cut cut : Shortening.offer(script.lines(), delivery, over)) {
        SpokenLine line = script.lines().get(cut.line() - 1);
        String shorter = ScriptText.without(text, line.sourceLine(), cut.text());
        List<String> now =
            Script.parse(shorter, format).lines().stream().map(SpokenLine::text).toList();
        List<String> wanted =
            new java.util.ArrayList<>(script.lines().stream().map(SpokenLine::text).toList());
        if (cut.left().isEmpty()) {
          wanted.remove(cut.line() - 1);
        } else {
          wanted.set(cut.line() - 1, cut.left());
        }
        assertThat(now).as(cut.text()).isEqualTo(wanted);
      }
    }
  }
}
