package arborline.core.recipe;

import arborline.core.exchange.UnreadableFileException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Sheet;
import org.dhatim.fastexcel.reader.SheetVisibility;

/** The sheets of a workbook: those that are seen, and the names of those that are hidden. */
final class Sheets implements AutoCloseable {

  private final ReadableWorkbook workbook;
  private final List<Sheet> all;

  Sheets(Path file) throws IOException {
    try {
      workbook = new ReadableWorkbook(file.toFile(), new ReadingOptions(true, true));
      all = workbook.getSheets().toList();
    } catch (RuntimeException broken) {
      throw unreadable(broken);
    }
  }

  /** The library that reads workbooks meets damaged ones with exceptions of any kind. */
  static UnreadableFileException unreadable(RuntimeException broken) {
    return new UnreadableFileException(
        "line 1: this workbook cannot be read: " + broken.getMessage(), broken);
  }

  List<Sheet> seen() {
    return all.stream().filter(sheet -> sheet.getVisibility() == SheetVisibility.VISIBLE).toList();
  }

  List<String> hidden() {
    return all.stream()
        .filter(sheet -> sheet.getVisibility() != SheetVisibility.VISIBLE)
        .map(Sheets::name)
        .toList();
  }

  /** Its name; empty where a damaged workbook gives none. */
  static String name(Sheet sheet) {
    return sheet.getName() == null ? "" : sheet.getName();
  }

  /** The first row of a sheet with anything in it. */
  static Optional<SourceRow> first(Sheet sheet) throws IOException {
    try (SheetRows rows = new SheetRows(sheet, false)) {
      Optional<SourceRow> row = rows.next();
      while (row.isPresent() && row.get().filled().isEmpty()) {
        row = rows.next();
      }
      return row;
    }
  }

  @Override
  public void close() throws IOException {
    workbook.close();
  }
}
