package app.latethistle.server.style;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.pack.Arrivals;
import app.latethistle.server.pack.PackedPart;
import app.latethistle.server.production.Production;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredStyle;
import java.util.Map;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * The channel's style that a production has taken. Where one of its name is, that stays, and the
 * production says that it has changed if it is another.
 */
@ServerOnly
@Component
@Order(PackedStyle.LAST)
class PackedStyle implements PackedPart {
  static final int LAST = 7;

  private final Styles styles;

  PackedStyle(Styles styles) {
    this.styles = styles;
  }

  @Override
  public String name() {
    return "style";
  }

  @Override
  public Object pack(Production production, Set<String> files) {
    return styles
        .takenBy(production.id())
        .flatMap(taken -> styles.find(taken.styleId()))
        .<Object>map(row -> Embedded.of(row.document()))
        .orElse(Map.of());
  }

  @Override
  public void unpack(Production made, JsonNode part, Arrivals arrivals) {
    if (!part.isEmpty()) {
      styles.follow(made.id(), StoredStyle.read(Embedded.text(part, "{}")));
    }
  }
}
