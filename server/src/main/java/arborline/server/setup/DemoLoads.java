package arborline.server.setup;

import arborline.server.machine.PlanNumbers;
import arborline.server.machine.PlanOrder;
import arborline.server.machine.Plans;
import arborline.server.support.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Loads of the demo's machines. */
@Component
class DemoLoads {

  private final Plans plans;
  private final PlanNumbers numbers;
  private final JdbcClient jdbc;
  private final Json json;

  DemoLoads(Plans plans, PlanNumbers numbers, JdbcClient jdbc, Json json) {
    this.numbers = numbers;
    this.plans = plans;
    this.jdbc = jdbc;
    this.json = json;
  }

  /**
   * Tools of one library in one machine.
   *
   * @param places code of the tool of each place; one that stands in several is a sister there
   * @param first number of the first of them, the others follow; null for those of the library
   */
  record DemoLoad(
      String machine, String library, Map<String, String> places, @Nullable Integer first) {}

  /** Plans what the file says; without one nothing is planned. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (DemoLoad load : json.read(Files.readString(file), DemoLoad[].class)) {
      Set<String> planned = new HashSet<>();
      load.places().forEach((place, code) -> plan(load, place, code, !planned.add(code)));
      if (load.first() != null) {
        numbers.renumber(
            load.machine(),
            new PlanNumbers.Sequence(List.copyOf(load.places().keySet()), load.first(), 1),
            false);
      }
    }
  }

  private void plan(DemoLoad load, String place, String code, boolean another) {
    long libraryId =
        jdbc.sql("select id from library where name = ?")
            .param(load.library())
            .query(Long.class)
            .single();
    long tool =
        jdbc.sql("select tool_id from entry where library_id = ? and code = ?")
            .params(libraryId, code)
            .query(Long.class)
            .single();
    plans.put(
        load.machine(),
        place,
        new PlanOrder(tool, libraryId, null, another, null, null, true, null),
        false);
  }
}
