package arborline.e2e;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;

/** Somebody's script beside the browser, with an access key. */
record Script(String url, String key) {

  private static final String BOUNDARY = "arborscript";

  JsonObject get(String path) {
    return send(request(path).build());
  }

  JsonObject post(String path, String body) {
    return send(
        request(path)
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  JsonObject put(String path, String body) {
    return send(
        request(path)
            .header("Content-Type", "application/json")
            .PUT(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  JsonObject delete(String path) {
    return send(request(path).DELETE().build());
  }

  /** Brings a file in; answers its delivery. */
  long deliver(String name, String content) {
    return upload("/deliveries", name, content);
  }

  /** Sends a file; answers the identity of what became of it. */
  long upload(String path, String name, String content) {
    String body =
        "--%s\r\nContent-Disposition: form-data; name=\"files\"; filename=\"%s\"\r\n\r\n%s\r\n--%s--\r\n"
            .formatted(BOUNDARY, name, content, BOUNDARY);
    return send(request(path)
            .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build())
        .get("id")
        .getAsLong();
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(url + "/api/v1" + path))
        .header("Authorization", "Bearer " + key);
  }

  private static JsonObject send(HttpRequest request) {
    try (HttpClient http = HttpClient.newHttpClient()) {
      HttpResponse<String> response = http.send(request, HttpResponse.BodyHandlers.ofString());
      if (response.statusCode() / 100 != 2) {
        throw new IllegalStateException(request.uri() + ": " + response.body());
      }
      return JsonParser.parseString(response.body()).getAsJsonObject();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(interrupted);
    }
  }
}
