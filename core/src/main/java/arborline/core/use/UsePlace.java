package arborline.core.use;

import arborline.core.machine.Machine;
import arborline.core.machine.Machine.Placed;
import arborline.core.machine.MachineSpindle;
import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.storage.Station;
import arborline.core.storage.TurretBody;
import arborline.core.turning.Mounting.Side;
import java.util.List;
import java.util.Optional;

/** What a place can do with a tool. */
record UsePlace(Machine machine, Placed placed) {

  Optional<TurretBody> turret() {
    return Optional.ofNullable(placed.storage().turret());
  }

  /** The station, of a turret. */
  Optional<Station> station() {
    return turret().map(turret -> turret.station(placed.storage().first() + placed.index()));
  }

  /** Spindles that turn work. */
  List<String> works() {
    return machine.spindles().stream()
        .filter(spindle -> spindle.carries() == Carries.WORK)
        .map(MachineSpindle::name)
        .toList();
  }

  /** Those of them that a tool here reaches. */
  List<String> reached() {
    return turret()
        .map(TurretBody::reaches)
        .filter(reached -> !reached.isEmpty())
        .orElseGet(this::works);
  }

  /** True for the second of two spindles, which faces the first. */
  boolean sub(String spindle) {
    return works().indexOf(spindle) > 0;
  }

  Side side() {
    return turret().filter(TurretBody::front).isPresent() ? Side.FRONT : Side.REAR;
  }

  /** The spindle that turns tools from here; empty on a turret. */
  Optional<MachineSpindle> toolSpindle() {
    return turret().isPresent()
        ? Optional.empty()
        : machine.spindles().stream()
            .filter(spindle -> spindle.carries() == Carries.TOOL)
            .findFirst();
  }

  /** True where something turns tools here. */
  boolean drives() {
    return station().map(Station::driven).orElse(toolSpindle().isPresent());
  }

  /** True where tools can be held still here while work turns. */
  boolean holdsStill() {
    return turret().isPresent()
        || toolSpindle().filter(MachineSpindle::locks).isPresent() && !works().isEmpty();
  }
}
