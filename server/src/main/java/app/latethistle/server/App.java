package app.latethistle.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts Late Thistle. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class App {
  public static void main(String[] args) {
    SpringApplication.run(App.class, args);
  }
}
