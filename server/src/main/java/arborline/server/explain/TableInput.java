package arborline.server.explain;

import java.math.BigDecimal;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A plan, what was agreed with a control, and what the control shows. Rows are by place, and their
 * fields by name: {@code tool}, {@code physical}, {@code sister}, {@code number}, {@code offset},
 * {@code length}, {@code diameter} or {@code radius}, {@code x}, {@code z}, {@code noseRadius},
 * {@code orientation}, {@code wearLength}, {@code wearDiameter}, {@code wearX}, {@code wearZ}.
 *
 * <p>A field is a text or a number, or null where it is not set.
 *
 * @param nominal what tools should measure, mm and diameters, by tool; {@code tolerance} beside the
 *     sizes, and what is no size does not count
 * @param plan in mm and diameters
 * @param agreed as the plan, with wear as the control shows it; null where nothing was ever agreed
 * @param control as it shows it
 */
record TableInput(
    @Nullable TableMachineInput machine,
    @Nullable Map<String, Map<String, JsonNode>> nominal,
    @Nullable Map<String, Map<String, JsonNode>> plan,
    @Nullable Map<String, Map<String, JsonNode>> agreed,
    @Nullable TableControlInput control) {

  /**
   * The terms of a control.
   *
   * @param unit mm or in
   * @param identity {@code apart} where it shows the tool beside the number, else {@code pocket}
   * @param random true where it puts tools back anywhere
   * @param register {@code diameter}, {@code radius} or {@code x-diameter}
   * @param decimals that it shows, by field
   * @param wear true where it has wear apart
   * @param limits the largest sizes that it takes, mm and diameters, by field
   */
  record TableMachineInput(
      @Nullable String name,
      @Nullable String unit,
      @Nullable String identity,
      @Nullable Boolean random,
      @Nullable String register,
      @Nullable Map<String, Integer> decimals,
      @Nullable Boolean wear,
      @Nullable Map<String, BigDecimal> limits) {}

  /**
   * What a control shows.
   *
   * @param spindle the tool in it; null where it is empty or not shown
   */
  record TableControlInput(
      @Nullable Map<String, Map<String, JsonNode>> places,
      @Nullable Map<String, JsonNode> spindle) {}
}
