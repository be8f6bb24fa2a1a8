package app.latethistle.server.material;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.media.Container;
import app.latethistle.media.MediaFacts;
import app.latethistle.server.Api;
import app.latethistle.server.RunningServer;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Jobs are queued with what needs them, end where a person sees it, and none is forgotten. */
class JobsThatEndTest {
  private RunningServer server;
  private Songs songs;
  private Jobs jobs;
  private Job listen;
  private TransactionTemplate transaction;
  private long production;

  @BeforeEach
  void make() {
    server = RunningServer.shared();
    songs = server.bean(Songs.class);
    jobs = server.bean(Jobs.class);
    listen = server.bean("listen-to-song", Job.class);
    transaction = server.bean(TransactionTemplate.class);
    production = server.api().production("Jobs", 640, 360, 20);
  }

  @AfterEach
  void takeAway() {
    server.api().delete("/api/productions/" + production);
  }

  /** A song whose file is not in the store, as if somebody had cleared it away. */
  private Song lostSong() {
    String hash = "%064x".formatted(System.nanoTime());
    MediaFacts facts =
        new MediaFacts(
            MediaFacts.Kind.SOUND,
            Container.WAV,
            "pcm",
            0,
            7,
            Optional.empty(),
            false,
            Optional.empty(),
            0,
            "",
            true);
    return transaction.execute(
        status -> {
          Medium medium = server.bean(Media.class).save(new Medium(hash, 7, facts));
          return songs.save(new Song(production, "Lost", medium));
        });
  }

  @Test
  void whatIsTakenBackIsNotQueued() {
    Song song = lostSong();
    transaction.executeWithoutResult(
        status -> {
          jobs.enqueue(listen, song.id());
          status.setRollbackOnly();
        });
    assertThat(jobs.isKnown(listen, song.id())).isFalse();
  }

  @Test
  void aJobThatCannotSucceedEndsWithItsReason() {
    Song song = lostSong();
    transaction.executeWithoutResult(status -> jobs.enqueue(listen, song.id()));
    JsonNode ended = ended(song);
    assertThat(ended.get("state").asString()).isEqualTo("REFUSED");
    assertThat(ended.get("reason").asString())
        .isNotEmpty()
        .doesNotContain(server.data().toString());
    assertThat(jobs.isKnown(listen, song.id())).isFalse();
  }

  /** Asked for again in the moment in which its last try ends, a song is listened to again. */
  @Test
  void whatIsAskedForAgainIsNotLostBesideATryThatIsEnding() {
    Song song = lostSong();
    transaction.executeWithoutResult(status -> jobs.enqueue(listen, song.id()));
    ended(song);
    JdbcTemplate jdbc = server.bean(JdbcTemplate.class);
    jdbc.update(
        "insert into scheduled_tasks (task_name, task_instance, execution_time, picked, picked_by,"
            + " last_heartbeat, version) values ('listen-to-song', ?, now(), true, 'ending', now(),"
            + " 1)",
        Long.toString(song.id()));
    try {
      String path = "/api/productions/" + production + "/songs/" + song.id() + "/again";
      assertThat(server.api().post(path, Map.of()).status()).isEqualTo(204);
      assertThat(ended(song).get("state").asString()).isEqualTo("REFUSED");
    } finally {
      jdbc.update("delete from scheduled_tasks where picked_by = 'ending'");
    }
  }

  @Test
  void whatWaitsForNothingIsQueuedAtTheStart() {
    Song song = lostSong();
    assertThat(jobs.isKnown(listen, song.id())).isFalse();
    server.bean(Unfinished.class).sweep();
    assertThat(ended(song).get("state").asString()).isEqualTo("REFUSED");
  }

  private JsonNode ended(Song song) {
    Api api = server.api();
    String path = "/api/productions/" + production + "/songs";
    return api.until(
            path,
            all ->
                all.valueStream()
                    .anyMatch(
                        s ->
                            s.get("id").asLong() == song.id()
                                && !s.get("state").asString().equals("PREPARING")))
        .get(0);
  }
}
