package arborline.core.recipe;

import arborline.core.exchange.ItemSource;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What XML and JSON lists have in common: records become rows, and rows tools. */
final class ListReading {

  private static final int SAMPLE = 200;

  private ListReading() {}

  /** Opens the records of a stream. */
  interface Opening {
    RecordRows.Records open(InputStream stream) throws IOException;
  }

  /** What the first records say of all of them. */
  private record Proposal(List<ColumnRole> columns, List<SourceRow> below, TableFacts facts) {}

  private static Proposal proposal(byte[] head, Opening opening) throws IOException {
    List<SourceRow> sample = sample(head, opening);
    List<ColumnRole> columns = List.of();
    List<SourceRow> below = new ArrayList<>();
    for (SourceRow row : sample) {
      if (row.kind() != SourceRow.Kind.HEADER) {
        below.add(row);
      }
    }
    for (SourceRow row : sample) {
      if (row.kind() == SourceRow.Kind.HEADER) {
        columns = Columns.of(row, below);
      }
    }
    return new Proposal(columns, below, TableFacts.of(List.of(), columns, below));
  }

  static ItemSource open(InputStream file, byte[] head, TableReading reading, Opening opening)
      throws IOException {
    TableFacts facts = proposal(head, opening).facts().decided(reading);
    return new ForeignSource(
        new RecordRows(opening.open(file)), facts, List.of(), ChosenColumns.of(reading));
  }

  /** How the records are read, as far as their beginning says. */
  static TableReading propose(byte[] head, Opening opening) {
    try {
      Proposal proposal = proposal(head, opening);
      return ShownColumns.reading(
          TextHead.sniff(head), proposal.columns(), proposal.below(), proposal.facts());
    } catch (IOException unreadable) {
      return ShownColumns.reading(
          TextHead.sniff(head),
          List.of(),
          List.of(),
          TableFacts.of(List.of(), List.of(), List.of()));
    }
  }

  private static List<SourceRow> sample(byte[] head, Opening opening) throws IOException {
    List<SourceRow> rows = new ArrayList<>();
    try (RecordRows records = new RecordRows(opening.open(new ByteArrayInputStream(head)))) {
      Optional<SourceRow> next = records.next();
      while (next.isPresent() && rows.size() < SAMPLE) {
        rows.add(next.get());
        next = records.next();
      }
    } catch (UnreadableFileException cutOff) {
      return rows;
    }
    return rows;
  }
}
