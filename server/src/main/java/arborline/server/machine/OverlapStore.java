package arborline.server.machine;

import arborline.core.machine.Overlap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Stated overlaps in the database. */
@Component
class OverlapStore {

  private final JdbcClient jdbc;

  OverlapStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private record Row(long toolId, int plusNo, int minusNo) {}

  /** Of a machine, by tool id; those that nobody stated are left out. */
  Map<Long, Overlap> of(String machine) {
    Map<Long, Overlap> stated = new HashMap<>();
    jdbc.sql("select tool_id, plus_no, minus_no from stated_overlap where machine_id = ?")
        .param(machine)
        .query(Row.class)
        .list()
        .forEach(row -> stated.put(row.toolId(), new Overlap(row.plusNo(), row.minusNo())));
    return stated;
  }

  /** Keeps what a tool covers; empty for what its diameter says. */
  void write(String machine, long tool, Optional<Overlap> overlap) {
    jdbc.sql("delete from stated_overlap where machine_id = ? and tool_id = ?")
        .params(machine, tool)
        .update();
    overlap.ifPresent(stated ->
        jdbc.sql(
                "insert into stated_overlap (machine_id, tool_id, plus_no, minus_no)"
                    + " values (?, ?, ?, ?)")
            .params(machine, tool, stated.plus(), stated.minus())
            .update());
  }

  /** What is stated of a tool is of another from now on, where that has nothing of its own. */
  void follow(long from, long into) {
    jdbc.sql("update ignore stated_overlap set tool_id = ? where tool_id = ?")
        .params(into, from)
        .update();
    jdbc.sql("delete from stated_overlap where tool_id = ?").param(from).update();
  }
}
