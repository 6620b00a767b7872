package arborline.shop;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * A stand-in for whoever plays the shop: {@code GET} and {@code PUT behaviour}, {@code POST
 * operator}, {@code POST forget}; all else is for its link.
 */
final class PanelEndpoint implements HttpHandler {

  static final JsonMapper JSON =
      JsonMapper.builder().disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES).build();
  private static final int LARGEST = 1024 * 1024;

  private final String root;
  private final StandIn control;
  private final LinkHandler link;

  PanelEndpoint(String root, StandIn control, LinkHandler link) {
    this.root = root;
    this.control = control;
    this.link = link;
  }

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath().substring(root.length());
    String body = new String(exchange.getRequestBody().readNBytes(LARGEST), StandardCharsets.UTF_8);
    try {
      answer(exchange, exchange.getRequestMethod() + " " + path, body);
    } catch (RefusedException refused) {
      Reply.send(exchange, 409, "text/plain", refused.getMessage());
    } catch (CutOffException cut) {
      exchange.close();
    } catch (RuntimeException wrong) {
      Reply.send(exchange, 400, "text/plain", "cannot be understood: " + wrong.getMessage());
    }
  }

  private void answer(HttpExchange exchange, String request, String body) throws IOException {
    switch (request) {
      case "GET /behaviour" -> {
        String behaviour = JSON.writeValueAsString(control.behaviour());
        Reply.send(exchange, 200, "application/json", behaviour);
        return;
      }
      case "PUT /behaviour" -> control.behave(JSON.readValue(body, Behaviour.class));
      case "POST /operator" -> control.panel(body);
      case "POST /forget" -> control.forget();
      default -> {
        link.answer(exchange, request, body);
        return;
      }
    }
    Reply.send(exchange, 204, "text/plain", "");
  }
}
