package app.latethistle.server;

import app.latethistle.server.config.PageFilter;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.SpringBootConfiguration;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.FilterType;

/** Starts Late Thistle, or a worker of it. */
@SpringBootConfiguration
@EnableAutoConfiguration
@ConfigurationPropertiesScan
@ComponentScan(
    excludeFilters = @ComponentScan.Filter(type = FilterType.CUSTOM, classes = PageFilter.class))
public class App {
  public static void main(String[] args) {
    SpringApplication.run(App.class, args);
  }
}
