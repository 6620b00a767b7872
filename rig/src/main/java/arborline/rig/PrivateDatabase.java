package arborline.rig;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A MariaDB of its own on loopback, empty at start, with Debian's packages. */
public final class PrivateDatabase implements AutoCloseable {

  private static final String GALERA = "/usr/lib/galera/libgalera_smm.so";

  private final List<String> command;
  private final Path log;
  private final int port;
  private Background server;

  private PrivateDatabase(List<String> command, Path log, int port) {
    this.command = command;
    this.log = log;
    this.port = port;
    this.server = Background.start(command, Map.of(), log);
  }

  /** Starts one whose files are below a folder. */
  public static PrivateDatabase start(Path parent) {
    return start(parent, List.of());
  }

  /** Starts one as the first node of a Galera cluster on loopback. */
  public static PrivateDatabase startReplicated(Path parent) {
    int port = Background.freePort();
    return start(
        parent,
        List.of(
            "--wsrep-on=ON",
            "--wsrep-provider=" + GALERA,
            "--wsrep-cluster-address=gcomm://",
            "--wsrep-node-address=127.0.0.1:" + port,
            "--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:%d;ist.recv_addr=127.0.0.1:%d"
                .formatted(port, Background.freePort()),
            "--binlog-format=ROW",
            "--innodb-autoinc-lock-mode=2"));
  }

  private static PrivateDatabase start(Path parent, List<String> more) {
    try {
      Path folder =
          Files.createTempDirectory(Files.createDirectories(parent), "db").toAbsolutePath();
      Path data = folder.resolve("data");
      String user = System.getProperty("user.name");
      run(
          folder.resolve("install.log"),
          "mariadb-install-db",
          "--no-defaults",
          "--user=" + user,
          "--datadir=" + data,
          "--auth-root-authentication-method=normal",
          "--skip-test-db");
      int port = Background.freePort();
      String socket = Files.createTempDirectory("arbor").resolve("db.sock").toString();
      List<String> command =
          new ArrayList<>(
              List.of(
                  "mariadbd",
                  "--no-defaults",
                  "--user=" + user,
                  "--datadir=" + data,
                  "--bind-address=127.0.0.1",
                  "--port=" + port,
                  "--socket=" + socket,
                  "--pid-file=" + folder.resolve("db.pid"),
                  "--character-set-server=utf8mb4",
                  "--innodb-buffer-pool-size="
                      + System.getenv().getOrDefault("ARBOR_DB_BUFFER", "512M"),
                  "--innodb-log-file-size=256M",
                  "--max-allowed-packet=64M"));
      command.addAll(more);
      PrivateDatabase database = new PrivateDatabase(command, folder.resolve("db.log"), port);
      database.server.until("a database", () -> client(socket, "select 1"));
      client(
          socket,
          "alter user root@localhost identified by '%s';".formatted(UUID.randomUUID())
              + "create database arbor character set utf8mb4;"
              + "create user arbor@127.0.0.1 identified by 'rig'; grant all on arbor.* to arbor@127.0.0.1");
      return database;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static boolean client(String socket, String sql) {
    try {
      return new ProcessBuilder(
                  "mariadb", "--no-defaults", "--socket=" + socket, "--user=root", "-e", sql)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start()
              .waitFor()
          == 0;
    } catch (IOException missing) {
      throw new UncheckedIOException(
          "the command mariadb is missing; install mariadb-client", missing);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  private static void run(Path log, String... command) {
    try {
      int status =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(log.toFile())
              .start()
              .waitFor();
      if (status != 0) {
        throw new IllegalStateException(command[0] + " failed:\n" + Files.readString(log));
      }
    } catch (IOException missing) {
      throw new UncheckedIOException(
          command[0] + " is missing; install mariadb-server-core", missing);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
    }
  }

  /**
   * Kills the database as a power cut would, and starts it again.
   *
   * @param meanwhile what happens before it is started again
   */
  public void killAndRestart(Runnable meanwhile) {
    server.kill();
    meanwhile.run();
    server = Background.start(command, Map.of(), log);
    server.until("a database", this::answers);
  }

  private boolean answers() {
    try (Connection connection = DriverManager.getConnection(url(), user(), password())) {
      return connection.isValid(1);
    } catch (SQLException notYet) {
      return false;
    }
  }

  public String url() {
    return "jdbc:mariadb://127.0.0.1:" + port + "/arbor?useBulkStmts=true&timezone=UTC";
  }

  public String user() {
    return "arbor";
  }

  public String password() {
    return "rig";
  }

  @Override
  public void close() {
    server.close();
  }
}
