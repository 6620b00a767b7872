package arborline.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
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
    key(request).flatMap(keys::granted).ifPresent(KeyFilter::enter);
    chain.doFilter(request, response);
  }

  /** Each key of a role is somebody of its own: what one reserves is not another's. */
  private static void enter(AccessKeys.Granted key) {
    Object who =
        key.account().isPresent()
            ? key.account().get()
            : "key %d (%s)".formatted(key.id(), key.role().word());
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(
            who, null, Authorities.of(key.role(), key.may())));
    SecurityContextHolder.setContext(context);
  }
}
