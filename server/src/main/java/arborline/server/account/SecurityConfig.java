package arborline.server.account;

import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.CsrfConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

@Configuration
@EnableMethodSecurity
class SecurityConfig {

  @Bean
  PasswordEncoder passwordEncoder() {
    return PasswordEncoderFactories.createDelegatingPasswordEncoder();
  }

  @Bean
  SecurityContextRepository securityContextRepository() {
    return new HttpSessionSecurityContextRepository();
  }

  /**
   * Scripts bring a key with every request: no session, and nothing a foreign page could ride on.
   */
  @Bean
  @Order(1)
  SecurityFilterChain scripts(HttpSecurity http, AccessKeys keys) throws Exception {
    http.securityMatcher(request -> KeyFilter.key(request).isPresent())
        .csrf(AbstractHttpConfigurer::disable)
        .sessionManagement(
            sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .addFilterBefore(new KeyFilter(keys), AuthorizationFilter.class);
    return guarded(http);
  }

  @Bean
  @Order(2)
  SecurityFilterChain people(HttpSecurity http) throws Exception {
    http.csrf(CsrfConfigurer::spa);
    return guarded(http);
  }

  /** The interface itself is open; everything behind the API needs somebody signed in. */
  private static SecurityFilterChain guarded(HttpSecurity http) throws Exception {
    http.authorizeHttpRequests(requests ->
            requests
                .dispatcherTypeMatchers(DispatcherType.ASYNC, DispatcherType.ERROR)
                .permitAll()
                .requestMatchers("/api/v1/session", "/api/v1/openapi.json")
                .permitAll()
                .requestMatchers(HttpMethod.GET, "/actuator/health")
                .permitAll()
                .requestMatchers("/api/**", "/actuator/**")
                .authenticated()
                .anyRequest()
                .permitAll())
        .exceptionHandling(errors -> errors.authenticationEntryPoint(signInFirst()))
        .formLogin(AbstractHttpConfigurer::disable)
        .httpBasic(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .headers(headers ->
            headers.contentSecurityPolicy(
                policy -> policy.policyDirectives("frame-ancestors 'none'; object-src 'none'")));
    return http.build();
  }

  private static AuthenticationEntryPoint signInFirst() {
    return (request, response, failure) -> {
      response.setStatus(HttpStatus.UNAUTHORIZED.value());
      response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
      response
          .getWriter()
          .write(
              "{\"status\":401,\"title\":\"Unauthorized\","
                  + "\"detail\":\"sign in first, or send a valid access key\"}");
    };
  }
}
