package arborline.server.acceptance;

import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.VendorPackages;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.vendor.VendorItems;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Component;

/**
 * Notes what a vendor said of the items that enter, so that the next release can be compared with
 * it; always inside the transaction of a taking.
 */
@Component
class VendorTakings {

  private static final String PIECE = "vendor-item";

  private final VendorPackages packages;
  private final VendorItems items;
  private final TakenPieces pieces;

  VendorTakings(VendorPackages packages, VendorItems items, TakenPieces pieces) {
    this.packages = packages;
    this.items = items;
    this.pieces = pieces;
  }

  /** Notes lines that were taken; does nothing where they come from no vendor. */
  void note(long deliveryId, int takeNo, List<DeliveryLine> taken) {
    List<DeliveryLine> ofVendor =
        taken.stream().filter(line -> line.vendorItem != null && line.takenId != null).toList();
    if (ofVendor.isEmpty()) {
      return;
    }
    packages
        .of(deliveryId)
        .ifPresent(known -> ofVendor.forEach(line -> note(deliveryId, takeNo, known, line)));
  }

  private void note(long deliveryId, int takeNo, VendorPackage known, DeliveryLine line) {
    long row =
        items.taken(
            known.vendorKey(),
            known.vendor(),
            known.release(),
            Objects.requireNonNull(line.vendorItem),
            line.kind,
            Objects.requireNonNull(line.vendorCells),
            Objects.requireNonNull(line.takenId),
            deliveryId);
    pieces.note(deliveryId, takeNo, PIECE, List.of(row));
  }

  void takeBack(long deliveryId, int takeNo) {
    items.takeBack(pieces.of(deliveryId, takeNo, PIECE));
  }
}
