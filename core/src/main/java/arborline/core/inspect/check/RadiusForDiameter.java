package arborline.core.inspect.check;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Tool;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The radius where the diameter belongs: the shank is just twice as thick, all other sizes are
 * those of an ordinary tool of that diameter, and either the edges are long for the smaller one or
 * code or name state the larger.
 */
@AutoService(InspectionCheck.class)
public final class RadiusForDiameter implements InspectionCheck {

  private static final BigDecimal TWO = BigDecimal.valueOf(2);

  /** Smaller cutters stand on thicker shanks as a rule, mm. */
  private static final double SMALLEST = 3;

  private static final double LONG_EDGES = 3.2;
  private static final int FEWEST_SIZES = 3;

  @Override
  public Optional<Finding> find(Tool written, Tool completed) {
    BigDecimal diameter = written.size("DC");
    BigDecimal shank = written.size("DMM");
    Optional<Shape> shape = Shape.of(written.toolClass());
    if (diameter == null || shank == null || shape.isEmpty()) {
      return Optional.empty();
    }
    boolean twice = diameter.multiply(TWO).compareTo(shank) == 0;
    if (!twice || diameter.doubleValue() <= SMALLEST) {
      return Optional.empty();
    }
    Map<String, Double> doubled = new LinkedHashMap<>(shape.get().sizes(completed));
    doubled.put("DC", shank.doubleValue());
    boolean fits = doubled.size() >= FEWEST_SIZES && shape.get().ordinary(doubled);
    boolean longEdges =
        Math.max(completed.approx("APMX", 0), completed.approx("LCF", 0))
            > LONG_EDGES * diameter.doubleValue();
    return fits && (longEdges && milled(written) || stated(written, shank))
        ? Optional.of(finding(diameter, shank))
        : Optional.empty();
  }

  private static boolean milled(Tool tool) {
    return tool.toolClass().startsWith("end-mill");
  }

  /** Code or name hold the number of the shank, and not that of the diameter. */
  private static boolean stated(Tool tool, BigDecimal shank) {
    String number = shank.stripTrailingZeros().toPlainString();
    Pattern whole = Pattern.compile("(?<![\\d.,])0*%s(?![\\d.,])".formatted(Pattern.quote(number)));
    return whole.matcher(tool.code() + " " + tool.name()).find();
  }

  private static Finding finding(BigDecimal diameter, BigDecimal shank) {
    String meant = shank.stripTrailingZeros().toPlainString();
    return Finding.query(
            "radius-for-diameter",
            "DC %s mm is half of the shank of %s mm, and the other sizes are those of a tool of %s mm:"
                    .formatted(diameter.stripTrailingZeros().toPlainString(), meant, meant)
                + " is it the radius?",
            "DC",
            "DMM")
        .withRepair(
            Repair.of(
                "radius-for-diameter",
                "take twice DC as the diameter",
                Map.of("DC", meant + " mm")));
  }
}
