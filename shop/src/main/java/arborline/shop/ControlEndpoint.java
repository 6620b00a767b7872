package arborline.shop;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * A control on the shop's network: {@code GET assets}, {@code PUT files/offsets.nc}, {@code PUT
 * files/pockets.tsv}; and for whoever plays the shop {@code PUT behaviour}, {@code POST operator},
 * {@code POST forget}.
 */
final class ControlEndpoint implements HttpHandler {

  private static final JsonMapper JSON =
      JsonMapper.builder().disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES).build();
  private static final int LARGEST = 1024 * 1024;

  private final String root;
  private final Control control;

  ControlEndpoint(String root, Control control) {
    this.root = root;
    this.control = control;
  }

  /** A change at the operator's panel. */
  record PanelEntry(int list, int number, BigDecimal value) {}

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath().substring(root.length());
    String body = new String(exchange.getRequestBody().readNBytes(LARGEST), StandardCharsets.UTF_8);
    try {
      answer(exchange, exchange.getRequestMethod() + " " + path, body);
    } catch (RefusedException refused) {
      reply(exchange, 409, "text/plain", refused.getMessage());
    } catch (CutOffException cut) {
      exchange.close();
    } catch (RuntimeException wrong) {
      reply(exchange, 400, "text/plain", "cannot be understood: " + wrong.getMessage());
    }
  }

  private void answer(HttpExchange exchange, String request, String body) throws IOException {
    switch (request) {
      case "GET /behaviour" ->
          reply(exchange, 200, "application/json", JSON.writeValueAsString(control.behaviour()));
      case "PUT /behaviour" -> {
        control.behave(JSON.readValue(body, Behaviour.class));
        reply(exchange, 204, "text/plain", "");
      }
      case "POST /operator" -> {
        PanelEntry entry = JSON.readValue(body, PanelEntry.class);
        control.operator(entry.list(), entry.number(), entry.value());
        reply(exchange, 204, "text/plain", "");
      }
      case "POST /forget" -> {
        control.forget();
        reply(exchange, 204, "text/plain", "");
      }
      default -> onTheLink(exchange, request, body);
    }
  }

  /** What comes over the link suffers from how the control behaves. */
  private void onTheLink(HttpExchange exchange, String request, String body) throws IOException {
    Behaviour behaviour = control.behaviour();
    if (behaviour.offline()) {
      throw new CutOffException();
    }
    pause(behaviour.slowMillis());
    switch (request) {
      case "GET /assets" -> reply(exchange, 200, "application/xml", control.assets());
      case "PUT /files/offsets.nc" -> {
        control.offsets(body);
        control.fileTaken();
        reply(exchange, 204, "text/plain", "");
      }
      case "PUT /files/pockets.tsv" -> {
        control.pockets(body);
        control.fileTaken();
        reply(exchange, 204, "text/plain", "");
      }
      default -> reply(exchange, 404, "text/plain", "there is nothing at " + request);
    }
  }

  private static void pause(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    }
  }

  private static void reply(HttpExchange exchange, int status, String type, String text)
      throws IOException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", type);
    exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
    if (bytes.length > 0) {
      exchange.getResponseBody().write(bytes);
    }
    exchange.close();
  }
}
