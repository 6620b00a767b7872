package arborline.core.designation;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/** What a shank designation says in ISO 13399 properties. */
public final class ShankProperties {

  /** WF by the width of a metric shank, mm; for inches the standard leaves it to the maker. */
  private static final Map<BigDecimal, Integer> WIDTH_TO_EDGE =
      Map.of(8, 10, 10, 12, 12, 16, 16, 20, 20, 25, 25, 32, 32, 40, 40, 50, 50, 60)
          .entrySet()
          .stream()
          .collect(
              Collectors.toUnmodifiableMap(
                  pair -> BigDecimal.valueOf(pair.getKey()), Map.Entry::getValue));

  private ShankProperties() {}

  /** Property symbol to decimal text in mm or degrees, or to the letter itself. */
  public static Map<String, String> of(ShankDesignation shank) {
    Map<String, String> properties = new LinkedHashMap<>();
    properties.put("MTP", String.valueOf(shank.clamping()));
    properties.put("SC", shank.shape().name());
    properties.put("STYLE", shank.style().name());
    shank.style().edgeAngle().ifPresent(kapr -> properties.put("KAPR", kapr.toPlainString()));
    shank.lead().ifPresent(lead -> properties.put("PSIR", lead.toPlainString()));
    Clearance.angle(shank.clearance())
        .ifPresent(angle -> properties.put("AN", Integer.toString(angle)));
    properties.put("HAND", String.valueOf(shank.hand()));
    shank
        .section()
        .ifPresent(section -> {
          properties.put("H", section.height().toPlainString());
          properties.put("B", section.width().toPlainString());
          properties.put("HF", section.height().toPlainString());
          Integer edge = WIDTH_TO_EDGE.get(section.width());
          if (shank.style().offset() && edge != null) {
            properties.put("WF", edge.toString());
          }
        });
    shank
        .bar()
        .ifPresent(bar -> {
          properties.put("BARTYPE", String.valueOf(bar.type()));
          properties.put("DMM", Integer.toString(bar.diameter()));
        });
    shank.length().ifPresent(length -> properties.put("LF", length.toPlainString()));
    properties.put("SSC", shank.sizeCode());
    shank
        .circle()
        .ifPresent(circle -> properties.put("IC", circle.stripTrailingZeros().toPlainString()));
    shank.corner().ifPresent(corner -> properties.put("EPSR", corner.toString()));
    shank
        .endClearance()
        .ifPresent(clearance -> properties.put("ENDCLEARANCE", clearance.toPlainString()));
    return properties;
  }
}
