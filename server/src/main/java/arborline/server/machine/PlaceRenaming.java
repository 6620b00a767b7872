package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.support.Json;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Has everything that hangs on places follow when these get other names. */
@Component
class PlaceRenaming {

  private static final List<String> TABLES =
      List.of("plan_place", "plan_use", "own_place", "agreed_place");

  private final PlanRepository places;
  private final JdbcClient jdbc;
  private final Json json;

  PlaceRenaming(PlanRepository places, JdbcClient jdbc, Json json) {
    this.places = places;
    this.jdbc = jdbc;
    this.json = json;
  }

  /**
   * Renames places of a machine; a part of a transaction in which nothing of the plan is changed
   * afterwards.
   *
   * @param machine as it is defined from now on
   * @param names new names by old ones
   */
  void rename(Machine machine, Map<String, String> names) {
    if (names.isEmpty()) {
      return;
    }
    places.flush();
    for (String table : TABLES) {
      names.forEach((old, now) -> move(table, machine.id(), old, "~" + now));
      names.values().forEach(now -> move(table, machine.id(), "~" + now, now));
    }
    if (machine.numbering().numberIsPlace()) {
      names.values().forEach(now -> renumber(machine, now));
    }
  }

  private void move(String table, String machine, String from, String to) {
    jdbc.sql("update %s set place = ? where machine_id = ? and place = ?".formatted(table))
        .params(to, machine, from)
        .update();
  }

  private void renumber(Machine machine, String place) {
    jdbc.sql("select fields from plan_place where machine_id = ? and place = ?")
        .params(machine.id(), place)
        .query(String.class)
        .optional()
        .map(fields ->
            json.text(
                json.read(fields, TableEntry.class).with(TableField.NUMBER, machine.number(place))))
        .ifPresent(fields ->
            jdbc.sql("update plan_place set fields = ? where machine_id = ? and place = ?")
                .params(fields, machine.id(), place)
                .update());
  }
}
