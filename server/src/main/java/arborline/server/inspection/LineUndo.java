package arborline.server.inspection;

import arborline.server.account.Permission;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryRepository;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.springframework.stereotype.Component;

/** Makes lines of a delivery what they were before they were put right. */
@Component
class LineUndo implements Undo<LineUndo.Change> {

  static final UndoKind<Change> KIND =
      new UndoKind<>("delivery.lines", 1, Change.class, Permission.RECEIVE);

  private static final int CHUNK = 1000;

  record Change(long deliveryId, int changeNo) {}

  private final DeliveryRepository deliveries;
  private final LineSnapshots before;
  private final LineChange change;
  private final DecidedLines decided;
  private final Live live;

  LineUndo(
      DeliveryRepository deliveries,
      LineSnapshots before,
      LineChange change,
      DecidedLines decided,
      Live live) {
    this.deliveries = deliveries;
    this.before = before;
    this.change = change;
    this.decided = decided;
    this.live = live;
  }

  @Override
  public UndoKind<Change> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Change made) {
    long id = made.deliveryId();
    int no = made.changeNo();
    Delivery delivery =
        deliveries
            .lock(id)
            .filter(locked -> locked.state == Delivery.State.READY)
            .orElseThrow(
                () -> Refusal.conflict("the delivery was deleted, or is being read again"));
    before.check(id, no);
    change.make(
        delivery,
        after -> before.ids(id, no, after, CHUNK),
        ids -> {
          before.bringBack(id, no, ids);
          return change.open(id, ids);
        });
    before.forget(id, no);
    decided.note(id);
    live.say("delivery", id, "corrections taken back");
  }
}
