package arborline.core.physical;

import arborline.core.cutting.WorkMaterial;
import java.util.Locale;

/** Work materials of which one piece of a tool cuts only one kind once it was used. */
public enum WorkMaterialFamily {
  METAL,
  WOOD,
  PLASTIC;

  /** The family of a material, by its group: W is wood, O plastic, all of ISO 513 metal. */
  public static WorkMaterialFamily of(WorkMaterial material) {
    return switch (material.group()) {
      case "W" -> WOOD;
      case "O" -> PLASTIC;
      default -> METAL;
    };
  }

  /** As people call it. */
  public String words() {
    return name().toLowerCase(Locale.ROOT);
  }
}
