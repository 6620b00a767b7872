package arborline.server.inspection;

import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.DeliveryRepository;
import arborline.server.delivery.LineRepository;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.LongFunction;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/**
 * Changes lines of a delivery that were not taken: kept as they were before, judged again after,
 * and on the trail, from which they are undone.
 */
@Component
class LineDeeds {

  private final DeliveryRepository deliveries;
  private final LineRepository lines;
  private final LineChange change;
  private final LineSnapshots before;
  private final Trail trail;
  private final Live live;

  LineDeeds(
      DeliveryRepository deliveries,
      LineRepository lines,
      LineChange change,
      LineSnapshots before,
      Trail trail,
      Live live) {
    this.deliveries = deliveries;
    this.lines = lines;
    this.change = change;
    this.before = before;
    this.trail = trail;
    this.live = live;
  }

  /**
   * What was put right.
   *
   * @param undo line of the trail that takes it back; 0 where nothing was changed
   */
  record Changed(long lines, long undo) {}

  /**
   * A delivery that is read to its end, locked.
   *
   * @throws Refusal where there is none, or it is still being read
   */
  Delivery ready(long id) {
    Delivery delivery =
        deliveries.lock(id).orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
    if (delivery.state != Delivery.State.READY) {
      throw Refusal.conflict("the delivery is not read to its end yet; wait for it");
    }
    return delivery;
  }

  /**
   * A line that was not taken yet.
   *
   * @throws Refusal where there is none, or it was taken
   */
  DeliveryLine open(long id, long lineId) {
    DeliveryLine line =
        lines
            .findByDeliveryIdAndId(id, lineId)
            .orElseThrow(() -> Refusal.notFound("there is no such line in the delivery"));
    if (line.takenId != null) {
      throw Refusal.conflict("the line was taken already; change the tool on its sheet");
    }
    return line;
  }

  /**
   * Changes lines, part by part.
   *
   * @param next the ids of the lines that come after one, a part of them at a time
   * @param concerned which of those are changed
   * @param text what is said of so many on the trail
   */
  Changed make(
      Delivery delivery,
      LongFunction<List<Long>> next,
      Predicate<DeliveryLine> concerned,
      Consumer<DeliveryLine> edit,
      LongFunction<String> text) {
    int changeNo = before.next(delivery.id);
    long count =
        change.make(
            delivery,
            next,
            ids -> {
              List<DeliveryLine> some =
                  change.open(delivery.id, ids).stream().filter(concerned).toList();
              if (!some.isEmpty()) {
                before.keep(delivery.id, changeNo, some.stream().map(line -> line.id).toList());
                some.forEach(edit);
              }
              return some;
            });
    if (count == 0) {
      return new Changed(0, 0);
    }
    live.say("delivery", delivery.id, "corrected");
    long undo =
        trail.record(
            TrailRecord.of("delivery", delivery.id, text.apply(count))
                .undoneBy(LineUndo.KIND, new LineUndo.Change(delivery.id, changeNo)));
    return new Changed(count, undo);
  }
}
