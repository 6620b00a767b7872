package arborline.server.machine;

import arborline.server.machine.Plans.Picked;
import arborline.server.machine.Plans.PlaceBefore;
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
import java.util.function.Predicate;

/** A plan that becomes another one: what stood, what will, and what differs. */
final class Rearrangement {

  private final List<PlanPlace> before;
  private final Map<String, Picked> wanted;

  /** What goes into a place from another, or stays there; by the place where it will be. */
  private final Map<String, PlanPlace> from = new HashMap<>();

  /**
   * A change of a plan.
   *
   * @param wanted the tool of each place
   */
  Rearrangement(List<PlanPlace> before, Map<String, Picked> wanted) {
    this.before = before;
    this.wanted = new LinkedHashMap<>(wanted);
    List<PlanPlace> left = new ArrayList<>(before);
    wanted.forEach((place, tool) -> take(left, place, tool, old -> old.place.equals(place)));
    wanted.forEach((place, tool) -> {
      if (!from.containsKey(place)) {
        take(left, place, tool, old -> true);
      }
    });
  }

  private void take(List<PlanPlace> left, String place, Picked tool, Predicate<PlanPlace> which) {
    left.stream()
        .filter(old -> old.toolId == tool.toolId())
        .filter(which)
        .findFirst()
        .ifPresent(old -> {
          left.remove(old);
          from.put(place, old);
        });
  }

  /** Where the tool of a place stood; empty where it was not planned. */
  Optional<PlanPlace> from(String place) {
    return Optional.ofNullable(from.get(place));
  }

  /** A tool that is to stand in several places; empty where each stands in one. */
  Optional<Long> twice() {
    Map<Long, String> seen = new HashMap<>();
    return wanted.entrySet().stream()
        .filter(one -> seen.put(one.getValue().toolId(), one.getKey()) != null)
        .map(one -> one.getValue().toolId())
        .findFirst();
  }

  /** True for a tool that did not stand in this place before. */
  boolean moved(PlanPlace place) {
    return from(place.place).filter(old -> old.place.equals(place.place)).isEmpty();
  }

  /** Every place that differs, as it was and as it will be. */
  List<PlaceBefore> before(List<PlanPlace> then) {
    Map<String, PlanPlace> was = byPlace(before);
    Map<String, PlanPlace> will = byPlace(then);
    Set<String> names = new TreeSet<>(was.keySet());
    names.addAll(will.keySet());
    List<PlaceBefore> differing = new ArrayList<>();
    for (String name : names) {
      Optional<PlanPlace> old = Optional.ofNullable(was.get(name));
      Optional<PlanPlace> next = Optional.ofNullable(will.get(name));
      if (!same(old, next)) {
        differing.add(
            new PlaceBefore(
                name,
                old.map(place -> place.toolId).orElse(0L),
                old.map(place -> place.fields).orElse(null),
                old.map(place -> place.libraryId).orElse(null),
                next.map(place -> place.toolId).orElse(0L),
                next.map(place -> place.fields).orElse(null)));
      }
    }
    return differing;
  }

  private static Map<String, PlanPlace> byPlace(List<PlanPlace> plan) {
    Map<String, PlanPlace> byPlace = new HashMap<>();
    plan.forEach(place -> byPlace.put(place.place, place));
    return byPlace;
  }

  private static boolean same(Optional<PlanPlace> old, Optional<PlanPlace> next) {
    return old.isPresent()
        && next.isPresent()
        && old.get().toolId == next.get().toolId
        && Objects.equals(old.get().fields, next.get().fields)
        && Objects.equals(old.get().libraryId, next.get().libraryId);
  }

  /** What was done, for the trail. */
  String words() {
    long moved =
        from.entrySet().stream().filter(one -> !one.getValue().place.equals(one.getKey())).count();
    return "planned a load: %s in, %d out, %d elsewhere"
        .formatted(
            TrailRecord.count(wanted.size() - from.size(), "tool"),
            before.size() - from.size(),
            moved);
  }
}
