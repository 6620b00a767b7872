package arborline.server.delivery;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.springframework.stereotype.Component;

/** Brings a delivery back that was put away. */
@Component
class PutAwayUndo implements Undo<PutAwayUndo.PutAway> {

  static final UndoKind<PutAway> KIND =
      new UndoKind<>("delivery.put-away", 1, PutAway.class, Permission.RECEIVE);

  record PutAway(long deliveryId) {}

  private final DeliveryRepository deliveries;
  private final Clearing clearing;
  private final Live live;

  PutAwayUndo(DeliveryRepository deliveries, Clearing clearing, Live live) {
    this.deliveries = deliveries;
    this.clearing = clearing;
    this.live = live;
  }

  @Override
  public UndoKind<PutAway> kind() {
    return KIND;
  }

  @Override
  public void takeBack(PutAway deed) {
    long id = deed.deliveryId();
    Delivery delivery =
        deliveries
            .putAway(id)
            .filter(gone -> !clearing.due(gone))
            .orElseThrow(() ->
                Refusal.conflict(
                    "the delivery was cleared a day after it was deleted;"
                        + " bring its file in again"));
    delivery.putAwayAt = null;
    live.say("delivery", id, "brought back");
  }
}
