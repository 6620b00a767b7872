package arborline.server.account;

import arborline.server.support.ProblemWriter;
import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.NegatedRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

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
    http.csrf(csrf ->
        csrf.csrfTokenRepository(CookieCsrfTokenRepository.withHttpOnlyFalse())
            .csrfTokenRequestHandler(new HeaderCsrf()));
    return guarded(http);
  }

  /** The interface itself is open; everything behind the API needs somebody signed in. */
  private static SecurityFilterChain guarded(HttpSecurity http) throws Exception {
    http.authorizeHttpRequests(requests ->
            requests
                .dispatcherTypeMatchers(DispatcherType.ASYNC, DispatcherType.ERROR)
                .permitAll()
                .requestMatchers(
                    "/api/v1/session", "/api/v1/invitations/**", "/api/v1/openapi.json")
                .permitAll()
                .requestMatchers(HttpMethod.GET, "/api/v1/feeds/**")
                .permitAll()
                .requestMatchers(HttpMethod.HEAD, "/api/v1/feeds/**")
                .permitAll()
                .requestMatchers(HttpMethod.GET, "/actuator/health")
                .permitAll()
                .requestMatchers("/api/**", "/actuator/**")
                .authenticated()
                .anyRequest()
                .permitAll())
        .exceptionHandling(
            errors -> errors.authenticationEntryPoint(signInFirst()).accessDeniedHandler(refused()))
        .formLogin(AbstractHttpConfigurer::disable)
        .httpBasic(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .headers(headers ->
            headers
                .addHeaderWriter(ContentPolicy.writer(WORKERS, ContentPolicy.OF_WORKERS))
                .addHeaderWriter(
                    ContentPolicy.writer(new NegatedRequestMatcher(WORKERS), ContentPolicy.text()))
                .referrerPolicy(policy ->
                    policy.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN)));
    return http.build();
  }

  /** Scripts that run beside the page. */
  private static final RequestMatcher WORKERS =
      PathPatternRequestMatcher.withDefaults().matcher("/_app/immutable/workers/**");

  private static AuthenticationEntryPoint signInFirst() {
    return (request, response, failure) ->
        ProblemWriter.write(
            response, HttpStatus.UNAUTHORIZED, "sign in first, or send a valid access key");
  }

  private static AccessDeniedHandler refused() {
    return (request, response, denied) ->
        ProblemWriter.write(
            response,
            HttpStatus.FORBIDDEN,
            denied instanceof CsrfException
                ? "this request does not come from our pages; load the page again"
                : "your role may not do this; ask the lead");
  }

  /** What the firewall in front of all refuses: odd signs in the address. */
  @Bean
  RequestRejectedHandler rejectedAddress() {
    return (request, response, rejected) ->
        ProblemWriter.write(
            response, HttpStatus.BAD_REQUEST, "the address has signs that no address of ours has");
  }
}
