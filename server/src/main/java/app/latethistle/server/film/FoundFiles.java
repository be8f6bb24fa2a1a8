package app.latethistle.server.film;

import app.latethistle.core.interchange.NamedFile;
import app.latethistle.core.take.Take;
import app.latethistle.server.material.SoundRow;
import app.latethistle.server.material.SoundShelf;
import app.latethistle.server.material.TakeEntry;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Finds the files of a foreign cut among what is here: by their bytes if the cut says what they
 * are, by their names, by their names without ending; takes then by their lengths alone, if only
 * one is as long.
 */
final class FoundFiles {
  private final FilmState state;
  private final SoundShelf.Catalogue sounds;
  private final Map<String, TakeEntry> byHash = new HashMap<>();
  private final Map<String, TakeEntry> byName = new HashMap<>();
  private final Map<String, TakeEntry> byStem = new HashMap<>();
  private final Map<Long, List<TakeEntry>> byLength = new HashMap<>();

  FoundFiles(FilmState state, Collection<TakeEntry> takes, SoundShelf.Catalogue sounds) {
    this.state = state;
    this.sounds = sounds;
    for (TakeEntry take : takes) {
      if (state.takes().containsKey(Long.toString(take.id()))) {
        byHash.putIfAbsent(take(take).media(), take);
        byName.putIfAbsent(folded(take.fileName()), take);
        byStem.putIfAbsent(stem(take.fileName()), take);
        byLength.computeIfAbsent(take.frames(), n -> new ArrayList<>()).add(take);
      }
    }
  }

  /** The take of an entry, as films know it. */
  Take take(TakeEntry entry) {
    return state.takes().get(Long.toString(entry.id()));
  }

  /** The take of a file. */
  Optional<TakeEntry> take(NamedFile file) {
    return Optional.ofNullable(byHash.get(file.sha256()))
        .or(() -> Optional.ofNullable(byName.get(folded(file.name()))))
        .or(() -> Optional.ofNullable(byStem.get(stem(file.name()))));
  }

  /** The only take that has so many frames. */
  Optional<TakeEntry> asLong(long frames) {
    List<TakeEntry> found = byLength.getOrDefault(frames, List.of());
    return found.size() == 1 ? Optional.of(found.get(0)) : Optional.empty();
  }

  /** The sound of a file. */
  Optional<SoundRow> sound(NamedFile file) {
    return sounds.of(file.sha256()).or(() -> sounds.called(stem(file.name()), FoundFiles::stem));
  }

  /** Whether a file is the film's song. */
  boolean isSong(NamedFile file) {
    return state.song().filter(song -> stem(song.title()).equals(stem(file.name()))).isPresent();
  }

  private static String folded(String name) {
    return name.substring(name.replace('\\', '/').lastIndexOf('/') + 1)
        .strip()
        .toLowerCase(Locale.ROOT);
  }

  private static String stem(String name) {
    return folded(name).replaceFirst("\\.[^.]*$", "").replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
  }
}
