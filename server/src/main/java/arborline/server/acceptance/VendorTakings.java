package arborline.server.acceptance;

import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.VendorPackages;
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

  /** Notes a line that was taken; does nothing where it comes from no vendor. */
  void note(long deliveryId, int takeNo, DeliveryLine line) {
    if (line.vendorItem == null || line.takenId == null) {
      return;
    }
    packages
        .of(deliveryId)
        .ifPresent(known ->
            pieces.note(
                deliveryId,
                takeNo,
                PIECE,
                List.of(
                    items.taken(
                        known.vendorKey(),
                        known.vendor(),
                        known.release(),
                        line.vendorItem,
                        line.kind,
                        Objects.requireNonNull(line.vendorCells),
                        line.takenId,
                        deliveryId))));
  }

  void takeBack(long deliveryId, int takeNo) {
    items.takeBack(pieces.of(deliveryId, takeNo, PIECE));
  }
}
