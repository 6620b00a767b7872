package arborline.server.support;

import java.io.IOException;
import java.io.Writer;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** What the container itself refuses, before any filter, is a problem document as well. */
@Configuration
class ContainerProblems {

  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> containerProblemsCustomizer() {
    return factory ->
        factory.addContextCustomizers(context -> {
          if (context.getParent() instanceof StandardHost host) {
            host.setErrorReportValveClass(ProblemValve.class.getName());
          }
        });
  }

  /** Reports an error of the container. */
  public static final class ProblemValve extends ErrorReportValve {

    @Override
    protected void report(Request request, Response response, Throwable failure) {
      if (response.getStatus() < 400 || response.getContentWritten() > 0) {
        return;
      }
      HttpStatus status = HttpStatus.resolve(response.getStatus());
      HttpStatus known = status == null ? HttpStatus.BAD_REQUEST : status;
      try {
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        Writer writer = response.getReporter();
        if (writer != null) {
          writer.write(ProblemWriter.text(known, detail(known)));
          response.finishResponse();
        }
      } catch (IOException gone) {
        container.getLogger().debug("nobody reads the answer", gone);
      }
    }

    private static String detail(HttpStatus status) {
      return status.is5xxServerError()
          ? "something went wrong on our side and was logged"
          : "the address or the head of the request cannot be read";
    }
  }
}
