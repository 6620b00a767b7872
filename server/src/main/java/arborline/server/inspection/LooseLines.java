package arborline.server.inspection;

import arborline.core.exchange.RawItem;
import arborline.core.library.Codes;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.support.Bulk;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Joins stacks and cutting data to the tool of the delivery that they name, where a file has them
 * far from it; what names none stays a line of its own.
 */
@Component
class LooseLines {

  private static final int BATCH = 500;

  private final LineRepository lines;
  private final LineJudge judge;
  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final TransactionTemplate transaction;

  LooseLines(
      LineRepository lines,
      LineJudge judge,
      JdbcClient jdbc,
      Bulk bulk,
      TransactionTemplate transaction) {
    this.lines = lines;
    this.judge = judge;
    this.jdbc = jdbc;
    this.bulk = bulk;
    this.transaction = transaction;
  }

  private record Loose(long id, String owner) {}

  void join(long deliveryId) {
    long after = 0;
    List<Loose> batch = batch(deliveryId, after);
    while (!batch.isEmpty()) {
      List<Loose> some = batch;
      transaction.executeWithoutResult(status -> join(deliveryId, some));
      after = batch.getLast().id();
      batch = batch(deliveryId, after);
    }
  }

  private List<Loose> batch(long deliveryId, long after) {
    return jdbc.sql(
            """
            select id, owner from delivery_line
            where delivery_id = ? and owner is not null and id > ? order by id limit ?\
            """)
        .params(deliveryId, after, BATCH)
        .query(Loose.class)
        .list();
  }

  private void join(long deliveryId, List<Loose> some) {
    Map<String, Long> owners =
        owners(deliveryId, some.stream().map(loose -> Codes.key(loose.owner())).toList());
    Map<Long, List<Long>> joined = new LinkedHashMap<>();
    for (Loose loose : some) {
      Long owner = owners.get(Codes.key(loose.owner()));
      if (owner != null) {
        joined.computeIfAbsent(owner, id -> new ArrayList<>()).add(loose.id());
      }
    }
    if (joined.isEmpty()) {
      return;
    }
    List<DeliveryLine> tools = lines.findByDeliveryIdAndIdIn(deliveryId, joined.keySet());
    for (DeliveryLine tool : tools) {
      List<RawItem> items =
          lines.findByDeliveryIdAndIdIn(deliveryId, joined.get(tool.id)).stream()
              .sorted(java.util.Comparator.comparing(line -> line.position))
              .map(line -> line.raw().item())
              .toList();
      tool.attach(items);
    }
    judge.judge(deliveryId, tools);
    List<Long> gone = joined.values().stream().flatMap(List::stream).toList();
    bulk.each("delete from line_finding where line_id = ?", gone);
    lines.flush();
    bulk.each("delete from delivery_line where id = ?", gone);
  }

  private Map<String, Long> owners(long deliveryId, List<String> keys) {
    Map<String, Long> owners = new LinkedHashMap<>();
    jdbc.sql(
            """
            select code_key, id from delivery_line
            where delivery_id = :delivery and code_key in (:keys) and kind in ('CUTTER', 'INSERT')
            order by position desc\
            """)
        .param("delivery", deliveryId)
        .param("keys", keys)
        .query(row -> {
          owners.put(row.getString("code_key"), row.getLong("id"));
        });
    return owners;
  }
}
