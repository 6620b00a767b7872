package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.machine.Machine;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Places that hold one tool only, which stands nowhere else in its machine but for sisters. */
@Component
class OwnPlaces {

  private final JdbcClient jdbc;

  OwnPlaces(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private record Row(String place, long toolId) {}

  /** The tool of each place that is kept for one. */
  Map<String, Long> of(String machine) {
    Map<String, Long> kept = new HashMap<>();
    jdbc.sql("select place, tool_id from own_place where machine_id = ?")
        .param(machine)
        .query(Row.class)
        .list()
        .forEach(row -> kept.put(row.place(), row.toolId()));
    return kept;
  }

  /** For which tool a place is kept; empty for none. */
  Optional<Long> tool(String machine, String place) {
    return Optional.ofNullable(of(machine).get(place));
  }

  /** Keeps a place for a tool, and no other one for it but for a sister; null for no tool. */
  void keep(Machine machine, String place, @Nullable Long tool) {
    String id = machine.id();
    jdbc.sql("delete from own_place where machine_id = ? and place = ?").params(id, place).update();
    if (tool != null && !machine.numbering().sisters()) {
      jdbc.sql("delete from own_place where machine_id = ? and tool_id = ?")
          .params(id, tool)
          .update();
    }
    if (tool != null) {
      jdbc.sql("insert into own_place (machine_id, place, tool_id) values (?, ?, ?)")
          .params(id, place, tool)
          .update();
    }
  }

  /** Places of a tool are those of another from now on, where that has none of its own. */
  void follow(long from, long into) {
    jdbc.sql(
            """
            update own_place o set tool_id = ? where tool_id = ? and not exists (
              select 1 from own_place own where own.machine_id = o.machine_id and own.tool_id = ?)\
            """)
        .params(into, from, into)
        .update();
    jdbc.sql("delete from own_place where tool_id = ?").param(from).update();
  }

  /** Why a tool cannot stand in a place since places are kept; empty where it can. */
  static Optional<Finding> obstacle(
      Machine machine, Map<String, Long> kept, String place, long tool) {
    Long owner = kept.get(place);
    if (owner != null && owner != tool) {
      return Optional.of(
          Finding.hold(
              "place-kept", "%s is kept for another tool".formatted(machine.words(place))));
    }
    if (machine.numbering().sisters()) {
      return Optional.empty();
    }
    return kept.entrySet().stream()
        .filter(entry -> Objects.equals(entry.getValue(), tool) && !entry.getKey().equals(place))
        .findFirst()
        .map(entry ->
            Finding.hold(
                "place-own",
                "%s is kept for it, so it stands nowhere else"
                    .formatted(machine.words(entry.getKey()))));
  }
}
