package arborline.server.inspection;

import arborline.core.library.Codes;
import arborline.core.tool.Tool;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.vendor.VendorItems.TakenItem;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What the lines of one batch meet: each other, the shop and the files that came with them. */
record Surroundings(
    long deliveryId,
    Map<String, DeliveryNeighbours.FirstLine> firstTools,
    Map<String, DeliveryNeighbours.FirstLine> firstParts,
    Map<String, ShopTool> tools,
    Map<String, ShopParts.KnownPart> shopParts,
    Map<String, arborline.core.stack.Component> deliveryParts,
    Map<String, String> promised,
    List<DeliveryNeighbours.Alike> alike,
    Set<String> inserts,
    List<AttachedFiles.AttachedFile> files,
    Optional<VendorPackage> vendor,
    Map<String, TakenItem> taken) {

  /** What the shop took of a vendor before under the vendor's own code. */
  Optional<TakenItem> before(@Nullable String vendorItem) {
    return vendorItem == null
        ? Optional.empty()
        : Optional.ofNullable(taken.get(Codes.key(vendorItem)));
  }

  Optional<arborline.core.stack.Component> part(String code) {
    String key = Codes.key(code);
    return Optional.ofNullable(deliveryParts.get(key))
        .or(() -> Optional.ofNullable(shopParts.get(key)).map(ShopParts.KnownPart::component));
  }

  /**
   * A tool of the shop.
   *
   * @param shelved true where a library holds it
   */
  record ShopTool(long id, String codeKey, Tool tool, String hash, boolean shelved) {}
}
