package app.latethistle.core.type;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.words.Arrival;
import app.latethistle.core.words.Box;
import app.latethistle.core.words.Lettering;

/** Writes what words look like into keys. */
final class WritingKeys {
  private WritingKeys() {}

  static void put(KeyWriter key, Lettering l, Box box) {
    key.put(l.face().family()).put(l.face().bold() ? 1 : 0).put(l.face().italic() ? 1 : 0);
    key.put(l.size()).put(l.spacing().tracking()).put(l.spacing().leading());
    key.put(l.spacing().letters()).put(l.spacing().align());
    key.put(l.fill()).put(l.colour()).put(l.outline().width()).put(l.outline().colour());
    key.put(l.shadow().away()).put(l.shadow().softness());
    key.put(l.shadow().opacity()).put(l.shadow().colour());
    key.put(l.plate().kind()).put(l.plate().opacity()).put(l.plate().colour());
    key.put(box.x()).put(box.y()).put(box.width());
  }

  static void put(KeyWriter key, Arrival arrival) {
    key.put(arrival.kind()).put(arrival.unit()).put(arrival.order());
    key.put(arrival.frames()).put(arrival.seed());
  }
}
