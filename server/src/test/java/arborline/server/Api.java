package arborline.server;

import arborline.rig.Background;
import arborline.rig.PrivateDatabase;
import arborline.shop.Shop;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.BooleanSupplier;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.client.RestClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to the server under test over HTTP, as scripts do. */
final class Api {

  /** Where the stand-in controls keep what they remember. */
  static final Path STATES = temporary("shop");

  private static final int NODES = Background.freePort();
  static final String SHOP = shop();

  private static final PrivateDatabase DATABASE = database();
  static final JsonMapper JSON = JsonMapper.builder().build();

  private final RestClient http;
  private final String key;
  private final int port;

  Api(int port, String key) {
    this.key = key;
    this.port = port;
    this.http =
        RestClient.builder()
            .baseUrl("http://127.0.0.1:" + port)
            .defaultStatusHandler(HttpStatusCode::isError, (request, response) -> {})
            .build();
  }

  private static String shop() {
    try {
      System.setProperty("shop.looks", "20");
      System.setProperty("shop.nodes", Integer.toString(NODES));
      int port = Shop.start(0, STATES, Path.of("../demo/vendors")).getAddress().getPort();
      return "http://127.0.0.1:" + port;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static PrivateDatabase database() {
    PrivateDatabase database = PrivateDatabase.start(Path.of("target/rig"));
    Runtime.getRuntime().addShutdownHook(new Thread(database::close));
    return database;
  }

  /** Where the watched folders of tests stand. */
  static final Path WATCHED = temporary("watched");

  /** Where the folders of the outlets of tests stand. */
  static final Path OUTLETS = WATCHED.resolve("outlets");

  private static Path temporary(String name) {
    try {
      Path folder = Files.createTempDirectory(name);
      folder.toFile().deleteOnExit();
      return folder;
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }

  /** Points the server under test to a private database and to the demo. */
  static void properties(DynamicPropertyRegistry registry) {
    registry.add("arbor.watched", WATCHED::toString);
    registry.add("arbor.outlets", OUTLETS::toString);
    registry.add("arbor.controls.folders", () -> STATES.resolve("folders").toString());
    registry.add("arbor.controls.patience", () -> "3s");
    registry.add("arbor.controls.pace", () -> "0s");
    registry.add("spring.datasource.url", DATABASE::url);
    registry.add("spring.datasource.username", DATABASE::user);
    registry.add("spring.datasource.password", DATABASE::password);
    registry.add("ARBOR_SHOP_URL", () -> SHOP);
    registry.add("ARBOR_SHOP_NODES", () -> "opc.tcp://127.0.0.1:%d/m3".formatted(NODES));
    registry.add("arbor.demo", () -> Path.of("../demo").toAbsolutePath().toString());
  }

  /** An answer: status and body. */
  record Answer(int status, JsonNode body) {

    JsonNode at(String name) {
      return body.get(name);
    }

    long number(String name) {
      return body.get(name).asLong();
    }

    String text(String name) {
      return body.get(name).asString();
    }
  }

  Answer get(String path) {
    return answer(
        http.get().uri(path).headers(h -> h.setBearerAuth(key)).retrieve().toEntity(byte[].class));
  }

  /** As {@link #get(String)}, for an address whose parts are encoded already. */
  Answer get(java.net.URI encoded) {
    return answer(
        http.get()
            .uri(java.net.URI.create("http://127.0.0.1:%d%s".formatted(port, encoded)))
            .headers(h -> h.setBearerAuth(key))
            .retrieve()
            .toEntity(byte[].class));
  }

  byte[] bytes(String path) {
    return http.get().uri(path).headers(h -> h.setBearerAuth(key)).retrieve().body(byte[].class);
  }

  Answer send(String method, String path, Object body) {
    return answer(
        http.method(org.springframework.http.HttpMethod.valueOf(method))
            .uri(path)
            .headers(h -> h.setBearerAuth(key))
            .contentType(MediaType.APPLICATION_JSON)
            .body(JSON.writeValueAsString(body))
            .retrieve()
            .toEntity(byte[].class));
  }

  /** Sends a body as it is, be it JSON or not. */
  Answer raw(String method, java.net.URI encoded, String body) {
    return answer(
        http.method(org.springframework.http.HttpMethod.valueOf(method))
            .uri(java.net.URI.create("http://127.0.0.1:%d%s".formatted(port, encoded)))
            .headers(h -> h.setBearerAuth(key))
            .contentType(MediaType.APPLICATION_JSON)
            .body(body)
            .retrieve()
            .toEntity(byte[].class));
  }

  Answer post(String path, Object body) {
    return send("POST", path, body);
  }

  /** Brings a file in and waits until it is inspected. */
  long deliver(String name, byte[] content) {
    return deliver(named(name, content));
  }

  /** Brings files in as one delivery and waits until it is inspected. */
  long deliver(Resource... files) {
    Answer brought = bring(files);
    if (brought.status() != 202) {
      throw new IllegalStateException("not accepted: " + brought);
    }
    long id = brought.number("id");
    untilRead(id);
    return id;
  }

  /** Sends files as one delivery; what came of it. */
  Answer bring(Resource... files) {
    return send("/api/v1/deliveries", files);
  }

  /** Sends files; what came of it. */
  Answer send(String path, Resource... files) {
    MultiValueMap<String, Object> parts = new LinkedMultiValueMap<>();
    for (Resource file : files) {
      parts.add("files", file);
    }
    return answer(
        http.post()
            .uri(path)
            .headers(h -> h.setBearerAuth(key))
            .contentType(MediaType.MULTIPART_FORM_DATA)
            .body(parts)
            .retrieve()
            .toEntity(byte[].class));
  }

  /** What came of a file that was sent: status and bytes. */
  record Uploaded(int status, byte[] bytes) {}

  /** Sends one file. */
  Uploaded upload(String path, Resource file) {
    return upload(path, file, Map.of());
  }

  /** The same with fields of the form beside the file. */
  Uploaded upload(String path, Resource file, Map<String, String> fields) {
    MultiValueMap<String, Object> parts = new LinkedMultiValueMap<>();
    parts.add("file", file);
    fields.forEach(parts::add);
    ResponseEntity<byte[]> response =
        http.post()
            .uri(path)
            .headers(h -> h.setBearerAuth(key))
            .contentType(MediaType.MULTIPART_FORM_DATA)
            .body(parts)
            .retrieve()
            .toEntity(byte[].class);
    return new Uploaded(response.getStatusCode().value(), response.getBody());
  }

  /** Waits until a delivery is inspected. */
  void untilRead(long id) {
    until(() ->
        !java.util.Set.of("waiting", "reading")
            .contains(get("/api/v1/deliveries/" + id).text("state")));
  }

  static Resource named(String name, byte[] content) {
    return new ByteArrayResource(content) {
      @Override
      public String getFilename() {
        return name;
      }
    };
  }

  long deliver(String name, String content) {
    return deliver(name, content.getBytes(StandardCharsets.UTF_8));
  }

  /** Waits until something is so; polls, as a script would. */
  static void until(BooleanSupplier so) {
    long end = System.nanoTime() + 60_000_000_000L;
    while (!so.getAsBoolean()) {
      if (System.nanoTime() > end) {
        throw new AssertionError("did not happen within a minute");
      }
      java.util.concurrent.locks.LockSupport.parkNanos(20_000_000);
    }
  }

  /** A body of names and values. */
  static Map<String, Object> body(Object... pairs) {
    Map<String, Object> body = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      body.put((String) pairs[i], pairs[i + 1]);
    }
    return body;
  }

  private static Answer answer(ResponseEntity<byte[]> response) {
    byte[] body = response.getBody();
    boolean json = body != null && body.length > 0 && (body[0] == '{' || body[0] == '[');
    return new Answer(
        response.getStatusCode().value(), json ? JSON.readTree(body) : JSON.createObjectNode());
  }
}
