package app.latethistle.core.take;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;

/**
 * Clips gathered under their shots: by scene, then shot number, as people count; clips without a
 * number each make a shot of their own, after the numbered ones, by name.
 */
public final class Gathering {
  /** A file's name and what it says. */
  public record Clip(String file, ClipName name) {
    /** Reads the name. */
    public static Clip of(String file) {
      return new Clip(file, ClipName.parse(file));
    }
  }

  /** What tells one shot from another; zeros before a scene or number count for nothing. */
  public record ShotKey(String scene, String number, String unnumbered) {
    /** Takes the zeros away. */
    public ShotKey {
      scene = NaturalOrder.unpadded(scene);
      number = NaturalOrder.unpadded(number);
    }

    /** The key of a shot that has a number and no scene. */
    public static ShotKey of(String number) {
      return new ShotKey("", number, "");
    }

    /** The key of the shot a clip belongs to. */
    public static ShotKey of(Clip clip) {
      boolean numbered = !clip.name().shot().isEmpty();
      return new ShotKey(clip.name().scene(), clip.name().shot(), numbered ? "" : clip.file());
    }
  }

  /** A shot and its takes, lowest number first. */
  public record Shot(ShotKey key, List<Clip> takes) {}

  /** The order in which shots come. */
  public static final Comparator<ShotKey> ORDER =
      Comparator.comparing((ShotKey k) -> !k.unnumbered().isEmpty())
          .thenComparing(ShotKey::scene, NaturalOrder.INSTANCE)
          .thenComparing(ShotKey::number, NaturalOrder.INSTANCE)
          .thenComparing(ShotKey::unnumbered, NaturalOrder.INSTANCE);

  private Gathering() {}

  /** Gathers files by their names. */
  public static List<Shot> of(Collection<String> files) {
    TreeMap<ShotKey, List<Clip>> shots = new TreeMap<>(ORDER);
    for (String file : files) {
      Clip clip = Clip.of(file);
      shots.computeIfAbsent(ShotKey.of(clip), k -> new ArrayList<>()).add(clip);
    }
    List<Shot> gathered = new ArrayList<>();
    shots.forEach(
        (key, takes) -> {
          takes.sort(
              Comparator.comparingInt((Clip c) -> c.name().take())
                  .thenComparing(Clip::file, NaturalOrder.INSTANCE));
          gathered.add(new Shot(key, List.copyOf(takes)));
        });
    return gathered;
  }
}
