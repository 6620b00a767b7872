package arborline.server.support;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Lets a page of a list leave in one piece. With the usual buffer of 8 kB it leaves in ten, and the
 * reader is woken for each of them.
 */
@Configuration
class WholeAnswers {

  private static final String BYTES = Integer.toString(128 * 1024);

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> wholeAnswersCustomizer() {
    return factory ->
        factory.addConnectorCustomizers(
            connector -> connector.setProperty("socket.appWriteBufSize", BYTES));
  }
}
