package arborline.server.news;

import arborline.core.library.Codes;
import arborline.server.account.Actor;
import arborline.server.delivery.VendorPackages;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.vendor.VendorItems.TakenItem;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Notes which items of a vendor are no longer made. */
@Component
class Discontinued {

  private final PackageReports reports;
  private final VendorPackages packages;
  private final Trail trail;
  private final Live live;
  private final JdbcClient jdbc;
  private final Clock clock;

  Discontinued(
      PackageReports reports,
      VendorPackages packages,
      Trail trail,
      Live live,
      JdbcClient jdbc,
      Clock clock) {
    this.reports = reports;
    this.packages = packages;
    this.trail = trail;
    this.live = live;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * Notes items that a package no longer has.
   *
   * @param wanted by what the vendor calls them; null for all of them
   * @return line of the trail that takes it back; 0 where nothing was to be noted
   */
  @Transactional
  long note(long deliveryId, @Nullable List<String> wanted) {
    VendorPackage known =
        packages
            .of(deliveryId)
            .orElseThrow(() -> Refusal.notFound("this delivery comes from no vendor"));
    Set<String> keys =
        wanted == null ? Set.of() : wanted.stream().map(Codes::key).collect(Collectors.toSet());
    List<String> noted = new ArrayList<>();
    for (TakenItem item : reports.gone(deliveryId, known)) {
      if (item.discontinued() == null && (wanted == null || keys.contains(item.itemKey()))) {
        noted.add(item.itemKey());
        jdbc.sql(
                """
                replace into vendor_discontinued
                  (vendor_key, item_key, release_name, noted_at, noted_by)
                values (?, ?, ?, ?, ?)\
                """)
            .params(
                known.vendorKey(),
                item.itemKey(),
                known.release(),
                Timestamp.from(Instant.now(clock)),
                Actor.name())
            .update();
      }
    }
    if (noted.isEmpty()) {
      return 0;
    }
    live.say("delivery", deliveryId, "discontinued");
    return trail.record(
        TrailRecord.of(
                "delivery",
                deliveryId,
                "noted %s of %s as no longer made"
                    .formatted(TrailRecord.count(noted.size(), "item"), known.vendor()))
            .undoneBy(
                DiscontinuedUndo.KIND,
                new DiscontinuedUndo.Noted(deliveryId, known.vendorKey(), noted)));
  }
}
