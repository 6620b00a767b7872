package arborline.server.news;

import arborline.core.exchange.RawItem;
import arborline.core.library.Codes;
import arborline.core.vendor.ReleaseOrder;
import arborline.server.delivery.VendorPackages;
import arborline.server.delivery.VendorPackages.PackageFault;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.support.Refusal;
import arborline.server.vendor.VendorItems;
import arborline.server.vendor.VendorItems.TakenItem;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What a vendor's package means for the shop. */
@Component
@Transactional(readOnly = true)
class PackageReports {

  private static final int SHOWN = 500;

  private final VendorPackages packages;
  private final VendorItems items;
  private final WhereUsed used;
  private final JdbcClient jdbc;

  PackageReports(VendorPackages packages, VendorItems items, WhereUsed used, JdbcClient jdbc) {
    this.packages = packages;
    this.items = items;
    this.used = used;
    this.jdbc = jdbc;
  }

  /**
   * An item that the shop took and that a newer release no longer has.
   *
   * @param item by what the vendor calls it
   * @param release from which it was taken
   * @param toolId null for a holder or another part
   * @param partId null for a tool
   * @param noted from which release on it is noted as no longer made; null while it is not
   */
  record MissingItem(
      String item,
      String code,
      String name,
      String release,
      @Nullable Long toolId,
      @Nullable Long partId,
      @Nullable String noted,
      List<WhereUsed.Use> used) {}

  /**
   * A package.
   *
   * @param release empty where it names none
   * @param taken the newest release of which the shop took something; null where it took nothing
   * @param older true where the shop took a newer one
   * @param fresh items that the shop never took
   * @param changed items of which something is proposed
   * @param asked items of which somebody must choose
   * @param unchanged items of which nothing changes
   * @param gone how many items that the shop took this release no longer has
   * @param discontinued the first 500 of them
   * @param notCompared items whose file is missing: nothing is said of them
   */
  record PackageReport(
      String vendor,
      String release,
      String manifest,
      @Nullable String taken,
      boolean older,
      long fresh,
      long changed,
      long asked,
      long unchanged,
      long gone,
      List<MissingItem> discontinued,
      List<String> notCompared,
      List<PackageFault> faults) {}

  /** What a delivery of a vendor means; a delivery of no vendor is refused. */
  PackageReport of(long deliveryId) {
    VendorPackage known =
        packages
            .of(deliveryId)
            .orElseThrow(() -> Refusal.notFound("this delivery comes from no vendor"));
    List<TakenItem> taken = items.all(known.vendorKey());
    String newest =
        items.releases(known.vendorKey()).stream().max(ReleaseOrder.OLDEST_FIRST).orElse(null);
    List<TakenItem> gone = gone(deliveryId, known, taken);
    Set<String> ours = taken.stream().map(TakenItem::itemKey).collect(Collectors.toSet());
    List<String> lines = open(deliveryId);
    return new PackageReport(
        known.vendor(),
        known.release(),
        known.manifest(),
        newest,
        newest != null
            && !known.release().isEmpty()
            && ReleaseOrder.OLDEST_FIRST.compare(known.release(), newest) < 0,
        lines.stream().filter(item -> !ours.contains(Codes.key(item))).count(),
        found(deliveryId, "vendor-changed"),
        found(deliveryId, "vendor-conflict"),
        found(deliveryId, "vendor-unchanged") + found(deliveryId, "already-here"),
        gone.size(),
        gone.stream().limit(SHOWN).map(this::missing).toList(),
        known.notCompared(),
        known.faults());
  }

  /** Items that the shop took and that a package with a manifest no longer has. */
  List<TakenItem> gone(long deliveryId, VendorPackage known) {
    return gone(deliveryId, known, items.all(known.vendorKey()));
  }

  private List<TakenItem> gone(long deliveryId, VendorPackage known, List<TakenItem> taken) {
    if (known.manifest().isEmpty()) {
      return List.of();
    }
    Set<String> there = there(deliveryId, known);
    return taken.stream()
        .filter(item -> !there.contains(item.itemKey()))
        .filter(item -> !newer(item.release(), known.release()))
        .toList();
  }

  private static boolean newer(String taken, String now) {
    return ReleaseOrder.OLDEST_FIRST.compare(taken, now) > 0;
  }

  /** Keys of items that the package has, or names without having their file. */
  private Set<String> there(long deliveryId, VendorPackage known) {
    Set<String> keys = new HashSet<>();
    known.notCompared().forEach(item -> keys.add(Codes.key(item)));
    jdbc.sql(
            "select vendor_item from delivery_line where delivery_id = ? and vendor_item is not null")
        .param(deliveryId)
        .query(String.class)
        .list()
        .forEach(item -> keys.add(Codes.key(item)));
    return keys;
  }

  /** The items of lines that were not taken. */
  private List<String> open(long deliveryId) {
    return jdbc.sql(
            """
            select distinct vendor_item from delivery_line
            where delivery_id = ? and vendor_item is not null and taken_id is null\
            """)
        .param(deliveryId)
        .query(String.class)
        .list();
  }

  private long found(long deliveryId, String finding) {
    return jdbc.sql(
            """
            select count(distinct f.line_id) from line_finding f
            join delivery_line l on l.id = f.line_id
            where f.delivery_id = ? and f.code = ? and l.taken_id is null\
            """)
        .params(deliveryId, finding)
        .query(Long.class)
        .single();
  }

  private MissingItem missing(TakenItem item) {
    return new MissingItem(
        item.item(),
        item.code(),
        item.said().text(RawItem.NAME),
        item.release(),
        item.tool() ? item.targetId() : null,
        item.tool() ? null : item.targetId(),
        item.discontinued(),
        used.of(item));
  }
}
