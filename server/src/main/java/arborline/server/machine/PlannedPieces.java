package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.PlaceOrder;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.live.Live;
import arborline.server.support.Json;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which real piece of its tool stands in a planned place. */
@Service
public class PlannedPieces {

  private final Machines machines;
  private final PlanRepository places;
  private final Json json;
  private final Live live;

  PlannedPieces(Machines machines, PlanRepository places, Json json, Live live) {
    this.machines = machines;
    this.places = places;
    this.json = json;
    this.live = live;
  }

  /**
   * Where a piece is planned.
   *
   * @param words as people call the place: {@code pocket 5}
   */
  public record At(String machineId, String machine, String place, String words) {}

  /**
   * What the plan of a machine has of pieces.
   *
   * @param places that are those of pieces, by serial
   * @param waiting tools of which a place waits for a piece
   */
  public record Pieces(Map<String, At> places, Set<Long> waiting) {}

  @Transactional(readOnly = true)
  public Pieces of(String machineId) {
    Machine machine = machines.get(machineId).machine();
    Map<String, At> standing = new HashMap<>();
    Set<Long> waiting = new HashSet<>();
    for (PlanPlace place : places.findByMachineId(machineId)) {
      String serial = entry(place).get(TableField.PHYSICAL);
      if (serial == null) {
        waiting.add(place.toolId);
      } else {
        standing.put(serial, at(machine, place.place));
      }
    }
    return new Pieces(standing, waiting);
  }

  /** The place of a machine that a piece is planned for; empty where none is. */
  @Transactional(readOnly = true)
  public Optional<At> of(String machineId, String serial) {
    return Optional.ofNullable(of(machineId).places().get(serial));
  }

  /**
   * A place that waits for a piece of a tool: one without a piece, and of several the first.
   *
   * @param place that is meant; empty for any
   */
  @Transactional(readOnly = true)
  public Optional<At> waiting(String machineId, long toolId, Optional<String> place) {
    Machine machine = machines.get(machineId).machine();
    return places.findByMachineId(machineId).stream()
        .filter(there -> there.toolId == toolId)
        .filter(there -> place.isEmpty() || place.get().equals(there.place))
        .filter(there -> entry(there).get(TableField.PHYSICAL) == null)
        .min(Comparator.comparing(there -> there.place, PlaceOrder.BY_NUMBER))
        .map(there -> at(machine, there.place));
  }

  private static At at(Machine machine, String place) {
    return new At(machine.id(), machine.name(), place, machine.words(place));
  }

  /**
   * Has a planned place be that of a piece, and its sizes be those that were measured of it.
   *
   * @param sizes mm; a size that is not named was not measured
   * @return what was planned there before, for {@link #bringBack}; empty where nothing is planned
   */
  @Transactional
  public Optional<String> give(At at, String serial, Map<TableField, String> sizes) {
    machines.lock(at.machineId());
    Optional<PlanPlace> place = places.findByMachineIdAndPlace(at.machineId(), at.place());
    Optional<String> before = place.map(there -> there.fields);
    place.ifPresent(there -> {
      TableEntry entry = entry(there).with(TableField.PHYSICAL, serial);
      for (TableField size : TableField.SIZES) {
        entry = entry.with(size, sizes.get(size));
      }
      write(there, json.text(entry));
    });
    return before;
  }

  /** Has a place be planned as it was before a piece was given to it, as long as it has that. */
  @Transactional
  public void bringBack(At at, String serial, String before) {
    machines.lock(at.machineId());
    places
        .findByMachineIdAndPlace(at.machineId(), at.place())
        .filter(there -> serial.equals(entry(there).get(TableField.PHYSICAL)))
        .ifPresent(there -> write(there, before));
  }

  private void write(PlanPlace place, String fields) {
    place.fields = fields;
    places.save(place);
    places.flush();
    live.say("machine", place.machineId, "plan");
  }

  private TableEntry entry(PlanPlace place) {
    return json.read(place.fields, TableEntry.class);
  }
}
