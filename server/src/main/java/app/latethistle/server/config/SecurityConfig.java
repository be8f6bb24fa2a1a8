package app.latethistle.server.config;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CsrfFilter;

/** One local user without an account: loopback only, no foreign pages, CSRF protection. */
@ServerOnly
@Configuration(proxyBeanMethods = false)
class SecurityConfig {
  private static final String POLICY =
      "default-src 'self'; img-src 'self' data: blob:; media-src 'self' blob:; style-src 'self'"
          + " 'unsafe-inline'; worker-src 'self' blob:; frame-ancestors 'none'";

  @Bean
  SecurityFilterChain security(HttpSecurity http) throws Exception {
    return http.csrf(csrf -> csrf.spa())
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .headers(
            headers ->
                headers
                    .cacheControl(cache -> cache.disable())
                    .contentSecurityPolicy(policy -> policy.policyDirectives(POLICY)))
        .requestCache(cache -> cache.disable())
        .addFilterBefore(new LocalOnlyFilter(), CsrfFilter.class)
        .addFilterAfter(new CostlyReads(), CsrfFilter.class)
        .build();
  }

  /** No accounts: keeps a default user and its printed password from being made. */
  @Bean
  UserDetailsService users() {
    return new InMemoryUserDetailsManager();
  }
}
