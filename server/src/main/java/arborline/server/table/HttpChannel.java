package arborline.server.table;

import arborline.core.table.ControlFile;
import java.io.IOException;
import java.io.InputStream;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** {@code GET link/document}, {@code PUT link/files/name}. */
@Component
class HttpChannel implements ControlChannel {

  private static final Duration TIMEOUT = Duration.ofSeconds(8);

  private final HttpClient http =
      HttpClient.newBuilder()
          .version(HttpClient.Version.HTTP_1_1)
          .connectTimeout(Duration.ofSeconds(3))
          .build();

  @Override
  public String scheme() {
    return "http";
  }

  @Override
  public Map<String, byte[]> read(URI link, List<String> documents) throws IOException {
    Map<String, byte[]> answers = new HashMap<>();
    for (String name : documents) {
      HttpRequest request = HttpRequest.newBuilder(at(link, name)).timeout(TIMEOUT).build();
      HttpResponse<InputStream> response =
          asked(request, HttpResponse.BodyHandlers.ofInputStream());
      try (InputStream body = response.body()) {
        if (response.statusCode() != 200) {
          throw new OddAnswerException(
              "it answered %d to reading".formatted(response.statusCode()));
        }
        answers.put(name, whole(body));
      }
    }
    return answers;
  }

  private static byte[] whole(InputStream body) throws IOException {
    byte[] bytes;
    try {
      bytes = body.readNBytes(LARGEST_DOCUMENT + 1);
    } catch (IOException broken) {
      throw brokenOff(broken);
    }
    if (bytes.length > LARGEST_DOCUMENT) {
      throw new OddAnswerException("its answer is larger than 32 MB");
    }
    return bytes;
  }

  @Override
  public void send(URI link, ControlFile file) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(at(link, "files/" + file.name()))
            .timeout(TIMEOUT)
            .header("Content-Type", file.mediaType())
            .PUT(HttpRequest.BodyPublishers.ofByteArray(file.bytes()))
            .build();
    HttpResponse<String> response = asked(request, HttpResponse.BodyHandlers.ofString());
    if (response.statusCode() / 100 != 2) {
      String said = response.body().strip();
      throw new RefusedByControlException(
          said.isEmpty() ? "it answered %d".formatted(response.statusCode()) : said);
    }
  }

  private static URI at(URI link, String name) {
    return URI.create(link + "/" + name);
  }

  private <T> HttpResponse<T> asked(HttpRequest request, HttpResponse.BodyHandler<T> body)
      throws IOException {
    try {
      return http.send(request, body);
    } catch (HttpTimeoutException slow) {
      throw new IOException("no answer within %d seconds".formatted(TIMEOUT.toSeconds()), slow);
    } catch (ConnectException refused) {
      throw new IOException("nothing answers at its address", refused);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", interrupted);
    } catch (IOException broken) {
      throw brokenOff(broken);
    }
  }

  private static IOException brokenOff(IOException broken) {
    return new IOException("it broke the connection off before it had answered", broken);
  }
}
