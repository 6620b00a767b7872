package arborline.server.table;

import arborline.core.machine.Machine;
import arborline.core.table.ControlTable;
import arborline.core.table.TableEntry;
import arborline.server.machine.Machines;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Records that plan and control agreed, where that is known without having asked the control. */
@Service
public class AgreedStates {

  private final Machines machines;
  private final Comparisons comparisons;
  private final TableStore store;

  AgreedStates(Machines machines, Comparisons comparisons, TableStore store) {
    this.machines = machines;
    this.comparisons = comparisons;
    this.store = store;
  }

  /** The control of a machine was left as it is planned now. */
  @Transactional
  public void asPlanned(String machineId) {
    Machine machine = machines.lock(machineId).machine();
    ControlTable nothing = new ControlTable(Map.of(), Optional.empty());
    Map<String, TableEntry> plan = comparisons.of(machine, nothing).tables().plan();
    store.agree(machineId, new HashMap<>(plan));
  }
}
