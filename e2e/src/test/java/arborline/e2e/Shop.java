package arborline.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;

/** Tells the simulated controls how to behave; that of M1 where none is named. */
final class Shop {

  private final String url;

  Shop(String url) {
    this.url = url;
  }

  void behave(String json) {
    send("PUT", "/behaviour", json);
  }

  /** The operator changes the length of a tool at the panel. */
  void operatorSetsLength(int number, String length) {
    send("POST", "/operator", "{\"list\":10,\"number\":%d,\"value\":%s}".formatted(number, length));
  }

  /** Back to the state of delivery, behaving well. */
  void forget() {
    send("POST", "/forget", "");
  }

  private void send(String method, String path, String body) {
    send("m1", method, path, body);
  }

  /** Whatever one of the controls is told. */
  void send(String control, String method, String path, String body) {
    try (HttpClient http = HttpClient.newHttpClient()) {
      HttpResponse<String> response =
          http.send(
              HttpRequest.newBuilder(URI.create("%s/%s%s".formatted(url, control, path)))
                  .method(method, HttpRequest.BodyPublishers.ofString(body))
                  .build(),
              HttpResponse.BodyHandlers.ofString());
      if (response.statusCode() / 100 != 2) {
        throw new IllegalStateException(response.body());
      }
    } catch (IOException failed) {
      throw new IllegalStateException(failed);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    }
  }
}
