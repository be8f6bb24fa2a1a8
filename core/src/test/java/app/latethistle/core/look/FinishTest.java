package app.latethistle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class FinishTest {
  private static final Finish HOUSE =
      Finish.NONE
          .withKey(new LookKey.OfShot("1"))
          .with(new ColourGroup("the house", "4", List.of("3", "4", "5")));

  @Test
  void aShotIsToLookLikeTheKeyOfItsGroup() {
    assertThat(HOUSE.keyOf("3")).contains(new LookKey.OfShot("4"));
    assertThat(HOUSE.keyOf("2")).contains(new LookKey.OfShot("1"));
    assertThat(HOUSE.withKeyOfItsOwn("5").keyOf("3")).contains(new LookKey.OfShot("5"));
    assertThat(HOUSE.withKeyOfItsOwn("2").isKeyOfFilm("2")).isTrue();
  }

  @Test
  void aStillIsWhatShotsWithoutAGroupAreToLookLike() {
    LookKey still = new LookKey.Still("a".repeat(64));
    Finish asStill = HOUSE.withKey(still);
    assertThat(asStill.keyOf("2")).contains(still);
    assertThat(asStill.keyOf("3")).contains(new LookKey.OfShot("4"));
    assertThat(asStill.isKeyOfFilm("1")).isFalse();
    assertThat(Finish.NONE.keyOf("2")).isEmpty();
  }

  @Test
  void aShotIsInOneGroupAtMost() {
    Finish two = HOUSE.with(new ColourGroup("night", "5", List.of("5", "6")));
    assertThat(two.groupOf("5").orElseThrow().name()).isEqualTo("night");
    assertThat(two.groupOf("3").orElseThrow().shots()).containsExactly("3", "4");
    assertThatThrownBy(
            () ->
                new Finish(
                    Treatments.NONE,
                    EndFade.NONE,
                    Optional.empty(),
                    List.of(
                        new ColourGroup("a", "1", List.of("1")),
                        new ColourGroup("b", "1", List.of("1")))))
        .hasMessageContaining("Shot 1 is in two groups");
  }

  @Test
  void aGroupThatLosesItsKeyTakesAnotherAndAnEmptyOneGoes() {
    assertThat(HOUSE.ungrouped(List.of("4")).keyOf("5")).contains(new LookKey.OfShot("3"));
    assertThat(HOUSE.ungrouped(List.of("3", "4", "5")).groups()).isEmpty();
    assertThatThrownBy(() -> new ColourGroup(" ", "1", List.of("1"))).hasMessageContaining("name");
    assertThatThrownBy(() -> new ColourGroup("a", "2", List.of("1")))
        .hasMessageContaining("has to be one of its shots");
  }
}
