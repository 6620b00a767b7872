package arborline.server.vendor;

import arborline.core.exchange.CellsJson;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.library.Codes;
import arborline.server.account.Actor;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The items of vendors that the shop took, each as its vendor said it then. */
@Component
public class VendorItems {

  private final JdbcClient jdbc;
  private final Clock clock;
  private final VendorDecisions decisions;

  VendorItems(JdbcClient jdbc, Clock clock, VendorDecisions decisions) {
    this.decisions = decisions;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * An item that was taken.
   *
   * @param item by what its vendor calls it
   * @param said what the vendor said
   * @param targetId of the tool or the part that it became
   * @param code of that now
   * @param discontinued from which release on the vendor no longer has it; null while it has
   */
  public record TakenItem(
      String vendor,
      String itemKey,
      String item,
      String release,
      RawItem said,
      long targetId,
      String code,
      Instant takenAt,
      @Nullable String discontinued) {

    /** True for a tool; else it is a holder or another part. */
    public boolean tool() {
      return said.kind() == ItemKind.CUTTER || said.kind() == ItemKind.INSERT;
    }

    /** The same as its vendor described it in another release. */
    TakenItem saidAs(RawItem other, String otherRelease) {
      return new TakenItem(
          vendor, itemKey, item, otherRelease, other, targetId, code, takenAt, discontinued);
    }
  }

  private static final String NEWEST =
      """
      select v.vendor, v.item_key, v.item, v.release_name, v.kind, v.cells, v.target_id, v.taken_at,
        coalesce(t.code, c.code) as code,
        (select d.release_name from vendor_discontinued d
          where d.vendor_key = v.vendor_key and d.item_key = v.item_key
            and d.noted_at >= v.taken_at) as discontinued
      from vendor_item v
      left join tool t on t.id = v.target_id and v.kind in ('CUTTER', 'INSERT')
      left join component c on c.id = v.target_id and v.kind not in ('CUTTER', 'INSERT')
      where not exists(select 1 from vendor_item n where n.vendor_key = v.vendor_key
          and n.item_key = v.item_key and n.id > v.id)
        and (t.id is not null or c.id is not null) and \
      """;

  /**
   * What was taken last of these items of a vendor, by their keys, as the vendor described it when
   * the shop last had its say; unknown ones are left out.
   *
   * @param deliveryId that is compared: what is decided in it does not count
   */
  @Transactional(readOnly = true)
  public Map<String, TakenItem> known(
      String vendorKey, Collection<String> itemKeys, long deliveryId) {
    Map<String, TakenItem> known = new HashMap<>();
    if (!itemKeys.isEmpty() && !vendorKey.isEmpty()) {
      jdbc.sql(NEWEST + "v.vendor_key = :vendor and v.item_key in (:items)")
          .param("vendor", vendorKey)
          .param("items", itemKeys)
          .query((row, index) -> item(row))
          .list()
          .forEach(item -> known.put(item.itemKey(), item));
    }
    return decisions.applied(vendorKey, itemKeys, known, deliveryId);
  }

  /** All that was taken of a vendor. */
  @Transactional(readOnly = true)
  public List<TakenItem> all(String vendorKey) {
    return jdbc.sql(NEWEST + "v.vendor_key = :vendor order by v.item_key")
        .param("vendor", vendorKey)
        .query((row, index) -> item(row))
        .list();
  }

  /** Where a tool or a part comes from; what it was taken from last first. */
  @Transactional(readOnly = true)
  public List<TakenItem> of(long targetId, boolean tool) {
    return jdbc.sql(
            NEWEST
                + "v.target_id = :target and (v.kind in ('CUTTER', 'INSERT')) = :tool order by v.id desc")
        .param("target", targetId)
        .param("tool", tool)
        .query((row, index) -> item(row))
        .list();
  }

  private static TakenItem item(ResultSet row) throws SQLException {
    ItemKind kind = ItemKind.valueOf(row.getString("kind"));
    return new TakenItem(
        row.getString("vendor"),
        row.getString("item_key"),
        row.getString("item"),
        row.getString("release_name"),
        new RawItem(1, kind, CellsJson.fromText(row.getString("cells")), List.of()),
        row.getLong("target_id"),
        row.getString("code"),
        row.getTimestamp("taken_at").toInstant(),
        row.getString("discontinued"));
  }

  /** The newest release of which something was taken; empty where nothing was. */
  @Transactional(readOnly = true)
  public List<String> releases(String vendorKey) {
    return jdbc.sql("select distinct release_name from vendor_item where vendor_key = ?")
        .param(vendorKey)
        .query(String.class)
        .list();
  }

  /**
   * Notes that an item was taken.
   *
   * @param cells what the vendor said, as lines keep it
   * @return the row that {@link #takeBack} takes away
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public long taken(
      String vendorKey,
      String vendor,
      String release,
      String item,
      ItemKind kind,
      String cells,
      long targetId,
      long deliveryId) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    jdbc.sql(
            """
            insert into vendor_item (vendor_key, item_key, vendor, item, release_name, kind,
              target_id, cells, delivery_id, taken_at, taken_by)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            vendorKey,
            Codes.key(item),
            vendor,
            item,
            release,
            kind.name(),
            targetId,
            cells,
            deliveryId,
            Timestamp.from(Instant.now(clock)),
            Actor.name())
        .update(key, "id");
    return Objects.requireNonNull(key.getKey()).longValue();
  }

  /** Takes back what was noted. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(List<Long> rows) {
    if (!rows.isEmpty()) {
      jdbc.sql("delete from vendor_item where id in (:rows)").param("rows", rows).update();
    }
  }
}
