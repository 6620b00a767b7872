package arborline.shop;

import arborline.shop.dispatch.Dispatch;
import arborline.shop.dispatch.DispatchEndpoint;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Executors;

/**
 * Starts the stand-ins on loopback: {@code Shop <port> <state folder> [folder of vendors]}; the
 * vendors of the demo where none is named.
 */
public final class Shop {

  private static final long LOOKS_EVERY_MILLIS = Long.getLong("shop.looks", 1500);

  private Shop() {}

  public static void main(String[] arguments) throws IOException {
    int port = Integer.parseInt(arguments[0]);
    Path folder = Path.of(arguments[1]);
    Files.createDirectories(folder);
    Path vendors = Path.of(arguments.length > 2 ? arguments[2] : "demo/vendors");
    HttpServer server = start(port, folder, vendors);
    System.out.println("stand-ins listen at http://127.0.0.1:" + server.getAddress().getPort());
  }

  /**
   * Starts on a port; 0 takes a free one. OPC UA listens on the next port, or on a free one as
   * well; {@code GET /m3/address} says where.
   */
  public static HttpServer start(int port, Path folder, Path vendors) throws IOException {
    HttpServer server = HttpServer.create(new InetSocketAddress("127.0.0.1", port), 0);
    Path folders = folder.resolve("folders");
    Control heron = new Control(memory(folder, "m1-heron", State.class));
    serve(server, "/m1", heron, new DocumentEndpoint(heron));
    RegisterControl plover = new RegisterControl(memory(folder, "m2-plover", RegisterState.class));
    serve(server, "/m2", plover, LinkHandler.NONE);
    new DropFolder(folders.resolve("m2"), plover, RegisterControl.TABLE).watch(LOOKS_EVERY_MILLIS);
    NodeControl gannet = new NodeControl(memory(folder, "m3-gannet", NodeState.class));
    NodeServer nodes = new NodeServer(gannet, Integer.getInteger("shop.nodes", port + 1), "/m3");
    nodes.follow();
    serve(server, "/m3", gannet, LinkHandler.NONE);
    LatheControl cormorant = new LatheControl(memory(folder, "l1-cormorant", LatheState.class));
    serve(server, "/l1", cormorant, new DocumentEndpoint(cormorant));
    RevisedControl kittiwake =
        new RevisedControl(memory(folder, "x1-kittiwake", RevisedState.class));
    serve(server, "/x1", kittiwake, new DocumentEndpoint(kittiwake));
    SavedControl pelican = new SavedControl(memory(folder, "r1-pelican", SavedState.class));
    serve(server, "/r1", pelican, LinkHandler.NONE);
    new DropFolder(folders.resolve("r1"), pelican, SavedControl.FILES).watch(LOOKS_EVERY_MILLIS);
    server.createContext("/dispatch", new DispatchEndpoint("/dispatch", Dispatch.of(vendors)));
    server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
    server.start();
    return server;
  }

  private static <T> StateFile<T> memory(Path folder, String name, Class<T> type) {
    return new StateFile<>(folder.resolve(name + ".json"), name + ".json", type);
  }

  private static void serve(HttpServer server, String root, StandIn control, LinkHandler link) {
    server.createContext(root, new PanelEndpoint(root, control, link));
  }
}
