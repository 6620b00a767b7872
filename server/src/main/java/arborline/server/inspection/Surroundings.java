package arborline.server.inspection;

import arborline.core.library.Codes;
import arborline.core.tool.Tool;
import arborline.server.delivery.AttachedFiles;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
    List<AttachedFiles.AttachedFile> files) {

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
