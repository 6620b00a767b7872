package arborline.shop;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;

/** What comes over a control's link; it suffers from how the control behaves. */
interface LinkHandler {

  /**
   * Answers.
   *
   * @param request such as {@code GET /assets}
   */
  void answer(HttpExchange exchange, String request, String body) throws IOException;

  /** A control that has no network. */
  LinkHandler NONE =
      (exchange, request, body) ->
          Reply.send(exchange, 404, "text/plain", "there is nothing at " + request);
}
