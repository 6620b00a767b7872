package arborline.core.designation;

import java.util.LinkedHashMap;
import java.util.Map;

/** What a shank designation says in ISO 13399 properties. */
public final class ShankProperties {

  private static final Map<Integer, Integer> WIDTH_TO_EDGE =
      Map.of(8, 10, 10, 12, 12, 16, 16, 20, 20, 25, 25, 32, 32, 40, 40, 50, 50, 60);

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
          properties.put("H", Integer.toString(section.height()));
          properties.put("B", Integer.toString(section.width()));
          properties.put("HF", Integer.toString(section.height()));
          if (shank.style().offset()) {
            properties.put("WF", WIDTH_TO_EDGE.get(section.width()).toString());
          }
        });
    shank
        .bar()
        .ifPresent(bar -> {
          properties.put("BARTYPE", String.valueOf(bar.type()));
          properties.put("DMM", Integer.toString(bar.diameter()));
        });
    shank.length().ifPresent(length -> properties.put("LF", length.toString()));
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
