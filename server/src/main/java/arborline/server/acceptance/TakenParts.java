package arborline.server.acceptance;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.Clashes;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.library.Codes;
import arborline.core.stack.Component;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.inspection.LineChoice;
import arborline.server.inspection.PartFiles;
import arborline.server.inspection.ShopParts;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Takes parts of stacks; always inside the transaction of a taking. */
@Service
class TakenParts {

  static final List<ItemKind> KINDS =
      List.of(
          ItemKind.HOLDER, ItemKind.EXTENSION, ItemKind.COLLET, ItemKind.ARBOR, ItemKind.AGGREGATE);
  private static final String PIECE = "part";

  /** The piece of a taking: the version that a part had before. */
  private static final String VERSION = "part-version";

  private final ShopParts shop;
  private final PartFiles files;
  private final LineRepository lines;
  private final TakenPieces pieces;
  private final VendorTakings vendors;
  private final Json json;

  TakenParts(
      ShopParts shop,
      PartFiles files,
      LineRepository lines,
      TakenPieces pieces,
      VendorTakings vendors,
      Json json) {
    this.shop = shop;
    this.files = files;
    this.lines = lines;
    this.pieces = pieces;
    this.vendors = vendors;
    this.json = json;
  }

  /** Takes the good ones of some lines; returns how many entered. */
  int take(long deliveryId, List<DeliveryLine> some, int takeNo) {
    int taken = 0;
    for (DeliveryLine line : some) {
      if (line.enters()) {
        taken += take(deliveryId, line, takeNo) ? 1 : 0;
      }
    }
    return taken;
  }

  private boolean take(long deliveryId, DeliveryLine line, int takeNo) {
    Inspected inspected = Inspector.inspect(line.raw().item());
    Optional<ShopParts.TakenPart> part =
        line.choice == null
            ? inspected.component().flatMap(shop::take)
            : changed(deliveryId, line, inspected, takeNo);
    part.ifPresent(known -> {
      line.taken(known.id(), takeNo);
      vendors.note(deliveryId, takeNo, List.of(line));
      if (known.added()) {
        pieces.note(deliveryId, takeNo, PIECE, List.of(known.id()));
      }
      pieces.note(
          deliveryId, takeNo, PartFiles.KIND, files.takeForPart(known.id(), deliveryId, inspected));
    });
    return part.isPresent();
  }

  /** Changes the shop's part under the code of a line as was chosen. */
  private Optional<ShopParts.TakenPart> changed(
      long deliveryId, DeliveryLine line, Inspected inspected, int takeNo) {
    Optional<ShopParts.KnownPart> present =
        Optional.ofNullable(shop.byKeys(List.of(line.codeKey)).get(line.codeKey));
    if (present.isEmpty()) {
      return inspected.component().flatMap(shop::take);
    }
    LineChoice choice = json.read(Objects.requireNonNull(line.choice), LineChoice.class);
    Component now = shop.locked(present.get().id());
    if (!ContentHash.of(now).equals(choice.against())) {
      throw Refusal.conflict(
          "%s was changed in the shop since you chose; look at its line again"
              .formatted(now.code()));
    }
    Component after = choice.settled(inspected.component().orElseThrow(), now);
    if (!Clashes.differences(after, now).isEmpty()) {
      long id = present.get().id();
      pieces.version(deliveryId, takeNo, VERSION, id, shop.change(id, after));
    }
    return Optional.of(new ShopParts.TakenPart(present.get().id(), false));
  }

  /** Takes back what parts were changed to, and parts that entered. */
  void takeBack(long deliveryId, int takeNo) {
    pieces.versions(deliveryId, takeNo, VERSION).forEach(shop::bringBack);
    shop.takeBack(pieces.of(deliveryId, takeNo, PIECE));
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
