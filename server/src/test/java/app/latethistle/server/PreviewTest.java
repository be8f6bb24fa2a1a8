package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class PreviewTest {
  private static BufferedImage still(EditedFilm cut, long frame) throws IOException {
    return still(cut, cut.film.get("revision").asLong(), frame);
  }

  private static BufferedImage still(EditedFilm cut, long revision, long frame) throws IOException {
    Api.Answer answer =
        cut.api.get(cut.path + "/preview/" + revision + "/frames/" + frame + ".jpg");
    assertThat(answer.status()).isEqualTo(200);
    return ImageIO.read(new ByteArrayInputStream(answer.bytes()));
  }

  private static double difference(BufferedImage a, BufferedImage b) {
    long sum = 0;
    for (int y = 0; y < a.getHeight(); y += 3) {
      for (int x = 0; x < a.getWidth(); x += 3) {
        sum += Math.abs((a.getRGB(x, y) >> 8 & 255) - (b.getRGB(x, y) >> 8 & 255));
      }
    }
    return sum / (a.getHeight() * a.getWidth() / 9.0);
  }

  private static List<String> segments(EditedFilm cut) {
    String list =
        cut.api.get(cut.path + "/preview/" + cut.film.get("revision") + "/picture.m3u8").text();
    Matcher matcher = Pattern.compile("(?m)^(\\d+-[0-9a-f]{64}\\.ts)$").matcher(list);
    List<String> names = new ArrayList<>();
    while (matcher.find()) {
      names.add(matcher.group(1));
    }
    return names;
  }

  @Test
  void aStillShowsTheFilmAtOnceAfterAnEdit() throws IOException {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    BufferedImage first = still(cut, 5);
    assertThat(first.getWidth()).isEqualTo(640);
    assertThat(first.getHeight()).isEqualTo(360);
    long old = cut.film.get("revision").asLong();
    cut.edit("move-shot", Map.of("from", 4, "to", 0));
    BufferedImage moved = still(cut, 5);
    assertThat(difference(first, moved)).isGreaterThan(5);
    // A page that has not heard of the edit yet gets the film as it is.
    assertThat(difference(still(cut, old, 5), moved)).isZero();
    cut.undo();
    assertThat(difference(first, still(cut, 5))).isZero();
  }

  @Test
  void theLastFrameIsNearlyBlack() throws IOException {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    BufferedImage last = still(cut, cut.film.get("length").asLong() - 1);
    for (int x = 0; x < 640; x += 40) {
      assertThat(last.getRGB(x, 180) >> 8 & 255).isLessThan(12);
    }
  }

  @Test
  void anEditKeepsTheSegmentsItDoesNotTouch() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    List<String> before = segments(cut);
    assertThat(before).hasSizeGreaterThan(4);
    cut.edit("slip", Map.of("place", 0, "in", 2));
    List<String> after = segments(cut);
    assertThat(after.get(0)).isNotEqualTo(before.get(0));
    assertThat(after.subList(3, after.size())).isEqualTo(before.subList(3, before.size()));
  }

  /** What comes after a shot that lasts longer is played later, and not rendered again. */
  @Test
  void aRippleKeepsTheSegmentsBehindItWhereverTheyComeToLie() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    Set<String> before = keys(cut);
    long end = cut.joint(1).get("frame").asLong();
    Map<String, Object> later = Map.of("offset", 0, "frame", end + 7);
    cut.edit("ripple", Map.of("place", 0, "start", false, "to", later));
    Set<String> after = keys(cut);
    int all = after.size();
    after.removeAll(before);
    assertThat(after.size()).isBetween(1, 4).isLessThan(all / 2);
  }

  private static Set<String> keys(EditedFilm cut) {
    return segments(cut).stream()
        .map(name -> name.substring(name.indexOf('-') + 1))
        .collect(Collectors.toCollection(HashSet::new));
  }

  @Test
  void segmentsAndSoundAreServed() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    String base = cut.path + "/preview/" + cut.film.get("revision");
    assertThat(cut.api.get(base + "/film.m3u8").text())
        .contains("sound.m3u8", "picture.m3u8", "RESOLUTION=640x360");
    String segment = segments(cut).get(1);
    byte[] bytes = cut.api.get(base + "/" + segment).bytes();
    // ISO/IEC 13818-1: transport packets of 188 bytes that begin with 0x47.
    assertThat(bytes.length % 188).isZero();
    assertThat(bytes[0]).isEqualTo((byte) 0x47);
    assertThat(bytes[188]).isEqualTo((byte) 0x47);
    String sounds = cut.api.get(base + "/sound.m3u8").text();
    assertThat(sounds).contains("#EXT-X-MAP:URI=\"sound-head.mp4\"");
    List<String> parts = sounds.lines().filter(l -> l.endsWith(".m4s")).toList();
    assertThat(parts).hasSize(5);
    assertThat(cut.api.get(base + "/" + parts.get(1)).bytes().length).isGreaterThan(50_000);
    assertThat(cut.api.get(base + "/sound-head.mp4").bytes()).contains((byte) 'f', (byte) 't');
    cut.edit("slip", Map.of("place", 1, "in", 2));
    assertThat(cut.api.get(base + "/" + segment).status()).isEqualTo(404);
  }
}
