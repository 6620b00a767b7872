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

  /** Starts on a port; 0 takes a free one. */
  public static HttpServer start(int port, Path folder, Path vendors) throws IOException {
    HttpServer server = HttpServer.create(new InetSocketAddress("127.0.0.1", port), 0);
    Control heron =
        new Control(new StateFile<>(folder.resolve("m1-heron.json"), "m1-heron.json", State.class));
    server.createContext("/m1", new PanelEndpoint("/m1", heron, new ControlEndpoint(heron)));
    RegisterControl plover =
        new RegisterControl(
            new StateFile<>(
                folder.resolve("m2-plover.json"), "m2-plover.json", RegisterState.class));
    server.createContext("/m2", new PanelEndpoint("/m2", plover, LinkHandler.NONE));
    new DropFolder(folder.resolve("folders").resolve("m2"), plover).watch(LOOKS_EVERY_MILLIS);
    server.createContext("/dispatch", new DispatchEndpoint("/dispatch", Dispatch.of(vendors)));
    server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
    server.start();
    return server;
  }
}
