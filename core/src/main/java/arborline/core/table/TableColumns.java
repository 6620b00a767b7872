package arborline.core.table;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which values of a tool table count for tools of one kind: those that its programs need, and all
 * that are set for any of them; the first edge first, sizes and what is needed before all else. A
 * size and its wear are one column.
 */
public final class TableColumns {

  /** What says which tool it is and how it is called; lists show these apart. */
  private static final Set<TableField> IDENTITY =
      Set.of(
          TableField.TOOL,
          TableField.SISTER,
          TableField.PHYSICAL,
          TableField.NUMBER,
          TableField.OFFSET,
          TableField.NAME,
          TableField.PROGRAM_NUMBER);

  private TableColumns() {}

  /**
   * One column.
   *
   * @param wear its wear, where the control keeps it apart
   * @param title as the control keeps it: a radius where the field is a diameter
   */
  public record Column(TableField field, Optional<TableField> wear, String title, String meaning) {}

  /**
   * The columns of tools of one kind.
   *
   * @param used the values that programs of such tools use, as {@link FieldNeeds#of} says
   * @param rows the tools, as the control shows them
   */
  public static List<Column> of(
      ControlTerms terms, Set<TableField> used, Collection<TableEntry> rows) {
    Set<TableField> set = new HashSet<>();
    rows.forEach(row ->
        row.fields()
            .forEach((field, text) -> {
              if (counts(field, text)) {
                set.add(field);
              }
            }));
    List<Column> columns = new ArrayList<>();
    Set<TableField> besides = new HashSet<>(IDENTITY);
    for (TableField field : terms.fields()) {
      Optional<TableField> wear = field.wear().filter(worn -> terms.declared(worn).isPresent());
      boolean counts =
          used.contains(field) || set.contains(field) || wear.filter(set::contains).isPresent();
      if (counts && !besides.contains(field)) {
        columns.add(column(terms, field, wear));
        wear.ifPresent(besides::add);
      }
    }
    columns.sort(
        Comparator.comparingInt((Column column) -> column.field().edge())
            .thenComparing(column -> !column.field().measured() && !used.contains(column.field())));
    return columns;
  }

  private static Column column(ControlTerms terms, TableField field, Optional<TableField> wear) {
    String shown =
        terms.halved(field)
            ? ", half of it: this control keeps radii"
            : terms.doubled(field) ? ", twice: this control keeps diameters" : "";
    return new Column(field, wear, terms.title(field), FieldMeanings.of(field) + shown);
  }

  /** A wear of zero, and a word that is empty, are none. */
  private static boolean counts(TableField field, String text) {
    return switch (field.form()) {
      case WORD -> !text.isEmpty();
      case WEAR -> new BigDecimal(text).signum() != 0;
      case COUNT, SIZE, AMOUNT -> true;
    };
  }
}
