package arborline.bench;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLConnection;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to the server as a script does. */
final class Http {

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String BOUNDARY = "arborbench";

  private final HttpClient client =
      HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
  private final String url;
  private final String key;

  Http(String url, String key) {
    this.url = url + "/api/v1";
    this.key = key;
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(url + path)).header("Authorization", "Bearer " + key);
  }

  JsonNode get(String path) throws IOException, InterruptedException {
    return send(request(path).build());
  }

  /**
   * Fetches a page into the caller's thread, as a database driver does, and leaves it as bytes:
   * what the caller makes of it is not measured.
   */
  byte[] bytes(String path) throws IOException {
    URLConnection connection = URI.create(url + path).toURL().openConnection();
    connection.setRequestProperty("Authorization", "Bearer " + key);
    try (InputStream body = connection.getInputStream()) {
      return body.readAllBytes();
    }
  }

  JsonNode post(String path, String body) throws IOException, InterruptedException {
    return send(
        request(path)
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  JsonNode put(String path, String body) throws IOException, InterruptedException {
    return send(
        request(path)
            .header("Content-Type", "application/json")
            .PUT(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  JsonNode delete(String path) throws IOException, InterruptedException {
    return send(request(path).DELETE().build());
  }

  /** Brings a file in and waits until it is inspected. */
  long deliver(String content) throws IOException, InterruptedException {
    String body =
        "--%s\r\nContent-Disposition: form-data; name=\"files\"; filename=\"bench.csv\"\r\n\r\n%s\r\n--%s--\r\n"
            .formatted(BOUNDARY, content, BOUNDARY);
    long id =
        send(request("/deliveries")
                .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                .POST(HttpRequest.BodyPublishers.ofString(body, StandardCharsets.UTF_8))
                .build())
            .get("id")
            .asLong();
    while (!get("/deliveries/" + id).get("state").asString().equals("ready")) {
      Thread.sleep(100);
    }
    return id;
  }

  private JsonNode send(HttpRequest request) throws IOException, InterruptedException {
    return JSON.readTree(answer(request));
  }

  private String answer(HttpRequest request) throws IOException, InterruptedException {
    HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
    if (response.statusCode() / 100 != 2) {
      throw new IOException(request.uri() + ": " + response.body());
    }
    return response.body();
  }
}
