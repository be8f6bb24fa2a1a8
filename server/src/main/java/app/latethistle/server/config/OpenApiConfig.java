package app.latethistle.server.config;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.servers.Server;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Heads the schema that the front end's types are made from. */
@ServerOnly
@Configuration(proxyBeanMethods = false)
class OpenApiConfig {
  @Bean
  OpenAPI openApi() {
    return new OpenAPI()
        .info(new Info().title("Late Thistle").version("1"))
        .servers(List.of(new Server().url("/")));
  }
}
