package app.latethistle.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.signal.SoundFacts;
import app.latethistle.core.signal.Strike;
import app.latethistle.standins.effects.EffectMaker;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class EffectMakerTest {
  private static final List<String> LOOPED =
      List.of("wind, soft", "stream", "rain, soft", "room tone, small", "drone, dark");

  private static float[] mono(float[] stereo) {
    float[] mono = new float[stereo.length / 2];
    for (int i = 0; i < mono.length; i++) {
      mono[i] = (stereo[2 * i] + stereo[2 * i + 1]) / 2;
    }
    return mono;
  }

  @Test
  void theShelfHasManySoundsThatBeginAndEndWithoutAClick() {
    List<EffectMaker.Known> shelf = EffectMaker.shelf();
    assertThat(shelf).hasSizeGreaterThanOrEqualTo(120);
    assertThat(shelf).extracting(EffectMaker.Known::name).doesNotHaveDuplicates();
    List<String> withoutLoop = new ArrayList<>();
    Set<Integer> heard = new HashSet<>();
    for (EffectMaker.Known known : shelf) {
      float[] stereo = EffectMaker.make(known.number()).stereo();
      float top = 0;
      double sum = 0;
      for (float sample : stereo) {
        assertThat(Float.isFinite(sample)).as(known.name()).isTrue();
        top = Math.max(top, Math.abs(sample));
        sum += sample;
      }
      assertThat(top).as(known.name()).isBetween(0.005f, 0.9f);
      // Nothing that only pushes a loudspeaker out.
      assertThat(Math.abs(sum / stereo.length)).as(known.name()).isLessThan(0.05 * top);
      for (int i = 0; i < 4; i++) {
        assertThat(Math.abs(stereo[stereo.length - 1 - i]))
            .as(known.name())
            .isLessThan(0.02f * top);
        assertThat(Math.abs(stereo[i])).as(known.name()).isLessThan(0.12f * top);
      }
      heard.add(Arrays.hashCode(stereo));
      if (LOOPED.contains(known.name())) {
        if (SoundFacts.of(stereo).loop().isEmpty()) {
          withoutLoop.add(known.name());
        }
      } else if (known.kind().equals("HIT")) {
        assertThat(Strike.in(mono(stereo))).as(known.name()).isNotEmpty();
      }
    }
    assertThat(heard).hasSize(shelf.size());
    assertThat(withoutLoop).isEmpty();
  }

  @Test
  void whatIsAskedForIsMadeAsLongAsSaidInSeveralWays() {
    List<EffectMaker.Made> made = EffectMaker.ask("old wooden door, slow creak, 2 s", 5);
    assertThat(made).hasSize(3);
    assertThat(made.get(0).words()).contains("hinge");
    assertThat(made.get(0).stereo()).hasSize(2 * 96_000).isNotEqualTo(made.get(1).stereo());
    assertThat(EffectMaker.ask("old wooden door, slow creak, 2 s", 5).get(0).stereo())
        .isEqualTo(made.get(0).stereo());
  }
}
