package arborline.core.table;

import arborline.core.tool.ClassSheet;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What is known of a tool that only a control has: values that are of the tool itself by their
 * symbols, and what belongs to its assembly or its place as words.
 *
 * @param values by ISO 13399 symbol; lengths in mm, angles in degrees
 * @param note what else the control says; empty where it says nothing else
 */
public record DraftOfRow(SortedMap<String, String> values, String note) {

  private static final Map<TableField, List<String>> SYMBOLS =
      Map.of(
          TableField.DIAMETER, List.of("DC"),
          TableField.NOSE_RADIUS, List.of("RE"),
          TableField.POINT_ANGLE, List.of("SIG"),
          TableField.PITCH, List.of("TP"),
          TableField.WIDTH, List.of("CW"),
          TableField.EDGES, List.of("ZEFP", "NOF"));

  /** Fields that only tools of a class have; the first that is set tells. */
  private static final List<Map.Entry<String, Set<TableField>>> CLASSES =
      List.of(
          Map.entry("turning-external", Set.of(TableField.NOSE_RADIUS)),
          Map.entry("tap-cutting", Set.of(TableField.PITCH)),
          Map.entry("drill-twist", Set.of(TableField.POINT_ANGLE)));

  /** The class of most tools with nothing but a length and a diameter. */
  private static final String USUAL_CLASS = "end-mill-flat";

  /**
   * What a row says of its tool.
   *
   * @param sheet of the class that somebody chose for it
   */
  public static DraftOfRow of(ControlTerms terms, TableEntry row, ClassSheet sheet) {
    SortedMap<String, String> values = new TreeMap<>();
    StringBuilder note = new StringBuilder();
    Set<String> asked = new HashSet<>(sheet.symbols());
    row.fields()
        .forEach((field, text) -> {
          String plain = terms.plain(field, text);
          Optional<String> symbol =
              SYMBOLS.getOrDefault(field, List.of()).stream().filter(asked::contains).findFirst();
          if (symbol.isPresent() && set(text)) {
            values.put(symbol.get(), plain);
          } else if (worthANote(field, text)) {
            note.append(note.isEmpty() ? "" : ", ")
                .append(field.title())
                .append(' ')
                .append(plain)
                .append(field.form() == TableField.Form.SIZE ? " mm" : "");
          }
        });
    return new DraftOfRow(values, note.toString());
  }

  private static boolean set(String number) {
    return new BigDecimal(number).signum() != 0;
  }

  private static boolean worthANote(TableField field, String text) {
    boolean identity = field.equals(TableField.TOOL) || field.equals(TableField.NAME);
    return !identity && field.owner() != Owner.CONTROL && !text.isEmpty();
  }

  /** The class of a tool of which only a row is known, as far as its fields tell; to be checked. */
  public static String likelyClass(TableEntry row) {
    return CLASSES.stream()
        .filter(one -> one.getValue().stream().anyMatch(field -> stated(row.get(field))))
        .map(Map.Entry::getKey)
        .findFirst()
        .orElse(USUAL_CLASS);
  }

  private static boolean stated(String number) {
    return number != null && set(number);
  }
}
