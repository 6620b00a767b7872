package arborline.server.account;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.security.web.header.HeaderWriter;
import org.springframework.security.web.header.writers.ContentSecurityPolicyHeaderWriter;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.security.web.util.matcher.RequestMatcher;

/**
 * The content policy of all answers. The interface is built with its own, which knows the
 * fingerprint of its one script; that one is taken over and made stricter.
 */
final class ContentPolicy {

  private static final String STRICT = "; frame-ancestors 'none'; object-src 'none'";
  private static final String WITHOUT_INTERFACE =
      "default-src 'self'; base-uri 'self'; form-action 'self'";
  private static final Pattern BUILT =
      Pattern.compile("http-equiv=\"content-security-policy\" content=\"([^\"]*)\"");

  /**
   * Of a worker, which has no page: one reads solids with a package that makes functions as it
   * starts. It may fetch what is ours and nothing else.
   */
  static final String OF_WORKERS =
      "default-src 'none'; connect-src 'self';"
          + " script-src 'self' 'unsafe-eval' 'wasm-unsafe-eval'";

  private ContentPolicy() {}

  /** Writes a policy into the answers to some requests. */
  static HeaderWriter writer(RequestMatcher requests, String policy) {
    return new DelegatingRequestMatcherHeaderWriter(
        requests, new ContentSecurityPolicyHeaderWriter(policy));
  }

  static String text() {
    try (InputStream page = ContentPolicy.class.getResourceAsStream("/static/index.html")) {
      if (page == null) {
        return WITHOUT_INTERFACE + STRICT;
      }
      Matcher built = BUILT.matcher(new String(page.readAllBytes(), StandardCharsets.UTF_8));
      return (built.find() ? built.group(1) : WITHOUT_INTERFACE) + STRICT;
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
