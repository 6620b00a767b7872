package arborline.server.inspection;

import arborline.core.exchange.RawItem;
import arborline.core.inspect.Disposition;
import arborline.core.library.Codes;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import jakarta.persistence.EntityManager;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.LongFunction;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/**
 * Changes lines of one delivery in the running transaction, some at a time, and judges them anew
 * together with those that share a code with them. Says how far it is, and stops when asked.
 */
@Component
class LineChange {

  private static final int SHARING = 1000;

  private final LineRepository lines;
  private final LineJudge judge;
  private final StopRequests stops;
  private final Live live;
  private final EntityManager entities;

  LineChange(
      LineRepository lines,
      LineJudge judge,
      StopRequests stops,
      Live live,
      EntityManager entities) {
    this.lines = lines;
    this.judge = judge;
    this.stops = stops;
    this.live = live;
    this.entities = entities;
  }

  /**
   * Changes lines.
   *
   * @param next ids of the next lines behind one, in ascending order; empty at the end
   * @param step changes the lines with some ids and gives those it changed, not yet judged
   * @return how many were changed
   * @throws Refusal where somebody asked to stop
   */
  long make(
      Delivery delivery,
      LongFunction<List<Long>> next,
      Function<List<Long>, List<DeliveryLine>> step) {
    stops.clear(delivery.work());
    try {
      return some(delivery, next, step);
    } catch (RuntimeException failed) {
      live.sayNow("delivery", delivery.id, "not done");
      throw failed;
    }
  }

  private long some(
      Delivery delivery,
      LongFunction<List<Long>> next,
      Function<List<Long>, List<DeliveryLine>> step) {
    long changed = 0;
    List<Long> ids = next.apply(0);
    while (!ids.isEmpty()) {
      changed += judged(delivery.id, step.apply(ids));
      entities.flush();
      entities.clear();
      ids = next.apply(ids.getLast());
      if (!ids.isEmpty()) {
        live.sayNow("delivery", delivery.id, "correcting " + changed);
        stopIfAsked(delivery);
      }
    }
    return changed;
  }

  private void stopIfAsked(Delivery delivery) {
    if (stops.asked(delivery.work())) {
      stops.clear(delivery.work());
      throw Refusal.conflict("this was stopped; no line was changed");
    }
  }

  /** The open lines with these ids, in the order of the delivery. */
  List<DeliveryLine> open(long deliveryId, List<Long> ids) {
    return lines.findByDeliveryIdAndIdIn(deliveryId, ids).stream()
        .filter(line -> line.takenId == null)
        .sorted(Comparator.comparing(line -> line.position))
        .toList();
  }

  private int judged(long deliveryId, List<DeliveryLine> changed) {
    List<Before> before = changed.stream().map(Before::of).toList();
    if (changed.stream().anyMatch(LineChange::recoded)) {
      inTurn(deliveryId, changed);
    } else {
      judge.judge(deliveryId, changed);
      lines.flush();
    }
    Set<String> concerned = new HashSet<>();
    for (int i = 0; i < changed.size(); i++) {
      Before now = Before.of(changed.get(i));
      if (!now.equals(before.get(i))) {
        concerned.add(now.codeKey());
        concerned.add(before.get(i).codeKey());
      }
    }
    concerned.remove("");
    if (!concerned.isEmpty()) {
      Set<DeliveryLine> done = new HashSet<>(changed);
      inTurn(
          deliveryId,
          lines.sharing(deliveryId, concerned, Limit.of(SHARING)).stream()
              .filter(line -> !done.contains(line))
              .toList());
    }
    return changed.size();
  }

  /** What of a line other lines with its code depend on. */
  private record Before(String codeKey, boolean skipped) {

    static Before of(DeliveryLine line) {
      return new Before(line.codeKey, line.disposition == Disposition.SKIPPED);
    }
  }

  private static boolean recoded(DeliveryLine line) {
    return !Codes.key(line.raw().item().text(RawItem.CODE)).equals(line.codeKey);
  }

  /** One by one, so that each sees the codes that the lines before it now have. */
  private void inTurn(long deliveryId, List<DeliveryLine> some) {
    for (DeliveryLine line : some) {
      judge.judge(deliveryId, List.of(line));
      lines.flush();
    }
  }
}
