package arborline.server.table;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import arborline.core.machine.Machine;
import arborline.core.table.ControlFile;
import arborline.core.table.ControlTable;
import arborline.server.machine.Machines;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** What a faulty control does to the link. */
class ControlLinkTest {

  private final ControlLink link =
      new ControlLink(List.of(new HttpChannel()), mock(TableWatches.class));
  private HttpServer control;
  private int status = 200;
  private String body = "";
  private String received = "";

  /** How many announced bytes never come; with the largest number nothing comes at all. */
  private int missing;

  @BeforeEach
  void start() throws IOException {
    control = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    control.createContext(
        "/",
        exchange -> {
          received = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
          byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
          if (missing < Integer.MAX_VALUE) {
            exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length + missing);
          }
          if (missing < Integer.MAX_VALUE) {
            exchange.getResponseBody().write(bytes);
          }
          exchange.close();
        });
    control.start();
  }

  @AfterEach
  void stop() {
    control.stop(0);
  }

  private Machines.Linked machine() throws IOException {
    Machine heron =
        JsonMapper.builder()
            .build()
            .readValue(Files.readString(Path.of("../demo/machines/m1-heron.json")), Machine.class);
    return new Machines.Linked(
        heron, "http://127.0.0.1:" + control.getAddress().getPort() + "/m1", 1);
  }

  private String whyNotRead() {
    return assertThrows(IOException.class, () -> link.read(machine())).getMessage();
  }

  @Test
  void anEmptyTableIsATable() throws IOException {
    body = "<MTConnectAssets><Assets/></MTConnectAssets>";
    assertEquals(0, link.read(machine()).places().size());
  }

  @Test
  void aControlThatAnswersOtherwiseIsSaid() {
    status = 503;
    assertEquals("it answered 503 to reading", whyNotRead());
  }

  @Test
  void anAnswerInAnotherFormIsSaid() {
    body = "<html>busy</html>";
    assertEquals("its answer is not an MTConnect assets document", whyNotRead());
  }

  @Test
  void aControlThatIsSwitchedOffIsSaid() {
    stop();
    assertEquals("nothing answers at its address", whyNotRead());
  }

  @ParameterizedTest
  @ValueSource(ints = {10, Integer.MAX_VALUE})
  void aLineThatBreaksOffIsSaid(int neverSent) {
    missing = neverSent;
    body = "<MTConnectAssets>";
    assertEquals("it broke the connection off before it had answered", whyNotRead());
  }

  @Test
  void aFileIsSentAsItIs() throws IOException {
    link.send(machine(), new ControlFile("offsets.nc", "text/plain", "%\nG10 L10 P1 R120.\n%\n"));
    assertEquals("%\nG10 L10 P1 R120.\n%\n", received);
  }

  @Test
  void aRefusalIsPassedOnInTheControlsWords() {
    status = 409;
    body = "memory is protected\n";
    assertEquals(
        "memory is protected",
        assertThrows(
                IOException.class,
                () -> link.send(machine(), new ControlFile("offsets.nc", "text/plain", "%")))
            .getMessage());
  }

  /** Neither waits for a reading that was understood by the definition of the other. */
  @Test
  void machinesAtOneControlAreEachReadByTheirOwnDefinition() throws Exception {
    CyclicBarrier bothAsk = new CyclicBarrier(2);
    ControlChannel channel = mock(ControlChannel.class);
    when(channel.scheme()).thenReturn("http");
    when(channel.read(any(), any()))
        .thenAnswer(call -> {
          bothAsk.await(20, TimeUnit.SECONDS);
          return Map.of("assets", "<MTConnectAssets><Assets/></MTConnectAssets>".getBytes(UTF_8));
        });
    ControlLink shared = new ControlLink(List.of(channel), mock(TableWatches.class));
    Machines.Linked one = machine();
    Machines.Linked other = new Machines.Linked(one.machine(), one.link(), 2);
    try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
      Future<ControlTable> first = threads.submit(() -> shared.read(one));
      assertEquals(0, shared.read(other).places().size());
      assertEquals(0, first.get().places().size());
    }
  }
}
