package app.latethistle.server.storage;

import java.time.Duration;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** Files that were brought in and that no take, song, reading or open master is of. */
@Repository
class UnusedMedia {
  private static final String USED =
      """
      (exists (select 1 from take t where t.medium_hash = m.hash or t.subject_hash = m.hash)
       or exists (select 1 from song s where s.medium_hash = m.hash)
       or exists (select 1 from reading r where r.medium_hash = m.hash)
       or exists (select 1 from sound s where s.medium_hash = m.hash)
       or exists (select 1 from master o where o.state in ('WAITING', 'RENDERING', 'CHECKING')
                  and position(m.hash in o.order_body) > 0))""";

  private final JdbcTemplate jdbc;

  UnusedMedia(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** A file and its size. */
  record Unused(String hash, long bytes) {}

  /** Notes since when each is unused; called now and then. */
  void note() {
    jdbc.update(
        "update medium m set unused_since = null where unused_since is not null and " + USED);
    jdbc.update(
        "update medium m set unused_since = now() where unused_since is null and not " + USED);
  }

  /** Those that have been unused for so long. */
  List<Unused> since(Duration idle) {
    return jdbc.query(
        "select hash, bytes from medium m where unused_since <= now() - make_interval(secs => ?)"
            + " and not "
            + USED,
        (row, n) -> new Unused(row.getString(1), row.getLong(2)),
        idle.toSeconds());
  }

  /** Takes one out of the list of media, unless somebody uses it now. */
  boolean remove(String hash) {
    // The same lock that entering a medium takes.
    jdbc.queryForList("select pg_advisory_xact_lock(hashtextextended(?, 0))", hash);
    return jdbc.update("delete from medium m where hash = ? and not " + USED, hash) > 0;
  }

  /** Whether a file is known. */
  boolean isKnown(String hash) {
    return jdbc.queryForObject("select count(*) from medium where hash = ?", Long.class, hash) > 0;
  }
}
