package arborline.server.acceptance;

import arborline.server.account.Permission;
import arborline.server.delivery.Clearing;
import arborline.server.delivery.DeliveryRepository;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Takes back a taking: its tools leave the library, its lines are open again. */
@Component
class AcceptanceUndo implements Undo<AcceptanceUndo.Take> {

  static final UndoKind<Take> KIND =
      new UndoKind<>("delivery.taken", 1, Take.class, Permission.RECEIVE);

  record Take(long deliveryId, @Nullable Long libraryId, int takeNo) {}

  private final DeliveryRepository deliveries;
  private final Clearing clearing;
  private final TakenBelongings belongings;
  private final TakenParts parts;
  private final VendorTakings vendors;
  private final TakenPieces pieces;
  private final TakenChanges changes;
  private final JdbcClient jdbc;
  private final Live live;

  AcceptanceUndo(
      DeliveryRepository deliveries,
      Clearing clearing,
      TakenBelongings belongings,
      TakenParts parts,
      VendorTakings vendors,
      TakenPieces pieces,
      TakenChanges changes,
      JdbcClient jdbc,
      Live live) {
    this.deliveries = deliveries;
    this.clearing = clearing;
    this.belongings = belongings;
    this.parts = parts;
    this.vendors = vendors;
    this.pieces = pieces;
    this.changes = changes;
    this.jdbc = jdbc;
    this.live = live;
  }

  @Override
  public UndoKind<Take> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Take take) {
    if (deliveries
        .findById(take.deliveryId())
        .filter(delivery -> !clearing.due(delivery))
        .isEmpty()) {
      throw Refusal.conflict(
          "the delivery was deleted and cleared: which tools came with it is no longer known;"
              + " delete them in the library");
    }
    lockedUnchanged(take);
    if (take.libraryId() != null) {
      leaveLibrary(take, take.libraryId());
    }
    jdbc.sql(
            """
            update delivery_line set taken_id = null, take_no = null
            where delivery_id = ? and take_no = ?\
            """)
        .params(take.deliveryId(), take.takeNo())
        .update();
    belongings.takeBack(take.deliveryId(), take.takeNo());
    parts.takeBack(take.deliveryId(), take.takeNo());
    vendors.takeBack(take.deliveryId(), take.takeNo());
    changes.takeBack(pieces.of(take.deliveryId(), take.takeNo(), TakenChanges.PIECE));
    pieces.forget(take.deliveryId(), take.takeNo());
    live.say("delivery", take.deliveryId(), "taking undone");
    if (take.libraryId() != null) {
      live.say("library", take.libraryId(), "taking undone");
    }
  }

  private void leaveLibrary(Take take, long libraryId) {
    jdbc.sql("update library set numbering_no = numbering_no + 1 where id = ?")
        .param(libraryId)
        .update();
    jdbc.sql(
            """
            delete e from entry e join delivery_line l on l.taken_id = e.tool_id
            where l.delivery_id = ? and l.take_no = ? and e.library_id = ?
              and l.kind in ('CUTTER', 'INSERT')
              and not exists(select 1 from taken_piece p where p.delivery_id = l.delivery_id
                and p.take_no = l.take_no and p.kind = 'staying' and p.row_id = e.tool_id)\
            """)
        .params(take.deliveryId(), take.takeNo(), libraryId)
        .update();
  }

  /** Refuses where the lines of the taking are no longer there as it left them. */
  private void lockedUnchanged(Take take) {
    deliveries.touch(take.deliveryId());
    boolean there =
        jdbc.sql("select exists(select 1 from delivery_line where delivery_id = ? and take_no = ?)")
            .params(take.deliveryId(), take.takeNo())
            .query(Boolean.class)
            .single();
    if (!there) {
      throw Refusal.conflict(
          "the delivery was read again since: which tools came with this taking is no longer"
              + " known; delete them in the library");
    }
  }
}
