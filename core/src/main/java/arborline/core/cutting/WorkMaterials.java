package arborline.core.cutting;

import java.util.List;
import java.util.Optional;

/**
 * Work materials that the product knows. Source: ISO 513 groups; forces and ranges are generic
 * starting values of textbooks, not of any maker.
 */
public final class WorkMaterials {

  private static final List<WorkMaterial> ALL =
      DataTable.read("materials.tsv", WorkMaterials::material);

  private WorkMaterials() {}

  public static List<WorkMaterial> all() {
    return ALL;
  }

  public static Optional<WorkMaterial> named(String id) {
    return ALL.stream().filter(material -> material.id().equals(id)).findFirst();
  }

  private static WorkMaterial material(String[] cells) {
    return new WorkMaterial(
        cells[0],
        cells[1],
        cells[2],
        Double.parseDouble(cells[3]),
        Double.parseDouble(cells[4]),
        Double.parseDouble(cells[5]),
        Double.parseDouble(cells[6]),
        Double.parseDouble(cells[7]),
        Double.parseDouble(cells[8]));
  }
}
