package arborline.rig;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;

/** The whole product as packaged: database, stand-ins and server with the demo, on free ports. */
public final class RunningLine implements AutoCloseable {

  private static final List<String> OPTIONS = List.of("-Xmx1g", "-XX:+UseParallelGC");

  private final Path root;
  private final Path work;
  private final PrivateDatabase database;
  private final Background shop;
  private final int shopPort;
  private final int nodesPort;
  private final int port;
  private Background server;

  private RunningLine(Path root, Path work) {
    this.root = root;
    this.work = work;
    this.database = PrivateDatabase.start(work);
    this.shopPort = Background.freePort();
    this.nodesPort = Background.freePort();
    this.port = Background.freePort();
    this.shop =
        Background.start(
            List.of(
                java(),
                "-Xmx128m",
                "-Dshop.nodes=" + nodesPort,
                "-jar",
                root.resolve("shop/target/arbor-shop-exec.jar").toString(),
                Integer.toString(shopPort),
                work.resolve("shop-" + shopPort).toString(),
                root.resolve("demo/vendors").toString()),
            Map.of(),
            work.resolve("shop.log"));
    startServer();
  }

  /**
   * Starts everything.
   *
   * @param root folder of the project, already packaged
   * @param work folder for data and logs
   */
  public static RunningLine start(Path root, Path work) {
    return new RunningLine(root.toAbsolutePath().normalize(), work.toAbsolutePath());
  }

  private static String java() {
    return Path.of(System.getProperty("java.home"), "bin", "java").toString();
  }

  private void startServer() {
    Map<String, String> environment =
        Map.of(
            "ARBOR_DB_URL", database.url(),
            "ARBOR_DB_USER", database.user(),
            "ARBOR_DB_PASSWORD", database.password(),
            "ARBOR_PORT", Integer.toString(port),
            "ARBOR_SHOP_URL", shopUrl(),
            "ARBOR_SHOP_NODES", "opc.tcp://127.0.0.1:%d/m3".formatted(nodesPort),
            "ARBOR_CONTROL_FOLDERS", work.resolve("shop-" + shopPort).resolve("folders").toString(),
            "ARBOR_OUTLETS", work.resolve("outlets").toString(),
            "ARBOR_DEMO", root.resolve("demo").toString());
    server =
        Background.start(
            FastStart.command(
                root.resolve("server/target/arbor-line.jar"), java(), OPTIONS, environment),
            environment,
            work.resolve("server.log"));
    try {
      server.until("a server", () -> answers(url() + "/actuator/health"));
    } catch (IllegalStateException silent) {
      close();
      throw silent;
    }
  }

  private static boolean answers(String address) {
    try (HttpClient http = HttpClient.newHttpClient()) {
      return http.send(
                  HttpRequest.newBuilder(URI.create(address)).build(),
                  HttpResponse.BodyHandlers.discarding())
              .statusCode()
          == 200;
    } catch (IOException silent) {
      return false;
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  public String url() {
    return "http://127.0.0.1:" + port;
  }

  public String shopUrl() {
    return "http://127.0.0.1:" + shopPort;
  }

  public PrivateDatabase database() {
    return database;
  }

  /** Kills the server as a power cut would, and starts it again. */
  public void killAndRestart() {
    killAndRestart(() -> {});
  }

  /**
   * Kills the server as a power cut would, and starts it again.
   *
   * @param meanwhile what happens before it is started again
   */
  public void killAndRestart(Runnable meanwhile) {
    server.kill();
    meanwhile.run();
    startServer();
  }

  /** Makes an access key of a role, in capitals. */
  public String key(String role) {
    String key = "arbor_rig_" + role;
    try (Connection connection =
            DriverManager.getConnection(database.url(), database.user(), database.password());
        PreparedStatement insert =
            connection.prepareStatement(
                "insert ignore into access_key (key_hash, role) values (?, ?)")) {
      insert.setString(1, sha256(key));
      insert.setString(2, role);
      insert.executeUpdate();
      return key;
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private static String sha256(String text) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  @Override
  public void close() {
    server.close();
    shop.close();
    database.close();
  }
}
