package arborline.shop;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;

/**
 * A control on the shop's network: {@code GET assets}, {@code PUT files/offsets.nc}, {@code PUT
 * files/pockets.tsv}.
 */
final class ControlEndpoint implements LinkHandler {

  private final Control control;

  ControlEndpoint(Control control) {
    this.control = control;
  }

  @Override
  public void answer(HttpExchange exchange, String request, String body) throws IOException {
    Behaviour behaviour = control.behaviour();
    if (behaviour.offline()) {
      throw new CutOffException();
    }
    Pause.of(behaviour.slowMillis());
    switch (request) {
      case "GET /assets" -> Reply.send(exchange, 200, "application/xml", control.assets());
      case "PUT /files/offsets.nc" -> {
        control.offsets(body);
        control.fileTaken();
        Reply.send(exchange, 204, "text/plain", "");
      }
      case "PUT /files/pockets.tsv" -> {
        control.pockets(body);
        control.fileTaken();
        Reply.send(exchange, 204, "text/plain", "");
      }
      default -> Reply.send(exchange, 404, "text/plain", "there is nothing at " + request);
    }
  }
}
