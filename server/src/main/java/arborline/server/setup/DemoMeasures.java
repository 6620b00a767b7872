package arborline.server.setup;

import arborline.server.machine.PlanOrder;
import arborline.server.machine.Plans;
import arborline.server.support.Json;
import arborline.server.table.AgreedStates;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;

/** What was measured of planned tools, and agreed with the controls since. */
@Component
class DemoMeasures {

  private final Plans plans;
  private final AgreedStates agreed;
  private final Json json;

  DemoMeasures(Plans plans, AgreedStates agreed, Json json) {
    this.plans = plans;
    this.agreed = agreed;
    this.json = json;
  }

  /** Measures what the file says, by machine and place; without one nothing is measured. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    Map<String, Map<String, Map<String, String>>> measured =
        json.read(Files.readString(file), new TypeReference<>() {});
    measured.forEach((machine, places) -> {
      Map<String, Plans.Planned> plan = plans.plan(machine);
      places.forEach((place, sizes) -> measure(machine, plan.get(place), sizes));
      agreed.asPlanned(machine);
    });
  }

  private void measure(String machine, Plans.Planned planned, Map<String, String> sizes) {
    plans.put(
        machine,
        planned.place(),
        new PlanOrder(
            planned.toolId(), planned.libraryId(), planned.place(), null, null, null, null, sizes),
        false);
  }
}
