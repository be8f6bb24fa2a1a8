package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Replace;
import app.latethistle.server.stored.StoredEdit;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** A film as it was when a person gave it a name. */
@Entity
class FilmVersion {
  /** Letters a name may have. */
  static final int LONGEST = 80;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String name;

  /** The edit that makes the film this one. */
  @Column(columnDefinition = "text")
  private String film;

  private Instant madeAt;

  protected FilmVersion() {}

  FilmVersion(long productionId, String name, Film film) {
    this.productionId = productionId;
    this.name = name;
    this.film = StoredEdit.write(new Replace(film, "go back to " + name));
    madeAt = Instant.now();
  }

  /** One that comes from elsewhere. */
  FilmVersion(long productionId, String name, Film film, Instant made) {
    this(productionId, name, film);
    madeAt = made;
  }

  Long id() {
    return id;
  }

  Long productionId() {
    return productionId;
  }

  String name() {
    return name;
  }

  Instant madeAt() {
    return madeAt;
  }

  /** The edit that makes the film this one. */
  Replace edit() {
    return (Replace) StoredEdit.read(film).on(Film.EMPTY);
  }
}
