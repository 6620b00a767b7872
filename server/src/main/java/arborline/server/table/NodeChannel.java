package arborline.server.table;

import arborline.core.table.ControlFile;
import arborline.core.table.ToolNodesDialect;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.eclipse.milo.opcua.sdk.client.DiscoveryClient;
import org.eclipse.milo.opcua.sdk.client.OpcUaClient;
import org.eclipse.milo.opcua.sdk.client.OpcUaClientConfig;
import org.eclipse.milo.opcua.stack.core.StatusCodes;
import org.eclipse.milo.opcua.stack.core.UaException;
import org.eclipse.milo.opcua.stack.core.security.SecurityPolicy;
import org.eclipse.milo.opcua.stack.core.types.builtin.LocalizedText;
import org.eclipse.milo.opcua.stack.core.types.builtin.StatusCode;
import org.eclipse.milo.opcua.stack.core.types.builtin.unsigned.UInteger;
import org.eclipse.milo.opcua.stack.core.types.builtin.unsigned.Unsigned;
import org.eclipse.milo.opcua.stack.core.types.structured.EndpointDescription;
import org.eclipse.milo.opcua.stack.core.util.EndpointUtil;
import org.eclipse.milo.opcua.stack.transport.client.tcp.OpcTcpClientTransportConfigBuilder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Nodes of an OPC UA server: a document is a folder of variables, one line for each with its name,
 * a tab and its value; a file is lines of orders that are carried out one after the other until one
 * is refused. {@code opc.tcp://host:port/path}; no security, so only inside the shop.
 */
@Component
class NodeChannel implements ControlChannel {

  private final Duration patience;

  @Autowired
  NodeChannel() {
    this(Duration.ofSeconds(8));
  }

  /** One that waits so long for each answer. */
  NodeChannel(Duration patience) {
    this.patience = patience;
  }

  @Override
  public String scheme() {
    return "opc.tcp";
  }

  /** What is done while a control is connected. */
  private interface Talk<T> {
    T with(OpcUaClient client) throws UaException, IOException;
  }

  @Override
  public Map<String, byte[]> read(URI link, List<String> documents) throws IOException {
    return connected(
        link,
        client -> {
          Map<String, byte[]> answers = new HashMap<>();
          for (String name : documents) {
            answers.put(name, document(new ControlNodes(client), name));
          }
          return answers;
        });
  }

  private static byte[] document(ControlNodes nodes, String folder)
      throws UaException, IOException {
    StringBuilder text = new StringBuilder();
    new TreeMap<>(nodes.values(folder))
        .forEach((name, value) -> text.append(name).append('\t').append(value).append('\n'));
    if (text.length() > LARGEST_DOCUMENT) {
      throw new OddAnswerException("its answer is larger than 32 MB");
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  @Override
  public void send(URI link, ControlFile file) throws IOException {
    connected(
        link,
        client -> {
          carryOut(new ControlNodes(client), file.content().lines().toList());
          return file;
        });
  }

  private static void carryOut(ControlNodes nodes, List<String> orders)
      throws UaException, IOException {
    for (int line = 0; line < orders.size(); line++) {
      List<String> cells = new ArrayList<>(List.of(orders.get(line).split("\t", -1)));
      String order = cells.removeFirst();
      String name = cells.removeFirst();
      StatusCode status =
          switch (order) {
            case ToolNodesDialect.WRITE -> nodes.write(name, cells.getFirst());
            case ToolNodesDialect.CALL -> nodes.call(name, cells);
            default -> throw new IllegalStateException("no such order: " + order);
          };
      if (status.isBad()) {
        refused(nodes, status, line + 1, name);
      }
    }
  }

  private static void refused(ControlNodes nodes, StatusCode status, int line, String name)
      throws UaException, IOException {
    if (status.getValue() == StatusCodes.Bad_ConnectionClosed) {
      throw new IOException("it broke the connection off before it had answered");
    }
    String alarm = nodes.lastAlarm();
    throw new RefusedByControlException(
        "line %d, %s: %s".formatted(line, name, alarm.isEmpty() ? name(status) : alarm));
  }

  private static String name(StatusCode status) {
    return StatusCodes.lookup(status.getValue()).map(names -> names[0]).orElse(status.toString());
  }

  private <T> T connected(URI link, Talk<T> talk) throws IOException {
    OpcUaClient client = null;
    try {
      client = client(link);
      client.connect();
      return talk.with(client);
    } catch (UaException failed) {
      throw new IOException(reason(failed), failed);
    } finally {
      leave(client);
    }
  }

  /**
   * A client of the endpoint without security. It speaks to the host of the link, whatever name the
   * control gives itself.
   */
  private OpcUaClient client(URI link) throws UaException {
    EndpointDescription endpoint =
        endpoints(link).stream()
            .filter(one -> SecurityPolicy.None.getUri().equals(one.getSecurityPolicyUri()))
            .findFirst()
            .orElseThrow(() ->
                new UaException(StatusCodes.Bad_SecurityPolicyRejected, "all of it is secured"));
    OpcUaClientConfig config =
        OpcUaClientConfig.builder()
            .setEndpoint(EndpointUtil.updateUrl(endpoint, link.getHost(), link.getPort()))
            .setApplicationName(LocalizedText.english("Arbor Line"))
            .setRequestTimeout(millis())
            .build();
    return OpcUaClient.create(config, this::impatient);
  }

  private List<EndpointDescription> endpoints(URI link) throws UaException {
    try {
      return DiscoveryClient.getEndpoints(link.toString(), this::impatient)
          .get(patience.toMillis(), TimeUnit.MILLISECONDS);
    } catch (TimeoutException late) {
      throw new UaException(StatusCodes.Bad_Timeout, late);
    } catch (ExecutionException failed) {
      throw UaException.extract(failed)
          .orElseGet(() -> new UaException(StatusCodes.Bad_UnexpectedError, failed));
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new UaException(StatusCodes.Bad_RequestInterrupted, interrupted);
    }
  }

  private void impatient(OpcTcpClientTransportConfigBuilder transport) {
    transport.setConnectTimeout(millis()).setAcknowledgeTimeout(millis());
  }

  private UInteger millis() {
    return Unsigned.uint(patience.toMillis());
  }

  private static void leave(OpcUaClient client) {
    if (client != null) {
      client.disconnectAsync();
    }
  }

  private String reason(UaException failed) {
    long code = failed.getStatusCode().getValue();
    if (code == StatusCodes.Bad_Timeout || code == StatusCodes.Bad_RequestTimeout) {
      return "no answer within %d seconds".formatted(patience.toSeconds());
    }
    boolean dropped =
        code == StatusCodes.Bad_ConnectionClosed
            || code == StatusCodes.Bad_SecureChannelClosed
            || code == StatusCodes.Bad_SessionIdInvalid;
    return dropped
        ? "it broke the connection off before it had answered"
        : "nothing answers at its address (%s)".formatted(name(failed.getStatusCode()));
  }
}
