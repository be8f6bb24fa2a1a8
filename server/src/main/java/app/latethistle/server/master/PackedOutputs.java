package app.latethistle.server.master;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.pack.Arrivals;
import app.latethistle.server.pack.PackedPart;
import app.latethistle.server.production.Production;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredOutput;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What a production delivers. */
@ServerOnly
@Component
@Order(PackedOutputs.LAST)
class PackedOutputs implements PackedPart {
  static final int LAST = 6;

  private final Outputs outputs;
  private final OutputRows rows;

  PackedOutputs(Outputs outputs, OutputRows rows) {
    this.outputs = outputs;
    this.rows = rows;
  }

  @Override
  public String name() {
    return "outputs";
  }

  @Override
  public Object pack(Production production, Set<String> files) {
    return outputs.of(production.id()).stream()
        .map(row -> Embedded.of(StoredOutput.write(row.output())))
        .toList();
  }

  @Override
  public void unpack(Production made, JsonNode part, Arrivals arrivals) {
    for (JsonNode output : arrivals.renamed(part)) {
      rows.save(new OutputRow(made.id(), StoredOutput.read(Embedded.text(output, "{}"))));
    }
  }
}
