package arborline.core.finding;

import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A change that would settle a finding.
 *
 * @param id names the repair over all lines it can be offered for, so that it can be applied in
 *     bulk
 * @param title what it does, as an order: "set RE to DC/2"; one for all that have the id
 * @param changes property symbol to new entry text (empty text takes the value away)
 */
public record Repair(String id, String title, SortedMap<String, String> changes) {

  public static Repair of(String id, String title, Map<String, String> changes) {
    return new Repair(id, title, new TreeMap<>(changes));
  }
}
