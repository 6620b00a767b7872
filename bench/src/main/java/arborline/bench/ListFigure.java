package arborline.bench;

import arborline.rig.PrivateDatabase;
import arborline.rig.RunningLine;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.TimeUnit;

/** A filtered page of a library over HTTP, against the bare SQL for the same rows. */
final class ListFigure {

  private static final int PAGES = 360;
  private static final int SEARCHES = 200;
  private static final int SEARCH_WARM_UP = 600;
  private static final int WARM_UP = 10_000;

  /** So few pages in two seconds are written by a database that has nothing else to do. */
  private static final long AT_REST = 50;

  private static final String SQL =
      """
      select e.*, v.vals from entry e join tool_version v on v.id = e.version_id
      where e.library_id = ? and e.class_id = 'end-mill-flat' and e.dc >= ? and e.dc <= ?
      order by e.code, e.id limit 101\
      """;

  private final RunningLine line;
  private final Http http;

  ListFigure(RunningLine line, Http http) {
    this.line = line;
    this.http = http;
  }

  void print() throws IOException, InterruptedException, SQLException {
    for (int tools : new int[] {100_000, 1_000_000}) {
      long library =
          http.post("/libraries", "{\"name\":\"Bench %d\"}".formatted(tools)).get("id").asLong();
      fill(library, tools);
      settle(tools);
      double[] ours = new double[PAGES];
      double[] floor = new double[PAGES];
      measure(library, ours, floor);
      Bench.line(
          "filtered page of %,d tools, median".formatted(tools), at(ours, 50), at(floor, 50), "ms");
      Bench.line(
          "filtered page of %,d tools, 95 of 100".formatted(tools),
          at(ours, 95),
          at(floor, 95),
          "ms");
      search(library, tools);
    }
  }

  /**
   * Waits until every entry is found by its words and the database has written what filling left it
   * to write: what is measured is a shop at work, not one that is being moved in.
   */
  private void settle(int tools) throws InterruptedException, SQLException {
    long begin = System.nanoTime();
    while (behind()) {
      TimeUnit.MILLISECONDS.sleep(200);
    }
    System.out.printf(
        Locale.ROOT, "%,d entries found by their words after %.0f s%n", tools, seconds(begin));
    long deadline = System.nanoTime() + TimeUnit.MINUTES.toNanos(10);
    long before = written();
    while (System.nanoTime() < deadline) {
      TimeUnit.SECONDS.sleep(2);
      long now = written();
      if (now - before < AT_REST) {
        break;
      }
      before = now;
    }
    System.out.printf(Locale.ROOT, "the database at rest after %.0f s%n", seconds(begin));
  }

