package arborline.core.recipe;

import arborline.core.exchange.Adjustment;
import arborline.core.exchange.Column;
import arborline.core.exchange.ColumnSample;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** What the columns of a table are read as, for somebody who looks at it and decides. */
final class ShownColumns {

  private static final int SAMPLES = 5;

  private ShownColumns() {}

  static List<Column> of(List<ColumnRole> roles, List<SourceRow> below, TableFacts facts) {
    List<Column> columns = new ArrayList<>();
    for (int i = 0; i < roles.size(); i++) {
      columns.add(
          column(roles.get(i), facts).with(ColumnProfile.of(roles, below, i, samples(below, i))));
    }
    return columns;
  }

  /** A reading without a sign between cells. */
  static TableReading reading(
      TextHead head, List<ColumnRole> roles, List<SourceRow> below, TableFacts facts) {
    return new TableReading(
        head.charset(),
        head.evidence(),
        ',',
        "",
        facts.decimal(),
        facts.decimalEvidence(),
        Optional.of(facts.unit()),
        facts.unitEvidence(),
        of(roles, below, facts),
        new TreeMap<>());
  }

  private static List<String> samples(List<SourceRow> below, int column) {
    return below.stream()
        .map(row -> row.cell(column))
        .filter(cell -> !cell.isEmpty())
        .distinct()
        .limit(SAMPLES)
        .map(cell -> cell.length() > 60 ? cell.substring(0, 60) + "\u2026" : cell)
        .toList();
  }

  private static Column column(ColumnRole role, TableFacts facts) {
    Optional<String> symbol =
        role.symbol().or(() -> MeaningSymbols.of(role.meaning(), facts.toolClass()));
    return new Column(
        role.header(),
        symbol.orElseGet(() -> shown(role)),
        role.unit(),
        role.evidence(),
        Adjustment.NONE,
        ColumnSample.NONE);
  }

  private static String shown(ColumnRole role) {
    return switch (role.meaning()) {
      case CODE -> RawItem.CODE;
      case DESCRIPTION -> RawItem.NAME;
      case KIND -> RawItem.CLASS;
      default ->
          role.header().isBlank()
              ? RawItem.NOTE
              : RawItem.note(role.header().replaceAll("\\s+", " "));
    };
  }
}
