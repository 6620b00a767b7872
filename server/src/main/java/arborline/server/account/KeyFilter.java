package arborline.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets scripts in by {@code Authorization: Bearer <key>}. */
class KeyFilter extends OncePerRequestFilter {

  private static final String BEARER = "Bearer ";

  private final AccessKeys keys;

  KeyFilter(AccessKeys keys) {
    this.keys = keys;
  }

  /** The key that a request carries, if it carries one. */
  static Optional<String> key(HttpServletRequest request) {
    return Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
        .filter(header -> header.startsWith(BEARER))
        .map(header -> header.substring(BEARER.length()).strip());
  }

  @Override
  protected boolean shouldNotFilterAsyncDispatch() {
    return false;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    key(request).flatMap(keys::role).ifPresent(KeyFilter::enter);
    chain.doFilter(request, response);
  }

  private static void enter(Role role) {
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(
            "key:" + role.name().toLowerCase(Locale.ROOT), null, Authorities.of(role)));
    SecurityContextHolder.setContext(context);
  }
}