  /** How many pages the database has written to its files. */
  private long written() throws SQLException {
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("show global status like 'Innodb_pages_written'")) {
      rows.next();
      return rows.getLong(2);
    }
  }

  /** Searches over all libraries, and groups of them. */
  private void search(long library, int tools) throws IOException {
    String[] sought = {
      "q=B%1$d-%2$d",
      "q=no+%2$d",
      "q=flat+mill+%2$d",
      "q=mill",
      "q=dia+%3$d+end",
      "q=mill+reach+28..%3$d",
      "q=dia+%3$d+reach+%3$d",
      "q=dia+8+reach+%3$d+length%%3E90",
      "q=length+5%3$d"
    };
    Random random = new Random(7);
    double[] times = new double[SEARCHES];
    for (int i = -SEARCH_WARM_UP; i < SEARCHES; i++) {
      String query =
          sought[Math.floorMod(i, sought.length)].formatted(
              library, random.nextInt(tools) + 1, 2 + random.nextInt(30));
      double time = asked("/tools?limit=100&" + query);
      if (i >= 0) {
        times[i] = time;
      }
    }
    Arrays.sort(times);
    Bench.goal("search over %,d tools, 95 of 100".formatted(tools), at(times, 95), 50, "ms");
    for (String group : new String[] {"library", "class", "diameter", "holder", "material"}) {
      double[] pages = new double[SEARCHES / 4];
      for (int i = 0; i < pages.length; i++) {
        pages[i] = asked("/tools?limit=100&group=" + group);
      }
      Arrays.sort(pages);
      Bench.goal(
          "%,d tools grouped by %s, 95 of 100".formatted(tools, group), at(pages, 95), 100, "ms");
    }
  }

  private double asked(String path) throws IOException {
    long begin = System.nanoTime();
    http.bytes(path);
    return (System.nanoTime() - begin) / 1e6;
  }

  private static double seconds(long begin) {
    return (System.nanoTime() - begin) / 1e9;
  }

  private boolean behind() throws SQLException {
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        ResultSet rows =
            statement.executeQuery("select 1 from entry where worded = false limit 1")) {
      return rows.next();
    }
  }

  /** Fills a library by SQL: how tools came there is not measured here. */
  private void fill(long library, int tools) throws SQLException {
    try (Connection connection = connect();
        Statement statement = connection.createStatement()) {
      long base = library * 10_000_000L;
      statement.execute(
          """
          insert into tool_version (id, tool_id, version_no, name, class_id, hash, vals, sizes,
            origin, created_at, created_by)
          select %1$d + seq, %1$d + seq, 1, concat('Flat end mill no ', seq), 'end-mill-flat',
            sha2(seq, 256), concat('{"APMX":{"text":"20","unit":"mm"},"DC":{"text":"', 2 + seq %% 30,
            '","unit":"mm"},"DMM":{"text":"12","unit":"mm"},"LU":{"text":"', 10 + seq %% 397,
            '","unit":"mm"},"NOF":{"text":"4"},"OAL":{"text":"', 50 + seq %% 449,
            '","unit":"mm"}}'),
            concat('{"APMX":20,"DC":', 2 + seq %% 30, ',"DMM":12,"LU":', 10 + seq %% 397,
            ',"NOF":4,"OAL":', 50 + seq %% 449, '}'), 'bench', now(6), 'bench'
          from seq_1_to_%2$d\
          """
              .formatted(base, tools));
      statement.execute(
          """
          insert into entry (id, library_id, tool_id, version_id, number, section, code, name,
            class_id, dc)
          select %1$d + seq, %3$d, %1$d + seq, %1$d + seq, seq, '', concat('B', %3$d, '-', seq),
            concat('Flat end mill no ', seq), 'end-mill-flat', 2 + seq %% 30
          from seq_1_to_%2$d\
          """
              .formatted(base, tools, library));
      statement.execute("analyze table entry, tool_version");
    }
  }

  private Connection connect() throws SQLException {
    PrivateDatabase database = line.database();
    return DriverManager.getConnection(database.url(), database.user(), database.password());
  }

  /** Times both in turn, so that whatever else the machine does meets both alike. */
  private void measure(long library, double[] ours, double[] floor)
      throws IOException, SQLException {
    try (Connection connection = connect();
        PreparedStatement query = connection.prepareStatement(SQL)) {
      for (int i = -WARM_UP; i < PAGES; i++) {
        int from = 4 + Math.floorMod(i, 12);
        double page = page(library, from);
        double bare = bare(query, library, from);
        if (i >= 0) {
          ours[i] = page;
          floor[i] = bare;
        }
      }
    }
    Arrays.sort(ours);
    Arrays.sort(floor);
  }

  private double page(long library, int from) throws IOException {
    long begin = System.nanoTime();
    http.bytes(
        "/libraries/%d/tools?class=end-mill-flat&dia.min=%d&dia.max=%d&limit=100"
            .formatted(library, from, from + 4));
    return (System.nanoTime() - begin) / 1e6;
  }

  private static double bare(PreparedStatement query, long library, int from) throws SQLException {
    long begin = System.nanoTime();
    query.setLong(1, library);
    query.setInt(2, from);
    query.setInt(3, from + 4);
    try (ResultSet rows = query.executeQuery()) {
      while (rows.next()) {
        rows.getString("vals");
      }
    }
    return (System.nanoTime() - begin) / 1e6;
  }

  private static double at(double[] sorted, int percent) {
    return sorted[Math.min(sorted.length - 1, sorted.length * percent / 100)];
  }
}
