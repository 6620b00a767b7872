package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PathList;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.inspect.Disposition;
import arborline.core.tool.Tool;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.support.Json;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * An item of a vendor that stands in several files of a package, as a part of assemblies does, is
 * one: the first line of it gets what the others say besides, and these have nothing left to take.
 * Where they contradict each other both stay.
 */
@Component
class RestatedLines {

  /** What a line that only restates another one says. */
  static final String RESTATED = "restated";

  private static final int BATCH = 200;

  private final LineRepository lines;
  private final LineFindings findings;
  private final JdbcClient jdbc;
  private final Json json;
  private final TransactionTemplate transaction;

  RestatedLines(
      LineRepository lines,
      LineFindings findings,
      JdbcClient jdbc,
      Json json,
      TransactionTemplate transaction) {
    this.lines = lines;
    this.findings = findings;
    this.jdbc = jdbc;
    this.json = json;
    this.transaction = transaction;
  }

  void join(long deliveryId) {
    List<String> several =
        jdbc.sql(
                """
                select code_key from delivery_line
                where delivery_id = ? and vendor_item is not null
                group by code_key having count(*) > 1 order by code_key\
                """)
            .param(deliveryId)
            .query(String.class)
            .list();
    for (int from = 0; from < several.size(); from += BATCH) {
      Set<String> keys = Set.copyOf(several.subList(from, Math.min(several.size(), from + BATCH)));
      transaction.executeWithoutResult(status -> joinSome(deliveryId, keys));
    }
  }

  private void joinSome(long deliveryId, Set<String> keys) {
    Map<String, List<DeliveryLine>> byCode = new TreeMap<>();
    lines
        .sharing(deliveryId, keys, Limit.unlimited())
        .forEach(line -> byCode.computeIfAbsent(line.codeKey, key -> new ArrayList<>()).add(line));
    Map<Long, List<Finding>> said = new HashMap<>();
    byCode.values().forEach(same -> joined(same, said));
    findings.replace(deliveryId, said);
  }

  private void joined(List<DeliveryLine> same, Map<Long, List<Finding>> said) {
    DeliveryLine first = same.getFirst();
    for (DeliveryLine other : same.subList(1, same.size())) {
      RawItem one = first.raw().item();
      RawItem two = other.raw().item();
      boolean agree =
          first.vendorItem != null
              && other.vendorItem != null
              && first.kind == other.kind
              && other.disposition != Disposition.SKIPPED
              && agree(one, two);
      if (agree) {
        first.restated(with(one, two), other);
        List<Finding> note = List.of(note(first, other));
        other.skip(json.text(note));
        said.put(other.id, note);
      }
    }
  }

  private static Finding note(DeliveryLine first, DeliveryLine other) {
    return Finding.note(
        RESTATED,
        "%s is the item of line %d%s, said again"
            .formatted(
                other.code,
                first.lineNo,
                first.fileNo == other.fileNo ? "" : " of file " + (first.fileNo + 1)),
        RawItem.CODE);
  }

  /** True where nothing that both say differs. */
  private static boolean agree(RawItem one, RawItem two) {
    boolean tool = one.kind() == ItemKind.CUTTER || one.kind() == ItemKind.INSERT;
    if (!tool) {
      return one.cells().entrySet().stream()
          .filter(cell -> two.cells().containsKey(cell.getKey()))
          .filter(cell -> !RawItem.isNote(cell.getKey()))
          .filter(cell -> !cell.getKey().equals(RawItem.ATTACHMENT))
          .allMatch(cell -> Objects.equals(cell.getValue(), two.cells().get(cell.getKey())));
    }
    Tool mine = Interpreter.interpret(one).tool();
    Tool theirs = Interpreter.interpret(two).tool();
    return mine.toolClass().equals(theirs.toolClass())
        && mine.values().entrySet().stream()
            .filter(value -> theirs.values().containsKey(value.getKey()))
            .allMatch(value -> value.getValue().sameAs(theirs.values().get(value.getKey())));
  }

  /** The first with what only the other one says. */
  private static RawItem with(RawItem one, RawItem two) {
    Map<String, Cell> more = new TreeMap<>(two.cells());
    more.keySet().removeAll(one.cells().keySet());
    Set<String> paths = new LinkedHashSet<>(PathList.read(one.text(RawItem.ATTACHMENT)));
    paths.addAll(PathList.read(two.text(RawItem.ATTACHMENT)));
    if (!paths.isEmpty()) {
      more.put(RawItem.ATTACHMENT, Cell.of(PathList.text(List.copyOf(paths))));
    }
    return one.with(more);
  }
}
