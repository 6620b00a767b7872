package arborline.core.exchange;

import arborline.core.quantity.Unit;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.nio.charset.Charset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * All decisions taken to read a text table, each with its evidence. They are proposed from the head
 * of the file and can be replaced by a person before the file is read.
 *
 * @param delimiter the sign between cells
 * @param decimal point or comma
 * @param unit of lengths that name none; empty where every column states its own
 * @param constants what every line gets where it says nothing itself, by column
 */
public record TableReading(
    Charset charset,
    String charsetEvidence,
    char delimiter,
    String delimiterEvidence,
    char decimal,
    String decimalEvidence,
    Optional<Unit> unit,
    String unitEvidence,
    List<Column> columns,
    SortedMap<String, String> constants) {

  /** The evidence of what a person decided. */
  public static final String BY_HAND = "chosen by hand";

  /** How the evidence of what a recipe decided begins. */
  public static final String BY_RECIPE = "recipe ";

  private static final int HEADER_LINES = 20;
  private static final List<Character> DELIMITERS = List.of(';', '\t', ',', '|');

  /** Three digits behind a sign: it may part thousands as well, and proves neither. */
  private static final Pattern EITHER = Pattern.compile("-?[1-9]\\d{0,2}([.,]\\d{3})+");

  private static final Pattern POINT = Pattern.compile("-?\\d*\\.\\d+");
  private static final Pattern COMMA = Pattern.compile("-?\\d+,\\d+");

  public TableReading {
    columns = List.copyOf(columns);
    constants = Collections.unmodifiableSortedMap(new TreeMap<>(constants));
  }

  /** The same with other columns. */
  public TableReading with(List<Column> others) {
    return new TableReading(
        charset,
        charsetEvidence,
        delimiter,
        delimiterEvidence,
        decimal,
        decimalEvidence,
        unit,
        unitEvidence,
        others,
        constants);
  }

  /** True for evidence that somebody decided, now or in a recipe. */
  public static boolean decided(String evidence) {
    return evidence.startsWith(BY_HAND) || evidence.startsWith(BY_RECIPE);
  }

  /** Proposes how to read a file from its first bytes. */
  public static TableReading propose(byte[] head) {
    return propose(head, Optional.empty(), Optional.empty());
  }

  /** As {@link #propose(byte[])}, with encoding or delimiter already decided by a person. */
  public static TableReading propose(
      byte[] head, Optional<Charset> charset, Optional<Character> delimiter) {
    TextHead sniffed = TextHead.sniff(head);
    TextHead text =
        charset
            .map(chosen -> new TextHead(chosen, markLength(sniffed, chosen), BY_HAND))
            .orElse(sniffed);
    String sample = text.decode(head);
    char sign = delimiter.orElseGet(() -> delimiter(sample));
    List<List<String>> rows = rows(sample, sign);
    List<String> header = rows.isEmpty() ? List.of() : rows.getFirst();
    long points = count(rows, POINT);
    long commas = count(rows, COMMA);
    return new TableReading(
        text.charset(),
        text.evidence(),
        sign,
        delimiter.isPresent()
            ? BY_HAND
            : "splits the header into %d cells".formatted(header.size()),
        commas > points ? ',' : '.',
        "%d cells like 1.5, %d like 1,5 in the first lines".formatted(points, commas),
        Optional.empty(),
        "",
        columns(header),
        new TreeMap<>());
  }

  /** A symbol belongs to the first column that names it; what names it again is kept as a note. */
  private static List<Column> columns(List<String> header) {
    List<Column> columns = new ArrayList<>(header.size());
    Map<String, Integer> first = new HashMap<>();
    for (String cell : header) {
      Column column = Column.of(cell);
      Integer before =
          column.symbol().isEmpty() ? null : first.putIfAbsent(column.symbol(), columns.size() + 1);
      columns.add(
          before == null
              ? column
              : Column.note(
                  column.header(),
                  "%s (column %d)".formatted(column.header(), columns.size() + 1),
                  "%s stands in column %d already; kept as a note"
                      .formatted(column.symbol(), before)));
    }
    return columns;
  }

  private static int markLength(TextHead sniffed, Charset chosen) {
    return sniffed.charset().equals(chosen) ? sniffed.markLength() : 0;
  }

  /** The header is enough to find what parts cells; it may have line breaks in quotes. */
  private static String firstLines(String sample) {
    int end = -1;
    for (int line = 0; line < HEADER_LINES; line++) {
      int next = sample.indexOf('\n', end + 1);
      if (next < 0) {
        return sample;
      }
      end = next;
    }
    return sample.substring(0, end + 1);
  }

  private static char delimiter(String sample) {
    char best = ',';
    int most = 1;
    String header = firstLines(sample);
    for (char candidate : DELIMITERS) {
      List<List<String>> rows = rows(header, candidate);
      int cells = rows.isEmpty() ? 0 : rows.getFirst().size();
      if (cells > most) {
        most = cells;
        best = candidate;
      }
    }
    return best;
  }

  /** The complete lines of the sample; the last one may be cut off and is left out. */
  private static List<List<String>> rows(String sample, char delimiter) {
    List<List<String>> rows = new ArrayList<>();
    try (var csv =
        CsvReader.builder()
            .fieldSeparator(delimiter)
            .allowExtraFields(true)
            .allowMissingFields(true)
            .allowExtraCharsAfterClosingQuote(true)
            .ofCsvRecord(sample)) {
      for (CsvRecord record : csv) {
        rows.add(record.getFields());
      }
    } catch (CsvParseException cutOff) {
      return rows;
    } catch (java.io.IOException impossible) {
      throw new IllegalStateException(impossible);
    }
    return rows.size() > 2 ? rows.subList(0, rows.size() - 1) : rows;
  }

  private static long count(List<List<String>> rows, Pattern pattern) {
    return rows.stream()
        .skip(1)
        .flatMap(List::stream)
        .map(String::strip)
        .filter(cell -> pattern.matcher(cell).matches() && !EITHER.matcher(cell).matches())
        .count();
  }
}
