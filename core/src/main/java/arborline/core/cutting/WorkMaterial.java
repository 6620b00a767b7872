package arborline.core.cutting;

/**
 * A work material with its specific cutting force and starting ranges.
 *
 * @param group letter of ISO 513 (P M K N S H), W for wood, O for plastics and composites
 * @param force kc1.1 in N/mm2
 * @param rise mc
 * @param speedLow lowest usual cutting speed for coated carbide, m/min
 * @param feedLow lowest usual feed per tooth of an end mill of 10 mm, mm
 */
public record WorkMaterial(
    String id,
    String group,
    String name,
    double force,
    double rise,
    double speedLow,
    double speedHigh,
    double feedLow,
    double feedHigh) {}
