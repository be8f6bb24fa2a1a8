package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.grade.ColourChange;
import app.latethistle.core.grade.Grading;
import app.latethistle.core.grade.Signal;
import app.latethistle.core.interchange.CdlText;
import app.latethistle.core.interchange.CubeText;
import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.Correction;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files of colours as OpenColorIO's ociochecklut reads them, to 1/1023 of the signal. */
class ColourFilesAgainstOpenColorIoTest {
  private static final double CLOSE = 1.0 / 1023;
  private static final int COLOURS = 8;

  @TempDir Path folder;

  private void agrees(String name, String text, ColourChange ours) throws IOException {
    Path file = Files.writeString(folder.resolve(name), text);
    Random random = new Random(name.hashCode());
    for (int i = 0; i < COLOURS; i++) {
      Signal colour = new Signal(random.nextDouble(), random.nextDouble(), random.nextDouble());
      Signal theirs = theirs(file, colour);
      Signal our = ours.apply(colour);
      assertThat(our.red())
          .as("%s, red of %s", name, colour)
          .isCloseTo(theirs.red(), within(CLOSE));
      assertThat(our.green()).as("%s, green", name).isCloseTo(theirs.green(), within(CLOSE));
      assertThat(our.blue()).as("%s, blue", name).isCloseTo(theirs.blue(), within(CLOSE));
    }
  }

  private static Signal theirs(Path file, Signal colour) throws IOException {
    Process process =
        new ProcessBuilder(
                "ociochecklut",
                file.toString(),
                Double.toString(colour.red()),
                Double.toString(colour.green()),
                Double.toString(colour.blue()))
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    String[] words = said.strip().lines().reduce((a, b) -> b).orElse("").strip().split("\\s+");
    assertThat(words).as("what ociochecklut says: %s", said).hasSize(3);
    return new Signal(
        Double.parseDouble(words[0]), Double.parseDouble(words[1]), Double.parseDouble(words[2]));
  }

  @Test
  void aTableOfOneDimension() throws IOException {
    StringBuilder text = new StringBuilder("TITLE \"bent\"\nLUT_1D_SIZE 33\n");
    for (int i = 0; i < 33; i++) {
      double v = i / 32.0;
      text.append(v * v).append(' ').append(Math.sqrt(v)).append(' ').append(1 - v).append('\n');
    }
    agrees("one.cube", text.toString(), CubeText.parse(text.toString()));
  }

  @Test
  void aTableOfThreeDimensionsReadByTetrahedra() throws IOException {
    Random random = new Random(6);
    StringBuilder text = new StringBuilder("LUT_3D_SIZE 5\n");
    for (int i = 0; i < 125; i++) {
      text.append(random.nextFloat()).append(' ').append(random.nextFloat()).append(' ');
      text.append(random.nextFloat()).append('\n');
    }
    agrees("three.cube", text.toString(), CubeText.parse(text.toString()));
  }

  @Test
  void aDomainOtherThanNothingToOne() throws IOException {
    String text =
        """
        LUT_3D_SIZE 2
        DOMAIN_MIN -0.2 0 0.1
        DOMAIN_MAX 1.2 0.8 0.9
        0 0 0
        1 0 0
        0 1 0
        1 1 0
        0 0 1
        1 0 1
        0 1 1
        1 1 1
        """;
    agrees("domain.cube", text, CubeText.parse(text));
  }

  @Test
  void whatLeavesComesBackAndIsReadThere() throws IOException {
    Grading grading = Grading.of(Correction.of(new Basics(20, 15, 18, -6, -20)));
    String text = CubeText.of("a warmer one", grading, 33);
    agrees("ours.cube", text, CubeText.parse(text));
  }

  private static final String LIST =
      """
      <ColorDecisionList xmlns="urn:ASC:CDL:v1.2">
        <ColorDecision>
          <ColorCorrection id="080">
            <SOPNode><Slope>1.1 0.9 1.05</Slope><Offset>0.02 -0.03 0</Offset><Power>0.9 1.2 1</Power></SOPNode>
            <SATNode><Saturation>0.8</Saturation></SATNode>
          </ColorCorrection>
        </ColorDecision>
      </ColorDecisionList>
      """;

  /** Their .clf says that a list holds values between 0 and 1, as ours does; a .cdl does not. */
  @Test
  void aColourListThatHoldsValues() throws IOException {
    String theirs =
        """
        <ProcessList id="a" compCLFversion="3">
          <ASC_CDL id="cc" inBitDepth="32f" outBitDepth="32f" style="Fwd">
            <SOPNode><Slope>1.1 0.9 1.05</Slope><Offset>0.02 -0.03 0</Offset><Power>0.9 1.2 1</Power></SOPNode>
            <SATNode><Saturation>0.8</Saturation></SATNode>
          </ASC_CDL>
        </ProcessList>
        """;
    CdlText.Named list = CdlText.parse(LIST).get(0);
    assertThat(list.id()).isEqualTo("080");
    agrees("list.clf", theirs, Grading.of(Correction.NONE.withCdl(list.list())));
  }

  @Test
  void aColourListThatHoldsNothingWhereNothingIsBeyond() throws IOException {
    Cdl mild =
        new Cdl(
            new Cdl.Triple(0.9, 0.85, 0.95),
            new Cdl.Triple(0.02, 0.01, 0),
            new Cdl.Triple(0.9, 1.2, 1),
            0.8);
    agrees("list.cc", CdlText.correction("080", mild), Grading.of(Correction.NONE.withCdl(mild)));
  }
}
