package arborline.core.machine;

import arborline.core.finding.Finding;
import arborline.core.machine.Machine.Placed;
import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.storage.Station;
import arborline.core.storage.StorageForm;
import arborline.core.storage.TurretBody;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import java.util.Optional;
import java.util.Set;

/**
 * Whether a tool can work as it has to where it is: tools that turn need something that turns them,
 * turning tools need work that turns and something that holds them still.
 */
final class MotionFit {

  private static final Set<String> IN_AGGREGATES = Set.of("aggregate", "saw-blade");

  private MotionFit() {}

  /** Why a tool cannot work from a place; empty where it can, or its class is not known. */
  static Optional<Finding> obstacle(Machine machine, Placed at, Tool tool) {
    return ToolClasses.named(tool.toolClass())
        .flatMap(known -> why(machine, at, known))
        .map(reason -> Finding.hold("place-unsuited", reason));
  }

  private static Optional<String> why(Machine machine, Placed at, ToolClass known) {
    if (known.cuttingItem()) {
      return Optional.of("an insert goes into a tool, not into a machine");
    }
    if (at.storage().form() == StorageForm.AGGREGATES) {
      return IN_AGGREGATES.contains(known.sheet().id()) || known.sheet().id().startsWith("drill")
          ? Optional.empty()
          : Optional.of("a fixed aggregate takes drills, saw blades and aggregates");
    }
    Process process = known.sheet().process();
    return switch (process) {
      case JET -> Optional.of("a nozzle belongs to a cutting head, not to " + at.words());
      case TURNING -> turning(machine, at);
      case MILLING, ROUTING -> driven(machine, at, known);
      default -> Optional.empty();
    };
  }

  private static Optional<String> turning(Machine machine, Placed at) {
    boolean workTurns =
        machine.spindles().stream().anyMatch(spindle -> spindle.carries() == Carries.WORK);
    if (!workTurns) {
      return Optional.of(
          "a turning tool needs work that turns; %s turns none".formatted(machine.name()));
    }
    boolean held =
        at.storage().form() == StorageForm.TURRET
            || machine.spindles().stream()
                .anyMatch(spindle -> spindle.carries() == Carries.TOOL && spindle.locks());
    return held
        ? Optional.empty()
        : Optional.of("a turning tool has to be held still; the tool spindle cannot be locked");
  }

  private static Optional<String> driven(Machine machine, Placed at, ToolClass known) {
    TurretBody turret = at.storage().turret();
    if (turret == null) {
      return Optional.empty();
    }
    Station station = turret.station(at.storage().first() + at.index());
    return station.driven()
        ? Optional.empty()
        : Optional.of(
            "a %s has to turn; %s of %s drives nothing"
                .formatted(known.sheet().title(), at.words(), machine.name()));
  }
}
