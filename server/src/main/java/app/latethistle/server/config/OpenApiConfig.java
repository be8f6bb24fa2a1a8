package app.latethistle.server.config;

import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Set;
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

  /** A value that is a type of its own and may be null says so; else that would be lost. */
  @Bean
  ModelConverter nullableReferences() {
    return (type, context, chain) -> {
      Schema<?> made = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
      Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
      Schema<?> model = context.getDefinedModels().get(raw.getSimpleName());
      if (raw.isRecord() && model != null && model.getProperties() != null) {
        for (RecordComponent value : raw.getRecordComponents()) {
          if (isNullable(value)) {
            model.getProperties().computeIfPresent(value.getName(), (name, of) -> orNull(of));
          }
        }
      }
      return made;
    };
  }

  private static boolean isNullable(RecordComponent value) {
    var said = value.getAccessor().getAnnotation(io.swagger.v3.oas.annotations.media.Schema.class);
    return said != null && said.nullable();
  }

  private static Schema<?> orNull(Schema<?> of) {
    if (of.get$ref() == null) {
      return of;
    }
    Schema<Object> nothing = new JsonSchema();
    nothing.setTypes(Set.of("null"));
    Schema<Object> either = new JsonSchema();
    either.setAnyOf(List.of(of, nothing));
    return either;
  }
}
