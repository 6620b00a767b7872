package arborline.server.support;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets a page of a list leave in one piece, with its length in front. With the usual buffers of 8
 * kB it leaves in ten, and the reader is woken for each of them.
 */
@Configuration
class WholeAnswers {

  private static final int BYTES = 128 * 1024;

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> wholeAnswersCustomizer() {
    return factory ->
        factory.addConnectorCustomizers(
            connector -> connector.setProperty("socket.appWriteBufSize", Integer.toString(BYTES)));
  }

  @Component
  @Order(Ordered.HIGHEST_PRECEDENCE)
  static final class Collecting extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      response.setBufferSize(BYTES);
      chain.doFilter(request, response);
    }
  }
}
