package arborline.core.recipe;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Records of a list as rows under a header that grows with each new field. */
final class RecordRows implements RowSource {

  private static final int MOST_COLUMNS = 2000;

  /** Records, one after the other. */
  interface Records extends AutoCloseable {

    Optional<ListRecord> next() throws IOException;

    @Override
    void close() throws IOException;
  }

  private final Records records;
  private final Set<String> names = new LinkedHashSet<>();
  private final Deque<SourceRow> rows = new ArrayDeque<>();

  RecordRows(Records records) {
    this.records = records;
  }

  @Override
  public Optional<SourceRow> next() throws IOException {
    while (rows.isEmpty()) {
      Optional<ListRecord> next = records.next();
      if (next.isEmpty()) {
        return Optional.empty();
      }
      add(next.get());
    }
    return Optional.of(rows.poll());
  }

  private void add(ListRecord record) {
    int before = names.size();
    learn(record);
    record.cutting().forEach(this::learn);
    if (names.size() > before) {
      rows.add(
          new SourceRow(
              record.line(), SourceRow.Kind.HEADER, List.copyOf(names), Map.of(), Map.of()));
    }
    rows.add(new SourceRow(record.line(), cells(record)));
    record.cutting().forEach(cut -> rows.add(new SourceRow(cut.line(), cells(cut))));
  }

  private void learn(ListRecord record) {
    record.fields().keySet().stream()
        .filter(name -> !names.contains(name) && names.size() < MOST_COLUMNS)
        .forEach(names::add);
  }

  private List<String> cells(ListRecord record) {
    return names.stream().map(name -> record.fields().getOrDefault(name, "")).toList();
  }

  @Override
  public void close() throws IOException {
    records.close();
  }
}
