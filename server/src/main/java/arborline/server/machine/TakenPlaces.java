package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the control of a machine has and the plan takes over: it is so already, jobs or not. */
@Service
public class TakenPlaces {

  private final Machines machines;
  private final PlanRepository places;
  private final Tools tools;
  private final PlanFit fit;
  private final Live live;
  private final Json json;

  TakenPlaces(
      Machines machines, PlanRepository places, Tools tools, PlanFit fit, Live live, Json json) {
    this.machines = machines;
    this.places = places;
    this.tools = tools;
    this.fit = fit;
    this.live = live;
    this.json = json;
  }

  /** What the plan says of a place before and after something was taken from the control. */
  public record Change(TableEntry before, TableEntry after) {}

  private TableEntry entry(PlanPlace place) {
    return json.read(place.fields, TableEntry.class);
  }

  /**
   * Writes what was taken from the control into the plan; an empty entry clears its place. A place
   * that somebody planned anew meanwhile stays as they left it.
   */
  @Transactional
  public void take(String machineId, Map<String, Change> taken) {
    Map<String, TableEntry> open = new LinkedHashMap<>();
    Map<Long, Long> libraries = new HashMap<>();
    taken.forEach((place, change) -> {
      Optional<PlanPlace> now = places.findByMachineIdAndPlace(machineId, place);
      if (sameTool(now.map(this::entry).orElse(TableEntry.EMPTY), change.before())) {
        now.ifPresent(there -> {
          libraries.put(there.toolId, there.library());
          places.delete(there);
        });
        open.put(place, change.after());
      }
    });
    places.flush();
    open.forEach((place, entry) -> {
      if (!entry.empty()) {
        takeOne(machineId, place, entry, libraries);
      }
    });
    live.say("machine", machineId, "plan");
  }

  private static boolean sameTool(TableEntry now, TableEntry before) {
    return now.key().equals(before.key())
        && TableField.SIZES.stream()
            .allMatch(field -> Objects.equals(now.get(field), before.get(field)));
  }

  private void takeOne(
      String machineId, String place, TableEntry entry, Map<Long, Long> libraries) {
    String code = entry.get(TableField.TOOL);
    long toolId =
        tools
            .byCode(code)
            .orElseThrow(() -> Refusal.conflict("no library of the shop has " + code));
    Machine machine = machines.get(machineId).machine();
    List<PlanPlace> standing = fit.standing(machine, toolId);
    if (!standing.isEmpty() && !machine.numbering().sisters()) {
      throw Refusal.conflict(
          "%s is planned for %s as well; decide that place too"
              .formatted(code, PlanFit.words(machine, standing)));
    }
    TableEntry kept = entry.countedAs(TableEntry.EMPTY).with(TableField.OFFSET, null);
    long library = libraries.getOrDefault(toolId, 0L);
    places.save(new PlanPlace(machineId, place, toolId, library, json.text(kept)));
  }
}
