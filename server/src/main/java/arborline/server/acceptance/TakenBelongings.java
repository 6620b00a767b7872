package arborline.server.acceptance;

import arborline.core.inspect.Inspected;
import arborline.server.delivery.DeliveryLine;
import arborline.server.inspection.Belongings;
import arborline.server.inspection.LineJudge;
import arborline.server.right.ToolGuard;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Takes the stacks, cutting data and attachments of tools; always inside the transaction of a
 * taking.
 */
@Component
class TakenBelongings {

  private final List<Belongings> kept;
  private final LineJudge judge;
  private final Tools tools;
  private final ToolStore store;
  private final TakenPieces pieces;
  private final ToolGuard guard;

  TakenBelongings(
      List<Belongings> kept,
      LineJudge judge,
      Tools tools,
      ToolStore store,
      TakenPieces pieces,
      ToolGuard guard) {
    this.guard = guard;
    this.kept = kept;
    this.judge = judge;
    this.tools = tools;
    this.store = store;
    this.pieces = pieces;
  }

  /** Takes what came with a tool. */
  void take(long deliveryId, int takeNo, long toolId, DeliveryLine line) {
    if (line.bare()) {
      return;
    }
    store.lock(toolId);
    guard.needChange(List.of(toolId));
    Inspected inspected = judge.inspected(line);
    for (Belongings belongings : kept) {
      List<Long> rows = belongings.take(toolId, deliveryId, inspected);
      pieces.note(deliveryId, takeNo, belongings.kind(), rows);
    }
  }

  /** Takes lines that are nothing but stacks or cutting data of tools that the shop has. */
  int take(long deliveryId, List<DeliveryLine> some, int takeNo) {
    int taken = 0;
    for (DeliveryLine line : some) {
      Optional<Long> owner = line.enters() ? tools.byCode(line.code) : Optional.empty();
      if (owner.isPresent()) {
        take(deliveryId, takeNo, owner.get(), line);
        line.taken(owner.get(), takeNo);
        taken++;
      }
    }
    return taken;
  }

  /** Takes back what came with a taking. */
  void takeBack(long deliveryId, int takeNo) {
    kept.forEach(
        belongings -> belongings.takeBack(pieces.of(deliveryId, takeNo, belongings.kind())));
  }
}
