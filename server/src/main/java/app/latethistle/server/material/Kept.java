package app.latethistle.server.material;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Values that took long to work out, those last asked for; for several threads. Two that ask at
 * once may both work one out, and neither waits for the other.
 */
public final class Kept<K, V> {
  private final int most;
  private final Map<K, V> values = new LinkedHashMap<>(16, 0.75f, /* accessOrder= */ true);

  /**
   * @param most how many are kept
   */
  public Kept(int most) {
    this.most = most;
  }

  /** A value that is kept. */
  public synchronized Optional<V> get(K key) {
    return Optional.ofNullable(values.get(key));
  }

  /** Keeps a value, in place of the one that was asked for longest ago if there are too many. */
  public synchronized void put(K key, V value) {
    values.put(key, value);
    if (values.size() > most) {
      values.remove(values.keySet().iterator().next());
    }
  }
}
