package arborline.shop.dispatch;

import java.util.SortedMap;

/**
 * An item as a vendor's readable file has it.
 *
 * @param what it is, in the words of the vendor
 * @param parts of an assembly: {@code HOLDER@0; MILL@35}, mm from its origin
 * @param profile of its model: {@code z r; z r}, mm, from the machine end; blank for one that
 *     follows from its sizes
 * @param sizes by property, each with its unit
 */
record CatalogueItem(
    String id,
    String what,
    String name,
    String parts,
    String profile,
    SortedMap<String, Size> sizes) {

  /**
   * A value as it is written.
   *
   * @param unit code; empty for a text, {@code 1} for a count
   */
  record Size(String text, String unit) {}

  boolean assembly() {
    return what.contains("assembly");
  }

  /** A length in mm; 0 where it is not written. */
  double length(String property) {
    Size size = sizes.get(property);
    return size == null ? 0 : Double.parseDouble(size.text());
  }
}
