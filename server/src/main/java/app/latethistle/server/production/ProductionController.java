package app.latethistle.server.production;

import app.latethistle.core.Refused;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRate;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shelf: productions made, renamed and removed. */
@RestController
@RequestMapping("/api/productions")
class ProductionController {
  private static final double SHORTEST = 5;
  private static final double LONGEST = 1200;

  private final Productions productions;

  ProductionController(Productions productions) {
    this.productions = productions;
  }

  /** A production as the shelf and the top bar show it. */
  record ProductionView(
      long id,
      String title,
      int width,
      int height,
      String rate,
      double framesPerSecond,
      double targetSeconds,
      Instant changedAt) {
    static ProductionView of(Production p) {
      return new ProductionView(
          p.id(),
          p.title(),
          p.shape().width(),
          p.shape().height(),
          p.rate().toString(),
          p.rate().perSecond(),
          p.targetSeconds(),
          p.changedAt());
    }
  }

  record NewProduction(String title, int width, int height, String rate, double targetSeconds) {}

  record ProductionChange(String title, double targetSeconds) {}

  @GetMapping
  List<ProductionView> shelf() {
    return productions.findAllByOrderByChangedAtDesc().stream().map(ProductionView::of).toList();
  }

  @GetMapping("/{id}")
  ProductionView one(@PathVariable long id) {
    return ProductionView.of(productions.get(id));
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ProductionView make(@RequestBody NewProduction asked) {
    int w = asked.width();
    int h = asked.height();
    if (w % 2 != 0 || h % 2 != 0 || w < 128 || h < 128 || w > 4096 || h > 4096) {
      throw new Refused(
          "A picture of " + w + "x" + h + " cannot be made; give even sides from 128 to 4096.");
    }
    Production made =
        new Production(
            title(asked.title()),
            PictureShape.of(w, h),
            FrameRate.parse(asked.rate()),
            length(asked.targetSeconds()));
    return ProductionView.of(productions.save(made));
  }

  @PatchMapping("/{id}")
  @Transactional
  public ProductionView change(@PathVariable long id, @RequestBody ProductionChange change) {
    Production production = productions.getLocked(id);
    production.rename(title(change.title()));
    production.aimAt(length(change.targetSeconds()));
    return ProductionView.of(production);
  }

  /** Takes a production off the shelf; media no other production uses stay in the store. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void remove(@PathVariable long id) {
    productions.delete(productions.getLocked(id));
  }

  private static String title(String title) {
    String stripped = title == null ? "" : title.strip();
    if (stripped.isEmpty() || stripped.length() > 200) {
      throw new Refused("Give the production a title of up to 200 letters.");
    }
    return stripped;
  }

  private static double length(double seconds) {
    if (!(seconds >= SHORTEST && seconds <= LONGEST)) {
      throw new Refused(
          "A film of "
              + Refused.number(seconds)
              + " s cannot be aimed at; give 5 to 1200 seconds.");
    }
    return seconds;
  }
}
