package arborline.server.receiving;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import org.springframework.stereotype.Component;

/** Brings a delivery back that was put away. */
@Component
class PutAwayUndo implements Undo {

  static final String KIND = "delivery.put-away";

  record PutAway(long deliveryId) {}

  private final DeliveryRepository deliveries;
  private final Clearing clearing;
  private final Json json;
  private final Live live;

  PutAwayUndo(DeliveryRepository deliveries, Clearing clearing, Json json, Live live) {
    this.deliveries = deliveries;
    this.clearing = clearing;
    this.json = json;
    this.live = live;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public Permission needs() {
    return Permission.RECEIVE;
  }

  @Override
  public void undo(String data) {
    long id = json.read(data, PutAway.class).deliveryId();
    Delivery delivery =
        deliveries
            .putAway(id)
            .filter(each -> !clearing.due(each))
            .orElseThrow(() ->
                Refusal.conflict(
                    "the delivery was cleared a day after it was deleted;"
                        + " bring its file in again"));
    delivery.putAwayAt = null;
    live.say("delivery", id, "brought back");
  }
}
