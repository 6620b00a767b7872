package arborline.core.inspect;

import arborline.core.finding.Finding;
import arborline.core.inspect.check.InspectionCheck;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** Asks all checks of a tool that arrives. */
final class Suspicions {

  private static final List<InspectionCheck> CHECKS =
      ServiceLoader.load(InspectionCheck.class, InspectionCheck.class.getClassLoader()).stream()
          .map(ServiceLoader.Provider::get)
          .toList();

  private Suspicions() {}

  /** What looks wrong, as far as no rule says the same. */
  static List<Finding> of(Tool tool, List<Finding> known) {
    if (tool.values().isEmpty()) {
      return List.of();
    }
    Tool completed = Completed.of(tool).tool();
    List<Finding> found = new ArrayList<>(0);
    for (InspectionCheck check : CHECKS) {
      Optional<Finding> finding = check.find(tool, completed);
      finding
          .filter(one -> known.stream().noneMatch(other -> other.code().equals(one.code())))
          .ifPresent(found::add);
    }
    return found;
  }
}
