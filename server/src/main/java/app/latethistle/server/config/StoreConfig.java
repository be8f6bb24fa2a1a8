package app.latethistle.server.config;

import app.latethistle.media.ContentStore;
import app.latethistle.media.Encoders;
import app.latethistle.media.credentials.ContentCredentials;
import java.io.IOException;
import java.nio.file.Files;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The media store, what can be written, and the database's schema: made by the server, and only
 * used by a worker.
 */
@Configuration(proxyBeanMethods = false)
class StoreConfig {
  @Bean
  ContentStore contentStore(Settings settings) throws IOException {
    if (settings.worker() && !Files.isDirectory(settings.data())) {
      throw new StartRefused(
          "The store of the server is not at " + settings.data() + ".",
          "Share the server's data folder with this machine, and name it with --data.");
    }
    return new ContentStore(settings.data());
  }

  /** What is signed with a key that is kept beside the media, and so copied with them. */
  @Bean
  ContentCredentials contentCredentials(Settings settings) {
    return new ContentCredentials(settings.data());
  }

  @Bean
  Encoders encoders() throws IOException {
    return Encoders.ofMachine();
  }

  @Bean
  FlywayMigrationStrategy migration(Settings settings) {
    return flyway -> {
      if (!settings.worker()) {
        flyway.migrate();
        return;
      }
      try {
        flyway.validate();
      } catch (FlywayValidateException e) {
        throw new StartRefused(
            "The database was made by another version of Late Thistle.",
            "Run the same version as the server, and start the server first.");
      }
    };
  }
}
