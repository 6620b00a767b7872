package arborline.bench;

import arborline.rig.PrivateDatabase;
import arborline.rig.RunningLine;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Locale;

/** What a change would touch, over HTTP, in a shop of 100 000 tools. */
final class TouchesFigure {

  private static final int TOOLS = 100_000;
  private static final int HELD = 20_000;
  private static final int CALLS = 60;
  private static final int WARM_UP = 200;
  private static final long COMPONENT = 9_000_000_001L;
  private static final int GOAL_MS = 200;

  private final RunningLine line;
  private final Http http;

  TouchesFigure(RunningLine line, Http http) {
    this.line = line;
    this.http = http;
  }

  void print() throws IOException, InterruptedException, SQLException {
    long library = http.post("/libraries", "{\"name\":\"Touched\"}").get("id").asLong();
    long first = library * 10_000_000L + 1;
    fill(library);
    measure("TOOL", first);
    measure("HOLDER", COMPONENT);
    measure("LIBRARY", library);
    measure("MACHINE", "M1");
    hide(http.post("/libraries", "{\"name\":\"Not seen\"}").get("id").asLong());
    System.out.println("for somebody who does not see every library:");
    measure(new Http(line.url(), line.key("PROGRAMMER")), "HOLDER", COMPONENT);
  }

  /** A library that only its owner sees. */
  private void hide(long library) throws SQLException {
    PrivateDatabase database = line.database();
    try (Connection connection =
            DriverManager.getConnection(database.url(), database.user(), database.password());
        PreparedStatement update =
            connection.prepareStatement("update library set sharing = 'PRIVATE' where id = ?")) {
      update.setLong(1, library);
      update.executeUpdate();
    }
  }

  /** Tools of one library, 20 000 of them in one holder, some in a load, 4 000 called by jobs. */
  private void fill(long library) throws SQLException {
    PrivateDatabase database = line.database();
    try (Connection connection =
            DriverManager.getConnection(database.url(), database.user(), database.password());
        Statement statement = connection.createStatement()) {
      long base = library * 10_000_000L;
      for (String sql :
          new String[] {
            """
            insert into tool (id, code, code_key, version_id, version_no)
            select %1$d + seq, concat('T', %2$d, '-', seq), concat('t', %2$d, '-', seq),
              %1$d + seq, 1 from seq_1_to_%3$d\
            """,
            """
            insert into tool_version (id, tool_id, version_no, name, class_id, hash, vals, sizes,
              origin, created_at, created_by)
            select %1$d + seq, %1$d + seq, 1, concat('Flat end mill no ', seq), 'end-mill-flat',
              sha2(seq, 256), '{"DC":{"text":"10","unit":"mm"}}', '{"DC":10}', 'bench', now(6),
              'bench' from seq_1_to_%3$d\
            """,
            """
            insert into entry (id, library_id, tool_id, version_id, number, section, code, name,
              class_id, dc)
            select %1$d + seq, %2$d, %1$d + seq, %1$d + seq, seq, '', concat('T', %2$d, '-', seq),
              concat('Flat end mill no ', seq), 'end-mill-flat', 10 from seq_1_to_%3$d\
            """,
            """
            insert into component (id, code, code_key, name, definition, retired)
            values (%5$d, 'BENCH-HOLDER', 'bench-holder', 'Chuck', '{}', false)\
            """,
            """
            insert into stack (id, tool_id, name, seat, overhang)
            select %1$d + seq, %1$d + seq, '', '', 40 from seq_1_to_%4$d\
            """,
            """
            insert into stack_part (stack_id, place, component_id, tool_id)
            select %1$d + seq, 0, %5$d, %1$d + seq from seq_1_to_%4$d\
            """,
            """
            insert into plan_place (machine_id, place, tool_id, fields)
            select 'M1', seq, %1$d + seq, '{}' from seq_1_to_40\
            """,
            """
            insert into job (id, name, name_key, machine_id)
            select %1$d + seq, concat('Job ', %1$d + seq), concat('job ', %1$d + seq), 'M1'
              from seq_1_to_200\
            """,
            """
            insert into job_tool (job_id, tool_no, tool_id, library_id)
            select %1$d + j.seq, t.seq, %1$d + j.seq * 20 + t.seq, %2$d
              from seq_1_to_200 j join seq_1_to_20 t\
            """,
            "analyze table tool, tool_version, entry, stack, stack_part, plan_place, job, job_tool"
          }) {
        statement.execute(String.format(Locale.ROOT, sql, base, library, TOOLS, HELD, COMPONENT));
      }
    }
  }

  private void measure(String kind, Object id) throws IOException, InterruptedException {
    measure(http, kind, id);
  }

  private static void measure(Http http, String kind, Object id)
      throws IOException, InterruptedException {
    String path = "/touches?kind=%s&id=%s".formatted(kind, id);
    double[] took = new double[CALLS];
    for (int call = -WARM_UP; call < CALLS; call++) {
      long begin = System.nanoTime();
      http.get(path);
      if (call >= 0) {
        took[call] = (System.nanoTime() - begin) / 1e6;
      }
    }
    Arrays.sort(took);
    System.out.printf(
        Locale.ROOT,
        "what a change of a %s touches, %,d tools: median %.1f ms, 95 of 100 %.1f ms (goal %d)%n",
        kind.toLowerCase(Locale.ROOT),
        TOOLS,
        took[CALLS / 2],
        took[CALLS * 95 / 100],
        GOAL_MS);
  }
}
