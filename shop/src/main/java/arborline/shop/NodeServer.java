package arborline.shop;

import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.atomic.AtomicReference;
import org.eclipse.milo.opcua.sdk.server.EndpointConfig;
import org.eclipse.milo.opcua.sdk.server.OpcUaServer;
import org.eclipse.milo.opcua.sdk.server.OpcUaServerConfig;
import org.eclipse.milo.opcua.sdk.server.identity.AnonymousIdentityValidator;
import org.eclipse.milo.opcua.stack.core.security.DefaultCertificateManager;
import org.eclipse.milo.opcua.stack.core.security.MemoryCertificateQuarantine;
import org.eclipse.milo.opcua.stack.core.types.builtin.LocalizedText;
import org.eclipse.milo.opcua.stack.transport.server.tcp.OpcTcpServerTransport;
import org.eclipse.milo.opcua.stack.transport.server.tcp.OpcTcpServerTransportConfig;

/** The OPC UA server of a simulated control, on loopback, without security; gone while offline. */
final class NodeServer {

  private static final String APPLICATION = "urn:arborline:shop";

  private final NodeControl control;
  private final int port;
  private final String path;
  private final AtomicReference<Running> running = new AtomicReference<>();

  NodeServer(NodeControl control, int port, String path) {
    this.control = control;
    this.port = port;
    this.path = path;
    control.onChange(this::follow);
  }

  private record Running(OpcUaServer server, ToolNodes nodes) {}

  /** Starts or stops as the control behaves, and shows its tools as they are. */
  synchronized void follow() {
    if (control.behaviour().offline()) {
      stop();
    } else if (running.get() == null) {
      start();
    } else {
      running.get().nodes().rebuild();
    }
  }

  /** The connection drops, and can be made again. */
  void drop() {
    Thread.ofVirtual()
        .start(() -> {
          stop();
          follow();
        });
  }

  private void start() {
    EndpointConfig endpoint =
        EndpointConfig.newBuilder()
            .setBindAddress("127.0.0.1")
            .setHostname("127.0.0.1")
            .setBindPort(port)
            .setPath(path)
            .build();
    OpcUaServerConfig config =
        OpcUaServerConfig.builder()
            .setApplicationName(LocalizedText.english("simulated control"))
            .setApplicationUri(APPLICATION)
            .setProductUri(APPLICATION)
            .setEndpoints(Set.of(endpoint))
            .setIdentityValidator(AnonymousIdentityValidator.INSTANCE)
            .setCertificateManager(new DefaultCertificateManager(new MemoryCertificateQuarantine()))
            .build();
    OpcUaServer server =
        new OpcUaServer(
            config,
            profile -> new OpcTcpServerTransport(OpcTcpServerTransportConfig.newBuilder().build()));
    ToolNodes nodes = new ToolNodes(server, control, this::drop);
    nodes.startup();
    nodes.rebuild();
    wait(server.startup());
    running.set(new Running(server, nodes));
  }

  synchronized void stop() {
    Running now = running.getAndSet(null);
    if (now != null) {
      now.nodes().shutdown();
      wait(now.server().shutdown());
    }
  }

  private static void wait(java.util.concurrent.Future<?> done) {
    try {
      done.get();
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException failed) {
      throw new IllegalStateException("the OPC UA server cannot start or stop", failed);
    }
  }
}
