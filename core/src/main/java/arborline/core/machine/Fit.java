package arborline.core.machine;

import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Says why a tool cannot go into a place, or that it can. */
public final class Fit {

  private Fit() {}

  /**
   * Checks one tool for one place.
   *
   * @param occupied what the other places hold
   * @return holds where it cannot go there, queries where somebody should look; empty where it fits
   */
  public static List<Finding> check(
      Machine machine, String place, Tool tool, Map<String, Tool> occupied) {
    if (!machine.hasPlace(place)) {
      return List.of(
          Finding.hold(
              "place-unknown",
              "%s has no pocket '%s'; it has 1 to %d"
                  .formatted(machine.name(), place, machine.magazine().pockets())));
    }
    List<Finding> findings = new ArrayList<>();
    diameter(machine, place, tool, occupied, findings);
    limit(tool, "WT", machine.limits().mass(), "kg", "mass-beyond-limit", findings);
    length(machine, tool, findings);
    speed(machine, tool, findings);
    return findings;
  }

  private static void diameter(
      Machine machine,
      String place,
      Tool tool,
      Map<String, Tool> occupied,
      List<Finding> findings) {
    BigDecimal wide = widest(tool);
    Limits limits = machine.limits();
    List<String> taken = machine.neighbours(place).stream().filter(occupied::containsKey).toList();
    if (wide.compareTo(limits.diameterAlone()) > 0) {
      findings.add(
          Finding.hold(
              "diameter-beyond-limit",
              "Ø%s mm is more than the magazine takes (Ø%s mm)"
                  .formatted(wide.toPlainString(), limits.diameterAlone().toPlainString()),
              "DC"));
    } else if (wide.compareTo(limits.diameter()) > 0 && !taken.isEmpty()) {
      findings.add(
          Finding.hold(
              "neighbour-occupied",
              "Ø%s mm needs empty pockets beside it (over Ø%s mm); pocket %s is occupied"
                  .formatted(
                      wide.toPlainString(),
                      limits.diameter().toPlainString(),
                      String.join(" and ", taken)),
              "DC"));
    }
    for (String beside : taken) {
      BigDecimal other = widest(occupied.get(beside));
      if (other.compareTo(limits.diameter()) > 0) {
        findings.add(
            Finding.hold(
                "neighbour-wide",
                "pocket %s holds a tool of Ø%s mm that needs this pocket empty"
                    .formatted(beside, other.toPlainString())));
      }
    }
  }

  private static void length(Machine machine, Tool tool, List<Finding> findings) {
    String symbol = tool.has("LPR") ? "LPR" : tool.has("LF") ? "LF" : "OAL";
    limit(tool, symbol, machine.limits().length(), "mm", "length-beyond-limit", findings);
  }

  private static void speed(Machine machine, Tool tool, List<Finding> findings) {
    BigDecimal speed = tool.size("RPMX");
    if (speed != null && speed.compareTo(machine.limits().rpm()) < 0) {
      findings.add(
          Finding.note(
              "speed-below-machine",
              "the tool may turn %s 1/min, the spindle reaches %s"
                  .formatted(speed.toPlainString(), machine.limits().rpm().toPlainString()),
              "RPMX"));
    }
  }

  private static void limit(
      Tool tool,
      String symbol,
      BigDecimal limit,
      String unit,
      String code,
      List<Finding> findings) {
    BigDecimal size = tool.size(symbol);
    if (size != null && size.compareTo(limit) > 0) {
      findings.add(
          Finding.hold(
              code,
              "%s %s %s is more than the machine takes (%s %s)"
                  .formatted(symbol, size.toPlainString(), unit, limit.toPlainString(), unit),
              symbol));
    }
  }

  private static BigDecimal widest(Tool tool) {
    BigDecimal widest = BigDecimal.ZERO;
    for (String symbol : List.of("DC", "DCX", "BDX", "BD", "DMM")) {
      BigDecimal size = tool.size(symbol);
      widest = size == null ? widest : widest.max(size);
    }
    return widest;
  }
}
