package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.server.material.Shots;
import java.time.Instant;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Versions of a film: named, compared with the film as it is, gone back to. */
@RestController
@RequestMapping("/api/productions/{productionId}/film/versions")
class VersionController {
  private final FilmService films;
  private final FilmVersions versions;
  private final Shots shots;

  VersionController(FilmService films, FilmVersions versions, Shots shots) {
    this.films = films;
    this.versions = versions;
    this.shots = shots;
  }

  record VersionName(String name) {}

  record BackTo(long revision) {}

  /**
   * A version.
   *
   * @param length in frames, resolved with the clocks as they are now
   * @param differences what would be other in the film if it were gone back to
   */
  record VersionView(
      long id, String name, Instant madeAt, long length, int shots, List<String> differences) {}

  @GetMapping
  @Transactional(readOnly = true)
  public List<VersionView> versions(@PathVariable long productionId) {
    FilmState now = films.state(productionId);
    UnaryOperator<String> label = shots.labels(productionId);
    return versions.findByProductionIdOrderById(productionId).stream()
        .map(version -> view(version, now, label))
        .toList();
  }

  private static VersionView view(FilmVersion version, FilmState now, UnaryOperator<String> label) {
    FilmState then = now.of(version.edit().film());
    return new VersionView(
        version.id(),
        version.name(),
        version.madeAt(),
        then.cutting().length(),
        then.film().placements().size(),
        Differences.of(now, then, label));
  }

  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void keep(@PathVariable long productionId, @RequestBody VersionName asked) {
    String name = asked.name() == null ? "" : asked.name().strip();
    if (name.isEmpty() || name.length() > FilmVersion.LONGEST) {
      throw new Refused("Give the version a name of up to " + FilmVersion.LONGEST + " letters.");
    }
    boolean known =
        versions.findByProductionIdOrderById(productionId).stream()
            .anyMatch(v -> v.name().equals(name));
    if (known) {
      throw new Refused("There is a version '" + name + "' already; give this one another name.");
    }
    versions.save(new FilmVersion(productionId, name, films.state(productionId).film()));
  }

  /** Makes the film what it was; what it is now comes back with undo. */
  @PostMapping("/{id}/back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void back(@PathVariable long productionId, @PathVariable long id, @RequestBody BackTo asked) {
    FilmVersion version = versions.get(productionId, id);
    films.edit(productionId, asked.revision(), state -> version.edit());
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long productionId, @PathVariable long id) {
    versions.delete(versions.get(productionId, id));
  }
}
