package arborline.server.inspection;

import arborline.core.exchange.ItemKind;
import arborline.core.inspect.Settled;
import arborline.server.delivery.VendorPackages;
import arborline.server.support.Json;
import arborline.server.vendor.VendorDecisions;
import arborline.server.vendor.VendorDecisions.Decided;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Notes of which items of a vendor's package somebody decided to take nothing, always inside the
 * transaction of the decision or of its undoing.
 */
@Component
class DecidedLines {

  private final VendorPackages packages;
  private final VendorDecisions decisions;
  private final JdbcClient jdbc;
  private final Json json;

  DecidedLines(VendorPackages packages, VendorDecisions decisions, JdbcClient jdbc, Json json) {
    this.packages = packages;
    this.decisions = decisions;
    this.jdbc = jdbc;
    this.json = json;
  }

  /** Notes what is decided in a delivery by now; does nothing where it comes from no vendor. */
  void note(long deliveryId) {
    packages
        .of(deliveryId)
        .ifPresent(known ->
            decisions.note(deliveryId, known.vendorKey(), known.release(), kept(deliveryId)));
  }

  private record Row(Decided decided, LineChoice choice) {}

  private List<Decided> kept(long deliveryId) {
    return jdbc
        .sql(
            """
            select vendor_item, kind, vendor_cells, choice from delivery_line
            where delivery_id = ? and vendor_item is not null and vendor_cells is not null
              and choice is not null and taken_id is null\
            """)
        .param(deliveryId)
        .query((row, index) ->
            new Row(
                new Decided(
                    row.getString("vendor_item"),
                    ItemKind.valueOf(row.getString("kind")),
                    row.getString("vendor_cells")),
                json.read(row.getString("choice"), LineChoice.class)))
        .list()
        .stream()
        .filter(row -> row.choice().answer() == Settled.Answer.KEEP)
        .filter(row -> row.choice().proposed() == null)
        .map(Row::decided)
        .toList();
  }
}
