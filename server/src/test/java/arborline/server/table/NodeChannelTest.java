package arborline.server.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

/** An OPC UA server that is not what it should be. */
class NodeChannelTest {

  private static final Duration PATIENCE = Duration.ofSeconds(1);

  private static String failure(int port) {
    NodeChannel channel = new NodeChannel(PATIENCE);
    URI link = URI.create("opc.tcp://127.0.0.1:" + port + "/m9");
    return assertThrows(IOException.class, () -> channel.read(link, List.of("tools"))).getMessage();
  }

  @Test
  void oneThatTakesTheCallAndSaysNothingDidNotAnswer() throws IOException {
    try (ServerSocket silent = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
      assertEquals("no answer within 1 seconds", failure(silent.getLocalPort()));
    }
  }

  @Test
  void whereNobodyListensThereIsNoControl() throws IOException {
    int port;
    try (ServerSocket gone = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      port = gone.getLocalPort();
    }
    assertEquals("nothing answers at its address (Bad_ConnectionRejected)", failure(port));
  }
}
