package arborline.core.designation;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** What a designation says in ISO 13399 properties, and the designation that properties give. */
public final class InsertProperties {

  private InsertProperties() {}

  /** Property symbol to decimal text in mm or degrees, or to the letter itself. */
  public static Map<String, String> of(InsertDesignation insert) {
    Map<String, String> properties = new LinkedHashMap<>();
    properties.put("SC", insert.shape().name());
    if (!insert.shape().round()) {
      properties.put("EPSR", Integer.toString(insert.shape().angle()));
    }
    Clearance.angle(insert.clearance())
        .ifPresent(angle -> properties.put("AN", Integer.toString(angle)));
    properties.put("TOLERANCE", String.valueOf(insert.tolerance()));
    properties.put("TYPE", String.valueOf(insert.type()));
    insert.size().circle().ifPresent(circle -> properties.put("IC", plain(circle)));
    properties.put("L", plain(insert.size().edge()));
    properties.put("S", plain(insert.thickness().size()));
    insert.corner().radius().ifPresent(radius -> properties.put("RE", plain(radius)));
    if (!insert.edge().isEmpty()) {
      properties.put("EDGE", insert.edge());
    }
    if (!insert.land().isEmpty()) {
      properties.put("BN", plain(new BigDecimal(insert.land().substring(0, 3)).movePointLeft(2)));
      properties.put("GB", plain(new BigDecimal(insert.land().substring(3))));
    }
    if (!insert.hand().isEmpty()) {
      properties.put("HAND", insert.hand());
    }
    return properties;
  }

  private static String plain(BigDecimal value) {
    BigDecimal stripped = value.stripTrailingZeros();
    return (stripped.scale() < 0 ? stripped.setScale(0) : stripped).toPlainString();
  }

  /**
   * The metric designation of an insert with these sizes.
   *
   * @param circle inscribed circle IC, mm
   * @param thickness S, mm
   * @param radius RE, mm; not looked at on rounds
   * @return nothing where a size is not in its series
   */
  public static Optional<InsertDesignation> designate(
      InsertShape shape,
      char clearance,
      char tolerance,
      char type,
      BigDecimal circle,
      BigDecimal thickness,
      BigDecimal radius) {
    Optional<InsertSize> size = InsertSize.ofCircle(shape, circle);
    Optional<Thickness> thick = Thickness.of(thickness);
    Optional<Corner> corner =
        shape.round()
            ? Optional.of(
                Corner.round("00", Optional.of(""), circle.divide(java.math.BigDecimal.TWO)))
            : Corner.ofRadius(radius);
    if (size.isEmpty() || thick.isEmpty() || corner.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new InsertDesignation(
            InsertDesignation.System.METRIC,
            shape,
            clearance,
            tolerance,
            type,
            size.get(),
            thick.get(),
            corner.get(),
            "",
            "",
            ""));
  }
}
