package app.latethistle.server.config;

import java.util.Optional;
import org.apache.catalina.connector.Connector;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.session.DisableEncodeUrlFilter;

/** One local user without an account: loopback only, no foreign pages, CSRF protection. */
@ServerOnly
@Configuration(proxyBeanMethods = false)
class SecurityConfig {
  private static final String POLICY =
      "default-src 'self'; img-src 'self' data: blob:; media-src 'self' blob:; style-src 'self'"
          + " 'unsafe-inline'; worker-src 'self' blob:; frame-ancestors 'none'";

  @Bean
  SecurityFilterChain security(HttpSecurity http, Settings settings) throws Exception {
    Optional<Settings.Address> beyond = settings.beyond();
    beyond.ifPresent(
        b -> http.addFilterBefore(new BeyondFilter(b.port()), DisableEncodeUrlFilter.class));
    // Whoever has a link proves it by the key in it; there is no cookie to misuse.
    return http.csrf(csrf -> csrf.spa().ignoringRequestMatchers("/watch/**"))
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .headers(
            headers ->
                headers
                    .cacheControl(cache -> cache.disable())
                    .contentSecurityPolicy(policy -> policy.policyDirectives(POLICY)))
        .requestCache(cache -> cache.disable())
        .addFilterBefore(new LocalOnlyFilter(beyond), CsrfFilter.class)
        .addFilterAfter(new CostlyReads(), CsrfFilter.class)
        .build();
  }

  /** A second door, which is open only to those who watch. */
  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> secondDoor(Settings settings) {
    return factory ->
        settings
            .beyond()
            .ifPresent(
                address -> {
                  Connector connector = new Connector();
                  connector.setPort(address.port());
                  connector.setProperty("address", address.host());
                  factory.addAdditionalConnectors(connector);
                });
  }

  /** No accounts: keeps a default user and its printed password from being made. */
  @Bean
  UserDetailsService users() {
    return new InMemoryUserDetailsManager();
  }
}
