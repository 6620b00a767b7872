package arborline.core.cutting;

import java.util.List;
import java.util.Optional;

/**
 * What edges are made of.
 *
 * @param id letters of ISO 513, or HSS for high-speed steel
 * @param name in words
 * @param edge {@code carbide} for all that is used at the speeds of carbide and above, {@code
 *     steel} for high-speed steel
 * @param speedShare usual cutting speed, as a share of that of coated carbide or of plain
 *     high-speed steel
 * @param groups work material groups that it is used in
 */
public record CutterMaterial(
    String id, String name, String edge, double speedShare, String groups) {

  private static final List<CutterMaterial> ALL =
      DataTable.read(
          "cutter-materials.tsv",
          cells ->
              new CutterMaterial(
                  cells[0], cells[1], cells[2], Double.parseDouble(cells[3]), cells[4]));

  public static List<CutterMaterial> all() {
    return ALL;
  }

  /** The one that the SUBSTRATE of a tool names. */
  static Optional<CutterMaterial> named(String substrate) {
    return ALL.stream()
        .filter(material ->
            material.id().equalsIgnoreCase(substrate)
                || material.name().equalsIgnoreCase(substrate))
        .findFirst();
  }

  /** Whether edges of it are used in a work material. */
  public boolean suits(WorkMaterial work) {
    return groups.contains(work.group());
  }
}
