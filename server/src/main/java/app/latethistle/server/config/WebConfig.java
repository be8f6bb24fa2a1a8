package app.latethistle.server.config;

import java.io.IOException;
import java.util.concurrent.TimeUnit;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Serves the front end; any path that is no file of it and no API is the page itself. */
@Configuration(proxyBeanMethods = false)
class WebConfig implements WebMvcConfigurer {
  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).immutable());
    registry
        .addResourceHandler("/**")
        .addResourceLocations("classpath:/static/")
        .setCacheControl(CacheControl.noCache())
        .resourceChain(true)
        .addResolver(new PageResolver());
  }

  private static final class PageResolver extends PathResourceResolver {
    @Override
    protected Resource getResource(String path, Resource location) throws IOException {
      Resource file = location.createRelative(path);
      if (!path.isEmpty() && file.exists() && file.isReadable()) {
        return file;
      }
      if (path.startsWith("watch/")) {
        boolean link = path.indexOf('/') == path.lastIndexOf('/');
        return link ? new ClassPathResource("/static/watch.html") : null;
      }
      boolean page = !path.startsWith("api/") && !path.contains(".");
      return page ? new ClassPathResource("/static/index.html") : null;
    }
  }
}
