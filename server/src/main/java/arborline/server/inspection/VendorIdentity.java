package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.library.Codes;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.delivery.VendorPackages;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.support.Json;
import arborline.server.vendor.VendorItems;
import arborline.server.vendor.VendorItems.TakenItem;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Says which vendor a delivery comes from, and gives its lines the codes under which the shop has
 * these items: a tool that was renamed here is still the vendor's item.
 */
@Component
class VendorIdentity {

  private static final int BATCH = 500;

  private final VendorPackages packages;
  private final VendorItems items;
  private final LineRepository lines;
  private final JdbcClient jdbc;
  private final Json json;
  private final TransactionTemplate transaction;

  VendorIdentity(
      VendorPackages packages,
      VendorItems items,
      LineRepository lines,
      JdbcClient jdbc,
      Json json,
      TransactionTemplate transaction) {
    this.packages = packages;
    this.items = items;
    this.lines = lines;
    this.jdbc = jdbc;
    this.json = json;
    this.transaction = transaction;
  }

  void join(long deliveryId) throws IOException {
    Optional<VendorPackage> known = packages.read(deliveryId);
    if (known.isEmpty()) {
      return;
    }
    packages.keep(deliveryId, known.get());
    Map<String, String> codes = new HashMap<>();
    for (TakenItem item : items.all(known.get().vendorKey())) {
      if (!Codes.key(item.code()).equals(item.itemKey())) {
        codes.put(item.itemKey(), item.code());
      }
    }
    if (codes.isEmpty()) {
      return;
    }
    for (List<Long> batch = batch(deliveryId, 0);
        !batch.isEmpty();
        batch = batch(deliveryId, batch.getLast())) {
      List<Long> some = batch;
      transaction.executeWithoutResult(status ->
          lines.findByDeliveryIdAndIdIn(deliveryId, some).forEach(line -> recode(line, codes)));
    }
  }

  private List<Long> batch(long deliveryId, long after) {
    return jdbc.sql(
            """
            select id from delivery_line
            where delivery_id = ? and id > ? and (vendor_item is not null or stacks is not null)
            order by id limit ?\
            """)
        .params(deliveryId, after, BATCH)
        .query(Long.class)
        .list();
  }

  private void recode(DeliveryLine line, Map<String, String> codes) {
    line.recodeParts(codes);
    String ours = line.vendorItem == null ? null : codes.get(Codes.key(line.vendorItem));
    if (ours == null || Codes.key(ours).equals(line.codeKey)) {
      return;
    }
    line.recode(Map.of(RawItem.CODE, Cell.of(ours)));
    List<Finding> said = new ArrayList<>();
    if (line.readingFindings != null) {
      said.addAll(List.of(json.read(line.readingFindings, Finding[].class)));
    }
    said.add(
        Finding.note(
            "vendor-code",
            "the shop has %s of the vendor as %s".formatted(line.vendorItem, ours),
            RawItem.CODE));
    line.readingFindings = json.text(said);
  }
}
