package arborline.server.news;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Takes back that items are no longer made. */
@Component
class DiscontinuedUndo implements Undo<DiscontinuedUndo.Noted> {

  static final UndoKind<Noted> KIND =
      new UndoKind<>("vendor.discontinued", 1, Noted.class, Permission.RECEIVE);

  record Noted(long deliveryId, String vendorKey, List<String> itemKeys) {}

  private final JdbcClient jdbc;
  private final Live live;

  DiscontinuedUndo(JdbcClient jdbc, Live live) {
    this.jdbc = jdbc;
    this.live = live;
  }

  @Override
  public UndoKind<Noted> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Noted noted) {
    jdbc.sql("delete from vendor_discontinued where vendor_key = :vendor and item_key in (:items)")
        .param("vendor", noted.vendorKey())
        .param("items", noted.itemKeys())
        .update();
    live.say("delivery", noted.deliveryId(), "discontinued");
  }
}
