package app.latethistle.server.config;

import java.io.IOException;
import org.springframework.context.EnvironmentAware;
import org.springframework.core.env.Environment;
import org.springframework.core.type.classreading.MetadataReader;
import org.springframework.core.type.classreading.MetadataReaderFactory;
import org.springframework.core.type.filter.TypeFilter;
import org.springframework.web.bind.annotation.RestController;

/** Leaves the page's API out of a worker. */
public final class PageFilter implements TypeFilter, EnvironmentAware {
  private boolean worker;

  @Override
  public void setEnvironment(Environment environment) {
    worker = environment.getProperty("latethistle.worker", Boolean.class, false);
  }

  @Override
  public boolean match(MetadataReader reader, MetadataReaderFactory factory) throws IOException {
    return worker && reader.getAnnotationMetadata().hasAnnotation(RestController.class.getName());
  }
}
