package arborline.server.vendor;

import arborline.core.exchange.CellsJson;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.library.Codes;
import arborline.core.vendor.ReleaseOrder;
import arborline.server.vendor.VendorItems.TakenItem;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What vendors said when somebody decided that the shop keeps its own. */
@Service
public class VendorDecisions {

  private final JdbcClient jdbc;

  VendorDecisions(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * An item of which nothing is taken.
   *
   * @param item by what its vendor calls it
   * @param cells what the vendor says, as lines keep it
   */
  public record Decided(String item, ItemKind kind, String cells) {}

  /** Notes all that was decided in a delivery, in place of what was noted of it before. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void note(long deliveryId, String vendorKey, String release, List<Decided> all) {
    jdbc.sql("delete from vendor_decided where delivery_id = ?").param(deliveryId).update();
    Map<String, Decided> byKey = new HashMap<>();
    all.forEach(decided -> byKey.put(Codes.key(decided.item()), decided));
    byKey.forEach((key, decided) ->
        jdbc.sql(
                """
                insert into vendor_decided
                  (delivery_id, item_key, vendor_key, release_name, kind, cells)
                values (?, ?, ?, ?, ?, ?)\
                """)
            .params(deliveryId, key, vendorKey, release, decided.kind().name(), decided.cells())
            .update());
  }

  /**
   * Items that were taken, as their vendor described them when the shop last had its say.
   *
   * @param taken by their keys
   * @param deliveryId whose own decisions do not count
   */
  Map<String, TakenItem> applied(
      String vendorKey,
      Collection<String> itemKeys,
      Map<String, TakenItem> taken,
      long deliveryId) {
    Map<String, TakenItem> newest = new HashMap<>(taken);
    if (taken.isEmpty()) {
      return newest;
    }
    jdbc.sql(
            """
            select item_key, release_name, kind, cells from vendor_decided
            where vendor_key = :vendor and item_key in (:items) and delivery_id <> :own\
            """)
        .param("vendor", vendorKey)
        .param("items", itemKeys)
        .param("own", deliveryId)
        .query((row, index) -> {
          String release = row.getString("release_name");
          RawItem said =
              new RawItem(
                  1,
                  ItemKind.valueOf(row.getString("kind")),
                  CellsJson.fromText(row.getString("cells")),
                  List.of());
          newest.computeIfPresent(
              row.getString("item_key"),
              (key, item) ->
                  item.tool() == item.saidAs(said, release).tool()
                          && ReleaseOrder.OLDEST_FIRST.compare(release, item.release()) > 0
                      ? item.saidAs(said, release)
                      : item);
          return release;
        })
        .list();
    return newest;
  }
}
