package arborline.server.table;

import arborline.core.table.ControlDialects;
import arborline.core.table.ControlTable;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Reads all controls at a pace of its own, each apart: one that is dead slows nobody. A change is
 * kept and told; so is that one does not answer any more.
 */
@Component
class ControlWatch {

  private static final Logger LOG = LoggerFactory.getLogger(ControlWatch.class);

  private final Machines machines;
  private final ControlLink link;
  private final TableStore store;
  private final TableWatches watches;
  private final Live live;
  private final Clock clock;
  private final Set<String> beingRead = ConcurrentHashMap.newKeySet();
  private final ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor();

  ControlWatch(
      Machines machines,
      ControlLink link,
      TableStore store,
      TableWatches watches,
      Live live,
      Clock clock) {
    this.machines = machines;
    this.link = link;
    this.store = store;
    this.watches = watches;
    this.live = live;
    this.clock = clock;
  }

  /** Begins to read every control that is not being read from the last time. */
  void look() {
    for (Machines.Linked machine : machines.all()) {
      boolean known =
          !machine.link().isEmpty()
              && ControlDialects.find(machine.machine().habits().dialect()).isPresent();
      if (known && beingRead.add(machine.machine().id())) {
        threads.execute(() -> lookAndLeave(machine));
      }
    }
  }

  private void lookAndLeave(Machines.Linked machine) {
    try {
      look(machine);
    } catch (RuntimeException failed) {
      LOG.warn("the control of {} could not be watched", machine.machine().name(), failed);
    } finally {
      beingRead.remove(machine.machine().id());
    }
  }

  /** Reads one control, and tells what became different. */
  void look(Machines.Linked machine) {
    String id = machine.machine().id();
    Instant begun = Instant.now(clock);
    try {
      ControlTable table = link.watched(machine);
      Optional<Long> before = store.latest(id).map(TableStore.Reading::id);
      TableStore.Reading kept = store.keep(id, table, begun);
      boolean back = watches.answered(id);
      if (back || before.filter(last -> last == kept.id()).isEmpty()) {
        live.say("machine", id, "table");
      }
    } catch (IOException silent) {
      if (watches.silent(id, String.valueOf(silent.getMessage()))) {
        live.say("machine", id, "table");
      }
    }
  }
}
