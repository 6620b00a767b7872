package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Machine definitions. */
@Service
public class Machines {

  private static final int MOST = 200;

  private final MachineRepository machines;
  private final Json json;

  Machines(MachineRepository machines, Json json) {
    this.machines = machines;
    this.json = json;
  }

  /** A machine and the address of its control. */
  public record Linked(Machine machine, String link) {}

  @Transactional(readOnly = true)
  public List<Linked> all() {
    return machines.findByOrderById(Limit.of(MOST)).stream().map(this::linked).toList();
  }

  @Transactional(readOnly = true)
  public Linked get(String id) {
    return machines
        .findById(id)
        .map(this::linked)
        .orElseThrow(() -> Refusal.notFound("there is no machine " + id));
  }

  /** As {@link #get}, with nobody else changing plan or control until the transaction ends. */
  @Transactional(propagation = Propagation.MANDATORY)
  public Linked lock(String id) {
    machines.lock(id);
    return get(id);
  }

  private Linked linked(MachineRow row) {
    return new Linked(json.read(row.definition, Machine.class), row.link);
  }

  /** Sets a machine up, or changes its definition. */
  @Transactional
  public void define(Machine machine, String link) {
    machines.save(new MachineRow(machine.id(), machine.name(), json.text(machine), link));
  }
}
