package app.latethistle.server.style;

import app.latethistle.core.marks.Sign;
import app.latethistle.core.release.ChannelStyle;
import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.stored.Brought;
import app.latethistle.server.stored.StoredStyle;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Styles of channels: kept, taken, brought in and out. */
@ServerOnly
@RestController
@RequestMapping("/api")
class StyleController {
  private final Styles styles;

  StyleController(Styles styles) {
    this.styles = styles;
  }

  /**
   * A style.
   *
   * @param badge what lies over marks; null if nothing does
   * @param holds what it has, in words: "2 designs of titles"
   */
  record StyleView(
      long id, String name, @Schema(nullable = true) String badge, List<String> holds) {
    static StyleView of(StyleRow row) {
      StoredStyle stored = row.stored();
      return new StyleView(
          row.id(), row.name(), stored.style().badge().map(Sign::text).orElse(null), holds(stored));
    }

    private static List<String> holds(StoredStyle stored) {
      ChannelStyle style = stored.style();
      return Stream.of(
              style.badge().map(sign -> "the badge “" + sign.text() + "”"),
              some(style.designs().size(), "design of titles", "designs of titles"),
              Optional.of("the captions’ look"),
              some(style.treatments().list().size(), "treatment", "treatments"),
              some(style.outputs().size(), "output", "outputs"),
              some(stored.sounds().size(), "sound", "sounds"),
              some(stored.services().size(), "service", "services"),
              style.description().isBlank()
                  ? Optional.<String>empty()
                  : Optional.of("a description"),
              some(style.tags().size(), "tag", "tags"))
          .flatMap(Optional::stream)
          .toList();
    }

    private static Optional<String> some(int count, String one, String more) {
      return count == 0 ? Optional.empty() : Optional.of(count + " " + (count == 1 ? one : more));
    }
  }

  /**
   * The style a production has taken.
   *
   * @param style null if it has taken none, or that was thrown away
   * @param changed whether it has been kept anew since
   */
  record TakenStyle(@Schema(nullable = true) StyleView style, boolean changed) {}

  /** The name under which a production's style is kept. */
  record KeepStyle(String name) {}

  /**
   * Which style is taken.
   *
   * @param revision of the film that the person saw
   */
  record TakeStyle(long style, long revision) {}

  /** A style's document. */
  record StyleText(String text) {}

  @GetMapping("/styles")
  List<StyleView> all() {
    return styles.all().stream().map(StyleView::of).toList();
  }

  @GetMapping("/styles/{id}/document")
  ResponseEntity<String> document(@PathVariable long id) {
    StyleRow row = styles.get(id);
    return Attachment.answer(row.name(), ".style.json", MediaType.APPLICATION_JSON_VALUE)
        .body(row.document());
  }

  /** Brings a style in, in place of one of the same name. */
  @PostMapping("/styles/document")
  @ResponseStatus(HttpStatus.CREATED)
  StyleView bringIn(@RequestBody StyleText asked) {
    return StyleView.of(
        styles.keep(Brought.read("a channel's style", asked.text(), StoredStyle::read)));
  }

  @DeleteMapping("/styles/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    styles.remove(id);
  }

  @GetMapping("/productions/{productionId}/style")
  TakenStyle taken(@PathVariable long productionId) {
    return styles
        .takenBy(productionId)
        .flatMap(
            taken ->
                styles
                    .find(taken.styleId())
                    .map(
                        row ->
                            new TakenStyle(StyleView.of(row), row.revision() != taken.revision())))
        .orElseGet(() -> new TakenStyle(null, /* changed= */ false));
  }

  /** Keeps what of a production all films of its channel have, in place of one of that name. */
  @PostMapping("/productions/{productionId}/style/keep")
  @ResponseStatus(HttpStatus.CREATED)
  StyleView keep(@PathVariable long productionId, @RequestBody KeepStyle asked) {
    return StyleView.of(styles.keep(productionId, asked.name()));
  }

  @PostMapping("/productions/{productionId}/style/take")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(@PathVariable long productionId, @RequestBody TakeStyle asked) {
    styles.take(productionId, asked.style(), asked.revision());
  }

  /** A production goes on without its style; nothing of it changes. */
  @DeleteMapping("/productions/{productionId}/style")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@PathVariable long productionId) {
    styles.leave(productionId);
  }
}
