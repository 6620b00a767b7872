package arborline.server.table;

import arborline.core.table.ControlDialect;
import arborline.core.table.ControlDialects;
import arborline.core.table.ControlFile;
import arborline.core.table.ControlTable;
import arborline.server.machine.Machines;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.stereotype.Component;

/** Speaks to a machine's control over its link. */
@Component
class ControlLink {

  private static final Duration TIMEOUT = Duration.ofSeconds(8);

  private final HttpClient http =
      HttpClient.newBuilder()
          .version(HttpClient.Version.HTTP_1_1)
          .connectTimeout(Duration.ofSeconds(3))
          .build();

  ControlDialect dialect(Machines.Linked machine) {
    return ControlDialects.named(machine.machine().habits().dialect());
  }

  /**
   * Reads the tool table.
   *
   * @throws IOException where the control does not answer, or not in its form
   */
  ControlTable read(Machines.Linked machine) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(machine.link() + "/assets")).timeout(TIMEOUT).build();
    HttpResponse<InputStream> response = send(request, HttpResponse.BodyHandlers.ofInputStream());
    try (InputStream body = response.body()) {
      if (response.statusCode() != 200) {
        throw new IOException("it answered %d to reading".formatted(response.statusCode()));
      }
      return dialect(machine).read(body);
    }
  }

  /**
   * Sends one file.
   *
   * @throws IOException where the control refuses it or drops the connection; the message says why
   */
  void send(Machines.Linked machine, ControlFile file) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(machine.link() + "/files/" + file.name()))
            .timeout(TIMEOUT)
            .header("Content-Type", file.mediaType())
            .PUT(HttpRequest.BodyPublishers.ofString(file.content(), StandardCharsets.US_ASCII))
            .build();
    HttpResponse<String> response = send(request, HttpResponse.BodyHandlers.ofString());
    if (response.statusCode() / 100 != 2) {
      throw new IOException(response.body().strip());
    }
  }

  private <T> HttpResponse<T> send(HttpRequest request, HttpResponse.BodyHandler<T> handler)
      throws IOException {
    try {
      return http.send(request, handler);
    } catch (java.net.http.HttpTimeoutException slow) {
      throw new IOException("no answer within %d seconds".formatted(TIMEOUT.toSeconds()), slow);
    } catch (java.net.ConnectException refused) {
      throw new IOException("nothing answers at its address", refused);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", interrupted);
    }
  }
}
