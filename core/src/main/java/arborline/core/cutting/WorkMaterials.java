package arborline.core.cutting;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Work materials that the product knows. Source: ISO 513 groups; forces and ranges are generic
 * starting values of textbooks, not of any maker.
 */
public final class WorkMaterials {

  private static final List<WorkMaterial> ALL =
      DataTable.read("materials.tsv", WorkMaterials::material);

  /** Ids by the names of grades, without blanks and hyphens. */
  private static final Map<String, String> GRADES =
      DataTable.read("material-names.tsv", cells -> cells).stream()
          .collect(Collectors.toMap(cells -> key(cells[0]), cells -> cells[1]));

  private WorkMaterials() {}

  public static List<WorkMaterial> all() {
    return ALL;
  }

  public static Optional<WorkMaterial> named(String id) {
    return ALL.stream().filter(material -> material.id().equals(id)).findFirst();
  }

  /**
   * Finds the material that a text names: by its id, its name, or a grade of it such as {@code
   * 1.4462} or {@code EN AW-6082}, in any letter case.
   */
  public static Optional<WorkMaterial> find(String text) {
    String key = key(text);
    return ALL.stream()
        .filter(material -> key(material.id()).equals(key) || key(material.name()).equals(key))
        .findFirst()
        .or(() -> Optional.ofNullable(GRADES.get(key)).flatMap(WorkMaterials::named));
  }

  private static String key(String text) {
    return text.strip().toUpperCase(Locale.ROOT).replaceAll("[\\s-]+", "");
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
