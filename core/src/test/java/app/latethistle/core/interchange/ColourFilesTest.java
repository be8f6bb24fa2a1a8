package app.latethistle.core.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.grade.Signal;
import app.latethistle.core.look.Cdl;
import java.util.List;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Reading files of colours; against another reader in the tests of media. */
class ColourFilesTest {

  @Test
  void aTableThatLeavesAllComesBackSo() {
    GivenTable same = CubeText.parse(CubeText.of("same", colour -> colour, 9));
    Random random = new Random(2);
    for (int i = 0; i < 300; i++) {
      Signal v = new Signal(random.nextDouble(), random.nextDouble(), random.nextDouble());
      Signal out = same.apply(v);
      assertThat(out.red()).isCloseTo(v.red(), Offset.offset(1e-5));
      assertThat(out.green()).isCloseTo(v.green(), Offset.offset(1e-5));
      assertThat(out.blue()).isCloseTo(v.blue(), Offset.offset(1e-5));
    }
  }

  @Test
  void greysStayGreyAndWhatIsBeyondIsHeldToTheEdge() {
    GivenTable squares =
        CubeText.parse(
            CubeText.of(
                "squares",
                v -> new Signal(v.red() * v.red(), v.green() * v.green(), v.blue() * v.blue()),
                17));
    for (double v = -0.2; v < 1.2; v += 0.037) {
      Signal out = squares.apply(new Signal(v, v, v));
      assertThat(out.green()).isCloseTo(out.red(), Offset.offset(1e-9));
      assertThat(out.blue()).isCloseTo(out.red(), Offset.offset(1e-9));
    }
    assertThat(squares.apply(new Signal(3, 3, 3))).isEqualTo(new Signal(1, 1, 1));
  }

  @Test
  void strengthGoesSomeOfTheWay() {
    GivenTable negative = CubeText.parse("# turned\nLUT_1D_SIZE 2\n1 1 1\n0 0 0\n");
    Signal half = negative.withStrength(0.5).apply(new Signal(0.25, 0.5, 1));
    assertThat(half).isEqualTo(new Signal(0.5, 0.5, 0.5));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "hello                                  | Line 1",
        "''                                     | no LUT_1D_SIZE or LUT_3D_SIZE",
        "LUT_3D_SIZE 1                          | Line 1 of the table: a size is a whole number",
        "LUT_3D_SIZE 500                        | from 2 to 129",
        "LUT_1D_SIZE 2;0 0 0                    | has 2 lines of colours, not 1",
        "LUT_1D_SIZE 2;0 0 0;0 x 0              | Line 3 of the table: \"x\" is no number",
        "LUT_1D_SIZE 2;0 0 0;0 0                | Line 3 of the table: three numbers",
        "LUT_1D_SIZE 2;0 0 0;0 0 NaN            | Line 3",
        "LUT_1D_SIZE 2;LUT_3D_SIZE 2            | Line 2 of the table: a second size",
        "LUT_1D_SIZE 2;DOMAIN_MIN 1 1 1;0 0 0;1 1 1 | DOMAIN_MIN has to lie below",
      })
  void aBrokenTableIsRefusedWithItsLine(String lines, String told) {
    assertThatThrownBy(() -> CubeText.parse(lines.replace(';', '\n')))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(told);
  }

  @Test
  void aListComesBackAsItWent() {
    Cdl list =
        new Cdl(
            new Cdl.Triple(1.1, 0.9, 1),
            new Cdl.Triple(-0.02, 0, 0.5),
            new Cdl.Triple(0.8, 1, 1.25),
            0.75);
    assertThat(CdlText.parse(CdlText.decision("a \"b\" & <c>", list)))
        .isEqualTo(List.of(new CdlText.Named("a \"b\" & <c>", list)));
    assertThat(CdlText.parse(CdlText.correction("x", list)).get(0).list()).isEqualTo(list);
  }

  @Test
  void whatAListDoesNotSayIsAsItWas() {
    String only =
        "<ColorCorrection id='s'><SATNode><Saturation>0</Saturation></SATNode></ColorCorrection>";
    Cdl list = CdlText.parse(only).get(0).list();
    assertThat(list.slope()).isEqualTo(Cdl.NONE.slope());
    assertThat(list.saturation()).isZero();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "<a                                                            | Line 1 of the list",
        "<a/>                                                          | no ColorCorrection",
        "<!DOCTYPE a [<!ENTITY b 'c'>]><a>&b;</a>                      | Line 1",
        "<ColorCorrection id='7'><Slope>1 2</Slope></ColorCorrection>  | has to be 3 numbers",
        "<ColorCorrection id='7'><Power>0 1 1</Power></ColorCorrection> | power",
      })
  void aBrokenListIsRefused(String xml, String told) {
    assertThatThrownBy(() -> CdlText.parse(xml))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(told);
  }
}
