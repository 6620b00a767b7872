package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.machine.MachineFaults;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Machines that are in use. */
@Service
public class Machines {

  private static final int MOST = 200;

  /** Controls of the demo, which may listen elsewhere at each start. */
  private static final Pattern STAND_IN =
      Pattern.compile("(http|opc\\.tcp)://127\\.0\\.0\\.1:\\d+/[a-z]\\d|folder:[a-z]\\d");

  private final MachineRepository machines;
  private final Json json;

  Machines(MachineRepository machines, Json json) {
    this.machines = machines;
    this.json = json;
  }

  /**
   * A machine and the address of its control.
   *
   * @param link empty where no control is linked
   * @param version grows with each change of the definition
   */
  public record Linked(Machine machine, String link, int version) {}

  @Transactional(readOnly = true)
  public List<Linked> all() {
    return machines.findByRetiredAtIsNullOrderById(Limit.of(MOST)).stream()
        .map(this::linked)
        .toList();
  }

  @Transactional(readOnly = true)
  public Linked get(String id) {
    MachineRow row =
        machines.findById(id).orElseThrow(() -> Refusal.notFound("there is no machine " + id));
    if (row.retiredAt != null) {
      throw Refusal.notFound(row.name + " was retired");
    }
    return linked(row);
  }

  /** As {@link #get}, with nobody else changing plan or control until the transaction ends. */
  @Transactional(propagation = Propagation.MANDATORY)
  public Linked lock(String id) {
    machines.lock(id);
    return get(id);
  }

  /** As {@link #lock}, of a machine that is in use or was retired. */
  @Transactional(propagation = Propagation.MANDATORY)
  Linked lockAny(String id) {
    machines.lock(id);
    return linked(
        machines.findById(id).orElseThrow(() -> Refusal.notFound("there is no machine " + id)));
  }

  private Linked linked(MachineRow row) {
    return new Linked(json.read(row.definition, Machine.class), row.link, row.versionNo);
  }

  /**
   * Sets a machine up as it is defined, where there is none of its id, and links its control; one
   * that somebody linked elsewhere stays so.
   */
  @Transactional
  public void link(Machine machine, String link) {
    List<String> faults = MachineFaults.of(machine);
    if (!faults.isEmpty()) {
      throw new IllegalArgumentException(machine.name() + ": " + faults.getFirst());
    }
    MachineRow row =
        machines
            .findById(machine.id())
            .orElseGet(
                () -> new MachineRow(machine.id(), machine.name(), json.text(machine), link));
    if (row.link.isEmpty() || STAND_IN.matcher(row.link).matches()) {
      row.link = link;
    }
    machines.save(row);
  }
}
