package arborline.server.machine;

import arborline.core.loadplan.LoadPlace;
import arborline.core.loadplan.LoadProblem;
import arborline.core.machine.Machine;
import java.util.List;
import java.util.Map;

/**
 * A load that is to be planned, with everything that is known of it.
 *
 * @param libraries from which each piece is picked, by its name; 0 where nobody said
 * @param ids of tools by the names of their pieces
 * @param refused tools that may not be planned, and why
 * @param stamp of the plan from which it starts
 */
record LoadSituation(
    Machine machine,
    LoadProblem problem,
    Map<String, Long> ids,
    Map<String, Long> libraries,
    List<RefusedTool> refused,
    String stamp) {

  /** A tool that may not be planned. */
  record RefusedTool(long toolId, String code, String why) {}

  /** The same load with something else wanted of it. */
  LoadSituation with(LoadProblem other) {
    return new LoadSituation(machine, other, ids, libraries, refused, stamp);
  }

  /** What people call a place. */
  String place(LoadPlace place) {
    return machine.storages().get(place.storage()).place(place.index());
  }
}
