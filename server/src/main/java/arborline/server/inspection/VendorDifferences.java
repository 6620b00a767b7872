package arborline.server.inspection;

import arborline.core.inspect.Inspected;
import arborline.core.vendor.ItemChange;
import arborline.core.vendor.ItemSaid;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.delivery.VendorPackages.VendorPackage;
import arborline.server.support.Refusal;
import arborline.server.vendor.VendorItems.TakenItem;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a vendor changed of the item of a line, beside what the shop has. */
@Service
@Transactional(readOnly = true)
class VendorDifferences {

  private final LineRepository lines;
  private final LineJudge judge;
  private final LineSurroundings surroundings;

  VendorDifferences(LineRepository lines, LineJudge judge, LineSurroundings surroundings) {
    this.lines = lines;
    this.judge = judge;
    this.surroundings = surroundings;
  }

  /**
   * What changed.
   *
   * @param before release from which the item was taken; null where it never was
   * @param now release of the delivery; empty where it names none
   * @param fields value by value; empty where it was never taken
   */
  record VendorDifference(@Nullable String before, String now, List<ItemChange.Field> fields) {}

  /** Of a line; a line of no vendor has none. */
  VendorDifference of(long deliveryId, long lineId) {
    DeliveryLine line =
        lines
            .findByDeliveryIdAndId(deliveryId, lineId)
            .orElseThrow(() -> Refusal.notFound("there is no such line in the delivery"));
    Inspected inspected = judge.inspected(line);
    Surroundings around = surroundings.of(deliveryId, List.of(line), List.of(inspected));
    String now = around.vendor().map(VendorPackage::release).orElse("");
    Optional<TakenItem> before = around.before(line.vendorItem);
    return new VendorDifference(
        before.map(TakenItem::release).orElse(null),
        now,
        before.flatMap(item -> change(line, inspected, item, around)).orElse(List.of()));
  }

  private static Optional<List<ItemChange.Field>> change(
      DeliveryLine line, Inspected inspected, TakenItem before, Surroundings around) {
    ItemSaid now = ItemSaid.of(inspected.raw().item());
    if (before.tool()) {
      return Optional.ofNullable(around.tools().get(line.codeKey))
          .filter(present -> present.id() == before.targetId())
          .map(present ->
              ItemChange.of(ItemSaid.of(before.said()), now, ItemSaid.of(present.tool())).fields());
    }
    return Optional.ofNullable(around.shopParts().get(line.codeKey))
        .filter(present -> present.id() == before.targetId() && inspected.component().isPresent())
        .map(present ->
            ItemChange.of(
                    ItemSaid.of(VendorLines.comparable(before.said(), inspected.component().get())),
                    now,
                    ItemSaid.of(present.component()))
                .fields());
  }
}
