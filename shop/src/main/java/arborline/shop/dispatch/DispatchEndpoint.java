package arborline.shop.dispatch;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpHandler;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;

/**
 * The vendor dispatch on the network: {@code GET packages}, {@code GET packages/ID/items}, {@code
 * GET packages/ID}; and for whoever plays the vendors {@code PUT behaviour}.
 */
public final class DispatchEndpoint implements HttpHandler {

  private static final int LARGEST = 64 * 1024;

  private final String root;
  private final Dispatch dispatch;

  public DispatchEndpoint(String root, Dispatch dispatch) {
    this.root = root;
    this.dispatch = dispatch;
  }

  @Override
  public void handle(HttpExchange exchange) throws IOException {
    String path = exchange.getRequestURI().getPath().substring(root.length());
    String body = new String(exchange.getRequestBody().readNBytes(LARGEST), StandardCharsets.UTF_8);
    try {
      if (path.equals("/behaviour") && exchange.getRequestMethod().equals("PUT")) {
        dispatch.behave(Dispatch.JSON.readValue(body, Dispatch.Manners.class));
        reply(exchange, 204, "text/plain", new byte[0], 0);
      } else {
        answer(exchange, path);
      }
    } catch (RuntimeException wrong) {
      text(exchange, 400, "cannot be understood: " + wrong.getMessage());
    }
  }

  private void answer(HttpExchange exchange, String path) throws IOException {
    Dispatch.Manners manners = dispatch.manners();
    if (manners.offline()) {
      exchange.close();
      return;
    }
    pause(manners.slowMillis());
    String id = path.replaceFirst("^/packages/", "").replaceFirst("/items$", "");
    if (path.equals("/packages")) {
      json(exchange, Map.of("packages", dispatch.list()));
    } else if (path.endsWith("/items")) {
      Optional<Dispatch.Contents> contents = dispatch.contents(id);
      if (contents.isPresent()) {
        json(exchange, contents.get());
      } else {
        text(exchange, 404, "there is no package " + id);
      }
    } else {
      file(exchange, id, manners);
    }
  }

  private void file(HttpExchange exchange, String id, Dispatch.Manners manners) throws IOException {
    Optional<byte[]> found = dispatch.file(id);
    if (found.isEmpty()) {
      text(exchange, 404, "there is no package " + id);
      return;
    }
    byte[] bytes = found.get().clone();
    if (manners.wrongSum()) {
      bytes[bytes.length - 1] ^= 1;
    }
    reply(exchange, 200, "application/zip", bytes, manners.cutAfterBytes());
  }

  private static void pause(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    }
  }

  private static void json(HttpExchange exchange, Object body) throws IOException {
    reply(exchange, 200, "application/json", Dispatch.JSON.writeValueAsBytes(body), 0);
  }

  private static void text(HttpExchange exchange, int status, String text) throws IOException {
    reply(exchange, status, "text/plain", text.getBytes(StandardCharsets.UTF_8), 0);
  }

  private static void reply(
      HttpExchange exchange, int status, String type, byte[] bytes, long cutAfter)
      throws IOException {
    exchange.getResponseHeaders().set("Content-Type", type);
    exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
    if (bytes.length > 0) {
      int sent = cutAfter > 0 ? (int) Math.min(cutAfter, bytes.length) : bytes.length;
      exchange.getResponseBody().write(bytes, 0, sent);
    }
    exchange.close();
  }
}
