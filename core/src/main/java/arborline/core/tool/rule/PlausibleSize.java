package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.quantity.UnitKind;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Sizes are above zero (or not below, where zero means something), and not beyond all reason. */
public final class PlausibleSize implements Rule {

  private static final Set<String> ZERO_ALLOWED =
      Set.of(
          "RE", "REL", "RER", "CHW", "DCN", "PL", "FHA", "PSIR", "BCH", "BS", "LAMS", "RPMX", "AN",
          "FOCUS", "GAMF", "GAMP", "GAMO", "BHTA", "TCHAL", "TCHAU");
  private static final Set<String> SIGNED =
      Set.of("GAMF", "GAMP", "GAMO", "FHA", "LAMS", "PSIR", "TCHAL", "TCHAU", "WF", "FOCUS");

  /** What no cutting tool exceeds, in the canonical unit. */
  private record Limit(BigDecimal most, String sentence) {

    static Limit of(String most, String sentence) {
      return new Limit(new BigDecimal(most), sentence);
    }
  }

  private static final Map<UnitKind, Limit> LIMITS =
      new EnumMap<>(
          Map.of(
              UnitKind.LENGTH, Limit.of("3000", "more than three metres is no cutting tool"),
              UnitKind.ANGLE, Limit.of("360", "no angle is more than a full turn"),
              UnitKind.COUNT, Limit.of("1000", "no tool has more than a thousand of them"),
              UnitKind.THREADS, Limit.of("1000", "no thread is that fine")));
  private static final Limit FURTHEST = Limit.of("1000000", "more than a million is out of reach");

  private static final BigDecimal SLENDER = new BigDecimal("40");
  private static final BigDecimal THIN_SHANK = new BigDecimal("6");
  private static final BigDecimal SHORT_EDGES = new BigDecimal("15");
  private static final BigDecimal SIXTY_FOURTHS = new BigDecimal("64");
  private static final BigDecimal LARGEST_INCH_LOOKALIKE = new BigDecimal("2");

  @Override
  public boolean asWritten() {
    return true;
  }

  @Override
  public Optional<Finding> check(Tool tool) {
    return complaints(tool).stream().findFirst();
  }

  /** Each size that cannot be; where all can, whether the diameter looks like inches. */
  @Override
  public List<Finding> complaints(Tool tool) {
    List<Finding> complaints = new ArrayList<>(0);
    for (Map.Entry<String, Value> entry : tool.values().entrySet()) {
      if (entry.getValue() instanceof Value.Measure measure) {
        size(Dictionary.standard().get(entry.getKey()), measure).ifPresent(complaints::add);
      }
    }
    return complaints.isEmpty() ? inchInMillimetres(tool).stream().toList() : complaints;
  }

  private static Optional<Finding> size(Property property, Value.Measure measure) {
    Unit unit = property.unit().orElseThrow();
    BigDecimal size = measure.quantity().in(unit);
    String symbol = property.symbol();
    if (unit == Unit.ONE && size.stripTrailingZeros().scale() > 0) {
      return finding("count-not-whole", property, measure, "a count is a whole number");
    }
    if (size.signum() == 0 && !ZERO_ALLOWED.contains(symbol)
        || size.signum() < 0 && !SIGNED.contains(symbol)) {
      return finding("size-not-positive", property, measure, "it must be above zero");
    }
    Limit limit = LIMITS.getOrDefault(unit.kind(), FURTHEST);
    return size.abs().compareTo(limit.most()) > 0
        ? finding("size-absurd", property, measure, limit.sentence())
        : Optional.empty();
  }

  private static Optional<Finding> finding(
      String code, Property property, Value.Measure measure, String sentence) {
    String symbol = property.symbol();
    return Optional.of(
        Finding.hold(
            code, "%s %s is %s; %s".formatted(property.name(), symbol, measure, sentence), symbol));
  }

  /** A thin cutter with short edges on a usual thin shank is what it says. */
  private static boolean micro(Tool tool, BigDecimal diameter) {
    BigDecimal shank = tool.size("DMM");
    BigDecimal edges = tool.size("APMX") == null ? tool.size("LCF") : tool.size("APMX");
    return shank != null
        && edges != null
        && shank.compareTo(THIN_SHANK) <= 0
        && edges.compareTo(diameter.multiply(SHORT_EDGES)) <= 0;
  }

  /**
   * A diameter authored in mm that is a whole number of 1/64 below 2, on a tool more than forty
   * diameters long, is most likely inches.
   */
  private static Optional<Finding> inchInMillimetres(Tool tool) {
    if (!(tool.values().get("DC") instanceof Value.Measure measure)
        || measure.quantity().unit() != Unit.MILLIMETRE) {
      return Optional.empty();
    }
    BigDecimal diameter = measure.quantity().amount();
    if (diameter.compareTo(LARGEST_INCH_LOOKALIKE) > 0
        || diameter.multiply(SIXTY_FOURTHS).stripTrailingZeros().scale() > 0) {
      return Optional.empty();
    }
    BigDecimal length = tool.size("OAL") == null ? tool.size("LF") : tool.size("OAL");
    if (length == null || length.compareTo(diameter.multiply(SLENDER)) <= 0) {
      return Optional.empty();
    }
    if (micro(tool, diameter)) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.query(
                "unit-mix-up",
                "DC %s mm on a tool %s mm long looks like inches (%s mm)"
                    .formatted(
                        measure.text(),
                        length.toPlainString(),
                        diameter
                            .multiply(new BigDecimal("25.4"))
                            .stripTrailingZeros()
                            .toPlainString()),
                "DC",
                "OAL")
            .withRepair(
                Repair.of(
                    "unit-mix-up", "read DC as inches", Map.of("DC", measure.text() + " in"))));
  }
}
