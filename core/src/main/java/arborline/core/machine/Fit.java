package arborline.core.machine;

import arborline.core.finding.Finding;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Says why a tool cannot go into a place, or that it can. Judged is the tool in its holder, as the
 * machine meets it; the bare cutter only where no stack is kept, which is said.
 */
public final class Fit {

  private Fit() {}

  /**
   * Checks one tool for one place.
   *
   * @param occupied what the other places hold
   * @return holds where it cannot go there, queries where somebody should look; empty where it fits
   */
  public static List<Finding> check(
      Machine machine, String place, Loaded tool, Map<String, Loaded> occupied) {
    if (!machine.hasPlace(place)) {
      return List.of(
          Finding.hold(
              "place-unknown",
              "%s has no pocket '%s'; it has 1 to %d"
                  .formatted(machine.name(), place, machine.magazine().pockets())));
    }
    List<Finding> findings = new ArrayList<>();
    Limits limits = machine.limits();
    diameter(machine, place, tool, occupied, findings);
    limit("mass", tool.mass(), limits.mass(), "kg", "mass-beyond-limit", "WT", findings);
    limit("length", tool.length(), limits.length(), "mm", "length-beyond-limit", "LPR", findings);
    limits
        .moment()
        .ifPresent(most ->
            limit(
                "tilting moment",
                tool.assembly().map(Assembly::moment),
                most,
                "N·m",
                "moment-beyond-limit",
                "WT",
                findings));
    speed(machine, tool, findings);
    if (tool.assembly().isEmpty()) {
      findings.add(
          Finding.note(
              "bare-cutter",
              "no stack is kept for %s: length, width and mass of its holder are not judged"
                  .formatted(tool.tool().code())));
    }
    return findings;
  }

  private static void diameter(
      Machine machine,
      String place,
      Loaded tool,
      Map<String, Loaded> occupied,
      List<Finding> findings) {
    BigDecimal wide = tool.diameter();
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
      BigDecimal other = occupied.get(beside).diameter();
      if (other.compareTo(limits.diameter()) > 0) {
        findings.add(
            Finding.hold(
                "neighbour-wide",
                "pocket %s holds a tool of Ø%s mm that needs this pocket empty"
                    .formatted(beside, other.toPlainString())));
      }
    }
  }

  private static void speed(Machine machine, Loaded tool, List<Finding> findings) {
    BigDecimal speed = tool.tool().size("RPMX");
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
      String what,
      Optional<BigDecimal> size,
      BigDecimal limit,
      String unit,
      String code,
      String symbol,
      List<Finding> findings) {
    size.filter(actual -> actual.compareTo(limit) > 0)
        .ifPresent(actual ->
            findings.add(
                Finding.hold(
                    code,
                    "%s %s %s is more than the machine takes (%s %s)"
                        .formatted(what, actual.toPlainString(), unit, limit.toPlainString(), unit),
                    symbol)));
  }
}
