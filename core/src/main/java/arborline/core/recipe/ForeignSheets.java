package arborline.core.recipe;

import java.io.IOException;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.dhatim.fastexcel.reader.Sheet;

/** Rows of several sheets, one sheet after the other; each begins with a row that names it. */
final class ForeignSheets implements RowSource {

  private final Iterator<Sheet> sheets;
  private SheetRows rows;

  ForeignSheets(List<Sheet> sheets) {
    this.sheets = sheets.iterator();
  }

  @Override
  public Optional<SourceRow> next() throws IOException {
    Optional<SourceRow> row = rows == null ? Optional.empty() : rows.next();
    if (row.isPresent() || !sheets.hasNext()) {
      return row;
    }
    close();
    Sheet sheet = sheets.next();
    rows = new SheetRows(sheet, false);
    return Optional.of(
        new SourceRow(0, SourceRow.Kind.SHEET, List.of(Sheets.name(sheet)), Map.of(), Map.of()));
  }

  @Override
  public void close() {
    if (rows != null) {
      rows.close();
    }
  }
}
