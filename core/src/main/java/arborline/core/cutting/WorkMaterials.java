package arborline.core.cutting;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/**
 * Work materials that the product knows. Source: ISO 513 groups; forces and ranges are generic
 * starting values of textbooks, not of any maker.
 */
public final class WorkMaterials {

  private static final List<WorkMaterial> ALL = load();

  private WorkMaterials() {}

  public static List<WorkMaterial> all() {
    return ALL;
  }

  public static Optional<WorkMaterial> named(String id) {
    return ALL.stream().filter(each -> each.id().equals(id)).findFirst();
  }

  private static List<WorkMaterial> load() {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                WorkMaterials.class.getResourceAsStream("materials.tsv"),
                StandardCharsets.UTF_8))) {
      return lines.lines().skip(1).map(WorkMaterials::material).toList();
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  private static WorkMaterial material(String line) {
    String[] cells = line.split("\t");
    double[] numbers = new double[6];
    for (int i = 0; i < numbers.length; i++) {
      numbers[i] = Double.parseDouble(cells[3 + i]);
    }
    return new WorkMaterial(
        cells[0],
        cells[1],
        cells[2],
        numbers[0],
        numbers[1],
        numbers[2],
        numbers[3],
        numbers[4],
        numbers[5]);
  }
}
