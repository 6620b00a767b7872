package arborline.bench;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.rig.PrivateDatabase;
import arborline.rig.RunningLine;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * 100 000 lines over HTTP into inspected rows, against parsing and raw batch insert of the same.
 */
final class ImportFigure {

  private static final int LINES = 100_000;

  private final RunningLine line;
  private final Http http;

  ImportFigure(RunningLine line, Http http) {
    this.line = line;
    this.http = http;
  }

  static String table(String prefix, int lines) {
    StringBuilder table =
        new StringBuilder(
            "CODE,NAME,CLASS,NUMBER,DC [mm],APMX [mm],LU [mm],LCF [mm],DMM [mm],OAL [mm],NOF\n");
    for (int i = 1; i <= lines; i++) {
      int size = 2 + i % 30;
      table.append(
          "%s-%d,Flat end mill %d no %d,end-mill-flat,%d,%d.5,%d,%d,%d,%d,%d,%d\n"
              .formatted(
                  prefix,
                  i,
                  size,
                  i,
                  i,
                  size,
                  2 * size,
                  3 * size,
                  3 * size,
                  size + 1,
                  8 * size + 20,
                  2 + i % 5));
    }
    return table.toString();
  }

  void print() throws IOException, InterruptedException, SQLException {
    http.deliver(table("WARM", 60_000));
    String table = table("IMP", LINES);
    double ours = Double.MAX_VALUE;
    double floor = Double.MAX_VALUE;
    for (int round = 0; round < 3; round++) {
      long begin = System.nanoTime();
      long delivery = http.deliver(table.replace("IMP-", "IMP" + round + "-"));
      ours = Math.min(ours, (System.nanoTime() - begin) / 1e9);
      floor = Math.min(floor, floor(table, delivery));
    }
    Bench.line("import of 100 000 lines over HTTP, inspected", ours, floor, "s");
  }

  /** Parses the same file and inserts the very rows that the delivery made, in batches of 1000. */
  private double floor(String table, long delivery) throws IOException, SQLException {
    PrivateDatabase database = line.database();
    try (Connection connection =
        DriverManager.getConnection(database.url(), database.user(), database.password())) {
      List<Object[]> rows = rows(connection, delivery);
      try (Statement statement = connection.createStatement()) {
        statement.execute("drop table if exists floor_line");
        statement.execute("create table floor_line like delivery_line");
      }
      long begin = System.nanoTime();
      parse(table.getBytes(StandardCharsets.UTF_8));
      insert(connection, rows);
      return (System.nanoTime() - begin) / 1e9;
    }
  }

  private static List<Object[]> rows(Connection connection, long delivery) throws SQLException {
    List<Object[]> rows = new ArrayList<>(LINES);
    try (Statement statement = connection.createStatement();
        ResultSet all =
            statement.executeQuery("select * from delivery_line where delivery_id = " + delivery)) {
      int columns = all.getMetaData().getColumnCount();
      while (all.next()) {
        Object[] row = new Object[columns];
        for (int i = 0; i < columns; i++) {
          row[i] = all.getObject(i + 1);
        }
        rows.add(row);
      }
    }
    return rows;
  }

  private static void parse(byte[] file) throws IOException {
    byte[] head = Arrays.copyOf(file, 65536);
    ItemReader format = BundleFormats.recognise(head);
    try (ItemSource source =
        format.open(new ByteArrayInputStream(file), head, TableReading.propose(head))) {
      Optional<RawItem> next = source.next();
      while (next.isPresent()) {
        next = source.next();
      }
    }
  }

  private static void insert(Connection connection, List<Object[]> rows) throws SQLException {
    connection.setAutoCommit(false);
    int columns = rows.getFirst().length;
    String marks = "?,".repeat(columns - 1) + "?";
    try (PreparedStatement insert =
        connection.prepareStatement("insert into floor_line values (" + marks + ")")) {
      int open = 0;
      for (Object[] row : rows) {
        for (int i = 0; i < columns; i++) {
          insert.setObject(i + 1, row[i]);
        }
        insert.addBatch();
        if (++open % 1000 == 0) {
          insert.executeBatch();
          connection.commit();
        }
      }
      insert.executeBatch();
      connection.commit();
    }
  }
}
