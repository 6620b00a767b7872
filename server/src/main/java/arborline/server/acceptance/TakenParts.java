package arborline.server.acceptance;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Codes;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.inspection.PartFiles;
import arborline.server.inspection.ShopParts;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Takes parts of stacks; always inside the transaction of a taking. */
@Component
class TakenParts {

  static final List<ItemKind> KINDS =
      List.of(
          ItemKind.HOLDER, ItemKind.EXTENSION, ItemKind.COLLET, ItemKind.ARBOR, ItemKind.AGGREGATE);
  static final String PIECE = "part";

  private final ShopParts shop;
  private final PartFiles files;
  private final LineRepository lines;
  private final TakenPieces pieces;

  TakenParts(ShopParts shop, PartFiles files, LineRepository lines, TakenPieces pieces) {
    this.shop = shop;
    this.files = files;
    this.lines = lines;
    this.pieces = pieces;
  }

  /** Takes the good ones of some lines; returns how many entered. */
  int take(long deliveryId, List<DeliveryLine> some, int takeNo) {
    int taken = 0;
    for (DeliveryLine line : some) {
      boolean good = line.disposition == Disposition.PASS || line.disposition == Disposition.QUERY;
      if (line.takenId == null && good) {
        taken += take(deliveryId, line, takeNo) ? 1 : 0;
      }
    }
    return taken;
  }

  private boolean take(long deliveryId, DeliveryLine line, int takeNo) {
    Inspected inspected = Inspector.inspect(line.raw().item());
    Optional<ShopParts.TakenPart> part = inspected.component().flatMap(shop::take);
    part.ifPresent(known -> {
      line.taken(known.id(), takeNo);
      if (known.added()) {
        pieces.note(deliveryId, takeNo, PIECE, List.of(known.id()));
      }
      pieces.note(
          deliveryId, takeNo, PartFiles.KIND, files.takeForPart(known.id(), deliveryId, inspected));
    });
    return part.isPresent();
  }

  /** Takes the parts of the delivery that stacks of some tools need. */
  int takeNeeded(long deliveryId, List<DeliveryLine> tools, int takeNo) {
    Set<String> keys = new HashSet<>();
    for (DeliveryLine tool : tools) {
      if (tool.stacks != null) {
        for (RawItem stack : tool.raw().stacks()) {
          stack.parts().forEach(code -> keys.add(Codes.key(code)));
        }
      }
    }
    return keys.isEmpty() ? 0 : take(deliveryId, lines.takeable(deliveryId, keys, KINDS), takeNo);
  }
}
