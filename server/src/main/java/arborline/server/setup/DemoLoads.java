package arborline.server.setup;

import arborline.server.machine.PlanOrder;
import arborline.server.machine.Plans;
import arborline.server.support.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Loads of the demo's machines. */
@Component
class DemoLoads {

  private final Plans plans;
  private final JdbcClient jdbc;
  private final Json json;

  DemoLoads(Plans plans, JdbcClient jdbc, Json json) {
    this.plans = plans;
    this.jdbc = jdbc;
    this.json = json;
  }

  /**
   * Tools of one library in one machine.
   *
   * @param places code of the tool of each place
   */
  record DemoLoad(String machine, String library, Map<String, String> places) {}

  /** Plans what the file says; without one nothing is planned. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (DemoLoad load : json.read(Files.readString(file), DemoLoad[].class)) {
      load.places().forEach((place, code) -> plan(load.machine(), load.library(), place, code));
    }
  }

  private void plan(String machine, String library, String place, String code) {
    long libraryId =
        jdbc.sql("select id from library where name = ?").param(library).query(Long.class).single();
    long tool =
        jdbc.sql("select tool_id from entry where library_id = ? and code = ?")
            .params(libraryId, code)
            .query(Long.class)
            .single();
    plans.put(machine, place, PlanOrder.of(tool, libraryId));
  }
}
