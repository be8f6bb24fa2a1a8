package app.latethistle.server.release;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.pack.Arrivals;
import app.latethistle.server.pack.PackedPart;
import app.latethistle.server.production.Production;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredSheet;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** A production's release sheet. */
@ServerOnly
@Component
@Order(PackedSheet.AFTER_FILM)
class PackedSheet implements PackedPart {
  static final int AFTER_FILM = 5;

  private final Releases releases;
  private final ReleaseRows rows;

  PackedSheet(Releases releases, ReleaseRows rows) {
    this.releases = releases;
    this.rows = rows;
  }

  @Override
  public String name() {
    return "release";
  }

  @Override
  public Object pack(Production production, Set<String> files) {
    return Embedded.of(StoredSheet.write(releases.sheet(production.id())));
  }

  @Override
  public void unpack(Production made, JsonNode part, Arrivals arrivals) {
    String sheet = StoredSheet.write(StoredSheet.read(Embedded.text(part, "{}")));
    rows.save(new ReleaseRow(made.id(), sheet));
  }
}
