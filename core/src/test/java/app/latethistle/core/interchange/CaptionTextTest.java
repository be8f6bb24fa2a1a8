package app.latethistle.core.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.Refused;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Speakers;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CaptionTextTest {
  private static final List<String> LINES =
      List.of("Niemand weiß mehr", "a < b & c > d", "„Tür“", "one", "夜の郵便", "- Maren: knock");

  private static List<TimedText> captions(Random random) {
    List<TimedText> all = new ArrayList<>();
    long at = random.nextInt(5_000);
    for (int i = 0; i < 1 + random.nextInt(12); i++) {
      long end = at + 1 + random.nextInt(9_000);
      List<String> lines = new ArrayList<>();
      for (int k = 0; k < 1 + random.nextInt(2); k++) {
        lines.add(LINES.get(random.nextInt(LINES.size())));
      }
      all.add(new TimedText(at, end, lines));
      at = end + random.nextInt(3_000_000);
    }
    return all;
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void whatIsWrittenIsReadAsItWas(long seed) {
    List<TimedText> captions = captions(new Random(seed));
    String vtt = CaptionText.write(CaptionFormat.VTT, captions, CaptionLook.plain("de", 74));
    CaptionReader read = CaptionReader.read("a.vtt", vtt.getBytes(StandardCharsets.UTF_8));
    assertThat(read.captions()).isEqualTo(captions);
    assertThat(read.mended()).isEmpty();
    String ttml = CaptionText.write(CaptionFormat.TTML, captions, CaptionLook.plain("de", 74));
    assertThat(CaptionReader.read("a.ttml", ttml.getBytes(StandardCharsets.UTF_8)).captions())
        .isEqualTo(captions);
  }

  /** Times as TTML 2 has them: of what they are in, as clocks, frames, offsets and lengths. */
  @Test
  void ttmlOfOthersIsReadWithItsTimes() {
    String text =
        """
        <?xml version="1.0" encoding="UTF-8"?>
        <tt xmlns="http://www.w3.org/ns/ttml" xmlns:ttp="http://www.w3.org/ns/ttml#parameter"
            ttp:frameRate="25" xml:lang="en">
          <head><metadata><p begin="1s" end="2s">a title</p></metadata></head>
          <body begin="10s"><div>
            <p begin="1.5s" dur="500ms"><span>The
              water</span><br/>came</p>
            <p begin="00:00:03:05" end="00:00:04.200">at &amp; night</p>
            <p begin="5s">no end</p>
          </div></body>
        </tt>
        """;
    CaptionReader read = CaptionReader.read("b.ttml", text.getBytes(StandardCharsets.UTF_8));
    assertThat(read.captions())
        .containsExactly(
            new TimedText(11_500, 12_000, List.of("The water", "came")),
            new TimedText(13_200, 14_200, List.of("at & night")));
    assertThat(read.mended())
        .containsExactly("line 9: it has no end after its beginning; it was left out");
    assertRefused(
        "c.ttml", "<tt><body><p begin='soon'>x".getBytes(StandardCharsets.UTF_8), "“soon”");
    assertRefused("c.ttml", "<tt><body>".getBytes(StandardCharsets.UTF_8), "c.ttml, line 1");
    assertRefused("c.xml", "<cut/>".getBytes(StandardCharsets.UTF_8), "no TTML");
    String bomb = "<!DOCTYPE tt [<!ENTITY a \"aaaa\">]><tt><body><p end='1s'>&a;</p></body></tt>";
    assertThatThrownBy(() -> CaptionReader.read("d.ttml", bomb.getBytes(StandardCharsets.UTF_8)))
        .isInstanceOf(Refused.class);
  }

  @Test
  void subRipIsReadWhateverItsEncodingAndItsLineEnds() {
    List<TimedText> captions = List.of(new TimedText(1_000, 2_500, List.of("Tür auf", "Tür zu")));
    String srt = CaptionText.write(CaptionFormat.SRT, captions, CaptionLook.plain("de", 95));
    assertThat(srt).startsWith("1\r\n00:00:01,000 --> 00:00:02,500\r\nTür auf\r\n");
    for (Charset charset : List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16LE)) {
      byte[] bytes = ("\ufeff" + srt).getBytes(charset);
      assertThat(CaptionReader.read("a.srt", bytes).captions()).isEqualTo(captions);
    }
    CaptionReader old = CaptionReader.read("a.srt", srt.getBytes(Charset.forName("windows-1252")));
    assertThat(old.captions()).isEqualTo(captions);
    assertThat(old.mended()).anyMatch(m -> m.contains("Windows-1252"));
  }

  @Test
  void whatIsWrongIsMendedWithItsLineNamed() {
    String text =
        """
        1
        00:00:05,000 --> 00:00:08,000
        second

        2
        00:00:01,000 --> 00:00:06,000
        <i>first</i>

        3
        00:00:09,000 --> 00:00:08,000
        backwards

        4
        00:00:10,000 --> 00:00:11,000

        """;
    CaptionReader read = CaptionReader.read("b.srt", text.getBytes(StandardCharsets.UTF_8));
    assertThat(read.captions())
        .containsExactly(
            new TimedText(1_000, 5_000, List.of("first")),
            new TimedText(5_000, 8_000, List.of("second")));
    assertThat(String.join("\n", read.mended()))
        .contains("line 10: it ended before it began")
        .contains("line 14: it had no text")
        .contains("line 6: it went on into the next one")
        .contains("sorted");
  }

  @Test
  void whatIsNoCaptionFileIsRefused() {
    assertRefused("x.srt", new byte[3_000_000], "x.srt has 3 MB");
    assertRefused("x.srt", "hello".getBytes(StandardCharsets.UTF_8), "x.srt has no captions");
    assertRefused("x.srt", new byte[] {0, 1, 2, 0}, "x.srt is not text");
    assertRefused(
        "x.srt", "1\nten --> eleven\nx".getBytes(StandardCharsets.UTF_8), "x.srt, line 2");
  }

  private static void assertRefused(String name, byte[] file, String says) {
    assertThatThrownBy(() -> CaptionReader.read(name, file))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(says);
  }

  @Test
  void ttmlNamesItsProfileItsLanguageAndEscapesItsText() {
    String ttml =
        CaptionText.write(
            CaptionFormat.TTML,
            List.of(new TimedText(0, 1_200, List.of("a < b", "& c"))),
            CaptionLook.plain("de", 95));
    assertThat(ttml)
        .contains("http://www.w3.org/ns/ttml/profile/imsc1.1/text")
        .contains("xml:lang=\"de\"")
        .contains("begin=\"00:00:00.000\" end=\"00:00:01.200\"")
        .contains("a &lt; b<br/>")
        .contains("&amp; c");
  }

  /** Who speaks and how they look is in the formats that can say it, and no text is lost by it. */
  @Test
  void voicesAndColoursAreSaidAndReadOverByOthers() {
    List<TimedText> captions =
        List.of(
            new TimedText(0, 1_200, List.of("the water came"), "Maren"),
            new TimedText(1_300, 2_500, List.of("\u2013 & stayed"), "Pike <2>"),
            new TimedText(3_000, 4_000, List.of("[thunder]")));
    CaptionStyle style = CaptionStyle.USUAL.withSpeakers(Speakers.COLOURS);
    CaptionLook look = new CaptionLook("en", 93, Optional.of(style));
    String vtt = CaptionText.write(CaptionFormat.VTT, captions, look);
    assertThat(vtt)
        .contains("::cue { color: #ffffff; background-color: #00000099 }")
        .contains("::cue(.s1) { color: #a6e1ff }")
        .contains("<v.s0 Maren>the water came</v>")
        .contains("<v.s1 Pike &lt;2&gt;>\u2013 &amp; stayed</v>")
        .contains("line:93%,end\n[thunder]\n");
    CaptionReader read = CaptionReader.read("a.vtt", vtt.getBytes(StandardCharsets.UTF_8));
    assertThat(read.captions())
        .extracting(TimedText::lines)
        .containsExactly(
            List.of("the water came"), List.of("\u2013 & stayed"), List.of("[thunder]"));
    assertThat(CaptionText.write(CaptionFormat.TTML, captions, look))
        .contains("<style xml:id=\"s1\" tts:color=\"#a6e1ff\"/>")
        .contains("style=\"caption s1\"")
        .contains("tts:backgroundColor=\"#00000099\"");

    CaptionLook sides =
        new CaptionLook("en", 93, Optional.of(CaptionStyle.USUAL.withSpeakers(Speakers.PLACES)));
    assertThat(CaptionText.write(CaptionFormat.VTT, captions, sides))
        .contains("line:93%,end align:start\n<v.s0 Maren>")
        .contains("line:93%,end align:end\n<v.s1 Pike")
        .contains("line:93%,end\n[thunder]\n");
    assertThat(CaptionText.write(CaptionFormat.TTML, captions, sides))
        .contains("xml:id=\"s0\" tts:color=\"#ffffff\" tts:textAlign=\"start\"")
        .contains("xml:id=\"s1\" tts:color=\"#ffffff\" tts:textAlign=\"end\"");
  }
}
