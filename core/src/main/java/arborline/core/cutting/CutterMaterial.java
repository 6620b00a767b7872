package arborline.core.cutting;

import java.util.List;

/**
 * What edges are made of.
 *
 * @param id letters of ISO 513, or HSS for high-speed steel
 * @param name in words
 * @param speedShare usual cutting speed, as a share of that of coated carbide
 * @param groups work material groups that it is used in
 */
public record CutterMaterial(String id, String name, double speedShare, String groups) {

  private static final List<CutterMaterial> ALL =
      DataTable.read(
          "cutter-materials.tsv",
          cells -> new CutterMaterial(cells[0], cells[1], Double.parseDouble(cells[2]), cells[3]));

  public static List<CutterMaterial> all() {
    return ALL;
  }

  /** The one that the SUBSTRATE of a tool names; coated carbide where it names none. */
  public static CutterMaterial named(String substrate) {
    return ALL.stream()
        .filter(material ->
            material.id().equalsIgnoreCase(substrate)
                || material.name().equalsIgnoreCase(substrate))
        .findFirst()
        .orElse(ALL.getFirst());
  }

  /** Whether edges of it are used in a work material. */
  public boolean suits(WorkMaterial work) {
    return groups.contains(work.group());
  }
}
