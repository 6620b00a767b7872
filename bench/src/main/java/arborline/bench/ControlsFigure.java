package arborline.bench;

import arborline.rig.PrivateDatabase;
import arborline.rig.RunningLine;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Plans as large as a machine may have them, for controls of every dialect: read over its own
 * channel and compared, and what would be written to have all of them there.
 */
final class ControlsFigure {

  private static final List<String> MACHINES = List.of("M1", "M2", "M3", "L1", "X1", "R1");
  private static final int IN_A_STORAGE = 400;
  private static final int TOOLS = 9_999;
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final RunningLine line;
  private final Http http;
  private final long library;

  ControlsFigure(RunningLine line, Http http) throws IOException, InterruptedException {
    this.line = line;
    this.http = http;
    this.library = http.post("/libraries", "{\"name\":\"Large tables\"}").get("id").asLong();
  }

  void print() throws IOException, InterruptedException, SQLException {
    fillLibrary();
    for (String like : MACHINES) {
      String machine = machine(like);
      fillPlan(machine, like, places(like));
      measure(machine, like, places(like));
      http.delete("/machines/" + machine + "?changeJobs=true");
    }
  }

  /** As many as it has numbers for; X1 besides its turret. */
  private static int places(String like) {
    return switch (like) {
      case "M2" -> 999;
      case "X1" -> 24 * IN_A_STORAGE;
      default -> TOOLS;
    };
  }

  /** A machine with as many places as numbers, at the control of another one. */
  private String machine(String like) throws IOException, InterruptedException {
    ObjectNode definition = (ObjectNode) http.get("/machines/" + like).get("machine").deepCopy();
    String id = "LARGE-" + like;
    definition.put("id", id).put("name", id);
    ObjectNode storage = (ObjectNode) http.get("/machines/M1").at("/machine/storages/0").deepCopy();
    ArrayNode storages = JSON.createArrayNode();
    int places = places(like);
    for (int first = 1; first <= places; first += IN_A_STORAGE) {
      ObjectNode one = storage.deepCopy();
      one.put("id", "C" + first / IN_A_STORAGE)
          .put("first", first)
          .put("places", Math.min(IN_A_STORAGE, places + 1 - first));
      ((ObjectNode) one.get("limits")).putNull("massSum").putNull("mass").putNull("length");
      storages.add(one);
    }
    if (like.equals("X1")) {
      storages.add(definition.get("storages").get(1));
    }
    definition.set("storages", storages);
    ObjectNode numbering = (ObjectNode) definition.get("numbering");
    if (!numbering.get("from").isNull()) {
      numbering.put("from", 1).put("to", places);
    }
    http.post("/machines", JSON.createObjectNode().set("machine", definition).toString());
    String link = http.get("/machines/%s/link".formatted(like)).get("link").asString();
    http.put(
        "/machines/%s/link".formatted(id), JSON.createObjectNode().put("link", link).toString());
    return id;
  }

  private void execute(String sql, Object... values) throws SQLException {
    PrivateDatabase database = line.database();
    try (Connection connection =
            DriverManager.getConnection(database.url(), database.user(), database.password());
        Statement statement = connection.createStatement()) {
      statement.execute(String.format(Locale.ROOT, sql, values));
    }
  }

  private long base() {
    return library * 10_000_000L;
  }

  private void fillLibrary() throws SQLException {
    execute(
        """
        insert into tool (id, code, code_key, version_id, version_no)
        select %1$d + seq, concat('LT-', seq), concat('lt-', seq), %1$d + seq, 1
          from seq_1_to_%2$d\
        """,
        base(), TOOLS);
    execute(
        """
        insert into tool_version (id, tool_id, version_no, name, class_id, hash, vals, sizes,
          origin, created_at, created_by)
        select %1$d + seq, %1$d + seq, 1, concat('End mill ', seq), 'end-mill-flat',
          sha2(seq, 256), '{"DC":{"text":"10","unit":"mm"}}', '{"DC":10}', 'bench', now(6),
          'bench' from seq_1_to_%2$d\
        """,
        base(), TOOLS);
    execute(
        """
        insert into entry (id, library_id, tool_id, version_id, number, section, code, name,
          class_id, dc)
        select %1$d + seq, %3$d, %1$d + seq, %1$d + seq, seq, '', concat('LT-', seq),
          concat('End mill ', seq), 'end-mill-flat', 10 from seq_1_to_%2$d\
        """,
        base(), TOOLS, library);
  }

  /** One place is planned by hand, all others like it. */
  private void fillPlan(String machine, String like, int places)
      throws IOException, InterruptedException, SQLException {
    String sizes =
        like.equals("L1")
            ? "{\"x\":\"120.01\",\"z\":\"80.02\"}"
            : "{\"length\":\"120.01\",\"diameter\":\"9.99\"}";
    http.put(
        "/machines/%s/plan/1".formatted(machine),
        "{\"toolId\":%d,\"libraryId\":%d,\"sizes\":%s,\"allow\":true}"
            .formatted(base() + 1, library, sizes));
    execute(
        """
        insert into plan_place (machine_id, place, tool_id, library_id, fields)
        select p.machine_id, seq, p.tool_id - 1 + seq, p.library_id,
          regexp_replace(
            replace(p.fields, 'LT-1"', concat('LT-', seq, '"')),
            '"(NUMBER|OFFSET)":"1"', concat('"\\\\1":"', seq, '"'))
        from plan_place p join seq_2_to_%2$d where p.machine_id = '%1$s' and p.place = '1'\
        """,
        machine, places);
  }

  private void measure(String machine, String like, int places)
      throws IOException, InterruptedException {
    String path = "/machines/%s/reconciliation".formatted(machine);
    long begin = System.nanoTime();
    JsonNode seen = http.get(path);
    double read = seconds(begin);
    begin = System.nanoTime();
    JsonNode shown = http.post(path + "/dry-run", sendAll(seen));
    double written = seconds(begin);
    int bytes = 0;
    for (JsonNode file : shown.get("files")) {
      bytes += file.get("content").asString().length();
    }
    System.out.printf(
        Locale.ROOT,
        "%s, %,d places: read over its channel and compared %.1f s, %,d rows to write; what would"
            + " be written (%,d kB) %.1f s%n",
        like,
        places,
        read,
        seen.get("items").size(),
        bytes / 1000,
        written);
  }

  private static double seconds(long begin) {
    return (System.nanoTime() - begin) / 1e9;
  }

  /** Sends what is planned and not asked about. */
  private static String sendAll(JsonNode seen) {
    ObjectNode decisions = JSON.createObjectNode();
    for (JsonNode row : seen.get("items")) {
      if (row.get("suggested").asString().equals("send")) {
        decisions.put(row.get("place").asString(), "send");
      }
    }
    ObjectNode order = JSON.createObjectNode();
    order.set("read", seen.get("read"));
    order.set("decisions", decisions);
    return order.toString();
  }
}
