package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The media kept, by hash. */
public interface Media extends JpaRepository<Medium, String> {
  /** The medium of a file; one is made if there is none. */
  default Medium enter(ContentStore.Stored stored, MediaFacts facts) {
    lock(stored.hash());
    return findById(stored.hash())
        .orElseGet(() -> save(new Medium(stored.hash(), stored.bytes(), facts)));
  }

  /**
   * Lets others wait until the transaction ends, so that two productions can enter one file at the
   * same time.
   */
  @Query(
      value = "select 1 from pg_advisory_xact_lock(hashtextextended(:hash, 0))",
      nativeQuery = true)
  int lock(String hash);
}
