package app.latethistle.server.config;

import app.latethistle.media.ContentStore;
import java.io.IOException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The media store. */
@Configuration(proxyBeanMethods = false)
class StoreConfig {
  @Bean
  ContentStore contentStore(Settings settings) throws IOException {
    return new ContentStore(settings.data());
  }
}
