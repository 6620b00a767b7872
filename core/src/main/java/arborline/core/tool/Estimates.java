package arborline.core.tool;

import arborline.core.finding.Repair;
import arborline.core.tool.rule.PointLength;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;

/** What can sensibly be put where a required value is missing. */
final class Estimates {

  private Estimates() {}

  static Optional<Repair> forMissing(ClassSheet sheet, String symbol, Tool tool) {
    String fallback = sheet.defaults().get(symbol);
    if (fallback != null) {
      return Optional.of(
          Repair.of(
              "default.%s.%s".formatted(symbol, fallback),
              "set %s to the trade default %s".formatted(symbol, fallback),
              Map.of(symbol, fallback)));
    }
    return switch (symbol) {
      case "LCF" -> fluteLength(tool);
      case "RE" -> ballRadius(sheet, tool);
      case "DMM" -> copyOf(tool, "DC", "DMM", "shank diameter", "cutting diameter");
      default -> Optional.empty();
    };
  }

  private static Optional<Repair> fluteLength(Tool tool) {
    BigDecimal usable = tool.size("LU");
    if (usable == null) {
      return copyOf(tool, "APMX", "LCF", "flute length", "largest depth of cut");
    }
    BigDecimal point =
        tool.has("PL")
            ? tool.size("PL")
            : BigDecimal.valueOf(PointLength.of(tool)).setScale(3, RoundingMode.UP);
    return Optional.of(
        Repair.of(
            "estimate.LCF",
            "set flute length LCF to usable length plus point length",
            Map.of("LCF", usable.add(point).toPlainString() + " mm")));
  }

  private static Optional<Repair> ballRadius(ClassSheet sheet, Tool tool) {
    BigDecimal diameter = tool.size("DC");
    return !sheet.id().equals("end-mill-ball") || diameter == null
        ? Optional.empty()
        : Optional.of(
            Repair.of(
                "ball-radius",
                "set RE to half of DC",
                Map.of("RE", Halves.of(diameter).toPlainString() + " mm")));
  }

  private static Optional<Repair> copyOf(
      Tool tool, String from, String to, String toName, String fromName) {
    Value value = tool.values().get(from);
    return value == null
        ? Optional.empty()
        : Optional.of(
            Repair.of(
                "estimate.%s.%s".formatted(to, from),
                "set %s %s to the %s".formatted(toName, to, fromName),
                Map.of(to, value.toString())));
  }
}
