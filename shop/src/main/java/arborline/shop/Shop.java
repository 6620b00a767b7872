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
    Control heron = new Control(new StateFile(folder.resolve("m1-heron.json"), "m1-heron.json"));
    server.createContext("/m1", new ControlEndpoint("/m1", heron));
    server.createContext("/dispatch", new DispatchEndpoint("/dispatch", Dispatch.of(vendors)));
    server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
    server.start();
    return server;
  }
}
