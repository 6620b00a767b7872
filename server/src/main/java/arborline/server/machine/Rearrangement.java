package arborline.server.machine;

import arborline.server.machine.Plans.Picked;
import arborline.server.machine.Plans.PlaceBefore;
import arborline.server.support.Refusal;
import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** A plan that becomes another one: what stood, what will, and what differs. */
final class Rearrangement {

  private record Put(Picked tool, String fields) {}

  private final Map<Long, PlanPlace> byTool = new HashMap<>();
  private final Map<String, PlanPlace> byPlace = new HashMap<>();
  private final Map<String, Put> wanted = new LinkedHashMap<>();

  Rearrangement(List<PlanPlace> before) {
    before.forEach(place -> {
      byTool.put(place.toolId, place);
      byPlace.put(place.place, place);
    });
  }

  /** Where a tool stood. */
  Optional<PlanPlace> old(long tool) {
    return Optional.ofNullable(byTool.get(tool));
  }

  /**
   * Has a tool stand in a place.
   *
   * @throws Refusal where it stands in another already
   */
  void put(String place, Picked tool, String fields) {
    if (wanted.values().stream().anyMatch(other -> other.tool().toolId() == tool.toolId())) {
      throw Refusal.badRequest("a tool cannot be put in twice; name each once");
    }
    wanted.put(place, new Put(tool, fields));
  }

  /** The plan as it will be. */
  List<PlanPlace> then(String machine) {
    List<PlanPlace> then = new ArrayList<>();
    wanted.forEach((place, put) ->
        then.add(
            new PlanPlace(
                machine, place, put.tool().toolId(), put.tool().libraryId(), put.fields())));
    return then;
  }

  /** True for a tool that did not stand in this place before. */
  boolean moved(PlanPlace place) {
    return old(place.toolId).filter(old -> old.place.equals(place.place)).isEmpty();
  }

  /** Every place that differs, as it was and as it will be. */
  List<PlaceBefore> before(List<PlanPlace> then) {
    Map<String, PlanPlace> after = new HashMap<>();
    then.forEach(place -> after.put(place.place, place));
    Set<String> names = new TreeSet<>(byPlace.keySet());
    names.addAll(after.keySet());
    List<PlaceBefore> differing = new ArrayList<>();
    for (String name : names) {
      Optional<PlanPlace> was = Optional.ofNullable(byPlace.get(name));
      Optional<PlanPlace> will = Optional.ofNullable(after.get(name));
      boolean same =
          was.isPresent()
              && will.isPresent()
              && was.get().toolId == will.get().toolId
              && Objects.equals(was.get().fields, will.get().fields)
              && Objects.equals(was.get().libraryId, will.get().libraryId);
      if (!same) {
        differing.add(
            new PlaceBefore(
                name,
                was.map(place -> place.toolId).orElse(0L),
                was.map(place -> place.fields).orElse(null),
                was.map(place -> place.libraryId).orElse(null),
                will.map(place -> place.toolId).orElse(0L),
                will.map(place -> place.fields).orElse(null)));
      }
    }
    return differing;
  }

  /** What was done, for the trail. */
  String words() {
    long in = wanted.values().stream().filter(put -> old(put.tool().toolId()).isEmpty()).count();
    long moved =
        wanted.entrySet().stream()
            .filter(put ->
                old(put.getValue().tool().toolId())
                    .filter(old -> !old.place.equals(put.getKey()))
                    .isPresent())
            .count();
    long out =
        byTool.keySet().stream()
            .filter(tool -> wanted.values().stream().noneMatch(put -> put.tool().toolId() == tool))
            .count();
    return "planned a load: %s in, %d out, %d elsewhere"
        .formatted(TrailRecord.count((int) in, "tool"), out, moved);
  }
}
