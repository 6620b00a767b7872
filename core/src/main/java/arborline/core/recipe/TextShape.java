package arborline.core.recipe;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How the lines of a text table fall into cells.
 *
 * @param delimited true where a sign parts them
 * @param delimiter the sign
 * @param bounds where cells stand, in lines of fixed width
 */
record TextShape(boolean delimited, char delimiter, CellBounds bounds) {

  private static final List<Character> SIGNS = List.of('\t', ';', '|', ',');
  private static final int SAMPLE = 200;

  /** Proposes the shape of a text by its first lines. */
  static TextShape propose(String sample) {
    List<String> lines = sample.lines().filter(line -> !line.isBlank()).limit(SAMPLE).toList();
    char best = 0;
    long most = 0;
    for (char sign : SIGNS) {
      long score = score(sample, sign, lines.size());
      if (score > most) {
        most = score;
        best = sign;
      }
    }
    return best == 0 ? new TextShape(false, ' ', CellBounds.propose(lines)) : parted(best);
  }

  /** Lines that a sign parts. */
  static TextShape parted(char sign) {
    return new TextShape(true, sign, new CellBounds(List.of()));
  }

  /** Why it is read so. */
  String evidence() {
    if (delimited) {
      return "most rows have the same number of cells between it";
    }
    return bounds.starts().isEmpty()
        ? "no sign parts the lines: cells stand behind two blanks or more"
        : "no sign parts the lines: %d cells stand at the same places in all"
            .formatted(bounds.starts().size());
  }

  /** How many cells stand in rows that have as many as most rows; 0 where few rows are parted. */
  private static long score(String sample, char sign, int lines) {
    Map<Integer, Integer> counts = new HashMap<>();
    int parted = 0;
    for (SourceRow row : rows(sample, sign)) {
      int cells = row.cells().size();
      if (!row.filled().isEmpty()) {
        counts.merge(cells, 1, Integer::sum);
        parted += cells > 1 ? 1 : 0;
      }
    }
    if (parted * 2 < lines) {
      return 0;
    }
    return counts.entrySet().stream()
        .filter(count -> count.getKey() > 1)
        .mapToLong(count -> (long) count.getKey() * count.getValue())
        .max()
        .orElse(0);
  }

  /** The rows of a sample; the last one may be cut off. */
  List<SourceRow> rows(String sample) {
    if (delimited) {
      return rows(sample, delimiter);
    }
    List<SourceRow> rows = new ArrayList<>();
    sample
        .lines()
        .limit(SAMPLE)
        .forEach(line -> rows.add(new SourceRow(rows.size() + 1, cells(line, bounds))));
    return rows;
  }

  private static List<SourceRow> rows(String sample, char sign) {
    List<SourceRow> rows = new ArrayList<>();
    try (var csv =
        CsvReader.builder()
            .fieldSeparator(sign)
            .allowExtraFields(true)
            .allowMissingFields(true)
            .allowExtraCharsAfterClosingQuote(true)
            .skipEmptyLines(false)
            .ofCsvRecord(sample)) {
      for (CsvRecord record : csv) {
        rows.add(new SourceRow(record.getStartingLineNumber(), record.getFields()));
        if (rows.size() >= SAMPLE) {
          return rows;
        }
      }
    } catch (CsvParseException cutOff) {
      return rows;
    } catch (IOException impossible) {
      throw new IllegalStateException(impossible);
    }
    return rows;
  }

  /** The cells of a line of fixed width; a ruler has none. */
  static List<String> cells(String line, CellBounds bounds) {
    return CellBounds.ruler(line) ? List.of() : bounds.cells(line);
  }
}
