package arborline.core.cutting;

import java.util.List;

/**
 * A coating of edges.
 *
 * @param id chemical short form
 * @param sentence what it is for
 */
public record Coating(String id, String name, String sentence) {

  private static final List<Coating> ALL =
      DataTable.read("coatings.tsv", cells -> new Coating(cells[0], cells[1], cells[2]));

  public static List<Coating> all() {
    return ALL;
  }
}
