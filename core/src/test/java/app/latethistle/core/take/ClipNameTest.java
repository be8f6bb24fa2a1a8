package app.latethistle.core.take;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ClipNameTest {
  @ParameterizedTest
  @CsvSource({
    "shot_010_take2.mp4, '', 10, 2, ''",
    "3b.mp4, '', 3, 2, ''",
    "Scene 2 - shot 11 (take 3).mov, 2, 11, 3, ''",
    "02-water at dusk.webm, '', 2, 1, Water at dusk",
    "folder/shot_010_take1 the drowned valley.mp4, '', 10, 1, The drowned valley",
    "12.mp4, '', 12, 1, ''",
    "Shot 7.MP4, '', 7, 1, ''",
    "sc03_sh040_tk02_lantern.mov, 3, 40, 2, Lantern",
    "7 (2).mp4, '', 7, 2, ''",
    "clip-5-v3.mp4, '', 5, 3, ''",
    "water at dusk.webm, '', '', 1, Water at dusk",
    "balloon 1920x1080.mp4, '', '', 1, Balloon 1920x1080",
    "lantern 4.mp4, '', 4, 1, Lantern",
    "İSKELE ışık shot_020_take2.mp4, '', 20, 2, İSKELE ışık",
  })
  void readsNamesAsPeopleGiveThem(String file, String scene, String shot, int take, String title) {
    assertThat(ClipName.parse(file)).isEqualTo(new ClipName(scene, shot, take, title));
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void readsAnythingWithoutFailing(long seed) {
    Random random = new Random(seed);
    String letters = "shotake sc0123456789()._-/\\äЖ水🎈v";
    StringBuilder name = new StringBuilder();
    int length = random.nextInt(40);
    for (int i = 0; i < length; i++) {
      name.append(letters.charAt(random.nextInt(letters.length())));
    }
    assertThatCode(() -> ClipName.parse(name.toString())).doesNotThrowAnyException();
    assertThat(ClipName.parse(name.toString()).take()).isPositive();
  }
}
