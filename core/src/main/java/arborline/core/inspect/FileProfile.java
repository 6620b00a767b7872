package arborline.core.inspect;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How long the tools of a file are: one of which all lengths are 25.4 times too small or too large
 * beside the others was written in the other unit, though by itself it looks like any tool.
 *
 * @param median of the overall lengths, mm; 0 where there are too few to say
 */
public record FileProfile(double median) {

  private static final String LENGTH = "OAL";
  private static final int FEWEST = 8;
  private static final int FEWEST_LENGTHS = 3;
  private static final double INCH = 25.4;

  /** So many times smaller or larger than the median a tool is odd. */
  private static final double ODD = 8;

  /** Within so many times of the median a tool is ordinary. */
  private static final double ORDINARY = 2.5;

  /** What some tools of a file have in common. */
  public static FileProfile of(Collection<Tool> tools) {
    List<Double> lengths =
        tools.stream()
            .map(tool -> tool.size(LENGTH))
            .filter(size -> size != null && size.signum() > 0)
            .map(BigDecimal::doubleValue)
            .sorted()
            .toList();
    return new FileProfile(lengths.size() < FEWEST ? 0 : lengths.get(lengths.size() / 2));
  }

  /** What speaks against the unit of a tool; nothing where it is like the others. */
  public Optional<Finding> odd(Tool tool) {
    BigDecimal overall = tool.size(LENGTH);
    if (median == 0 || overall == null || overall.signum() <= 0) {
      return Optional.empty();
    }
    double length = overall.doubleValue();
    boolean inches = length * ODD < median && ordinary(length * INCH);
    boolean millimetres = length > ODD * median && ordinary(length / INCH);
    if (!inches && !millimetres) {
      return Optional.empty();
    }
    Unit meant = inches ? Unit.INCH : Unit.MILLIMETRE;
    TreeMap<String, String> changes = changes(tool, inches ? Unit.MILLIMETRE : Unit.INCH, meant);
    return changes.size() < FEWEST_LENGTHS
        ? Optional.empty()
        : Optional.of(finding(tool, meant, changes));
  }

  private boolean ordinary(double length) {
    return length * ORDINARY > median && length < ORDINARY * median;
  }

  /** Its lengths with the other unit; fewer than it has where some are not in the first one. */
  private static TreeMap<String, String> changes(Tool tool, Unit written, Unit meant) {
    TreeMap<String, String> changes = new TreeMap<>();
    tool.values()
        .forEach((symbol, value) -> {
          boolean length = Dictionary.standard().find(symbol).filter(Property::length).isPresent();
          if (length
              && value instanceof Value.Measure measure
              && measure.formula().isEmpty()
              && measure.quantity().unit() == written) {
            changes.put(symbol, measure.quantity().text() + " " + meant.code());
          }
        });
    return changes;
  }

  private Finding finding(Tool tool, Unit meant, TreeMap<String, String> changes) {
    String unit = meant == Unit.INCH ? "inches" : "mm";
    return Finding.query(
            "unit-of-line",
            String.format(
                Locale.ROOT,
                "%s is %s long where the tools of this file are around %.4g mm: its %d lengths seem"
                    + " to be in %s",
                tool.code(),
                tool.values().get(LENGTH),
                median,
                changes.size(),
                unit),
            changes.keySet().toArray(String[]::new))
        .withRepair(Repair.of("unit-of-line", "read its lengths in " + unit, changes));
  }
}
