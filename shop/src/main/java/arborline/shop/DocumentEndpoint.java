package arborline.shop;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;

/** A control on the shop's network: {@code GET name}, {@code PUT files/name}. */
final class DocumentEndpoint implements LinkHandler {

  private static final String READ = "GET /";
  private static final String WRITE = "PUT /files/";

  private final SimulatedControl<?> control;

  DocumentEndpoint(SimulatedControl<?> control) {
    this.control = control;
  }

  @Override
  public void answer(HttpExchange exchange, String request, String body) throws IOException {
    Behaviour behaviour = control.behaviour();
    if (behaviour.offline()) {
      throw new CutOffException();
    }
    Pause.of(behaviour.slowMillis());
    if (request.startsWith(WRITE) && control.take(request.substring(WRITE.length()), body)) {
      control.fileTaken();
      Reply.send(exchange, 204, "text/plain", "");
      return;
    }
    String document =
        request.startsWith(READ) ? control.document(request.substring(READ.length())) : null;
    if (document == null) {
      Reply.send(exchange, 404, "text/plain", "there is nothing at " + request);
    } else {
      Reply.send(exchange, 200, "text/plain", control.sent(document));
    }
  }
}
