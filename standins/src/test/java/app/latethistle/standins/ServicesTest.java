package app.latethistle.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.measure.MoveVerdict;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.story.Brief;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.Script;
import app.latethistle.core.story.ScriptElement;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.StillPicture;
import app.latethistle.media.TakeMeasure;
import app.latethistle.standins.demo.NightPost;
import app.latethistle.standins.demo.SaltCarousel;
import app.latethistle.standins.painter.Clip;
import app.latethistle.standins.painter.Flaw;
import app.latethistle.standins.painter.Move;
import app.latethistle.standins.painter.Scene;
import app.latethistle.standins.painter.SceneFinder;
import app.latethistle.standins.painter.ScenePainter;
import app.latethistle.standins.services.Order;
import app.latethistle.standins.services.PictureService;
import app.latethistle.standins.writer.DraftWriter;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ServicesTest {
  private static final ServiceProfile STILLS = profile(ServiceProfile.Kind.STILL);
  private static final ServiceProfile CLIPS = profile(ServiceProfile.Kind.CLIP);

  @TempDir Path folder;

  private static ServiceProfile profile(ServiceProfile.Kind kind) {
    return new ServiceProfile(
        "Vane",
        kind,
        EnumSet.allOf(ServiceProfile.Input.class),
        300,
        List.of("16:9", "9:16"),
        kind == ServiceProfile.Kind.CLIP ? List.of(1.0) : List.of(),
        kind == ServiceProfile.Kind.CLIP ? 12 : 0,
        256,
        1,
        10,
        ServiceProfile.Period.DAY,
        1,
        0);
  }

  private static Order order(ServiceProfile service, long seed, Optional<BufferedImage> picture) {
    return new Order(
        service, "a lantern is lit", seed, "9:16", 1, CameraMove.PUSH_IN, 3, picture, 3, 1, 0);
  }

  private List<Path> fulfil(Order order, String name) throws IOException {
    return PictureService.fulfil(order, Files.createDirectory(folder.resolve(name)));
  }

  @Test
  void answersWithAsManyStillsThatDifferAndComeAgain() throws IOException {
    List<Path> stills = fulfil(order(STILLS, 5, Optional.empty()), "a");
    assertThat(stills).hasSize(3);
    assertThat(Files.mismatch(stills.get(0), stills.get(1))).isNotEqualTo(-1);
    MediaFacts facts = Probe.probe(stills.get(0));
    assertThat(facts.kind()).isEqualTo(MediaFacts.Kind.STILL);
    assertThat(facts.shape().orElseThrow().width()).isEqualTo(256);
    assertThat(facts.shape().orElseThrow().height()).isEqualTo(456);
    List<Path> again = fulfil(order(STILLS, 5, Optional.empty()), "b");
    assertThat(Files.mismatch(stills.get(2), again.get(2))).isEqualTo(-1);
  }

  @Test
  void movesThroughAStillAndGoesOnFromAClip() throws IOException {
    Path still = fulfil(order(STILLS, 5, Optional.empty()), "still").get(0);
    Order order = order(CLIPS, 4, Optional.of(StillPicture.read(still, Probe.probe(still))));
    Path clip = fulfil(order, "clip").get(0);
    assertThat(Probe.probe(clip).frames()).isEqualTo(12);
    Order longer =
        new Order(CLIPS, order.prompt(), 4, "9:16", 1.5, order.move(), 3, order.picture(), 0, 1, 1);
    Path extended = fulfil(longer, "longer").get(0);
    assertThat(Probe.probe(extended).frames()).isEqualTo(18);
    Order larger =
        new Order(CLIPS, order.prompt(), 4, "9:16", 1, order.move(), 3, order.picture(), 0, 2, 0);
    assertThat(larger.width()).isEqualTo(512);
    assertThat(Probe.probe(fulfil(larger, "larger").get(0)).shape().orElseThrow().height())
        .isEqualTo(larger.height());
  }

  /** The painter's moves and flaws are what our own measurement finds in its files. */
  @ParameterizedTest
  @CsvSource({
    "PUSH_IN, push in",
    "PULL_OUT, pull out",
    "PAN_LEFT, pan left",
    "PAN_RIGHT, pan right",
    "TILT_UP, tilt up",
    "TILT_DOWN, tilt down",
    "STILL, still"
  })
  void paintsTheMovesItNames(Move move, String name) throws IOException {
    TakeFacts facts = painted(Clip.of(Scene.TICKET_BOOTH, 3).move(move));
    assertThat(MoveVerdict.name(facts.travel())).isEqualTo(name);
    assertThat(facts.jumps()).isEmpty();
    assertThat(facts.marks()).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(names = {"SOFT", "FROZEN_END", "JUMP", "FLICKER", "HALF_RATE", "CORNER_MARK"})
  void paintsTheFlawsItNames(Flaw flaw) throws IOException {
    // A mark is told by what moves behind it; on the plain salt beside the booth little does.
    Scene scene = flaw == Flaw.CORNER_MARK ? Scene.SALT_WHEEL : Scene.TICKET_BOOTH;
    Clip clip = Clip.of(scene, 3).move(Move.PUSH_IN);
    TakeFacts facts = painted(clip.flaw(flaw));
    switch (flaw) {
      case SOFT -> assertThat(facts.sharpness()).isLessThan(0.8 * painted(clip).sharpness());
      case FROZEN_END -> assertThat(facts.frozen()).hasSize(1);
      case JUMP -> assertThat(facts.jumps()).hasSize(1);
      case FLICKER -> assertThat(facts.flicker()).isNotEmpty();
      case HALF_RATE -> assertThat(facts.realRate()).isCloseTo(12, within(1.0));
      case CORNER_MARK -> assertThat(facts.marks()).hasSize(1);
      default -> throw new IllegalStateException(flaw.name());
    }
  }

  private TakeFacts painted(Clip clip) throws IOException {
    Path file = folder.resolve("painted.mp4");
    ScenePainter.paint(clip.size(960, 540).at(FrameRate.FPS_24, 3), file);
    return TakeMeasure.measure(file, Probe.probe(file), n -> {}).facts();
  }

  @Test
  void findsTheSceneAPromptSpeaksOf() {
    assertThat(SceneFinder.find("A wooden horse rises. Rose and teal.", 1))
        .isEqualTo(Scene.WOODEN_HORSE);
    assertThat(SceneFinder.find("The storm takes the balloon", 9)).isEqualTo(Scene.STORM);
    assertThat(SceneFinder.find("zzz", 3)).isEqualTo(SceneFinder.find("zzz", 3));
  }

  @ParameterizedTest
  @EnumSource
  void writesThreeDraftsWithinTheBrief(Brief.Form form) {
    Brief brief = new Brief(form, "a lighthouse that walks", "", "", 60, "");
    Delivery delivery = Delivery.of(90);
    List<DraftWriter.Draft> drafts = DraftWriter.drafts(brief, delivery, 4);
    assertThat(drafts).hasSize(3).doesNotHaveDuplicates();
    assertThat(DraftWriter.drafts(brief, delivery, 4)).isEqualTo(drafts);
    assertThat(DraftWriter.drafts(brief, delivery, 5)).isNotEqualTo(drafts);
    for (DraftWriter.Draft draft : drafts) {
      Script script = Script.parse(draft.text(), ScriptFormat.MARKDOWN);
      assertThat(script.elements())
          .extracting(ScriptElement::kind)
          .contains(ScriptElement.Kind.SCENE);
      assertThat(draft.words()).isBetween(0, brief.words(delivery) + 20);
      assertThat(draft.seconds()).isLessThan(75);
      assertThat(draft.words() == 0).isEqualTo(form == Brief.Form.MUSIC_VIDEO);
    }
  }

  @Test
  void theDemosStoriesFitTheirFilesAndLengths() {
    assertThat(NightPost.story(60).shots().shots()).hasSize(19);
    assertThat(NightPost.story(60).shots().seconds()).isBetween(55.0, 65.0);
    assertThat(NightPost.story(60).script().lines())
        .hasSize(6)
        .allMatch(l -> l.narration() && l.words() > 3);
    assertThat(SaltCarousel.story().shots().seconds()).isBetween(36.0, 44.0);
    assertThat(SaltCarousel.story().script().lines()).isEmpty();
    for (var shot : NightPost.story(60).shots().shots()) {
      assertThat(NightPost.clips().keySet()).anyMatch(f -> f.contains("_" + shot.number() + "_"));
    }
  }
}
