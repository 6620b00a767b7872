package arborline.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.function.Supplier;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;

/**
 * Takes the token from the header alone: looking for it among the parameters would read the body of
 * an upload before anybody asked whether it may be.
 */
final class HeaderCsrf extends CsrfTokenRequestAttributeHandler {

  @Override
  public void handle(
      HttpServletRequest request, HttpServletResponse response, Supplier<CsrfToken> token) {
    super.handle(request, response, token);
    token.get();
  }

  @Override
  public String resolveCsrfTokenValue(HttpServletRequest request, CsrfToken token) {
    return request.getHeader(token.getHeaderName());
  }
}
