package app.latethistle.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FinishDocumentTest {
  @Test
  void oursAreAtLeastTenAndEachDoesSomethingElse() {
    assertThat(FinishDocument.ours()).hasSizeGreaterThanOrEqualTo(10);
    assertThat(FinishDocument.ours()).extracting(FinishDocument::name).doesNotHaveDuplicates();
    assertThat(FinishDocument.ours()).extracting(FinishDocument::get).doesNotHaveDuplicates();
  }

  @Test
  void oneComesBackAsItWent() throws IOException {
    Treatments treatments = Treatments.of(Treatment.usual(TreatmentKind.GRAIN));
    FinishDocument document = FinishDocument.of("Coarse", "much grain", treatments);
    FinishDocument again = FinishDocument.read(document.write());
    assertThat(again).isEqualTo(document);
    assertThat(again.get()).isEqualTo(treatments);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          []                                                                  | no finish
          {"lateThistleFinish": 7}                                            | version 1
          {"lateThistleFinish": 1                                             | no finish
          {"lateThistleFinish": 1, "name": ""}                                | /name
          {"lateThistleFinish": 1, "name": "a"}                               | /treatments
          {"lateThistleFinish": 1, "name": "a", "treatments": [{"kind": "X"}]} | /treatments/0
          {"lateThistleFinish": 1, "name": "a", "more": 1}                     | no finish
          {"lateThistleFinish": 1, "name": "a", "treatments": [{"kind": "BLUR", "values": [{"value": 900}]}]} | from 0 to 100
          """)
  void aBrokenOneIsRefusedWithItsPlace(String json, String told) {
    assertThatThrownBy(() -> FinishDocument.read(json))
        .isInstanceOf(BrokenDocument.class)
        .hasMessageContaining(told);
  }
}
